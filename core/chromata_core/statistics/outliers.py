"""Suspect values in a set: Dixon's Q and Grubbs' G, with critical values computed, not copied.

Grubbs: critical value from Student's t (F. E. Grubbs, Technometrics 11 (1969) 1; NIST/SEMATECH e-Handbook 1.3.5.17.1).
Dixon: r10 ratio; its critical value is the quantile of the exact distribution for a normal sample, by integration
(W. J. Dixon, Ann. Math. Stat. 22 (1951) 68). Whatever is suspected is marked, never dropped.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from math import sqrt

import numpy as np
from numpy.typing import NDArray

from chromata_core.statistics.replicates import TooFewError, at_least

_Array = NDArray[np.float64]


@dataclass(frozen=True, slots=True)
class Suspect:
    """The value furthest out: its position, the test's ratio and critical value, whether it may be marked."""

    test: str
    index: int
    value: float
    ratio: float
    critical: float

    @property
    def outlier(self) -> bool:
        """Whether chance alone hardly explains it."""
        return self.ratio > self.critical


def dixon(values: Sequence[float], confidence: float = 0.95) -> Suspect:
    """Dixon's Q of the value with the larger gap, two-sided at ``confidence``; three to thirty values."""
    if not 3 <= len(values) <= 30:
        raise TooFewError(f"Dixon’s Q needs 3 to 30 values; there are {len(values)}.", n=len(values))
    order = sorted(range(len(values)), key=values.__getitem__)
    low, high = values[order[0]], values[order[-1]]
    spread = high - low
    gaps = (values[order[1]] - low, high - values[order[-2]])
    side = 0 if gaps[0] > gaps[1] else -1
    ratio = max(gaps) / spread if spread else 0.0
    return Suspect("Dixon Q", order[side], values[order[side]], ratio, dixon_critical(len(values), confidence))


def grubbs(values: Sequence[float], confidence: float = 0.95) -> Suspect:
    """Grubbs' G of the value furthest from the mean, two-sided at ``confidence``; three values or more."""
    summary = at_least(values, 3, "Grubbs’ test")
    index = max(range(summary.n), key=lambda i: abs(values[i] - summary.mean))
    ratio = abs(values[index] - summary.mean) / summary.s if summary.s else 0.0
    return Suspect("Grubbs", index, values[index], ratio, grubbs_critical(summary.n, confidence))


def apart(values: Sequence[float], most: int, confidence: float = 0.95) -> list[int]:
    """The positions of up to ``most`` values that stand apart, the farthest first: generalised ESD, which two that
    stand together cannot deceive (B. Rosner, Technometrics 25 (1983) 165; NIST/SEMATECH e-Handbook 1.3.5.17.3).
    """
    left, taken, outliers = list(range(len(values))), list[int](), 0
    while len(left) >= 3 and len(taken) < most:
        suspect = grubbs([values[i] for i in left], confidence)
        taken.append(left.pop(suspect.index))
        outliers = len(taken) if suspect.outlier else outliers
    return taken[:outliers]


@lru_cache(maxsize=256)
def grubbs_critical(n: int, confidence: float = 0.95) -> float:
    """Two-sided critical G for ``n`` values: (n − 1)/√n · √(t²/(n − 2 + t²)) with t at α/2n and n − 2."""
    from scipy.special import stdtrit  # slow to import

    t2 = float(stdtrit(n - 2, 1 - (1 - confidence) / (2 * n))) ** 2
    return (n - 1) / sqrt(n) * sqrt(t2 / (n - 2 + t2))


@lru_cache(maxsize=256)
def dixon_critical(n: int, confidence: float = 0.95) -> float:
    """Two-sided critical Q (r10) for ``n`` values: each end is tested at half of 1 − confidence."""
    from scipy.optimize import brentq

    upper = (1 + confidence) / 2
    return float(brentq(lambda ratio: _dixon_below(ratio, n) - upper, 1e-6, 1 - 1e-9, xtol=1e-6))


def _dixon_below(ratio: float, n: int) -> float:
    """Probability that the upper r10 of ``n`` normal values is at most ``ratio``.

    With the greatest at x and the range v, the next lies between x − ratio·v and x with the density
    n(n−1)(n−2) φ(x) φ(x−v) φ(x−r v) [Φ(x−r v) − Φ(x−v)]^(n−3) v, integrated over x, v and r from ratio to 1.
    """
    nodes, weights = np.polynomial.legendre.leggauss(48)
    x, wx = _on(nodes, weights, -8.0, 8.0)
    v, wv = _on(nodes, weights, 0.0, 14.0)
    r, wr = _on(nodes, weights, ratio, 1.0)
    grid_x, grid_v, grid_r = np.meshgrid(x, v, r, indexing="ij", sparse=True)
    inner = _cumulative(grid_x - grid_r * grid_v) - _cumulative(grid_x - grid_v)
    density = _normal(grid_x) * _normal(grid_x - grid_v) * _normal(grid_x - grid_r * grid_v)
    density = density * np.maximum(inner, 0.0) ** (n - 3) * grid_v
    above = np.einsum("ijk,i,j,k->", density, wx, wv, wr)
    return 1.0 - float(n * (n - 1) * (n - 2) * above)


def _on(nodes: _Array, weights: _Array, low: float, high: float) -> tuple[_Array, _Array]:
    half = (high - low) / 2
    return low + half * (nodes + 1), weights * half


def _normal(x: _Array) -> _Array:
    density: _Array = np.exp(-x * x / 2) / sqrt(2 * np.pi)
    return density


def _cumulative(x: _Array) -> _Array:
    from scipy.special import ndtr

    below: _Array = ndtr(x)
    return below
