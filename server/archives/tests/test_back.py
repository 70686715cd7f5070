"""A section saved and brought into an installation that knows nothing of it: nothing is lost, nothing is believed."""

import io
import json
import re
import uuid
import zipfile
from collections.abc import Callable, Mapping
from tempfile import TemporaryDirectory
from typing import Any

from django.apps import apps
from django.db import connection
from django.db.models import ForeignKey

from archives.rows import KINDS
from labs import actions
from labs.models import Bench, Deed, LeftOut, Remark, Session
from labs.tests.described import Described
from labs.tests.room import Room, entry, person, planned, record, signed_in, titrate, unhurried, write
from marking.models import Decision, Marking
from marking.rubrics import chosen_rubric
from notebook.models import Entry, Photo
from notebook.photos import keep_picture
from notebook.tests.test_photos import picture
from people.models import Person, Role, Section
from prelab.models import Answer, LetIn
from reports.build import report_of
from stock.models import Calibration

_PIECE = 700_000


def saved(client: Described, address: str) -> bytes:
    """The archive at an address."""
    answer = client.get(address)
    assert answer.status_code == 200, answer.status_code
    return b"".join(answer.streaming_content)


def sent(client: Described, archive: bytes) -> None:
    """The archive, in pieces."""
    for at in range(0, len(archive), _PIECE):
        answer = client.put(f"/api/archive?at={at}", archive[at : at + _PIECE], "application/octet-stream")
        assert answer.status_code == 200, answer.content


def changed(archive: bytes, change: Callable[[dict[str, Any]], object]) -> bytes:
    """The archive with its rows changed by hand."""
    out, old = io.BytesIO(), zipfile.ZipFile(io.BytesIO(archive))
    with zipfile.ZipFile(out, "w") as new:
        for name in old.namelist():
            body = old.read(name)
            if name == "rows.json":
                rows = json.loads(body)
                change(rows)
                body = json.dumps(rows).encode()
            new.writestr(name, body)
    return out.getvalue()


def emptied() -> None:
    """As another installation: nobody and nothing is here."""
    with connection.cursor() as cursor:
        cursor.execute("set constraints all immediate")
        cursor.execute("truncate people_person, people_section, notebook_photo, experiments_declaration cascade")


def without_keys(rows: Any) -> str:
    """What the rows of an archive say, keys of this or that installation aside."""
    keys = "id|section|session|bench|person|author|by|sample|follows|supersedes"
    return re.sub(rf'"({keys})": ("[\w-]*"|\d+|null)', "", json.dumps(rows, sort_keys=True))


