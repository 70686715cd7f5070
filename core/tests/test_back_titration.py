"""Back titration beside stoichiometry: pure calcium carbonate must neutralise 2/M of acid per gram.

Pharmacopoeias state about 20 milliequivalents of acid for a gram of calcium carbonate (from memory): 19.98 mmol/g.
"""

from unittest import TestCase

from chromata_core.chemistry.molar_mass import molar_mass
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.judge import judge
from chromata_core.telling.outcome import Evaluation
from tests.outside import outside

ANTACID = method("back-titration")
PER_GRAM = 2 / molar_mass("CaCO3").value  # mmol/g: 2 mol of H⁺ for each mol, M in kg/mol


def trial(number: int, mass: float, power: float = PER_GRAM, at_once: str = "clear") -> list[Given]:
    """A trial with 50.00 mL of 0.1000 mol/L acid and 0.1000 mol/L base on ``mass`` g of something."""
    back = 50.00 - mass * power / 0.1
    readings = (
        ("step.weigh", "done"), ("m_before", "20.0000"), ("m_after", f"{20 - mass:.4f}"),
        ("V_a_start", "0.00"), ("V_a", "50.00"),
        ("at_once", at_once), ("V_start", "0.00"), ("end_point", "held"), ("V_end", f"{max(back, 0):.2f}"),
    )  # fmt: skip
    return [Given(key, text, number) for key, text in readings if not key.startswith("step")]


def evaluated(*given: Given) -> Evaluation:
    return evaluate(ANTACID, Sheet({}, {}, (Given("m_tablet", "1.2500"), *given)))


class BackTitration(TestCase):
    @outside("back-titration", by="molar mass of calcium carbonate (CIAAW); pharmacopoeia, from memory")
    def test_pure_calcium_carbonate(self) -> None:
        """19.983 mmol/g; a tablet of 1.2500 g is then 1250 mg CaCO₃ and takes 24.98 mmol."""
        results = {r.key: r for r in evaluated(*trial(1, 0.2000), *trial(2, 0.2200)).results}
        self.assertAlmostEqual(results["q_mean"].value, PER_GRAM, delta=0.02)
        self.assertAlmostEqual(results["n_tablet"].value, 1.25 * PER_GRAM, delta=0.03)
        self.assertAlmostEqual(results["m_k"].value, 1250, delta=1.5)
        self.assertLess(abs(results["m_k"].value - 1250), results["m_k"].expanded)

    def test_pink_at_once_voids_the_trial_and_says_to_take_less(self) -> None:
        outcome = evaluated(*trial(1, 0.4800, at_once="pink"), *trial(2, 0.2000), *trial(3, 0.2100))
        self.assertEqual([t.state for t in outcome.trials], ["void", "counted", "counted"])
        self.assertIn("less sample", next(f.do for f in outcome.findings if f.code == "at_once-pink"))

    def test_more_than_half_a_gram_is_stopped_while_weighing(self) -> None:
        sheet = Sheet({}, {}, (Given("m_before", "20.0000", 1),))
        verdict = judge(ANTACID, sheet, Given("m_after", "19.4400", 1))
        self.assertEqual(verdict.level, "stop")
        self.assertIn("about half the tablet, never more than 0.5 g", verdict.text)

    def test_almost_no_acid_left_is_looked_at(self) -> None:
        self.assertIn("V-range", [f.code for f in evaluated(*trial(1, 0.2450)).findings])

    def test_five_per_cent_is_the_usual_rule(self) -> None:
        """Relative average deviation of 19.98 and 18.2 is 4.7 %: agrees; of 19.98 and 17.5, 6.6 %: does not."""
        near = evaluated(*trial(1, 0.2), *trial(2, 0.2, power=18.2))
        far = evaluated(*trial(1, 0.2), *trial(2, 0.2, power=17.5))
        self.assertEqual([o.agreement.code if o.agreement else "" for o in (near, far)], ["agree", "disagree"])

    def test_the_acid_burette_is_read_twice_or_the_acid_is_measured_once(self) -> None:
        """0.40 to 50.00 mL are 49.60 mL of acid; a pipette of 50 mL gives 50.00."""
        readings = [given for given in trial(1, 0.2000) if given.key not in ("V_a", "V_a_start")]
        by_burette = evaluated(*readings, Given("V_a_start", "0.40", 1), Given("V_a", "50.00", 1))
        sheet = Sheet({"acid_by": "measured"}, {}, (Given("m_tablet", "1.25"), *readings, Given("V_a", "50.00", 1)))
        added = [{q.key: q.value for q in o.trials[0].quantities}["n"] for o in (by_burette, evaluate(ANTACID, sheet))]
        self.assertAlmostEqual(added[1] - added[0], 0.04, places=6)
