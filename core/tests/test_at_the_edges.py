"""Edges at which a small mistake of ours would show nowhere else: the last place, the first row, a clock that does not
begin at zero. Every number is worked by hand beside its test, or stands in the definition that is named.
"""

from unittest import TestCase

import numpy as np

from chromata_core.curves.calibration import dilution, peak_at
from chromata_core.curves.line import CurveError
from chromata_core.curves.mixing import count_from, mean_over
from chromata_core.engine.inputs import inputs_of
from chromata_core.engine.numeric_pass import compute
from chromata_core.formula.functions import FUNCTIONS
from chromata_core.methods.registry import method
from chromata_core.quantity.given import limit_in, read_in, written_in
from chromata_core.quantity.rounding import place_for_figures, with_figures
from chromata_core.quantity.typed import parse_reading
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.statistics.outliers import dixon
from chromata_core.statistics.replicates import TooFewError
from chromata_core.uncertainty.columns import columns_of
from chromata_core.uncertainty.source import Input, Source


def column(*values: float) -> "np.ndarray[tuple[int, ...], np.dtype[np.complex128]]":
    """Readings as columns of one source."""
    return np.array([[value] for value in values], dtype=complex)


class Columns(TestCase):
    def test_a_mean_over_time_counts_from_its_own_beginning(self) -> None:
        """0.2 A for 60 s, then a straight fall to 0.1 A within 60 s: (12 + 9) C in 120 s is 0.175 A, whatever the clock
        showed at first.
        """
        for begun in (0.0, 45.0, 3600.0):
            times = column(begun, begun + 60, begun + 120)
            self.assertAlmostEqual(float(np.real(mean_over(times, column(0.2, 0.2, 0.1)))[0]), 0.175, 12)
        with self.assertRaises(CurveError):
            mean_over(column(0.0), column(0.1))

    def test_a_reading_at_the_very_second_counts(self) -> None:
        times = column(60, 120, 180, 240)
        for settled, counted in ((180.0, 2), (180.05, 2), (181.0, 1), (179.0, 2)):
            self.assertEqual(count_from(times, np.array([settled]))[0], counted, settled)

    def test_a_peak_at_either_end_is_none(self) -> None:
        across = column(400, 420, 440, 460)
        self.assertEqual(float(np.real(peak_at(across, column(0.1, 0.3, 0.5, 0.4)))[0]), 440)
        for heights in ((0.1, 0.2, 0.3, 0.4), (0.4, 0.3, 0.2, 0.1)):
            with self.assertRaisesRegex(CurveError, "at the end"):
                peak_at(across, column(*heights))

    def test_a_last_portion_that_fills_the_vessel_is_not_the_last(self) -> None:
        """Common practice: what is delivered in full portions ends with a rest; a full one cannot end it."""
        apply = FUNCTIONS["poured"].apply
        full = np.array([100.0])
        volumes = column(100.0, 100.0, 42.6)
        self.assertAlmostEqual(float(np.real(apply(volumes, volumes, full))[0]), 242.6, 12)
        for wrong in (column(100.0, 100.0), column(42.6, 100.0)):
            with self.assertRaises(TooFewError):
                apply(wrong, wrong, full)

    def test_what_was_divided_by_zero_is_no_value(self) -> None:
        """Nought with a tiny step of doubt has a reciprocal that is finite, and whose doubt dwarfs everything."""
        doubt = ((Source("reading", "reading", 0.1, "normal"), 1.0),)
        columns = columns_of({"zero": Input(0.0, doubt), "one": Input(1.0, doubt)})
        self.assertTrue(columns.defined(columns.by_key["zero"]))
        self.assertTrue(columns.defined(1 / columns.by_key["one"]))
        self.assertFalse(columns.defined(1 / columns.by_key["zero"]))
        self.assertFalse(columns.defined(columns.by_key["one"] * np.nan))

    def test_a_mean_within_a_trial_has_the_freedom_of_its_own_readings(self) -> None:
        """GUM 4.2.6: n − 1, of two runs of one mixture; other trials do not add to it."""
        chosen = method("rate-concentration")
        sources = compute(bind(chosen, example_sheet(chosen))).columns.sources
        freedom = [source.dof for source in sources if source.id.startswith("spread:t_mean:")]
        self.assertEqual(freedom, [1.0] * 4)

    def test_as_many_portions_as_were_planned_are_enough(self) -> None:
        apply, portions = FUNCTIONS["sum_of"].apply, column(25.0, 25.1, 24.9)
        self.assertAlmostEqual(float(np.real(apply(portions, np.array([3.0])))[0]), 75.0, 12)
        with self.assertRaises(TooFewError):
            apply(portions, np.array([4.0]))


