"""A temperature trace in a cup: the change at the moment of mixing, extrapolated from the lines before and after."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import hypot

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
    before, u_before = sum(c for _, c in earlier) / len(earlier), 0.0
    if len(earlier) > 2:
        start = _through(earlier)
        before, u_before = start.at(mixed), start.u_at(mixed)
    found = _through(later)
    after = found.at(mixed)
    return Mixing(before, after, after - before, hypot(u_before, found.u_at(mixed)), found)


def _through(points: list[tuple[float, float]]) -> Line:
    return line([t for t, _ in points], [c for _, c in points])
