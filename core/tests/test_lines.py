"""Straight lines and calibration beside NIST, EURACHEM/CITAC and GTC."""

from collections.abc import Sequence
from importlib.resources import files
from math import sqrt
from pathlib import Path
from unittest import TestCase

import GTC
import numpy as np
from scipy import stats

from chromata_core.chemistry.constants import GAS_CONSTANT
from chromata_core.curves.calibration import (
    dilution,
    doubt_of_line,
    doubt_of_line_origin,
    line_intercept,
    line_slope,
    line_slope_origin,
    line_tests,
    line_x,
    line_x_origin,
    scatter_of_reading,
    scatter_of_reading_origin,
)
from chromata_core.curves.line import CurveError, line
from chromata_core.engine.context import context_of
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate

SCIPY = Path(str(files("scipy"))) / "stats/tests/data"
# EURACHEM/CITAC CG4, A5: cadmium standards in mg/L with three absorbances each (data also in GTC's documentation of
# LineFitOLS.x_from_y); published b1 0.2410 (0.0050), b0 0.0087 (0.0029), S 0.005486, u(c0) = 0.018 at 0.26 mg/L.
A5 = {
    0.1: (0.028, 0.029, 0.029), 0.3: (0.084, 0.083, 0.081), 0.5: (0.135, 0.131, 0.133), 0.7: (0.180, 0.181, 0.183),
    0.9: (0.215, 0.230, 0.216),
}  # fmt: skip
A5_X = [x for x, ys in A5.items() for _ in ys]
A5_Y = [y for ys in A5.values() for y in ys]


class NistNorris(TestCase):
    def test_certified_to_eleven_digits(self) -> None:
        """NIST StRD Norris, certified values from the file that scipy ships."""
        rows = [r.split() for r in (SCIPY / "nist_linregress/Norris.dat").read_text().splitlines()[60:]]
        ys, xs = zip(*((float(a), float(b)) for a, b in (row for row in rows if len(row) == 2)), strict=True)
        fitted = line(xs, ys)
        for ours, certified in (
            (fitted.intercept, -0.262323073774029), (fitted.slope, 1.00211681802045),
            (fitted.u_intercept, 0.232818234301152), (fitted.u_slope, 0.429796848199937e-3),
            (fitted.s, 0.884796396144373), (fitted.r2, 0.999993745883712),
        ):  # fmt: skip
            self.assertAlmostEqual(ours / certified, 1, places=11)


class NistNoIntercept(TestCase):
    def test_noint1_and_noint2(self) -> None:
        """NoInt1: x 60…70, y 130…140, slope exactly 251/121; NoInt2: slope exactly 8/11 (recipes from memory)."""
        fitted = line(range(60, 71), range(130, 141), through_origin=True)
        for ours, certified in (
            (fitted.slope, 2.07438016528926), (fitted.u_slope, 0.0165289256198347), (fitted.s, 3.56753034006338),
            (fitted.r2, 0.999365492298663),
        ):  # fmt: skip
            self.assertAlmostEqual(ours / certified, 1, places=12)
        two = line((4, 5, 6), (3, 4, 4), through_origin=True)
        self.assertAlmostEqual(two.slope, 8 / 11, places=14)
        self.assertAlmostEqual(two.u_slope / 0.0420827318078432, 1, places=12)
        self.assertAlmostEqual(two.s / 0.369274472937998, 1, places=12)


def read_off(xs: Sequence[float], ys: Sequence[float], readings: Sequence[float]) -> tuple[float, float]:
    """Value and standard uncertainty of an unknown, from the scatter about the line alone."""
    x, y, y0 = np.array(xs)[:, None], np.array(ys)[:, None], np.array([np.mean(readings)])
    parts = scatter_of_reading(x, y, y0, np.array([len(readings)])), doubt_of_line(x, y, y0)
    return float(line_x(x, y, y0)[0]), float(np.hypot(*parts)[0])


