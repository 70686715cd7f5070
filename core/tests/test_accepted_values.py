"""Accepted values held against an evaluation afterwards give what they give when it is made with them."""

from unittest import TestCase

from chromata_core.errors import SheetError
from chromata_core.methods.registry import method, methods
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.evaluate import evaluate, held_against


class HeldAgainst(TestCase):
    def test_afterwards_as_from_the_beginning(self) -> None:
        compared = 0
        for chosen in methods().values():
            sheet = example_sheet(chosen)
            plain = evaluate(chosen, sheet)
            may = {quantity.key for quantity in chosen.quantities if quantity.accepted and quantity.result}
            accepted = {result.key: f"{result.value * 1.02:.4g}" for result in plain.results if result.key in may}
            with self.subTest(chosen.slug):
                self.assertEqual(held_against(chosen, plain, accepted), evaluate(chosen, sheet, accepted))
            compared += len(accepted)
        self.assertGreater(compared, 20)

    def test_what_has_none_is_refused(self) -> None:
        chosen = method("acid-base-titration")
        with self.assertRaises(SheetError):
            held_against(chosen, evaluate(chosen, example_sheet(chosen)), {"V": "20.1"})
