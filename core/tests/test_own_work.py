"""Students work it out first: which lines, what shows when, and how much a hint tells.

The numbers are those of the hydrate by hand: 1.109 g of water from 3.074 g, 0.06156 mol for 0.01231 mol of salt.
"""

from collections.abc import Callable, Iterator
from dataclasses import replace
from typing import cast
from unittest import TestCase

from chromata_core.declaration.own_work import Hints, OwnWork, Shows
from chromata_core.engine.context import context_of
from chromata_core.errors import SheetError
from chromata_core.methods.registry import method, methods
from chromata_core.sheet.bound import Given
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.judge import judge
from chromata_core.telling.lines_of_work import lines_of_work, own_answers
from chromata_core.telling.outcome import Evaluation, OwnAnswer
from chromata_core.telling.veil import veiled
from tests.sheets import crucible

HYDRATE = method("hydrate")
LINES = ("m_water", "n_water", "n_salt", "x")
RIGHT = {"m_water": "1.109", "n_water": "0.06156", "n_salt": "0.01231", "x": "5.00"}


def worked(shows: Shows = "at_once", hints: Hints = "slip", tries: int = 3, often: int = 1, **own: str) -> Evaluation:
    """The hydrate's sheet with these own answers, each written so ``often``, as students see it."""
    sheet = crucible("33.501", "33.449", "33.447")
    trials = {"m_water": 1, "n_water": 1, "n_salt": 1, "w_t": 1}
    given = tuple(Given(f"own.{key}", text, trials.get(key), tries=often) for key, text in own.items())
    asked = OwnWork(shows, hints, tries, LINES)
    return veiled(
        evaluate(HYDRATE, replace(sheet, own_work=asked, given=(*sheet.given, *given))), HYDRATE, asked, False
    )


def seen(evaluation: Evaluation) -> set[str]:
    """Everything computed that shows."""
    inside = {quantity.key for trial in evaluation.trials for quantity in trial.quantities}
    return inside | {result.key for result in evaluation.results} | {quantity.key for quantity in evaluation.quantities}


class Asked(TestCase):
    def test_lines_stand_in_their_order_after_the_trials_and_before_the_bench_is_cleared(self) -> None:
        evaluation = worked()
        lines = [task for task in evaluation.tasks if task.step == "worksheet"]
        self.assertEqual([line.name for line in lines], list(LINES))
        self.assertEqual([line.trial for line in lines], [1, 1, 1, None])
        self.assertEqual(lines[1].unit, "mol")
        at = [step.key for step in evaluation.steps].index("worksheet")
        self.assertTrue(all(step.scope != "closing" for step in evaluation.steps[:at]))
        self.assertTrue(all(step.scope == "closing" for step in evaluation.steps[at:]))

    def test_what_the_worksheet_asks_is_not_asked_again(self) -> None:
        asked = [task.key for task in worked().tasks if task.kind == "own"]
        self.assertEqual(len(asked), len(set(asked)))

    def test_lines_of_trials_go_to_the_next_trial_where_the_first_does_not_count(self) -> None:
        sheet = crucible("33.501", "33.449", "33.447")
        void = Given("void", "spilled", 1)
        evaluation = evaluate(HYDRATE, replace(sheet, own_work=OwnWork(lines=LINES), given=(*sheet.given, void)))
        self.assertEqual({task.trial for task in evaluation.tasks if task.step == "worksheet"}, {1, None})

    def test_what_cannot_be_asked_is_refused_in_a_sentence(self) -> None:
        for asked, sentence in (
            (OwnWork(lines=("n_gold",)), "line of the work"),
            (OwnWork("after_own"), "nothing would ever show"),
            (OwnWork(lines=("x", "x")), "each of them once"),
            (OwnWork(tries=20, lines=("x",)), "tries"),
            (OwnWork(cast(Shows, "whenever"), lines=("x",)), "chosen from lists"),
        ):
            with self.subTest(sentence), self.assertRaisesRegex(SheetError, sentence):
                evaluate(HYDRATE, replace(crucible("33.501"), own_work=asked))


