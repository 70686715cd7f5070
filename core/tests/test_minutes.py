"""How long what is left takes. The minutes are common practice, no published source; held here is how they add up."""

from dataclasses import replace
from itertools import pairwise
from unittest import TestCase

from chromata_core.declaration.places import tick
from chromata_core.methods.registry import method, methods
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.minutes import minutes_left
from chromata_core.telling.outcome import Evaluation, StepOut

_NOW = 1_700_000_000.0


def _fresh(slug: str, **options: str) -> Evaluation:
    return evaluate(method(slug), Sheet(options))


def _step(evaluation: Evaluation, key: str, trial: int | None = None) -> StepOut:
    return next(step for step in evaluation.steps if (step.key, step.trial) == (key, trial))


class Minutes(TestCase):
    def test_every_step_of_every_method_takes_some_time_and_a_session_fits_a_school_s_afternoon(self) -> None:
        for slug, declared in methods().items():
            evaluation = evaluate(declared, Sheet(declared.example.options, declared.example.instruments))
            longest = 220 if slug == "precipitate-yield" else 180  # two filters, each dried to constant mass
            with self.subTest(method=slug):
                self.assertTrue(all(step.minutes > 0 for step in evaluation.steps))
                self.assertTrue(
                    25 <= minutes_left(evaluation.steps, _NOW) <= longest, minutes_left(evaluation.steps, _NOW)
                )

    def test_less_is_left_the_more_is_written(self) -> None:
        """But for a trial more than the plan asks for, which adds its own minutes when it begins."""
        for slug, declared in methods().items():
            sheet = example_sheet(declared)
            planned = [given for given in sheet.given if (given.trial or 0) <= declared.trials.minimum]
            parts = [replace(sheet, given=tuple(planned[: len(planned) * n // 4])) for n in range(5)]
            left = [minutes_left(evaluate(declared, part).steps, _NOW) for part in parts]
            with self.subTest(method=slug):
                self.assertGreater(left[0], left[-1])
                self.assertTrue(all(later <= before + 8 for before, later in pairwise(left)), left)

    def test_a_series_counts_the_rows_that_are_planned(self) -> None:
        """Five standards of 25 minutes in all; three of five read, with their absorbances: two fifths are left, 10."""
        plan = {"V_plan": "1; 2; 3; 4; 5", "standards_by": "turn"}
        read = [Given("V_flask", "10")]
        read += [
            Given(key, text, None, n) for n in (1, 2, 3) for key, text in (("V_std", f"{n}.0"), ("A_std", f"0.{n}00"))
        ]
        before, after = (
            evaluate(method("beer-lambert"), Sheet(plan)),
            evaluate(method("beer-lambert"), Sheet(plan, {}, tuple(read))),
        )
        self.assertEqual(_step(before, "standards").minutes, 25)
        self.assertAlmostEqual(_step(after, "standards").minutes, 25 * 4 / 11, 1)

    def test_a_wait_counts_until_it_is_over_less_what_is_done_in_it(self) -> None:
        """Boiling takes 60 s by itself, cooling 300 s; the next portion's weighing of 4 min is done in the second."""
        steps = _fresh("back-titration").steps
        boil, cool, weigh = (
            next(s for s in steps if (s.key, s.trial) == step) for step in (("boil", 1), ("cool", 1), ("weigh", 2))
        )
        self.assertEqual((cool.meanwhile, weigh.minutes), ("weigh", 4))
        whole = minutes_left(steps, _NOW)
        running = [replace(s, begun=_NOW - 240) if s is cool else s for s in steps]
        over = cool.wait_seconds / 60
        self.assertAlmostEqual(whole - minutes_left(running, _NOW), max(over - 4, 0) - max(over - 4 - 4, 0), 6)
        self.assertGreater(boil.wait_seconds, 0)

    def test_a_faster_clock_shortens_waits_and_warms_lamps_sooner(self) -> None:
        """At 60 times the pace 20 minutes of warming up are 20 s: a reading after 25 s comes late enough."""
        declared, opened = method("beer-lambert"), 1_000_000.0
        plan = {"on_before": "0"}
        written = (Given("timer.warmup", "", at=opened), Given("A_x", "0.412", 1, 1, at=opened + 25))
        codes = {
            pace: [f.code for f in evaluate(declared, Sheet(plan, {}, written, opened=opened, pace=pace)).findings]
            for pace in (1, 60)
        }
        self.assertEqual(["not-warm" in shown for shown in codes.values()], [True, False], codes)
        warm = _step(evaluate(declared, Sheet(plan, {}, written, opened=opened, pace=60)), "warmup")
        self.assertEqual((warm.wait_seconds, warm.begun), (20, opened))

    def test_what_is_ticked_or_waited_for_is_not_left(self) -> None:
        declared = method("acid-base-titration")
        fresh = evaluate(declared, Sheet())
        key = tick("fill").key
        done = evaluate(declared, Sheet({}, {}, (Given(key, "done"),)))
        self.assertEqual((_step(fresh, "fill").minutes, _step(done, "fill").minutes), (6, 0))
        self.assertAlmostEqual(minutes_left(fresh.steps, _NOW) - minutes_left(done.steps, _NOW), 6, 6)
