"""Two products told apart, or honestly not: Welch's t on published data."""

from unittest import TestCase

from chromata_core.statistics.class_comparison import BenchResult, ClassComparison, class_comparison

# Student's sleep data: W. S. Gosset, Biometrika 6 (1908) 1; extra hours of sleep by two drugs, ten patients each.
# Welch's t as printed in the manual page of R's t.test for them: t = −1.8608, df = 17.776, p = 0.07939.
SLEEP = {
    "drug 1": (0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0.0, 2.0),
    "drug 2": (1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4),
}


def compared(groups: dict[str, tuple[float, ...]], shift: float = 0.0) -> ClassComparison:
    results = [
        BenchResult(number, name, value + (shift if name == "drug 2" else 0), 0.1)
        for name, values in groups.items()
        for number, value in enumerate(values, 1)
    ]
    comparison = class_comparison("Extra sleep", "h", results)
    assert comparison
    return comparison


class Products(TestCase):
    def test_welch_s_p_is_the_published_one_and_means_are_ranked(self) -> None:
        comparison = compared(SLEEP)
        self.assertEqual([product.label for product in comparison.products], ["drug 2", "drug 1"])
        self.assertEqual([round(product.mean, 2) for product in comparison.products], [2.33, 0.75])
        self.assertIn("cannot be told apart by these results (Welch t, p = 0.079)", comparison.sentence)

    def test_a_clear_difference_is_said(self) -> None:
        self.assertIn("drug 2 lies above drug 1", compared(SLEEP, shift=3).sentence)

    def test_one_bench_each_proves_nothing(self) -> None:
        self.assertIn("At least two benches", compared({"a": (1.0,), "b": (2.0,)}).sentence)
        self.assertIn("Welch t", compared({"a": (1.0, 1.2), "b": (2.0, 2.1)}).sentence)

    def test_three_benches_have_a_robust_middle_and_two_have_none(self) -> None:
        [product] = compared({"a": (1.0, 1.1, 1.3)}).products
        self.assertIsNotNone(product.robust)
        [product] = compared({"a": (1.0, 1.1)}).products
        self.assertIsNone(product.robust)

    def test_one_product_gives_mean_and_spread(self) -> None:
        self.assertEqual(compared({"a": (1.00, 1.02)}).sentence, "Mean of 2 benches: 1.010 h, s = 0.014 h.")

    def test_a_bench_far_off_is_marked_and_kept(self) -> None:
        comparison = compared({"a": (1.00, 1.02, 1.01, 1.03, 1.02, 1.60)})
        self.assertEqual((comparison.products[0].suspects, len(comparison.products[0].results)), ([6], 6))
        self.assertIn("Bench 6 lies far from the others", comparison.sentence)

    def test_who_came_closest_is_said_where_the_accepted_value_may_be_seen(self) -> None:
        def said(*values: float, accepted: float | None = 1.0) -> str:
            results = [BenchResult(n, "a", value, 0.1, accepted) for n, value in enumerate(values, 1)]
            comparison = class_comparison("x", "h", results)
            assert comparison
            return comparison.sentence

        self.assertIn("The class reads 2.0 % high, more than chance does (t, p = 0.00083)", said(1.021, 1.020, 1.019))
        self.assertIn("Closest: bench 2, 1.0 % from the accepted value.", said(1.02, 1.01, 0.97))
        self.assertIn("Closest: benches 1 and 2, 2.0 %", said(1.02, 0.98, 0.95))
        for quiet in (said(1.02), said(1.02, 1.01, accepted=None)):
            self.assertNotIn("Closest", quiet)

    def test_nothing_yet(self) -> None:
        self.assertIsNone(class_comparison("x", "", []))