class Shown(TestCase):
    def test_at_once(self) -> None:
        self.assertTrue(set(LINES) <= seen(worked()))
        self.assertEqual(worked().veil, "")

    def test_each_line_after_the_student_s_own_and_nothing_that_is_worked_from_it(self) -> None:
        evaluation = worked("after_line", m_water="1.109")
        self.assertIn("m_water", seen(evaluation))
        self.assertFalse({"n_water", "n_salt", "x", "x_t"} & seen(evaluation))
        self.assertIn("your own", evaluation.veil)

    def test_all_after_the_own_result(self) -> None:
        self.assertEqual(seen(worked("after_own", **{**RIGHT, "x": "3.1"})), set())
        done = worked("after_own", **RIGHT)
        self.assertTrue(set(LINES) <= seen(done))
        self.assertEqual(done.veil, "")

    def test_a_line_that_these_choices_do_not_have_keeps_nothing_back(self) -> None:
        """A sample may be worked by other choices: what is not asked there cannot be answered."""
        sheet = crucible("33.501", "33.449", "33.447")
        asked = OwnWork("after_own", lines=("x",))
        given = (*sheet.given, Given("own.x", "5.00"))
        evaluation = evaluate(HYDRATE, replace(sheet, own_work=asked, given=given))
        elsewhere = replace(asked, lines=("x", "not_here"))
        self.assertIn("x", seen(veiled(evaluation, HYDRATE, elsewhere, released=False)))

    def test_after_release_alone(self) -> None:
        self.assertEqual(seen(worked("after_release", **RIGHT)), set())
        asked = OwnWork("after_release", lines=LINES)
        whole = evaluate(HYDRATE, replace(crucible("33.501", "33.449", "33.447"), own_work=asked))
        self.assertIn("x", seen(veiled(whole, HYDRATE, asked, released=True)))

    def test_no_chart_and_no_statistic_tells_what_is_hidden(self) -> None:
        evaluation = worked("after_release")
        self.assertEqual((evaluation.statistics, evaluation.settled), ([], []))
        labels = [quantity.label for quantity in HYDRATE.quantities]
        for chart in evaluation.charts:
            self.assertFalse([label for label in labels if label in f"{chart.x_label}{chart.y_label}"])
            self.assertEqual(chart.marks, [])

    def test_a_reading_that_is_typed_does_not_say_what_comes_of_it(self) -> None:
        declared = method("acid-base-titration")
        sheet = replace(crucible(), options={}, given=(Given("V_s", "20.00"), Given("V_start", "0.22", 1)))
        draft = Given("V_end", "18.47", 1)
        self.assertIn("18.25", judge(declared, sheet, draft).text)
        asked = OwnWork("after_own", lines=("c_s",))
        self.assertNotIn("18.25", judge(declared, replace(sheet, own_work=asked), draft).text)

    def test_after_enough_tries_the_line_is_told_and_shows(self) -> None:
        evaluation = worked("after_line", m_water="0.9", often=3)
        self.assertIn("m_water", seen(evaluation))
        self.assertIn("1.109 g", evaluation.own[0].line)
        self.assertEqual(worked("after_line", tries=0, m_water="0.9", often=9).own[0].line, "")


class Hinted(TestCase):
    """m_water = 1.055 is the first heating taken for the last: 34.556 − 33.501."""

    def told(self, hints: Hints, **own: str) -> list[tuple[str, str, str]]:
        return [
            (own_answer.kind, own_answer.sentence, own_answer.line) for own_answer in worked(hints=hints, **own).own
        ]

    def test_nothing(self) -> None:
        self.assertEqual(self.told("none", m_water="1.055"), [("kept", "Kept.", "")])

    def test_right_or_not_yet(self) -> None:
        verdicts = self.told("verdict", m_water="1.055", n_salt="0.01231")
        self.assertEqual([sentence for _, sentence, _ in verdicts], ["Not yet.", "Right."])

    def test_where(self) -> None:
        verdicts = self.told("place", m_water="1.055", n_water="0.02")
        self.assertIn("in this line", verdicts[0][1])
        self.assertIn("“Water driven off, crucible 1” differs first", verdicts[1][1])

    def test_which_slip(self) -> None:
        [(kind, sentence, line)] = self.told("slip", m_water="1.055")
        self.assertEqual((kind, line), ("slip", ""))
        self.assertIn("first", sentence)

    def test_the_line_itself(self) -> None:
        [(_, _, line)] = self.told("line", m_water="1.055")
        self.assertIn("34.556 g", line)


