"""What screens judge without the server: differences of readings that must be above zero.

They are told from the declaration; here each is held against what the engine itself says of the same readings.
"""

from collections.abc import Iterator
from dataclasses import replace
from unittest import TestCase

from chromata_core.declaration.vocabulary import Method
from chromata_core.engine.differences import differences
from chromata_core.methods.registry import methods
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.describe import Difference, parts_out
from chromata_core.telling.evaluate import evaluate


def every_difference() -> Iterator[tuple[Method, Sheet, Difference]]:
    for chosen in methods().values():
        sheet = example_sheet(chosen)
        told = [difference for part in parts_out(bind(chosen, sheet)) for difference in part.differences]
        yield from (
            (chosen, sheet, difference) for index, difference in enumerate(told) if difference not in told[:index]
        )


class Differences(TestCase):
    def test_only_what_a_balance_shows_is_weighed(self) -> None:
        """A burette's readings are a difference of the same form, and no vessel is on the pan."""
        chosen = methods()["back-titration"]
        bound = bind(chosen, example_sheet(chosen))
        self.assertIn("V_a - V_a_start", [quantity.formula for quantity in bound.quantities])
        self.assertEqual(differences(bound), {"m_before": "m_after"})

    def test_the_examples_keep_them(self) -> None:
        for chosen, sheet, difference in every_difference():
            typed = bind(chosen, sheet).typed
            for place in {slot[1:] for slot in typed if slot[0] in difference.plus}:
                signed = ((difference.plus, 1), (difference.minus, -1))
                total = sum(sign * typed[key, *place].value for keys, sign in signed
                            for key in keys if (key, *place) in typed)  # fmt: skip
                with self.subTest(chosen.slug, place=place):
                    self.assertGreater(total, 0)

    def test_swapped_the_engine_says_the_same_sentence(self) -> None:
        swapped = 0
        for chosen, sheet, difference in every_difference():
            other = {difference.plus[0]: difference.minus[0], difference.minus[0]: difference.plus[0]}
            if not all(any(given.key == key for given in sheet.given) for key in other):
                continue
            given = tuple(replace(entry, key=other.get(entry.key, entry.key)) for entry in sheet.given)
            evaluation = evaluate(chosen, replace(sheet, given=given))
            with self.subTest(chosen.slug, sentence=difference.sentence):
                self.assertIn(difference.sentence, [finding.what for finding in evaluation.findings])
            swapped += 1
        self.assertGreaterEqual(swapped, 10)

    def test_a_titration_is_among_them(self) -> None:
        told = {chosen.slug for chosen, _, difference in every_difference() if "V_start" in difference.minus}
        self.assertLessEqual({"acid-base-titration", "standardisation", "back-titration"}, told)
