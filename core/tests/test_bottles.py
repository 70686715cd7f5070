"""What stands on a bottle may be written for the room: it counts instead of what was planned, with its ±.

Held against the same experiment planned with that number in the first place, and against proportion: the titrant's
concentration enters an acid–base result once, as a factor.
"""

from dataclasses import replace
from unittest import TestCase

from chromata_core.errors import ChromataError
from chromata_core.methods.registry import method, methods
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.sheet.understanding import understand
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.judge import judge
from chromata_core.telling.outcome import Evaluation, ResultOut

TITRATION = method("acid-base-titration")


def with_label(text: str, sheet: Sheet | None = None) -> Sheet:
    sheet = sheet or example_sheet(TITRATION)
    return replace(sheet, given=(Given("c_t", text), *sheet.given))


def result(sheet: Sheet) -> ResultOut:
    return evaluate(TITRATION, sheet).results[0]


def computed(evaluation: Evaluation) -> list[object]:
    return [
        [r.value for r in evaluation.results],
        evaluation.quantities,
        [trial.quantities for trial in evaluation.trials],
    ]


class Bottles(TestCase):
    def test_the_label_counts_as_if_it_had_been_planned(self) -> None:
        sheet = example_sheet(TITRATION)
        planned = replace(sheet, options={**sheet.options, "c_t": "0.1052", "c_t.limit": "0.0002"})
        before, posted, wanted = (result(sheet) for sheet in (sheet, with_label("0.1052 ± 0.0002"), planned))
        self.assertEqual((posted.value, posted.u, posted.line), (wanted.value, wanted.u, wanted.line))
        self.assertAlmostEqual(posted.value / before.value, 0.1052 / 0.1026, places=12)

    def test_as_people_write_it(self) -> None:
        wanted = result(with_label("0.1052 ± 0.0002"))
        percent = f"0.1052 mol/L ± {100 * 0.0002 / 0.1052:.12f} %"
        for text in ("0.1052+/-0.0002", " 105.2 mmol/L ± 0.2 mmol/L ", "0,1052 ± 0,0002", percent):
            result_out = result(with_label(text))
            self.assertAlmostEqual(result_out.value, wanted.value, places=12, msg=text)
            self.assertAlmostEqual(result_out.u, wanted.u, places=12, msg=text)

    def test_without_its_plus_minus_that_of_the_plan_stays(self) -> None:
        bound = bind(TITRATION, with_label("0.1052"))
        self.assertEqual((bound.options["c_t"], bound.options["c_t.limit"]), ("0.1052", "0.0004"))

    def test_it_is_shown_and_can_be_looked_at(self) -> None:
        evaluation = evaluate(TITRATION, with_label("0.1052 ± 0.0002"))
        first = evaluation.bench[0]
        self.assertEqual((first.key, first.shown.text, first.shown.unit), ("c_t", "0.1052 ± 0.0002", "mol/L"))
        task = next(task for task in evaluation.tasks if task.key == "c_t")
        self.assertEqual((task.kind, task.title, task.done), ("bottle", "Titrant concentration", True))
        plain = evaluate(TITRATION, example_sheet(TITRATION))
        self.assertNotIn("c_t", [task.key for task in plain.tasks])
        self.assertEqual((evaluation.progress, evaluation.hand), (plain.progress, plain.hand))

    def test_what_cannot_stand_on_a_label_is_refused_with_a_sentence(self) -> None:
        bound = bind(TITRATION, example_sheet(TITRATION))
        for text in (
            "much",
            "0",
            "-0.1",
            "0.1 kg",
            "0.1 ± much",
            "0.1 ± -1",
            "0.1 ± 0.1 kg",
            "±",
            "0.1 ±",
            "0.1 ± 1 ± 2",
            "",
        ):
            with self.subTest(text), self.assertRaises(ChromataError) as caught:
                understand(bound, Given("c_t", text))
            self.assertIn("Titrant concentration", caught.exception.message)
        for trial, index in ((1, None), (None, 1)):
            with self.assertRaises(ChromataError):
                understand(bound, Given("c_t", "0.1", trial, index))
        self.assertTrue(judge(TITRATION, example_sheet(TITRATION), Given("c_t", "much")).refused)

    def test_only_what_is_asked_for_under_the_choices(self) -> None:
        heat = method("heat-of-reaction")
        acid, salt = bind(heat, Sheet()), bind(heat, Sheet({"process": "dissolution"}))
        self.assertEqual([bottle.key for bottle in acid.bottles], ["c_a", "c_b"])
        self.assertEqual(salt.bottles, ())
        with self.assertRaises(ChromataError):
            understand(salt, Given("c_a", "1.0"))

    def test_every_bottle_changes_what_is_computed(self) -> None:
        """A declared label that nothing is computed from would be written for nothing."""
        for chosen in methods().values():
            sheet = example_sheet(chosen)
            for bottle in bind(chosen, sheet).bottles:
                other = str(
                    float(bind(chosen, sheet).options[bottle.key]) * 0.8
                )  # far enough that what was in excess no longer is
                before = evaluate(chosen, sheet)
                after = evaluate(chosen, replace(sheet, given=(*sheet.given, Given(bottle.key, other))))
                with self.subTest(chosen.slug, bottle=bottle.key):
                    self.assertNotEqual(computed(before), computed(after))
