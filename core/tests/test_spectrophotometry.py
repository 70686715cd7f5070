"""Calibration lines beside a published example and certified data; unknowns, dilution, what lies off the line."""

import math
from dataclasses import replace
from pathlib import Path
from unittest import TestCase

import numpy as np
import scipy
from scipy import constants

from chromata_core.curves.calibration import line_x
from chromata_core.engine.context import context_of
from chromata_core.instruments.catalogue import instrument
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.drawn_results import draw_results
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation, ResultOut
from tests.outside import outside

LINE, ALLOY, PRODUCT, CHARGE = (
    method(slug) for slug in ("beer-lambert", "metal-in-alloy", "solubility-product", "coulometry-iodine")
)
# EURACHEM/CITAC CG4, A5: cadmium standards, mg/L, three readings of each (data also in GTC's documentation).
A5_X = (0.1, 0.3, 0.5, 0.7, 0.9)
A5_Y = (
    "0.028 0.029 0.029", "0.084 0.083 0.081", "0.135 0.131 0.133", "0.180 0.181 0.183", "0.215 0.230 0.216",
)  # fmt: skip


def standards(points: list[tuple[str, str]]) -> list[Given]:
    """Stock volumes and absorbances of the standards, in 10 mL flasks."""
    givens = [Given("zero", "zero"), Given("V_flask", "10.00")]
    for index, (volume, absorbance) in enumerate(points, 1):
        givens += [Given("V_std", volume, None, index), Given("A_std", absorbance, None, index)]
    return givens


def unknown(*absorbances: str, trial: int = 1) -> list[Given]:
    return [Given("rezero", "zero", trial), *(Given("A_x", a, trial, n) for n, a in enumerate(absorbances, 1))]


def first(outcome: Evaluation) -> ResultOut:
    return outcome.results[0]


class Published(TestCase):
    @outside("beer-lambert", by="EURACHEM/CITAC CG4, example A5")
    def test_eurachem_a5_through_the_method(self) -> None:
        """c₀ 0.26 mg/L with u 0.018 from two readings on fifteen points; 13 degrees of freedom, as GTC has it."""
        exact = {
            role: replace(instrument(slug), slug=f"exact-{role}", errors=())
            for role, slug in (
                ("pipette", "pipette-graduated-10"),
                ("flask", "flask-10-a"),
                ("photometer_a", "photometer-a"),
            )
        }
        points = [(f"{10 * x:.2f}", y) for x, ys in zip(A5_X, A5_Y, strict=True) for y in ys.split()]
        options = {
            "c_stock": "1", "c_stock.limit": "0", "p": "2", "V_plan": "; ".join(v for v, _ in points),
        }  # fmt: skip
        sheet = Sheet(
            options, {role: tool.slug for role, tool in exact.items()},
            (*standards(points), *unknown("0.0712", "0.0716")),
            {tool.slug: tool for tool in exact.values()},
        )  # fmt: skip
        result = first(evaluate(LINE, sheet))
        self.assertAlmostEqual(result.value, 0.2601659751037, places=9)
        self.assertAlmostEqual(result.u, 0.01784461112558, places=9)
        self.assertAlmostEqual(result.dof or 0, 13, places=6)
        self.assertAlmostEqual(result.k, 2.1604, places=4)

    def test_norris_is_read_off_at_its_certified_line(self) -> None:
        """NIST StRD Norris: B0 −0.262323073774029, B1 1.00211681802045, from the file that scipy ships."""
        file = Path(scipy.__file__).parent / "stats/tests/data/nist_linregress/Norris.dat"
        rows = np.array([[float(v) for v in row.split()] for row in file.read_text().splitlines()[60:] if row.split()])
        for x in (0.0, 260.0, 999.0):
            y = np.array([-0.262323073774029 + 1.00211681802045 * x])
            self.assertAlmostEqual(float(line_x(rows[:, 1:], rows[:, :1], y)[0]), x, places=8)


POINTS = [("2.00", "0.160"), ("4.00", "0.320"), ("6.00", "0.480"), ("8.00", "0.640")]


