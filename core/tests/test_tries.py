"""A planned trial that was rejected is made again: its value, its pair, its place in the plan."""

import unittest
from dataclasses import replace

from chromata_core.engine.context import context_of
from chromata_core.methods.registry import method as method_called
from chromata_core.methods.registry import methods
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.storing import StoredCalibration, to_store


def with_void(slug: str, trial: int, again: bool = False) -> tuple[Sheet, int]:
    """The worked example with one trial rejected, and, if ``again``, made once more with the same readings."""
    method = method_called(slug)
    sheet = example_sheet(method)
    planned = context_of(method, sheet).bound.planned or 0
    given = [*sheet.given, Given("void", "spilled", trial)]
    if again:
        given += [replace(given, trial=trial + planned) for given in sheet.given if given.trial == trial]
    return replace(sheet, given=tuple(given)), planned


PLANNED = [method.slug for method in methods().values() if method.trials.each]


class Again(unittest.TestCase):
    def test_the_rejected_one_is_asked_for_next_with_its_own_value(self) -> None:
        for slug in PLANNED:
            with self.subTest(slug):
                method = method_called(slug)
                sheet, planned = with_void(slug, 1)
                hand = next(task for task in evaluate(method, sheet).tasks if task.trial not in (None, 1))
                self.assertEqual((hand.trial, hand.done), (1 + planned, False))
                self.assertTrue(hand.title.endswith(f"{method.trials.noun.lower()} 1, try 2"), hand.title)
                self.assertFalse(evaluate(method, sheet).replicates_pass)

    def test_made_again_it_gives_what_the_first_gave(self) -> None:
        for slug in PLANNED:
            with self.subTest(slug):
                method = method_called(slug)
                sheet, planned = with_void(slug, 1, again=True)
                before, after = evaluate(method, example_sheet(method)), evaluate(method, sheet)
                asked = {(r.key, r.trial): r.line for r in after.results}
                for result in before.results:
                    place = result.trial + planned if result.trial == 1 else result.trial
                    self.assertEqual(asked[(result.key, place)], result.line)
                self.assertEqual(after.hand.kind, before.hand.kind)

    def test_after_the_third_try_nothing_more_is_asked(self) -> None:
        method = method_called("nernst")
        sheet, planned = with_void("nernst", 1)
        voids = tuple(Given("void", "again", 1 + planned * n) for n in (1, 2))
        marks = tuple(
            replace(given, trial=1 + planned * n) for n in (1, 2) for given in sheet.given if given.trial == 1
        )
        tasks = evaluate(method, replace(sheet, given=(*sheet.given, *marks, *voids))).tasks
        self.assertEqual(max(task.trial or 0 for task in tasks), 1 + 2 * planned)

    def test_a_pair_shows_its_last_try(self) -> None:
        method = method_called("voltaic-cells")
        sheet, planned = with_void("voltaic-cells", 1, again=True)
        square = evaluate(method, sheet).charts[0].square
        assert square is not None
        measured = [cell for cell in square.cells if not cell.expected]
        self.assertEqual((measured[0].trial, measured[0].void), (1 + planned, False))
        self.assertEqual(len(measured), planned)

    def test_a_calibration_is_stored_by_its_plan(self) -> None:
        method = method_called("volumetric-calibration")
        sheet, _ = with_void("volumetric-calibration", 1, again=True)
        stored = to_store(context_of(method, sheet))
        assert isinstance(stored, StoredCalibration)
        nominal = [point.nominal for point in stored.points]
        self.assertEqual(nominal, sorted(nominal))
