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
    Tone,
    Vessel,
)

_BENCH = 6.0  # half of a stand's foot
_SIZES: dict[Tone, float] = {"figure": 11.0}  # of words that are written otherwise than all others
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
    tone: Tone
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


def _vessel(vessel: Vessel) -> Iterator[Drawn]:
    profile, outline = PROFILES[vessel.kind], inside(vessel)
    top, bottom = heights(outline)
    for area, paint in filled(vessel):
        yield Shape(path(area, closed=True), paint, "")
    surface = max((share for share, _ in vessel.layers), default=0.0)
    if vessel.layers and surface < 1.0:
        level = bottom - surface * (bottom - top)
        cut = [x for x, y in band(outline, level, level + 0.1) if abs(y - level) < 0.01]
        if cut:
            yield Shape(path(((min(cut), level), (max(cut), level))), "", "fine")
    yield from _marks(vessel)
    if profile.open_below:
        half = len(outline) // 2
        yield Shape(path(outline[:half]) + path(outline[half:]), "", "line")
    else:
        yield Shape(path(outline), "", "line")


def _marks(vessel: Vessel) -> Iterator[Drawn]:
    profile = PROFILES[vessel.kind]
    depths = list(vessel.ringed)
    if profile.marks:
        first, last, count = profile.marks
        depths += [first + (last - first) * n / max(count - 1, 1) for n in range(count)]
    middle = (0.0, (profile.half[0][1] + profile.half[-1][1]) / 2)
    for depth in depths:
        radius = _radius(profile.half, depth)
        whole = depth in vessel.ringed or (profile.marks is not None and profile.marks[2] == 1)
        ends = ((-radius, depth), (radius if whole else -radius * 0.25, depth))
        yield Shape(path(placed(ends, vessel.at, vessel.turned, middle)), "", "fine")


def _radius(half: Outline, depth: float) -> float:
    for (r0, y0), (r1, y1) in pairwise(half):
        if y0 <= depth <= y1 and y1 > y0:
            return r0 + (r1 - r0) * (depth - y0) / (y1 - y0)
    return half[0][0]


def _round(round_: Round) -> Iterator[Drawn]:
    yield Shape(path(arc(round_.at, round_.radius, 0, 360, 20), closed=True), round_.fill, round_.pen)


def _drops(drops: Drops) -> Iterator[Drawn]:
    x, y = drops.at
    for n in range(drops.count):
        down = y + n * drops.apart
        shape = ((x, down), *arc((x, down + 6), 2.6, -30, 210, 10))
        yield Shape(path(shape, closed=True), drops.fill, "fine")


def _bubbles(bubbles: Bubbles) -> Iterator[Drawn]:
    (x0, y0), (x1, y1) = bubbles.low, bubbles.high
    for n in range(bubbles.count):
        share = n / max(bubbles.count - 1, 1)
        sway = 3.0 if n % 2 else -3.0
        yield from _round(Round((x0 + (x1 - x0) * share + sway, y0 + (y1 - y0) * share), 1.6 + share, "sheet", "fine"))


def _flame(flame: Flame) -> Iterator[Drawn]:
    x, y = flame.at
    for share, fill in ((1.0, "flame"), (0.5, "sheet")):
        h, w = flame.height * share, flame.height * 0.3 * share
        right = ((x, y), (x + w, y - h * 0.25), (x + w * 0.7, y - h * 0.55), (x, y - h))
        left = ((x - w * 0.7, y - h * 0.55), (x - w, y - h * 0.25))
        yield Shape(path((*right, *left), closed=True), "flame" if fill == "flame" else "sheet", "fine")


