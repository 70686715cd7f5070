"""EURACHEM/CITAC Guide CG4 (3rd ed.), example A2: standardising NaOH against potassium hydrogen phthalate.

Published: c = 0.10214 mol/L, u(c) = 0.00010 mol/L. Inputs as published: m = 60.5450 g − 60.1562 g with ±0.15 mg
linearity at each weighing; purity 1.0000 ± 0.0005; titre 18.64 mL, calibration ±0.03 mL (triangular), temperature
±3 °C; repeatability of the whole determination 0.05 %. Inputs and results from memory of the guide, recomputed with
two libraries: 0.10213616, u = 1.0049e-4 with its older atomic weights.
"""

from unittest import TestCase

from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import ResultOut
from tests.outside import outside


def example(repeatability: str = "0.05") -> ResultOut:
    """The guide's example on a Chromata sheet."""
    given = (
        Given("m_before", "60.5450", 1), Given("m_after", "60.1562", 1),
        Given("V_start", "0.00", 1), Given("end_point", "held", 1), Given("V_end", "18.64", 1),
    )  # fmt: skip
    options = {"rough_trial": "no", "repeatability": repeatability}
    tools = {"burette": "piston-burette-25", "balance": "balance-0.0001"}
    return evaluate(method("standardisation"), Sheet(options, tools, given)).results[0]


class EurachemA2(TestCase):
    @outside("standardisation", by="EURACHEM/CITAC CG4, example A2")
    def test_concentration_and_its_uncertainty_are_the_published_ones(self) -> None:
        result = example()
        self.assertEqual(f"{result.value:.5f}", "0.10214")
        self.assertEqual(f"{result.u:.5f}", "0.00010")
        # atomic weights have changed since: 5e-6 relative in the molar mass, so the fifth figure of c
        self.assertAlmostEqual(result.value, 0.10213616, delta=1e-6)
        self.assertAlmostEqual(result.u, 1.0049e-4, delta=0.015e-4)

    def test_stated_result_has_two_figures_of_uncertainty(self) -> None:
        self.assertEqual(example().line, "0.10214 ± 0.00020 mol/L")

    def test_the_titre_dominates_and_the_molar_mass_is_negligible(self) -> None:
        """The guide's figure A2.9: V(T) is the largest contribution, M(KHP) the smallest."""
        lines = example().budget
        self.assertEqual(lines[0].label, "Burette calibration")
        self.assertEqual(lines[-1].label, "Atomic weights")
        self.assertLess(lines[-1].share, 0.01)

    def test_known_repeatability_replaces_the_scatter_of_single_readings(self) -> None:
        labels = {line.label for line in example().budget}
        self.assertNotIn("Balance repeatability", labels)
        self.assertIn("Balance repeatability", {line.label for line in example("0").budget})
