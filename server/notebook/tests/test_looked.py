"""What one process has found of a bench the others take over, and nothing that no longer stands."""

import pickle
from pathlib import Path
from unittest.mock import patch

from django.conf import settings

from chromata_core.methods.registry import methods
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.evaluate import evaluate
from labs.models import Bench
from labs.tests.room import Room, entry, write
from notebook import looked
from notebook.desks import Desk, desks


def in_another_process(bench: Bench) -> Desk:
    """As a process finds it that has never looked at this bench."""
    looked._kept.clear()
    looked._looked.cache_clear()
    return desks([Bench.objects.select_related("session__section", "sample").get(pk=bench.pk)])[0]


class Shared(Room):
    def setUp(self) -> None:
        super().setUp()
        write(self.as_(self.student), self.bench, entry("V_s", "20.00"))

    def test_another_process_takes_it_over_and_computes_the_sheet_when_it_is_asked_for(self) -> None:
        first = in_another_process(self.bench)
        with patch("notebook.looked.told_of", side_effect=AssertionError("computed again")):
            second = in_another_process(self.bench)
        self.assertEqual(second.state, first.state)
        self.assertEqual(second.at.bound.typed, first.at.bound.typed)

    def test_what_was_told_before_the_last_entry_is_not_taken(self) -> None:
        before = in_another_process(self.bench)
        write(self.as_(self.student), self.bench, entry("V_start", "0.20", 1))
        self.assertNotEqual(in_another_process(self.bench).state, before.state)

    def test_a_damaged_file_or_a_full_disk_cost_time_only(self) -> None:
        first = in_another_process(self.bench)
        files = list(Path(settings.CACHES["told"]["LOCATION"]).glob("*.djcache"))
        self.assertTrue(files)
        for file in files:
            file.write_bytes(file.read_bytes()[:-20])
        self.assertEqual(in_another_process(self.bench).state, first.state)
        for problem in (AttributeError("of another release"), ImportError("gone"), IndexError(), EOFError()):
            with patch.object(looked._told, "get", side_effect=problem):
                self.assertEqual(in_another_process(self.bench).state, first.state)
        with patch.object(looked._told, "set", side_effect=OSError("No space left on device")):
            write(self.as_(self.student), self.bench, entry("V_start", "0.20", 1))
            with self.assertLogs("notebook.looked", "WARNING"):
                in_another_process(self.bench)

    def test_what_any_method_tells_can_be_told_on(self) -> None:
        for declared in methods().values():
            with self.subTest(declared.slug):
                told = evaluate(declared, example_sheet(declared))
                self.assertEqual(pickle.loads(pickle.dumps(told)), told)
