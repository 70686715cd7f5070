"""One contract for every method of the registry: what a declaration must hold before a class may work by it."""

from collections.abc import Iterator
from unittest import TestCase

from chromata_core.authoring.complete import lacks, wishes
from chromata_core.declaration.cautions import DEFER, GOGGLES
from chromata_core.declaration.names import When
from chromata_core.declaration.option_kinds import ChoiceOption
from chromata_core.declaration.vocabulary import Method, Reading
from chromata_core.errors import SheetError
from chromata_core.instruments.catalogue import CATALOGUE
from chromata_core.methods.registry import methods
from chromata_core.planning.foresight import foresee
from chromata_core.planning.predict import predict
from chromata_core.sheet.bound import Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.simulation.rehearse import rehearse
from chromata_core.telling.describe import page
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.file_schema import readings_schema
from tests.outside import checked


def chosen(when: When | None) -> dict[str, str]:
    return {key: choice if isinstance(choice, str) else choice[0] for key, choice in (when or {}).items()}


class EveryMethod(TestCase):
    def each(self) -> Iterator[Method]:
        for slug, method in methods().items():
            with self.subTest(slug):
                yield method

    def test_it_is_complete(self) -> None:
        """Steps, cautions, instruments, an example that works under each choice, slips and faults that change it."""
        for method in self.each():
            self.assertEqual((lacks(method), wishes(method)), ([], []))

    def test_it_is_checked_against_something_outside(self) -> None:
        for method in self.each():
            self.assertTrue(checked().get(method.slug), "no test marked @outside looks at this method")

    def test_the_example_budget_adds_to_the_whole(self) -> None:
        for method in self.each():
            for result in evaluate(method, example_sheet(method)).results:
                self.assertAlmostEqual(sum(line.share for line in result.budget), 1, places=6)

    def test_it_can_be_rehearsed(self) -> None:
        """Simulated instruments read the example anew: every result comes out near it, and no bench is stopped.

        Within one and a half times U in every one of five benches: U holds 95 % of the causes that are simulated.
        """
        for method in self.each():
            told = {(r.key, r.trial): r for r in evaluate(method, example_sheet(method)).results}
            sheets = [rehearse(method, seed) for seed in range(5)]
            self.assertGreater(len({sheet.given for sheet in sheets}), 1)
            for sheet in sheets:
                outcome = evaluate(method, sheet)
                self.assertEqual([f.what for f in outcome.findings if f.level == "stop"], [])
                self.assertEqual({(r.key, r.trial) for r in outcome.results}, told.keys())
                for result in outcome.results:
                    true = told[result.key, result.trial]
                    self.assertLess(abs(result.value - true.value), 1.5 * true.expanded, result.key)

    def test_faults_can_be_rehearsed(self) -> None:
        """Bent readings stay readings; but for two that no instrument shows, which is said."""
        refused = []
        for method in self.each():
            for fault in method.faults:
                options = {**method.example.options, **chosen(fault.when)}
                try:
                    bent, plain = (rehearse(method, 1, options, key) for key in (fault.key, ""))
                except SheetError as error:
                    self.assertRegex(error.message, "delivers 50 mL and nothing else|past the last mark")
                    refused.append(fault.key)
                else:
                    self.assertNotEqual(bent.given, plain.given, fault.key)
        self.assertEqual(refused, ["spilt-base", "wrong-scale"])

    def test_cautions_come_first_and_defer_to_local_rules(self) -> None:
        for method in self.each():
            self.assertIn(GOGGLES, method.hazards)
            self.assertIn(DEFER, method.hazards)
            first = method.steps[0]
            self.assertIn(GOGGLES, first.cautions)
            self.assertTrue(method.waste)

    def test_every_role_has_a_fitting_default_instrument(self) -> None:
        for method in self.each():
            for role in method.roles:
                self.assertIn(CATALOGUE[role.default].kind, role.kinds)
            used = {part.role for part in method.readings if isinstance(part, Reading)}
            self.assertEqual(used, {role.key for role in method.roles})

    def test_no_text_shows_a_brace_under_any_choice(self) -> None:
        """Words in braces are filled by options; one that no choice fills would reach the bench as code."""
        for method in self.each():
            for option in (o for o in method.options if isinstance(o, ChoiceOption)):
                for choice in option.choices:
                    given = {**method.example.options, option.key: choice.key}
                    prediction = predict(method, Sheet(given))
                    texts = str(prediction) + str(evaluate(method, Sheet(given)).steps)
                    self.assertNotIn("{", texts.replace("{'", "").replace("{}", ""), (option.key, choice.key))

    def test_every_worked_line_ends_in_its_number(self) -> None:
        for method in self.each():
            for line in page(method).example_lines:
                self.assertTrue(line.plain.endswith(f"{line.answer.text} {line.answer.unit}".rstrip()), line.plain)
                self.assertNotRegex(line.plain, r"nan|inf|None")

    def test_the_schema_of_its_file_knows_every_reading(self) -> None:
        for method in self.each():
            schema = str(readings_schema(method)["properties"]["readings"])
            self.assertTrue(all(part.key in schema for part in method.readings))

    def test_prediction_names_what_will_limit_the_result(self) -> None:
        for method in self.each():
            prediction = predict(method, Sheet())
            self.assertRegex(prediction.relative, r"^± [0-9.]+ %$")
            self.assertIn(prediction.budget[0].label, prediction.advice)


class Prediction(TestCase):
    def test_the_best_single_improvement_is_named_and_true(self) -> None:
        method = methods()["acid-base-titration"]
        prediction = foresee(method, Sheet())
        best = prediction.alternatives[0]
        self.assertIn(best.text, prediction.improvement)
        instruments = [a.percent for a in prediction.alternatives if a.cost == "another instrument"]
        self.assertEqual(instruments, sorted(instruments))
        for other in prediction.alternatives:
            changed = predict(method, Sheet(dict(other.options), dict(other.instruments)))
            self.assertEqual(other.text, changed.relative, other.instead)
        by_hand = predict(method, Sheet({"c_t.limit": "0.00025"}))
        halved = next(a for a in prediction.alternatives if a.what == "Titrant concentration")
        self.assertEqual(halved.text, by_hand.relative)

    def test_a_cylinder_for_the_sample_makes_it_much_worse(self) -> None:
        percents = {a.instead: a.percent for a in foresee(methods()["acid-base-titration"], Sheet()).alternatives}
        self.assertGreater(percents["Cylinder 25 mL, class B"], 2 * percents["Burette 50 mL, class A"])

    def test_a_better_burette_gives_a_smaller_uncertainty(self) -> None:
        """Class A is half of class B (±0.05 against ±0.10 mL), so its part of the variance is a quarter."""
        method = methods()["acid-base-titration"]
        parts = {}
        for grade in "ab":
            prediction = predict(method, Sheet({}, {"burette": f"burette-50-{grade}"}))
            parts[grade] = next(line.u for line in prediction.budget if line.label == "Burette calibration")
        self.assertAlmostEqual(parts["b"] / parts["a"], 2, places=6)
