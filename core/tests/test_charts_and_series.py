"""What the bench sees of a series: its picture, its end, and how to go on."""

from unittest import TestCase

from chromata_core.declaration.option_kinds import ChoiceOption
from chromata_core.methods.registry import method, methods
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation

from .sheets import crucible

CALIBRATION = method("volumetric-calibration")


def delivered(*masses: str, trial: int = 1) -> Evaluation:
    given = [Given("step.labels", "done"), Given("T_water", "21.4"), Given("V_set", "0.50", trial)]
    given += [Given("m_d", text, trial, index) for index, text in enumerate(masses, 1)]
    return evaluate(CALIBRATION, Sheet({"deliveries": "4"}, {}, tuple(given)))


class Charts(TestCase):
    def test_every_chart_of_every_example_can_be_drawn_and_said(self) -> None:
        """Under the example's own choices, or one that has what the chart shows."""
        for slug, declared in methods().items():
            choices = [
                o for o in declared.options if isinstance(o, ChoiceOption) and slug != "potentiometric-titration"
            ]
            chosen = [{}, *({option.key: choice.key} for option in choices for choice in option.choices)]
            sheets = [example_sheet(declared, {**declared.example.options, **options}) for options in chosen]
            charts = {chart.key: chart for sheet in sheets for chart in evaluate(declared, sheet).charts}
            self.assertEqual(len(charts), len(declared.charts), slug)
            for chart in charts.values():
                with self.subTest(slug, chart=chart.key):
                    self.assertTrue(all(line.points for line in chart.lines))
                    self.assertTrue(chart.sentence.endswith("."))
                    self.assertNotRegex(chart.sentence, r"nan|None|inf")

    def test_nothing_is_drawn_before_there_is_anything_to_see(self) -> None:
        for declared in methods().values():
            drawn = evaluate(declared, Sheet()).charts
            self.assertEqual([chart for chart in drawn if not chart.square], [], "a square shows what is planned")

    def test_the_running_mean_is_that_of_the_deliveries_so_far(self) -> None:
        chart = delivered("0.4987", "0.4991", "0.4979").charts[0]
        dots, running = chart.lines
        self.assertEqual([round(y, 6) for _, y in running.points], [0.4987, 0.4989, round(1.4957 / 3, 6)])
        self.assertEqual([y for _, y in dots.points], [0.4987, 0.4991, 0.4979])
        self.assertIn("mean 0.49857", chart.sentence)

    def test_a_mass_that_stays_lies_in_its_field(self) -> None:
        chart = evaluate(method("hydrate"), crucible("33.501", "33.449", "33.447")).charts[0]
        (low, high), last = chart.areas[0].y, chart.lines[0].points[-1][1]
        self.assertAlmostEqual(high - low, 0.010)
        self.assertTrue(low < last < high)
        self.assertIn("changed by −0.002 g", chart.sentence)

    def test_a_pipette_outside_what_is_permitted_is_named(self) -> None:
        masses = ("0.4487", "0.4491", "0.4479", "0.4485")
        outcome = delivered(*masses)
        self.assertIn("Outside what is permitted: volume 1.", [chart.sentence for chart in outcome.charts])
        self.assertIn("It delivers less than it says.", [finding.why for finding in outcome.findings])


class Series(TestCase):
    def test_it_is_asked_for_as_often_as_planned(self) -> None:
        for mass_key, key in ((3, "m_d"), (4, "own.s")):
            hand = delivered(*("0.4987", "0.4991", "0.4979", "0.4985")[:mass_key]).hand
            self.assertEqual(hand.key, key)
        self.assertEqual(delivered("0.4987").hand.title, "Delivery 2, volume 1")

    def test_there_are_as_many_trials_as_values_are_planned(self) -> None:
        outcome = evaluate(CALIBRATION, Sheet({"V_plan": "0.50; 2.00"}))
        self.assertEqual(max(task.trial or 0 for task in outcome.tasks), 2)
        self.assertIn("Set the pipette to 2.00 mL,", [task.lead for task in outcome.tasks])

    def test_a_plan_that_cannot_be_read_is_a_sentence(self) -> None:
        for text in ("", "5; x", "0; 3", "; ".join(["1"] * 25)):
            with self.subTest(text), self.assertRaisesRegex(Exception, "Volumes to test: "):
                evaluate(CALIBRATION, Sheet({"V_plan": text}))

    def test_a_result_of_a_trial_is_traced_in_its_own_trial(self) -> None:
        """n instead of n − 1: s·√(3/4) of volume 1, given as the answer to volume 1."""
        whole = delivered("0.4987", "0.4991", "0.4979", "0.4985")
        s = next(r for r in whole.results if r.key == "s").value
        given = [Given("T_water", "21.4"), Given("own.s", f"{s * 0.75**0.5:.6f}", 1)]
        given += [Given("m_d", text, 1, n) for n, text in enumerate(("0.4987", "0.4991", "0.4979", "0.4985"), 1)]
        own = evaluate(CALIBRATION, Sheet({"deliveries": "4"}, {}, tuple(given))).own[0]
        self.assertEqual((own.trial, own.kind), (1, "slip"))
        self.assertIn("n is used instead of n − 1", own.sentence)
