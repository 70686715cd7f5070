"""Words and units around a number: what is measured is named, what cannot be is said, zero is a right answer."""

import json
import re
from dataclasses import asdict, replace
from unittest import TestCase

from chromata_core.engine.context import context_of
from chromata_core.errors import DeclarationError, SheetError
from chromata_core.loading.load import load
from chromata_core.methods.registry import method, methods
from chromata_core.planning.predict import predict
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.sheet.sheet_file import read_sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.explain import explain
from chromata_core.telling.judge import judge
from tests.sheets import titration


class Said(TestCase):
    def test_agreement_names_its_measure(self) -> None:
        """21.54 and 21.69 differ by 0.69 %; their relative average deviation is half of it."""
        sheet = titration(("0.00", "21.54"), ("0.10", "21.79"), rough=None, options={"agreement": "rad"})
        agreed = evaluate(method("acid-base-titration"), sheet).agreement
        assert agreed
        self.assertEqual(agreed.what, "Two agree: relative average deviation 0.35 %.")

    def test_ten_degrees_are_worked_in_kelvin_on_paper_too(self) -> None:
        lines = explain(context_of(method("rate-temperature"), example_sheet(method("rate-temperature"))))
        line = next(line.plain for line in lines if line.plain.startswith("Q₁₀"))
        self.assertIn("1 / 293.15 K", line)

    def test_a_logarithm_of_one_is_zero_in_data_too(self) -> None:
        values = [
            q.value for t in evaluate(method("nernst"), example_sheet(method("nernst"))).trials for q in t.quantities
        ]
        self.assertFalse([value for value in values if 0 < abs(value) < 1e-50])

    def test_zero_is_a_right_answer_where_nothing_differs(self) -> None:
        """A difference of 0.0 ± 1.0 %, answered 0.0 %: right to the last written digit."""
        given = (Given("zero", "zero"), Given("E", "1.104", 1), Given("own.d", "0.0 %", 1))
        outcome = evaluate(method("voltaic-cells"), Sheet({"cells": "Cu; Zn"}, {}, given))
        self.assertEqual(next(r for r in outcome.results if r.key == "d").shown.text, "0.0")
        [answer] = outcome.own
        self.assertEqual((answer.kind, answer.agrees), ("right", True))

    def test_a_reading_is_judged_with_the_instruments_of_its_session(self) -> None:
        point = {"nominal": 20.0, "actual": 20.031, "u": 0.002}
        own = {"base": "pipette-20-a", "name": "Pipette 7", "source": "weighed", "points": [point]}
        stock = read_sheet(json.dumps({"calibrations": {"own-1": own}})).sheet.stock
        sheet = Sheet({"rough_trial": "no"}, {"pipette": "own-1"}, (Given("V_s", "20.00"),), stock)
        verdict = judge(method("acid-base-titration"), sheet, Given("V_start", "0.24", 1))
        self.assertEqual((verdict.level, verdict.refused), ("keep", False))

    def test_digits_of_another_unit_are_not_the_instrument_s(self) -> None:
        """30.02 inHg on a barometer in millibar: converted, and not told to have too many decimals."""
        gas = method("gas-eudometer")
        given = tuple(g for g in example_sheet(gas).given if g.key != "p_bar")
        outcome = evaluate(gas, replace(example_sheet(gas), given=(Given("p_bar", "29.81 inHg"), *given)))
        self.assertEqual([f.code for f in outcome.findings if f.key == "p_bar"], [])

    def test_a_reading_cannot_take_a_name_of_the_record(self) -> None:
        hydrate = method("hydrate")
        first = replace(hydrate.readings[0], key="note")
        with self.assertRaisesRegex(DeclarationError, "meaning of its own in every record"):
            load(replace(hydrate, readings=(first, *hydrate.readings[1:])))

    def test_unlike_ribbons_are_no_scatter_of_a_plan(self) -> None:
        told = predict(method("gas-eudometer"), Sheet({"question": "m"}), 8)
        self.assertLess(float(told.relative.strip("± %")), 3)  # 20 % when the example's two ribbons were two unknowns
        aim = next(target for target in told.supplies.targets if target.label.startswith("Ribbon"))
        self.assertLess(float(aim.text.split()[0]), 0.04)  # what its own hint asks

    def test_a_space_stands_between_a_number_and_its_percent(self) -> None:
        """NIST Guide SP 811, 7.10.2; in all that is said of every worked example."""
        for chosen in methods().values():
            told = json.dumps(asdict(evaluate(chosen, example_sheet(chosen))), ensure_ascii=False)
            with self.subTest(chosen.slug):
                self.assertEqual(re.findall(r"[^\"]{0,20}\d%[^\"]{0,20}", told), [])
                self.assertIn("\u00a0%", told)

    def test_why_a_result_is_not_there(self) -> None:
        curve = method("potentiometric-titration")
        whole = example_sheet(curve)
        short = tuple(g for g in whole.given if g.trial == 1 and (g.index or 0) < 9)
        told = " ".join(evaluate(curve, replace(whole, given=short)).absent)
        self.assertIn("the jump is not passed", told)
        with self.assertRaises(SheetError):
            evaluate(curve, replace(whole, options={"nothing": "x"}))
