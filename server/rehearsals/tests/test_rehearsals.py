"""Simulated sessions: made from another, played by a made-up class, marked as what they are, thrown away."""

import json
from datetime import timedelta
from io import BytesIO
from statistics import median
from typing import Any
from unittest.mock import patch

from django.utils import timezone
from openpyxl import load_workbook
from pypdf import PdfReader

from chromata_core.sheet.sheet_file import read_sheet
from labs.actions import plan_session
from labs.models import Bench, Session
from labs.remarks import last_held
from labs.teams import deal_teams
from labs.tests.room import TRUE, Room, entry, evaluated, planned, record, unhurried, write
from notebook.models import Entry
from people.models import Person, Section
from rehearsals import working
from rehearsals.actions import play, rehearse_class


class Simulated(Room):
    def setUp(self) -> None:
        unhurried(self)

    def post(self, who: Person, path: str, **body: Any) -> tuple[int, Any]:
        response = self.as_(who).post(f"/api/{path}", body, "application/json")
        return response.status_code, response.json() if response.content else None

    def delete(self, who: Person, session: Session) -> int:
        return self.as_(who).delete(f"/api/sessions/{session.pk}/simulated").status_code


class MadeUpClass(Simulated):
    def rehearsed(self, minutes: int = 240, benches: int = 3) -> Session:
        with patch("rehearsals.actions.secrets.randbelow", return_value=7):  # a class in which somebody corrects
            session = rehearse_class(self.session, self.instructor, benches, minutes)
        for bench in session.benches.all():
            play(bench)
        return session

    def test_its_instructor_makes_one_and_plays_it_bench_by_bench(self) -> None:
        status, told = self.post(self.instructor, f"sessions/{self.session.pk}/rehearsed", benches=2, minutes=240)
        self.assertEqual((status, told["card"]["simulated"], len(told["benches"])), (201, "class", 2))
        for place in told["benches"]:
            status, played = self.post(self.instructor, f"benches/{place['id']}/played")
            self.assertEqual(status, 200)
            self.assertGreater(played["written"], 15)
            bench = Bench.objects.get(pk=place["id"])
            self.assertEqual((record(bench).whole, bench.length), (True, played["written"]))
            self.assertEqual(self.post(self.instructor, f"benches/{place['id']}/played"), (200, {"written": 0}))
        self.assertEqual(self.as_(self.instructor).get(f"/api/sessions/{told['card']['id']}/floor").status_code, 200)

    def test_what_it_finds_is_what_the_sample_holds(self) -> None:
        """Faults and slips stay with some; the middle bench finds the hidden value within its uncertainty."""
        Session.objects.filter(pk=self.session.pk).update(options={"c_t": "0.1026", "dilution": "5"})
        self.session.refresh_from_db()
        session = self.rehearsed(benches=9)
        results = [evaluated(bench).results[0] for bench in session.benches.select_related("session", "sample")]
        middle = median(result.value for result in results)
        self.assertAlmostEqual(middle, float(TRUE), delta=results[0].expanded)

    def test_nothing_is_written_that_is_still_to_come(self) -> None:
        early, late = self.rehearsed(minutes=25), self.rehearsed(minutes=240)
        self.assertLess(Entry.objects.filter(bench__session=early).count() * 2,
                        Entry.objects.filter(bench__session=late).count())  # fmt: skip
        latest = Entry.objects.filter(bench__session=early).order_by("-written_at").first()
        assert latest is not None
        self.assertLessEqual(latest.written_at, timezone.now() + timedelta(seconds=1))

    def test_a_class_goes_on_as_time_does(self) -> None:
        """Asked for again later, it has written more; nothing twice, and the record holds."""
        session = self.rehearsed(minutes=25, benches=1)
        bench = session.benches.get()
        before = bench.entries.count()
        Session.objects.filter(pk=session.pk).update(opened_at=session.opened_at - timedelta(minutes=60))
        bench = Bench.objects.get(pk=bench.pk)
        self.assertGreater(play(bench), 3)
        after = bench.entries.count()
        self.assertGreater(after, before + 3)
        self.assertEqual((play(bench), bench.entries.count()), (0, after))
        self.assertTrue(record(bench).whole)

    def test_each_of_several_samples_is_played(self) -> None:
        samples = [{"name": name, "accepted": {"c_s": TRUE}} for name in ("A", "B")]
        session = plan_session(self.section, "acid-base-titration", "Two", "", timezone.now(), 90,
                               {"dilution": "5"}, {}, 1, samples, all_samples=True)  # fmt: skip
        rehearsed = rehearse_class(session, self.instructor, 1, 240)
        first = rehearsed.benches.order_by("turn").first()
        assert first is not None
        self.assertEqual(self.post(self.instructor, f"benches/{first.pk}/played")[0], 200)
        self.assertEqual([bench.length > 10 for bench in rehearsed.benches.all()], [True, True])

    def test_made_up_people_are_in_nobodys_section(self) -> None:
        before = set(self.section.roster.values_list("pk", flat=True))
        session = self.rehearsed(benches=3)
        self.assertEqual(set(self.section.roster.values_list("pk", flat=True)), before)
        self.assertTrue(session.section.archived)
        self.assertEqual(session.roster.count(), 6)
        self.rehearsed(benches=2)
        self.assertEqual(Section.objects.filter(owner=self.instructor).count(), 2)

    def test_it_is_no_part_of_the_methods_history(self) -> None:
        session = self.rehearsed()
        history = self.as_(self.instructor).get("/api/methods/acid-base-titration/history").json()
        self.assertNotIn(session.pk, [session["id"] for session in history["sessions"]])

    def test_nothing_real_goes_on_with_it(self) -> None:
        """No place of last time, no lesson of last time, no bottle in the stockroom, no later session builds on it."""
        status, told = self.post(self.instructor, f"sessions/{self.session.pk}/worked", students=[self.student.pk])
        worked = Session.objects.get(pk=told["card"]["id"])
        self.post(self.instructor, f"sessions/{worked.pk}/state", action="close")
        self.assertNotEqual(last_held(planned(self.section)), worked)
        later = planned(self.section)
        deal_teams(later, "last")
        self.assertEqual({bench.number for bench in later.benches.filter(team__isnull=False)}, {1, 2})
        self.assertEqual(self.post(self.instructor, f"benches/{worked.benches.get().pk}/store", name="Acid")[0], 409)
        plan = {"section": self.section.pk, "method": "back-titration", "title": "After", "benches": 2,
                "starts_at": "2026-12-01T09:00:00Z", "follows": worked.pk}  # fmt: skip
        status, later_plan = self.post(self.instructor, "sessions", **plan)
        self.assertEqual(status, 422)
        self.assertIn("nothing real", later_plan["problems"][0])

    def test_it_is_closed_and_marked_like_any_other(self) -> None:
        session = self.rehearsed()
        status, _ = self.post(self.instructor, f"sessions/{session.pk}/state", action="close")
        self.assertEqual(status, 200)
        client = self.as_(self.instructor)
        self.assertEqual(client.get(f"/api/sessions/{session.pk}/class").status_code, 200)
        bench = session.benches.first()
        assert bench is not None
        self.assertEqual(client.get(f"/api/benches/{bench.pk}/report").status_code, 200)

    def test_papers_and_files_say_that_it_is_simulated(self) -> None:
        bench = self.rehearsed(benches=1).benches.get()
        client, path = self.as_(self.instructor), f"/api/benches/{bench.pk}/files"
        paper = PdfReader(BytesIO(client.get(f"{path}/report.pdf").content)).pages[0].extract_text()
        self.assertIn("Simulated: nobody measured this in a laboratory.", paper)
        data = client.get(f"{path}/data.json").json()
        self.assertEqual(data["simulated"], "class")
        readings = client.get(f"{path}/readings.csv").content.decode()
        self.assertTrue(readings.startswith("# simulated,class"))
        self.assertEqual(read_sheet(readings).method, self.session.method, "and the command line reads it")
        self.assertIn("simulated", client.get(f"{path}/results.csv").content.decode().splitlines()[0])
        self.assertTrue(read_sheet(json.dumps(data)).sheet.given)  # and the command line still reads it
        book = load_workbook(BytesIO(client.get(f"{path}/workbook.xlsx").content))
        self.assertIn("simulated", str([cell.value for cell in next(iter(book))[2]]))
        held = self.as_(self.instructor).get(f"/api/benches/{self.bench.pk}/files/data.json").json()
        self.assertNotIn("simulated", held)

    def test_only_its_instructor(self) -> None:
        path = f"sessions/{self.session.pk}/rehearsed"
        asked = {"benches": 2, "minutes": 60}
        self.assertEqual(self.post(self.assistant, path, **asked)[0], 403)
        self.assertEqual(self.post(self.student, path, **asked)[0], 403)
        self.assertEqual(self.post(self.stranger, path, **asked)[0], 404)
        self.assertEqual(self.post(self.instructor, path, benches=4000, minutes=60)[0], 400)
        bench = self.rehearsed(benches=1).benches.get()
        self.assertEqual(self.post(self.student, f"benches/{bench.pk}/played")[0], 404)

    def test_nothing_is_written_by_itself_where_people_work(self) -> None:
        self.assertEqual(self.post(self.instructor, f"benches/{self.bench.pk}/played")[0], 409)
        self.assertFalse(self.bench.entries.exists())

    def test_it_is_thrown_away_and_a_held_one_is_not(self) -> None:
        session = self.rehearsed(benches=9)
        self.assertTrue(Entry.objects.filter(bench__session=session, supersedes__isnull=False).exists())
        self.assertEqual(self.delete(self.instructor, self.session), 409)
        self.assertEqual(self.delete(self.assistant, session), 404)
        self.assertEqual(self.delete(self.instructor, session), 204)
        self.assertFalse(Entry.objects.filter(bench__session=session.pk).exists())
        self.assertTrue(Session.objects.filter(pk=self.session.pk).exists())