class Unknowns(TestCase):
    def test_a_perfect_line_gives_the_concentration_back(self) -> None:
        """A = 80·c: 0.400 is 5.00 mmol/L of a 10 mmol/L stock."""
        outcome = evaluate(LINE, Sheet({}, {}, (*standards(POINTS), *unknown("0.400"))))
        self.assertAlmostEqual(first(outcome).value, 0.005, places=9)

    def test_percent_transmittance_says_the_same(self) -> None:
        """A = 2 − log₁₀ %T by Python's own logarithm."""
        given = []
        for reading in (*standards(POINTS), *unknown("0.400")):
            percent = f"{100 * 10 ** -float(reading.text):.1f}" if reading.key[:2] == "A_" else reading.text
            given.append(replace(reading, key=reading.key.replace("A_", "T_"), text=percent))
        outcome = evaluate(LINE, Sheet({"scale": "T"}, {}, tuple(given)))
        absorbance = next(q.value for q in outcome.trials[0].quantities if q.key == "A_0")
        self.assertAlmostEqual(absorbance, 2 - math.log10(39.8), places=9)
        self.assertAlmostEqual(first(outcome).value, 0.005, delta=2e-5)

    def test_above_the_line_the_factor_is_said_and_no_result_is_given(self) -> None:
        given = (*standards(POINTS), *unknown("1.450"))
        outcome = evaluate(LINE, Sheet({}, {}, given))
        self.assertEqual(outcome.results, [])
        finding = next(f for f in outcome.findings if f.code == "above-line")
        self.assertIn("Dilute 1 in 4", finding.do)  # 18.1 mmol/L to 0.7 × 8 mmol/L
        self.assertTrue(any(t.key == "A_x" and t.index == 2 and not t.done for t in outcome.tasks))

    def test_a_second_reading_without_its_dilution_is_stopped_and_with_it_counts(self) -> None:
        twice = (*standards(POINTS), *unknown("1.450", "0.362"))
        self.assertIn("dilution-unwritten", {f.code for f in evaluate(LINE, Sheet({}, {}, twice)).findings})
        written = (*twice, Given("V_taken", "10.00", 1), Given("V_made", "50.00", 1))
        outcome = evaluate(LINE, Sheet({}, {}, written))
        self.assertNotIn("dilution-unwritten", {f.code for f in outcome.findings})
        self.assertAlmostEqual(first(outcome).value, 5 * 0.362 / 80, places=9)

    def test_on_a_given_line_too_by_absorbance_and_by_transmittance(self) -> None:
        """10^(−0.893) is 12.8 %, 10^(−0.412) 38.7 %; the line that was given ends at 0.75."""
        for scale, dark, paler in (("A", "0.893", "0.412"), ("T", "12.8", "38.7")):
            plan, key = {"line": "given", "scale": scale}, f"{scale}_x"
            once = [Given(key, dark, 1, 1)]
            outcome = evaluate(LINE, Sheet(plan, {}, tuple(once)))
            self.assertIn("above-given-line", {f.code for f in outcome.findings})
            self.assertTrue(any(t.key == key and t.index == 2 and not t.done for t in outcome.tasks))
            twice = [*once, Given(key, paler, 1, 2)]
            self.assertIn(
                "dilution-unwritten", {f.code for f in evaluate(LINE, Sheet(plan, {}, tuple(twice))).findings}
            )
            written = [*twice, Given("V_taken", "10.00", 1), Given("V_made", "50.00", 1)]
            self.assertEqual(evaluate(LINE, Sheet(plan, {}, tuple(written))).findings, [])

    def test_several_unknowns_have_a_result_each(self) -> None:
        given = (*standards(POINTS), *unknown("0.400"), *unknown("0.200", trial=2))
        outcome = evaluate(LINE, Sheet({"unknowns": "2"}, {}, given))
        self.assertEqual([(r.trial, round(r.value, 6)) for r in outcome.results], [(1, 0.005), (2, 0.0025)])

    def test_exchanged_standards_are_seen(self) -> None:
        swapped = [("2.00", "0.160"), ("4.00", "0.480"), ("6.00", "0.320"), ("8.00", "0.640")]
        outcome = evaluate(LINE, Sheet({}, {}, tuple(standards(swapped))))
        self.assertEqual(next(f.index for f in outcome.findings if f.code == "not-rising"), 3)

    def test_a_bow_is_seen_and_a_forced_origin_is_tested(self) -> None:
        bowed = [(f"{v:.2f}", f"{0.09 * v - 0.0025 * v * v:.3f}") for v in range(1, 10)]
        plan = "; ".join(v for v, _ in bowed)
        codes = {f.code for f in evaluate(LINE, Sheet({"V_plan": plan}, {}, tuple(standards(bowed)))).findings}
        self.assertIn("bow", codes)
        lifted = [(v, f"{float(a) + 0.080:.3f}") for v, a in POINTS]
        lifted[1] = ("4.00", "0.402")
        forced = evaluate(LINE, Sheet({"fit": "origin"}, {}, tuple(standards(lifted))))
        self.assertIn("not-through-zero", {f.code for f in forced.findings})

    def test_the_peak_of_a_spectrum(self) -> None:
        """A Gaussian band at 520 nm, read every 20 nm."""
        band = [(nm, 0.56 * math.exp(-(((nm - 520) / 45) ** 2))) for nm in range(440, 600, 20)]
        given = [
            Given(key, text, None, n)
            for n, (nm, a) in enumerate(band, 1)
            for key, text in (("lam", str(nm)), ("A_lam", f"{a:.3f}"))
        ]
        outcome = evaluate(LINE, Sheet({"wavelength_by": "spectrum"}, {}, tuple(given)))
        self.assertEqual(next(q.value for q in outcome.quantities if q.key == "lam_max"), 520)
        self.assertIn("520 nm", next(c.sentence for c in outcome.charts if c.key == "spectrum"))


