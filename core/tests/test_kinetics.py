"""Rates: activation energy and order beside published rate constants, and what two tubes have to agree on."""

import math
from unittest import TestCase

import numpy as np
from scipy import constants

from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation
from tests.outside import outside

WARMTH, AMOUNT = method("rate-temperature"), method("rate-concentration")
# N₂O₅, F. Daniels and E. H. Johnston, J. Am. Chem. Soc. 43 (1921) 53: k in 1/s (from memory).
CELSIUS = (25, 35, 45, 55, 65)
RATES = (3.46e-5, 1.35e-4, 4.98e-4, 1.50e-3, 4.87e-3)


def tubes(rows: list[tuple[str, str, list[str]]], method_options: dict[str, str]) -> Evaluation:
    """Trials with (temperature, temperature, times)."""
    given = []
    for trial, (first, second, times) in enumerate(rows, 1):
        given += [Given("bath", "set", trial), Given("clear", "clear", trial)]
        for n, time in enumerate(times, 1):
            given += [Given("T_a", first, trial, n), Given("T_b", second, trial, n), Given("t", time, trial, n)]
    return evaluate(WARMTH, Sheet(method_options, {}, tuple(given)))


class Arrhenius(TestCase):
    @outside("rate-temperature", by="Daniels and Johnston 1921, from memory")
    def test_dinitrogen_pentoxide(self) -> None:
        """Times proportional to 1/k give the published activation energy back: 103 kJ/mol."""
        times = [f"{0.5 / rate / 10:.1f}" for rate in RATES]
        rows = [(f"{t}.0", f"{t}.0", [time, time]) for t, time in zip(CELSIUS, times, strict=True)]
        outcome = tubes(rows, {"T_plan": "; ".join(map(str, CELSIUS))})
        energy = next(r for r in outcome.results if r.key == "E_a")
        slope = np.polyfit([1 / (t + 273.15) for t in CELSIUS], [-math.log(float(t)) for t in times], 1)[0]
        self.assertAlmostEqual(energy.value, -slope * constants.R / 1000, places=6)
        self.assertAlmostEqual(energy.value, 103, delta=1.5)

    def test_twice_as_fast_for_ten_degrees(self) -> None:
        """E_a = R ln 2 / (1/293.15 − 1/303.15) = 51.2 kJ/mol makes Q₁₀ two."""
        energy = constants.R * math.log(2) / (1 / 293.15 - 1 / 303.15)
        times = {t: 60 * math.exp(energy / constants.R * (1 / (t + 273.15) - 1 / 293.15)) for t in (20, 40, 60)}
        rows = [(f"{t}.0", f"{t}.0", [f"{time:.1f}"] * 2) for t, time in times.items()]
        outcome = tubes(rows, {"T_plan": "20; 40; 60"})
        values = {r.key: r.value for r in outcome.results}
        self.assertAlmostEqual(values["Q_10"], 2, delta=0.01)
        self.assertAlmostEqual(values["E_a"], energy / 1000, delta=0.3)

    def test_a_time_of_zero_is_no_rate(self) -> None:
        outcome = tubes([("22.0", "22.0", ["0.0", "0.0"])], {"T_plan": "22"})
        self.assertEqual(outcome.trials[0].state, "void")
        self.assertIn("stopwatch", outcome.trials[0].why)

    def test_the_tube_s_temperature_is_the_mean_of_both(self) -> None:
        outcome = tubes([("40.4", "39.6", ["30.0", "30.2"])], {"T_plan": "40"})
        self.assertAlmostEqual(next(q.value for q in outcome.trials[0].quantities if q.key == "T"), 40.0, places=6)


class Repeats(TestCase):
    def test_runs_that_differ_ask_for_a_third_and_no_more(self) -> None:
        """Within 10 % of each other; common practice, no published source."""
        apart = tubes([("22.0", "22.0", ["80.0", "95.0"])], {})
        self.assertEqual(next(f.level for f in apart.findings if f.code == "repeats-apart"), "repeat")
        self.assertTrue(any(t.key == "T_a" and t.index == 3 and t.trial == 1 for t in apart.tasks))
        third = tubes([("22.0", "22.0", ["80.0", "95.0", "82.0"])], {})
        self.assertFalse([f for f in third.findings if f.code == "repeats-apart"])
        self.assertFalse(any(t.key == "T_a" and t.index == 4 and t.trial == 1 for t in third.tasks))
        never = tubes([("22.0", "22.0", ["60.0", "80.0", "100.0"])], {})
        self.assertEqual(next(f.level for f in never.findings if f.code == "repeats-apart"), "look")


class Order(TestCase):
    @outside("rate-concentration", by="the power law, worked apart")
    def test_a_power_put_in_comes_out(self) -> None:
        """Rates of c^1.5 from volumes of 10, 8, 5 and 3 mL."""
        given = []
        for trial, volume in enumerate((10, 8, 5, 3), 1):
            given += [Given("V_thio", f"{volume}.00", trial), Given("clear", "clear", trial)]
            for n in (1, 2):
                time = f"{40 * (10 / volume) ** 1.5:.1f}"
                given += [Given("T_a", "22.0", trial, n), Given("T_b", "22.0", trial, n), Given("t", time, trial, n)]
        outcome = evaluate(AMOUNT, Sheet({"V_plan": "10; 8; 5; 3"}, {}, tuple(given)))
        self.assertAlmostEqual(outcome.results[0].value, 1.5, places=3)
