"""The chemistry behind a worked titration: balances that close, textbook points, solvers that work otherwise."""

from dataclasses import replace
from math import log, log10
from unittest import TestCase

import numpy as np

from chromata_core.chemistry.acid_and_base import PROTOLYTES, Protolyte, charge_left, ph_of
from chromata_core.chemistry.indicators import INDICATORS
from chromata_core.chemistry.redox_curve import DICHROMATE_FORMAL, IRON_FORMAL, SILVER_CHLORIDE, iron_potential
from chromata_core.declaration.nature import Titrated
from chromata_core.methods.registry import method
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from chromata_core.workbench.titration import Titration
from tests.outside import outside

NAOH, HCL = PROTOLYTES["NaOH"], PROTOLYTES["HCl"]
RT_F = 8.314462618 * 298.15 / 96485.33212  # V, SI brochure, 9th ed.


class AcidAndBase(TestCase):
    @outside("acid-base-titration", by="textbook points of the usual examples, pKₐ from memory")
    def test_textbook_points(self) -> None:
        """Weak acid √(Kₐc), buffer pKₐ, its salt ½(pK_w + pKₐ + log c), ampholyte ½(pK₁ + pK₂)."""
        acid = PROTOLYTES["CH3COOH"]
        for parts, ph in (
            (((HCL, 0.1),), 1.00),
            (((NAOH, 0.01),), 12.00),
            (((acid, 0.1),), (4.756 - log10(0.1)) / 2),
            (((acid, 0.05), (NAOH, 0.025)), 4.76),
            (((acid, 0.05), (NAOH, 0.05)), (14 + 4.756 + log10(0.05)) / 2),
            (((PROTOLYTES["NH3"], 0.1),), 14 - (4.75 - log10(0.1)) / 2),
            (((PROTOLYTES["NaHCO3"], 0.1),), (6.35 + 10.33) / 2),
            (((PROTOLYTES["Na2CO3"], 0.05), (HCL, 0.05)), (6.35 + 10.33) / 2),
            (((PROTOLYTES["Ca(OH)2"], 0.01),), 12.30),
        ):
            self.assertAlmostEqual(ph_of(*parts), ph, delta=0.02)

    @outside("acid-base-titration", by="roots of the polynomial in [H⁺], by numpy")
    def test_a_polynomial_says_the_same(self) -> None:
        """For a monoprotic acid: h³ + (Kₐ + b)h² + (Kₐ(b − c) − K_w)h − KₐK_w = 0, b of strong base, c of acid."""
        for pka, c, b in (
            (4.756, 0.1, 0.0),
            (4.2, 0.02, 0.0199),
            (4.2, 0.02, 0.0201),
            (9.25, 0.05, 0.02),
            (3.0, 1e-4, 0),
        ):
            ka, kw = 10.0**-pka, 1e-14
            roots = np.roots([1, ka + b, ka * (b - c) - kw, -ka * kw])
            [h] = [root.real for root in roots if abs(root.imag) < 1e-20 and root.real > 0]
            self.assertAlmostEqual(ph_of((Protolyte((pka,)), c), (NAOH, b)), -log10(h), 5)

    def test_charges_close(self) -> None:
        for name, protolyte in PROTOLYTES.items():
            for share in (0.0, 0.3, 1.0, 1.7):
                parts = ((protolyte, 0.05), (HCL if protolyte.given else NAOH, 0.05 * share))
                with self.subTest(name, share=share):
                    ph = ph_of(*parts)
                    scale = 10.0**-ph + 10.0 ** (ph - 14) + 0.05
                    self.assertLess(abs(charge_left(ph, *parts)), 1e-8 * scale)

    @outside("acid-base-titration", by="ranges of the usual handbook tables, from memory")
    def test_indicators_turn_in_their_ranges(self) -> None:
        for name, low, high in (
            ("phenolphthalein", 8.2, 10.0),
            ("methyl-orange", 3.1, 4.4),
            ("bromothymol-blue", 6.0, 7.6),
        ):
            indicator = INDICATORS[name]
            with self.subTest(name):
                self.assertNotEqual(indicator.colour(low - 0.3), indicator.colour((low + high) / 2))
                self.assertNotEqual(indicator.colour(low - 0.3), indicator.colour(high + 0.1))


