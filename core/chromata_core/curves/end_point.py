"""The end point of a recorded titration, by four methods, on points that need not be evenly spaced.

Derivatives are those of the parabola through each point and its neighbours (of a local least-squares parabola when the
readings are noisy). The zero of the second derivative is interpolated linearly between the two points around it.
G. Gran, Analyst 77 (1952) 661 for the linear plot.

Points are arrays whose first axis runs over the readings; further axes (perturbed or random columns) go through every
step, so that an end point has a budget like any other quantity. Which points lie around the jump is decided on real
parts, averaged over the columns. Plain lists are points of one column, and give an array of one value.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise
from math import log
from typing import Any

import numpy as np
from numpy.typing import NDArray

from chromata_core.chemistry.constants import FARADAY, GAS_CONSTANT
from chromata_core.curves.line import CurveError, TooFewPoints

NERNST_SLOPE = log(10) * GAS_CONSTANT * 298.15 / FARADAY  # V for a factor of ten, one electron, 25 °C
Points = NDArray[Any]
Read = Sequence[float] | Points


@dataclass(frozen=True, slots=True)
class Derivatives:
    """First and second derivative at the inner points, with their volumes; the first axis runs over the points."""

    volumes: Points
    first: Points
    second: Points


def derivatives(volumes: Read, values: Read, reach: int = 1) -> Derivatives:
    """Derivatives by a parabola through each point and ``reach`` neighbours on either side (2 or more: smoothed)."""
    v, e = _checked(volumes, values, 2 * reach + 1)
    if reach == 1:
        return _through_three(v, e)
    inner = range(reach, len(v) - reach)
    bends = [_parabola(v[i - reach : i + reach + 1] - v[i], e[i - reach : i + reach + 1]) for i in inner]
    return Derivatives(v[reach : len(v) - reach], *(np.stack([bend[order] for bend in bends]) for order in (0, 1)))


def _through_three(v: Points, e: Points) -> Derivatives:
    """The parabola through each inner point and its two neighbours, all at once."""
    back, ahead = v[1:-1] - v[:-2], v[2:] - v[1:-1]
    fell, rose = e[1:-1] - e[:-2], e[2:] - e[1:-1]
    size = back * ahead * (back + ahead)
    return Derivatives(
        v[1:-1], (back * back * rose + ahead * ahead * fell) / size, 2 * (back * rose - ahead * fell) / size
    )


def steepest(volumes: Read, values: Read) -> Points:
    """The middle of the steepest interval: what the eye finds. In the unit of ``volumes``, as are all end points;
    CurveError if the jump was not passed.
    """
    v, e = _checked(volumes, values, 3)
    _zero_of_second(v, e, 1)
    place = _top(v, e)
    middle: Points = (v[place] + v[place + 1]) / 2
    return middle


def by_first_derivative(volumes: Read, values: Read) -> Points:
    """The top of the slopes between points: the vertex of the parabola through the greatest and its neighbours;
    CurveError if the jump was not passed.
    """
    v, e = _checked(volumes, values, 4)
    _zero_of_second(v, e, 1)
    middles, slopes = (v[1:] + v[:-1]) / 2, (e[1:] - e[:-1]) / (v[1:] - v[:-1])
    top = min(max(_top(v, e), 1), len(slopes) - 2)
    slope, bend = _parabola(middles[top - 1 : top + 2] - middles[top], slopes[top - 1 : top + 2])
    shift = -slope / bend
    away = abs(float(_real(shift)))
    if not away <= float(_real(middles[top + 1] - middles[top - 1])) / 2:
        shift = np.zeros_like(shift)
    vertex: Points = middles[top] + shift
    return vertex


def by_second_derivative(volumes: Read, values: Read, reach: int = 1) -> Points:
    """Where the second derivative passes zero beside the steepest point; CurveError if the jump was not passed."""
    derived, left = _zero_of_second(volumes, values, reach)
    before, after = derived.second[left], derived.second[left + 1]
    start, end = derived.volumes[left], derived.volumes[left + 1]
    volume: Points = start + before / (before - after) * (end - start)
    return volume


def step_at_jump(volumes: Read, values: Read) -> Points:
    """The step between the two points around the end point: what it can be known to, at worst by half."""
    derived, left = _zero_of_second(volumes, values, 1)
    step: Points = derived.volumes[left + 1] - derived.volumes[left]
    return step


def _zero_of_second(volumes: Read, values: Read, reach: int) -> tuple[Derivatives, int]:
    """The derivatives, and the point after which the second one passes zero, nearest the steepest."""
    derived = derivatives(volumes, values, reach)
    ends = _real(_columns(values))
    rising = 1.0 if ends[-1] > ends[0] else -1.0
    slope, bend = rising * _real(derived.first), rising * _real(derived.second)
    top = int(np.argmax(slope))
    crossings = [i for i in range(len(bend) - 1) if bend[i] > 0 >= bend[i + 1]]
    if not crossings or min(abs(i + 0.5 - top) for i in crossings) > 2:
        raise CurveError("The curve has not bent back yet: the jump is not passed. Add titrant and read on.")
    return derived, min(crossings, key=lambda i: abs(i + 0.5 - top))


def gran(volumes: Read, ph: Read, start_volume: Points | float, weak: bool = False) -> Points:
    """Gran's end point of an acid titrated by a strong base, from the points before it: where the line meets zero.

    Strong acid: (V₀ + V)·10^(−pH); weak acid: V·10^(−pH). ``start_volume`` is V₀, in the unit of ``volumes``. Points
    of the last third before the steepest point are used, where the plot is straight. CurveError if the jump was not
    passed.
    """
    v, p = _checked(volumes, ph, 3)
    _zero_of_second(v, p, 1)
    top, at = _top(v, p), _real(v)
    jump = (at[top] + at[top + 1]) / 2
    used = [i for i in range(len(v)) if at[i] > 0 and 0.6 * jump <= at[i] <= 0.97 * jump]
    if len(used) < 3:
        raise CurveError("Gran’s line needs three points or more in the last third before the jump.")
    x = v[used]
    y = (x if weak else start_volume + x) * 10.0 ** (p[used[0]] - p[used])
    dx = x - x.mean(axis=0)
    end: Points = x.mean(axis=0) - y.mean(axis=0) * (dx * dx).sum(axis=0) / (dx * (y - y.mean(axis=0))).sum(axis=0)
    return end


def gran_from_start(volumes: Points, ph: Points) -> Points:
    """Gran's end point of a weak acid on the burette's own scale, which need not begin at zero."""
    end: Points = gran(volumes - volumes[0], ph, 0.0, weak=True) + volumes[0]
    return end


def gran_strong(volumes: Points, ph: Points, start_volume: Points) -> Points:
    """The same of a strong acid in ``start_volume`` of solution: (V₀ + V)·10^(−pH) is what is left of it."""
    end: Points = gran(volumes - volumes[0], ph, start_volume) + volumes[0]
    return end


def gran_redox(volumes: Points, potentials: Points) -> Points:
    """The same for a reductant titrated by an oxidant, ``potentials`` in volts: [red]/[ox] = 10^(−E/k) is to the volume
    added as what is left is to what has reacted, so V·10^(−E/k) meets zero at the end point. k = 2.303·RT/F at 25 °C.
    """
    return gran_from_start(volumes, potentials / NERNST_SLOPE)


def value_at(volumes: Read, values: Read, volume: Points | float) -> Points:
    """The reading at ``volume``, interpolated; at half the equivalence volume a pH is the acid's pKₐ, nearly."""
    v, e = _checked(volumes, values, 2)
    at, wanted = _real(v), float(_real(np.atleast_1d(volume)))
    if not at[0] <= wanted <= at[-1]:
        raise CurveError("That volume lies outside the readings.")
    left = min(max(int(np.searchsorted(at, wanted)) - 1, 0), len(at) - 2)
    share = (volume - v[left]) / (v[left + 1] - v[left])
    value: Points = e[left] + share * (e[left + 1] - e[left])
    return value