class Calibration(TestCase):
    def test_a5_line_and_unknown(self) -> None:
        fitted = line(A5_X, A5_Y)
        self.assertEqual(f"{fitted.slope:.4f} {fitted.u_slope:.4f} {fitted.intercept:.4f}", "0.2410 0.0050 0.0087")
        self.assertEqual(f"{fitted.u_intercept:.4f} {fitted.s:.6f}", "0.0029 0.005486")
        value, u = read_off(A5_X, A5_Y, [0.0712, 0.0716])
        self.assertAlmostEqual(value, 0.2601659751037, places=10)
        self.assertAlmostEqual(u, 0.01784461112558, places=10)

    def test_inverse_prediction_is_gtc_s(self) -> None:
        xs, ys = (0.1, 0.3, 0.5, 0.6, 0.7, 0.9), (0.086, 0.269, 0.446, 0.538, 0.626, 0.782)  # R's Formaldehyde
        peer = GTC.type_a.line_fit(xs, ys)
        for readings in ([0.300], [0.300, 0.304, 0.298]):
            theirs = peer.x_from_y(readings)
            value, u = read_off(xs, ys, readings)
            self.assertAlmostEqual(value, theirs.x, places=12)
            self.assertAlmostEqual(u, theirs.u, places=12)

    def test_standards_own_uncertainty_by_monte_carlo(self) -> None:
        """Standards shaken by their volumetric uncertainty, the line drawn anew: the spread of x₀ is what is added."""
        xs, ys = np.array([2.0, 4.0, 6.0, 8.0]), np.array([0.201, 0.399, 0.602, 0.798])
        us = 0.01 * xs
        random, reading = np.random.default_rng(5), np.array([0.515])
        shaken = line_x(random.normal(xs, us, (20_000, 4)).T, ys[:, None] + np.zeros(20_000), reading)
        stepped = line_x(xs[:, None] + 1e-100j * np.diag(us), ys[:, None], reading)
        by_step = float(np.linalg.norm(stepped.imag / 1e-100))
        self.assertAlmostEqual(by_step / float(np.std(shaken)), 1, delta=0.03)

    def test_through_the_origin(self) -> None:
        xs, ys = np.array([[1.0], [2.0], [4.0]]), np.array([[0.11], [0.19], [0.42]])
        slope = np.linalg.lstsq(xs, ys[:, 0], rcond=None)[0][0]
        self.assertAlmostEqual(float(line_x_origin(xs, ys, np.array([0.3]))[0]), 0.3 / slope, places=12)

    def test_weighted_line_is_numpy_s(self) -> None:
        xs, ys, w = (1.0, 2.0, 4.0, 8.0), (1.1, 1.9, 4.2, 7.7), (4.0, 2.0, 1.0, 0.5)
        slope, intercept = np.polyfit(xs, ys, 1, w=np.sqrt(w))
        fitted = line(xs, ys, w)
        self.assertAlmostEqual(fitted.slope, slope, places=12)
        self.assertAlmostEqual(fitted.intercept, intercept, places=12)

    def test_every_round_factor_is_used(self) -> None:
        """What flasks and pipettes make in one step; common practice."""
        for factor in (2, 4, 5, 10, 20, 25, 50, 100, 200, 250, 500, 1000):
            self.assertEqual(dilution(0.7 * factor, 1.0), factor)

    def test_a_line_through_the_origin_needs_a_point_less(self) -> None:
        x, y = np.array([[1.0], [2.0], [3.0]]), np.array([[2.0], [4.0], [6.0]])
        self.assertAlmostEqual(line_slope_origin(x[:2], y[:2]).item(), 2.0)
        self.assertAlmostEqual(line_slope(x, y).item(), 2.0)
        for fit, few, named in ((line_slope_origin, 1, "at least 2"), (line_slope, 2, "at least 3")):
            with self.assertRaisesRegex(CurveError, named):
                fit(x[:few], y[:few])

    def test_bracket_and_dilution(self) -> None:
        """An unknown at twice the highest standard is brought to about two thirds of it."""
        self.assertEqual(dilution(1.0, 0.9), 2)
        self.assertEqual(dilution(1.8, 0.9), 4)
        self.assertEqual(dilution(900.0, 0.9), 1429)  # beyond every round factor

    def test_curvature_is_found_and_a_line_is_left_alone(self) -> None:
        """The quadratic term's p is that of a parabola fitted by least squares (numpy's covariance)."""
        xs = [1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0]
        ys = [0.10, 0.21, 0.29, 0.41, 0.50, 0.58, 0.66]
        coefficients, covariance = np.polyfit(xs, ys, 2, cov=True)
        t = coefficients[0] / sqrt(covariance[0, 0])
        tested = line_tests(xs, ys)
        self.assertAlmostEqual(tested.no_curvature or 0, 2 * stats.t.sf(abs(t), 4), places=10)
        self.assertTrue(line_tests(xs, [x - 0.05 * x * x for x in xs]).bent)
        self.assertFalse(line_tests(xs, [0.1, 0.2, 0.3, 0.4, 0.5001, 0.6, 0.7]).bent)

    def test_three_places_leave_nothing_to_tell_a_bow_by(self) -> None:
        """However often each is read: a parabola goes through the means of any three."""
        self.assertIsNone(line_tests([1, 1, 2, 2, 3, 3], [0.10, 0.11, 0.25, 0.26, 0.30, 0.31]).no_curvature)
        self.assertIsNotNone(line_tests([1, 2, 3, 4], [0.10, 0.25, 0.30, 0.41]).no_curvature)

    def test_what_cannot_be_a_line_is_said(self) -> None:
        for xs, ys, sentence in (
            ((1, 2), (1, 2), "at least 3 points"), ((1, 1, 1), (1, 2, 3), "same x"), ((1, 2, 3), (1, 2), "pair up"),
        ):  # fmt: skip
            with self.assertRaisesRegex(CurveError, sentence):
                line(xs, ys)
        with self.assertRaisesRegex(CurveError, "at least 3 standards"):
            read_off((1, 2), (1, 2), [1.5])


