"""Scenes as shapes that screen and paper only put ink on: paths with what fills and what draws them, and words."""

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass
from itertools import pairwise
from math import atan2, cos, degrees, hypot, sin
from typing import Any

from chromata_core.apparatus.outline import Outline, Point, arc, band, heights, mirrored, path, placed
from chromata_core.apparatus.profiles import PROFILES
from chromata_core.apparatus.things import (
    Area,
    Arrow,
    Bubbles,
    Clamp,
    Display,
    Drops,
    Eye,
    Flame,
    Line,
    Note,
    Paint,
    Pen,
    Round,
    Thermometer,
    Thing,
    Vessel,
    Word,
)

_BENCH = 6.0  # half of a stand's foot
_SIZES: dict[Word, float] = {"figure": 11.0}  # of words that are written otherwise than all others
_PLAIN = 13.0
# What a display shows is read off it: as large as its box holds. A figure is so wide, and half so high.
_SMALLEST, _LARGEST, _OF_BOX, _RIM, _WIDE, _HALF = 9.0, 22.0, 0.6, 10.0, 0.632, 0.36


@dataclass(frozen=True, slots=True)
class Shape:
    """A path with what fills it and what draws it; neither where that is empty."""

    path: str
    fill: Paint
    pen: Pen


@dataclass(frozen=True, slots=True)
class Words:
    """A line of words, where it stands and how large it is written."""

    x: float
    y: float
    text: str
    word: Word
    anchor: str
    size: float


Drawn = Shape | Words


def drawn(things: Sequence[Thing]) -> list[Drawn]:
    """``things`` in their order, the first behind."""
    return [piece for thing in things for piece in _DRAW[type(thing)](thing)]


def inside(vessel: Vessel) -> Outline:
    """The outline of a vessel's inside, as it stands."""
    half = PROFILES[vessel.kind].half
    middle = (0.0, (half[0][1] + half[-1][1]) / 2)
    return placed(mirrored(half), vessel.at, vessel.turned, middle)


def filled(vessel: Vessel) -> Iterator[tuple[Outline, Paint]]:
    """The areas of what is in it, from the bottom up."""
    outline = inside(vessel)
    top, bottom = heights(outline)
    below = bottom
    for share, paint in vessel.layers:
        surface = bottom - share * (bottom - top)
        if paint:
            yield band(outline, surface, below), paint
        below = surface


def _vessel(one: Vessel) -> Iterator[Drawn]:
    profile, outline = PROFILES[one.kind], inside(one)
    top, bottom = heights(outline)
    for area, paint in filled(one):
        yield Shape(path(area, closed=True), paint, "")
    surface = max((share for share, _ in one.layers), default=0.0)
    if one.layers and surface < 1.0:
        level = bottom - surface * (bottom - top)
        cut = [x for x, y in band(outline, level, level + 0.1) if abs(y - level) < 0.01]
        if cut:
            yield Shape(path(((min(cut), level), (max(cut), level))), "", "fine")
    yield from _marks(one)
    if profile.open_below:
        half = len(outline) // 2
        yield Shape(path(outline[:half]) + path(outline[half:]), "", "line")
    else:
        yield Shape(path(outline), "", "line")


def _marks(one: Vessel) -> Iterator[Drawn]:
    profile = PROFILES[one.kind]
    depths = list(one.ringed)
    if profile.marks:
        first, last, count = profile.marks
        depths += [first + (last - first) * n / max(count - 1, 1) for n in range(count)]
    middle = (0.0, (profile.half[0][1] + profile.half[-1][1]) / 2)
    for depth in depths:
        radius = _radius(profile.half, depth)
        whole = depth in one.ringed or (profile.marks is not None and profile.marks[2] == 1)
        ends = ((-radius, depth), (radius if whole else -radius * 0.25, depth))
        yield Shape(path(placed(ends, one.at, one.turned, middle)), "", "fine")


def _radius(half: Outline, depth: float) -> float:
    for (r0, y0), (r1, y1) in pairwise(half):
        if y0 <= depth <= y1 and y1 > y0:
            return r0 + (r1 - r0) * (depth - y0) / (y1 - y0)
    return half[0][0]


def _round(one: Round) -> Iterator[Drawn]:
    yield Shape(path(arc(one.at, one.radius, 0, 360, 20), closed=True), one.fill, one.pen)


def _drops(one: Drops) -> Iterator[Drawn]:
    x, y = one.at
    for n in range(one.count):
        down = y + n * one.apart
        shape = ((x, down), *arc((x, down + 6), 2.6, -30, 210, 10))
        yield Shape(path(shape, closed=True), one.fill, "fine")


def _bubbles(one: Bubbles) -> Iterator[Drawn]:
    (x0, y0), (x1, y1) = one.low, one.high
    for n in range(one.count):
        share = n / max(one.count - 1, 1)
        sway = 3.0 if n % 2 else -3.0
        yield from _round(Round((x0 + (x1 - x0) * share + sway, y0 + (y1 - y0) * share), 1.6 + share, "sheet", "fine"))


