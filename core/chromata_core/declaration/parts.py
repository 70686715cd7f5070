"""What a method lists beside its readings and quantities: checks, guides, drawings, and rules that end a series.

Here they are only named, so that a declaration can hold them; what each of them does is written where the sheet it
looks at is known (``judging/shapes.py``, ``telling/chart.py``).
"""

from abc import ABC, abstractmethod


class Check:
    """Looks at an evaluated sheet and says what it finds."""

    __slots__ = ()


class Guide:
    """Knows from the readings so far how to go on within a step."""

    __slots__ = ()


class Drawing:
    """Turns an evaluated sheet into a chart."""

    __slots__ = ()


class SeriesRule(ABC):
    """Says when a series is finished. ``options`` are the number options it needs, ``words`` finish “read …”."""

    __slots__ = ()

    @property
    @abstractmethod
    def words(self) -> str:
        """How long it goes on, in words."""

    @property
    @abstractmethod
    def options(self) -> tuple[str, ...]:
        """Keys of the options that this rule asks."""