class Worked(Simulated):
    def test_a_student_who_missed_it_has_a_bench_of_their_own(self) -> None:
        path = f"sessions/{self.session.pk}/worked"
        status, told = self.post(self.instructor, path, students=[self.neighbour.pk])
        self.assertEqual((status, told["card"]["simulated"]), (201, "worked"))
        bench = Bench.objects.get(session=told["card"]["id"])
        self.assertEqual(list(bench.team.all()), [self.neighbour])
        self.assertEqual(self.as_(self.neighbour).get(f"/api/benches/{bench.pk}").status_code, 200)
        self.assertEqual(self.as_(self.student).get(f"/api/benches/{bench.pk}").status_code, 404)
        self.assertEqual(self.post(self.instructor, path, students=[self.stranger.pk])[0], 422)

    def test_what_a_student_wrote_is_not_thrown_away(self) -> None:
        _, told = self.post(self.instructor, f"sessions/{self.session.pk}/worked", students=[self.neighbour.pk])
        session = Session.objects.get(pk=told["card"]["id"])
        write(self.as_(self.neighbour), session.benches.get(), entry("V_s", "20.00"))
        self.assertEqual(self.delete(self.instructor, session), 409)

    def test_waits_pass_as_fast_as_was_chosen(self) -> None:
        """Half a minute for the colour to hold is 3 s when time runs ten times as fast; any other pace is refused."""
        path = f"sessions/{self.session.pk}/worked"
        waits = {}
        for pace in (1, 10):
            _, answer = self.post(self.instructor, path, pace=pace)
            told = self.as_(self.instructor).get(f"/api/benches/{answer['benches'][0]['id']}").json()
            step = next(step for step in told["evaluation"]["steps"] if step["key"] == "run")
            waits[pace] = (step["wait_seconds"], "10 times as fast" in step["wait_label"])
        self.assertEqual(waits, {1: (30, False), 10: (3, True)})
        for wrong in (0, 7, -1, 10**9, "fast"):
            self.assertEqual(self.post(self.instructor, path, pace=wrong)[0], 400)

    def test_a_dry_run_is_the_instructors_alone(self) -> None:
        _, told = self.post(self.instructor, f"sessions/{self.session.pk}/worked")
        session = Session.objects.get(pk=told["card"]["id"])
        self.assertFalse(session.benches.filter(team__isnull=False).exists())
        kept = write(self.as_(self.instructor), session.benches.get(), entry("V_s", "20.00"))
        self.assertTrue(kept[0]["kept"])
        self.assertEqual(self.delete(self.instructor, session), 204)


