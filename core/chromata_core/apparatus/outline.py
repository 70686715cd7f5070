"""Plane geometry of drawn glassware: outlines turned, placed, and cut to the height of a liquid.

Lengths are units of the page on which a scene is drawn; y points down.
"""

from collections.abc import Sequence
from itertools import pairwise
from math import cos, pi, radians, sin

Point = tuple[float, float]
Outline = tuple[Point, ...]


def mirrored(profile: Sequence[Point]) -> Outline:
    """The outline of a vessel from its right half (radius, depth) from the rim down: left rim, round, right rim."""
    left = [(-r, y) for r, y in profile]
    right = [(r, y) for r, y in reversed(profile) if r > 0]
    return (*left, *right)


def placed(points: Sequence[Point], at: Point, turned: float = 0.0, about: Point = (0.0, 0.0)) -> Outline:
    """``points`` turned clockwise by degrees about a point of their own, that point's rim put at ``at``."""
    angle = radians(turned)
    c, s = cos(angle), sin(angle)
    (ax, ay), (x0, y0) = at, about
    return tuple(
        (ax + x0 + (x - x0) * c - (y - y0) * s, ay + y0 + (x - x0) * s + (y - y0) * c) for x, y in points
    )  # fmt: skip


def arc(centre: Point, radius: float, start: float, end: float, steps: int = 12) -> Outline:
    """Points on a circle from one angle to another, in degrees clockwise from the right."""
    return tuple(
        (centre[0] + radius * cos(radians(a)), centre[1] + radius * sin(radians(a)))
        for a in (start + (end - start) * n / steps for n in range(steps + 1))
    )


def band(outline: Sequence[Point], top: float, bottom: float) -> Outline:
    """The part of a closed ``outline`` between two heights; nothing where they do not meet (Sutherland and Hodgman,
    Commun. ACM 17 (1974) 32).
    """
    return _below(tuple((x, -y) for x, y in _below(outline, top)), -bottom, turned_over=True)


def _below(outline: Sequence[Point], height: float, turned_over: bool = False) -> Outline:
    """What of a closed outline lies below (y greater than) ``height``."""
    points: list[Point] = []
    for n, here in enumerate(outline):
        before = outline[n - 1]
        if (here[1] >= height) != (before[1] >= height):
            share = (height - before[1]) / (here[1] - before[1])
            points.append((before[0] + share * (here[0] - before[0]), height))
        if here[1] >= height:
            points.append(here)
    return tuple((x, -y) for x, y in points) if turned_over else tuple(points)


def heights(outline: Sequence[Point]) -> tuple[float, float]:
    """The highest and the lowest point."""
    ys = [y for _, y in outline]
    return min(ys), max(ys)


def area(outline: Sequence[Point]) -> float:
    """Of a closed outline (Gauss's formula)."""
    return abs(sum(x0 * y1 - x1 * y0 for (x0, y0), (x1, y1) in pairwise((*outline, *outline[:1])))) / 2


def round_bottom(radius: float, depth: float) -> Outline:
    """The right half of a tube's round end, from its wall to the middle."""
    return tuple((radius * cos(a), depth - radius + radius * sin(a)) for a in (pi / 2 * n / 8 for n in range(9)))


def path(points: Sequence[Point], closed: bool = False) -> str:
    """Points as the path of an SVG."""
    if not points:
        return ""
    return "M" + "L".join(f"{x:.1f} {y:.1f}" for x, y in points) + ("Z" if closed else "")
