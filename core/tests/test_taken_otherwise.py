"""What is put together to be tried must never stop a bench, whatever an instructor typed as a formula or a constant."""

from unittest import TestCase

from chromata_core.chemistry.mistaken_mass import mistaken_masses
from chromata_core.tracing.taken_otherwise import swapped_digits


class Tried(TestCase):
    def test_a_formula_that_cannot_be_put_together_is_passed_over(self) -> None:
        long = "C2H5" * 14
        for formula, beside in ((".H2O", ()), ("CuSO4*5H2O", ("CuSO4*5H2O.1H2O",)), (long, (f"{long}.10H2O",))):
            with self.subTest(formula):
                self.assertTrue(all(mass > 0 for mass, _ in mistaken_masses(formula, beside)))

    def test_parts_of_a_formula_by_hand(self) -> None:
        """CaCO₃: CO₃ 60.009, without one oxygen 84.088, with one only 68.088 g/mol (IUPAC 2021, abridged)."""
        masses = [round(mass * 1000, 2) for mass, _ in mistaken_masses("CaCO3")]
        for mass in (60.01, 84.09, 68.09):
            self.assertIn(mass, masses)

    def test_a_power_of_ten_keeps_its_digits(self) -> None:
        """The elementary charge: 1.602e-19 with its exponent turned round would be no number of this world."""
        self.assertEqual(list(swapped_digits("1.602e-19")), ["6.102e-19", "1.062e-19", "1.620e-19"])
        self.assertEqual(list(swapped_digits("1.22 × 10⁵")), ["2.12 × 10⁵"])
