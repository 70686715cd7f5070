"""What is remembered of plans and numbers stands for nothing else: sheets that differ in one thing are told apart."""

from dataclasses import replace
from unittest import TestCase

from chromata_core.declaration.own_work import OwnWork
from chromata_core.declaration.vocabulary import Method
from chromata_core.engine import context
from chromata_core.instruments.catalogue import instrument
from chromata_core.methods.registry import method
from chromata_core.sheet import binding
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.handed import Handed
from chromata_core.telling.evaluate import evaluate
from chromata_core.uncertainty.source import Source

TITRATION = method("acid-base-titration")
GIVEN = (
    Given("V_s", "20.00", at=100.0),
    Given("V_start", "0.24", 1, at=160.0),
    Given("end_point", "held", 1, at=220.0),
    Given("V_end", "21.78", 1, at=280.0),
)
PLAIN = Sheet({"rough_trial": "no"}, {}, GIVEN, opened=0.0)
TAKEN = Handed("another sheet", "0.1031", "0.0004")

SOURCES = ((Source("elsewhere", "A balance elsewhere", 0.1, "normal", unit="mol/L"), 1.0),)


def with_last(text: str) -> tuple[Given, ...]:
    return (*GIVEN[:-1], replace(GIVEN[-1], text=text))


def otherwise() -> dict[str, tuple[Method, Sheet]]:
    """Each unlike the plain one in one thing that changes what is told."""
    burette = TITRATION.roles[0].default
    calibrated = replace(instrument(burette), corrections=((0.0, 0.0), (50.0, 0.05)))
    doubled = [replace(q, formula=f"2 * ({q.formula})") if q.key == "c_s" else q for q in TITRATION.quantities]
    return {
        "another reading": (TITRATION, replace(PLAIN, given=with_last("21.79"))),
        "the same number, more digits": (TITRATION, replace(PLAIN, given=with_last("21.780"))),
        "what was seen": (TITRATION, replace(PLAIN, given=(*GIVEN[:2], replace(GIVEN[2], text="overshot"), GIVEN[3]))),
        "an option": (TITRATION, replace(PLAIN, options={**PLAIN.options, "c_t": "0.1026"})),
        "its limit": (TITRATION, replace(PLAIN, options={**PLAIN.options, "c_t.limit": "0.0040"})),
        "another piece": (TITRATION, replace(PLAIN, instruments={"burette": "burette-50-a"})),
        "a calibration": (TITRATION, replace(PLAIN, stock={burette: calibrated})),
        "own work": (TITRATION, replace(PLAIN, own_work=OwnWork(lines=("c_s",)))),
        "a number of another sheet": (TITRATION, replace(PLAIN, handed={"c_t": TAKEN})),
        "the same with its sources": (TITRATION, replace(PLAIN, handed={"c_t": replace(TAKEN, sources=SOURCES)})),
        "another formula": (replace(TITRATION, quantities=tuple(doubled)), PLAIN),
    }


class Remembered(TestCase):
    """Each is worked with all others in memory, and with nothing in it."""

    def setUp(self) -> None:
        self.addCleanup(self.forget)
        self.forget()

    def forget(self) -> None:
        context._worked.cache_clear()
        binding._planned_out.cache_clear()

    def test_one_thing_makes_another_sheet(self) -> None:
        evaluate(TITRATION, PLAIN)
        beside = {name: evaluate(*sheet) for name, sheet in otherwise().items()}
        plain = evaluate(TITRATION, PLAIN)
        for name, sheet in otherwise().items():
            self.forget()
            with self.subTest(name):
                self.assertEqual(beside[name], evaluate(*sheet))
                self.assertNotEqual(beside[name], plain)

    def test_when_it_was_written_is_not_remembered(self) -> None:
        """What was tried a moment ago is written now, with the same numbers: its wait runs from now."""
        for began in (310.0, 370.0):
            started = Given("timer.run", "started", 1, at=began)
            told = evaluate(TITRATION, replace(PLAIN, given=(*GIVEN, started)))
            with self.subTest(began):
                [begun] = [step.begun for step in told.steps if (step.key, step.trial) == ("run", 1)]
                self.assertEqual(begun, began)

    def test_a_clock_of_its_own_is_not_another_benchs(self) -> None:
        started = Given("timer.run", "started", 1, at=100.0)
        for pace, waits in ((1, 30), (10, 3), (1, 30)):
            told = evaluate(TITRATION, replace(PLAIN, given=(*GIVEN, started), pace=pace))
            with self.subTest(pace):
                self.assertEqual({step.wait_seconds for step in told.steps if step.key == "run"}, {waits})
