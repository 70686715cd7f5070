"""A straight line by least squares: with intercept, through the origin, or weighted.

Sums are taken about the weighted mean and exactly (fsum), so that nothing is lost to large values (NIST StRD Norris).
"""

from collections.abc import Sequence
from dataclasses import dataclass
from math import fsum, sqrt

from chromata_core.errors import ChromataError


class CurveError(ChromataError):
    """Points through which the wanted curve cannot be drawn."""

    code = "curve"


class TooFewPoints(CurveError):
    """Too few points, or more of one kind than of the other, whatever their values are."""


@dataclass(frozen=True, slots=True)
class Line:
    """y = intercept + slope·x with standard errors; ``s`` is the residual standard deviation with ``dof``.

    ``share`` (1/Σw, 0 through the origin), ``x_mean``, ``y_mean`` and ``sxx`` are what inverse prediction needs.
    """

    slope: float
    intercept: float
    u_slope: float
    u_intercept: float
    s: float
    dof: int
    r2: float
    n: int
    share: float
    x_mean: float
    y_mean: float
    sxx: float
    residuals: tuple[float, ...]
    through_origin: bool

    def at(self, x: float) -> float:
        """The line's y at ``x``."""
        return self.intercept + self.slope * x


def line(
    xs: Sequence[float], ys: Sequence[float], weights: Sequence[float] | None = None, through_origin: bool = False
) -> Line:
    """The line through at least three points (two through the origin); CurveError with a sentence otherwise."""
    w = list(weights) if weights is not None else [1.0] * len(xs)
    _check(xs, ys, w, through_origin)
    total = fsum(w)
    x_mean = 0.0 if through_origin else fsum(a * x for a, x in zip(w, xs, strict=True)) / total
    y_mean = 0.0 if through_origin else fsum(a * y for a, y in zip(w, ys, strict=True)) / total
    sxx = fsum(a * (x - x_mean) ** 2 for a, x in zip(w, xs, strict=True))
    syy = fsum(a * (y - y_mean) ** 2 for a, y in zip(w, ys, strict=True))
    sxy = fsum(a * (x - x_mean) * (y - y_mean) for a, x, y in zip(w, xs, ys, strict=True))
    if not sxx:
        raise CurveError("All points have the same x. A line needs standards that differ.")
    slope = sxy / sxx
    residuals = tuple((y - y_mean) - slope * (x - x_mean) for x, y in zip(xs, ys, strict=True))
    rss = fsum(a * r * r for a, r in zip(w, residuals, strict=True))
    dof = len(xs) - (1 if through_origin else 2)
    s = sqrt(rss / dof)
    share = 0.0 if through_origin else 1 / total
    u_intercept = 0.0 if through_origin else s * sqrt(share + x_mean**2 / sxx)
    return Line(
        slope, y_mean - slope * x_mean, s / sqrt(sxx), u_intercept, s, dof, 1 - rss / syy if syy else 1.0, len(xs),
        share, x_mean, y_mean, sxx, residuals, through_origin,
    )  # fmt: skip


def _check(xs: Sequence[float], ys: Sequence[float], weights: Sequence[float], through_origin: bool) -> None:
    if not len(xs) == len(ys) == len(weights):
        raise TooFewPoints(f"{len(xs)} x and {len(ys)} y do not pair up. Every standard needs its reading.")
    least = 2 if through_origin else 3
    if len(xs) < least:
        raise TooFewPoints(f"A line with its uncertainty needs at least {least} points; there are {len(xs)}.")
    if any(not weight > 0 for weight in weights):
        raise CurveError("Every weight must be greater than zero.")