def _top(v: Points, e: Points) -> int:
    """The interval with the greatest slope, rising or falling."""
    return int(np.argmax(np.abs(_real((e[1:] - e[:-1]) / (v[1:] - v[:-1])))))


def _parabola(x: Points, y: Points) -> tuple[Points, Points]:
    """Slope at x = 0 and second derivative of the least-squares parabola through points along the first axis."""
    size = np.abs(_real(x)).max()  # volumes in m³ would leave the sums too small to solve
    x, y = x / size, y - y.mean(axis=0)
    sums = [(x**power).sum(axis=0) for power in range(5)]
    right = np.stack([(y * x**power).sum(axis=0) for power in range(3)], axis=-1)[..., None]
    left = np.stack([np.stack(sums[row : row + 3], axis=-1) for row in range(3)], axis=-2)
    solved = np.linalg.solve(left, right)[..., 0]
    return solved[..., 1] / size, 2 * solved[..., 2] / size**2


def _real(points: Points) -> Points:
    """Real parts, averaged over the columns."""
    real: Points = np.real(points).mean(axis=-1)
    return real


def _checked(volumes: Read, values: Read, least: int) -> tuple[Points, Points]:
    v, e = _columns(volumes), _columns(values)
    if len(v) != len(e):
        raise TooFewPoints(f"{len(v)} volumes and {len(e)} readings do not pair up.")
    if len(v) < least:
        raise TooFewPoints(f"An end point needs at least {least} readings; there are {len(v)}.")
    if any(b <= a for a, b in pairwise(_real(v))):
        raise CurveError("Volumes must grow from one reading to the next. Look for one that was mistyped.")
    return v, e


def _columns(points: Read) -> Points:
    """Plain readings as points of one column."""
    array = np.asarray(points)
    return array[:, None] if array.ndim == 1 else array