class Rates(TestCase):
    def test_arrhenius_on_dinitrogen_pentoxide(self) -> None:
        """N₂O₅, F. Daniels and E. H. Johnston, J. Am. Chem. Soc. 43 (1921) 53: k in 1/s (from memory): 103 kJ/mol."""
        celsius = (0, 25, 35, 45, 55, 65)
        rates = (7.87e-7, 3.46e-5, 1.35e-4, 4.98e-4, 1.50e-3, 4.87e-3)
        x, y = np.array([[1 / (t + 273.15)] for t in celsius]), np.log([[rate] for rate in rates])
        self.assertAlmostEqual(-GAS_CONSTANT * float(line_slope(x, y)[0]) / 1000, 103.3, delta=1.0)
        self.assertAlmostEqual(float(line_intercept(x, y)[0]), 31.27, delta=0.4)


class ThroughTheOrigin(TestCase):
    """NIST StRD NoInt1 and NoInt2: a line without intercept, its uncertainty with n − 1 degrees of freedom."""

    CERTIFIED = (
        (range(60, 71), range(130, 141), 2.07438016528926, 0.165289256198347e-01, 3.56753034006338),
        ((4, 5, 6), (3, 4, 4), 0.727272727272727, 0.420827318078432e-01, 0.369274472937998),
    )

    def test_reading_off_such_a_line_has_its_own_scatter_and_freedom(self) -> None:
        for x, y, slope, u_slope, s in self.CERTIFIED:
            xs, ys = (np.array(list(values), dtype=float)[:, None] for values in (x, y))
            y0, times = np.array([2.5]), np.array([4.0])
            x0 = line_x_origin(xs, ys, y0)
            self.assertAlmostEqual(x0[0], 2.5 / slope, places=12)
            doubt = doubt_of_line_origin(xs, ys, y0)
            self.assertAlmostEqual(doubt[0], x0[0] * u_slope / slope, places=12)
            scatter = scatter_of_reading_origin(xs, ys, y0, times)
            self.assertAlmostEqual(scatter[0], s / slope / 2, places=12)

    def test_the_method_uses_it_and_draws_it(self) -> None:
        """NoInt1, scaled to a photometer: 6.0 to 7.0 mL of stock in 10 mL, absorbances of 1.30 to 1.40."""
        rows = [Given("zero", "zero"), Given("V_flask", "10.00")]
        for n, (x, y) in enumerate(zip(*self.CERTIFIED[0][:2], strict=True), 1):
            rows += [Given("V_std", f"{x / 10:.2f}", None, n), Given("A_std", f"{y / 100:.3f}", None, n)]
        rows += [Given("rezero", "zero", 1), Given("A_x", "1.350", 1, 1)]
        volumes = "; ".join(f"{x / 10:.1f}" for x in self.CERTIFIED[0][0])
        sheet = Sheet({"fit": "origin", "c_stock": "100", "V_plan": volumes}, {}, tuple(rows))
        at = context_of(method("beer-lambert"), sheet)
        slope, s = self.CERTIFIED[0][2] / 100, self.CERTIFIED[0][4] / 100
        self.assertAlmostEqual(at.value("c_x", 1) or 0, 1.350 / slope, places=6)
        beyond = at.value("u_read", 1) or 0  # of the scatter what the photometer and pipette do not explain
        self.assertTrue(0.9 * s / slope < beyond <= s / slope * (1 + 1e-9))
        of_all = (beyond * slope / s) ** 2  # by this part of the scatter its ten degrees of freedom count
        self.assertAlmostEqual(at.value("nu", None) or 0, 10 * of_all, places=9)
        drawn = evaluate(method("beer-lambert"), sheet).charts[0]
        path = next(line for line in drawn.lines if line.style == "path")
        self.assertTrue(all(abs(y - slope * x) < 1e-9 for x, y in path.points), path.points)
