"""Remarks travel: shown at their step, for one session or from now on; and what went wrong last time is told."""

from labs import actions
from labs.tests.room import Room, entry, planned, titrate, write
from notebook.tests.test_photos import picture

JSON = "application/json"


class Remarks(Room):
    def add(self, who: object = None, **fields: object) -> int:
        body = {"step": "fill", "text": "The narrow tap fills better.", **fields}
        answer = self.as_(who or self.instructor).post(f"/api/sessions/{self.session.pk}/remarks", body, JSON)
        return answer.status_code

    def shown(self, session_id: int) -> list[str]:
        plan = self.as_(self.instructor).get(f"/api/sessions/{session_id}").json()
        return [remark["text"] for remark in plan["remarks"]]

    def test_for_this_session_or_from_now_on(self) -> None:
        later = planned(self.section)
        self.assertEqual((self.add(), self.add(text="Always so.", always=True)), (200, 200))
        at_bench = self.as_(self.student).get(f"/api/benches/{self.bench.pk}").json()["remarks"]
        first = next((remark["step"], remark["text"], remark["author"]) for remark in at_bench)
        self.assertEqual(first, ("fill", "The narrow tap fills better.", "Ines"))
        self.assertEqual(self.shown(later.pk), ["Always so."])
        [kept] = self.as_(self.instructor).get(f"/api/sessions/{later.pk}").json()["remarks"]
        self.as_(self.instructor).delete(f"/api/sessions/{later.pk}/remarks/{kept['id']}")
        self.assertEqual((self.shown(later.pk), len(self.shown(self.session.pk))), ([], 1))

    def test_refused(self) -> None:
        self.assertEqual((self.add(step="nothing"), self.add(text=" "), self.add(text="x" * 301)), (422, 400, 400))
        for who in (self.assistant, self.student, self.stranger):
            self.assertIn(self.add(who), (403, 404))
        other = planned(self.section)
        self.add()
        [mine] = self.as_(self.instructor).get(f"/api/sessions/{self.session.pk}").json()["remarks"]
        answer = self.as_(self.instructor).delete(f"/api/sessions/{other.pk}/remarks/{mine['id']}")
        self.assertEqual(answer.status_code, 404, "another session's remark")

    def test_with_a_picture(self) -> None:
        self.assertEqual(self.add(image="bm90IGEgcGljdHVyZQ=="), 422)
        self.assertEqual(self.add(image=picture()), 200)
        [told] = self.as_(self.student).get(f"/api/benches/{self.bench.pk}").json()["remarks"]
        address = f"/api/benches/{self.bench.pk}/photos/{told['photo']}"
        self.assertEqual(self.as_(self.student).get(address)["Content-Type"], "image/jpeg")
        self.assertEqual(self.as_(self.stranger).get(address).status_code, 404)
        ended = f"/api/sessions/{self.session.pk}/remarks/{told['id']}"
        self.assertEqual(self.as_(self.instructor).delete(ended).status_code, 200)
        self.assertEqual(self.as_(self.student).get(address).status_code, 404, "shown no more")

    def test_a_picture_may_stand_in_place_of_the_drawing(self) -> None:
        self.assertEqual((self.add(instead=True), self.add(image=picture(), instead=True)), (200, 200))
        told = self.as_(self.student).get(f"/api/benches/{self.bench.pk}").json()["remarks"]
        self.assertEqual([remark["instead"] for remark in told], [False, True], "only a picture can")

    def test_what_went_wrong_last_time(self) -> None:
        later = planned(self.section)
        address = f"/api/sessions/{later.pk}/last"
        self.assertEqual(self.as_(self.instructor).get(address).json()["lessons"], [])
        for who, bench in ((self.student, self.bench), (self.neighbour, self.other_bench)):
            titrate(self.as_(who), bench, ("0.24", "21.78"), ("0.10", "22.64"))
        write(self.as_(self.student), self.bench, entry("void", "Flask knocked over", 1))
        actions.close_session(self.session)
        told = self.as_(self.instructor).get(address).json()
        self.assertEqual(told["title"], "Bottles")
        lessons = {lesson["what"]: (lesson["benches"], lesson["of"]) for lesson in told["lessons"]}
        self.assertEqual(lessons["Rejected: Flask knocked over"], (1, 2))
        self.assertTrue(any(what.startswith("Trials 1 and 2 differ") for what in lessons), lessons)
        self.assertEqual(self.as_(self.student).get(address).status_code, 403)
