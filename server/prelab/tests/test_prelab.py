"""Work before class: planned, answered by each student, looked at by the staff, waited for by the bench."""

from typing import Any

from labs import actions
from labs.models import Bench, Session
from labs.tests.room import WHEN, Room, entry, person, write
from people.models import Role, Section
from prelab.models import Answer

# 38 mL of hydrogen at 22 °C and 101.325 kPa need 38.13 mg of magnesium: worked by hand in core/tests/test_prelab.py.
RIBBON = {"task": "plan_line_1", "text": "38.1 mg"}
OXIDE = {"task": "effect-oxide", "text": "low", "reason": "less metal than was weighed"}
WORDS = {"task": "own-1", "text": "Hydrogen hardly dissolves."}
ASKED = {"tasks": ["plan_line_1", "effect-oxide"], "questions": ["Why over water?"], "needed": True, "tries": 2}


class BeforeClass(Room):
    def setUp(self) -> None:
        self.gas = self.planned()

    def planned(self, **other: Any) -> Session:
        asked: dict[str, Any] = {**ASKED, **other}
        return actions.plan_session(
            self.section, "gas-eudometer", "Ribbon", "Room 2", WHEN, 90, {}, {}, 2, [], prelab=asked
        )

    def answer(self, who: Any, body: dict[str, str], status: int = 200) -> Any:
        answer = self.as_(who).post(f"/api/sessions/{self.gas.pk}/prelab", body, "application/json")
        self.assertEqual(answer.status_code, status, answer.content)
        return answer.json()

    def opened(self) -> Bench:
        actions.open_session(self.gas)
        return self.gas.benches.get(number=1)  # the student's

    def first_reading(self, bench: Bench, who: Any = None) -> dict[str, Any]:
        return write(self.as_(who or self.student), bench, entry("p_bar", "1003"))[0]

    def test_it_is_planned_with_what_the_plan_offers(self) -> None:
        body = {
            "section": self.section.pk, "method": "gas-eudometer", "title": "Ribbon", "benches": 2,
            "starts_at": "2026-03-02T09:00:00Z", "prelab": ASKED,
        }  # fmt: skip
        client = self.as_(self.instructor)
        answer = client.post("/api/sessions", body, "application/json")
        self.assertEqual(answer.status_code, 201, answer.content)
        self.assertEqual(answer.json()["draft"]["prelab"], ASKED)
        offered = client.post("/api/foresee", {"method": "gas-eudometer"}, "application/json").json()["before_class"]
        self.assertIn("plan_line_1", [task["key"] for task in offered])
        for wrong in ({"tasks": ["plan_line_77"]}, {"questions": ["x"] * 5}, {"needed": True, "tasks": []}):
            refused = client.post("/api/sessions", {**body, "prelab": wrong}, "application/json")
            self.assertIn(refused.status_code, (400, 422), refused.content)

    def test_a_student_finds_it_answers_it_and_is_ready(self) -> None:
        [line] = self.as_(self.student).get("/api/prelabs").json()
        self.assertEqual((line["done"], line["of"], line["session"]["state"]), (0, 3, "planned"))
        self.answer(self.student, {**RIBBON, "text": "0.381"})
        seen = self.answer(self.student, RIBBON)
        self.assertEqual((seen["done"], seen["tasks"][0]["tries"], seen["tasks"][0]["sentence"]), (1, 2, "Right."))
        self.answer(self.student, OXIDE)
        self.assertEqual(self.answer(self.student, WORDS)["done"], 3)
        self.assertEqual(Answer.objects.filter(session=self.gas).count(), 4, "every attempt is kept")

    def test_nothing_is_told_before_it_was_tried(self) -> None:
        client = self.as_(self.student)
        self.assertNotIn("0.0381", client.get(f"/api/sessions/{self.gas.pk}/prelab").content.decode())
        seen = self.answer(self.student, {**RIBBON, "text": "0.05"})
        self.assertEqual((seen["tasks"][0]["told"], seen["tasks"][0]["done"]), ("", False))
        seen = self.answer(self.student, {**RIBBON, "text": "0.06"})
        self.assertIn("0.0381", seen["tasks"][0]["told"])
        self.assertEqual((seen["tasks"][0]["agrees"], seen["tasks"][0]["done"]), (False, True))

    def test_what_cannot_be_kept_is_refused_with_a_sentence(self) -> None:
        for wrong in (
            {**RIBBON, "text": "about 5"}, {**RIBBON, "text": "5 mL"}, {**RIBBON, "task": "plan_line_2"},
            {**OXIDE, "reason": " "}, {**OXIDE, "text": "maybe"}, {**WORDS, "text": "no"},
        ):  # fmt: skip
            self.assertTrue(self.answer(self.student, wrong, 422)["problems"][0], wrong)
        self.answer(self.student, {**WORDS, "text": "x" * 601}, 400)
        self.answer(self.student, {**WORDS, "text": "null\x00byte"}, 400)
        self.answer(self.student, RIBBON)
        self.answer(self.student, {**RIBBON, "text": "1"}, 409)  # right already
        self.assertEqual(Answer.objects.count(), 1)

    def test_guessing_on_and_on_ends(self) -> None:
        for _ in range(25):
            self.answer(self.student, {**RIBBON, "text": "7"})
        self.assertIn("25 attempts", self.answer(self.student, {**RIBBON, "text": "8"}, 422)["problems"][0])

    def test_it_is_one_s_own(self) -> None:
        self.answer(self.student, RIBBON)
        path = f"/api/sessions/{self.gas.pk}/prelab"
        self.assertEqual(self.as_(self.neighbour).get(path).json()["done"], 0)
        outsider = person("uli", Role.STUDENT, Section.objects.create(name="X", code="BLUE77", owner=self.stranger))
        for who in (outsider, self.stranger):
            self.assertEqual(self.as_(who).get(path).status_code, 404)
            self.assertEqual(self.as_(who).post(path, RIBBON, "application/json").status_code, 404)
        for who in (self.student, outsider):
            self.assertEqual(self.as_(who).get(f"{path}/room").status_code, 403)
        self.assertEqual(self.as_(self.stranger).get(f"{path}/room").status_code, 404)
        self.answer(self.assistant, RIBBON, 403)

    def test_the_bench_waits_and_the_staff_may_let_in(self) -> None:
        bench = self.opened()
        refused = self.first_reading(bench)
        self.assertFalse(refused["kept"])
        self.assertIn("Sami has work left", refused["problem"])
        self.assertTrue(write(self.as_(self.student), bench, entry("call", "help"))[0]["kept"], "help never waits")
        step = self.as_(self.student).get(f"/api/benches/{bench.pk}").json()
        self.assertEqual(step["waits"], {"names": ["Sami"], "mine": True})
        tick = f"step.{step['evaluation']['steps'][0]['key']}"
        self.assertTrue(write(self.as_(self.student), bench, entry(tick, "done"))[0]["kept"], "nor does a step")
        path = f"/api/sessions/{self.gas.pk}/prelab/room"
        body = {"student": self.student.pk, "let_in": True}
        room = self.as_(self.assistant).put(path, body, "application/json").json()
        self.assertEqual(
            [(student["name"], student["let_in"]) for student in room["students"]], [("Sami", True), ("Tova", False)]
        )
        self.assertTrue(self.first_reading(bench)["kept"])
        self.assertIsNone(self.as_(self.student).get(f"/api/benches/{bench.pk}").json()["waits"])

    def test_a_bench_whose_team_is_ready_begins(self) -> None:
        for text in (RIBBON, OXIDE, WORDS):
            self.answer(self.student, text)
        self.assertTrue(self.first_reading(self.opened())["kept"])

    def test_who_is_absent_is_not_waited_for(self) -> None:
        self.gas.absent.add(self.student)
        self.assertTrue(self.first_reading(self.opened())["kept"])

    def test_what_the_staff_wrote_for_the_room_does_not_open_it(self) -> None:
        bench = self.opened()
        self.assertTrue(self.first_reading(bench, self.instructor)["kept"])
        self.assertFalse(write(self.as_(self.student), bench, entry("m", "0.0381", 1))[0]["kept"])

    def test_the_staff_sees_who_is_ready_and_where_others_are_stuck(self) -> None:
        self.answer(self.student, {**RIBBON, "text": "7"})
        self.answer(self.student, OXIDE)
        room = self.as_(self.instructor).get(f"/api/sessions/{self.gas.pk}/prelab/room").json()
        sami, tova = room["students"]
        self.assertEqual((sami["done"], sami["of"], sami["bench"], tova["done"]), (1, 3, 1, 0))
        self.assertEqual(sami["stuck"], ["Ribbon for the wanted volume"])
        self.assertEqual(sami["words"][0]["text"], "less metal than was weighed")

    def test_after_the_session_nothing_is_answered(self) -> None:
        self.opened()
        actions.close_session(self.gas)
        self.answer(self.student, RIBBON, 409)
        self.assertEqual(self.as_(self.student).get("/api/prelabs").json(), [])

    def test_where_nothing_is_asked_nothing_is_there(self) -> None:
        self.assertEqual(self.as_(self.student).get(f"/api/sessions/{self.session.pk}/prelab").status_code, 404)
        room = self.as_(self.instructor).get(f"/api/sessions/{self.session.pk}/prelab/room").json()
        self.assertEqual(room, {"needed": False, "students": []})

    def test_a_changed_plan_asks_anew(self) -> None:
        self.answer(self.student, RIBBON)
        self.gas.options, self.gas.revision = {"V_wanted": "20"}, self.gas.revision + 1
        self.gas.save()
        state = self.as_(self.student).get(f"/api/sessions/{self.gas.pk}/prelab").json()["tasks"][0]
        self.assertFalse(state["agrees"], "38.1 mg make 38 mL, and not 20")
