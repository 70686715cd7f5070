"""Curves of a redox and a pH titration, solved apart from the charge and electron balance, put through the method."""

from math import log, sqrt
from unittest import TestCase

from scipy.constants import R, physical_constants
from scipy.optimize import brentq

from chromata_core.chemistry.molar_mass import molar_mass
from chromata_core.instruments.catalogue import CATALOGUE
from chromata_core.methods.registry import method
from chromata_core.planning.predict import predict
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation
from tests.outside import outside

POTENTIOMETRIC = method("potentiometric-titration")
NERNST = R * 298.15 / physical_constants["Faraday constant"][0] * log(10)
C_CR = 0.1 / 6


def potential(v: float, iron: float, start: float, e_iron: float = 0.771) -> float:
    """E in volts of ``iron`` mmol Fe²⁺ in ``start`` mL with ``v`` mL of dichromate, [H⁺] 1 mol/L; E°(Cr) 1.33 V."""
    fe, cr = iron / (start + v), C_CR * v / (start + v)

    def electrons(e: float) -> float:
        ratio, q = 10 ** ((e - e_iron) / NERNST), 10 ** (6 * (e - 1.33) / NERNST)
        return fe * ratio / (1 + ratio) - 6 * 2 * cr / (1 + sqrt(1 + 16 * q * cr))

    return float(brentq(electrons, 0.1, 1.6, xtol=1e-13))


def ph(v: float, acid: float, start: float = 90.0, pka: float = 5.408) -> float:
    """pH of ``acid`` mmol of a weak acid HA⁻ in ``start`` mL with ``v`` mL of 0.1000 mol/L base."""
    volume, ka = start + v, 10**-pka

    def charge(p: float) -> float:
        h = 10**-p
        return h + 0.1 * v / volume - 1e-14 / h - acid / volume * ka / (ka + h)

    return float(brentq(charge, 0, 14, xtol=1e-13))


def volumes(end: float, fine: float, start: float = 0.0) -> list[float]:
    """Half millilitres, ``fine`` steps from 0.7 mL before the end point to 0.7 mL behind it."""
    volumes_read, v = [], 0.0
    while v <= end + 4:
        volumes_read.append(round(start + v, 3))
        v += fine if abs(v - end) < 0.7 else 0.5
    return volumes_read


def titrated(pairs: list[tuple[float, str]], mass: float, options: dict[str, str], start: float = 0.0) -> Evaluation:
    rows = [(("V", f"{start + v:.2f}"), ("E", e)) for v, e in pairs]
    points = [Given(key, text, 1, n) for n, row in enumerate(rows, 1) for key, text in row]
    weighed = (Given("m_before", "20.0000", 1), Given("m_after", f"{20 - mass:.4f}", 1))
    return evaluate(POTENTIOMETRIC, Sheet(options, {}, (*weighed, *points)))


def quantity(outcome: Evaluation, key: str) -> float:
    return next(q.value for q in outcome.trials[0].quantities if q.key == key)


