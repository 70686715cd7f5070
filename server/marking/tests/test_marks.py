"""Marks from the rubric to the student: who may see and decide what, what is refused, what a gradebook gets.

Bench 1: 0.1026 · 18.28 / 20.00 = 0.09378 mol/L. The hidden value is far from it.
"""

from typing import Any

from labs import actions
from labs.models import Bench
from labs.tests.room import WHEN, Room, entry, queries_of, signed_in, titrate, write
from people.models import Person

GOOD = (("0.22", "18.47"), ("1.05", "19.36"))
RUBRIC = {
    "name": "Ours", "total": 10,
    "criteria": [
        {"kind": "precision", "points": 4}, {"kind": "own", "points": 4}, {"kind": "conclusion", "points": 2},
    ],
}  # fmt: skip


class Marks(Room):
    def setUp(self) -> None:
        titrate(signed_in(self.student), self.bench, *GOOD)

    def ask(self, method: str, path: str, body: Any = None, who: Person | None = None) -> Any:
        client = signed_in(who or self.instructor)
        return getattr(client, method)(f"/api/{path}", body, "application/json")

    def marked(self, rubric: dict[str, Any] | None = None) -> Any:
        """The session marked by a rubric of its own."""
        kept = self.ask("put", "rubrics", rubric or RUBRIC).json()
        return self.ask("put", f"sessions/{self.session.pk}/marks", {"rubric": kept[-1]["id"]}).json()

    def decide(self, bench: Bench | None = None, **body: Any) -> Any:
        return self.ask("put", f"benches/{(bench or self.bench).pk}/marks", body)

    def release(self, released: bool = True) -> Any:
        return self.ask("put", f"sessions/{self.session.pk}/marks/released", {"released": released})

    def test_what_is_proposed_with_its_reasons(self) -> None:
        write(signed_in(self.student), self.bench, entry("own.V_mean", "18.92"), entry("own.c_s", "0.0971"))
        marks = self.marked()
        self.assertEqual(marks["rubric"]["name"], "Ours")
        [bench] = marks["benches"]
        self.assertEqual([line["proposed"] for line in bench["lines"]], [4.0, 2.0, 0.0])
        self.assertEqual((bench["points"], bench["most"], bench["to_read"]), (6.0, 10.0, False))
        self.assertIn("mean titre", bench["lines"][1]["reasons"][1].lower())

    def test_the_instructor_decides_with_a_note_and_takes_it_back(self) -> None:
        self.marked()
        [bench] = self.decide(kind="own", points=3.5, note="Told me by word").json()["benches"]
        self.assertEqual((bench["lines"][1]["decided"], bench["lines"][1]["note"]), (3.5, "Told me by word"))
        self.assertEqual(bench["points"], 7.5)
        [bench] = self.decide(kind="own", points=None).json()["benches"]
        self.assertIsNone(bench["lines"][1]["decided"])
        for body, code in (
            ({"kind": "own", "points": 4.5}, 422), ({"kind": "accuracy", "points": 1}, 422),
            ({"kind": "own", "points": -1}, 400), ({"kind": "nothing", "points": 1}, 400),
            ({"kind": "own", "points": 1, "note": "x" * 301}, 400), ({"kind": "own", "points": "nan"}, 400),
        ):  # fmt: skip
            self.assertEqual(self.decide(**body).status_code, code, body)

    def test_only_the_section_s_own_instructor_marks(self) -> None:
        self.marked()
        session, bench = f"sessions/{self.session.pk}/marks", f"benches/{self.bench.pk}/marks"
        for who, code in ((self.assistant, 403), (self.student, 403), (self.stranger, 404)):
            self.assertEqual(self.ask("get", session, who=who).status_code, code)
            self.assertEqual(self.ask("get", f"{session}.csv", who=who).status_code, code)
            self.assertEqual(self.ask("put", session, {"rubric": 0}, who).status_code, code)
            self.assertEqual(self.ask("put", f"{session}/released", {"released": True}, who).status_code, code)
            self.assertEqual(self.ask("put", bench, {"kind": "own", "points": 4}, who).status_code, code)
        for who in (self.assistant, self.student):
            self.assertEqual(self.ask("get", "rubrics", who=who).status_code, 403)
        other = self.ask("put", "rubrics", {**RUBRIC, "name": "Theirs"}, self.stranger).json()[-1]["id"]
        self.assertEqual(self.ask("put", session, {"rubric": other}).status_code, 422)

    def test_a_student_sees_them_by_cause_once_they_are_released(self) -> None:
        address = f"benches/{self.bench.pk}/marks"
        write(signed_in(self.student), self.bench, entry("answer.1", "Because it holds acid."))
        self.marked()
        self.assertIsNone(self.ask("get", address, who=self.student).json()["marks"])
        self.assertEqual(self.release().status_code, 409, "the session is open")
        actions.close_session(self.session)
        refused = self.release()
        self.assertEqual(refused.status_code, 409)
        self.assertIn("still to be read at bench 1", refused.content.decode())
        self.decide(kind="conclusion", points=1.5, note="The second half is missing.")
        self.assertEqual(self.release().status_code, 200)
        seen = self.ask("get", address, who=self.student).json()["marks"]
        self.assertEqual(seen["points"], 4.0 + 0.0 + 1.5)
        self.assertEqual(seen["lines"][2]["note"], "The second half is missing.")
        self.assertEqual(self.ask("get", address, who=self.neighbour).status_code, 404)
        actions.reopen_session(self.session)
        self.assertIsNone(self.ask("get", address, who=self.student).json()["marks"], "it is worked on again")
        actions.close_session(self.session)
        self.release(False)
        self.assertIsNone(self.ask("get", address, who=self.student).json()["marks"])

    def test_how_far_off_it_is_would_tell_the_hidden_value_before_results_are_released(self) -> None:
        self.marked({"name": "A", "total": 5, "criteria": [{"kind": "accuracy", "points": 5}]})
        actions.close_session(self.session)
        self.assertEqual(self.release().status_code, 200)
        address = f"benches/{self.bench.pk}/marks"
        [line] = self.ask("get", address, who=self.student).json()["marks"]["lines"]
        self.assertEqual((line["proposed"], line["reasons"]), (0.0, ["Told when the results are released."]))
        self.assertEqual(self.ask("get", address, who=self.assistant).status_code, 403)
        actions.release_session(self.session)
        [line] = self.ask("get", address, who=self.student).json()["marks"]["lines"]
        self.assertIn("73 % from the accepted value", line["reasons"][0])

    def test_a_session_keeps_the_rubric_as_it_was_chosen(self) -> None:
        self.marked()
        changed = {**RUBRIC, "criteria": [{"kind": "precision", "points": 10}]}
        kept = self.ask("put", "rubrics", changed).json()
        self.assertEqual([rubric["rubric"]["name"] for rubric in kept], ["Usual", "Ours"], "written over, not beside")
        marks = self.ask("get", f"sessions/{self.session.pk}/marks").json()
        self.assertEqual(len(marks["rubric"]["criteria"]), 3)

    def test_a_rubric_that_does_not_add_up_is_refused(self) -> None:
        refused = self.ask("put", "rubrics", {**RUBRIC, "total": 12})
        self.assertEqual(refused.status_code, 422)
        self.assertIn("add up to 10, and the whole is 12", refused.content.decode())
        for wrong in (
            {"criteria": [{"kind": "x", "points": 1}]}, {"criteria": [{"kind": "own", "points": "many"}]},
            {"criteria": [{"kind": "own", "points": 10, "full": "nan"}]}, {"total": "nan"}, {"total": "inf"},
        ):  # fmt: skip
            self.assertEqual(self.ask("put", "rubrics", {**RUBRIC, **wrong}).status_code, 400)

    def test_a_gradebook_gets_a_line_for_each_student(self) -> None:
        Person.objects.filter(pk=self.student.pk).update(name="=cmd()", number="S-17")
        self.marked()
        self.decide(kind="own", points=3, note="By word")
        rows = self.ask("get", f"sessions/{self.session.pk}/marks.csv").content.decode().splitlines()
        self.assertEqual(rows[0], "name,number,section,bench,sample,precision,own,conclusion,points,of,notes")
        self.assertEqual(rows[1], "'=cmd(),S-17,Group,1,Bottle,4.0,3.0,0.0,7.0,10.0,Own work: By word")

    def test_without_a_rubric_nothing_is_marked(self) -> None:
        marks = self.ask("get", f"sessions/{self.session.pk}/marks").json()
        self.assertEqual((marks["rubric"], marks["benches"]), (None, []))
        self.assertEqual(self.decide(kind="own", points=1).status_code, 422)
        self.assertEqual(self.release().status_code, 422)

    def test_it_asks_no_more_for_more_benches(self) -> None:
        def asked(session: int) -> int:
            self.ask("put", f"sessions/{session}/marks", {"rubric": 0})
            return len(queries_of(signed_in(self.instructor), f"/api/sessions/{session}/marks"))

        few = asked(self.session.pk)
        options = {"c_t": "0.1026", "rough_trial": "no"}
        many = actions.plan_session(self.section, "acid-base-titration", "Many", "1", WHEN, 90, options, {}, 10, [])
        actions.open_session(many)
        for bench in many.benches.all():
            titrate(signed_in(self.instructor), bench, *GOOD)
        self.assertLessEqual(asked(many.pk), few)
