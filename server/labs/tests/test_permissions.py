"""Who reaches what: a student only their own bench, staff only their own sections, nobody a hidden value too early."""

import io
import zipfile
from typing import Any

from pypdf import PdfReader

from labs import actions
from labs.tests.described import Described
from labs.tests.room import TRUE, Room, entry, planned, titrate
from people.models import Person


def reads(bench: int, session: int) -> list[str]:
    """Every address that can be read."""
    return [
        "/api/me", "/api/sections", "/api/methods", "/api/methods/acid-base-titration", "/api/instruments",
        "/api/choices",
        "/api/sessions", f"/api/sessions/{session}", f"/api/sessions/{session}/floor",
        f"/api/sessions/{session}/floor?projector=true", "/api/benches", f"/api/benches/{bench}",
        f"/api/benches/{bench}/entries", f"/api/benches/{bench}/report",
        *(f"/api/benches/{bench}/files/{name}" for name in ("readings.csv", "results.csv", "data.json", "report.pdf")),
    ]  # fmt: skip


def said(answer: Any) -> str:
    """Everything an answer says, a PDF's text and all that is in an archive included."""
    return _text(b"".join(answer.streaming_content) if answer.streaming else answer.content)


def _text(body: bytes) -> str:
    if body.startswith(b"%PDF"):
        return " ".join(page.extract_text() for page in PdfReader(io.BytesIO(body)).pages)
    if body.startswith(b"PK"):
        file = zipfile.ZipFile(io.BytesIO(body))
        return " ".join(_text(file.read(name)) for name in file.namelist())
    return body.decode()


class Reach(Room):
    def statuses(self, client: Described, bench: int) -> dict[str, int]:
        return {address: client.get(address).status_code for address in reads(bench, self.session.pk)}

    def of_bench(self, statuses: dict[str, int]) -> set[int]:
        return {status for address, status in statuses.items() if "/benches/" in address}

    def test_nobody_signed_in_reaches_nothing(self) -> None:
        statuses = self.statuses(Described(), self.bench.pk)
        self.assertEqual(statuses.pop("/api/me"), 204)
        self.assertEqual(set(statuses.values()), {403})

    def test_a_student_reaches_their_own_bench_and_no_other(self) -> None:
        client = self.as_(self.student)
        self.assertEqual(self.of_bench(self.statuses(client, self.bench.pk)), {200})
        self.assertEqual(self.of_bench(self.statuses(client, self.other_bench.pk)), {404})
        self.assertEqual(client.get(f"/api/sessions/{self.session.pk}").status_code, 403)
        self.assertEqual(client.get(f"/api/sessions/{self.session.pk}/floor").status_code, 403)
        self.assertEqual(client.get("/api/sessions").json(), [])
        self.assertEqual([b["id"] for b in client.get("/api/benches").json()], [self.bench.pk])

    def test_a_student_writes_at_their_own_bench_and_no_other(self) -> None:
        client = self.as_(self.student)
        body = {"entries": [entry("V_s", "20.00")]}
        for verb in ("entries", "try"):
            sent = body if verb == "entries" else {"key": "V_s", "text": "20.00"}
            self.assertEqual(
                client.post(f"/api/benches/{self.other_bench.pk}/{verb}", sent, "application/json").status_code, 404
            )
        self.assertEqual(self.other_bench.entries.count(), 0)

    def test_another_instructor_reaches_nothing_of_this_section(self) -> None:
        client = self.as_(self.stranger)
        self.assertEqual(self.of_bench(self.statuses(client, self.bench.pk)), {404})
        self.assertEqual(client.get(f"/api/sessions/{self.session.pk}/floor").status_code, 404)
        state = {"action": "close"}
        address = f"/api/sessions/{self.session.pk}/state"
        self.assertEqual(client.post(address, state, "application/json").status_code, 404)

    def test_an_assistant_shares_the_floor_but_does_not_plan_open_or_release(self) -> None:
        client = self.as_(self.assistant)
        self.assertEqual(client.get(f"/api/sessions/{self.session.pk}/floor").status_code, 200)
        for action in ("open", "close", "release"):
            answer = client.post(f"/api/sessions/{self.session.pk}/state", {"action": action}, "application/json")
            self.assertEqual(answer.status_code, 403)
        plan = {
            "method": "hydrate",
            "section": self.section.pk,
            "title": "x",
            "benches": 1,
            "starts_at": "2026-03-02T09:00Z",
        }
        self.assertEqual(client.post("/api/sessions", plan, "application/json").status_code, 403)

    def test_a_planned_session_is_not_there_for_students(self) -> None:
        session = planned(self.section)
        bench = session.benches.get(number=1)
        self.assertEqual(self.as_(self.student).get(f"/api/benches/{bench.pk}").status_code, 404)


class Hidden(Room):
    """The true value is in no answer that a student can get before release, whatever the address."""

    def leaks(self, who: Person) -> list[str]:
        client = self.as_(who)
        leaks = []
        for bench in (self.bench.pk, self.other_bench.pk):
            for address in reads(bench, self.session.pk):
                body = said(client.get(address))
                leaks += [address] if TRUE in body or '"comparison":{' in body else []
        return sorted(set(leaks))

    def setUp(self) -> None:
        titrate(self.as_(self.student), self.bench, ("0.24", "21.78"), ("0.10", "21.64"))

    def test_no_student_and_no_assistant_sees_it_before_release(self) -> None:
        self.assertEqual(self.leaks(self.student), [])
        self.assertEqual(self.leaks(self.assistant), [])

    def test_the_instructor_sees_it_so_the_test_can_fail(self) -> None:
        leaks = self.leaks(self.instructor)
        for place in ("", "/report", "/files/report.pdf", "/files/data.json"):
            self.assertIn(f"/api/benches/{self.bench.pk}{place}", leaks)

    def test_the_projector_shows_neither_names_nor_the_hidden_band(self) -> None:
        client = self.as_(self.instructor)
        address = f"/api/sessions/{self.session.pk}/floor"
        shown, projected = client.get(address).json(), client.get(f"{address}?projector=true").json()
        self.assertEqual(shown["benches"][0]["band"]["centre"], "accepted")
        self.assertEqual(projected["benches"][0]["band"]["centre"], "median")
        self.assertEqual([bench["team"] for bench in projected["benches"]], [[], []])
        self.assertEqual(projected["needs"], [])

    def test_everyone_at_the_bench_sees_it_once_released(self) -> None:
        actions.close_session(self.session)
        actions.release_session(self.session)
        report = self.as_(self.student).get(f"/api/benches/{self.bench.pk}/report").json()
        self.assertEqual(report["evaluation"]["results"][0]["comparison"]["accepted"], TRUE)
