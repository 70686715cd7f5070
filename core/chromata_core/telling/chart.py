"""A chart as plain data: what a screen or a page draws without knowing any chemistry. Values are in declared units."""

from abc import ABC, abstractmethod
from dataclasses import dataclass, field
from typing import Literal

from chromata_core.declaration.parts import Drawing
from chromata_core.engine.context import Context

Point = tuple[float, float]


@dataclass(frozen=True, slots=True)
class ChartLine:
    """Points of one kind. ``style``: dots joined (line), dots alone, bars, or a path without dots, not measured;
    ``right`` ones have their own scale.
    """

    label: str
    style: Literal["dots", "line", "bars", "path"]
    points: list[Point]
    right: bool = False


@dataclass(frozen=True, slots=True)
class ChartMark:
    """A value worth pointing at: a line across the chart at ``x`` or at ``y`` with a word."""

    label: str
    x: float | None = None
    y: float | None = None


@dataclass(frozen=True, slots=True)
class ChartArea:
    """A region in which points should lie, with the word for it."""

    label: str
    x: Point
    y: Point


@dataclass(frozen=True, slots=True)
class Chart:
    """``sentence`` says in words what the picture shows; it is read aloud instead of it. ``ticks`` are words that stand
    under places of x, instead of its numbers.
    """

    key: str
    title: str
    x_label: str
    y_label: str
    sentence: str
    lines: list[ChartLine]
    marks: list[ChartMark]
    areas: list[ChartArea]
    right_label: str = ""
    ticks: list[tuple[float, str]] = field(default_factory=list)


class Draws(Drawing, ABC):
    """A drawing that a method lists."""

    __slots__ = ()

    @abstractmethod
    def draw(self, at: Context) -> Chart | None:
        """The chart, None while there is nothing to see."""


def axis(label: str, unit: str) -> str:
    """The words at an axis."""
    return ", ".join(filter(None, (label, unit)))
