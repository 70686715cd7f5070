"""Whatever is typed at a bench, the engine answers in sentences: no other error, no NaN in what it sends."""

import json
import random
from dataclasses import asdict, replace
from unittest import TestCase

from chromata_core.declaration.vocabulary import Method, Observation, Quantity
from chromata_core.engine.context import context_of
from chromata_core.errors import ChromataError
from chromata_core.methods.registry import method, methods
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.sheet.understanding import understand
from chromata_core.telling.effects import what_if
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.explain import explain
from chromata_core.telling.outcome import Evaluation

from .sheets import titration

TEXTS = ("0", "0.00", "0.0000", "1", "10.00", "20.00", "25.00", "49.99", "1e-9", "12.345", "3", "0.5", "100.0")
ROUNDS = 25


def anything(declared: Method, random_: random.Random) -> Sheet:
    """A sheet of readings taken at random: half of them the example's, the rest whatever the scale allows."""
    given = {slot[:3]: slot[3] for slot in declared.example.readings if random_.random() < 0.7}
    example = bind(declared, example_sheet(declared))
    for key, trial, index in list(given):
        part = example.part(key)
        if isinstance(part, Observation):
            given[key, trial, index] = random_.choice(part.choices).key
        elif random_.random() < 0.5:
            given[key, trial, index] = random_.choice(TEXTS)
    own = [Given(f"own.{q.key}", random_.choice(TEXTS)) for q in declared.quantities if own_may_be_given(q)]
    fitting = [Given(key, text, trial, index) for (key, trial, index), text in given.items()]
    bare = Sheet(dict(declared.example.options), declared.example.instruments)
    bound = bind(declared, bare)
    return replace(bare, given=tuple(given for given in (*fitting, *own) if fits(bound, given)))


def own_may_be_given(quantity: Quantity) -> bool:
    return quantity.result and quantity.scope != "trial" and quantity.when is None


def fits(bound: Bound, given: Given) -> bool:
    try:
        understand(bound, given)
    except ChromataError:
        return False
    return True


class AnySheet(TestCase):
    def test_random_sheets_of_every_method(self) -> None:
        random_ = random.Random(20261125)
        for declared in methods().values():
            for _ in range(ROUNDS):
                sheet = anything(declared, random_)
                with self.subTest(declared.slug, sheet=sheet):
                    self.answered(declared, sheet)

    def answered(self, declared: Method, sheet: Sheet) -> None:
        try:
            at = context_of(declared, sheet)
        except ChromataError:
            return
        texts = [asdict(evaluate(declared, sheet)), [asdict(line) for line in explain(at)]]
        texts.append([asdict(effect) for effect in what_if(at.bound)])
        self.assertNotRegex(json.dumps(texts, allow_nan=False), r"\bnan\b|\binf\b")

    def test_a_mass_of_zero_stops_and_does_not_count(self) -> None:
        declared = method("back-titration")
        given = [Given(k, t, n, i) for k, n, i, t in declared.example.readings if (k, n) != ("m_after", 1)]
        outcome = evaluate(declared, Sheet(declared.example.options, {}, (*given, Given("m_after", "12.8841", 1))))
        self.assertEqual(outcome.trials[0].state, "void")
        self.assertIn(("stop", 1), [(f.level, f.trial) for f in outcome.findings])

    def test_an_own_answer_beside_an_unfinished_rough_trial(self) -> None:
        whole = titration(("0.00", "22.60"), ("0.10", "22.68"))
        unfinished = tuple(g for g in whole.given if (g.key, g.trial) != ("V_end", 0))
        sheet = Sheet(whole.options, whole.instruments, (*unfinished, Given("own.c_s", "0.1500")))
        self.assertEqual(self._own(evaluate(method("acid-base-titration"), sheet)), "unexplained")

    @staticmethod
    def _own(outcome: Evaluation) -> str:
        return outcome.own[0].kind
