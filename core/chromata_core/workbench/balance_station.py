"""A balance: its zero, its settling digits, a vessel on its pan, a spatula."""

from dataclasses import dataclass

from chromata_core.apparatus.scene import FLOOR, TABLE
from chromata_core.apparatus.things import Area, Display, Line, Thing, Vessel
from chromata_core.engine.differences import differences
from chromata_core.workbench.station import Control, Station

_VESSEL = (8.0, 16.0)  # g
_POURED = 15.0  # g: nobody takes so much by the spatula
_MUCH, _SOME = 0.38, 0.03  # shares of a portion that are still to come: by the spatula, by a little
_RUNS = 6  # last digits that a display runs over before it stands


@dataclass
class Balance(Station):
    """It shows what lies on its pan, less what stood there when it was zeroed."""

    zero: float = 0.0
    pan: float = 0.0
    vessel: float = 0.0
    settled: bool = False
    first: bool = True

    @property
    def portion(self) -> bool:
        """Whether it is weighed into a vessel that was zeroed, as much as one takes."""
        reading = self.reading
        if reading is None or reading.response:
            return False
        pairs = differences(self.truth.bound)
        return reading.key not in pairs and reading.key not in pairs.values()

    def begin(self) -> None:
        self.pan, self.vessel, self.settled = 0.0, 0.0, True
        if self.first:  # nobody has zeroed it since the room before
            self.zero = -float(self.random.integers(8, 60)) * 10.0**-self.tool.decimals
            self.first = False

    def controls(self) -> list[Control]:
        zeroed = abs(self.vessel - self.zero) < 10.0**-self.tool.decimals / 2
        zero = Control("zero", "Zero it", usual=not zeroed and not self.pan)
        if not self.portion:
            on = Control("off", "Take it off") if self.pan else Control("on", "Put it on", usual=zeroed)
            return [zero, on, self._wait(bool(self.pan))]
        if not self.vessel:
            return [zero, Control("vessel", "Put the vessel on", usual=zeroed)]
        left = 1 - self.pan / (abs(self.truth.planned(self.place)) or 1.0)
        return [
            zero,
            Control("spatula", "Pour in" if self._poured else "Put some in", usual=zeroed and left > _MUCH),
            Control("little", "A little", usual=_SOME < left <= _MUCH), Control("take", "Take some out"),
            self._wait(left <= _SOME),
        ]  # fmt: skip

    @property
    def _poured(self) -> bool:
        return self.truth.planned(self.place) > _POURED

    def _wait(self, loaded: bool) -> Control:
        return Control("wait", "Wait until it stands", usual=loaded and not self.settled)

    def do(self, act: str) -> None:
        meant = abs(self.truth.planned(self.place)) or 1.0
        match act:
            case "zero":
                self.zero = self.pan + self.vessel
                self.said = "It shows nothing but zeros."
            case "vessel":
                self.vessel = float(self.random.uniform(*_VESSEL))
                self.said = "The vessel stands on the pan. Its mass is no part of yours."
            case "on":
                self.pan = self.true
            case "off":
                self.pan = 0.0
            case "spatula" if self.vessel:
                self.pan += meant * float(self.random.uniform(0.18, 0.36))
            case "little" if self.vessel:
                self.pan += meant * float(self.random.uniform(0.015, 0.05))
            case "take" if self.pan:
                self.pan = max(self.pan - meant * float(self.random.uniform(0.03, 0.09)), 0.0)
            case _:
                pass
        self.settled = act in ("wait", "zero")
        if act in ("on", "spatula", "little", "take"):
            self.said = "The last digits still run."
        if act in ("wait", "off"):
            self.said = "It stands." if self.pan else ""
        if self.portion and act in ("spatula", "little", "take"):
            self.truth.make(self.place, self.pan)

    def seen(self) -> str:
        runs = 0.0 if self.settled else float(self.random.integers(2, _RUNS)) * 10.0**-self.tool.decimals
        load = self.pan + self.vessel - self.zero
        if load + self.zero > float(self.tool.high):
            return ""
        shown = load + (self.scatter() + self.off * load / float(self.tool.high) if self.pan else 0.0) + runs
        return f"{shown:.{self.tool.decimals}f}"

    def things(self) -> tuple[Thing, ...]:
        pan = (Area(((58, 138), (142, 138), (134, 146), (66, 146)), "metal"),)
        body = (
            Area(((44, 150), (156, 150), (162, FLOOR), (38, FLOOR)), "sheet"),
            Line(((100, 146), (100, 150)), "heavy"),
        )
        load: tuple[Thing, ...] = ()
        if self.vessel:
            share = min(self.pan / (abs(self.truth.planned(self.place)) or 1.0), 1.6) * 0.28
            load = (Vessel("beaker", (100, 76), ((share, "solid"),) if self.pan else ()),)
        elif self.pan:
            load = (Vessel("bottle", (100, 73), ((0.5, "solid"),)),)
        return (*load, *pan, *body, Display((62, 160), (76, 26), self.shows() or "– – –"), TABLE)
