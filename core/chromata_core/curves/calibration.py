"""From a calibration line to an unknown: reading off, dilution, and whether the line is one.

Reading off is done on columns: lists are arrays whose first axis runs over the standards; further axes (perturbed or
random columns) go through every step. x₀ = (y₀ − b₀)/b₁ with s(x₀)² = (s/b)²·(1/p + 1/n + (y₀ − ȳ)²/(b²·Sxx)):
EURACHEM/CITAC CG4, A5. The first term belongs to the readings of this unknown, the others to the line and so to every
unknown read off it. s is what the points scatter beyond their own errors; its n − 2 degrees of freedom count by the
part that this is of all that they scatter (docs/decisions/0021).
"""

from collections.abc import Sequence
from dataclasses import dataclass
from math import ceil, fsum, sqrt

import numpy as np

from chromata_core.curves.line import CurveError, TooFewPoints, line
from chromata_core.quantity.column import Column
from chromata_core.uncertainty.columns import STEP

_LEAST = 3
_ROUND_FACTORS = (2, 4, 5, 10, 20, 25, 50, 100, 200, 250, 500, 1000)
_BEST_PLACE = 0.7  # an unknown is read best in the upper middle of the line


@dataclass(frozen=True, slots=True)
class _Fit:
    """A line through columns of points: its slope, a point on it, and what its uncertainty needs."""

    slope: Column
    x_mean: Column
    y_mean: Column
    sxx: Column
    share: float
    s: Column
    freedom: float


def _fit(xs: Column, ys: Column, origin: bool) -> _Fit:
    if len(xs) != len(ys) or len(xs) < (_LEAST - origin):
        raise TooFewPoints(f"A line needs at least {_LEAST - origin} standards, each with its reading.")
    x_mean, y_mean = (np.zeros(1), np.zeros(1)) if origin else (xs.mean(axis=0), ys.mean(axis=0))
    dx, dy = xs - x_mean, ys - y_mean
    sxx = (dx * dx).sum(axis=0)
    slope = (dx * dy).sum(axis=0) / sxx
    s, freedom = scatter(dy - slope * dx, len(xs) - (1 if origin else 2))
    return _Fit(slope, x_mean, y_mean, sxx=sxx, share=0.0 if origin else 1 / len(xs), s=s, freedom=freedom)


def scatter(rest: Column, freedom: int) -> tuple[Column, float]:
    """The residual standard deviation beyond what the points' own errors make, and what its degrees of freedom count.

    Residuals that carry errors (a complex step along each source) tell how far these alone scatter about the line.
    """
    seen = (np.real(rest) ** 2).sum(axis=0) / freedom
    known = float((np.imag(rest) ** 2).sum()) / STEP**2 / freedom if np.iscomplexobj(rest) else 0.0
    excess: Column = np.maximum(seen - known, 0.0)
    of, all_seen = float(excess.flat[0]), float(seen.flat[0])
    return np.sqrt(excess), freedom * of / all_seen if all_seen else 0.0


def line_x(xs: Column, ys: Column, y0: Column) -> Column:
    """The x at which the line through (xs, ys) has the height ``y0``; CurveError for fewer than three points."""
    fit = _fit(xs, ys, origin=False)
    column: Column = fit.x_mean + (y0 - fit.y_mean) / fit.slope
    return column


def line_slope(xs: Column, ys: Column) -> Column:
    """The slope of the line through (xs, ys); CurveError for fewer than three points."""
    return _fit(xs, ys, origin=False).slope


def line_slope_origin(xs: Column, ys: Column) -> Column:
    """The slope of the line through the origin; CurveError for fewer than two points."""
    return _fit(xs, ys, origin=True).slope


def line_intercept(xs: Column, ys: Column) -> Column:
    """Its height at x = 0."""
    fit = _fit(xs, ys, origin=False)
    column: Column = fit.y_mean - fit.slope * fit.x_mean
    return column


def doubt_of_slope(xs: Column, ys: Column) -> Column:
    """Standard uncertainty of the slope from the scatter about the line: s/√Sxx."""
    fit = _fit(xs, ys, origin=False)
    column: Column = fit.s / np.sqrt(np.real(fit.sxx))
    return column


def doubt_of_slope_origin(xs: Column, ys: Column) -> Column:
    """The same of the line through the origin: s/√Σx²."""
    fit = _fit(xs, ys, origin=True)
    column: Column = fit.s / np.sqrt(np.real(fit.sxx))
    return column


def scatter_about(xs: Column, ys: Column) -> Column:
    """The residual standard deviation of the points about their line, beyond what their own errors make."""
    return _fit(xs, ys, origin=False).s


def scatter_about_origin(xs: Column, ys: Column) -> Column:
    """The same about the line through the origin."""
    return _fit(xs, ys, origin=True).s


def freedom_about(xs: Column, ys: Column) -> Column:
    """The degrees of freedom of ``scatter_about``: n − 2 by the part it is of all that the points scatter."""
    return np.array([_fit(xs, ys, origin=False).freedom])


def freedom_about_origin(xs: Column, ys: Column) -> Column:
    """The same about the line through the origin: n − 1 by that part."""
    return np.array([_fit(xs, ys, origin=True).freedom])


