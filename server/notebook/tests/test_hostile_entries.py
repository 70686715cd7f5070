"""A hostile student at the record: entries that point where they must not, ids used twice, floods, broken batches."""

import time
import uuid
from concurrent.futures import ThreadPoolExecutor
from typing import Any

from django.db import connection
from django.test import TransactionTestCase

from labs.seals import seal_end
from labs.tests.room import Furnished, Room, entry, furnish, record, signed_in, write
from notebook.models import Entry
from notebook.seals import seal_entry


class Pointing(Room):
    """``supersedes`` names what stands in that very place, or nothing."""

    def setUp(self) -> None:
        self.client_ = self.as_(self.student)
        self.first = entry("V_start", "0.24", 1)
        write(self.client_, self.bench, self.first)

    def refused(self, sent: dict[str, Any]) -> str:
        kept = write(self.client_, self.bench, sent)[0]
        self.assertFalse(kept["kept"], sent)
        return str(kept["problem"])

    def test_no_kind_of_entry_points_at_itself_another_kind_or_another_bench(self) -> None:
        theirs = entry("V_start", "9.99", 1)
        write(self.as_(self.neighbour), self.other_bench, theirs)
        kinds = (("step.labels", "done", None), ("timer.run", "begun", 1), ("own.c_s", "0.1", None),
                 ("answer.1", "x", None), ("note", "x", None), ("call", "x", None), ("V_start", "0.25", 1))  # fmt: skip
        for key, text, trial in kinds:
            itself = str(uuid.uuid4())
            for target in (itself, self.first["id"], theirs["id"], str(uuid.uuid4())):
                if (key, target) == ("V_start", self.first["id"]):
                    continue  # the one correction that is right
                with self.subTest(key, target=target):
                    self.refused({**entry(key, text, trial, supersedes=target, reason="x"), "id": itself})
        right = entry("V_start", "0.25", 1, supersedes=self.first["id"], reason="Misread")
        self.assertTrue(write(self.client_, self.bench, right)[0]["kept"])

    def test_a_chain_that_is_broken_already_hangs_nobody_and_shows_nothing_of_others(self) -> None:
        """As an earlier release would have kept them: one that points at itself, one at another bench."""
        theirs = entry("V_start", "9.99", 1)
        write(self.as_(self.neighbour), self.other_bench, theirs)
        for key, target in (("step.labels", None), ("own.c_s", theirs["id"]), ("answer.1", self.first["id"])):
            self.force(key, target)
        began = time.perf_counter()
        view = self.client_.get(f"/api/benches/{self.bench.pk}").json()
        self.assertLess(time.perf_counter() - began, 5)
        self.assertEqual([entry["old"] for entry in view["entries"]], [[], [], [], []])
        for name in ("report", "files/report.pdf", "files/readings.csv", "files/data.json", "entries"):
            answer = self.client_.get(f"/api/benches/{self.bench.pk}/{name}")
            self.assertEqual(answer.status_code, 200)
            if name != "files/report.pdf":
                self.assertNotIn("9.99", answer.content.decode())
        right = entry("V_start", "0.25", 1, supersedes=self.first["id"], reason="Misread")
        self.assertTrue(write(self.client_, self.bench, right)[0]["kept"])

    def force(self, key: str, target: str | None) -> None:
        last = self.bench.entries.order_by("-sequence")[0]
        entry = Entry(
            id=uuid.uuid4(), bench=self.bench, sequence=last.sequence + 1, key=key, text="1", author=self.student,
            written_at=last.written_at, received_at=last.received_at, previous_hash=last.hash,
        )  # fmt: skip
        entry.supersedes_id = target or entry.id
        seal_entry(entry)
        entry.save(force_insert=True)
        self.bench.length, self.bench.head = entry.sequence, entry.hash
        seal_end(self.bench)
        self.bench.save()


