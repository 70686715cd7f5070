"""The column beside stoichiometry: hexaamminecobalt(III) chloride gives three H⁺; M is 267.48 g/mol."""

from unittest import TestCase

from chromata_core.chemistry.molar_mass import molar_mass
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation
from tests.outside import outside

COLUMN = method("ion-exchange-titration")
SALT = "CoN6H18Cl3"


def aliquots(
    mass: float, options: dict[str, str] | None = None, seen: tuple[str, str] = ("neutral", "covered")
) -> Evaluation:
    """Two aliquots of 10 from 50 mL, titrated with exactly 0.05000 mol/L base."""
    titre = mass / (molar_mass(SALT).value * 1000) * 3 * 10 / 50 / 0.05 * 1000
    bench = [
        Given(k, t)
        for k, t in (("m_before", "14.0000"), ("m_after", f"{14 - mass:.4f}"), ("reduced", "turned"), ("V_f", "50.00"))
    ]
    texts = (
        ("neutral_before", seen[0]), ("V_a", "10.00"), ("column", seen[1]), ("neutral_after", "neutral"),
        ("V_start", "0.00"), ("end_point", "held"), ("V_end", f"{titre:.2f}"),
    )  # fmt: skip
    trials = [Given(k, t, n) for n in (1, 2) for k, t in texts]
    return evaluate(COLUMN, Sheet({"c_t": "0.05000", **(options or {})}, {}, (*bench, *trials)))


class IonExchange(TestCase):
    @outside("ion-exchange-titration", by="standard atomic weights")
    def test_molar_mass_and_cobalt(self) -> None:
        """M 267.48 g/mol, cobalt 58.93/267.48 = 22.03 %: from standard atomic weights."""
        results = {r.key: r for r in aliquots(0.7500).results}
        self.assertAlmostEqual(results["M_mean"].value, 267.48, delta=0.1)
        self.assertAlmostEqual(results["w"].value, 22.03, delta=0.01)
        self.assertLess(abs(results["M_mean"].value - 267.48), results["M_mean"].expanded)

    def test_the_charge_is_the_instructors_to_set(self) -> None:
        result_out = aliquots(0.7500, {"z": "2"}).results[0]
        self.assertAlmostEqual(result_out.value, 267.48 * 2 / 3, delta=0.1)

    def test_an_acid_effluent_is_rinsed_and_looked_at_again(self) -> None:
        outcome = aliquots(0.75, seen=("acid", "covered"))
        self.assertIn("neutral_before-acid", [f.code for f in outcome.findings])
        self.assertTrue(any(t.key == "neutral_before" and not t.done for t in outcome.tasks))

    def test_a_dry_column_voids_the_aliquot(self) -> None:
        self.assertEqual({t.state for t in aliquots(0.75, seen=("neutral", "dry")).trials}, {"void"})

    def test_a_portion_outside_the_plan_is_looked_at(self) -> None:
        self.assertIn("m-range", [f.code for f in aliquots(0.45).findings])
