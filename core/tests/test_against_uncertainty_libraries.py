"""The linear budget beside two independent implementations of GUM propagation on the same inputs.

``uncertainties`` 3.2.3 and ``GTC`` 1.5.1; GTC also gives effective degrees of freedom (Welch–Satterthwaite, GUM G.4).
"""

from math import sqrt
from statistics import fmean, variance
from unittest import TestCase

import GTC
import numpy as np
from uncertainties import ufloat

from chromata_core.formula.compute import numeric
from chromata_core.formula.parse import parse_formula
from chromata_core.methods.registry import method
from chromata_core.telling.evaluate import evaluate
from chromata_core.uncertainty.budget import budget
from chromata_core.uncertainty.columns import columns_of, contributions_of, value_of
from chromata_core.uncertainty.source import Input, Source, standard
from tests.outside import outside
from tests.sheets import titration

TOLERANCE = 1e-9


class OneTitration(TestCase):
    """c = c_t V z_t / (z_s V_s) with a burette whose calibration error enters once, by hand in both libraries."""

    def setUp(self) -> None:
        sheet = titration(("0.24", "21.78"), rough=None, options={"c_t": "0.1026", "c_t.limit": "0.0004"})
        self.result = evaluate(method("acid-base-titration"), sheet).results[0]
        room = 0.00063 / 1.959963984540054
        self.inputs = {
            "c_t": (0.1026, 0.0004 / 1.959963984540054),
            "start": (0.24, 0.02 / sqrt(6)),
            "end": (21.78, 0.02 / sqrt(6)),
            "calibration": (0.0, 0.10 / sqrt(6)),
            "end_point": (0.0, 0.05 / sqrt(6)),
            "V_s": (20.00, sqrt(0.03**2 + 0.01**2) / sqrt(6)),
            "room": (1.0, room),
        }

    @staticmethod
    def model(i: dict) -> object:
        titre = (i["end"] - i["start"]) * i["room"] + i["calibration"] + i["end_point"]
        return i["c_t"] * titre / (i["V_s"] * i["room"])

    def test_value_and_u_agree_with_uncertainties(self) -> None:
        peer = self.model({key: ufloat(*pair) for key, pair in self.inputs.items()})
        self.assertAlmostEqual(self.result.value / peer.n, 1, delta=TOLERANCE)
        self.assertAlmostEqual(self.result.u / peer.s, 1, delta=TOLERANCE)

    @outside("acid-base-titration", by="GTC on the same inputs")
    def test_value_and_u_agree_with_gtc(self) -> None:
        peer = self.model({key: GTC.ureal(*pair) for key, pair in self.inputs.items()})
        self.assertAlmostEqual(self.result.value / peer.x, 1, delta=TOLERANCE)
        self.assertAlmostEqual(self.result.u / peer.u, 1, delta=TOLERANCE)

    def test_room_temperature_common_to_both_volumes_cancels(self) -> None:
        """Burette and pipette expand alike, so their ratio does not feel the room."""
        self.assertNotIn("Temperature of the glassware", [line.label for line in self.result.budget])


