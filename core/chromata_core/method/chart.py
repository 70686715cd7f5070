"""A chart as plain data: what a screen or a page draws without knowing any chemistry. Values are in declared units."""

from dataclasses import dataclass
from typing import Literal

Point = tuple[float, float]


@dataclass(frozen=True, slots=True)
class ChartLine:
    """Points of one kind. ``style``: dots joined (line), dots alone, or bars; ``right`` ones have their own scale."""

    label: str
    style: Literal["dots", "line", "bars"]
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
    """``sentence`` says in words what the picture shows; it is read aloud instead of it."""

    key: str
    title: str
    x_label: str
    y_label: str
    sentence: str
    lines: list[ChartLine]
    marks: list[ChartMark]
    areas: list[ChartArea]
    right_label: str = ""
