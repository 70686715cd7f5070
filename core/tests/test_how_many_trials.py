"""How many trials a class makes is its own choice: what the bench asks for, and what it offers after that.

The ways are common practice, no published source: one run is a run; two, and a third if they are apart; as many as fit.
"""

from typing import ClassVar
from unittest import TestCase

from chromata_core.errors import SheetError
from chromata_core.methods.registry import method, methods
from chromata_core.planning.predict import predict
from chromata_core.planning.supplies import supplies
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation

SLUG = "acid-base-titration"


def titrated(chosen: str, *ends: str, rough: str = "no") -> Evaluation:
    """Titres from 0.00 mL to ``ends``, one trial for each, under this choice."""
    done = [
        given
        for trial, end in enumerate(ends, 1)
        for given in (
            Given("V_start", "0.00", trial),
            Given("V_end", end, trial),
            Given("end_point", "held", trial),
            Given("step.portion", "done", trial),
        )
    ]
    options = {"rough_trial": rough} | ({"trials": chosen} if chosen else {})
    ready = [Given(f"step.{s.key}", "done") for s in method(SLUG).steps if s.scope == "setup" and not s.reads]
    return evaluate(method(SLUG), Sheet(options, {}, (Given("V_s", "20.00"), *ready, *done)))


def asked(state: Evaluation) -> set[int]:
    """The trials that are begun or asked for."""
    return {task.trial for task in state.tasks if task.trial is not None}


class AskedFor(TestCase):
    apart: ClassVar = ("21.50", "22.60")
    close: ClassVar = ("21.50", "21.54")

    def test_what_is_asked_for_under_each_choice(self) -> None:
        three_apart = (*self.apart, "23.80")
        for chosen, ends, wanted in (
            ("", (), {1, 2}),
            ("", self.apart, {1, 2, 3}),
            ("usual", three_apart, {1, 2, 3, 4}),
            ("1", (), {1}),
            ("1", ("21.50",), {1}),
            ("third", self.close, {1, 2}),
            ("third", self.apart, {1, 2, 3}),
            ("third", three_apart, {1, 2, 3}),
            ("3", self.close, {1, 2, 3}),
            ("2", self.apart, {1, 2}),
        ):
            self.assertEqual(asked(titrated(chosen, *ends)), wanted, (chosen, ends))

    def test_one_run_is_a_run(self) -> None:
        state = titrated("1", "21.50")
        self.assertTrue(state.replicates_pass)
        self.assertEqual([r.key for r in state.results if r.key == "c_s"], ["c_s"])
        self.assertEqual(titrated("", "21.50").hand.trial, 2)
        self.assertNotEqual(state.hand.trial, 2)

    def test_one_more_is_offered_once_all_are_made_and_counts_like_any_other(self) -> None:
        self.assertIsNone(titrated("", "21.50").another)
        offered = titrated("", *self.close).another
        assert offered is not None
        self.assertEqual((offered.trial, offered.key), (3, "step.portion"))
        state = titrated("", *self.close, "21.52")
        self.assertEqual(asked(state), {1, 2, 3})
        self.assertEqual(state.agreement and state.agreement.what[:5], "Three")

    def test_a_plan_that_ends_asks_for_no_more(self) -> None:
        finding = next(f for f in titrated("2", *self.apart).findings if f.code == "disagree")
        self.assertIn("Ask your instructor", finding.do)
        finding = next(f for f in titrated("third", *self.apart).findings if f.code == "disagree")
        self.assertEqual(finding.do, "Do trial 3.")

    def test_as_long_as_there_is_time_the_next_one_is_at_hand(self) -> None:
        state = titrated("open", *self.close)
        self.assertEqual((state.hand.trial, state.hand.key), (3, "step.portion"))
        self.assertEqual(titrated("usual", *self.close).hand.trial, None)
        self.assertEqual(titrated("open", "21.50").hand.trial, 2)

    def test_the_forecast_of_one_trial_averages_nothing(self) -> None:
        prediction, two = (predict(method(SLUG), Sheet({"trials": chosen}, {})) for chosen in ("1", "usual"))
        self.assertEqual((prediction.basis.count("averaged"), two.basis.count("2 trials averaged")), (0, 1))
        self.assertNotEqual(prediction.relative, two.relative)

    def test_supplies_follow(self) -> None:
        def titrant(chosen: str) -> str:
            bound = bind(method(SLUG), Sheet({"rough_trial": "no", "trials": chosen}, {}))
            return next(s.bench for s in supplies(bound, 1).supplies)

        self.assertNotEqual(titrant("1"), titrant("4"))


class OfEveryMethod(TestCase):
    def test_every_method_whose_trials_are_repeated_has_the_choice(self) -> None:
        for slug, declared in methods().items():
            keys = [option.key for option in declared.all_options]
            repeated = not declared.trials.each and declared.trials.maximum > 1
            self.assertEqual("trials" in keys, repeated, slug)

    def test_every_choice_is_worked_by_every_method(self) -> None:
        for declared in methods().values():
            if (option := declared.trials.how_many) is None:
                continue
            for choice in option.choices:
                state = evaluate(declared, Sheet({"trials": choice.key}, {}))
                least = declared.trials.asked(choice.key).least
                begun = {task.trial for task in state.tasks if task.trial}
                self.assertEqual(len(begun), least, (declared.slug, choice.key))

    def test_a_bad_choice_is_refused(self) -> None:
        with self.assertRaisesRegex(SheetError, "How many trials"):
            bind(method(SLUG), Sheet({"trials": "99"}, {}))
