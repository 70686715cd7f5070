"""What a check, a guide and a rule that ends a series can do, once there is a sheet to look at."""

from abc import ABC, abstractmethod
from collections.abc import Iterable

from chromata_core.declaration.parts import Check, Guide, SeriesRule
from chromata_core.engine.context import Context
from chromata_core.judging.finding import Finding


class Looks(Check, ABC):
    """A check that a method lists."""

    __slots__ = ()

    @abstractmethod
    def look(self, at: Context) -> Iterable[Finding]:
        """The findings on this sheet, none if all is well."""


class Guides(Guide, ABC):
    """A guide within a step."""

    __slots__ = ()

    @abstractmethod
    def say(self, at: Context, trial: int) -> str:
        """A sentence for the bench, empty if the step's own words are enough."""


class Ends(SeriesRule):
    """A rule that ends a series."""

    __slots__ = ()

    @abstractmethod
    def met(self, at: Context, key: str, trial: int | None) -> bool:
        """Whether no further reading of the series ``key`` is needed."""

    def at_least(self, at: Context) -> int:
        """How many readings are needed at least; 0 where that shows itself only in the work."""
        return 0
