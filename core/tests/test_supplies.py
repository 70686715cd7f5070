"""Planning in reverse: what the plan asks to weigh gives what was wanted."""

from unittest import TestCase

from chromata_core.chemistry.molar_mass import molar_mass
from chromata_core.methods.registry import method, methods
from chromata_core.planning.supplies import Supplies, supplies
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet


def planned(slug: str, options: dict[str, str], benches: int = 8) -> Supplies:
    return supplies(bind(method(slug), Sheet(options)), benches)


class Reverse(TestCase):
    def test_primary_standard_for_a_wanted_titre(self) -> None:
        """20 mL of 0.1 mol/L base take 2 mmol of potassium hydrogen phthalate, 0.408 g (204.22 g/mol)."""
        supplies = planned("standardisation", {"M_p": "KHC8H4O4", "V_wanted": "20", "c_expected": "0.1"})
        self.assertEqual(supplies.targets[0].text, "0.408 g")

    def test_iron_salt_for_a_wanted_titre(self) -> None:
        """30 mL of 0.016667 mol/L dichromate: 3.000 mmol Fe, 0.834 g of the heptahydrate (278.01 g/mol)."""
        self.assertEqual(planned("potentiometric-titration", {"V_wanted": "30"}).targets[0].text, "0.834 g")

    def test_a_class_is_benches_times_trials_with_spare(self) -> None:
        supplies = planned("molarity-series", {"m_plan": "5.00; 15.00; 30.00"})
        solute = supplies.supplies[0]
        self.assertEqual((solute.each, solute.bench, solute.whole_class), ("5.00 g; 15.0 g; 30.0 g", "50.0 g", "500 g"))
        self.assertEqual((supplies.trials, supplies.spare_percent), (3, 25))

    def test_solute_for_a_wanted_concentration(self) -> None:
        """0.10 mol/L of sucrose in 350 mL: 0.035 mol, 12.0 g."""
        wanted = planned("molarity-series", {"c_wanted": "0.10", "V_plan": "350"}).targets[1]
        self.assertEqual(wanted.text, f"{0.035 * molar_mass('C12H22O11').value * 1000:.1f} g")

    def test_every_method_plans_something(self) -> None:
        for slug in methods():
            with self.subTest(slug):
                supplies = planned(slug, {})
                self.assertTrue(supplies.supplies)
                self.assertTrue(supplies.targets)
                for text in [t.text for t in supplies.targets] + [s.whole_class for s in supplies.supplies]:
                    self.assertNotIn("–", text)