class Dilutions(TestCase):
    def test_the_next_round_factor_is_taken(self) -> None:
        """To 0.7 of the highest standard: 10.5 times as strong needs 1 in 15, so 1 in 20; 17 times 24.3, so 1 in 25."""
        for strong, factor in ((1.05, 2), (2.9, 5), (10.5, 20), (17.0, 25), (17.5, 25), (17.6, 50), (700.0, 1000)):
            self.assertEqual(dilution(strong, 1.0), factor, strong)
        self.assertEqual(dilution(1400.0, 1.0), 2000)  # beyond the list: what is needed, rounded up


class Units(TestCase):
    def test_a_difference_leaves_the_zero_of_the_scale_out(self) -> None:
        """9 °F are a step of 5 °C; 212 °F are 100 °C (definition of the Fahrenheit scale)."""
        self.assertAlmostEqual(float(read_in("9 °F", "°C", difference=True).value), 5.0, 9)
        self.assertAlmostEqual(float(read_in("212 °F", "°C").value), 100.0, 9)
        self.assertAlmostEqual(float(limit_in("0.9 °F", parse_reading("20").value, "°C")), 0.5, 9)

    def test_two_digits_more_stand_where_units_are_no_powers_of_ten_apart(self) -> None:
        """1 inHg is 33.8639 hPa: 29.92 becomes 1013.208, written with the two decimals it had and two more at most."""
        self.assertRegex(written_in("29.92 inHg", "hPa"), r"^1013\.2\d{1,3}$")
        self.assertEqual(written_in("100 mmol/L", "mol/L"), "0.100")
        self.assertEqual(written_in("0.1000 mol/L", "mol/L"), "0.1000")
        self.assertEqual(written_in("2 L", "mL"), "2000")


class Figures(TestCase):
    def test_a_value_that_grows_a_digit_keeps_its_figures(self) -> None:
        for value, figures, text in ((9.96, 2, "10"), (9.94, 2, "9.9"), (0.0996, 2, "0.10"), (99.5, 2, "1.0 × 10²")):
            self.assertEqual(with_figures(value, figures), text)
        self.assertEqual((place_for_figures(0.051, 2), place_for_figures(22.6, 3), place_for_figures(0, 2)), (3, 1, 1))


class Statistics(TestCase):
    def test_dixon_s_q_is_told_for_three_to_thirty(self) -> None:
        values = [float(n) for n in range(31)]
        dixon(values[:3])
        dixon(values[:30])
        for wrong in (values[:2], values):
            with self.assertRaises(TooFewError):
                dixon(wrong)


class Planned(TestCase):
    def test_every_planned_trial_has_its_value_before_anything_is_written(self) -> None:
        inputs = inputs_of(bind(method("molarity-series"), Sheet({"m_plan": "5.00; 15.00; 30.00"}, {})), {})
        planned = {key[1]: item.value for key, item in inputs.items() if isinstance(key, tuple) and key[0] == "m_plan"}
        self.assertEqual({n: round(value * 1000, 9) for n, value in planned.items()}, {1: 5.0, 2: 15.0, 3: 30.0})
