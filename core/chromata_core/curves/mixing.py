"""A temperature trace in a cup: its extremes, and both temperatures at the moment of mixing, extrapolated from the
lines before and after. All on columns: the first axis runs over the readings.
"""

import numpy as np

from chromata_core.curves.calibration import scatter
from chromata_core.curves.line import CurveError
from chromata_core.quantity.column import Column

_LEAST = 3
_SLACK = 0.1  # s; columns of draws only average to about what was read


def farthest(values: Column, start: Column) -> Column:
    """The reading farthest from ``start``: the highest where it warms, the lowest where it cools."""
    column: Column = values[int(np.abs(_real(values) - np.real(start).mean()).argmax())]
    return column


def before_mixing(times: Column, temperatures: Column, mixed: Column) -> Column:
    """Temperature at time ``mixed`` by what was read until then: their mean, or their line where there are three.

    CurveError if nothing was read before mixing.
    """
    t, c = _part(times, temperatures, _real(times) <= np.real(mixed).mean() + _SLACK)
    if not len(t):
        raise CurveError("There is no reading before mixing. The starting temperature is needed.")
    column: Column = _line_at(t, c, mixed) if len(t) >= _LEAST else c.mean(axis=0)
    return column


def after_mixing(times: Column, temperatures: Column, mixed: Column, settled: Column) -> Column:
    """Temperature at time ``mixed`` by the line through what was read from ``settled`` on; CurveError for fewer than
    three such readings.
    """
    return _line_at(*_settled(times, temperatures, settled), mixed)


def doubt_after_mixing(times: Column, temperatures: Column, mixed: Column, settled: Column) -> Column:
    """Standard uncertainty of ``after_mixing`` from what its readings scatter beyond their own errors."""
    t, c = _settled(times, temperatures, settled)
    s, _ = _about(t, c)
    sxx = np.real(_slope(t, c)[2])
    column: Column = s * np.sqrt(1 / len(t) + np.real(mixed - t.mean(axis=0)) ** 2 / sxx)
    return column


def freedom_after_mixing(times: Column, temperatures: Column, settled: Column) -> Column:
    """The degrees of freedom of that scatter: n − 2 by the part that is beyond the readings' own errors."""
    return np.array([_about(*_settled(times, temperatures, settled))[1]])


def _about(t: Column, c: Column) -> tuple[Column, float]:
    away, slope, _ = _slope(t, c)
    return scatter(c - c.mean(axis=0) - slope * away, len(t) - 2)


def count_from(times: Column, settled: Column) -> Column:
    """How many readings were made from ``settled`` on."""
    return np.array([float((_real(times) >= np.real(settled).mean() - _SLACK).sum())])


def mean_over(times: Column, values: Column) -> Column:
    """The mean of ``values`` over the time from the first to the last reading, straight lines between them."""
    rows = min(len(times), len(values))
    if rows < 2:
        raise CurveError("A mean over time needs at least two readings.")
    t, y = times[:rows], values[:rows]
    column: Column = ((t[1:] - t[:-1]) * (y[1:] + y[:-1]) / 2).sum(axis=0) / (t[-1] - t[0])
    return column


def _real(column: Column) -> Column:
    """The value of each reading; which ones are meant is decided on these."""
    values: Column = np.real(column).reshape(len(column), -1).mean(axis=1)
    return values


def _part(times: Column, temperatures: Column, chosen: Column) -> tuple[Column, Column]:
    rows = min(len(times), len(temperatures))
    return times[:rows][chosen[:rows]], temperatures[:rows][chosen[:rows]]


def _settled(times: Column, temperatures: Column, settled: Column) -> tuple[Column, Column]:
    t, c = _part(times, temperatures, _real(times) >= np.real(settled).mean() - _SLACK)
    if len(t) < _LEAST:
        raise CurveError("Three readings or more are needed after the temperature has settled. Go on reading.")
    return t, c


def _slope(t: Column, c: Column) -> tuple[Column, Column, Column]:
    """How far each reading lies from the mean time, the slope, and the sum of squares of those distances."""
    away = t - t.mean(axis=0)
    sxx = (away * away).sum(axis=0)
    return away, (away * (c - c.mean(axis=0))).sum(axis=0) / sxx, sxx


def _line_at(t: Column, c: Column, when: Column) -> Column:
    _, slope, _ = _slope(t, c)
    column: Column = c.mean(axis=0) + slope * (when - t.mean(axis=0))
    return column