class Archived(Room):
    """A room in which everything happened that can happen, saved."""

    def setUp(self) -> None:
        unhurried(self)
        self.enterContext(self.settings(VAR=self.enterContext(TemporaryDirectory())))
        student, bench = self.as_(self.student), self.bench
        bench.team.add(self.student, self.neighbour)
        titrate(student, bench, ("0.00", "21.54"), ("0.10", "21.62"), ("0.05", "21.61"))
        [first] = [entry for entry in Entry.objects.filter(bench=bench) if entry.text == "21.54"]
        write(student, bench, entry("V_end", "21.56", 1, supersedes=str(first.pk), reason="read from above"))
        write(student, bench, entry("void", "a drop fell beside", 3), entry("note", "the tip dripped"))
        write(student, bench, entry("photo", "the set-up", image=picture((300, 200))))
        write(self.as_(self.assistant), bench, entry("message", "Rinse the tip"))
        Answer.objects.create(session=self.session, person=self.student, task="own-1", text="0.2 M", reason="so")
        LetIn.objects.create(session=self.session, person=self.student, by=self.assistant)
        LeftOut.objects.create(bench=self.other_bench, person=self.instructor, reason="empty")
        Remark.objects.create(
            owner=self.instructor,
            session=self.session,
            method="acid-base-titration",
            step="fill",
            text="Slowly",
            photo=keep_picture(picture((120, 90))),
        )
        Marking.objects.create(session=self.session, rubric=chosen_rubric(self.instructor, 0), released=True)
        Decision.objects.create(bench=bench, kind="records", points=3.5, note="neat", person=self.instructor)
        actions.note(self.session, self.instructor, "opened it")
        self.calibrated = Calibration.objects.create(
            owner=self.instructor, name="Burette 7", base="burette-50-b", source="May",
            points=[{"nominal": 10.0, "actual": 10.02, "u": 0.01}, {"nominal": 40.0, "actual": 40.03, "u": 0.01}],
        )  # fmt: skip
        self.later = planned(self.section)
        Session.objects.filter(pk=self.later.pk).update(
            instruments={"burette": f"own-{self.calibrated.pk}"}, starts_at="2026-03-09T09:00:00Z"
        )
        Session.objects.filter(pk=self.session.pk).update(room="Room 9")
        self.archive = saved(self.as_(self.instructor), f"/api/sections/{self.section.pk}/archive.zip")

    def rows(self, archive: bytes) -> dict[str, Any]:
        unpacked: dict[str, Any] = json.loads(zipfile.ZipFile(io.BytesIO(archive)).read("rows.json"))
        return unpacked

    def elsewhere(self) -> Described:
        """Signed in where nothing of it is known."""
        emptied()
        self.newcomer = person("nora", Role.INSTRUCTOR)
        return signed_in(self.newcomer)

    def brought(self, archive: bytes) -> Section:
        client = self.elsewhere()
        sent(client, archive)
        answer = client.post("/api/archive")
        self.assertEqual(answer.status_code, 201, answer.content)
        return Section.objects.get(pk=answer.json()["sections"][0])

    def first(self, section: Section) -> Bench:
        """The first bench of the session that was held."""
        return Bench.objects.get(session__section=section, session__room="Room 9", number=1)

    def refused(self, client: Described, archive: bytes, status: int, sentence: str) -> None:
        sent(client, archive)
        answer = client.post("/api/archive")
        self.assertEqual(answer.status_code, status, answer.content)
        self.assertIn(sentence, answer.json()["problems"][0])
        self.assertFalse(Section.objects.exists() or Entry.objects.exists() or Photo.objects.exists())


