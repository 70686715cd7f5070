"""Pairs of metals beside standard potentials: poles, reversed leads, a path that must close, one bad contact."""

from itertools import combinations
from math import sqrt
from pathlib import Path
from unittest import TestCase

import chemicals

from chromata_core.chemistry.standard_potentials import metal_pairs, metal_potential
from chromata_core.errors import ChromataError
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation
from tests.outside import outside

CELLS = method("voltaic-cells")
METALS = "Ag; Cu; Pb; Zn"


def measured(volts: dict[str, str], metals: str = METALS) -> Evaluation:
    """Potentials by pair, such as “Ag–Cu”."""
    names = [f"{pair.plus}–{pair.minus}" for pair in metal_pairs(metals)]
    given = tuple(Given("E", text, names.index(name) + 1) for name, text in volts.items())
    return evaluate(CELLS, Sheet({"cells": metals, "halves": "no"}, {}, given))


def ideal(**off: float) -> dict[str, str]:
    return {f"{p.plus}–{p.minus}": f"{p.potential + off.get(p.plus + p.minus, 0.0):.3f}" for p in metal_pairs(METALS)}


class Cells(TestCase):
    @outside("voltaic-cells", by="library chemicals: free energies of ions (CRC)")
    def test_standard_values_have_sign_and_size_of_free_energies(self) -> None:
        """E° = −ΔG/(nF) from the free energies of ions that the library chemicals ships (CRC): within 20 mV."""
        file = Path(chemicals.__file__).parent / "Electrolytes/CRC Thermodynamic Properties of Aqueous Ions.tsv"
        rows = [line.split("\t") for line in file.read_text(encoding="utf-8").splitlines()]
        free = {row[1]: row[5] for row in rows}
        for metal, ion, electrons in (("Ag", "Ag+", 1), ("Cu", "Cu+2", 2), ("Pb", "Pb+2", 2), ("Zn", "Zn+2", 2)):
            expected = float(free[ion]) / (electrons * 96485.332)
            self.assertAlmostEqual(metal_potential(metal), expected, delta=0.02)

    def test_each_pair_is_compared_with_its_own_standard_value(self) -> None:
        """Zinc and copper: 1.10 V; 0.94 V in class is 15 % less (common practice: 0.93 to 0.95 V at 0.1 mol/L)."""
        outcome = measured({"Cu–Zn": "0.940"}, "Cu; Zn")
        results = {r.key: r for r in outcome.results}
        assert results["E_cell"].comparison
        self.assertAlmostEqual(float(results["E_cell"].comparison.accepted), 1.1037, places=4)
        self.assertAlmostEqual(results["d"].value, 100 * (0.940 / 1.1037 - 1), places=6)
        self.assertIn("copper over zinc", outcome.charts[1].sentence)

    def test_reversed_leads_and_over_range(self) -> None:
        self.assertIn("reversed", {f.code for f in measured({"Ag–Zn": "-1.480"}).findings})
        self.assertIn("over-range", {f.code for f in measured({"Ag–Zn": "1."}).findings})

    def test_the_square_of_pairs_says_pole_and_distance(self) -> None:
        """Copper over zinc, 0.940 of 1.104 V: 15 % less; reversed leads name the other cathode and are asked about."""
        square = measured({"Cu–Zn": "0.940", "Ag–Zn": "-1.480"}).charts[0].square
        assert square
        self.assertEqual((square.heads, len(square.cells)), (["Ag", "Cu", "Pb", "Zn"], 12))
        cells = {(square.heads[cell.row], square.heads[cell.column]): cell for cell in square.cells}
        copper, silver, open_ = cells["Cu", "Zn"], cells["Ag", "Zn"], cells["Cu", "Pb"]
        self.assertEqual((copper.note, copper.level, copper.name), ("Cu +", "keep", "Red at Cu, black at Zn: 0.940"))
        self.assertEqual((silver.note, silver.level), ("Zn +", "look"))
        self.assertEqual((open_.shown, open_.note), (None, ""))
        expected = cells["Zn", "Cu"]
        assert expected.shown
        self.assertEqual((expected.shown.text, expected.note, expected.expected), ("1.104", "−15 %", True))

    def test_the_ladder_gives_the_table_back(self) -> None:
        sentence = next(c.sentence for c in measured(ideal()).charts if c.key == "ladder")
        self.assertEqual(
            sentence, "From above: Ag 0.800, Cu 0.342, Pb −0.126, Zn −0.762 V. The pairs fit it within 0.000 V."
        )

    def test_one_bad_contact_is_named_and_ordinary_scatter_is_not(self) -> None:
        bad = measured(ideal(CuPb=-0.12))
        finding = next(f for f in bad.findings if f.code == "bad-contact")
        self.assertIn("Copper–lead", finding.what)
        self.assertEqual(finding.trial, 4)
        scatter = measured(ideal(CuPb=-0.004, AgZn=0.003))
        self.assertNotIn("bad-contact", {f.code for f in scatter.findings})

    def test_metals_that_nobody_knows(self) -> None:
        for text in ("Cu", "Cu; Cu", "Cu; Kryptonite", "Ag; Cu; Pb; Sn; Ni; Fe; Zn"):
            with self.subTest(text), self.assertRaises(ChromataError):
                evaluate(CELLS, Sheet({"cells": text}))


class LadderInNumbers(TestCase):
    def test_all_pairs_of_four_metals(self) -> None:
        """Of all pairs each half-cell is the mean over its row, with u = s·√(2/k): a balanced design, by hand."""
        told = {statistic.label: statistic for statistic in evaluate(CELLS, example_sheet(CELLS)).statistics}
        volts = {(r.key, r.trial): float(r.text) for r in example_sheet(CELLS).given if r.key == "E"}
        pairs = {(a, b): volts[("E", n)] for n, (a, b) in enumerate(combinations(("Ag", "Cu", "Pb", "Zn"), 2), 1)}
        row = {m: sum(v * ((a == m) - (b == m)) for (a, b), v in pairs.items()) for m in ("Cu", "Zn")}
        self.assertAlmostEqual(told["Cu against Zn"].value, (row["Cu"] - row["Zn"]) / 4, places=9)
        s = told["Residual standard deviation"].value
        self.assertAlmostEqual(told["Cu against Zn"].u or 0, s * sqrt(2 / 4), places=9)
        self.assertEqual(told["Degrees of freedom"].value, 3)
