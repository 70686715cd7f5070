"""A thermometer: it lags behind, and what it stands in warms or cools while one waits."""

from dataclasses import dataclass
from math import exp

from chromata_core.apparatus.scene import TABLE
from chromata_core.apparatus.things import Display, Note, Thermometer, Thing, Vessel
from chromata_core.declaration.vocabulary import Series
from chromata_core.workbench.station import Control, Station

_ROOM = 21.0  # °C
_LAG, _REACTS, _LEAKS = 8.0, 18.0, 1 / 12000  # s: thermometer, mixture; 1/s: a lidded cup (common practice)
_STEP = 10.0  # s


@dataclass
class Warmth(Station):
    """What is in the vessel goes from ``before`` to the true end once things are mixed, then slowly to the room."""

    shown: float = _ROOM
    inside: bool = False
    since: float | None = None  # s since it was mixed or lit
    before: float = _ROOM
    end: float = _ROOM

    def begin(self) -> None:
        if self.reading is not None and not self.changes:
            self.since, self.before = None, self.true
        elif self.changes:
            self.end = self.true

    @property
    def changes(self) -> bool:
        """Whether something happens that is read at its end."""
        reading = self.reading
        return reading is not None and reading.response and not isinstance(reading, Series)

    def controls(self) -> list[Control]:
        if not self.inside:
            return [Control("dip", "Thermometer in", usual=True)]
        begins = self.changes and self.since is None
        wait = Control("wait", f"Wait {_STEP:.0f} s", usual=not begins and (self._moves or self.since == 0))
        return [Control("mix", "Begin: mix, or light it", usual=True), wait] if begins else [wait]

    def do(self, act: str) -> None:
        if act == "dip":
            self.inside = True
        elif act == "mix" and self.changes and self.since is None:
            self.since = 0.0
        elif act == "wait" and self.inside:
            if self.since is not None:
                self.since += _STEP
            self.shown += (self._true_now() - self.shown) * (1 - exp(-_STEP / _LAG))
        else:
            return
        self.said = ("It still moves." if self._moves else "It stands still.") if act == "wait" else ""

    @property
    def _moves(self) -> bool:
        return abs(self._true_now() - self.shown) > 0.6 * 10.0**-self.tool.decimals

    def _true_now(self) -> float:
        if self.since is None:
            return self.before
        reached = self.before + (self.end - self.before) * (1 - exp(-self.since / _REACTS))
        return _ROOM + (reached - _ROOM) * exp(-self.since * _LEAKS)

    def seen(self) -> str:
        if not self.inside:
            return ""
        value = self.shown + self.off
        return self.on_display(value + self.scatter()) if self.tool.digital else self.on_scale(value)

    def things(self) -> tuple[Thing, ...]:
        high = min(max((self.shown + 5) / 110, 0.05), 0.95)
        cup = Vessel("cup", (80, 134), ((0.75, "colour" if self.since is not None else "water"),))
        stick = Thermometer((80, 182) if self.inside else (150, 150), 120, high)
        since = f"{self.since:.0f} s since|it began" if self.since is not None else ""
        box = (Display((110, 40), (74, 30), self.shows()),) if self.tool.digital and self.inside else ()
        return (cup, stick, *box, *((Note((116, 120), since, "soft"),) if since else ()), TABLE)
