"""Tests between sets of results: F for spreads, Welch for means, a pooled s over benches, the interval of a mean.

B. L. Welch, Biometrika 34 (1947) 28; F. E. Satterthwaite, Biometrics 2 (1946) 110. F and t by scipy.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from math import sqrt

from chromata_core.statistics.replicates import Replicates, TooFewError, at_least, replicates


@dataclass(frozen=True, slots=True)
class TestOutcome:
    """A test's statistic, its degrees of freedom (one or two) and the two-sided probability by chance."""

    __test__ = False
    statistic: float
    dof: tuple[float, ...]
    p: float


@dataclass(frozen=True, slots=True)
class Interval:
    """A mean with its standard error and the limits at the given confidence, same unit as the values."""

    mean: float
    standard_error: float
    low: float
    high: float


def t_interval(values: Sequence[float], confidence: float = 0.95) -> Interval:
    """Student's interval of the mean of at least two values."""
    from scipy.special import stdtrit

    found = _enough(values)
    error = found.s / sqrt(found.n)
    half = float(stdtrit(found.n - 1, (1 + confidence) / 2)) * error
    return Interval(found.mean, error, found.mean - half, found.mean + half)


def welch(one: Sequence[float], other: Sequence[float]) -> TestOutcome:
    """Whether two means differ, spreads not assumed equal. Without any spread p is 1 for equal means, else 0."""
    from scipy.special import stdtr

    a, b = _enough(one), _enough(other)
    parts = [summary.s**2 / summary.n for summary in (a, b)]
    if not sum(parts):
        return TestOutcome(0.0, (float(a.n + b.n - 2),), 1.0 if a.mean == b.mean else 0.0)
    t = (a.mean - b.mean) / sqrt(sum(parts))
    dof = sum(parts) ** 2 / sum(part**2 / (summary.n - 1) for part, summary in zip(parts, (a, b), strict=True))
    return TestOutcome(t, (dof,), float(2 * stdtr(dof, -abs(t))))


def f_test(one: Sequence[float], other: Sequence[float]) -> TestOutcome:
    """Whether two spreads differ: the larger variance over the smaller, two-sided."""
    from scipy.special import fdtrc

    a, b = sorted((_enough(one), _enough(other)), key=lambda summary: -summary.s)
    if not b.s:
        raise TooFewError("One of the sets does not scatter at all, so spreads cannot be compared.")
    ratio = (a.s / b.s) ** 2
    return TestOutcome(ratio, (a.n - 1.0, b.n - 1.0), min(1.0, 2 * float(fdtrc(a.n - 1, b.n - 1, ratio))))


def pooled_s(groups: Sequence[Sequence[float]]) -> tuple[float, int]:
    """Standard deviation within groups, and its degrees of freedom: √(Σ(nᵢ − 1)sᵢ² / Σ(nᵢ − 1))."""
    summaries = [replicates(group) for group in groups if len(group) > 1]
    freedom = sum(summary.n - 1 for summary in summaries)
    if not freedom:
        raise TooFewError("A pooled s needs at least one group of two values.")
    return sqrt(sum((summary.n - 1) * summary.s**2 for summary in summaries) / freedom), freedom


def one_way(groups: Sequence[Sequence[float]]) -> TestOutcome:
    """One-way analysis of variance: do the groups' means differ more than the values within them scatter?"""
    from scipy.special import fdtrc

    everything = [value for group in groups for value in group]
    within, freedom = pooled_s(groups)
    if len(groups) < 2 or not within:
        raise TooFewError("Comparing means needs two groups or more, and values that scatter within them.")
    grand = sum(everything) / len(everything)
    means = [(len(group), sum(group) / len(group)) for group in groups]
    between = sum(n * (mean - grand) ** 2 for n, mean in means) / (len(groups) - 1)
    ratio = between / within**2
    return TestOutcome(ratio, (len(groups) - 1.0, float(freedom)), float(fdtrc(len(groups) - 1, freedom, ratio)))


def _enough(values: Sequence[float]) -> Replicates:
    return at_least(values, 2, "A spread")