class ComesBackWhole(Archived):
    def test_one_of_an_earlier_release_opens_as_it_was(self) -> None:
        """Without what came later: simulated benches, turns, photos instead of drawings, devices."""

        def earlier(rows: dict[str, Any]) -> None:
            for kind in ("act", "made", "ready"):
                rows.pop(kind)
            for row in (*rows["session"], *rows["remark"], *rows["entry"]):
                for field in ("simulated", "seed", "turns", "pace", "instead", "device"):
                    row.pop(field, None)

        section = self.brought(changed(self.archive, earlier))
        session = self.first(section).session
        self.assertEqual((session.simulated, session.turns, session.pace), ("", {}, 1))
        self.assertEqual([remark.instead for remark in session.remarks.all()], [False])

    def test_every_row_says_what_it_said(self) -> None:
        before = self.rows(self.archive)
        section = self.brought(self.archive)
        client = signed_in(self.newcomer)
        after = self.rows(saved(client, f"/api/sections/{section.pk}/archive.zip"))
        for name in before.keys() - {"people", "session", "deed", "bench", "declarations"}:
            self.assertEqual(without_keys(after[name]), without_keys(before[name]), name)
        self.assertEqual(
            [person["name"] for person in after["people"]][1:], [person["name"] for person in before["people"]]
        )
        self.assertEqual(list(after["declarations"].values()), list(before["declarations"].values()))
        same = [key for key in before["session"][0] if key not in ("state", "closed_at", "stock", "instruments")]
        for old, new in zip(before["session"], after["session"], strict=True):
            for key in same:
                self.assertEqual(without_keys({key: new[key]}), without_keys({key: old[key]}), key)
        self.assertEqual(Photo.objects.count(), 2)
        self.assertEqual(
            [len(reading["team"]) for reading in after["bench"]], [len(reading["team"]) for reading in before["bench"]]
        )

    def test_the_results_and_the_record_are_the_same(self) -> None:
        told = [(line.label, line.value) for line in report_of(self.bench, self.instructor).evaluation.results]
        section = self.brought(self.archive)
        bench = self.first(section)
        report = report_of(bench, self.newcomer)
        self.assertEqual([(line.label, line.value) for line in report.evaluation.results], told)
        self.assertEqual([correction.reason for correction in report.corrections][:1], ["read from above"])
        self.assertEqual(len(report.photos), 1)
        self.assertTrue(report.record.whole, report.record.sentence)
        self.assertIn("as this installation sealed it", report.record.sentence)
        self.assertIn("1 photo", report.record.sentence)

    def test_an_instrument_of_ones_own_comes_along_under_a_name_of_this_installation(self) -> None:
        session = self.brought(self.archive).sessions.get(state="planned")
        mine = Calibration.objects.get(owner=self.newcomer)
        self.assertEqual((mine.name, session.instruments["burette"]), ("Burette 7", f"own-{mine.pk}"))
        self.assertEqual(mine.points, self.calibrated.points)

    def test_nobody_comes_in_with_it(self) -> None:
        """No password, PIN or code is in the file; students get new PINs, the staff of elsewhere is not let in."""
        rows = json.dumps(self.rows(self.archive))
        for secret in (self.section.code, self.student.password, "md5$"):
            self.assertNotIn(secret, rows)
        section = self.brought(self.archive)
        self.assertEqual([person.name for person in section.roster], ["Sami", "Tova"])
        self.assertFalse(any(person.has_usable_password() for person in Person.objects.exclude(pk=self.newcomer.pk)))
        self.assertFalse(Person.objects.exclude(role=Role.STUDENT).exclude(pk=self.newcomer.pk).filter(is_active=True))
        self.assertFalse(Session.objects.filter(state="open").exists())

    def test_an_archive_of_elsewhere_says_so_on_every_record(self) -> None:
        with self.settings(SEAL_KEYS=["another secret"]):
            section = self.brought(self.archive)
            bench = self.first(section)
            self.assertIn("nobody here vouches", record(bench).sentence)

    def test_a_record_that_did_not_hold_does_not_hold_afterwards(self) -> None:
        Entry.objects.filter(bench=self.bench, text="21.62").update(text="21.60")
        broken = saved(self.as_(self.instructor), f"/api/sessions/{self.session.pk}/archive.zip")
        section = self.brought(broken)
        self.assertFalse(record(Bench.objects.get(session__section=section, number=1)).whole)

    def test_a_session_brings_those_it_goes_on_with(self) -> None:
        Session.objects.filter(pk=self.later.pk).update(follows=self.session)
        archive = saved(self.as_(self.instructor), f"/api/sessions/{self.later.pk}/archive.zip")
        section = self.brought(archive)
        last = section.sessions.order_by("starts_at").last()
        assert last is not None and last.follows is not None
        self.assertEqual(last.follows.room, "Room 9")
        self.assertEqual(Deed.objects.filter(what__startswith="brought it in").count(), 2)

    def test_the_years_of_a_method(self) -> None:
        archive = saved(self.as_(self.instructor), "/api/methods/acid-base-titration/archive.zip")
        self.assertEqual(self.brought(archive).sessions.count(), 2)
        self.assertEqual(self.as_(self.newcomer).get("/api/methods/hydrate/archive.zip").status_code, 404)


