"""Cell potentials against concentrations: Nernst's slope by CODATA, published cells, reversed leads."""

import math
from unittest import TestCase

from scipy import constants, stats

from chromata_core.chemistry.standard_potentials import SERIES
from chromata_core.declaration.option_kinds import ChoiceOption
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation
from tests.outside import outside

NERNST = method("nernst")
FARADAY = constants.physical_constants["Faraday constant"][0]


def cell(volts: list[str], options: dict[str, str], celsius: str = "25.0") -> Evaluation:
    given = [Given("zero", "zero"), Given("T", celsius)]
    for trial, text in enumerate(volts, 1):
        given += [Given("bridge", "fresh", trial), Given("E", text, trial)]
    return evaluate(NERNST, Sheet(options, {}, tuple(given)))


class Nernst(TestCase):
    @outside("nernst", by="CODATA constants (scipy)")
    def test_an_ideal_cell(self) -> None:
        """E = 1.10 V − (RT/2F) ln Q at 25 °C: Q 0.01 gives 1.15916 V, Q 100 gives 1.04084 V, by hand."""
        decade = math.log(10) * constants.R * 298.15 / (2 * FARADAY)
        volts = [f"{1.10 - decade * lg_q:.3f}" for lg_q in (0, 1, 2, 3)]
        self.assertEqual(volts[2], "1.041")
        outcome = cell(volts, {"c_plan": "1; 0.1; 0.01; 0.001"})
        results = {r.key: r for r in outcome.results}
        self.assertAlmostEqual(results["slope"].value, -1000 * decade, delta=0.2)
        self.assertAlmostEqual(results["E_0"].value, 1.10, delta=5e-4)
        self.assertAlmostEqual(results["z_found"].value, 2, delta=0.02)
        comparison = results["slope"].comparison
        assert comparison is not None
        self.assertAlmostEqual(float(comparison.accepted.replace("−", "-")), -1000 * decade, places=2)

    def test_slope_intercept_and_their_doubts_are_those_of_a_regression(self) -> None:
        """scipy.stats.linregress on the same points: values; and their doubts, which the readings' own errors and what
        the scatter shows beyond them make together.
        """
        volts = ["1.098", "1.071", "1.037", "1.013", "0.979"]
        outcome = cell(volts, {"c_plan": "1; 0.1; 0.01; 0.001; 0.0001", "c_fixed.limit": "0"})
        fit = stats.linregress(range(5), [1000 * float(text) for text in volts])
        results = {r.key: r for r in outcome.results}
        self.assertAlmostEqual(results["slope"].value, fit.slope, places=9)
        self.assertAlmostEqual(1000 * results["E_0"].value, fit.intercept, places=9)
        for key, doubt in (("slope", fit.stderr), ("E_0", fit.intercept_stderr / 1000)):
            parts = {line.label: line.u for line in results[key].budget}
            both = math.hypot(parts["Scatter about the line"], parts["Voltmeter display"])
            self.assertAlmostEqual(both / doubt, 1, places=9)

    def test_the_power_of_the_ion_counts(self) -> None:
        """Silver's ion stands squared in Q: its tenfold dilution is a hundredfold Q, and the slope stays 29.6 mV."""
        decade = math.log(10) * constants.R * 298.15 / (2 * FARADAY)
        volts = [f"{0.46 - decade * 2 * n:.3f}" for n in (0, 1, 2)]
        outcome = cell(volts, {"cell": "CuAg", "c_plan": "1; 0.1; 0.01"})
        self.assertAlmostEqual(next(r.value for r in outcome.results if r.key == "slope"), -1000 * decade, delta=0.3)

    def test_accepted_potentials_are_those_of_the_series(self) -> None:
        option = next(o for o in NERNST.options if isinstance(o, ChoiceOption) and o.key == "cell")
        pairs = {"ZnCu": ("Cu2+/Cu", "Zn2+/Zn"), "CuAg": ("Ag+/Ag", "Cu2+/Cu"), "ZnAg": ("Ag+/Ag", "Zn2+/Zn")}
        for choice in option.choices:
            plus, minus = pairs[choice.key]
            expected = SERIES[plus].potential - SERIES[minus].potential
            self.assertAlmostEqual(float(choice.sets["E_lit"]), expected, delta=6e-4)

    def test_a_logarithm_of_one_is_zero_on_paper_too(self) -> None:
        """lg 1 is 0.00 with the figures of its concentrations, not the rest that a tiny step leaves behind."""
        first = cell(["1.098", "1.071"], {}).trials[0]
        self.assertEqual(next(q.shown.text for q in first.quantities if q.key == "x"), "0.00")

    def test_reversed_leads_are_stopped(self) -> None:
        outcome = cell(["-1.098"], {})
        self.assertEqual(next(f.level for f in outcome.findings if f.code == "y-sign"), "stop")