class AnyLine(TestCase):
    """Every line of every method can be answered: rightly, and with whatever somebody types."""

    def answered(self, text: Callable[[float], str]) -> Iterator[tuple[str, OwnAnswer]]:
        for slug, declared in methods().items():
            sheet = example_sheet(declared)
            at = context_of(declared, sheet)
            own = tuple(
                Given(f"own.{quantity.key}", text(at.value(quantity.key, trial) or 0.0), trial)
                for quantity, trial in lines_of_work(at)
                if trial in (None, 1)
            )
            for answer in own_answers(context_of(declared, replace(sheet, given=(*sheet.given, *own)))):
                yield f"{slug} {answer.key} = {answer.text}: {answer.sentence}", answer

    def test_what_the_readings_give_is_right(self) -> None:
        kinds = [(what, answer.kind) for what, answer in self.answered(lambda value: f"{value:.6e}")]
        self.assertGreater(len(kinds), 150)
        self.assertEqual([what for what, kind in kinds if kind != "right"], [])

    def test_whatever_is_typed_is_judged(self) -> None:
        for text in ("0", "-1.5e-9", "7.7731", "99999999"):
            for what, answer in self.answered(lambda _, text=text: text):
                self.assertRegex(answer.sentence, r"^[A-Z].*\.$", what)


class PercentErrors(TestCase):
    """How far the gas constant of the example is from CODATA's 8.314462618 J/(mol·K), as a line of the worksheet."""

    KEY = "R_mean_off"

    def told(self, text: str = "", shows: Shows = "at_once") -> Evaluation:
        declared = method("gas-eudometer")
        sheet = example_sheet(declared)
        given = (*sheet.given, Given(f"own.{self.KEY}", text)) if text else sheet.given
        return evaluate(declared, replace(sheet, own_work=OwnWork(shows, lines=(self.KEY,)), given=given))

    def test_it_is_worked_from_the_own_result_and_what_nature_fixes(self) -> None:
        state = self.told("1")
        off = abs(state.results[0].value / 8.314462618 - 1) * 100
        for text, right in ((f"{off:.3g}", True), (f"{off:.2g} %", True), (f"{3 * off:.3g}", False)):
            [line] = self.told(text).own
            self.assertEqual(line.agrees, right, (text, line.sentence))

    def test_divided_by_the_own_result_is_named(self) -> None:
        """R = 8.9576: (8.9576 − 8.3145)/8.3145 is 7.74 %, over 8.9576 it is 7.18 %; worked by hand."""
        declared, sheet = method("gas-eudometer"), example_sheet(method("gas-eudometer"))
        given = [replace(g, text=f"{float(g.text) * 0.93:.4f}") if g.key == "m" else g for g in sheet.given]
        asked = replace(sheet, own_work=OwnWork(lines=(self.KEY,)), given=(*given, Given(f"own.{self.KEY}", "7.18 %")))
        [line] = evaluate(declared, asked).own
        self.assertFalse(line.agrees)
        self.assertIn("divided by the value found instead of the known one", line.sentence)

    def test_it_is_shown_nowhere_before_their_own_stands(self) -> None:
        declared, asked = method("gas-eudometer"), OwnWork("after_line", lines=(self.KEY,))
        before = veiled(self.told(shows="after_line"), declared, asked, released=False)
        self.assertIsNone(before.results[0].comparison)
        self.assertNotIn(self.KEY, [quantity.key for quantity in before.quantities])
        off = abs(before.results[0].value / 8.314462618 - 1) * 100
        after = veiled(self.told(f"{off:.3g}", "after_line"), declared, asked, released=False)
        self.assertIsNotNone(after.results[0].comparison)

    def test_who_is_not_asked_for_it_has_no_such_line(self) -> None:
        declared = method("gas-eudometer")
        state = evaluate(declared, example_sheet(declared))
        self.assertNotIn(self.KEY, [quantity.key for quantity in state.quantities])