class KnownCurves(TestCase):
    def test_the_solver_gives_a_table_made_apart(self) -> None:
        """25.00 mL of 0.1000 mol/L Fe²⁺, volts by a 120-digit bisection."""
        for v, e in ((2.5, 0.71455), (24.9, 0.91276), (25.0, 1.26263), (25.1, 1.32093)):
            self.assertAlmostEqual(potential(v, 2.5, 25.0), e, places=5)

    def iron(self, fine: float, start: float = 0.0, options: dict[str, str] | None = None) -> Evaluation:
        """0.8000 g of pure FeSO₄·7H₂O: 2.8776 mmol, 28.776 mL of 0.1 N dichromate."""
        mmol = 800 / (molar_mass("FeSO4.7H2O").value * 1000)
        points = [(v, f"{1000 * potential(max(v, 0.02), mmol, 90.0) - 244:.0f}") for v in volumes(mmol / 0.1, fine)]
        return titrated(points, 0.8, {"c_t": "0.0166667", **(options or {})}, start)

    def test_iron_by_the_second_derivative_within_half_a_step(self) -> None:
        for fine, start in ((0.05, 0.0), (0.1, 1.35)):
            outcome = self.iron(fine, start)
            self.assertAlmostEqual(quantity(outcome, "V_eq"), 28.776, delta=fine / 2)
            purity = next(r for r in outcome.results if r.key == "w")
            self.assertLess(abs(purity.value - 100), purity.expanded)

    @outside("potentiometric-titration", by="charge balance solved by scipy")
    def test_acid_end_points_to_two_hundredths(self) -> None:
        """0.5106 g of potassium hydrogen phthalate (204.22) is 2.500 mmol: 25.00 mL; pKₐ₂ is 5.408."""
        acid = 510.6 / (molar_mass("KHC8H4O4").value * 1000)
        points = [(v, f"{ph(v, acid):.2f}") for v in volumes(25.0, 0.1)]
        for end in ("second", "first", "steepest", "gran"):
            outcome = titrated(points, 0.5106, {"system": "acid", "end": end})
            with self.subTest(end):
                self.assertAlmostEqual(quantity(outcome, "V_eq"), 25.00, delta=0.02 if end == "second" else 0.06)
        self.assertAlmostEqual(quantity(outcome, "V_gran"), 25.0, delta=0.06)
        self.assertAlmostEqual(quantity(outcome, "pKa_t"), 5.408, delta=0.02)

    def test_gran_s_line_of_a_redox_curve_needs_no_fine_steps(self) -> None:
        """V·10^(−E/k) is straight before the end point: within 0.1 mL from half millilitres read to 1 mV."""
        coarse = [(0.5 * n, f"{1000 * potential(max(0.5 * n, 0.02), 2.8776, 90.0) - 244:.0f}") for n in range(66)]
        for start in (0.0, 1.35):
            outcome = titrated(coarse, 0.8, {"end": "gran"}, start)
            self.assertAlmostEqual(quantity(outcome, "V_eq"), 28.776, delta=0.1)

    def test_each_system_is_read_with_its_own_meter(self) -> None:
        for system, decimals in (("iron", 0), ("acid", 2)):
            parts = predict(POTENTIOMETRIC, Sheet({"system": system})).parts
            meter = next(part.instrument for part in parts if part.key == "E")
            self.assertEqual(CATALOGUE[meter].decimals, decimals)

    def test_normality_is_converted(self) -> None:
        evaluation = self.iron(0.1)
        other = self.iron(0.1, options={"c_given": "normality", "c_t": "0.1"})
        self.assertAlmostEqual(quantity(evaluation, "n"), quantity(other, "n"), places=4)

    def test_the_start_carries_no_second_calibration(self) -> None:
        """A burette's calibration belongs to what it delivered: ±0.10 mL, triangular, in 28.8 mL."""
        budget = next(r for r in self.iron(0.1, 1.35).results if r.key == "w").budget
        line = next(line for line in budget if line.label == "Burette calibration")
        self.assertAlmostEqual(line.u / 100, 0.10 / 6**0.5 / 28.776, places=5)


class AtTheBench(TestCase):
    def points(self, until: float) -> list[tuple[float, str]]:
        return [
            (v, f"{1000 * potential(max(v, 0.02), 2.8776, 90.0) - 244:.0f}") for v in volumes(28.776, 0.1) if v <= until
        ]

    def hand(self, until: float) -> str:
        return next(s.detail for s in titrated(self.points(until), 0.8, {}).steps if s.key == "curve")

    def test_the_jump_is_seen_coming_and_its_passing_is_told(self) -> None:
        self.assertIn("Add about 0.50 mL", self.hand(15.0))
        self.assertIn("The jump is coming: only 0.10 mL", self.hand(28.6))
        self.assertRegex(self.hand(29.0), "The jump lies behind, near 28.[78] mL")

    def test_the_curve_is_not_finished_before_the_jump_is_passed(self) -> None:
        for until, done in ((28.5, False), (32.7, True)):
            tasks = titrated(self.points(until), 0.8, {}).tasks
            self.assertEqual(any(t.key == "V" and not t.done for t in tasks), not done)

    def test_a_volume_that_does_not_grow_is_stopped(self) -> None:
        points = [(0.0, "280"), (2.0, "370"), (1.5, "380")]
        self.assertIn("V-grows", [f.code for f in titrated(points, 0.8, {}).findings])

    def test_coarse_steps_say_what_they_cost(self) -> None:
        coarse = [(0.5 * n, f"{1000 * potential(max(0.5 * n, 0.02), 2.8776, 90.0) - 244:.0f}") for n in range(66)]
        finding = next(f for f in titrated(coarse, 0.8, {}).findings if f.code == "coarse-jump")
        self.assertIn("± 0.25 mL", finding.why)

    def test_a_reading_against_the_trend_is_asked_again(self) -> None:
        points = self.points(10.0)
        points[12] = (points[12][0], "300")
        self.assertIn("E-trend", [f.code for f in titrated(points, 0.8, {}).findings])

    def test_the_curve_is_drawn_with_its_slope(self) -> None:
        for start in (0.0, 1.35):
            chart = titrated(self.points(32.7), 0.8, {}, start).charts[0]
            self.assertEqual([line.label for line in chart.lines], ["Potential", "Slope"])
            self.assertAlmostEqual(chart.marks[0].x or 0.0, start + 28.78, delta=0.06)
