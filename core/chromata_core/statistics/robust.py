"""Robust location and scale of a class set, where one odd bench must not move the answer.

Median, MAD × 1.4826 (consistent for a normal), and Huber's M-estimator "proposal 2" as analytical chemists use it
(Analytical Methods Committee, Analyst 114 (1989) 1693: winsorising at k = 1.5).
"""

from collections.abc import Sequence
from dataclasses import dataclass
from math import erf, exp, pi, sqrt
from statistics import median

import numpy as np

from chromata_core.statistics.replicates import at_least

MAD_FACTOR = 1.4826
_K = 1.5
_STEPS = 500
_NOTHING = 1e-16  # of the mean: where most values are the same, s shrinks to it


@dataclass(frozen=True, slots=True)
class Robust:
    """Median and scaled MAD; Huber's mean and standard deviation."""

    n: int
    median: float
    mad: float
    huber_mean: float
    huber_s: float


def robust(values: Sequence[float], k: float = _K) -> Robust:
    """Robust summary of at least three values; TooFewError otherwise."""
    plain = at_least(values, 3, "A robust mean")
    centre = median(values)
    mad = MAD_FACTOR * median(abs(value - centre) for value in values)
    mean, s = _huber(values, centre, mad or plain.s, k)
    return Robust(plain.n, centre, mad, mean, s)


def _huber(values: Sequence[float], mean: float, s: float, k: float) -> tuple[float, float]:
    """Proposal 2: winsorised mean, and winsorised s corrected for a normal set, until both stay. What is summed is
    how far values lie from the first ``mean``, so that large ones lose no digits.
    """
    beta, about, off = _beta(k), np.array(values) - mean, 0.0
    for _ in range(_STEPS):
        pulled = np.clip(about, off - k * s, off + k * s)
        new_off, new_s = float(pulled.mean()), float(pulled.std(ddof=1)) / sqrt(beta)
        settled = abs(new_off - off) <= 1e-10 * (abs(mean + off) + s) and abs(new_s - s) <= 1e-10 * (s or 1.0)
        off, s = new_off, new_s
        if settled or s <= _NOTHING * abs(mean):
            break
    return mean + off, s if s > _NOTHING * abs(mean) else 0.0


def _beta(k: float) -> float:
    """Expected square of a standard normal winsorised at ±k: 0.778 for k = 1.5."""
    inside, density = erf(k / sqrt(2)), exp(-k * k / 2) / sqrt(2 * pi)
    return inside - 2 * k * density + k * k * (1 - inside)