class Replicates(TestCase):
    def test_mean_of_scattered_trials_has_the_freedom_gtc_gives(self) -> None:
        """Three titres: their known errors stay, what the spread shows beyond them is added as type A (peer: GTC).

        The excess has the two degrees of freedom of the spread, by as much of its variance as it is.
        """
        titres = [21.54, 21.63, 21.58]
        sheet = titration(("0.00", "21.54"), ("0.10", "21.73"), ("0.20", "21.78"), rough=None)
        result = evaluate(method("acid-base-titration"), sheet).results[0]
        # What a titre is known to vary by: two readings to 0.02 mL and an end point to 0.05 mL, both triangular.
        known = 2 * (0.02 / sqrt(6)) ** 2 + (0.05 / sqrt(6)) ** 2
        # The pipette of 20 mL is filled anew for each: 0.01 mL, in proportion.
        known += fmean((titre * 0.01 / 20.00) ** 2 for titre in titres) / 6
        seen = variance(titres)
        excess = max(seen - known, 0) / 3
        freedom = 2 * excess / (seen / 3) if excess else float("inf")
        mean = GTC.ureal(fmean(titres), sqrt(known / 3)) + GTC.ureal(0, sqrt(excess), freedom)
        room = GTC.ureal(1, 0.00063 / 1.959963984540054)
        titre = mean * room + GTC.ureal(0, 0.10 / sqrt(6))
        sample = GTC.ureal(20.00, 0.03 / sqrt(6)) * room
        peer = GTC.ureal(0.1, 0.0005 / 1.959963984540054) * titre / sample
        self.assertAlmostEqual(result.value / peer.x, 1, delta=TOLERANCE)
        self.assertAlmostEqual(result.u / peer.u, 1, delta=1e-7)
        self.assertAlmostEqual((result.dof or 0) / peer.df, 1, delta=1e-4)

    def test_effective_degrees_of_freedom_and_coverage_factor(self) -> None:
        """GUM H.1 way of adding: 5 with 4 degrees of freedom, 3 with 9, 2 with none; peer GTC."""
        sources = [Source(str(n), str(n), u, "normal", dof=dof) for n, (u, dof) in enumerate(PAIRS)]
        columns = columns_of({s.id: Input(1.0, ((s, 1.0),)) for s in sources})
        combined = budget(columns.sources, contributions_of(sum(columns.by_key.values())))
        peer = sum(GTC.ureal(1, u, dof) for u, dof in PAIRS)
        self.assertAlmostEqual(combined.dof, peer.df, places=9)
        self.assertAlmostEqual(combined.u, peer.u, places=12)
        self.assertAlmostEqual(combined.k, GTC.rp.k_factor(peer.df, 95), places=5)


PAIRS = ((5.0, 4.0), (3.0, 9.0), (2.0, float("inf")))


class EveryOperation(TestCase):
    """Derivatives of each operation and function of the formula language against ``uncertainties``."""

    FORMULAS = (
        "a + b", "a - b", "a * b", "a / b", "a ** 3", "a ** 0.5", "-a * b", "ln(a)", "log10(a / b)", "exp(a / b)",
        "sqrt(a * b)", "a * b / (a + b) - ln(a) ** 2",
    )  # fmt: skip

    def test_value_and_u_agree(self) -> None:
        import uncertainties.umath as um

        inputs = {"a": (2.7, 0.03), "b": (1.9, 0.05)}
        columns = columns_of({key: Input(x, ((Source(key, key, u, "normal"), 1.0),)) for key, (x, u) in inputs.items()})
        known = {key: ufloat(x, u) for key, (x, u) in inputs.items()}
        known |= {"ln": um.log, "log10": um.log10, "exp": um.exp, "sqrt": um.sqrt}
        for formula in self.FORMULAS:
            with self.subTest(formula):
                ours = numeric(parse_formula(formula))(columns.by_key)
                peer = eval(formula, {}, known)
                self.assertAlmostEqual(value_of(ours) / peer.n, 1, delta=TOLERANCE)
                u = float(np.sqrt((contributions_of(ours) ** 2).sum()))
                self.assertAlmostEqual(u / peer.s, 1, delta=TOLERANCE)


class OneHalfWidth(TestCase):
    def test_divisors_of_the_gum(self) -> None:
        """GUM 4.3.7 (a/√3), 4.3.9 (a/√6), F.2.2.1 (d/√12), 4.3.4 (95 % of a normal: 1.96)."""
        self.assertAlmostEqual(standard(1, "rectangular"), 0.57735, places=5)
        self.assertAlmostEqual(standard(1, "triangular"), 0.40825, places=5)
        self.assertAlmostEqual(standard(1, "resolution"), 0.28868, places=5)
        self.assertAlmostEqual(standard(1, "normal95"), 1 / 1.95996, places=5)
