"""A chart as plain data: what a screen or a page draws without knowing any chemistry. Values are in declared units."""

from abc import ABC, abstractmethod
from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Literal

from chromata_core.declaration.parts import Drawing
from chromata_core.engine.context import Context
from chromata_core.engine.shown import Shown
from chromata_core.judging.finding import Level
from chromata_core.quantity.report import report
from chromata_core.quantity.rounding import with_figures
from chromata_core.telling.plot import Plot, Point


@dataclass(frozen=True)
class ChartLine:
    """Points of one kind. ``style``: dots joined (line), dots alone, bars, or a path without dots, not measured;
    ``right`` ones have their own scale.
    """

    label: str
    style: Literal["dots", "line", "bars", "path"]
    points: list[Point]
    right: bool = False


@dataclass(frozen=True)
class ChartMark:
    """A value worth pointing at: a line across the chart at ``x`` or at ``y`` with a word."""

    label: str
    x: float | None = None
    y: float | None = None


@dataclass(frozen=True)
class ChartArea:
    """A region in which points should lie, with the word for it."""

    label: str
    x: Point
    y: Point


@dataclass(frozen=True)
class SquareCell:
    """A cell: the value that was read for ``trial`` or that is expected there, a ``note`` below it, and in words what
    it is of, ``name``. What was read has a ``level`` and may be ``void``; empty while it is still to be read.
    """

    row: int
    column: int
    trial: int
    shown: Shown | None
    note: str
    name: str
    level: Level = "keep"
    void: bool = False
    expected: bool = False


@dataclass(frozen=True)
class Square:
    """Things held against each other: what was read of each two, and across the diagonal what is expected of them.
    ``key`` is the reading that is made of each; ``heads`` are short, ``names`` in full; ``corner`` says which is which.
    """

    key: str
    corner: str
    heads: list[str]
    names: list[str]
    cells: list[SquareCell]


@dataclass(frozen=True)
class Chart:
    """``sentence`` says in words what the picture shows; it is read aloud instead of it. ``ticks`` are words that stand
    under 1, 2, 3 … of x, instead of its numbers. One with a ``square`` has no lines and no ``plot``: where
    everything in it stands on a page.
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
    ticks: list[str] = field(default_factory=list)
    square: Square | None = None
    plot: Plot | None = None


@dataclass(frozen=True)
class Statistic:
    """``value`` in ``unit``; its standard uncertainty ``u``, or the ``critical`` value at 95 % that it is held against,
    where there is one. ``of`` says what it belongs to, ``text`` all of it in words.
    """

    of: str
    label: str
    value: float
    unit: str
    text: str
    u: float | None = None
    critical: float | None = None


class Draws(Drawing, ABC):
    """A drawing that a method lists."""

    __slots__ = ()

    @abstractmethod
    def draw(self, at: Context) -> Chart | None:
        """The chart, None while there is nothing to see."""

    def pooled(self, benches: Mapping[str, Context]) -> Chart | None:
        """The same of a whole class, by benches' names; None where each bench's picture stands for itself."""
        return None

    def statistics(self, at: Context) -> list[Statistic]:
        """Numbers that are quoted with it; none for most."""
        return []


def axis(label: str, unit: str) -> str:
    """The words at an axis."""
    return ", ".join(filter(None, (label, unit)))


def without_u(of: str, label: str, value: float, unit: str = "", figures: int = 3) -> Statistic:
    """A number that is quoted without its uncertainty."""
    return Statistic(of, label, value, unit, f"{with_figures(value, figures)} {unit}".rstrip())


def with_u(of: str, label: str, value: float, u: float, unit: str = "") -> Statistic:
    """A number with its standard uncertainty."""
    return Statistic(of, label, value, unit, f"{report(value, u).text} {unit}".rstrip() + " (u)", u)
