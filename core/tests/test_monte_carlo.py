"""Monte Carlo beside the examples of JCGM 101:2008 and beside the linear budget."""

from math import sqrt
from unittest import TestCase

import numpy as np

from chromata_core.engine.context import context_of
from chromata_core.methods.registry import methods
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.drawn_results import draw_results
from chromata_core.uncertainty.monte_carlo import Draws, monte_carlo, shortest, summary, tolerance

M = 1_000_000


class Additive(TestCase):
    """JCGM 101, 9.2: sums of four inputs with standard deviation 1 (9.2.4: one of them 10). Published figures."""

    def summed(self, kind: str, widest: float = 1.0) -> tuple[float, float, float]:
        def draw(random: np.random.Generator, size: int) -> Draws:
            shapes = [1.0, 1.0, 1.0, widest]
            if kind == "normal":
                return sum((random.normal(0, s, size) for s in shapes), np.zeros(size))
            return sum((random.uniform(-s * sqrt(3), s * sqrt(3), size) for s in shapes), np.zeros(size))

        drawn = monte_carlo(draw, M)
        return drawn.u, drawn.low, drawn.high

    def test_normal(self) -> None:
        u, low, high = self.summed("normal")
        self.assertAlmostEqual(u, 2.00, delta=0.01)
        self.assertAlmostEqual(high, 3.92, delta=0.03)
        self.assertAlmostEqual(low, -3.92, delta=0.03)

    def test_rectangular(self) -> None:
        u, low, high = self.summed("rectangular")
        self.assertAlmostEqual(u, 2.00, delta=0.01)
        self.assertAlmostEqual((high - low) / 2, 3.88, delta=0.02)

    def test_one_dominant_rectangular(self) -> None:
        """Published 10.1 and ± 17.0, where the GUM framework gives ± 19.9."""
        u, low, high = self.summed("rectangular", 10.0)
        self.assertAlmostEqual(u, 10.1, delta=0.05)
        self.assertAlmostEqual((high - low) / 2, 17.0, delta=0.1)


class MassCalibration(TestCase):
    def test_where_first_order_understates(self) -> None:
        """JCGM 101, 9.3: u 0.0754 mg and [1.0834, 1.3825] mg; first order gives 0.0539 (published, from memory)."""

        def draw(random: np.random.Generator, size: int) -> Draws:
            reference, added = random.normal(100_000, 0.05, size), random.normal(1.234, 0.02, size)
            air, weight = random.uniform(1.10, 1.30, size), random.uniform(7000, 9000, size)
            standard = random.uniform(7950, 8050, size)
            mass = (reference + added) * (1 + (air - 1.2) * (1 / weight - 1 / standard)) - 100_000
            return mass

        drawn = monte_carlo(draw, M)
        self.assertAlmostEqual(drawn.mean, 1.2341, delta=0.0004)
        self.assertAlmostEqual(drawn.u, 0.0754, delta=0.0004)
        self.assertAlmostEqual(drawn.high - drawn.low, 0.2991, delta=0.002)
        self.assertAlmostEqual(drawn.low, 1.0834, delta=0.002)


class Draw(TestCase):
    def test_the_same_seed_gives_the_same_and_another_differs(self) -> None:
        def draw(random: np.random.Generator, size: int) -> Draws:
            return random.standard_normal(size)

        self.assertEqual(monte_carlo(draw, 50_000, 7), monte_carlo(draw, 50_000, 7))
        self.assertNotEqual(monte_carlo(draw, 50_000, 7), monte_carlo(draw, 50_000, 8))

    def test_adaptive_draws_stop_when_figures_stand_still(self) -> None:
        def draw(random: np.random.Generator, size: int) -> Draws:
            return random.normal(10, 0.5, size)

        drawn = monte_carlo(draw)
        self.assertLess(drawn.draws, M)
        self.assertAlmostEqual(drawn.u, 0.5, delta=tolerance(0.5, 1) / 5)

    def test_it_stops_at_the_first_block_after_which_all_figures_stand_still(self) -> None:
        """JCGM 101, 7.9.4 d to h, walked through beside it: u, mean and both ends of each block, twice the standard
        deviation of their averages, against half of u's last digit.
        """

        def draw(random: np.random.Generator, size: int) -> Draws:
            return random.lognormal(0, 1.5, size)  # so skew that five blocks do not do

        random, told, blocks = np.random.default_rng(1), monte_carlo(draw), list[Draws]()
        while True:
            blocks.append(draw(random, 20_000))
            figures = [[b.mean(), b.std(ddof=1), *shortest(np.sort(b))] for b in blocks]
            if len(blocks) < 5:
                continue
            s = np.std(figures, axis=0, ddof=1) / sqrt(len(blocks))
            if 2 * s.max() < tolerance(float(np.concatenate(blocks).std(ddof=1)), 1):
                break
        self.assertGreater(len(blocks), 5)
        self.assertEqual(told.draws, 20_000 * len(blocks))

    def test_what_never_stands_still_ends_at_a_million(self) -> None:
        """Six of a hundred draws lie one above in some blocks and one below in others, so that the ends of the interval
        differ from block to block by a whole, and u is only a quarter.
        """

        def draw(random: np.random.Generator, size: int) -> Draws:
            return np.where(np.arange(size) < size * 6 // 100, random.choice((-1.0, 1.0)), 0.0)

        self.assertEqual(monte_carlo(draw).draws, M)

    def test_shortest_interval_of_a_skew_distribution(self) -> None:
        """Exponential: the shortest 95 % begins at zero and ends at −ln 0.05 = 2.9957."""
        ordered = np.sort(np.random.default_rng(2).exponential(1, M))
        low, high = shortest(ordered)
        self.assertAlmostEqual(low, 0.0, delta=0.002)
        self.assertAlmostEqual(high, 2.9957, delta=0.02)

    def test_what_could_not_be_worked_is_left_out_of_a_few_draws(self) -> None:
        drawn = summary(np.array([3.0, np.nan, 1.0, np.inf]))
        self.assertEqual((drawn.draws, drawn.mean, drawn.low, drawn.high), (2, 2.0, 1.0, 3.0))
        self.assertAlmostEqual(drawn.u, sqrt(2), 12)

    def test_tolerance_is_half_the_last_stated_digit(self) -> None:
        """JCGM 101, 7.9.2, example: u = 0.35 with two figures: 0.005."""
        self.assertAlmostEqual(tolerance(0.35, 2), 0.005)
        self.assertAlmostEqual(tolerance(0.0032, 1), 0.0005)


class EveryMethod(TestCase):
    def test_draws_agree_with_the_linear_budget_on_nearly_linear_methods(self) -> None:
        for slug, method in methods().items():
            at = context_of(method, example_sheet(method))
            for result in draw_results(at, 200_000):
                with self.subTest(slug, result=result.key):
                    self.assertTrue(result.agrees or "The width agrees" in result.sentence, result.sentence)

    def test_a_strongly_curved_result_is_told(self) -> None:
        """A titre of half a millilitre divides by a volume known to a third: 1/x is lopsided."""
        method = methods()["standardisation"]
        given = (
            Given("m_before", "18.3021", 1), Given("m_after", "18.2921", 1), Given("V_start", "0.00", 1),
            Given("end_point", "held", 1), Given("V_end", "0.35", 1),
        )  # fmt: skip
        options = {"rough_trial": "no", "end_point_limit": "0.2"}
        drawn_result = draw_results(context_of(method, Sheet(options, {}, given)), 100_000)[0]
        self.assertFalse(drawn_result.agrees)
        self.assertIn("not nearly linear", drawn_result.sentence)
