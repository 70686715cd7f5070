"""The budget in numbers: each input with its own u, unit and sensitivity, checked by hand against GUM 4.3 and 5.1.3."""

from math import sqrt
from unittest import TestCase

import numpy as np

from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import BudgetOut, ResultOut
from chromata_core.uncertainty.budget import budget
from chromata_core.uncertainty.source import Source
from tests.sheets import titration
from tests.test_eurachem_a2 import example


def one_titre(**options: str) -> ResultOut:
    """21.54 mL of 0.1026 ± 0.0004 mol/L into 20.00 mL of sample."""
    sheet = titration(("0.24", "21.78"), rough=None, options={"c_t": "0.1026", "c_t.limit": "0.0004", **options})
    return evaluate(method("acid-base-titration"), sheet).results[0]


def lines(result: ResultOut) -> dict[str, BudgetOut]:
    return {line.label: line for line in result.budget}


def number(text: str) -> float:
    return float(text.split()[0].replace("−", "-"))


class Inputs(TestCase):
    def test_a_limit_given_at_95_per_cent_is_divided_by_1_96(self) -> None:
        line = lines(one_titre())["Titrant concentration"]
        self.assertEqual((line.input, line.distribution), ("0.00020 mol/L", "normal, given at 95 %"))

    def test_a_plain_number_has_no_unit_and_is_no_percentage(self) -> None:
        """Ten-fold dilution known to ± 0.02: u = 0.0102 of 10, a tenth of a per cent."""
        result = one_titre(dilution="10", **{"dilution.limit": "0.02"})
        line = lines(result)["Dilution of the sample"]
        self.assertEqual(line.input, "0.010")
        self.assertAlmostEqual(line.u / result.value, 0.02 / 1.96 / 10, delta=1e-6)

    def test_a_fraction_is_given_in_per_cent(self) -> None:
        """EURACHEM/CITAC CG4, A2: repeatability of the determination 0.05 %; c changes by 1 % of itself for 1 %."""
        result = example()
        line = lines(result)["Repeatability of the method"]
        self.assertEqual(line.input, "0.050 %")
        self.assertAlmostEqual(number(line.sensitivity), result.value / 100, delta=5e-6)
        self.assertTrue(line.sensitivity.endswith("(mol/L)/%"))

    def test_several_of_a_kind_are_counted(self) -> None:
        """Two readings of a burette, each ± a fifth of 0.1 mL (triangular)."""
        self.assertEqual(lines(one_titre())["Reading the burette"].input, f"2 × {0.02 / sqrt(6):.4f} mL")


class Sensitivities(TestCase):
    """For c = c_t V / V_s they are c/c_t, c/V and −c/V_s."""

    def test_by_differentiation(self) -> None:
        result, budget_outs = one_titre(), lines(one_titre())
        for label, wanted in (
            ("Titrant concentration", result.value / 0.1026),
            ("Burette calibration", result.value / 21.54),
            ("Pipette calibration", -result.value / 20.00),
        ):
            with self.subTest(label):
                self.assertAlmostEqual(number(budget_outs[label].sensitivity), wanted, delta=abs(wanted) * 0.005)

    def test_sensitivity_times_input_is_what_is_added(self) -> None:
        for line in one_titre().budget:
            if line.sensitivity:
                with self.subTest(line.label):
                    added = abs(number(line.sensitivity)) * number(line.input)
                    self.assertAlmostEqual(added / line.u, 1, delta=0.06)  # both factors are rounded to 2 or 3 figures

    def test_shares_are_of_the_variance_and_add_to_all_of_it(self) -> None:
        result = one_titre()
        self.assertAlmostEqual(sum(line.share for line in result.budget), 1, places=9)
        self.assertAlmostEqual(sqrt(sum(line.u**2 for line in result.budget)), result.u, places=12)

    def test_what_enters_twice_adds_before_it_is_squared(self) -> None:
        """The room's temperature moves burette and pipette alike: their parts of it cancel (GUM 5.2)."""
        self.assertNotIn("Temperature of the glassware", lines(one_titre()))


class Advice(TestCase):
    def test_it_names_the_first_and_the_last(self) -> None:
        result = one_titre()
        self.assertTrue(result.advice.startswith(result.budget[0].label))
        self.assertIn(f"{100 * result.budget[0].share:.0f}\u00a0%", result.advice)

    def test_nothing_known_nothing_said(self) -> None:
        empty = evaluate(method("acid-base-titration"), Sheet({}, {}, ()))
        self.assertEqual(empty.results, [])


class DegreesOfFreedom(TestCase):
    """Welch and Satterthwaite, GUM G.4.1, by hand; what was judged from one scatter counts once."""

    def test_two_sources_of_one_scatter_have_its_degrees_of_freedom(self) -> None:
        sources = [Source(key, key, 1.0, "normal", dof=4.0, estimate="one scatter") for key in ("a", "b")]
        self.assertAlmostEqual(budget(sources, np.array([3.0, 2.0])).dof, 4.0)

    def test_a_scatter_that_adds_nothing_counts_nothing(self) -> None:
        """As of trials that agree to the last digit: what is left was not estimated from them."""
        sources = [Source("a", "a", 1.0, "normal"), Source("b", "b", 0.0, "normal", dof=2.0)]
        alone = budget(sources, np.array([3.0, 0.0]))
        self.assertEqual((alone.dof, alone.k, alone.expanded), (np.inf, 2.0, 6.0))

    def test_of_two_scatters_each_has_its_own(self) -> None:
        """(9 + 4)² / (9² / 4 + 4² / 8)"""
        sources = [Source("a", "a", 1.0, "normal", dof=4.0), Source("b", "b", 1.0, "normal", dof=8.0)]
        self.assertAlmostEqual(budget(sources, np.array([3.0, 2.0])).dof, 169 / (81 / 4 + 16 / 8))
