"""Suspect values and robust summaries beside printed tables and an open data set."""

from unittest import TestCase

from scipy import stats

from chromata_core.statistics.comparing import welch
from chromata_core.statistics.outliers import dixon, dixon_critical, grubbs, grubbs_critical
from chromata_core.statistics.replicates import TooFewError
from chromata_core.statistics.robust import robust

# Copper in wholemeal flour, µg/g, 24 laboratories: Analytical Methods Committee, Analyst 114 (1989) 1693 (data set
# ``chem`` of the R package MASS). Median 3.385, MAD × 1.4826 0.526323, largest G 4.656926; the paper's Huber mean 3.21
# and s 0.67.
FLOUR = (
    2.9, 3.1, 3.4, 3.4, 3.7, 3.7, 2.8, 2.5, 2.4, 2.4, 2.7, 2.2, 5.28, 3.37, 3.03, 3.03, 28.95, 3.77, 3.4, 2.2, 3.5, 3.6,
    3.7, 3.7,
)  # fmt: skip


class Critical(TestCase):
    def test_grubbs_against_printed_table(self) -> None:
        """Two-sided 95 %: Grubbs and Beck, Technometrics 14 (1972) 847; ISO 5725-2, table 5 (both from memory)."""
        for n, g in ((3, 1.155), (4, 1.481), (5, 1.715), (6, 1.887), (7, 2.020), (8, 2.126), (10, 2.290), (20, 2.709)):
            self.assertAlmostEqual(grubbs_critical(n), g, delta=0.0015)

    def test_dixon_against_printed_table(self) -> None:
        """Two-sided 95 %, r10: D. B. Rorabacher, Anal. Chem. 63 (1991) 139, interpolated; from memory."""
        for n, q in ((3, 0.970), (4, 0.829), (5, 0.710), (7, 0.568), (8, 0.526), (10, 0.466)):
            self.assertAlmostEqual(dixon_critical(n), q, delta=0.0015)
        self.assertAlmostEqual(dixon_critical(6), 0.625, delta=0.0035)


class Suspects(TestCase):
    def test_flour_has_one(self) -> None:
        suspect = grubbs(FLOUR)
        self.assertEqual((suspect.value, suspect.outlier), (28.95, True))
        self.assertAlmostEqual(suspect.ratio, 4.656926, places=6)

    def test_three_titres_need_a_wide_gap(self) -> None:
        self.assertFalse(dixon((21.54, 21.61, 21.58)).outlier)
        self.assertTrue(dixon((21.54, 21.55, 22.90)).outlier)
        self.assertEqual(dixon((20.10, 21.54, 21.55)).index, 0)

    def test_two_values_are_refused_with_a_sentence(self) -> None:
        for test in (dixon, grubbs):
            with self.assertRaisesRegex(TooFewError, "there are 2"):
                test((1.0, 2.0))

    def test_values_without_spread_have_no_outlier(self) -> None:
        self.assertFalse(grubbs((5.0, 5.0, 5.0)).outlier)
        self.assertFalse(dixon((5.0, 5.0, 5.0)).outlier)


class RobustSummary(TestCase):
    def test_copper_in_flour(self) -> None:
        summary = robust(FLOUR)
        self.assertAlmostEqual(summary.median, 3.385)
        self.assertAlmostEqual(summary.mad, 0.526323, places=6)
        self.assertAlmostEqual(summary.huber_mean, 3.21, delta=0.005)
        self.assertAlmostEqual(summary.huber_s, 0.67, delta=0.01)

    def test_a_clean_set_is_left_nearly_alone(self) -> None:
        self.assertAlmostEqual(robust((1.00, 1.01, 1.02, 1.03, 1.04)).huber_mean, 1.02)

    def test_where_most_are_the_same_nothing_scatters(self) -> None:
        """By the rule itself: s shrinks at each step, to zero; the smallest doubles are no scatter."""
        summary = robust((0.133,) * 30 + (0.13, 0.134, 0.137))
        self.assertEqual((summary.huber_mean, summary.huber_s), (0.133, 0.0))


class BetweenSets(TestCase):
    one, other = (10.1, 10.3, 9.8, 10.0, 10.2), (10.6, 10.9, 10.4, 11.3)

    def test_welch_worked_by_hand(self) -> None:
        """Means 10.08 and 10.80, s² 0.037 and 0.46/3: t = −0.72/√(0.0074 + 0.038333), ν by Satterthwaite's formula."""
        parts = (0.037 / 5, 0.46 / 3 / 4)
        test_outcome = welch(self.one, self.other)
        self.assertAlmostEqual(test_outcome.statistic, -0.72 / sum(parts) ** 0.5, places=10)
        self.assertAlmostEqual(test_outcome.dof, sum(parts) ** 2 / (parts[0] ** 2 / 4 + parts[1] ** 2 / 3), places=10)
        self.assertAlmostEqual(test_outcome.p, 2 * stats.t.sf(-test_outcome.statistic, test_outcome.dof), places=12)