class Refuses(Archived):
    def test_twice(self) -> None:
        client = self.as_(self.instructor)
        sent(client, self.archive)
        self.assertIn("here already", client.get("/api/archive").json()["problem"])
        self.assertEqual(client.post("/api/archive").status_code, 409)
        other = signed_in(self.stranger)
        sent(other, self.archive)
        self.assertEqual(other.post("/api/archive").status_code, 409)
        self.assertEqual(Section.objects.count(), 1)

    def test_what_is_no_archive(self) -> None:
        out = io.BytesIO()
        with zipfile.ZipFile(out, "w") as file:
            file.writestr("../../etc/passwd", "x")
        client = self.elsewhere()
        for body in (b"", b"no zip", out.getvalue(), self.archive[:-40], self.archive[: len(self.archive) // 2]):
            client.put("/api/archive?at=0", body, "application/octet-stream")
            self.assertEqual(client.get("/api/archive").status_code, 422, body[:20])
            self.assertEqual(client.post("/api/archive").status_code, 422, body[:20])

    def test_what_was_changed_by_hand(self) -> None:
        def put(kind: str, **values: Any) -> Callable[[dict[str, Any]], object]:
            return lambda rows: rows[kind][0].update(values)

        client = self.elsewhere()
        for change in (
            put("entry", key="nothing"), put("entry", text="abc"), put("entry", sequence=7), put("entry", author=999),
            put("entry", bench=999), put("entry", supersedes=str(uuid.uuid4())), put("entry", text="\ud800"),
            put("session", options={"c_t": 7}), put("session", options=[]),
            put("session", method="nothing", declared=""), put("session", stock={"own-1": {}}),
            put("session", own_work={"lines": [[1]]}), put("session", title="x" * 500), put("session", minutes=10**30),
            put("session", prelab={"odd": 1}), put("session", comparison={"label": "x"}),
            put("session", follows=None, state="odd"), put("people", name=""), put("people", name="=1+1"),
            put("marking", rubric={}), put("bench", number="x"), put("decision", points="many"),
            lambda rows: rows.update(session=None), lambda rows: rows["session"].append([]),
            lambda rows: rows.update(declarations={}), lambda rows: rows.update(sections=[]),
        ):  # fmt: skip
            with self.subTest(change=change):
                self.refused(client, changed(self.archive, change), 422, "no archive")

    def test_a_change_by_hand_that_could_have_been_written_is_not_vouched_for(self) -> None:
        def better(rows: dict[str, Any]) -> None:
            next(row for row in rows["entry"] if row["text"] == "21.62")["text"] = "21.57"

        section = self.brought(changed(self.archive, better))
        bench = self.first(section)
        self.assertIn("nobody here vouches", record(bench).sentence)

    def test_a_photo_that_is_not_the_one_that_was_sealed_is_missed(self) -> None:
        kept = Photo.objects.get(pk=Entry.objects.exclude(photo="").get().photo)
        out, old = io.BytesIO(), zipfile.ZipFile(io.BytesIO(self.archive))
        with zipfile.ZipFile(out, "w") as new:
            for name in old.namelist():
                new.writestr(name, b"other bytes" if kept.hash in name else old.read(name))
        bench = self.first(self.brought(out.getvalue()))
        self.assertFalse(Photo.objects.filter(pk=kept.pk).exists())
        self.assertIn("missing", record(bench).sentence)

    def test_pieces_that_do_not_follow_and_people_who_may_not(self) -> None:
        client = self.as_(self.instructor)
        self.assertEqual(client.put("/api/archive?at=5000", b"x", "application/octet-stream").status_code, 409)
        self.assertEqual(client.put("/api/archive?at=0", b"x" * 2_000_001, "application/octet-stream").status_code, 413)
        self.assertEqual(client.put("/api/archive?at=99999999", b"x", "application/octet-stream").status_code, 409)
        for who in (self.student, self.assistant):
            outsider = self.as_(who)
            self.assertEqual(outsider.put("/api/archive?at=0", b"x", "application/octet-stream").status_code, 403)
            self.assertEqual(outsider.get(f"/api/sections/{self.section.pk}/archive.zip").status_code, 403)
            self.assertEqual(outsider.get(f"/api/sessions/{self.session.pk}/archive.zip").status_code, 403)
        stranger = self.as_(self.stranger)
        self.assertEqual(stranger.get(f"/api/sections/{self.section.pk}/archive.zip").status_code, 404)


class NothingIsForgotten(Room):
    """A new model that hangs on a session must be put into the archive, or named here with the reason why not."""

    LEFT_OUT: Mapping[str, str] = {
        "Section": "made anew, with a code of its own", "Person": "made anew, without a PIN",
        "Link": "lets somebody in", "Token": "lets a program in", "Experiment": "sessions carry their declaration",
        "Calibration": "sessions carry their instruments", "Solution": "belongs to a stockroom of elsewhere",
        "OwnInstrument": "sessions carry their instruments", "KeptRubric": "sessions carry theirs",
        "Skill": "practice belongs to who practises",
    }  # fmt: skip

    def test_every_model_that_hangs_on_people_or_sessions(self) -> None:
        hung = {
            model.__name__ for model in apps.get_models() if not model.__module__.startswith("django.")
            for field in model._meta.get_fields()
            if isinstance(field, ForeignKey) and field.related_model in (Section, Person, Session, Bench)
        }  # fmt: skip
        self.assertEqual(hung - {kind.model.__name__ for kind in KINDS} - self.LEFT_OUT.keys(), set())