def _arrow(arrow: Arrow) -> Iterator[Drawn]:
    (x0, y0), (x1, y1) = arrow.start, arrow.end
    length = hypot(x1 - x0, y1 - y0) or 1.0
    nx, ny = (y1 - y0) / length * arrow.bend, -(x1 - x0) / length * arrow.bend
    cx, cy = (x0 + x1) / 2 + nx, (y0 + y1) / 2 + ny
    way = [_bezier((x0, y0), (cx, cy), (x1, y1), n / 10) for n in range(11)]
    angle = atan2(y1 - way[-2][1], x1 - way[-2][0])
    wings = [(x1 - 7 * cos(angle + turn), y1 - 7 * sin(angle + turn)) for turn in (0.45, -0.45)]
    yield Shape(path(way) + path((wings[0], (x1, y1), wings[1])), "", arrow.pen)


def _bezier(a: Point, b: Point, c: Point, t: float) -> Point:
    near, middle, far = (1 - t) ** 2, 2 * t * (1 - t), t * t
    return near * a[0] + middle * b[0] + far * c[0], near * a[1] + middle * b[1] + far * c[1]


def _display(display: Display) -> Iterator[Drawn]:
    (x, y), (w, h) = display.at, display.size
    yield Shape(path(((x, y), (x + w, y), (x + w, y + h), (x, y + h)), closed=True), "sheet", "line")
    size = min(max(min(_OF_BOX * h, (w - _RIM) / (_WIDE * len(display.text))), _SMALLEST), _LARGEST)
    yield Words(x + w / 2, y + h / 2 + _HALF * size, display.text, "figure", "middle", round(size, 1))


def _thermometer(thermometer: Thermometer) -> Iterator[Drawn]:
    def at(points: Sequence[Point]) -> Outline:
        return placed(points, thermometer.at, thermometer.turned)

    top = -thermometer.length
    yield Shape(path(at(((-2.4, -4), (-2.4, top), (2.4, top), (2.4, -4))), closed=True), "sheet", "line")
    yield Shape(path(at(((0, -4), (0, top * thermometer.reads)))), "", "warn")
    yield Shape(path(at(arc((0, 0), 4.2, 0, 360, 16)), closed=True), "flame", "line")


def _eye(eye: Eye) -> Iterator[Drawn]:
    (x, y), (x1, y1) = eye.at, eye.towards
    angle = degrees(atan2(y1 - y, x1 - x))
    lids = (*arc((0, 5), 11, 200, 340, 8), *arc((0, -5), 11, 20, 160, 8))
    yield Shape(path(placed(lids, eye.at, angle), closed=True), "sheet", "line")
    yield from _round(Round(placed(((3, 0),), eye.at, angle)[0], 3, "metal", ""))
    begin = placed(((14, 0),), eye.at, angle)[0]
    yield Shape(path((begin, eye.towards)), "", "dashed")


def _clamp(clamp: Clamp) -> Iterator[Drawn]:
    x, (to, y) = clamp.rod, clamp.to
    yield Shape(path(((x, clamp.top), (x, clamp.foot))), "", "heavy")
    yield Shape(path(((x - 3 * _BENCH, clamp.foot), (x + 3 * _BENCH, clamp.foot))), "", "heavy")
    yield Shape(path(((x, y), (to, y))), "", "line")
    yield from _round(Round((x, y), 3.2, "metal", "line"))


def _note(note: Note) -> Iterator[Drawn]:
    lines = note.text.split("|")
    x, y = note.at
    if note.to is not None:
        yield Shape(path(((x, y - 4 if note.anchor != "middle" else y + 4), note.to)), "", "fine")
    for n, text in enumerate(lines):
        yield Words(x, y + 14 * n, text, note.tone, note.anchor, _SIZES.get(note.tone, _PLAIN))


_DRAW: dict[type[Any], Callable[[Any], Iterator[Drawn]]] = {
    Vessel: _vessel, Round: _round, Drops: _drops, Bubbles: _bubbles, Flame: _flame, Arrow: _arrow,
    Display: _display, Thermometer: _thermometer, Eye: _eye, Clamp: _clamp, Note: _note,
    Line: lambda stroke: iter((Shape(path(stroke.points), "", stroke.pen),)),
    Area: lambda surface: iter((Shape(path(surface.points, closed=True), surface.fill, surface.pen),)),
}  # fmt: skip
