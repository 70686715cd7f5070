"""The end point of a recorded titration, by four methods, on points that need not be evenly spaced.

Derivatives are those of the parabola through each point and its neighbours (of a local least-squares parabola when the
readings are noisy). The zero of the second derivative is interpolated linearly between the two points around it.
G. Gran, Analyst 77 (1952) 661 for the linear plot.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise
from math import sqrt

import numpy as np

from chromata_core.curves.line import CurveError, Line, line


@dataclass(frozen=True, slots=True)
class EndPoint:
    """A volume with its standard uncertainty (same unit) and the step between the points around it.

    The uncertainty is that of a place known to half a step: step/√12.
    """

    method: str
    volume: float
    u: float
    step: float


@dataclass(frozen=True, slots=True)
class Derivatives:
    """First and second derivative at the inner points, with their volumes."""

    volumes: tuple[float, ...]
    first: tuple[float, ...]
    second: tuple[float, ...]


def derivatives(volumes: Sequence[float], values: Sequence[float], reach: int = 1) -> Derivatives:
    """Derivatives by a parabola through each point and ``reach`` neighbours on either side (2 or more: smoothed)."""
    _check(volumes, values, 2 * reach + 1)
    at, first, second = [], [], []
    for i in range(reach, len(volumes) - reach):
        v = np.array(volumes[i - reach : i + reach + 1]) - volumes[i]
        a, b, _ = np.polyfit(v, np.array(values[i - reach : i + reach + 1]), 2)
        at.append(volumes[i])
        first.append(float(b))
        second.append(float(2 * a))
    return Derivatives(tuple(at), tuple(first), tuple(second))


def steepest(volumes: Sequence[float], values: Sequence[float]) -> EndPoint:
    """The middle of the steepest interval: what the eye finds."""
    _check(volumes, values, 3)
    slopes = [abs((values[i + 1] - values[i]) / (volumes[i + 1] - volumes[i])) for i in range(len(volumes) - 1)]
    place = max(range(len(slopes)), key=slopes.__getitem__)
    left, right = volumes[place], volumes[place + 1]
    return _end("steepest point", (left + right) / 2, right - left)


def by_first_derivative(volumes: Sequence[float], values: Sequence[float], reach: int = 1) -> EndPoint:
    """The top of the slopes between points: the vertex of the parabola through the greatest and its neighbours."""
    _check(volumes, values, 4)
    middles = [(a + b) / 2 for a, b in pairwise(volumes)]
    slopes = [abs((values[i + 1] - values[i]) / (volumes[i + 1] - volumes[i])) for i in range(len(volumes) - 1)]
    if reach > 1:
        slopes = list(np.convolve(slopes, np.ones(2 * reach - 1) / (2 * reach - 1), mode="same"))
    top = min(max(max(range(len(slopes)), key=slopes.__getitem__), 1), len(slopes) - 2)
    a, b, _ = np.polyfit(np.array(middles[top - 1 : top + 2]) - middles[top], slopes[top - 1 : top + 2], 2)
    shift = float(-b / (2 * a)) if a < 0 else 0.0
    reachable = min(max(middles[top] + shift, middles[top - 1]), middles[top + 1])
    return _end("first derivative", reachable, volumes[top + 1] - volumes[top])


def by_second_derivative(volumes: Sequence[float], values: Sequence[float], reach: int = 1) -> EndPoint:
    """Where the second derivative passes zero beside the steepest point; CurveError if the jump was not passed."""
    found = derivatives(volumes, values, reach)
    sign = 1.0 if values[-1] > values[0] else -1.0
    top = max(range(len(found.first)), key=lambda i: sign * found.first[i])
    bend = [sign * value for value in found.second]
    for i in (*range(top - 1, top + 1), *range(max(top - 2, 0), top - 1), *range(top + 1, len(bend) - 1)):
        if 0 <= i < len(bend) - 1 and bend[i] > 0 >= bend[i + 1]:
            left, right = found.volumes[i], found.volumes[i + 1]
            share = bend[i] / (bend[i] - bend[i + 1])
            return _end("second derivative", left + share * (right - left), right - left)
    raise CurveError("The curve has not bent back yet: the jump is not passed. Add titrant and read on.")


@dataclass(frozen=True, slots=True)
class Gran:
    """Gran's line before the end point, and the volume where it meets zero."""

    end_point: EndPoint
    through: Line


def gran(volumes: Sequence[float], ph: Sequence[float], start_volume: float, weak: bool = False) -> Gran:
    """End point of an acid titrated by a strong base from the points before it, ``ph`` against ``volumes`` (mL).

    Strong acid: (V₀ + V)·10^(−pH); weak acid: V·10^(−pH). ``start_volume`` is V₀. Points of the last third before the
    steepest point are used, where the plot is straight.
    """
    jump = steepest(volumes, ph).volume
    used = [(v, p) for v, p in zip(volumes, ph, strict=True) if 0.6 * jump <= v <= 0.97 * jump and v > 0]
    if len(used) < 3:
        raise CurveError("Gran’s line needs three points or more in the last third before the jump.")
    scale = 10 ** min(p for _, p in used)
    xs = [v for v, _ in used]
    ys = [(v if weak else start_volume + v) * scale * 10**-p for v, p in used]
    found = line(xs, ys)
    volume = -found.intercept / found.slope
    return Gran(EndPoint("Gran", volume, found.u_at(volume) / abs(found.slope), 0.0), found)


def half_equivalence(volumes: Sequence[float], ph: Sequence[float], equivalence: float) -> float:
    """pH at half the equivalence volume: the acid's pKₐ, as far as activities are left aside."""
    half = equivalence / 2
    if not volumes[0] <= half <= volumes[-1]:
        raise CurveError("Half the equivalence volume lies outside the readings.")
    return float(np.interp(half, volumes, ph))


def _end(method: str, volume: float, step: float) -> EndPoint:
    return EndPoint(method, float(volume), step / sqrt(12), step)


def _check(volumes: Sequence[float], values: Sequence[float], least: int) -> None:
    if len(volumes) != len(values):
        raise CurveError(f"{len(volumes)} volumes and {len(values)} readings do not pair up.")
    if len(volumes) < least:
        raise CurveError(f"An end point needs at least {least} readings; there are {len(volumes)}.")
    if any(b <= a for a, b in pairwise(volumes)):
        raise CurveError("Volumes must grow from one reading to the next. Look for one that was mistyped.")