class Iron(TestCase):
    @outside("potentiometric-titration", by="Nernst's equation by hand; formal potentials from memory")
    def test_textbook_points(self) -> None:
        """Half way the formal potential of iron, at twice the end that of dichromate, at the end their weighted mean:
        (E₁ + 6E₂)/7 − (RT/7F)·ln(2[Cr³⁺]).
        """
        self.assertAlmostEqual(iron_potential(0.02, 0.02 / 12), IRON_FORMAL - SILVER_CHLORIDE, 3)
        twice = DICHROMATE_FORMAL + RT_F / 6 * log((0.02 / 6) / (0.04 / 6) ** 2)
        self.assertAlmostEqual(iron_potential(0.02, 0.02 / 3), twice - SILVER_CHLORIDE, 3)
        end = (IRON_FORMAL + 6 * DICHROMATE_FORMAL) / 7 - RT_F / 7 * log(2 * 0.04 / 6)
        self.assertAlmostEqual(iron_potential(0.02, 0.02 / 6 * (1 - 1e-4)), end - SILVER_CHLORIDE, 3)

    def test_electrons_close(self) -> None:
        """What iron gave is in chromium: both shares by Nernst's equation from the potential that was found."""
        for share in (0.2, 0.9, 0.999, 1.2):
            e = iron_potential(0.03, 0.005 * share) + SILVER_CHLORIDE
            ferric = 0.03 / (1 + np.exp(-(e - IRON_FORMAL) / RT_F))
            reduced = min(share, 1.0) * 0.005
            self.assertAlmostEqual(ferric, 6 * reduced + 3e-6 * (share < 1), delta=2e-6)

    def test_it_rises_all_the_way(self) -> None:
        curve = [iron_potential(0.02, 0.02 / 6 * n / 100) for n in range(0, 200)]
        self.assertEqual(curve, sorted(curve))


class Flasks(TestCase):
    def flask(self, options: dict[str, str], slug: str = "acid-base-titration") -> Titration:
        return Titration.of(bind(method(slug), Sheet(options)))

    def test_a_flask_stops_where_its_indicator_says(self) -> None:
        """Ethanoic acid by phenolphthalein ends within a drop of 20 mL; by methyl orange long before."""
        right = self.flask({})
        self.assertEqual([right.seen(v, 20).where for v in (0, 19.9, 20.02, 20.3)], ["before", "before", "end", "past"])
        wrong = self.flask({"indicator": "methyl-orange"})
        self.assertEqual(wrong.seen(10, 20).where, "past")
        carbonate = {"M_s": "Na2CO3", "titrant": "HCl", "indicator": "methyl-orange"}
        seen = [self.flask(carbonate).seen(v, 20).colour for v in (0, 19, 20.15, 21)]
        self.assertEqual(seen, ["yellow", "yellow", "orange", "red"])

    def test_it_is_as_strong_as_the_plan_says(self) -> None:
        """A number for planning alone, 0.02 mol/L: the titrant that is to be standardised."""
        self.assertAlmostEqual(self.flask({"c_expected": "0.02"}, "standardisation").c, 0.02, 9)
        self.assertAlmostEqual(self.flask({"c_t": "0.25"}).c, 0.25, 9)

    def test_an_acid_run_into_a_base_takes_the_colour_away(self) -> None:
        titration = self.flask({"M_s": "NaOH", "titrant": "HCl", "indicator": "phenolphthalein-gone"})
        self.assertEqual([titration.seen(v, 20).colour for v in (0, 19.5, 20.3)], ["magenta", "magenta", "none"])
        self.assertEqual(titration.seen(20.3, 20).where, "end")

    def test_whatever_is_chosen_there_is_a_flask(self) -> None:
        for options in ({"M_s": "C2H6O"}, {"M_s": "NaOH"}, {"titrant": "HCl"}, {"indicator": "universal"}):
            with self.subTest(options):
                self.assertIn(self.flask(options).seen(5, 20).where, ("before", "end", "past"))
        self.assertEqual(self.flask({}, "back-titration").seen(0, 10).colour, "none")
        self.assertEqual(self.flask({"system": "acid"}, "potentiometric-titration").titrant, "NaOH")

    def test_nothing_that_can_be_declared_leaves_a_flask_without_colour(self) -> None:
        """Formulas nobody knows, nothing at all, an indicator of one's own, amounts beyond any flask."""
        declared = method("acid-base-titration")
        for titrated in (
            Titrated("", "", ""),
            Titrated("X", "Y", "c_t", "z_s", "titrant"),
            Titrated("M_s", "K2Cr2O7", "c_t"),
        ):
            with self.subTest(titrated):
                flask = Titration.of(bind(replace(declared, titrated=titrated), Sheet({})))
                for run_in, end in ((0, 0), (0, 1e-9), (1e6, 1), (1, 1e6)):
                    self.assertLess(abs(flask.signal(run_in, end, 100, "mV")), 1e4)
        for ph_at in ((HCL, 1e4), (NAOH, 1e4), (HCL, 0.0)):
            self.assertTrue(-8 < ph_of(ph_at) < 22)