class Batches(Room):
    def setUp(self) -> None:
        self.client_ = self.as_(self.student)

    def test_one_malformed_draft_does_not_take_the_others_with_it(self) -> None:
        odd: list[Any] = [{**entry("V_s", "20.00"), "written_at": "yesterday"}, {"id": "x" * 5000}, 7, None, [], {}]
        odd.append({**entry("note", "x" * 5000)})
        sent = [entry("V_s", "20.00"), *odd, entry("V_start", "0.24", 1)]
        answers = write(self.client_, self.bench, *sent)
        self.assertEqual([kept["kept"] for kept in answers], [True, *[False] * len(odd), True])
        self.assertEqual(answers[0]["id"], sent[0]["id"])
        self.assertTrue(all(kept["problem"].endswith(".") for kept in answers if not kept["kept"]))
        self.assertEqual(self.bench.entries.count(), 2)

    def test_the_same_id_with_other_content_is_told(self) -> None:
        first = entry("V_start", "0.24", 1)
        write(self.client_, self.bench, first)
        for other in ({**first, "text": "0.42"}, {**first, "key": "V_end"}, {**first, "trial": 2}):
            kept = write(self.client_, self.bench, other)[0]
            self.assertFalse(kept["kept"])
            self.assertIn("belongs to something else", kept["problem"])
        both = [entry("note", "one"), entry("note", "two")]
        both[1]["id"] = both[0]["id"]
        self.assertEqual([k["kept"] for k in write(self.client_, self.bench, *both)], [True, False])

    def test_lists_are_refused_by_their_length(self) -> None:
        address = f"/api/benches/{self.bench.pk}/entries"
        began = time.perf_counter()
        answer = self.client_.post(address, '{"entries":[' + "1," * 1_200_000 + "1]}", "application/json")
        self.assertEqual(answer.status_code, 400)
        self.assertIn("too many", answer.json()["problems"][0])
        huge = self.client_.post(address, '{"entries":[' + "1," * 5_000_000 + "1]}", "application/json")
        self.assertEqual(huge.status_code, 413)
        teams = f"/api/sessions/{self.session.pk}/teams"
        many = self.as_(self.instructor).put(teams, '{"places":[' + "1," * 90_000 + "1]}", "application/json")
        self.assertEqual(many.status_code, 400)
        self.assertLess(time.perf_counter() - began, 8)  # 200 s before

    def test_a_bench_takes_so_many_notes_and_the_staff_can_still_answer(self) -> None:
        for _ in range(3):
            write(self.client_, self.bench, *(entry("note", "x" * 1000) for _ in range(100)))
        self.assertEqual(self.bench.entries.count(), 200)
        kept = write(self.client_, self.bench, entry("call", "Help"))[0]
        self.assertIn("Tell your instructor by word", kept["problem"])
        self.assertTrue(write(self.as_(self.instructor), self.bench, entry("message", "Stop that."))[0]["kept"])
        self.assertTrue(write(self.client_, self.bench, entry("V_s", "20.00"))[0]["kept"])
        view = self.client_.get(f"/api/benches/{self.bench.pk}")
        self.assertLess(len(view.content), 400_000)


class Trying(Room):
    """A reading that is being typed reaches neither an evaluator nor a limitless loop."""

    def test_a_tower_of_powers_as_a_unit_is_answered_at_once(self) -> None:
        began = time.perf_counter()
        for text in ("1 mL^9^9^9", "1 mL**9**9**9**9", "1 " + "mL·" * 900, "1 (" * 900, "9" * 3999):
            sent = {"key": "V_start", "text": text, "trial": 1}
            answer = self.as_(self.student).post(f"/api/benches/{self.bench.pk}/try", sent, "application/json")
            self.assertEqual((answer.status_code, answer.json()["level"]), (200, "stop"))
            self.assertFalse(write(self.as_(self.student), self.bench, entry("V_start", text, 1))[0]["kept"])
        self.assertLess(time.perf_counter() - began, 5)

    def test_who_asks_without_end_is_told_to_wait_and_the_others_are_not(self) -> None:
        client = self.as_(self.student)
        answers = [client.get(f"/api/benches/{self.bench.pk}/files/results.csv") for _ in range(70)]
        self.assertEqual({answer.status_code for answer in answers}, {200, 429})
        self.assertLessEqual(int(answers[-1].headers["Retry-After"]), 60)
        self.assertIn("Wait", answers[-1].json()["problems"][0])
        self.assertEqual(self.as_(self.neighbour).get(f"/api/benches/{self.other_bench.pk}/report").status_code, 200)


class AtOnce(Furnished, TransactionTestCase):
    """Requests that arrive in the same moment."""

    def setUp(self) -> None:
        furnish(self)

    def test_the_same_id_on_two_benches_is_kept_once_and_no_500(self) -> None:
        places = [(signed_in(self.student), self.bench), (signed_in(self.neighbour), self.other_bench)]
        for _ in range(6):
            sent = entry("note", "Same")

            def send(place: tuple[Any, Any], sent: dict[str, Any] = sent) -> bool:
                kept = write(*place, sent)[0]["kept"]
                connection.close()
                return bool(kept)

            with ThreadPoolExecutor(2) as pool:
                self.assertEqual(sorted(pool.map(send, places)), [False, True])
        self.assertTrue(record(self.bench).whole and record(self.other_bench).whole)