def doubt_of_middle(xs: Column, ys: Column) -> Column:
    """Standard uncertainty of the line's height at the mean of x, s/√n: it and that of the slope are independent."""
    fit = _fit(xs, ys, origin=False)
    column: Column = fit.s * sqrt(fit.share)
    return column


def doubt_of_intercept(xs: Column, ys: Column) -> Column:
    """Standard uncertainty of the height at x = 0: s·√(1/n + x̄²/Sxx)."""
    fit = _fit(xs, ys, origin=False)
    column: Column = fit.s * np.sqrt(np.real(fit.share + fit.x_mean * fit.x_mean / fit.sxx))
    return column


def inside(ys: Column, y0: Column) -> Column:
    """``y0`` itself if it lies between the standards; CurveError if the line would have to be drawn beyond them."""
    known, here = np.real(ys).reshape(len(ys), -1).mean(axis=1), float(np.real(y0).mean())
    if not known.min() <= here <= known.max():
        raise CurveError("The reading lies outside the standards. Dilute it, or make another standard.")
    return y0


def line_x_origin(xs: Column, ys: Column, y0: Column) -> Column:
    """The same by a line through the origin, from two points on."""
    column: Column = y0 / _fit(xs, ys, origin=True).slope
    return column


def scatter_of_reading(xs: Column, ys: Column, y0: Column, times: Column) -> Column:
    """s/(b·√p): standard uncertainty in x of the mean of ``times`` readings of one unknown, from the line's scatter."""
    return _of_reading(_fit(xs, ys, origin=False), y0, times)


def _of_reading(fit: _Fit, y0: Column, times: Column) -> Column:
    column: Column = np.abs(fit.s / np.real(fit.slope)) / np.sqrt(np.real(times)) + 0 * np.real(y0)
    return column


def scatter_of_reading_origin(xs: Column, ys: Column, y0: Column, times: Column) -> Column:
    """The same with the scatter about the line through the origin."""
    return _of_reading(_fit(xs, ys, origin=True), y0, times)


def doubt_of_line(xs: Column, ys: Column, y0: Column) -> Column:
    """Standard uncertainty in x of the line itself at ``y0``: (s/b)·√(1/n + (y₀ − ȳ)²/(b²·Sxx))."""
    return _doubt_of(_fit(xs, ys, origin=False), y0)


def doubt_of_line_origin(xs: Column, ys: Column, y0: Column) -> Column:
    """The same of the line through the origin: (s/b)·|y₀/b|/√Σx²."""
    return _doubt_of(_fit(xs, ys, origin=True), y0)


def _doubt_of(fit: _Fit, y0: Column) -> Column:
    away = (y0 - fit.y_mean) / fit.slope
    column: Column = np.abs(fit.s / np.real(fit.slope)) * np.sqrt(np.real(fit.share + away * away / fit.sxx))
    return column


def peak_at(xs: Column, ys: Column) -> Column:
    """The x of the highest point; CurveError while it stands at an end, for then the top may lie beyond."""
    if len(xs) != len(ys) or len(xs) < _LEAST:
        raise TooFewPoints("A peak needs at least three points.")
    top = int(np.real(ys).reshape(len(ys), -1).mean(axis=1).argmax())
    if top in (0, len(ys) - 1):
        raise CurveError("The highest point stands at the end; the peak may lie beyond it.")
    column: Column = xs[top]
    return column


def dilution(x0: float, highest: float) -> int:
    """A round factor that brings ``x0`` to about two thirds of the highest standard (same unit)."""
    wanted = x0 / (_BEST_PLACE * highest) * (1 - 1e-9)  # 700 / 0.7 is 1000 on paper, a hair more in binary
    return next((factor for factor in _ROUND_FACTORS if factor >= wanted), ceil(wanted))


@dataclass(frozen=True, slots=True)
class LineTests:
    """Two-sided probabilities: that the intercept is zero, that there is no curvature (None: too few points)."""

    intercept_zero: float
    no_curvature: float | None

    @property
    def bent(self) -> bool:
        """Whether the residuals show a bow that chance hardly explains."""
        return self.no_curvature is not None and self.no_curvature < 0.05


def line_tests(xs: Sequence[float], ys: Sequence[float]) -> LineTests:
    """t test of the intercept, and of the quadratic term of a parabola through the same points."""
    fitted = line(xs, ys)
    zero = _two_sided(fitted.intercept, fitted.u_intercept, fitted.dof)
    bow = None
    if len(set(xs)) > 3:
        # Residuals against what is left of (x − x̄)² once its own line is taken out: the partial regression.
        squares = [(x - fitted.x_mean) ** 2 for x in xs]
        left = line(xs, squares).residuals
        size = fsum(value * value for value in left)
        slope = fsum(a * b for a, b in zip(left, fitted.residuals, strict=True)) / size
        rest = fsum((r - slope * v) ** 2 for r, v in zip(fitted.residuals, left, strict=True))
        freedom = len(xs) - 3
        bow = _two_sided(slope, sqrt(rest / freedom / size), freedom)
    return LineTests(zero, bow)


def _two_sided(value: float, u: float, dof: int) -> float:
    from scipy.special import stdtr  # slow to import

    if not u:
        return 1.0 if abs(value) < 1e-15 else 0.0
    return float(2 * stdtr(dof, -abs(value / u)))
