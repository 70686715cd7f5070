"""Molar masses beside a library that computes atomic weights from isotopes, and beside the abridged CIAAW values."""

from unittest import TestCase

from molmass import Formula

from chromata_core.chemistry.molar_mass import formula_text, molar_mass
from chromata_core.errors import ReadingError

# Sums of the CIAAW 2021 abridged weights (Prohaska et al., Pure Appl. Chem. 94 (2022) 573), computed apart with the
# package ``mendeleev`` 1.3.0; g/mol.
ABRIDGED = {
    "H2O": 18.0150, "NaOH": 39.9968, "KHC8H4O4": 204.2223, "Na2CO3": 105.9875, "CuSO4.5H2O": 249.6770,
    "BaCl2.2H2O": 244.2570, "K2Cr2O7": 294.1818, "CH3COOH": 60.0520, "Mg(OH)2": 58.3190,
}  # fmt: skip
FOR_MOLMASS = {"KHC8H4O4": "C8H5KO4", "CuSO4.5H2O": "CuSO4(H2O)5", "BaCl2.2H2O": "BaCl2(H2O)2"}


class MolarMasses(TestCase):
    def test_abridged_iupac_weights_to_a_hundred_thousandth(self) -> None:
        for formula, wanted in ABRIDGED.items():
            with self.subTest(formula):
                self.assertAlmostEqual(molar_mass(formula).value * 1000 / wanted, 1, delta=1e-5)

    def test_weights_from_isotopes_to_a_ten_thousandth(self) -> None:
        """``molmass`` sums isotopes; it differs from the abridged weights by up to 8e-5, most with S and Cl."""
        for formula in ABRIDGED:
            with self.subTest(formula):
                peer = Formula(FOR_MOLMASS.get(formula, formula)).mass
                self.assertAlmostEqual(molar_mass(formula).value * 1000 / peer, 1, delta=1e-4)

    def test_uncertainty_adds_within_an_element_and_between_elements_in_quadrature(self) -> None:
        """Water: u(H) 0.0002/√3 counts twice for two atoms of one kind, u(O) 0.001/√3 (CIAAW ±, rectangular)."""
        water = molar_mass("H2O")
        u = sum((source.u * effect * 1000) ** 2 for source, effect in water.sources) ** 0.5
        self.assertAlmostEqual(u, ((2 * 0.0002) ** 2 + 0.001**2) ** 0.5 / 3**0.5, places=7)

    def test_water_of_crystallisation_is_written_with_a_dot_of_either_kind(self) -> None:
        self.assertEqual(molar_mass("CuSO4·5H2O").value, molar_mass("CuSO4.5H2O").value)
        self.assertEqual(formula_text("CuSO4.5H2O"), "CuSO₄·5H₂O")

    def test_a_text_that_is_no_formula_is_refused_with_a_sentence(self) -> None:
        for text in ("", "Xy2", "salt", "H2O)", "2", "🙂"):
            with self.subTest(text), self.assertRaisesRegex(ReadingError, "not a chemical formula"):
                molar_mass(text)
