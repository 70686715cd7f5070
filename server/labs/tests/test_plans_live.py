"""Plans that change: edited by two, used again, cancelled, deleted, opened again, made longer; and the log of it."""

from typing import Any

from labs.models import Deed, Session
from labs.tests.room import TRUE, Room, entry, planned, record, titrate, write
from people.models import Person, Role, Section

JSON = "application/json"


class Plans(Room):
    def setUp(self) -> None:
        self.plan = planned(self.section)
        self.address = f"/api/sessions/{self.plan.pk}"

    def body(self, **changed: Any) -> dict[str, Any]:
        return {
            "section": self.section.pk, "method": "acid-base-titration", "title": "Bottles", "room": "Room 1",
            "starts_at": "2026-03-09T09:00", "minutes": 90, "benches": 2, "revision": 0,
            "options": {"c_t": "0.1026", "rough_trial": "no"},
            "samples": [{"name": "Bottle", "accepted": {"c_s": TRUE}}],
            **changed,
        }  # fmt: skip

    def put(self, who: Person | None = None, **changed: Any) -> Any:
        return self.as_(who or self.instructor).put(self.address, self.body(**changed), JSON)

    def act(self, action: str, session: Session | None = None, who: Person | None = None) -> Any:
        address = f"/api/sessions/{(session or self.plan).pk}/state"
        return self.as_(who or self.instructor).post(address, {"action": action}, JSON)

    def log(self, session: Session | None = None) -> list[str]:
        log = self.as_(self.instructor).get(f"/api/sessions/{(session or self.plan).pk}").json()["log"]
        return [f"{line['who']} {line['what']}" for line in reversed(log)]

    def test_a_plan_is_changed_until_it_opens(self) -> None:
        changed = self.put(title="Flasks", benches=3, options={"c_t": "0.1111"}).json()
        self.assertEqual((changed["card"]["title"], changed["card"]["benches"]), ("Flasks", 3))
        self.assertEqual((changed["draft"]["options"], changed["draft"]["revision"]), ({"c_t": "0.1111"}, 1))
        self.assertEqual([len(bench["team"]) for bench in changed["benches"]], [1, 1, 0], "teams stay where they were")
        fewer = self.put(benches=1, revision=1).json()
        self.assertEqual([student["bench"] for student in fewer["students"]], [1, None])
        self.act("open")
        self.assertEqual(self.put(revision=2).status_code, 409)
        self.assertEqual(self.log(), ["Ines changed the plan"] * 2 + ["Ines opened it"])

    def test_of_two_people_the_second_is_told(self) -> None:
        self.assertEqual(self.put(title="First").status_code, 200)
        second = self.put(title="Second")
        self.assertEqual(second.status_code, 409)
        self.assertIn("in the meantime", second.json()["problems"][0])
        self.plan.refresh_from_db()
        self.assertEqual(self.plan.title, "First")

    def test_what_does_not_fit_changes_nothing(self) -> None:
        for wrong in (
            {"options": {"c_t": "5 kg"}}, {"method": "alchemy"}, {"section": 999},
            {"samples": [{"name": "x", "accepted": {"c_s": "?"}}]},
        ):  # fmt: skip
            self.assertEqual(self.put(title="Broken", **wrong).status_code, 422, wrong)
        self.plan.refresh_from_db()
        self.assertEqual((self.plan.title, self.plan.revision, self.plan.samples.count()), ("Bottles", 0, 1))

    def test_only_its_own_instructor(self) -> None:
        for who in (self.assistant, self.stranger, self.student):
            self.assertIn(self.put(who).status_code, (403, 404))
            self.assertIn(self.as_(who).delete(self.address).status_code, (403, 404))
            self.assertIn(self.act("cancel", who=who).status_code, (403, 404))

    def test_moved_to_another_section_its_people_come_along(self) -> None:
        other = Section.objects.create(name="Other", term="T", code="OTHER2", owner=self.instructor)
        Person.objects.create(username="new", name="New One", section=other)
        moved = self.put(section=other.pk).json()
        self.assertEqual([bench["team"] for bench in moved["benches"]], [["New One"], []])
        archived = Section.objects.create(name="Old", term="T", code="OLDOL2", owner=self.instructor, archived=True)
        self.assertEqual(self.put(section=archived.pk, revision=1).status_code, 422)

    def test_cancelled_taken_up_deleted(self) -> None:
        self.assertEqual(self.act("cancel").json()["state"], "cancelled")
        self.assertEqual(self.act("open").status_code, 409)
        self.assertEqual(self.act("take_up").json()["state"], "planned")
        self.assertEqual(self.as_(self.instructor).delete(self.address).status_code, 204)
        self.assertEqual(self.as_(self.instructor).get(self.address).status_code, 404)
        self.assertIn("deleted the plan “Bottles”", Deed.objects.latest("pk").what)
        held = self.as_(self.instructor).delete(f"/api/sessions/{self.session.pk}")
        self.assertIn("its record stays", held.json()["problems"][0])

    def test_opened_again_the_record_goes_on(self) -> None:
        self.act("close", self.session)
        self.act("release", self.session)
        self.assertIn("released", self.act("reopen", self.session).json()["problems"][0])
        self.act("take_back", self.session)
        self.assertEqual(self.act("reopen", self.session).json()["state"], "open")
        titrate(self.as_(self.student), self.bench, ("0.24", "21.78"))
        self.assertTrue(record(self.bench).whole)
        self.assertEqual(self.act("open", self.session).status_code, 409, "a session is opened once")

    def test_a_session_is_made_longer(self) -> None:
        address = f"/api/sessions/{self.session.pk}/minutes"
        self.assertEqual(self.as_(self.instructor).put(address, {"minutes": 135}, JSON).json()["minutes"], 135)
        self.assertEqual(self.as_(self.instructor).put(address, {"minutes": 5}, JSON).status_code, 400)
        self.act("close", self.session)
        self.assertEqual(self.as_(self.instructor).put(address, {"minutes": 150}, JSON).status_code, 409)

    def test_who_is_absent_gets_no_bench_and_says_so(self) -> None:
        def put(**place: Any) -> dict[str, Any]:
            body = {"places": [{"person": self.student.pk, **place}]}
            plan = self.as_(self.instructor).put(f"{self.address}/teams", body, JSON).json()
            return next(student for student in plan["students"] if student["id"] == self.student.pk)

        gone = put(bench=None, absent=True)
        self.assertEqual((gone["bench"], gone["absent"]), (None, True))
        dealt = self.as_(self.instructor).post(f"{self.address}/teams/deal", {"how": "names"}, JSON).json()
        self.assertNotIn("Sami", str(dealt["benches"]))
        here = put(bench=2, absent=True)
        self.assertEqual((here["bench"], here["absent"]), (2, False), "who has a bench is here")
        self.assertEqual(self.log()[0], "Ines marked absent: Sami")

    def test_teams_are_dealt(self) -> None:
        def deal(how: str) -> list[list[str]]:
            answer = self.as_(self.instructor).post(f"{self.address}/teams/deal", {"how": how}, JSON)
            return [bench["team"] for bench in answer.json()["benches"]]

        swapped = [{"person": self.student.pk, "bench": 2}, {"person": self.neighbour.pk, "bench": 1}]
        self.as_(self.instructor).put(f"/api/sessions/{self.session.pk}/teams", {"places": swapped}, JSON)
        Person.objects.create(username="late", name="Late", section=self.section)
        self.assertEqual(deal("names"), [["Late", "Tova"], ["Sami"]])
        self.assertEqual(deal("last"), [["Late", "Tova"], ["Sami"]])
        begun = self.as_(self.instructor).post(f"/api/sessions/{self.session.pk}/teams/deal", {"how": "lot"}, JSON)
        self.assertEqual(begun.status_code, 409, "nobody loses their bench at a touch")
        drawn = {str(deal("lot")) for _ in range(30)}
        self.assertGreater(len(drawn), 1)
        self.assertIn("Ines put at bench 2: Sami", self.log(self.session))

    def test_by_size_as_few_benches_as_it_takes(self) -> None:
        def deal(size: int) -> Any:
            body = {"how": "names", "size": size}
            return self.as_(self.instructor).post(f"{self.address}/teams/deal", body, JSON).json()

        self.assertEqual([bench["team"] for bench in deal(2)["benches"]], [["Sami", "Tova"], []])
        for name in ("Una", "Vito"):
            Person.objects.create(username=name, name=name, section=self.section)
        self.assertEqual([bench["team"] for bench in deal(3)["benches"]], [["Sami", "Una"], ["Tova", "Vito"]])
        self.assertEqual(deal(1)["problems"], ["4 people at 1 a bench need 4 benches; this session has 2."])
        self.assertIn("Ines spread the teams in order of names, 3 at a bench", self.log())

    def test_two_sections_in_one_session(self) -> None:
        other = Section.objects.create(name="Night", term="T", code="NIGHT2", owner=self.instructor)
        helper = Person.objects.create(username="hal", name="Hal", role=Role.ASSISTANT)
        other.assistants.add(helper)
        guest = Person.objects.create(username="gast", name="Gast", section=other)
        foreign = Section.objects.create(name="Foreign", term="T", code="FOREI2", owner=self.stranger)
        self.assertEqual(self.put(guests=[foreign.pk]).status_code, 422)
        self.assertEqual(self.as_(helper).get(self.address).status_code, 404)
        joint = self.put(guests=[other.pk, other.pk, self.section.pk]).json()
        self.assertEqual((joint["card"]["section"], joint["draft"]["guests"]), ("Group and Night", [other.pk]))
        self.assertEqual([bench["team"] for bench in joint["benches"]], [["Gast", "Tova"], ["Sami"]])
        self.assertEqual(self.as_(helper).get(self.address).status_code, 200, "who assists there helps here")
        self.assertEqual(self.as_(helper).delete(self.address).status_code, 403)
        self.act("open")
        place = self.plan.benches.get(number=1)
        self.assertEqual(self.as_(guest).get(f"/api/benches/{place.pk}").json()["team"], ["Gast", "Tova"])
        self.assertEqual(self.as_(helper).get(f"/api/benches/{place.pk}").status_code, 200)

    def test_questions_of_ones_own(self) -> None:
        asked = ["What would you do otherwise?", "Which reading do you trust least?"]
        self.assertEqual(self.put(questions=asked).json()["draft"]["questions"], asked)
        for wrong in (["x" * 301], ["?"] * 9, [" "]):
            self.assertEqual(self.put(questions=wrong, revision=1).status_code, 400, wrong)
        self.act("open")
        bench = self.plan.benches.get(number=1)
        student = self.as_(self.student)
        view = student.get(f"/api/benches/{bench.pk}").json()
        tasks = [task["key"] for task in view["evaluation"]["tasks"] if task["kind"] == "answer"]
        self.assertEqual((view["questions"], tasks), (asked, ["answer.1", "answer.2"]))
        third, first = write(student, bench, entry("answer.3", "no such"), entry("answer.1", "Swirl longer."))
        self.assertEqual((third["kept"], first["kept"]), (False, True))
        answers = student.get(f"/api/benches/{bench.pk}/report").json()["answers"]
        self.assertEqual([answer["question"] for answer in answers], asked)
        again = self.as_(self.instructor).get(f"/api/sessions/{self.plan.pk}").json()
        self.assertEqual(again["draft"]["questions"], asked, "they go along when it is planned again")
