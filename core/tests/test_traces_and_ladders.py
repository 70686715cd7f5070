"""Temperature traces and half-cell ladders: what is put in comes back."""

from unittest import TestCase

import numpy as np
from scipy import stats

from chromata_core.curves.ladder import ladder
from chromata_core.curves.line import CurveError
from chromata_core.curves.mixing import after_mixing, before_mixing, doubt_after_mixing, farthest, mean_over

# Standard potentials of the usual handbook table (from memory), V.
METALS = {"Ag": 0.7996, "Cu": 0.3419, "Pb": -0.1262, "Zn": -0.7618}


class Mixing(TestCase):
    def test_a_cooling_cup_is_brought_back_to_the_moment_of_mixing(self) -> None:
        """Newtonian cooling of 0.06 °C a minute from a true rise of 6.40 °C, mixed at 4 minutes."""
        times = np.arange(0, 12, 0.5)
        trace = np.array([21.30 if t <= 4 else 27.70 - 0.06 * (t - 4) if t > 5 else 24.0 for t in times])
        rise = after_mixing(times, trace, np.array(4.0), np.array(5.5)) - before_mixing(times, trace, np.array(4.0))
        self.assertAlmostEqual(float(rise), 6.40, places=6)
        self.assertLess(float(farthest(trace, np.array(21.3))) - 21.30, 6.40)  # the highest reading alone is too low

    def test_scatter_of_the_trace_is_the_line_s_own(self) -> None:
        """The standard error of a fitted line at x, slope and intercept by scipy."""
        times, trace = np.arange(8.0), np.array([27.4, 27.3, 27.3, 27.1, 27.1, 27.0, 26.8, 26.8])
        fit = stats.linregress(times, trace)
        s = np.sqrt(((trace - fit.intercept - fit.slope * times) ** 2).sum() / 6)
        expected = s * np.sqrt(1 / 8 + (2 - times.mean()) ** 2 / ((times - times.mean()) ** 2).sum())
        self.assertAlmostEqual(
            float(doubt_after_mixing(times, trace, np.array(2.0), np.array(0.0))), expected, places=12
        )

    def test_mean_current_is_the_charge_over_the_time(self) -> None:
        times, currents = np.array([0.0, 60, 180, 300]), np.array([0.11, 0.10, 0.09, 0.10])
        self.assertAlmostEqual(float(mean_over(times, currents)), np.trapezoid(currents, times) / 300, places=15)

    def test_too_few_readings_after(self) -> None:
        with self.assertRaisesRegex(CurveError, "Go on reading"):
            after_mixing(np.arange(3.0), np.array([20.0, 25, 26]), np.array(0.5), np.array(1.0))


def pairs(**wrong: float) -> dict[tuple[str, str], float]:
    names = list(METALS)
    volts = {(a, b): METALS[a] - METALS[b] for i, a in enumerate(names) for b in names[i + 1 :]}
    return {pair: value + wrong.get("".join(pair), 0.0) for pair, value in volts.items()}


class Ladders(TestCase):
    def test_consistent_pairs_give_the_table_back(self) -> None:
        rungs = ladder(pairs(), "Zn")
        for metal, potential in METALS.items():
            self.assertAlmostEqual(rungs.potentials[metal], potential - METALS["Zn"], places=12)
        self.assertIsNone(rungs.suspect)

    def test_as_many_pairs_as_potentials_leave_no_doubt_to_tell_and_nobody_to_accuse(self) -> None:
        chain = {
            pair: volts + 0.05 for pair, volts in pairs().items() if pair in (("Ag", "Cu"), ("Cu", "Pb"), ("Pb", "Zn"))
        }
        rungs = ladder(chain, "Zn")
        self.assertEqual((rungs.s, set(rungs.u.values()), rungs.suspect), (0.0, {0.0}, None))

    def test_a_bad_contact_is_named_up_to_where_the_rest_agrees_five_times_better(self) -> None:
        for other, named in ((0.0, True), (0.010, True), (0.019, True), (0.021, False)):
            self.assertEqual(ladder(pairs(CuPb=-0.12, AgZn=other), "Zn").suspect == ("Cu", "Pb"), named, other)

    def test_one_bad_contact_stands_out(self) -> None:
        for pair, names in (("CuPb", ("Cu", "Pb")), ("AgZn", ("Ag", "Zn"))):
            self.assertEqual(ladder(pairs(**{pair: -0.12}), "Zn").suspect, names)

    def test_ordinary_scatter_accuses_nobody(self) -> None:
        random = np.random.default_rng(3)
        for _ in range(50):
            shaken = {pair: value + random.normal(0, 0.004) for pair, value in pairs().items()}
            self.assertIsNone(ladder(shaken, "Zn").suspect)

    def test_metals_that_are_not_connected(self) -> None:
        with self.assertRaisesRegex(CurveError, "connect"):
            ladder({("Ag", "Cu"): 0.46, ("Pb", "Zn"): 0.64}, "Zn")
