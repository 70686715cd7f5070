"""The record's end is guarded: whatever is done to it behind the application's back shows, and stays shown."""

import hashlib
from collections.abc import Callable
from io import StringIO

from django.core.management import CommandError, call_command
from django.test import override_settings

from labs.models import Bench
from labs.seals import seal_end
from labs.tests.room import Room, entry, record, titrate, write
from notebook.models import Entry
from notebook.seals import seal_entry


class Guarded(Room):
    def setUp(self) -> None:
        titrate(self.as_(self.student), self.bench, ("0.24", "21.78"), ("0.10", "21.64"))
        self.last = self.bench.entries.count()

    def entries(self) -> "list[Entry]":
        return list(self.bench.entries.order_by("sequence"))

    def cut(self, keep: int) -> None:
        Entry.objects.filter(bench=self.bench, sequence__gt=keep).delete()

    def cut_and_patched(self, keep: int) -> None:
        """As somebody would who knows the tables, but not the server's secret."""
        self.cut(keep)
        left = self.bench.entries.order_by("-sequence").first()
        Bench.objects.filter(pk=self.bench.pk).update(length=keep, head=left.hash if left else "")

    def recomputed(self) -> None:
        """The whole chain made anew with another key, the bench's own seal too."""
        with override_settings(SEAL_KEYS=["guess"]):
            before = ""
            for entry in self.entries():
                if entry.key == "V_end":
                    entry.text = "20.00"
                entry.previous_hash = before
                seal_entry(entry)
                before = entry.hash
                entry.save()
            self.bench.length, self.bench.head = self.last, before
            seal_end(self.bench)
            self.bench.save()

    def test_whatever_is_done_to_the_record_shows(self) -> None:
        plain = hashlib.sha256(b"x").hexdigest()
        harms: dict[str, Callable[[], object]] = {
            "last entry gone": lambda: self.cut(self.last - 1),
            "last half gone": lambda: self.cut(3),
            "all gone": lambda: self.cut(0),
            "last gone, bench patched": lambda: self.cut_and_patched(self.last - 1),
            "all gone, bench patched": lambda: self.cut_and_patched(0),
            "one in the middle gone": lambda: self.bench.entries.filter(sequence=2).delete(),
            "a text changed": lambda: self.bench.entries.filter(sequence=3).update(text="overshot"),
            "a seal changed": lambda: self.bench.entries.filter(sequence=3).update(hash=plain),
            "recomputed whole": self.recomputed,
            "the bench's seal gone": lambda: Bench.objects.filter(pk=self.bench.pk).update(seal=""),
        }
        self.assertTrue(record(self.bench).whole)
        for name, harm in harms.items():
            with self.subTest(name):
                kept = (self.entries(), Bench.objects.get(pk=self.bench.pk))
                harm()
                self.assertFalse(record(self.bench).whole)
                report = self.as_(self.student).get(f"/api/benches/{self.bench.pk}/report").json()
                self.assertFalse(report["record"]["whole"])
                # What is written after does not heal it.
                self.assertTrue(write(self.as_(self.student), self.bench, entry("note", "And on"))[0]["kept"])
                self.assertFalse(record(self.bench).whole)
                with self.assertRaisesRegex(CommandError, "1 do not hold"):
                    call_command("verify_records", stdout=StringIO())
                self.restore(*kept)
                self.assertTrue(record(self.bench).whole)

    def restore(self, entries: "list[Entry]", bench: Bench) -> None:
        self.bench.entries.all().delete()
        Entry.objects.bulk_create(entries)
        bench.save()

    def test_the_report_says_what_was_verified(self) -> None:
        record = self.as_(self.student).get(f"/api/benches/{self.bench.pk}/report").json()["record"]
        self.assertEqual((record["entries"], record["whole"]), (7, True))
        self.assertIn("All 7 entries stand as they were sealed, from the first to the last", record["sentence"])
        self.assertEqual(record["number"], self.entries()[-1].hash[:12])

    def test_the_command_verifies_the_whole_database(self) -> None:
        out = StringIO()
        call_command("verify_records", stdout=out)
        self.assertEqual(out.getvalue().strip(), "2 records with 7 entries and 0 photos were verified; 0 do not hold.")

    def test_a_new_secret_is_put_in_front_and_the_old_one_still_verifies(self) -> None:
        with override_settings(SEAL_KEYS=["new", *self.keys()]):
            self.assertTrue(record(self.bench).whole)
            write(self.as_(self.student), self.bench, entry("note", "Under the new one"))
            self.assertTrue(record(self.bench).whole)
        with override_settings(SEAL_KEYS=["new"]):
            self.assertFalse(record(self.bench).whole)

    @staticmethod
    def keys() -> list[str]:
        from django.conf import settings

        return list(settings.SEAL_KEYS)

    def test_what_was_computed_does_not_outlive_its_entries(self) -> None:
        client = self.as_(self.instructor)
        floor = f"/api/sessions/{self.session.pk}/floor"
        before = client.get(floor)
        self.assertIsNotNone(before.json()["benches"][0]["value"])
        self.cut(0)
        now = client.get(floor, headers={"If-None-Match": before.headers["ETag"]})
        self.assertEqual(now.status_code, 200)
        self.assertIsNone(now.json()["benches"][0]["value"])
        self.assertEqual(client.get(f"/api/benches/{self.bench.pk}").json()["evaluation"]["results"], [])
