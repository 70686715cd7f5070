"""A calibration line that was given as an equation: nothing but arithmetic, worked here by hand."""

from math import hypot, log10
from unittest import TestCase

from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation

EQUATION = {"line": "given", "a_line": "80.0", "a_line.limit": "0.8", "b_line": "0.004", "b_line.limit": "0.003"}


def read(*texts: str, scale: str = "A", more: tuple[Given, ...] = (), **options: str) -> Evaluation:
    """One unknown read as ``texts`` against A = 80.0 L/mol · c + 0.004."""
    series = [Given(f"{scale}_x", text, 1, index) for index, text in enumerate(texts, 1)]
    sheet = Sheet({**EQUATION, "scale": scale, **options}, {}, (Given("rezero", "zero", 1), *series, *more))
    return evaluate(method("beer-lambert"), sheet)


class OnTheLine(TestCase):
    def test_the_concentration_follows_from_the_equation(self) -> None:
        [result] = read("0.412").results
        self.assertAlmostEqual(result.value, (0.412 - 0.004) / 80.0, 12)  # 0.00510 mol/L
        [result] = read("38.7", scale="T").results
        self.assertAlmostEqual(result.value, (2 - log10(38.7) - 0.004) / 80.0, 12)

    def test_its_uncertainty_is_that_of_slope_intercept_and_meter(self) -> None:
        """GUM 5.1.2 by hand: u(c)² = (u_A/a)² + (u_b/a)² + (c·u_a/a)²; the given ± are 95 %, so halved by 1.96."""
        [result] = read("0.412").results
        shares = {line.label: line.u for line in result.budget}
        self.assertAlmostEqual(shares["Slope of the given line"], result.value * 0.8 / 1.96 / 80.0, 9)
        self.assertAlmostEqual(shares["Intercept of the given line"], 0.003 / 1.96 / 80.0, 9)
        self.assertAlmostEqual(result.u, hypot(*shares.values()), 12)

    def test_no_standard_is_asked_for(self) -> None:
        asked = {task.key for task in read().tasks}
        self.assertEqual(asked & {"V_std", "A_std", "T_std", "V_flask"}, set())
        with self.assertRaisesRegex(Exception, "not read here"):
            read("0.412", more=(Given("A_std", "0.163", None, 1),))

    def test_above_its_end_it_is_diluted_and_read_again(self) -> None:
        state = read("0.893")
        self.assertEqual([(f.code, f.level) for f in state.findings], [("above-given-line", "repeat")])
        self.assertIn((2, False), [(task.index, task.done) for task in state.tasks if task.key == "A_x"])
        diluted = (Given("V_taken", "10.00", 1), Given("V_made", "50.00", 1))
        again = read("0.893", "0.184", more=diluted)
        self.assertEqual(again.findings, [])
        self.assertAlmostEqual(again.results[0].value, 5 * (0.184 - 0.004) / 80.0, 12)
        self.assertEqual([f.code for f in read("10.0", scale="T").findings], ["above-given-line"])

    def test_a_line_that_does_not_rise_is_refused(self) -> None:
        for slope in ("0", "-80", "0.0000001"):
            with self.assertRaisesRegex(Exception, "Slope of the given line"):
                read("0.412", a_line=slope)

    def test_the_line_is_drawn_from_nothing_to_its_end(self) -> None:
        chart = next(chart for chart in read("0.412", A_top="0.804").charts if chart.key == "line")
        self.assertEqual(chart.lines[0].points, [(0.0, 0.004), (0.01, 0.804)])

    def test_an_intercept_left_out_is_traced(self) -> None:
        state = read("0.412", more=(Given("own.c", "0.00515", 1),))
        self.assertIn("the intercept of the given line is left out", state.own[0].sentence)


class OfTheOthers(TestCase):
    def test_the_other_methods_of_light_work_with_an_equation_too(self) -> None:
        """Iodine: 0.228 = 748 · c + 0.002 makes 0.3021 mmol/L; in 100.00 mL 0.03021 mmol, by 30.03 C or 0.3112 mmol of
        electrons: 10.30 for each molecule (I at 0, 60, … 300 s by the trapezium rule).
        """
        declared = method("coulometry-iodine")
        elsewhere = ("V_flask", "V_std", "A_std", "T_std", "T_x", "A_match", "T_match")
        readings = [g for g in declared.example.readings if g[0] not in elsewhere]
        options = {"line": "given", "a_line": "748", "b_line": "0.002", "scale": "A", "trials": "1"}
        given = tuple(Given(k, text, n, i) for k, n, i, text in readings if n in (None, 1))
        state = evaluate(declared, Sheet(options, {}, given))
        self.assertAlmostEqual(state.results[0].value, (30.03 / 96485.33212) / (0.226 / 748 * 0.1), 3)
