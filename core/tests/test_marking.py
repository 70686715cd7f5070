"""Marks proposed by a rubric, worked by hand beside each: 0.1026 mol/L · 18.28 mL / 20.00 mL = 0.09378 mol/L."""

from dataclasses import replace
from typing import get_args
from unittest import TestCase

from chromata_core.marking.proposal import Kept, Proposed, propose, total_of
from chromata_core.marking.rubric import LABELS, USUAL, Criterion, CriterionKind, Rubric, rubric_problems
from chromata_core.methods.registry import method
from chromata_core.prelab.state import PrelabState, TaskState
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation
from tests.sheets import titration

GOOD = (("0.22", "18.47"), ("1.05", "19.36"))
PLAIN = {"c_t": "0.1026", "dilution": "1", "z_s": "1", "z_t": "1"}


def told(*trials: tuple[str, str], accepted: str = "0.09378", own: dict[str, str] | None = None) -> Evaluation:
    sheet = titration(*(trials or GOOD), rough=None, options=PLAIN)
    given = (*sheet.given, *(Given(f"own.{key}", text) for key, text in (own or {}).items()))
    hidden = {"c_s": accepted} if accepted else None
    return evaluate(method("acid-base-titration"), replace(sheet, given=given), hidden)


def mark(criterion: Criterion, state: Evaluation, kept: Kept | None = None) -> Proposed:
    [line] = propose(Rubric("One", criterion.points, (criterion,)), state, kept or Kept())
    return line


class Accuracy(TestCase):
    def test_in_per_cent_all_none_and_between(self) -> None:
        """0.09378 against 0.0910 is 3.05 % off: (5 − 3.05)/(5 − 1) of 10 points, to halves, is 5."""
        for accepted, points in (("0.0940", 10.0), ("0.0910", 5.0), ("0.0850", 0.0)):
            line = mark(Criterion("accuracy", 10.0), told(accepted=accepted))
            self.assertEqual(line.points, points, line.reasons)
        self.assertIn("All points within 1 %, none from 5 % on.", line.reasons)

    def test_in_standard_uncertainties(self) -> None:
        state = told(accepted="0.0930")
        result = state.results[0]
        away = abs(result.value - 0.0930) / result.u
        line = mark(Criterion("accuracy", 4.0, "u", full=0.0, none=4 * away), state)
        self.assertEqual(line.points, 3.0, "a quarter of the way from all to none")

    def test_a_result_of_nothing_and_one_without_uncertainty_are_marked_too(self) -> None:
        state = told(accepted="0.0930")
        for change in ({"value": 0.0}, {"u": 0.0}):
            [result, *others] = state.results
            assert result.comparison
            odd = replace(result, comparison=replace(result.comparison, percent_error=-100.0), **change)
            line = mark(Criterion("accuracy", 4.0, "u"), replace(state, results=[odd, *others]))
            self.assertEqual(line.points, 0.0, line.reasons)

    def test_without_a_result_or_an_accepted_value(self) -> None:
        empty = evaluate(method("acid-base-titration"), Sheet())
        self.assertEqual(mark(Criterion("accuracy", 5.0), empty).points, 0.0)
        self.assertIsNone(mark(Criterion("accuracy", 5.0), told(accepted="")).points)


