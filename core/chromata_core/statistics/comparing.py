"""Whether a mean differs from others' (Welch's test, Biometrika 34 (1947) 28) or from a value; by scipy."""

from collections.abc import Sequence
from dataclasses import dataclass

from chromata_core.statistics.replicates import at_least


@dataclass(frozen=True, slots=True)
class TestOutcome:
    """A test's statistic, its degrees of freedom and the two-sided probability by chance."""

    __test__ = False
    statistic: float
    dof: float
    p: float


def welch(first: Sequence[float], other: Sequence[float]) -> TestOutcome:
    """Whether two means differ, spreads not assumed equal. Without any spread p is 1 for equal means, else 0."""
    from scipy.stats import ttest_ind  # slow to import

    a, b = (at_least(values, 2, "A spread") for values in (first, other))
    if not (a.s or b.s):
        return TestOutcome(0.0, float(a.n + b.n - 2), 1.0 if a.mean == b.mean else 0.0)
    test = ttest_ind(first, other, equal_var=False)
    return TestOutcome(float(test.statistic), float(test.df), float(test.pvalue))


def against(values: Sequence[float], true: float) -> TestOutcome:
    """Whether the mean of ``values`` differs from a ``true`` one (Student's t, n − 1). Without spread p is 1 or 0."""
    from scipy.stats import ttest_1samp  # slow to import

    summary = at_least(values, 2, "A spread")
    if not summary.s:
        return TestOutcome(0.0, float(summary.n - 1), 1.0 if summary.mean == true else 0.0)
    test = ttest_1samp(values, true)
    return TestOutcome(float(test.statistic), float(summary.n - 1), float(test.pvalue))
