"""A simulated bench: what is put in comes back within the uncertainty that the engine states for it."""

from unittest import TestCase

from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.simulation.burette_bench import titrate
from chromata_core.telling.evaluate import evaluate

TITRATION = method("acid-base-titration")
OPTIONS = {"c_t": "0.1026", "c_t.limit": "0"}
TOOLS = {"burette": "burette-50-b", "pipette": "pipette-20-a"}
TRUE = 0.1050


def bench(seed: int) -> Sheet:
    data = titrate(TITRATION, OPTIONS, TOOLS, TRUE, seed, 3)
    given = [Given("V_s", data.sample)]
    for number, trial in enumerate(data.trials):
        given += [
            Given("V_start", trial.start, number),
            Given("end_point", "held", number),
            Given("V_end", trial.end, number),
        ]
    return Sheet(OPTIONS, TOOLS, tuple(given))


class Simulated(TestCase):
    def test_the_same_seed_gives_the_same_readings(self) -> None:
        self.assertEqual(bench(3), bench(3))
        self.assertNotEqual(bench(3), bench(4))

    def test_the_true_value_lies_in_the_stated_interval_about_as_often_as_stated(self) -> None:
        """95 %, over 200 benches with instruments of their own: between 90 % and 100 % (three sigma: 4.6 %)."""
        held = 0
        for seed in range(200):
            result = evaluate(TITRATION, bench(seed)).results[0]
            held += abs(result.value - TRUE) <= result.expanded
        self.assertTrue(180 <= held <= 200, f"{held} of 200")

    def test_readings_look_like_a_student_s(self) -> None:
        for seed in range(30):
            outcome = evaluate(TITRATION, bench(seed))
            self.assertNotIn("missing-digit", [finding.code for finding in outcome.findings])
            self.assertEqual(outcome.trials[0].state, "rough")
