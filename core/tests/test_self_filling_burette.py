"""A burette that fills itself to zero is read once: what it delivered is what it shows (common practice, no published
source). The concentration is worked by hand: 0.1000 mol/L · 21.50 mL / 20.00 mL = 0.1075 mol/L.
"""

from unittest import TestCase

from chromata_core.methods.registry import methods
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation

OPTIONS = {"fills": "self", "rough_trial": "no", "trials": "2", "c_t": "0.1000"}


def titrated(*ends: str) -> Evaluation:
    done = [g for n, end in enumerate(ends, 1) for g in (Given("end_point", "held", n), Given("V_end", end, n))]
    method = methods()["acid-base-titration"]
    return evaluate(method, Sheet(OPTIONS, {}, (Given("V_s", "20.00"), *done)))


class ReadOnce(TestCase):
    def test_the_end_is_what_was_delivered(self) -> None:
        state = titrated("21.50", "21.50")
        self.assertAlmostEqual(next(r.value for r in state.results if r.key == "c_s"), 0.1000 * 21.50 / 20.00, 12)
        self.assertNotIn("V_start", {task.key for task in state.tasks})
        self.assertEqual(state.findings, [])

    def test_the_guide_counts_from_zero(self) -> None:
        run = next(step for step in titrated("21.50").steps if step.key == "run" and step.trial == 2)
        self.assertIn("about 20 mL", run.detail)  # the mean, less one millilitre to go slowly

    def test_a_start_that_nobody_reads_is_refused_with_the_reason(self) -> None:
        method = methods()["acid-base-titration"]
        with self.assertRaisesRegex(Exception, "is not read here"):
            evaluate(method, Sheet(OPTIONS, {}, (Given("V_start", "0.10", 1),)))

    def test_every_burette_of_a_titration_by_indicator_may_be_one(self) -> None:
        slugs = [slug for slug, method in methods().items() if "fills" in [option.key for option in method.options]]
        wanted = ["acid-base-titration", "back-titration", "ion-exchange-titration", "standardisation"]
        self.assertEqual(sorted(slugs), wanted)