class OnTheScreen(Simulated):
    """Acts are kept like a record: in order, once, and what they lead to follows from them."""

    def setUp(self) -> None:
        super().setUp()
        _, told = self.post(self.instructor, f"sessions/{self.session.pk}/worked", students=[self.neighbour.pk])
        self.bench = Bench.objects.get(session=told["card"]["id"])
        write(self.as_(self.neighbour), self.bench, entry("step.labels", "done"))

    def act(self, number: object, do: str, who: Person | None = None, **wanted: Any) -> tuple[int, Any]:
        return self.post(who or self.neighbour, f"benches/{self.bench.pk}/worked", number=number, do=do, **wanted)

    def seen(self, **wanted: Any) -> Any:
        return self.as_(self.neighbour).get(f"/api/benches/{self.bench.pk}/worked", wanted).json()

    def test_one_thing_after_the_other(self) -> None:
        self.assertEqual([control["key"] for control in self.seen()["view"]["controls"]], ["fill"])
        status, after = self.act(1, "fill")
        self.assertEqual((status, after["done"]), (200, 1))
        self.assertIn("waste", [control["key"] for control in after["view"]["controls"]])
        self.assertEqual(self.seen(), after)

    def test_it_is_the_same_bench_in_another_process(self) -> None:
        for number, do in enumerate(("fill", "waste", "drip", "drip"), 1):
            _, last = self.act(number, do)
        working._left.clear()
        self.assertEqual(self.seen(), last)

    def test_sent_twice_it_is_done_once_and_two_tabs_do_not_undo_each_other(self) -> None:
        self.act(1, "fill")
        _, again = self.act(1, "fill")
        self.assertEqual((again["done"], self.bench.acts.count()), (1, 1))
        self.act(2, "waste")
        self.assertEqual(self.act(2, "drip")[0], 409)
        self.assertEqual(self.act(9, "drip")[0], 409)

    def test_another_task_than_the_next_is_worked_at_too(self) -> None:
        """The sample's volume is a later task than the burette's filling; what is no task is what comes next."""
        self.assertIn("pipette", self.seen(key="V_s")["view"]["title"])
        status, after = self.act(1, "draw", key="V_s")
        self.assertEqual((status, after["view"]["controls"][0]["key"]), (200, "sink"))
        self.assertIn("burette", self.seen(key="nothing", trial=99)["view"]["title"])
        bad = self.as_(self.neighbour).get(f"/api/benches/{self.bench.pk}/worked", {"trial": "x"})
        self.assertEqual(bad.status_code, 400)

    def test_nothing_but_what_can_be_done(self) -> None:
        for number, do in ((1, "explode"), (1, ""), (1, "x" * 200), (0, "fill"), (-1, "fill"), ("no", "fill")):
            self.assertIn(self.act(number, do)[0], (400, 422))
        self.assertFalse(self.bench.acts.exists())

    def test_only_who_works_there(self) -> None:
        self.assertEqual(self.act(1, "fill", self.student)[0], 404)
        self.assertEqual(self.act(1, "fill", self.instructor)[0], 200)
        other = self.session.benches.first()
        assert other is not None
        self.assertEqual(self.as_(self.instructor).get(f"/api/benches/{other.pk}/worked").status_code, 409)

    def test_a_closed_session_stands_still(self) -> None:
        self.act(1, "fill")
        self.post(self.instructor, f"sessions/{self.bench.session_id}/state", action="close")
        self.assertEqual(self.act(2, "waste")[0], 409)
        self.assertEqual(self.seen()["done"], 1)
