"""A cell of electrolysis after the current: iodine floats, sinks and dissolves, and only what is dissolved is seen.

How fast it dissolves is common practice, no published source: within five minutes all but a few hundredths, sooner when
it is stirred.
"""

from dataclasses import dataclass
from math import exp

from chromata_core.apparatus.scene import TABLE
from chromata_core.apparatus.things import Bubbles, Line, Round, Thing, Vessel
from chromata_core.workbench.station import Control, Station

FLOATS = 0.2  # of the iodine, when the current is switched off
_STILL, _STIRRED = 2.5, 1.0  # min: time constants of dissolving
_MINUTE, _SEEN = 1.0, 0.01
_AFLOAT, _SUNK = ((64, 147), (74, 146), (97, 147)), ((70, 191), (91, 191))


@dataclass
class Cell(Station):
    """What floats in it is missing in the light of the reading that follows."""

    floats: float = FLOATS
    stirred: bool = False
    trial: int | None = None

    def begin(self) -> None:
        if self.place.trial != self.trial:
            self.trial, self.floats, self.stirred = self.place.trial, FLOATS, False

    @property
    def title(self) -> str:
        return "the cell of electrolysis"

    def controls(self) -> list[Control]:
        more = self.floats > _SEEN
        return [
            Control("wait", "Wait a minute", usual=more),
            Control("stir", "Let it stand" if self.stirred else "Stir it, covered"),
        ]

    def do(self, act: str) -> None:
        if act == "stir":
            self.stirred = not self.stirred
        else:
            self.floats *= exp(-_MINUTE / (_STIRRED if self.stirred else _STILL))
        self.truth.in_solution[self.trial] = 1 - self.floats

    def looks(self) -> str:
        return "Dark grains float." if self.floats > _SEEN else "One brown solution: nothing floats."

    def things(self) -> tuple[Thing, ...]:
        grains = [Round(at, 3, "metal") for at in (*_AFLOAT, *_SUNK)] if self.floats > _SEEN else []
        stirs = (Bubbles((80, 176), (80, 166), 2),) if self.stirred else ()
        return (
            Vessel("wide beaker", (80, 126), ((0.7, "yellow" if self.floats > FLOATS / 2 else "orange"),)),
            Line(((50, 60), (50, 178)), "heavy"), Line(((110, 60), (110, 178)), "heavy"), *grains, *stirs, TABLE,
        )  # fmt: skip
