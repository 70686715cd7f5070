"""Measuring glass: to one mark, or along a scale."""

from dataclasses import dataclass

from chromata_core.apparatus.profiles import VesselKind
from chromata_core.apparatus.scene import TABLE
from chromata_core.apparatus.things import Drops, Eye, Thing, Vessel
from chromata_core.workbench.station import Control, Station

_TO_THE_MARK = 0.03  # mL: as near as an eye sets it


@dataclass
class OneMark(Station):
    """A pipette or flask with a single mark: ``over`` is how far above it the liquid stands, in mL, None when empty."""

    over: float | None = None
    out: bool = False

    def begin(self) -> None:
        self.over, self.out = None, False

    @property
    def pipette(self) -> bool:
        return self.tool.kind != "flask"

    def controls(self) -> list[Control]:
        if self.reading is None:
            return []
        if self.over is None:
            label = "Draw up past the mark" if self.pipette else "Fill it nearly to the mark"
            return [Control("draw", label, usual=not self.out)]
        lower = ("sink", "Let it sink") if self.pipette else ("pour", "A little water")
        drop = ("drop", "By drops") if self.pipette else ("squirt", "A drop of water")
        near, done = abs(self.over) < 0.4, abs(self.over) <= _TO_THE_MARK
        controls = [Control(*lower, usual=not near), Control(*drop, usual=near and not done)]
        if not self.pipette:
            return [*controls, Control("mix", "Stopper, turn it over", usual=done)]
        return [*controls, Control("run", "Touch off, let it run out", usual=done), Control("blow", "Blow it out")]

    def do(self, act: str) -> None:
        self.said = ""
        if act == "draw":
            self.over = float(self.random.uniform(0.8, 1.6)) * (1 if self.pipette else -1)
            return
        if self.over is None:
            return
        match act:
            case "sink" | "drop":
                self.over -= float(self.random.uniform(0.25, 0.5)) if act == "sink" else 0.05
            case "pour" | "squirt":
                self.over += float(self.random.uniform(0.25, 0.5)) if act == "pour" else 0.05
            case "run" | "blow" | "mix":
                blown = 0.03 if act == "blow" else 0.0
                # a flask holds what was filled into it; a pipette gives what stood in it
                self.truth.make(self.place, float(self.tool.high) - self.off + self.over + blown)
                self.said = "The last drop was blown out: that is more than it delivers." if blown else ""
                self.out = True
                self.over = None if self.pipette else self.over
            case _:
                pass

    def things(self) -> tuple[Thing, ...]:
        if not self.pipette:
            share = 0.0 if self.over is None else min(0.77 + self.over * 0.06, 0.98)
            return (Vessel("volumetric flask", (70, 100), ((share, "colour"),) if share else ()), TABLE)
        share = 0.0 if self.over is None else min(0.84 + self.over * 0.05, 0.99)
        drops = (Drops((70, 140), 1, "colour"),) if self.over is not None and not self.out else ()
        below = Vessel("beaker", (70, 134), ((0.3, "colour"),))
        return (
            below,
            Vessel("pipette", (70, 12), ((share, "colour"),) if share else ()),
            *drops,
            Eye((150, 34), (78, 33)),
            TABLE,
        )

    def looks(self) -> str:
        if self.over is None:
            return "It has run out." if self.out else ""
        if abs(self.over) <= _TO_THE_MARK:
            return "It stands at the mark."
        return "It stands above the mark." if self.over > 0 else "It stands below the mark."


@dataclass
class Scale(Station):
    """Glass with a scale: poured into, or drawn up, until it is what one wants."""

    volume: float = 0.0

    def begin(self) -> None:
        self.volume = 0.0

    def controls(self) -> list[Control]:
        if self.reading is None:
            return []
        if self._given:
            return [] if self.volume else [Control("all", "Pour all of it in", usual=True)]
        meant, left = self._meant, self._meant - self.volume
        full = meant == float(self.tool.high)
        return [
            *((Control("full", "Fill it to the last mark", usual=left > 0),) if full else ()),
            Control("pour", f"About {meant / 3:.2g} mL", usual=left > 0.3 * meant and not full),
            Control("little", f"About {meant / 30:.1g} mL", usual=0.04 * meant < left <= 0.3 * meant),
            Control("drop", "By drops", usual=self._drops / 2 < left <= 0.04 * meant), Control("take", "Take some out"),
        ]  # fmt: skip

    @property
    def _drops(self) -> float:
        """mL: some drops, more of them in a large vessel."""
        return max(0.05, self._meant / 300)

    @property
    def _given(self) -> bool:
        """What is there is measured: it is not for hands to choose how much."""
        reading = self.reading
        return reading is not None and reading.response

    @property
    def _meant(self) -> float:
        return abs(self.truth.planned(self.place)) or float(self.tool.high) / 2

    def do(self, act: str) -> None:
        meant = self._meant
        by = {"pour": 1 / 3, "little": 1 / 30, "take": -1 / 20}.get(act, 0.0) * meant
        if act == "all":
            self.volume = self.true
            return
        if act == "drop":
            by = self._drops
        poured = self.volume + by * (1 + float(self.random.normal(0, 0.08)))
        self.volume = meant if act == "full" else max(poured, 0.0)
        self.said = "It is fuller than its scale." if self.volume > float(self.tool.high) else ""
        self.truth.make(self.place, self.volume)

    def seen(self) -> str:
        return self.on_scale(self.volume + self.off) if self.volume else ""

    def things(self) -> tuple[Thing, ...]:
        kind: VesselKind = "cylinder" if self.tool.kind == "cylinder" else "pipette"
        share = min(self.volume / float(self.tool.high), 1.0) * 0.84
        vessel = Vessel(kind, (80, 92 if kind == "cylinder" else 60), ((share, "water"),) if share else ())
        eye = Eye((160, 192 - 100 * share if kind == "cylinder" else 100), (92, 192 - 100 * share))
        return (vessel, *((eye,) if kind == "cylinder" else ()), TABLE)
