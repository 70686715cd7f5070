"""From a calibration line to an unknown: inverse prediction, bracket, dilution, and whether the line is one.

s(x₀) = (s/b)·√(1/p + 1/n + (y₀ − ȳ)²/(b²·Sxx)): EURACHEM/CITAC CG4, A5; n − 2 degrees of freedom, because one residual
standard deviation serves readings and line alike. The standards' own uncertainty enters as an error in y of b·u(xᵢ).
"""

from collections.abc import Sequence
from dataclasses import dataclass
from math import ceil, fsum, sqrt

from chromata_core.curves.line import CurveError, Line, line

_ROUND_FACTORS = (2, 4, 5, 10, 20, 25, 50, 100, 200, 250, 500, 1000)
_BEST_PLACE = 0.7  # an unknown is read best in the upper middle of the line


@dataclass(frozen=True, slots=True)
class Unknown:
    """An unknown read off the line: value and standard uncertainty in the unit of x, degrees of freedom of the line.

    ``side`` is “inside”, “below” or “above” the standards; ``dilute`` the factor to use when it is above, else 1.
    """

    value: float
    u: float
    dof: int
    side: str
    dilute: int


def unknown(
    found: Line, xs: Sequence[float], readings: Sequence[float], u_standards: Sequence[float] | None = None
) -> Unknown:
    """The x of ``readings`` of one unknown on the line through standards ``xs``; CurveError for a flat line."""
    if not readings:
        raise CurveError("The unknown has not been read yet.")
    if not found.slope:
        raise CurveError("The line is flat: the readings do not depend on the standards. Was the blank used for all?")
    y0 = fsum(readings) / len(readings)
    x0 = (y0 - found.intercept) / found.slope
    variance = (found.s**2 / len(readings) + found.u_at(x0) ** 2) / found.slope**2
    variance += _of_standards(found, xs, x0, u_standards)
    side = "below" if x0 < min(xs) else "above" if x0 > max(xs) else "inside"
    return Unknown(x0, sqrt(variance), found.dof, side, dilution(x0, max(xs)) if side == "above" else 1)


def _of_standards(found: Line, xs: Sequence[float], x0: float, us: Sequence[float] | None) -> float:
    """Variance that the standards' independent uncertainties bring: each moves the line as an error of y would."""
    if us is None:
        return 0.0
    lever = [found.share + (x0 - found.x_mean) * (x - found.x_mean) / found.sxx for x in xs]
    return fsum((w * u) ** 2 for w, u in zip(lever, us, strict=True))


def dilution(x0: float, highest: float) -> int:
    """A round factor that brings ``x0`` to about two thirds of the highest standard (same unit)."""
    wanted = x0 / (_BEST_PLACE * highest)
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
    found = line(xs, ys)
    zero = _two_sided(found.intercept, found.u_intercept, found.dof)
    bow = None
    if len(xs) > 3 and len(set(xs)) > 3:
        # Residuals against what is left of (x − x̄)² once its own line is taken out: the partial regression.
        squares = [(x - found.x_mean) ** 2 for x in xs]
        left = line(xs, squares).residuals
        size = fsum(value * value for value in left)
        slope = fsum(a * b for a, b in zip(left, found.residuals, strict=True)) / size
        rest = fsum((r - slope * v) ** 2 for r, v in zip(found.residuals, left, strict=True))
        freedom = len(xs) - 3
        bow = _two_sided(slope, sqrt(rest / freedom / size), freedom)
    return LineTests(zero, bow)


def _two_sided(value: float, u: float, dof: int) -> float:
    from scipy.special import stdtr  # slow to import

    if not u:
        return 1.0 if abs(value) < 1e-15 else 0.0
    return float(2 * stdtr(dof, -abs(value / u)))
