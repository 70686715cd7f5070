"""One thing done otherwise than the method does it, and a way of working: some of them at once."""

from collections.abc import Callable, Hashable
from dataclasses import dataclass

from chromata_core.formula.tree import Node
from chromata_core.quantity.column import Column


@dataclass(frozen=True, slots=True)
class Change:
    """``says`` finishes “you get this if …”; ``cost`` is how unusual it is: 1 for what happens every day.

    It is one of these: ``quantity`` worked by another ``formula``, or its value taken otherwise (``value``, SI to SI),
    in one ``trial`` or wherever it is worked; an input (a reading's place, a constant's key) taken as ``instead`` (SI);
    other ``trials`` averaged than those that count; something done to the finished number in its unit (``after``).
    """

    key: str
    says: str
    cost: float
    quantity: str = ""
    formula: Node | None = None
    value: Callable[[Column], Column] | None = None
    trial: int | None = None
    place: Hashable = None
    instead: float = 0.0
    trials: tuple[int, ...] = ()
    after: Callable[[float], float] | None = None
    declared: bool = False

    @property
    def site(self) -> object:
        """What it is done to: two changes at one place cannot both be made."""
        return self.place or self.quantity or ("after" if self.after else "trials")


@dataclass(frozen=True, slots=True)
class Way:
    """A way of working: nothing done otherwise, or one change, or some. ``told`` is a sentence for many of a kind."""

    changes: tuple[Change, ...] = ()
    told: str = ""

    @property
    def cost(self) -> float:
        """Two slips at once are rarer than either."""
        return sum(change.cost for change in self.changes) + (len(self.changes) - 1)

    @property
    def keys(self) -> tuple[str, ...]:
        """The slips of it."""
        return tuple(change.key for change in self.changes)

    @property
    def says(self) -> str:
        """“… and …”."""
        return self.told or " and ".join(change.says for change in self.changes)