class TheInstrument(TestCase):
    def timed(self, minutes: float) -> Evaluation:
        opened = 1_000_000.0
        given = [replace(standard, at=opened + 60 * minutes) for standard in standards(POINTS)]
        return evaluate(LINE, Sheet({"on_before": "5"}, {}, tuple(given), opened=opened))

    def test_the_warm_up_counts_from_the_plan(self) -> None:
        """Switched on 5 minutes before the session: of the 20 minutes 15 are left when it opens."""
        step = next(s for s in self.timed(20).steps if s.key == "warmup")
        self.assertEqual((step.begun, step.wait_seconds), (1_000_000.0 - 300, 1200))
        self.assertIn("not-warm", {f.code for f in self.timed(10).findings})
        self.assertNotIn("not-warm", {f.code for f in self.timed(16).findings})

    def test_after_a_break_the_blank_is_asked_for(self) -> None:
        given = [replace(standard, at=0.0) for standard in standards(POINTS)]
        late = [replace(given, at=1800.0) for given in unknown("0.400")[1:]]
        outcome = evaluate(LINE, Sheet({}, {}, (*given, *late)))
        self.assertIn("blank-stale", {f.code for f in outcome.findings})

    def test_more_light_than_through_the_blank(self) -> None:
        given = (Given("V_std", "2.00", None, 1), Given("T_std", "101.5", None, 1))
        self.assertIn("over-full", {f.code for f in evaluate(LINE, Sheet({"scale": "T"}, {}, given)).findings})


class TwoCuvettes(TestCase):
    def test_what_the_second_one_shows_by_itself_is_taken_off_every_reading(self) -> None:
        """0.012 more in every absorbance, and 0.012 of the cuvette's own: the same unknown as with one cuvette, also
        through the origin, where a line forgives nothing.
        """
        alone = [*standards([("2.00", "0.163"), ("4.00", "0.321"), ("8.00", "0.643")]), *unknown("0.412")]
        both = [
            replace(given, text=f"{float(given.text) + 0.012:.3f}") if given.key in ("A_std", "A_x") else given
            for given in alone
        ]
        origin, two = {"fit": "origin"}, {"fit": "origin", "cuvettes": "two"}
        wanted = first(evaluate(LINE, Sheet(origin, {}, tuple(alone)))).value
        unknown_value = first(evaluate(LINE, Sheet(two, {}, (*both, Given("A_match", "0.012"))))).value
        left_out = first(evaluate(LINE, Sheet(origin, {}, tuple(both)))).value
        self.assertAlmostEqual(unknown_value / wanted, 1, places=12)
        self.assertGreater(abs(left_out / wanted - 1), 1e-4)

    def test_they_are_compared_before_the_first_solution(self) -> None:
        keys = [task.key for task in evaluate(LINE, Sheet({"cuvettes": "two"})).tasks]
        self.assertLess(keys.index("A_match"), keys.index("A_std"))
        self.assertNotIn("A_match", [task.key for task in evaluate(LINE, Sheet({})).tasks])

    def test_the_bench_is_told_which_blank(self) -> None:
        leads = [task.lead for task in evaluate(LINE, Sheet({"blank": "reagents"})).tasks if task.key == "zero"]
        self.assertEqual(
            leads, ["Set 520 nm, cuvette with all that is in the solutions but what is coloured in, lid shut,"]
        )


