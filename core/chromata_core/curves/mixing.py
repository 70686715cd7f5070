"""A temperature trace in a cup: the change at the moment of mixing, extrapolated from the lines before and after."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import sqrt

from chromata_core.curves.line import CurveError, Line, line


@dataclass(frozen=True, slots=True)
class Mixing:
    """Temperatures at the moment of mixing from both lines, and their difference with its standard uncertainty."""

    before: float
    after: float
    change: float
    u: float
    later: Line


def at_mixing(times: Sequence[float], temperatures: Sequence[float], mixed: float, settled: float) -> Mixing:
    """Extrapolates to time ``mixed``: before it a mean (or a line of three or more), after ``settled`` a line.

    Times in one unit, temperatures in °C. CurveError if there are fewer than three readings after ``settled``.
    """
    earlier = [(t, c) for t, c in zip(times, temperatures, strict=True) if t <= mixed]
    later = [(t, c) for t, c in zip(times, temperatures, strict=True) if t >= settled]
    if not earlier:
        raise CurveError("There is no reading before mixing. The starting temperature is needed.")
    if len(later) < 3:
        raise CurveError("Three readings or more are needed after the temperature has settled. Go on reading.")
    before, u_before = _there(earlier, mixed) if len(earlier) > 2 else (sum(c for _, c in earlier) / len(earlier), 0.0)
    found = line([t for t, _ in later], [c for _, c in later])
    after, u_after = _there(later, mixed)
    return Mixing(before, after, after - before, sqrt(u_before**2 + u_after**2), found)


def _there(points: list[tuple[float, float]], time: float) -> tuple[float, float]:
    found = line([t for t, _ in points], [c for _, c in points])
    return found.at(time), found.s * sqrt(1 / found.n + (time - found.x_mean) ** 2 / found.sxx)
