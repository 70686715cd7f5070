"""The desk's calculators against other libraries, tables and worked examples; each shows its working."""

import re
from unittest import TestCase

import CoolProp.CoolProp as coolprop
import numpy as np
import pint
from molmass import Formula
from scipy import stats
from uncertainties import ufloat

from chromata_core.chemistry.molar_mass import molar_mass
from chromata_core.desk.curves import titration_ph
from chromata_core.desk.on_the_desk import DESK
from chromata_core.errors import ChromataError


def number(text: str) -> float:
    return float(re.findall(r"−?\d+(?:\.\d+)?", text)[0].replace("−", "-"))


class Desk(TestCase):
    def test_each_works_its_example_and_shows_how(self) -> None:
        for key, calculator in DESK.items():
            with self.subTest(key):
                worked_out = calculator.worked({})
                self.assertTrue(worked_out.result)
                self.assertTrue(all(step.label and step.text for step in worked_out.steps))
                self.assertEqual(
                    worked_out, calculator.worked({field.key: field.example for field in calculator.fields})
                )

    def test_molar_masses_against_molmass(self) -> None:
        for formula in ("NaOH", "KHC8H4O4", "K2Cr2O7", "C12H22O11", "Ca(OH)2", "AgNO3"):
            mass = number(DESK["molar-mass"].worked({"formula": formula}).steps[0].text.replace("×", ""))
            self.assertGreater(mass, 0)
            told = molar_mass(formula).value * 1000
            self.assertAlmostEqual(told / Formula(formula).mass, 1, delta=2e-5)

    def test_units_against_pint(self) -> None:
        registry: pint.UnitRegistry[float] = pint.UnitRegistry(autoconvert_offset_to_baseunit=True)
        for given, to, theirs in (
            ("760 mmHg", "kPa", "kPa"),
            ("25.0 °C", "K", "kelvin"),
            ("1.000 cal", "J", "joule"),
            ("2.50 g/mL", "kg/m³", "kg/m**3"),
        ):
            value, symbol = given.split()
            other = registry.Quantity(
                float(value), {"mmHg": "mmHg", "°C": "degC", "cal": "cal", "g/mL": "g/mL"}[symbol]
            ).to(theirs)
            worked_step = next(
                step for step in DESK["units"].worked({"given": given, "to": to}).steps if step.label == "All digits"
            )
            self.assertAlmostEqual(number(worked_step.text) / float(other.magnitude), 1, places=6)

    def test_vapour_pressure_and_gas_against_coolprop(self) -> None:
        for celsius in (5, 22.5, 60, 95):
            theirs = coolprop.PropsSI("P", "T", celsius + 273.15, "Q", 1, "Water")
            worked_out = DESK["vapour-pressure"].worked({"temperature": f"{celsius} °C"})
            self.assertAlmostEqual(number(worked_out.result) * 1000 / theirs, 1, delta=1e-3)
        dry = DESK["gas"].worked(
            {"collected": "dry", "temperature": "0 °C", "pressure": "101.325 kPa", "volume": "22414 mL"}
        )
        self.assertAlmostEqual(number(dry.result), 1000, delta=0.5)  # molar volume, CODATA 2018: 22.41396954 L/mol

    def test_a_line_against_scipy(self) -> None:
        x, y = np.array([1.0, 2, 4, 6, 9]), np.array([0.081, 0.165, 0.322, 0.487, 0.721])
        points = "\n".join(f"{a}\t{b}" for a, b in zip(x, y, strict=True))
        worked_out, theirs = DESK["line"].worked({"points": points, "read": "none"}), stats.linregress(x, y)
        self.assertAlmostEqual(number(worked_out.steps[0].text) / theirs.slope, 1, delta=2e-3)
        self.assertIn(f"r² = {theirs.rvalue**2:.5f}", worked_out.steps[2].text)
        self.assertIn("u = ", worked_out.steps[0].text)

    def test_reading_off_against_the_worked_example_of_cg4(self) -> None:
        """EURACHEM/CITAC CG4, A5: cadmium, five levels read three times, y = 0.0087 + 0.2410 c; 0.0712 gives
        0.260 mg/L with u = 0.018 for two readings; here it is one. The figures of the example are from memory.
        """
        levels = {"0.1": ("0.028", "0.029", "0.029"), "0.3": ("0.084", "0.083", "0.081"),
                  "0.5": ("0.135", "0.131", "0.133"),
                  "0.7": ("0.180", "0.181", "0.183"), "0.9": ("0.215", "0.230", "0.216")}  # fmt: skip
        points = "\n".join(f"{c} {y}" for c, ys in levels.items() for y in ys)
        worked_out = DESK["line"].worked({"points": points, "read": "0.0712"})
        self.assertAlmostEqual(number(worked_out.result.removeprefix("x = ")), 0.260, delta=0.002)
        self.assertAlmostEqual(number(worked_out.steps[0].text), 0.2410, delta=0.001)
        self.assertIn("13 degrees of freedom", worked_out.steps[2].text)

    def test_combined_uncertainties_against_the_uncertainties_package(self) -> None:
        worked_out = DESK["uncertainty"].worked({
            "formula": "m / (M * V)", "unit": "mol/L",
            "inputs": "m = 0.5012 ± 0.0004 g, u\nM = 204.22 ± 0.02 g/mol, u\nV = 100.00 ± 0.05 mL, u",
        })  # fmt: skip
        theirs = ufloat(0.5012, 0.0004) / (ufloat(204.22, 0.02) * ufloat(0.1, 0.00005))
        self.assertAlmostEqual(float(worked_out.value), theirs.n, places=6)
        self.assertAlmostEqual(float(worked_out.limit), 2 * theirs.s, delta=2e-6)

    def test_a_decimal_comma_is_no_kind_of_limit(self) -> None:
        inputs = "x = 0,95\ny = 2,0 ± 0,1, rect"
        worked_out = DESK["uncertainty"].worked({"formula": "x * y", "unit": "1", "inputs": inputs})
        self.assertEqual(float(worked_out.value), 1.90)

    def test_degrees_keep_their_decimals_in_kelvin(self) -> None:
        self.assertEqual(float(DESK["units"].worked({"given": "25.0 °C", "to": "K"}).value), 298.15)

    def test_a_titration_curve_by_hand(self) -> None:
        """0.1 mol/L ethanoic acid, pKa 4.76, 20 mL with 0.1 mol/L base: 2.88 at the start, 4.76 halfway, 8.73 at the
        end, 12.52 with as much again (textbook formulas, worked by hand).
        """
        for added, ph in ((0.0, 2.88), (10.0, 4.76), (20.0, 8.73), (40.0, 12.52)):
            self.assertAlmostEqual(titration_ph(0.1, 20, 4.76, 0.1, added), ph, delta=0.01)
        self.assertAlmostEqual(titration_ph(0.1, 20, -3, 0.1, 20), 7.0, delta=0.001)
        worked_out = DESK["titration"].worked({"pka": "strong"})
        self.assertEqual(worked_out.chart and worked_out.chart.key, "titration")

    def test_dilution_by_hand(self) -> None:
        worked_out = DESK["dilution"].worked({"stock": "12 mol/L", "wanted": "1 mol/L", "volume": "600 mL"})
        self.assertIn("50.00 mL of the stock", worked_out.result)

    def test_figures_and_percent_error(self) -> None:
        for text, figures in (("0.02050", 4), ("1.20e3", 3), ("24", 2), ("0.0", 1), ("100.0", 4)):
            self.assertIn(f"{figures} significant", DESK["figures"].worked({"number": text, "to": "2"}).result)
        self.assertIn(
            "−3.7 %, too low", DESK["percent-error"].worked({"found": "98.8 mmol/L", "accepted": "0.1026 mol/L"}).result
        )

    def test_what_cannot_be_is_said(self) -> None:
        wrong: dict[str, tuple[dict[str, str], ...]] = {
            "dilution": ({"stock": "0.1 mol/L"}, {"volume": "0 mL"}, {"volume": "5 g"}, {"odd": "1"}),
            "molar-mass": ({"formula": "Xx2"}, {"formula": "H" * 5000}),
            "units": ({"given": "760"}, {"to": "g"}),
            "gas": ({"pressure": "1 kPa"}, {"temperature": "400 °C"}),
            "vapour-pressure": ({"temperature": "-5 °C"},),
            "uncertainty": (
                {"formula": "m /"}, {"inputs": "m = 1 g"}, {"unit": "kg"}, {"formula": "m / (V - V) / M"},
                {"inputs": "m = 1 ± 1 g, odd\nM = 1 g/mol\nV = 1 mL"}, {"formula": "__import__('os')"},
            ),
            "line": (
                {"points": "1 2"}, {"points": "1 2\n1 3\n1 4"}, {"points": "1 2 3"}, {"read": "high"},
                {"points": "\n".join("1 2" for _ in range(200))}, {"points": "1 5\n2 5\n3 5"},
            ),
            "titration": ({"pka": "99"}, {"acid": "0 mol/L"}, {"base": "1e-9 mol/L"},
                          {"acid": "500 mol/L", "base": "500 mol/L"}),
            "figures": ({"to": "99"}, {"number": "ten"}),
            "percent-error": ({"accepted": "0"}, {"found": "98.8 mmol/L", "accepted": "0.1026"}),
        }  # fmt: skip
        for key, form in ((key, form) for key, all_of in wrong.items() for form in all_of):
            with self.subTest(key, **form), self.assertRaises(ChromataError):
                DESK[key].worked(form)
