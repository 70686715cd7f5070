"""A chart laid out as plain data: where everything in it stands on a page of 400 by 236, for screen and paper alike.

Whoever draws a plot only puts ink on it. Distances are in the units of the page, y downward.
"""

from dataclasses import dataclass
from typing import Literal

WIDTH, HEIGHT = 400.0, 236.0

Point = tuple[float, float]
Anchor = Literal["start", "middle", "end"]


@dataclass(frozen=True, slots=True)
class PlotText:
    """Words at a place; ``turned`` ones run upward. ``role`` is tick, axis, mark, area or point."""

    x: float
    y: float
    text: str
    anchor: Anchor
    size: float
    role: Literal["tick", "axis", "mark", "area", "point"]
    turned: bool = False


@dataclass(frozen=True, slots=True)
class PlotLine:
    """A line of the chart: ``points`` on the page, and in ``values`` what each of them says. Bars stand on ``foot``.

    ``number`` tells lines that share a chart apart; ``size`` is the radius of a dot or the width of a bar.
    """

    label: str
    style: Literal["dots", "line", "bars", "path"]
    number: int
    points: list[Point]
    values: list[str]
    foot: float
    size: float
    beside: bool


@dataclass(frozen=True, slots=True)
class PlotBox:
    """A field in which points should lie."""

    x: float
    y: float
    width: float
    height: float


@dataclass(frozen=True, slots=True)
class PlotMark:
    """A line across the field."""

    x1: float
    y1: float
    x2: float
    y2: float


@dataclass(frozen=True, slots=True)
class Plot:
    """``frame`` is left, top, right and base of the field; ``rules`` are heights of ticks. ``named``: more than
    one line is drawn, so that each wants its name beside the picture.
    """

    width: float
    height: float
    frame: tuple[float, float, float, float]
    rules: list[float]
    lines: list[PlotLine]
    boxes: list[PlotBox]
    marks: list[PlotMark]
    texts: list[PlotText]
    named: bool
