"""A crucible over a flame: water leaves while it is heated; too strong a flame at first throws salt out.

Each five minutes of gentle heating leave a share of the water that was there, a closed lid leaves far more of it
(common practice, no published source).
"""

from dataclasses import dataclass
from math import exp

from chromata_core.apparatus.scene import FLOOR, TABLE
from chromata_core.apparatus.things import Drops, Flame, Line, Thing, Vessel
from chromata_core.workbench.station import Control, Station

_FIVE, _OPEN, _SHUT = 5.0, 1.6, 12.0  # min: how long one heats, and how fast water leaves past an open and a shut lid
_THROWN = (0.01, 0.04)  # share of the salt that spatters out while it still boils
_BOILS = 0.25  # share of the water above which it does


@dataclass
class Crucible(Station):
    """What stands in it is in the truth of the weighing that follows."""

    open: bool = True
    left: float = 1.0
    thrown: float = 0.0
    trial: int | None = None
    flame: str = ""

    def begin(self) -> None:
        self.flame = ""
        if self.place.trial != self.trial:
            self.trial, self.open, self.left, self.thrown = self.place.trial, True, 1.0, 0.0

    @property
    def title(self) -> str:
        return "the crucible over its flame"

    def controls(self) -> list[Control]:
        dry = self.left < 0.01
        return [
            Control("gentle", "Heat gently, 5 min", usual=not dry),
            Control("strong", "Heat strongly, 5 min"),
            Control("lid", "Shut the lid" if self.open else "Lid ajar", usual=not self.open),
        ]

    def do(self, act: str) -> None:
        if act == "lid":
            self.open = not self.open
            return
        boils = self.left > _BOILS
        if act == "strong" and boils and self.open:
            self.thrown += float(self.random.uniform(*_THROWN))
            self.said = "It spatters: salt is thrown out, and counts as water."
        else:
            self.said = "Drops stand at the lid: water leaves." if boils else "Nothing is seen to leave any more."
        self.left *= exp(-_FIVE / (_OPEN if self.open else _SHUT)) if act == "gentle" else 0.02
        self.flame = act
        self.truth.weigh_out(self.trial, self.left, self.thrown)

    def things(self) -> tuple[Thing, ...]:
        lid = Line(((78, 84), (122, 84)) if not self.open else ((76, 74), (118, 84)), "heavy")
        flame = (Flame((100, 176), 46 if self.flame == "strong" else 26),) if self.flame else ()
        out = (Drops((128, 70), 2, "solid", 9),) if self.thrown and self.flame == "strong" else ()
        return (
            Vessel("crucible", (100, 86), ((0.35, "colour" if self.left > _BOILS else "solid"),)), lid, *flame, *out,
            Line(((64, 118), (136, 118))), Line(((70, 118), (58, FLOOR))), Line(((130, 118), (142, FLOOR))), TABLE,
        )  # fmt: skip
