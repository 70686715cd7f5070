"""One contract for every method of the registry: what a declaration must hold before a class may work by it."""

from collections.abc import Iterator
from math import isfinite
from unittest import TestCase

from chromata_core.instruments.catalogue import CATALOGUE
from chromata_core.method.cautions import DEFER, GOGGLES
from chromata_core.method.describe import page, readings_schema
from chromata_core.method.effects import example_sheet, slip_effects, what_if
from chromata_core.method.evaluate import evaluate
from chromata_core.method.sheet import Sheet, bind
from chromata_core.method.vocabulary import ChoiceOption, Method, Reading, Slip, When
from chromata_core.methods.registry import methods
from chromata_core.planning.predict import predict


def chosen(when: When | None) -> dict[str, str]:
    return {key: choice if isinstance(choice, str) else choice[0] for key, choice in (when or {}).items()}


class EveryMethod(TestCase):
    def each(self) -> Iterator[Method]:
        for slug, method in methods().items():
            with self.subTest(slug):
                yield method

    def test_the_worked_example_is_complete_and_free_of_findings(self) -> None:
        for method in self.each():
            outcome = evaluate(method, example_sheet(method))
            self.assertEqual([f.what for f in outcome.findings], [])
            self.assertEqual(
                {result.key for result in outcome.results},
                {q.key for q in bind(method, example_sheet(method)).quantities if q.result},
            )
            for result in outcome.results:
                self.assertTrue(isfinite(result.value) and result.expanded > 0, result.key)
                self.assertAlmostEqual(sum(line.share for line in result.budget), 1, places=6)

    def test_every_slip_and_every_fault_changes_a_result(self) -> None:
        """Those that exist only under other choices are looked at under these."""
        for method in self.each():
            self.assertTrue(method.slips and method.faults)
            for part in (*method.slips, *method.faults):
                options = {**method.example.options, **chosen(part.when)}
                bound = bind(method, example_sheet(method, options))
                effects = slip_effects(bound) if isinstance(part, Slip) else what_if(bound)
                effect = next(effect for effect in effects if effect.key == part.key)
                with self.subTest(effect.key):
                    self.assertNotEqual(effect.percent, 0.0)

    def test_each_choice_gives_results_from_the_worked_example(self) -> None:
        for method in self.each():
            for option in (o for o in method.options if isinstance(o, ChoiceOption)):
                for choice in option.choices:
                    options = {**method.example.options, option.key: choice.key}
                    if (method.slug, choice.key) == ("potentiometric-titration", "acid"):
                        continue  # its example is a redox curve in mV, which no pH meter shows
                    with self.subTest(choice.key, option=option.key):
                        self.assertTrue(evaluate(method, example_sheet(method, options)).results)

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

    def test_two_to_four_closing_questions(self) -> None:
        for method in self.each():
            self.assertIn(len(method.questions), (2, 3, 4))

    def test_no_text_shows_a_brace_under_any_choice(self) -> None:
        """Words in braces are filled by options; one that no choice fills would reach the bench as code."""
        for method in self.each():
            for option in (o for o in method.options if isinstance(o, ChoiceOption)):
                for choice in option.choices:
                    given = {**method.example.options, option.key: choice.key}
                    prediction = predict(method, Sheet(given))
                    said = str(prediction) + str(evaluate(method, Sheet(given)).steps)
                    self.assertNotIn("{", said.replace("{'", "").replace("{}", ""), (option.key, choice.key))

    def test_every_worked_line_ends_in_its_number(self) -> None:
        for method in self.each():
            for line in page(method).example_lines:
                self.assertTrue(line.plain.endswith(f"{line.answer.text} {line.answer.unit}".rstrip()), line.plain)
                self.assertNotRegex(line.plain, r"nan|inf|None")

    def test_the_schema_of_its_file_knows_every_reading(self) -> None:
        for method in self.each():
            said = str(readings_schema(method)["properties"]["readings"])
            self.assertTrue(all(part.key in said for part in method.readings))

    def test_prediction_names_what_will_limit_the_result(self) -> None:
        for method in self.each():
            prediction = predict(method, Sheet())
            self.assertRegex(prediction.relative, r"^± [0-9.]+ %$")
            self.assertIn(prediction.budget[0].label, prediction.advice)


class Prediction(TestCase):
    def test_the_best_single_improvement_is_named_and_true(self) -> None:
        method = methods()["acid-base-titration"]
        prediction = predict(method, Sheet())
        best = prediction.alternatives[0]
        self.assertIn(best.text, prediction.improvement)
        self.assertEqual(
            [a.percent for a in prediction.alternatives], sorted(a.percent for a in prediction.alternatives)
        )
        by_hand = predict(method, Sheet({"c_t.limit": "0.00025"}))
        halved = next(a for a in prediction.alternatives if a.what == "Titrant concentration")
        self.assertEqual(halved.text, by_hand.relative)

    def test_a_cylinder_for_the_sample_makes_it_much_worse(self) -> None:
        percents = {a.instead: a.percent for a in predict(methods()["acid-base-titration"], Sheet()).alternatives}
        self.assertGreater(percents["Cylinder 25 mL, class B"], 2 * percents["Burette 50 mL, class A"])

    def test_a_better_burette_gives_a_smaller_uncertainty(self) -> None:
        """Class A is half of class B (±0.05 against ±0.10 mL), so its part of the variance is a quarter."""
        method = methods()["acid-base-titration"]
        parts = {}
        for grade in "ab":
            prediction = predict(method, Sheet({}, {"burette": f"burette-50-{grade}"}))
            parts[grade] = next(line.u for line in prediction.budget if line.label == "Burette calibration")
        self.assertAlmostEqual(parts["b"] / parts["a"], 2, places=6)
