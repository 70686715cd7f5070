"""A burette over a flask: filled, its tip cleared, run out by stream and drop; the flask shows when it is enough.

The colour follows from the pH of what is in the flask (workbench/titration.py), so that an indicator that does not suit
the acid changes where nothing ends.
"""

from dataclasses import dataclass, field

import numpy as np

from chromata_core.apparatus.scene import FLOOR, TABLE
from chromata_core.apparatus.things import Area, Clamp, Drops, Line, Paint, Thing, Vessel
from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Reading, Series
from chromata_core.workbench.station import Control, Station

_STREAMS = {"much": 5.0, "stream": 1.0, "little": 0.2, "drop": 0.05, "half": 0.025}  # mL
_TIP = 0.30  # mL of air under the tap of a burette that was just filled
_SPARE = 2.0  # mL: with so little to spare it is filled up first
_NEAR = 1.5  # mL: from here on colour lingers where the titrant falls


@dataclass
class Burette(Station):
    """Its level as the numbers run: 0 at the top. ``flask`` is what was run into the flask of each trial."""

    watched = True
    level: float = -1.0  # empty
    tip: float = _TIP
    flask: dict[int | None, float] = field(default_factory=dict)
    streaming: str = ""
    swirled: bool = True

    @property
    def empty(self) -> bool:
        return self.level == -1.0

    @property
    def end(self) -> Reading | None:
        """The reading that ends a delivery from here."""
        readings = [
            reading for reading in self.truth.bound.readings if reading.role == self.role and not reading.zero_of
        ]
        return next((reading for reading in readings if not reading.optional), None)

    @property
    def start(self) -> Place:
        """Where its delivery begins, in the trial in hand."""
        ends = self.end.key if self.end else ""
        if isinstance(self.end, Series) and self.end.starts:
            return Place(ends, self.place.trial, 1)
        key = next(
            (reading.key for reading in self.truth.bound.readings if reading.zero_of == ends and not reading.optional),
            "",
        )
        return Place(key, self.place.trial)

    @property
    def filling(self) -> bool:
        """Whether it is made ready: before the start is read."""
        return self.place.trial is None or (bool(self.start.key) and self.place == self.start)

    def controls(self) -> list[Control]:
        if self.empty:
            return [Control("fill", "Fill it above zero", usual=True)]
        if self.filling:
            short = self.level > _SPARE and float(self.tool.high) - self.level < self._meant + _SPARE
            return [
                Control("fill", "Fill it up", usual=short),
                Control("waste", "Let 1 mL run to waste", usual=self.tip > 0),
                Control("drip", "Some drops to waste", usual=self.tip <= 0 and self.level < 0),
            ]  # fmt: skip
        labels = {"much": "Run 5 mL", "stream": "1 mL", "little": "0.2 mL", "drop": "A drop", "half": "Half a drop"}
        controls = [Control(key, label) for key, label in labels.items()]
        return [*controls, Control("swirl", "Swirl", usual=not self.swirled)] if self.titrates else controls

    @property
    def titrates(self) -> bool:
        return self.end is not None and self.end.response

    @property
    def _meant(self) -> float:
        """mL that a delivery of this plan takes, about."""
        ends, start = self.end, self.start
        return self.truth.planned(Place(ends.key, start.trial)) - self.truth.planned(start) if ends else 0.0

    def _end_level(self) -> float:
        return self.truth.at(Place(self.end.key, self.place.trial)) if self.end else 0.0

    def do(self, act: str) -> None:
        self.said = ""
        match act:
            case "fill":
                fresh = self.empty
                self.level, self.tip = -float(self.random.uniform(0.3, 1.5)), _TIP if fresh else self.tip
                self.said = "It stands above zero. Air sits under the tap." if self.tip > 0 else "It stands above zero."
            case "waste" | "drip" if not self.empty:
                self._run(1.0 + float(self.random.normal(0, 0.1)) if act == "waste" else 0.15, lost=True)
            case "swirl":
                self.swirled = True
            case _ if act in _STREAMS and not self.empty:
                self._run(_STREAMS[act] * (1 + float(self.random.normal(0, 0.04))), lost=False)
            case _:
                return
        self.streaming = act
        if self.filling and self.start.key and self.place == self.start:
            self.truth.make(self.start, max(self.level, 0.0))

    def _run(self, volume: float, lost: bool) -> None:
        room = float(self.tool.high) - self.level
        if volume > room:
            self.said = "It ran past its last mark: nobody can say how much was delivered."
            volume = max(room, 0.0) + 0.5
        air = min(self.tip, volume)
        self.tip -= air
        self.level += volume
        if lost:
            self.said = "The tip is full of liquid." if air and self.tip <= 0 else ""
            return
        if self.start.key and self.start not in self.truth.made:
            self.truth.make(self.start, max(self.level - volume, 0.0))
        self.flask[self.place.trial] = self.flask.get(self.place.trial, 0.0) + volume - air
        if air:
            self.said = "A bubble came out of the tip: the burette counts it, the flask did not get it."
        self.swirled = False
        if not self.titrates and self.reading is not None:
            self.truth.make(self.place, self.level)

    @property
    def past(self) -> float:
        """mL past the end of this trial."""
        begun = self.truth.made.get(self.start, 0.0)
        return self.flask.get(self.place.trial, 0.0) - (self._end_level() - begun)

    def _colour(self) -> tuple[Paint, str]:
        run_in = self.flask.get(self.place.trial, 0.0)
        seen = self.truth.titration.seen(run_in, run_in - self.past)
        paint: Paint = "water" if seen.colour == "none" else seen.colour
        if seen.where == "before" and not self.swirled and self.past > -_NEAR:
            return paint, "Colour lingers where it falls, and goes as you swirl."
        return paint, seen.sentence if run_in else ""

    def seen(self) -> str:
        if self.empty or self.level < 0:
            return ""
        return self.on_scale(self.level + self.off * self.level / float(self.tool.high))

    def things(self) -> tuple[Thing, ...]:
        high = float(self.tool.high)
        share = 0.0 if self.empty else float(np.clip(1 - (14 + 108 * self.level / high) / 150, 0.1, 0.99))
        burette = Vessel("burette", (70, 6), ((share, "water"),) if share else ())
        drops: tuple[Thing, ...] = ()
        if self.streaming in ("drop", "half", "little", "drip"):
            drops = (Drops((70, 158), 1, "water"),)
        elif self.streaming in ("stream", "much", "waste"):
            drops = (Line(((70, 156), (70, 186)), "accent"),)
        if self.filling or not self.titrates:
            below: tuple[Thing, ...] = (Vessel("beaker", (70, 134), ((0.2, "water"),)),)
        else:
            tile = Area(((30, FLOOR), (110, FLOOR), (110, FLOOR - 3), (30, FLOOR - 3)), "sheet")
            below = (tile, Vessel("flask", (70, 112), ((0.35, self._colour()[0]),)))
        return (Clamp(20, (64, 30)), *below, burette, *drops, TABLE)

    def looks(self) -> str:
        return "" if self.filling or not self.titrates else self._colour()[1]
