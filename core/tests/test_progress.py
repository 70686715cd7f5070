"""Where a bench stands and what it is told to do next: followed from the first step to the last."""

from functools import cache
from unittest import TestCase

from chromata_core.declaration.vocabulary import Method, Observation, Reading
from chromata_core.methods.registry import method, methods
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation, Hand
from tests.sheets import TOOLS, titration


def answer_to(declared: Method, hand: Hand) -> str:
    """Something a bench might write for the task in hand."""
    part = next((p for p in declared.readings if p.key == hand.key), None)
    if isinstance(part, Observation) and part.right:
        return next(text for key, trial, _, text in declared.example.readings if (key, trial) == (hand.key, hand.trial))
    if isinstance(part, Observation):
        return next(choice.key for choice in part.choices if choice.key not in part.voids)
    if isinstance(part, Reading):
        examples = {(key, trial or 0, index or 0): text for key, trial, index, text in declared.example.readings}
        trial = min(hand.trial or 0, max(t for k, t, _ in examples if k == hand.key))
        last = max(i for k, t, i in examples if (k, t) == (hand.key, trial))
        return examples[(hand.key, trial, min(hand.index or 0, last))]
    return "0.2344" if hand.kind == "own" else "done"


@cache
def walked(slug: str, most: int = 160) -> list[Hand]:
    """Every task in the order in which the bench is led, answered as it comes."""
    declared = method(slug)
    sheet = Sheet(declared.example.options, declared.example.instruments)
    taken: list[Hand] = []
    for _ in range(most):
        state = evaluate(declared, sheet)
        hand = state.hand
        spoiled = [trial.why for trial in state.trials if trial.state == "void"]
        if spoiled:
            raise AssertionError(f"{declared.slug}: work in progress is called void at {hand.key}: {spoiled}")
        taken.append(hand)
        if hand.kind == "finished":
            return taken
        given = Given(hand.key, answer_to(declared, hand), hand.trial, hand.index)
        sheet = Sheet(sheet.options, sheet.instruments, (*sheet.given, given))
    raise AssertionError(f"{declared.slug} does not end: {[(h.key, h.trial) for h in taken[-5:]]}")


class EveryMethodWalked(TestCase):
    def test_following_the_sentence_leads_to_the_end(self) -> None:
        for slug, declared in methods().items():
            with self.subTest(slug):
                taken = walked(slug)
                self.assertEqual(taken[0].key, f"step.{declared.steps[0].key}")
                self.assertTrue(all(hand.lead for hand in taken))
                read = {hand.key for hand in taken}
                for part in declared.readings:
                    needed = part.when is None and not (isinstance(part, Reading) and part.optional)
                    self.assertTrue(part.key in read or not needed, part.key)

    def test_nothing_is_asked_twice(self) -> None:
        for slug in methods():
            with self.subTest(slug):
                slots = [(hand.key, hand.trial, hand.index) for hand in walked(slug)]
                self.assertEqual(len(slots), len(set(slots)))


class Titration(TestCase):
    def outcome(self, *given: Given, options: dict[str, str] | None = None) -> Evaluation:
        return evaluate(method("acid-base-titration"), Sheet(options or {}, TOOLS, given))

    def test_an_empty_bench_begins_with_goggles(self) -> None:
        outcome = self.outcome()
        self.assertIn("goggles", outcome.hand.lead.lower())
        self.assertEqual((outcome.progress, outcome.results, outcome.trials), (0.0, [], []))

    def test_words_of_the_chosen_indicator_stand_in_the_sentence(self) -> None:
        steps = self.outcome(options={"indicator": "methyl-orange"}).steps
        run = next(step for step in steps if step.key == "run")
        self.assertIn("orange", run.wait_label)
        self.assertEqual(run.wait_seconds, 30)

    def test_the_aim_comes_from_the_trials_so_far(self) -> None:
        """Trials of about 21.6 mL, started at 1.06: run in to about 22, then drop by drop."""
        sheet = titration(("0.24", "21.78"))
        given = (*sheet.given, Given("step.portion", "done", 2), Given("V_start", "1.06", 2))
        outcome = evaluate(method("acid-base-titration"), Sheet(sheet.options, sheet.instruments, given))
        self.assertEqual(outcome.hand.key, "end_point")
        self.assertIn("Run in to about 22 mL", outcome.hand.lead)

    def test_a_timer_s_start_is_told_with_its_step(self) -> None:
        outcome = self.outcome(Given("timer.run", "begun", 0, at=1000.0))
        begun = {(step.key, step.trial): step.begun for step in outcome.steps}
        self.assertEqual(begun[("run", 0)], 1000.0)
        self.assertIsNone(begun[("run", 1)])

    def test_a_rejected_trial_is_replaced_by_another(self) -> None:
        sheet = titration(("0.24", "21.78"), ("0.10", "21.64"))
        given = (*sheet.given, Given("void", "Knocked over", 2))
        outcome = evaluate(method("acid-base-titration"), Sheet(sheet.options, sheet.instruments, given))
        self.assertEqual((outcome.hand.trial, outcome.hand.step), (3, "portion"))
        self.assertEqual({s.state for s in outcome.steps if s.trial == 2}, {"void"})

    def test_the_most_trials_the_plan_allows(self) -> None:
        far = [("0.00", f"{20 + n}.00") for n in range(6)]
        outcome = evaluate(method("acid-base-titration"), titration(*far))
        self.assertEqual(max(step.trial or 0 for step in outcome.steps), 6)
        self.assertIn("Ask your instructor", next(f.do for f in outcome.findings if f.code == "disagree"))

    def test_without_a_rough_trial_the_first_is_number_one(self) -> None:
        outcome = self.outcome(options={"rough_trial": "no"})
        self.assertEqual(min(step.trial for step in outcome.steps if step.trial is not None), 1)

    def test_progress_grows_with_every_entry(self) -> None:
        declared = method("hydrate")
        sheet, before = example_sheet(declared), -1.0
        for count in range(len(sheet.given) + 1):
            now = evaluate(declared, Sheet(sheet.options, sheet.instruments, sheet.given[:count])).progress
            self.assertGreaterEqual(now, before * 0.8)  # a further heating adds a task and may set it back a little
            before = now


class EqualSteps(TestCase):
    """A burette opened by half a millilitre each time, a clock read every minute: the next one is offered."""

    def offered(self, *volumes: str) -> list[str]:
        given = [Given("V", text, 1, row) for row, text in enumerate(volumes, 1)]
        given += [Given("E", str(400 + row), 1, row) for row in range(1, len(volumes) + 1)]
        state = evaluate(method("potentiometric-titration"), Sheet({}, {}, tuple(given)))
        return [task.offer for task in state.tasks if task.key in ("V", "E") and not task.done and task.trial == 1]

    def test_the_next_of_equal_steps(self) -> None:
        self.assertEqual(self.offered("0.00", "0.50"), ["1.00", ""])
        self.assertEqual(self.offered("0.00", "0.50", "1.00", "1.10"), ["1.20", ""])

    def test_nothing_is_offered_without_a_step_backwards_or_past_the_end(self) -> None:
        for volumes in (("0.00",), ("0.50", "0.50"), ("1.00", "0.50"), ("20.00", "40.00")):
            self.assertEqual(set(self.offered(*volumes)), {""}, volumes)
