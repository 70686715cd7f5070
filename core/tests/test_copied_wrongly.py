"""Answers worked from one reading copied wrongly, or from one trial alone: made by working the altered sheet itself."""

from dataclasses import replace
from itertools import pairwise
from unittest import TestCase

from chromata_core.declaration.vocabulary import Method, Reading, Series
from chromata_core.engine.context import Context, context_of
from chromata_core.errors import ChromataError
from chromata_core.methods.registry import method
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.typed import parse_reading
from chromata_core.sheet.bound import Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.results import result_places
from chromata_core.tracing.diagnose import diagnose

_METHODS = ("acid-base-titration", "standardisation", "back-titration", "gas-eudometer", "food-calorimetry", "hydrate")


def _swapped(text: str) -> list[str]:
    digits = [at for at, sign in enumerate(text) if sign.isdigit()]
    pairs = [(a, b) for a, b in pairwise(digits) if text[a] != text[b]]
    return [text[:a] + text[b] + text[a + 1 : b] + text[a] + text[b + 1 :] for a, b in pairs]


def _altered(declared: Method, sheet: Sheet) -> list[Context]:
    """The sheet with one plain reading copied wrongly, for each pair of digits that its instrument can show so."""
    plain = {r.key for r in declared.readings if isinstance(r, Reading) and not isinstance(r, Series)}
    changed = []
    for place, entry in enumerate(sheet.given):
        for wrong in _swapped(entry.text) if entry.key in plain else ():
            given = (*sheet.given[:place], replace(entry, text=wrong), *sheet.given[place + 1 :])
            try:
                changed.append(context_of(declared, replace(sheet, given=given)))
            except ChromataError:  # no instrument shows it
                continue
    return changed


class CopiedWrongly(TestCase):
    def test_two_digits_that_changed_places_are_found(self) -> None:
        """Where the wrong reading moves the result at all and does not stop its trial from counting."""
        named = tried = 0
        for slug in _METHODS:
            declared = method(slug)
            at = context_of(declared, example_sheet(declared))
            quantity, trial = result_places(at)[0]
            right = at.value(quantity.key, trial)
            assert right is not None
            for other in _altered(declared, example_sheet(declared)):
                value = other.value(quantity.key, trial)
                if value is None or other.computed.counted != at.computed.counted or abs(value / right - 1) < 2e-3:
                    continue
                tried += 1
                answer = parse_reading(with_figures(value, 5).replace("−", "-"))
                named += diagnose(at, quantity, answer, None, trial).kind == "slip"
        self.assertGreater(tried, 60)
        self.assertGreaterEqual(named / tried, 0.8)

    def test_it_says_which_reading(self) -> None:
        """18.47 copied as 18.74: (18.52 + 18.31) / 2 of 0.1026 mol/L on 20.00 mL, malic acid, five times diluted."""
        declared = method("acid-base-titration")
        at = context_of(declared, example_sheet(declared))
        titre = ((18.74 - 0.22) + (19.36 - 1.05)) / 2
        answer = parse_reading(f"{0.1026 * titre * 5 / (2 * 20.00):.5f}")
        diagnosis = diagnose(at, at.quantity("c_s"), answer)
        self.assertEqual(diagnosis.slips, ("transposed", "transposed"), "19.63 for 19.36 moves the mean as far")
        self.assertIn(
            "“burette, end”, trial 1, is taken as 18.74 instead of 18.47: two digits changed", diagnosis.sentence
        )
        self.assertIn("or if “burette, end”, trial 2, is taken as 19.63 instead of 19.36", diagnosis.sentence)

    def test_one_trial_for_the_mean(self) -> None:
        """60.4 mL warmed by 27.7 K, of 1.07 g: 1.5636 kcal/g in the first trial, 1.54 in the mean of both."""
        declared = method("food-calorimetry")
        at = context_of(declared, example_sheet(declared))
        diagnosis = diagnose(at, at.quantity("e"), parse_reading(f"{0.0604 * 27.7 / 1.07:.4f}"))
        self.assertEqual(diagnosis.slips, ("one-trial",))
        self.assertIn("alone is used instead of the mean", diagnosis.sentence)

    def test_a_number_that_early_rounding_explains_is_no_misreading(self) -> None:
        """Within a quarter per cent of what is right: nobody is told of digits that may have changed places."""
        declared = method("gas-eudometer")
        at = context_of(declared, example_sheet(declared))
        right = at.value("R_mean", None) or 0
        for off in (0.999, 1.0005, 1.002):
            self.assertIn(
                diagnose(at, at.quantity("R_mean"), parse_reading(f"{right * off:.4f}")).kind, ("right", "rounded")
            )
