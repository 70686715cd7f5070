"""The shape of a check and of a series rule. Rules are small frozen objects that a method lists as data."""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from decimal import Decimal
from typing import TYPE_CHECKING, Protocol

from chromata_core.method.finding import Finding

if TYPE_CHECKING:
    from chromata_core.method.context import Context


class Check(Protocol):
    """Looks at an evaluated sheet and says what it finds."""

    def look(self, at: "Context") -> Iterable[Finding]:
        """The findings on this sheet, none if all is well."""
        ...


@dataclass(frozen=True, slots=True)
class SeriesRule:
    """A series is finished when its last two readings differ by no more than the option's value (same unit)."""

    option: str
    least: int = 2

    def met(self, values: Sequence[Decimal], limit: Decimal) -> bool:
        """Whether no further reading is needed."""
        return len(values) >= self.least and abs(values[-1] - values[-2]) <= limit