class BackToTheSolid(TestCase):
    @outside("metal-in-alloy", by="atomic weight of copper (CIAAW)")
    def test_from_the_cuvette_to_per_cent(self) -> None:
        """0.0800 mol/L in 50 mL after 1 in 2 is 8.00 mmol, 0.5084 g of copper (63.546): 63.55 % of 0.8000 g."""
        line = [("2.00", "0.200"), ("4.00", "0.400"), ("6.00", "0.600"), ("8.00", "0.800")]
        given = (
            *standards(line), Given("m", "0.8000", 1), Given("V_alloy", "50.00", 1), Given("colour", "darker", 1),
            *unknown("0.9", "0.400"), Given("V_taken", "25.00", 1), Given("V_made", "50.00", 1),
        )  # fmt: skip
        outcome = evaluate(ALLOY, Sheet({}, {}, given))
        self.assertAlmostEqual(first(outcome).value, 100 * 0.0800 * 2 * 0.050 * 63.546 / 0.8, delta=0.01)


class SolubilityProducts(TestCase):
    def product(self, options: dict[str, str] | None = None, absorbance: str = "0.400") -> Evaluation:
        given = [*standards(POINTS)]
        for trial in (1, 2, 3):
            given += [Given("clear", "clear", trial), *unknown(absorbance, trial=trial)]
        plain = {"scale": "A", "c_stock": "0.01", "V_plan": "2; 4; 6; 8"}
        return evaluate(PRODUCT, Sheet({**plain, **(options or {})}, {}, tuple(given)))

    def test_each_formula_has_its_own_powers(self) -> None:
        """x = 5 mmol/L of the coloured ion: x², 4x³ for M₂X, x³/2 for MX₂ (its M is half of x), (3x/2)³x² for M₃X₂."""
        x = 0.005
        for salt, expected in (
            ("Ag2CrO4", 4 * x**3),
            ("MX", x**2),
            ("M2X", 4 * x**3),
            ("MX2", x**3 / 2),
            ("M3X2", (1.5 * x) ** 3 * x**2),
        ):
            with self.subTest(salt):
                self.assertAlmostEqual(first(self.product({"salt": salt})).value / expected, 1, places=6)

    @outside("solubility-product", by="handbook value, from memory")
    def test_the_accepted_value_of_silver_chromate(self) -> None:
        """1.1 × 10⁻¹² at 25 °C, handbook value from memory; the ion is then 6.5 × 10⁻⁵ mol/L."""
        default = next(o.default for o in PRODUCT.options if o.key == "Ksp_lit")
        self.assertAlmostEqual((float(default) / 4) ** (1 / 3), 6.5e-5, delta=1e-6)

    def test_five_per_cent_in_the_ion_make_fifteen_in_the_product(self) -> None:
        low, high = (first(self.product(absorbance=a)).value for a in ("0.400", "0.420"))
        self.assertAlmostEqual(high / low, 1.05**3, places=6)

    def test_a_wide_cube_is_lopsided_and_the_draws_say_so(self) -> None:
        """Stock known to ±30 %: the shortest 95 % interval of x³, by numpy, lies far from the linear 1 ± 0.9."""
        given = [*standards(POINTS)]
        for trial in (1, 2, 3):
            given += [Given("clear", "clear", trial), *unknown("0.400", trial=trial)]
        options = {"scale": "A", "c_stock": "0.01", "c_stock.limit": "0.003", "V_plan": "2; 4; 6; 8"}
        drawn = draw_results(context_of(PRODUCT, Sheet(options, {}, tuple(given))), 200_000)[0]
        cubes = np.sort(np.random.default_rng(7).normal(1, 0.3 / 1.96, 400_000) ** 3)
        widths = cubes[380_000:] - cubes[:20_000]
        low, high = cubes[widths.argmin()], cubes[widths.argmin() + 380_000]
        self.assertFalse(drawn.agrees)
        self.assertAlmostEqual(drawn.low / (4 * 0.005**3), low, delta=0.03)
        self.assertAlmostEqual(drawn.high / (4 * 0.005**3), high, delta=0.03)