class TheRest(TestCase):
    def test_precision_follows_the_rule_of_the_class(self) -> None:
        self.assertEqual(mark(Criterion("precision", 3.0), told()).points, 3.0)
        self.assertEqual(mark(Criterion("precision", 3.0), told(("0.22", "18.47"), ("1.05", "21.36"))).points, 0.0)
        self.assertIsNone(mark(Criterion("precision", 3.0), told(("0.22", "18.47"))).points)

    def test_completeness_counts_what_is_needed(self) -> None:
        state = told()
        needed = [task for task in state.tasks if not task.optional]
        share = sum(task.done for task in needed) / len(needed)
        self.assertEqual(mark(Criterion("completeness", 10.0), state).points, round(20 * share) / 2)

    def test_each_wrong_figure_costs_a_quarter(self) -> None:
        self.assertEqual(mark(Criterion("figures", 4.0), told()).points, 4.0)
        line = mark(Criterion("figures", 4.0), told(("0.2", "18.5"), ("1.05", "19.36")))
        self.assertEqual((line.points, len(line.reasons)), (2.0, 2))

    def test_a_record_wants_reasons(self) -> None:
        kept = Kept(("Read from the wrong side", "x"), notes=2)
        line = mark(Criterion("record", 4.0), told(), kept)
        self.assertIn("A correction without a reason: “x”.", line.reasons)
        full = mark(Criterion("record", 4.0), told(), Kept(("Read from the wrong side",), 1))
        self.assertEqual((full.points or 0) - (line.points or 0), 1.0)

    def test_own_work_is_right_also_from_a_wrong_line_before(self) -> None:
        own = {"V_mean": "18.92", "c_s": "0.0971"}  # 0.1026 · 18.92 / 20.00
        line = mark(Criterion("own", 4.0), told(own=own))
        self.assertEqual(line.points, 2.0, line.reasons)
        self.assertIn("1 of 2 lines right", line.reasons[0])
        self.assertEqual(mark(Criterion("own", 4.0), told(own={"c_s": "0.0938"})).points, 4.0)

    def test_a_conclusion_is_read_by_a_person(self) -> None:
        self.assertEqual(mark(Criterion("conclusion", 2.0), told()).points, 0.0)
        sheet = titration(*GOOD, rough=None, options=PLAIN)
        written = replace(sheet, given=(*sheet.given, Given("answer.1", "Because it holds acid.")))
        line = mark(Criterion("conclusion", 2.0), evaluate(method("acid-base-titration"), written))
        self.assertIsNone(line.points)
        self.assertIn("to be read", line.reasons[0])

    def test_what_was_decided_counts_before_what_was_proposed(self) -> None:
        lines = propose(USUAL, told(), Kept())
        decided: list[float | None] = [None] * len(lines)
        points, to_read = total_of(lines, decided)
        self.assertEqual((points, to_read), (sum(line.points or 0 for line in lines), False))
        decided[0] = 1.5
        self.assertEqual(total_of(lines, decided)[0], points - (lines[0].points or 0) + 1.5)

    def test_every_method_can_be_marked(self) -> None:
        from chromata_core.methods.registry import methods
        from chromata_core.sheet.example import example_sheet

        for slug in methods():
            lines = propose(USUAL, evaluate(method(slug), example_sheet(method(slug))), Kept())
            self.assertTrue(all(line.points is None or 0 <= line.points <= line.most for line in lines), slug)
            self.assertTrue(all(line.reasons for line in lines), slug)


class BeforeClass(TestCase):
    def test_right_at_once_counts_whole_later_half(self) -> None:
        """Of three one right at once, one at the second try, one told: (1 + 1/2 + 0) / 3 of 6 points."""

        def task(agrees: bool | None, tries: int, done: bool = True) -> TaskState:
            return TaskState("k", "line", "t", "", "", [], [], "1", "", tries, done, agrees, "", "")

        state = PrelabState([task(True, 1), task(True, 2), task(False, 3)])
        half = Criterion("prelab", 6.0)
        line = mark(half, told(), Kept(prelabs=(("Ada", state),)))
        self.assertEqual((line.points, line.reasons), (3.0, ["Ada: 3 of 3 done."]))
        in_words = PrelabState([task(None, 1), task(None, 0, False)])
        words = mark(half, told(), Kept(prelabs=(("Ada", in_words),)))
        self.assertEqual(words.points, 3.0, "in words counts as it is, not answered not at all")
        self.assertIsNone(mark(half, told()).points)


class Rubrics(TestCase):
    def test_the_usual_one_can_be_used_and_names_all_there_is(self) -> None:
        self.assertEqual(rubric_problems(USUAL), [])
        self.assertEqual({criterion.kind for criterion in USUAL.criteria}, {*get_args(CriterionKind)} - {"prelab"})
        self.assertEqual(set(LABELS), set(get_args(CriterionKind)))

    def test_what_does_not_add_up_is_said(self) -> None:
        for rubric, sentence in (
            (replace(USUAL, total=21.0), "add up to 20, and the whole is 21"),
            (replace(USUAL, name=" "), "a name"),
            (replace(USUAL, criteria=()), "at least one thing"),
            (Rubric("x", 4.0, (Criterion("own", 2.0), Criterion("own", 2.0))), "Own work stands twice"),
            (Rubric("x", -1.0, (Criterion("own", -1.0),)), "above zero"),
            (Rubric("x", 0.3, (Criterion("own", 0.3),)), "whole or half"),
            (Rubric("x", 2.0, (Criterion("accuracy", 2.0, full=5.0, none=5.0),)), "nearer to the accepted value"),
            (Rubric("x", float("nan"), (Criterion("own", float("nan")),)), "above zero"),
            (replace(USUAL, total=float("nan")), "add up to 20"),
        ):
            self.assertTrue(any(sentence in problem for problem in rubric_problems(rubric)), (rubric, sentence))
