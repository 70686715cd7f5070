"""Replicates and agreement rules beside Python's ``statistics`` and scipy, and Student's t beside printed tables."""

import statistics
from itertools import combinations
from unittest import TestCase

from hypothesis import given
from hypothesis import strategies as st
from scipy import stats

from chromata_core.statistics.agreement import POLICIES, agreement
from chromata_core.statistics.class_band import class_band
from chromata_core.statistics.replicates import replicates
from chromata_core.uncertainty.budget import coverage_factor

values = st.lists(st.floats(1, 100), min_size=2, max_size=12)


class Summary(TestCase):
    @given(values)
    def test_mean_and_s_are_those_of_the_standard_library(self, xs: list[float]) -> None:
        summary = replicates(xs)
        self.assertAlmostEqual(summary.mean, statistics.fmean(xs), places=9)
        self.assertAlmostEqual(summary.s, statistics.stdev(xs), places=9)

    def test_relative_average_deviation_by_hand(self) -> None:
        """9.8, 10.0, 10.2: deviations 0.2, 0, 0.2 → mean 0.1333 → 1.333 %."""
        self.assertAlmostEqual(replicates([9.8, 10.0, 10.2]).rad, 0.013333, places=6)

    def test_coverage_factor_is_student_s_t(self) -> None:
        """Two-sided 95 %: GUM table G.2 (p = 95 %)."""
        for dof, t in ((1, 12.71), (2, 4.30), (3, 3.18), (5, 2.57), (10, 2.23), (20, 2.09)):
            self.assertAlmostEqual(coverage_factor(dof), t, places=2)
        # Between whole numbers it is interpolated, which GUM G.4.1 leaves open beside truncating: no jumps.
        for dof in (1.7, 2.9, 16.74, 33.3):
            self.assertAlmostEqual(coverage_factor(dof), stats.t.ppf(0.975, dof), places=4)
        self.assertEqual(coverage_factor(0.2), coverage_factor(1))
        self.assertEqual(coverage_factor(float("inf")), 2.0)


class Agreement(TestCase):
    def test_the_largest_tightest_set_that_meets_the_rule(self) -> None:
        agreed = agreement([21.54, 21.77, 21.58, 21.61], POLICIES["range"], 0.10)
        self.assertEqual((agreed.agree, agreed.members), (True, (0, 2, 3)))

    @given(st.lists(st.integers(1000, 3000), min_size=2, max_size=6), st.integers(1, 40))
    def test_members_meet_the_rule_or_nobody_agrees(self, hundredths: list[int], limit: int) -> None:
        xs = [h / 100 for h in hundredths]
        agreed = agreement(xs, POLICIES["range"], limit / 100)
        chosen = [hundredths[i] for i in agreed.members]
        self.assertEqual(agreed.agree, max(chosen) - min(chosen) <= limit)
        if not agreed.agree:
            self.assertEqual(len(chosen), len(xs))

    @given(
        st.lists(st.integers(1, 40), min_size=2, max_size=7),
        st.sampled_from(sorted(POLICIES)),
        st.sampled_from([0.001, 0.02, 0.1, 0.3]),
        st.integers(2, 3),
    )
    def test_as_if_every_set_were_tried(self, hundredths: list[int], policy: str, limit: float, needed: int) -> None:
        xs = [20 + h / 100 for h in hundredths]
        rule = POLICIES[policy]
        sizes = range(len(xs), needed - 1, -1)
        by_size = (
            min(
                (rule.measure(replicates([xs[i] for i in chosen])), chosen)
                for chosen in combinations(range(len(xs)), n)
            )
            for n in sizes
        )
        best = next((chosen for measure, chosen in by_size if measure <= limit * (1 + 1e-9)), None)
        agreed = agreement(xs, rule, limit, needed)
        self.assertEqual((agreed.agree, agreed.members), (best is not None, best or tuple(range(len(xs)))))

    def test_forty_trials_are_no_more_than_work(self) -> None:
        """Every set of forty would be a million million of them."""
        agreed = agreement([20 + 0.5 * n for n in range(40)], POLICIES["range"], 1.2)
        self.assertEqual((agreed.agree, agreed.members), (True, (0, 1, 2)))


class Band(TestCase):
    def test_stands_on_the_accepted_value_else_on_the_median(self) -> None:
        with_accepted = class_band([1.0, 2.0], [0.1, 0.1], 1.5)
        without = class_band([1.0, 1.1, 9.0], [0.1, 0.1, 0.1], None)
        assert with_accepted and without
        self.assertEqual(((with_accepted.low + with_accepted.high) / 2, with_accepted.centre), (1.5, "accepted"))
        self.assertAlmostEqual((without.low + without.high) / 2, 1.1)
        self.assertIsNone(class_band([], [], None))

    def test_it_is_two_expanded_uncertainties_to_either_side(self) -> None:
        for expanded, half in (([0.1, 0.3, 0.2], 0.4), ([], 0.1), ([0.0], 0.1)):  # else twice 1 % of the middle
            band = class_band([], expanded, 5.0)
            assert band is not None
            limits = (band.low, band.high, band.axis_low, band.axis_high)
            for end, away in zip(limits, (-half, half, -3 * half, 3 * half), strict=True):
                self.assertAlmostEqual(end, 5.0 + away, 12)
