"""The record: added to, never overwritten; sent twice, kept once; corrected with a reason; sealed against change."""

from concurrent.futures import ThreadPoolExecutor
from typing import Any

from django.db import connection
from django.test import TransactionTestCase

from labs.models import Bench
from labs.tests.room import Furnished, Room, entry, furnish, record, signed_in, write
from notebook.models import Entry
from notebook.remembered import entries_now
from people.models import Person


class Writing(Room):
    def setUp(self) -> None:
        self.client_ = self.as_(self.student)

    def bench_now(self) -> Any:
        return self.client_.get(f"/api/benches/{self.bench.pk}").json()

    def test_sending_twice_keeps_once(self) -> None:
        batch = [entry("V_s", "20.00"), entry("V_start", "0.24", 1)]
        for _ in range(3):
            self.assertTrue(all(kept["kept"] for kept in write(self.client_, self.bench, *batch)))
        self.assertEqual(self.bench.entries.count(), 2)

    def test_an_id_of_another_bench_is_refused(self) -> None:
        sent = entry("V_s", "20.00")
        write(self.client_, self.bench, sent)
        kept = write(self.as_(self.neighbour), self.other_bench, sent)[0]
        self.assertFalse(kept["kept"])
        self.assertIn("belongs to something else", kept["problem"])

    def test_a_taken_place_is_only_corrected_with_a_reason(self) -> None:
        first = entry("V_start", "0.24", 1)
        write(self.client_, self.bench, first)
        kept = write(
            self.client_, self.bench,
            entry("V_start", "0.42", 1),
            entry("V_start", "0.42", 1, supersedes=first["id"]),
            entry("V_start", "0.42", 1, supersedes=first["id"], reason="Digits swapped"),
        )  # fmt: skip
        self.assertEqual([entry["kept"] for entry in kept], [False, False, True])
        self.assertIn("0.24 is written there already", kept[0]["problem"])
        self.assertIn("why", kept[1]["problem"])
        here = next(entry for entry in self.bench_now()["entries"] if entry["key"] == "V_start")
        self.assertEqual((here["text"], here["old"]), ("0.42", ["0.24"]))
        self.assertEqual([e.text for e in self.bench.entries.all()], ["0.24", "0.42"])

    def test_two_devices_correcting_the_same_reading_do_not_undo_each_other(self) -> None:
        first = entry("V_start", "0.24", 1)
        write(self.client_, self.bench, first)
        both = [entry("V_start", text, 1, supersedes=first["id"], reason="Misread") for text in ("0.25", "0.26")]
        kept = write(self.client_, self.bench, *both)
        self.assertEqual([k["kept"] for k in kept], [True, False])
        self.assertIn("in the meantime", kept[1]["problem"])

    def test_a_wrong_reading_changes_nothing_and_the_rest_of_the_batch_is_kept(self) -> None:
        kept = write(
            self.client_, self.bench, entry("V_s", "20.00"), entry("V_start", "abc", 1), entry("V_end", "99.00", 1),
            entry("V_start", "0.24", 1),
        )  # fmt: skip
        self.assertEqual([k["kept"] for k in kept], [True, False, False, True])
        self.assertTrue(all(k["problem"].endswith(".") for k in kept if not k["kept"]))
        self.assertEqual(self.bench.entries.count(), 2)

    def test_a_draft_is_judged_without_being_written(self) -> None:
        asked = {"key": "V_start", "text": "24.5", "trial": 1}
        answer = self.client_.post(f"/api/benches/{self.bench.pk}/try", asked, "application/json").json()
        self.assertEqual((answer["level"], answer["suggest"]), ("look", "24.50"))
        self.assertEqual(self.bench.entries.count(), 0)

    def test_a_clock_ahead_of_the_server_is_not_believed(self) -> None:
        write(self.client_, self.bench, entry("V_s", "20.00") | {"written_at": "2099-01-01T00:00:00Z"})
        kept = self.bench.entries.get()
        self.assertLessEqual(kept.written_at, kept.received_at)

    def test_notes_and_calls_do_not_touch_the_sheet(self) -> None:
        write(self.client_, self.bench, entry("note", "Turned pale"), entry("call", "Come"))
        self.assertEqual(self.bench_now()["entries"], [])


class TwoDevicesAtOnce(Furnished, TransactionTestCase):
    """Entries of two devices that arrive in the same moment form one chain."""

    def setUp(self) -> None:
        furnish(self)

    def test_one_chain(self) -> None:
        clients = [signed_in(self.student), signed_in(self.instructor)]

        def send(number: int) -> None:
            write(clients[number % 2], self.bench, entry("note", f"Note {number}"))
            connection.close()

        with ThreadPoolExecutor(4) as pool:
            list(pool.map(send, range(12)))
        entries = list(self.bench.entries.all())
        self.assertEqual([e.sequence for e in entries], list(range(1, 13)))
        self.assertTrue(record(self.bench).whole)


class Remembered(Furnished, TransactionTestCase):
    """What a process keeps of a bench after a write, so that nothing is read twice."""

    def setUp(self) -> None:
        furnish(self)

    def test_it_is_what_stands_and_keeps_no_request(self) -> None:
        write(signed_in(self.student), self.bench, entry("V_s", "20.00"), entry("V_start", "0.24", 1))
        bench = Bench.objects.get(pk=self.bench.pk)
        with self.assertNumQueries(0):
            kept = entries_now([bench])[bench.pk]
        there = list(bench.entries.select_related("author"))
        fields = [field.attname for field in Entry._meta.concrete_fields]
        for first, other in zip(kept, there, strict=True):
            self.assertEqual([getattr(first, f) for f in fields], [getattr(other, f) for f in fields])
            self.assertIs(type(first.author), Person)  # a lazy stand-in would hold the request that made it