def _flame(one: Flame) -> Iterator[Drawn]:
    x, y = one.at
    for share, fill in ((1.0, "flame"), (0.5, "sheet")):
        h, w = one.height * share, one.height * 0.3 * share
        right = ((x, y), (x + w, y - h * 0.25), (x + w * 0.7, y - h * 0.55), (x, y - h))
        left = ((x - w * 0.7, y - h * 0.55), (x - w, y - h * 0.25))
        yield Shape(path((*right, *left), closed=True), "flame" if fill == "flame" else "sheet", "fine")


def _arrow(one: Arrow) -> Iterator[Drawn]:
    (x0, y0), (x1, y1) = one.start, one.end
    length = hypot(x1 - x0, y1 - y0) or 1.0
    nx, ny = (y1 - y0) / length * one.bend, -(x1 - x0) / length * one.bend
    cx, cy = (x0 + x1) / 2 + nx, (y0 + y1) / 2 + ny
    way = [_bezier((x0, y0), (cx, cy), (x1, y1), n / 10) for n in range(11)]
    angle = atan2(y1 - way[-2][1], x1 - way[-2][0])
    wings = [(x1 - 7 * cos(angle + turn), y1 - 7 * sin(angle + turn)) for turn in (0.45, -0.45)]
    yield Shape(path(way) + path((wings[0], (x1, y1), wings[1])), "", one.pen)


def _bezier(a: Point, b: Point, c: Point, t: float) -> Point:
    near, middle, far = (1 - t) ** 2, 2 * t * (1 - t), t * t
    return near * a[0] + middle * b[0] + far * c[0], near * a[1] + middle * b[1] + far * c[1]


def _display(one: Display) -> Iterator[Drawn]:
    (x, y), (w, h) = one.at, one.size
    yield Shape(path(((x, y), (x + w, y), (x + w, y + h), (x, y + h)), closed=True), "sheet", "line")
    size = min(max(min(_OF_BOX * h, (w - _RIM) / (_WIDE * len(one.text))), _SMALLEST), _LARGEST)
    yield Words(x + w / 2, y + h / 2 + _HALF * size, one.text, "figure", "middle", round(size, 1))


def _thermometer(one: Thermometer) -> Iterator[Drawn]:
    def at(points: Sequence[Point]) -> Outline:
        return placed(points, one.at, one.turned)

    top = -one.length
    yield Shape(path(at(((-2.4, -4), (-2.4, top), (2.4, top), (2.4, -4))), closed=True), "sheet", "line")
    yield Shape(path(at(((0, -4), (0, top * one.reads)))), "", "warn")
    yield Shape(path(at(arc((0, 0), 4.2, 0, 360, 16)), closed=True), "flame", "line")


def _eye(one: Eye) -> Iterator[Drawn]:
    (x, y), (x1, y1) = one.at, one.towards
    angle = degrees(atan2(y1 - y, x1 - x))
    lids = (*arc((0, 5), 11, 200, 340, 8), *arc((0, -5), 11, 20, 160, 8))
    yield Shape(path(placed(lids, one.at, angle), closed=True), "sheet", "line")
    yield from _round(Round(placed(((3, 0),), one.at, angle)[0], 3, "metal", ""))
    begin = placed(((14, 0),), one.at, angle)[0]
    yield Shape(path((begin, one.towards)), "", "dashed")


def _clamp(one: Clamp) -> Iterator[Drawn]:
    x, (to, y) = one.rod, one.to
    yield Shape(path(((x, one.top), (x, one.foot))), "", "heavy")
    yield Shape(path(((x - 3 * _BENCH, one.foot), (x + 3 * _BENCH, one.foot))), "", "heavy")
    yield Shape(path(((x, y), (to, y))), "", "line")
    yield from _round(Round((x, y), 3.2, "metal", "line"))


def _note(one: Note) -> Iterator[Drawn]:
    lines = one.text.split("|")
    x, y = one.at
    if one.to is not None:
        yield Shape(path(((x, y - 4 if one.anchor != "middle" else y + 4), one.to)), "", "fine")
    for n, text in enumerate(lines):
        yield Words(x, y + 14 * n, text, one.word, one.anchor, _SIZES.get(one.word, _PLAIN))


_DRAW: dict[type[Any], Callable[[Any], Iterator[Drawn]]] = {
    Vessel: _vessel, Round: _round, Drops: _drops, Bubbles: _bubbles, Flame: _flame, Arrow: _arrow,
    Display: _display, Thermometer: _thermometer, Eye: _eye, Clamp: _clamp, Note: _note,
    Line: lambda one: iter((Shape(path(one.points), "", one.pen),)),
    Area: lambda one: iter((Shape(path(one.points, closed=True), one.fill, one.pen),)),
}  # fmt: skip