class ChargeAndIodine(TestCase):
    def run_of(self, options: dict[str, str], iodine: float) -> Evaluation:
        """0.1 A for 300 s is 30 C; the cell of 100 mL holds ``iodine`` mol/L, on a line of A = 800·c."""
        line = [("2.00", "0.160"), ("4.00", "0.320"), ("6.00", "0.480"), ("8.00", "0.640")]
        given = standards(line)
        for run in (1, 2):
            given += [Given("V", "100.00", run), Given("acid", "in", run)]
            for n, seconds in enumerate((0, 60, 120, 180, 240, 300), 1):
                given += [Given("t", str(seconds), run, n), Given("I", "0.100", run, n)]
            given += [
                Given("pole", "negative", run),
                Given("dissolved", "clear", run),
                *unknown(f"{800 * iodine:.3f}", trial=run),
            ]
        return evaluate(CHARGE, Sheet({"V_plan": "2; 4; 6; 8", **options}, {}, tuple(given)))

    @outside("coulometry-iodine", by="CODATA constants (scipy)")
    def test_constants_of_nature_come_back(self) -> None:
        """Ten electrons for each molecule: Faraday and Avogadro constant of CODATA (scipy), efficiency 100 %."""
        moles = 30 / (10 * constants.physical_constants["Faraday constant"][0])
        iodine = round(800 * moles / 0.1, 3) / 800
        wanted = {
            "z": 10.0, "F": constants.physical_constants["Faraday constant"][0], "N_A": constants.Avogadro,
            "efficiency": 100.0,
        }  # fmt: skip
        for question, value in wanted.items():
            result = first(self.run_of({"question": question}, iodine))
            away = iodine * 0.1 / moles
            with self.subTest(question):
                self.assertAlmostEqual(result.value / value, away if question == "efficiency" else 1 / away, places=5)
                if question in ("F", "N_A"):
                    assert result.comparison is not None
                    accepted = result.comparison.accepted.replace(" × 10²³", "e23")
                    self.assertAlmostEqual(float(accepted) / value, 1, places=4)

    def test_the_wrong_scale_is_recognised_and_mended_in_one_touch(self) -> None:
        given = (Given("t", "0", 1, 1), Given("I", "0.145", 1, 1))
        self.assertFalse([f for f in evaluate(CHARGE, Sheet({}, {}, given)).findings if f.code == "other-scale"])
        other = (
            Given("t", "0", 1, 1),
            Given("I", "0.025", 1, 1),
        )  # 0.1 A on the wrong row of numbers
        finding = next(
            f
            for f in evaluate(CHARGE, Sheet({}, {"ammeter": "ammeter-0.6"}, other)).findings
            if f.code == "other-scale"
        )
        self.assertEqual(finding.suggest, "0.10")

    def test_without_acid_the_bench_is_held_before_the_current(self) -> None:
        ticked = [Given(f"step.{s.key}", "done") for s in CHARGE.steps if s.scope == "setup" and not s.reads]
        given = (
            *ticked,
            *standards(
                [
                    (v, a)
                    for (v, a) in (
                        ("1.00", "0.08"),
                        ("2.00", "0.16"),
                        ("4.00", "0.32"),
                        ("6.00", "0.48"),
                        ("8.00", "0.64"),
                    )
                ]
            ),
        )
        without = (*given, Given("V", "100.00", 1), Given("acid", "forgotten", 1))
        self.assertEqual(evaluate(CHARGE, Sheet({}, {}, without)).hand.key, "acid")
        with_acid = (*given, Given("V", "100.00", 1), Given("acid", "in", 1))
        self.assertEqual(evaluate(CHARGE, Sheet({}, {}, with_acid)).hand.key, "t")
