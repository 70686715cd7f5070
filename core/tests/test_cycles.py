"""What is done in rounds: heat, cool and weigh until the mass stays; wash and pour off as often as planned."""

from dataclasses import replace
from unittest import TestCase

from chromata_core.declaration.option_kinds import NumberOption, Option
from chromata_core.declaration.vocabulary import Step
from chromata_core.errors import ChromataError
from chromata_core.loading.load import problems_of
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation

HYDRATE = method("hydrate")
# Masses worked by hand: 3.074 g of hydrate lose 1.053 g, 1.105 g, 1.107 g.
EMPTY, FULL, HEATED = "31.482", "34.556", ("33.503", "33.451", "33.449")


def bench(*given: tuple[str, int | None, str]) -> Evaluation:
    first = (("step.labels", None, None, "done"), ("m_crucible", 1, None, EMPTY), ("m_before", 1, None, FULL))
    rest = ((key, 1, index, text) for key, index, text in given)
    return evaluate(HYDRATE, Sheet(given=tuple(Given(k, text, t, i, 100.0) for k, t, i, text in (*first, *rest))))


def hand(evaluation: Evaluation) -> tuple[str, int | None]:
    return evaluation.hand.key, evaluation.hand.index


class HeatedToConstantMass(TestCase):
    def test_one_is_led_round_by_round_until_two_weighings_agree(self) -> None:
        done: list[tuple[str, int | None, str]] = []
        for turn, mass in enumerate(HEATED, 1):
            row = None if turn == 1 else turn
            self.assertEqual(hand(bench(*done)), ("flame", row))
            done.append(("flame", row, "plain"))
            self.assertEqual(hand(bench(*done)), ("m_heated", turn))
            done.append(("m_heated", turn, mass))
        self.assertEqual(hand(bench(*done)), ("lid", None))

    def test_the_second_round_says_so_and_each_has_its_own_minutes(self) -> None:
        evaluation = bench(("flame", None, "plain"), ("m_heated", 1, HEATED[0]))
        self.assertEqual(evaluation.hand.title, "Heat, round 2, crucible 1")
        self.assertTrue(evaluation.hand.lead.startswith("Heat it again"))
        evaluation = bench(
            ("flame", None, "plain"), ("m_heated", 1, HEATED[0]), ("flame", 2, "plain"), ("m_heated", 2, HEATED[1])
        )
        heats = [(step.turn, step.wait_seconds, step.title) for step in evaluation.steps if step.key == "heat"]
        self.assertEqual(heats, [(1, 300, "Heat"), (2, 300, "Heat, round 2"), (3, 120, "Heat, round 3")])

    def test_a_wait_of_the_second_round_is_not_the_first_ones(self) -> None:
        evaluation = bench(("timer.heat", None, "begun"), ("flame", None, "plain"), ("m_heated", 1, HEATED[0]))
        begun = {step.turn: step.begun for step in evaluation.steps if step.key == "heat"}
        self.assertEqual(begun, {1: 100.0, 2: None})
        evaluation = bench(("flame", None, "plain"), ("m_heated", 1, HEATED[0]), ("timer.heat", 2, "begun"))
        self.assertEqual(
            {step.turn: step.begun for step in evaluation.steps if step.key == "heat"}, {1: None, 2: 100.0}
        )

    def test_salt_that_escapes_in_a_later_round_spoils_the_portion(self) -> None:
        evaluation = bench(("flame", None, "plain"), ("m_heated", 1, HEATED[0]), ("flame", 2, "coloured"))
        self.assertEqual([trial.state for trial in evaluation.trials], ["void"])
        self.assertIn(("flame", 1, 2), [(f.key, f.trial, f.index) for f in evaluation.findings])

    def test_who_weighed_without_a_word_about_the_flame_is_not_sent_back(self) -> None:
        """So were benches led before there were rounds: their records stay as good as they were."""
        weighings = [("m_heated", turn, mass) for turn, mass in enumerate(HEATED, 1)]
        self.assertEqual(hand(bench(("flame", None, "plain"), *weighings)), ("lid", None))
        self.assertEqual(hand(bench(("flame", None, "plain"), *weighings[:1])), ("flame", 2))

    def test_a_round_that_is_none_is_refused(self) -> None:
        for index in (0, 1, 21):
            with self.subTest(index), self.assertRaisesRegex(ChromataError, f"has no round {index}"):
                bench(("flame", index, "plain"))

    def test_a_tick_in_a_row_that_is_none_counts_for_nothing_and_stops_no_bench(self) -> None:
        """Such could be written before there were rounds, by a request of one's own: the record must still open."""
        evaluation = bench(("timer.heat", 0, "begun"), ("timer.fill", 2, "begun"), ("step.heat", 900, "done"))
        self.assertEqual(hand(evaluation), ("flame", None))
        self.assertEqual([step.begun for step in evaluation.steps if step.key == "heat"], [None, None])


class WashedAsOftenAsPlanned(TestCase):
    def test_the_plan_says_how_often(self) -> None:
        for washes in ("1", "3"):
            evaluation = evaluate(method("solubility-product"), Sheet({"washes": washes}))
            turns = [step.turn for step in evaluation.steps if (step.key, step.trial) == ("wash", 1)]
            self.assertEqual(turns, list(range(1, int(washes) + 1)))


class Declared(TestCase):
    def test_a_cycle_that_could_not_end_or_stands_in_pieces_is_refused(self) -> None:
        def problems(*steps: Step, more: tuple[Option, ...] = ()) -> str:
            changed = replace(HYDRATE, steps=(*HYDRATE.steps, *steps), options=(*HYDRATE.options, *more))
            return " ".join(problems_of(changed))

        self.assertIn("must follow each other", problems(Step("more", "More", "More.", cycle="m_heated")))
        unread = tuple(replace(step, cycle="") if step.key == "weigh" else step for step in HYDRATE.steps)
        self.assertIn("its rounds would not end", " ".join(problems_of(replace(HYDRATE, steps=unread))))
        endless = NumberOption("often", "How often", "3", low="1")
        again = Step("again", "Again", "Again.", cycle="often")
        self.assertIn("needs a number of rounds", problems(again, more=(endless,)))
        once = Step("once", "Once", "Once.", reads=("m_crucible",), cycle="often")
        self.assertIn("make it a series", problems(once, more=(replace(endless, high="5"),)))
        self.assertIn("nothing", problems(Step("none", "None", "None.", cycle="nothing")))
