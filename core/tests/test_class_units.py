"""A class that works in atm, calories or J/mol: the same sheet, the same judgement, every number in its unit."""

from dataclasses import replace
from unittest import TestCase

import pint

from chromata_core.declaration.option_kinds import Choice, ChoiceOption
from chromata_core.declaration.options import unit_options
from chromata_core.declaration.places import own
from chromata_core.declaration.vocabulary import Method
from chromata_core.engine.context import context_of
from chromata_core.errors import SheetError
from chromata_core.loading.load import problems_of
from chromata_core.methods.registry import method, methods
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.simulation.rehearse import rehearse
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.explain import explain
from chromata_core.telling.judge import judge
from chromata_core.telling.outcome import Evaluation

_PINT: pint.UnitRegistry[float] = pint.UnitRegistry(autoconvert_offset_to_baseunit=True)


def _converted(value: float, source: str, target: str) -> float:
    """By pint's own whole registry: its calorie is the thermochemical one, its mmHg the conventional one."""
    for sign, name in (("·", "*"), ("kcal", "kilocalorie")):
        source, target = source.replace(sign, name), target.replace(sign, name)
    return float(_PINT.Quantity(value, source).to(target).magnitude)


def _class_choices() -> list[tuple[Method, str, Choice]]:
    return [
        (method, option.key, choice)
        for method in methods().values()
        for option in method.options
        if option.key in unit_options(method) and isinstance(option, ChoiceOption)
        for choice in option.choices
        if choice.units
    ]


def _with(sheet: Sheet, option: str, choice: str, *more: Given) -> Sheet:
    return replace(sheet, options={**sheet.options, option: choice}, given=(*sheet.given, *more))


def _judged(evaluation: Evaluation) -> list[tuple[str, str, int | None]]:
    return sorted((f.code, f.level, f.trial) for f in evaluation.findings)


class ClassUnits(TestCase):
    def test_results_are_those_of_the_declared_units_turned_by_pint(self) -> None:
        self.assertGreaterEqual(len(_class_choices()), 9)
        for declared, option, choice in _class_choices():
            sheet = example_sheet(declared)
            plain, here = evaluate(declared, sheet), evaluate(declared, _with(sheet, option, choice.key))
            for before, after in zip(plain.results, here.results, strict=True):
                with self.subTest(method=declared.slug, choice=choice.key, result=before.key):
                    self.assertEqual(after.unit, choice.units.get(before.unit, before.unit))
                    wanted = _converted(before.value, before.unit, after.unit) if before.unit != "" else before.value
                    self.assertAlmostEqual(after.value / wanted, 1, 7)
                    self.assertAlmostEqual(after.expanded / after.value, before.expanded / before.value, 9)

    def test_every_fault_is_judged_alike_in_every_unit(self) -> None:
        """Limits, agreement and forecasts stay in the declared unit; only what is said changes."""
        for declared, option, choice in _class_choices():
            for fault in [None, *declared.faults]:
                try:
                    written = rehearse(declared, 7, fault=fault.key if fault else "")
                except SheetError:  # a one-mark pipette shows no fault
                    continue
                plain = evaluate(declared, written)
                here = evaluate(declared, _with(written, option, choice.key))
                with self.subTest(method=declared.slug, choice=choice.key, fault=fault and fault.key):
                    self.assertEqual(_judged(here), _judged(plain))
                    self.assertEqual(here.replicates_pass, plain.replicates_pass)

    def test_worked_lines_are_right_in_the_class_s_units(self) -> None:
        """By hand: 0.9627 atm × 0.03736 L / (0.001485 mol × 294.55 K) = 0.0822 L·atm/(mol·K)."""
        at = context_of(method("gas-eudometer"), _with(example_sheet(method("gas-eudometer")), "pressures", "atm"))
        line = next(line for line in explain(at) if line.key == "y" and line.trial == 1)
        self.assertIn("0.9627 atm × 0.03736 L", line.plain)
        self.assertEqual((line.answer.text, line.answer.unit), ("0.0822", "L·atm/(mol·K)"))
        self.assertAlmostEqual(0.9627 * 0.03736 / (0.0361 / 24.305 * 294.55), 0.0822, 4)

    def test_own_answers_are_in_the_class_s_unit_or_the_one_behind_them(self) -> None:
        sheet = example_sheet(method("gas-eudometer"))
        for text, kind in (
            ("0.0823", "right"),
            ("8.34 J/(mol·K)", "right"),
            ("62.54 L·mmHg/(mol·K)", "right"),
            ("8.34", "slip"),
        ):
            evaluation = evaluate(
                method("gas-eudometer"), _with(sheet, "pressures", "atm", Given(own("R_mean").key, text))
            )
            with self.subTest(text=text):
                self.assertEqual(evaluation.own[0].unit, "L·atm/(mol·K)")
                self.assertEqual(evaluation.own[0].agrees, kind == "right", evaluation.own[0].sentence)

    def test_an_accepted_value_stays_in_its_declared_unit(self) -> None:
        """1.6 kcal/g is 6.694 kJ/g, with 4.184 kJ to the thermochemical kilocalorie."""
        food = method("food-calorimetry")
        sheet = example_sheet(food)
        for choice, answer in (("kcal", "1.6 kcal/g"), ("kJ", "6.694 kJ/g")):
            evaluation = evaluate(food, _with(sheet, "energies", choice), {"e": "1.6"})
            compared = next(r.comparison for r in evaluation.results if r.key == "e")
            assert compared is not None
            self.assertIn(answer, compared.sentence)
            self.assertAlmostEqual(compared.percent_error, -3.9, 0)

    def test_what_foretells_a_reading_is_in_the_unit_of_its_scale(self) -> None:
        """36 mL on a tube of 50 mL, where the class works in litres and atmospheres."""
        sheet = Sheet({"pressures": "atm"}, {}, (Given("p_bar", "1005.2"),))
        verdict = judge(method("gas-eudometer"), sheet, Given("m", "0.0349", 1))
        self.assertIn("Volume to be expected 36.0 mL", verdict.text)

    def test_the_rule_of_agreement_is_told_in_the_class_s_unit(self) -> None:
        evaluation = evaluate(method("heat-of-fusion"), _with(example_sheet(method("heat-of-fusion")), "heats", "J"))
        assert evaluation.agreement is not None
        self.assertIn("300 J/mol", evaluation.agreement.why)

    def test_units_that_do_not_go_together_are_refused_when_a_method_is_loaded(self) -> None:
        fusion = method("heat-of-fusion")
        for units, sentence in (
            ({"kJ": "kg"}, "cannot be turned"), ({"furlong": "m"}, "Nothing is declared in furlong"),
            ({"°C": "K"}, "same zero"), ({"kJ": "nonsense"}, "nonsense"),
        ):  # fmt: skip
            option = ChoiceOption("own_units", "Units", (Choice("a", "A"), Choice("b", "B", units=units)), "a")
            problems = problems_of(replace(fusion, options=(*fusion.options, option)))
            with self.subTest(units=units):
                self.assertTrue(any(sentence in problem for problem in problems), problems)
