"""Control charts against published figures, and what is said of the same measured again."""

from unittest import TestCase

from chromata_core.statistics.control import control
from chromata_core.statistics.replicates import TooFewError
from chromata_core.telling.over_time import Held, over_time


class Shewhart(TestCase):
    # NIST/SEMATECH e-Handbook of Statistical Methods 6.3.2.2, flow rates of ten batches: middle 50.81, limits 45.8159
    # and 55.8041 (from memory; ranges 2.0, 2.3, 1.4, 3.5, 3.4, 1.4, 0.2, 1.2, 1.5 by hand: mean 1.8778).
    FLOW = (49.6, 47.6, 49.9, 51.3, 47.8, 51.2, 52.6, 52.4, 53.6, 52.1)

    def test_the_limits_of_the_handbook(self) -> None:
        chart = control(self.FLOW)
        self.assertAlmostEqual(chart.centre, 50.81, 9)
        self.assertAlmostEqual(chart.lower, 45.8159, 3)
        self.assertAlmostEqual(chart.upper, 55.8041, 3)

    def test_each_rule_by_itself(self) -> None:
        """Each row was chosen to break one rule about its own middle."""
        quiet = [0.4, -0.5, 0.3, -0.4, 0.5, -0.3] * 3
        self.assertEqual(control(quiet).signals, [])
        self.assertNotIn("beyond three sigma", {signal.rule for signal in control([*quiet, 2.4]).signals})  # 2.8 sigma
        for extra, rule in (
            ([9.0], "beyond three sigma"),
            ([2.9], "beyond three sigma"),  # 3.3 sigma
            ([1.9, 0.3, 1.9], "two of three beyond two sigma"),
            ([1.1, 1.2, 0.3, 1.1, 1.2], "four of five beyond one sigma"),
            ([0.3, 0.4, 0.3, 0.5, 0.3, 0.4, 0.5, 0.3, 0.4], "eight in a row"),
            ([-0.5, -0.3, -0.1, 0.1, 0.3, 0.4, 0.5], "six steps in a row"),
        ):
            values = [*quiet, *extra]
            signals = control(values).signals
            self.assertTrue(any(rule in signal.rule for signal in signals), (rule, signals))
            mirrored = control([-value for value in values]).signals
            self.assertEqual(
                [(signal.place, signal.rule) for signal in mirrored],
                [(signal.place, signal.rule) for signal in signals],
            )

    def test_four_of_six_are_not_four_of_five(self) -> None:
        """Two to each side of a pair that lies within one sigma."""
        quiet = [0.4, -0.5, 0.3, -0.4, 0.5, -0.3] * 3
        rules = {signal.rule for signal in control([*quiet, 1.1, 1.2, 0.3, 0.2, 1.1, 1.2]).signals}
        self.assertNotIn("four of five beyond one sigma on one side", rules)

    def test_of_the_same_value_again_and_again_nothing_signals(self) -> None:
        chart = control([5.0] * 9)
        self.assertEqual((chart.lower, chart.upper), (5.0, 5.0))
        self.assertEqual([signal for signal in chart.signals if "eight" not in signal.rule], [])

    def test_two_values_make_no_limits(self) -> None:
        with self.assertRaises(TooFewError):
            control([1.0, 2.0])


class Again(TestCase):
    def test_the_last_time_beside_those_before(self) -> None:
        """Welch's t of (98.0, 98.2, 97.9) and (100.1, 99.8, 100.2, 99.9): means 2.0 apart, p below 0.001."""
        before = Held("Mar 25", "Vinegar", (100.1, 99.8, 100.2, 99.9), 100.0)
        now = Held("Mar 26", "Descaler", (49.0, 49.1, 48.95), 50.0)
        past = over_time("Concentration", "g/L", [before, now])
        self.assertIn("lower than chance", past.sentence)
        self.assertIn("% of the accepted value", past.sentence)
        self.assertEqual([time.away for time in past.times], ["0 %", "−2.0 %"])
        self.assertIsNone(past.chart)
        alike = over_time("Concentration", "g/L", [before, Held("Mar 26", "Other", (99.9, 100.2, 100.0), 100.0)])
        self.assertIn("chance makes such a difference", alike.sentence)

    def test_without_accepted_values_one_product_is_held_against_itself(self) -> None:
        rows = [Held(f"{year}", name, (value, value + 0.1)) for year, name, value in
                ((2021, "A", 5.0), (2022, "A", 5.1), (2023, "B", 9.0), (2024, "A", 5.05))]  # fmt: skip
        past = over_time("Content", "g", rows)
        assert past.chart is not None
        self.assertEqual(past.chart.ticks, ["2021", "2022", "2024"])
        self.assertIn("rough", past.chart.sentence)
        self.assertEqual(len(past.times), 4)

    def test_nothing_and_once(self) -> None:
        self.assertEqual(over_time("x", "", []).sentence, "")
        self.assertIn("Nothing like it", over_time("x", "", [Held("now", "", (1.0,))]).sentence)
        self.assertIn("one bench", over_time("x", "", [Held("a", "", (1.0,)), Held("b", "", (2.0,))]).sentence)
