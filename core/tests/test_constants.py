"""Constants beside scipy's CODATA, potentials beside free energies of ions."""

from importlib.resources import files
from math import isclose
from unittest import TestCase

from scipy import constants as codata

from chromata_core.chemistry.constants import (
    ATMOSPHERE,
    AVOGADRO,
    BAR,
    FARADAY,
    GAS_CONSTANT,
    ZERO_CELSIUS,
)
from chromata_core.chemistry.standard_potentials import SERIES


class Constants(TestCase):
    def test_codata(self) -> None:
        for ours, peer in (
            (GAS_CONSTANT, codata.R), (AVOGADRO, codata.N_A), (FARADAY, codata.N_A * codata.e),
            (ATMOSPHERE, codata.atm), (BAR, codata.bar), (ZERO_CELSIUS, codata.zero_Celsius),
        ):  # fmt: skip
            self.assertTrue(isclose(ours, peer, rel_tol=1e-12))


def free_energies() -> dict[str, float]:
    """Gibbs energies of formation of aqueous ions in kJ/mol: the CRC table that the package ``chemicals`` ships."""
    table = files("chemicals") / "Electrolytes" / "CRC Thermodynamic Properties of Aqueous Ions.tsv"
    lines = table.read_text(encoding="utf-8").splitlines()
    names = lines[0].split("\t")
    formula, energy = names.index("Formula"), next(i for i, n in enumerate(names) if n.startswith("Gf"))
    rows = [line.split("\t") for line in lines[1:]]
    return {row[formula]: float(row[energy]) / 1000 for row in rows if len(row) > energy and row[energy].strip()}


class Potentials(TestCase):
    def test_metals_against_free_energies_of_their_ions(self) -> None:
        """E° = ΔG°f(ion) / nF for M(n+) + n e⁻ → M; independent of the handbook's electrochemical series."""
        energies = free_energies()
        for key, ion, tolerance in (
            ("Zn2+/Zn", "Zn+2", 0.003), ("Cu2+/Cu", "Cu+2", 0.003), ("Ag+/Ag", "Ag+", 0.003),
            ("Pb2+/Pb", "Pb+2", 0.003), ("Sn2+/Sn", "Sn+2", 0.005), ("Mg2+/Mg", "Mg+2", 0.02),
            ("Al3+/Al", "Al+3", 0.02), ("Fe2+/Fe", "Fe+2", 0.04),
        ):  # fmt: skip
            with self.subTest(key):
                cell = SERIES[key]
                derived = energies[ion] * 1000 / (cell.electrons * FARADAY)
                self.assertAlmostEqual(cell.potential, derived, delta=tolerance)

    def test_where_tables_disagree_it_says_so(self) -> None:
        self.assertTrue(SERIES["Fe2+/Fe"].note and SERIES["Cr2O7/Cr3+"].note)
