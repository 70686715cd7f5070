"""Practice as students and their instructors reach it."""

from labs.tests.room import Room, unhurried
from practice.models import Skill


class Practising(Room):
    def setUp(self) -> None:
        unhurried(self)
        self.client = self.as_(self.student)

    def test_what_there_is_and_how_far_one_is(self) -> None:
        there = self.client.get("/api/practice").json()
        self.assertIn({"slug": "burette-50-b", "label": "Burette 50 mL, class B"}, there["scales"])
        self.assertGreaterEqual(len(there["hunts"]), 12)
        self.assertEqual(there["skills"], [])
        for drill in there["scales"]:
            self.assertEqual(self.client.get(f"/api/practice/scales/{drill['slug']}?seed=1").status_code, 200, drill)

    def test_a_scale_is_read_judged_and_counted(self) -> None:
        path = "/api/practice/scales/burette-50-b"
        at = self.client.get(f"{path}?seed=4").json()["at"]
        for text, right, row in ((f"{at:.2f}", True, 1), (f"{at:.2f}", True, 2), (f"{at + 1:.2f}", False, 0)):
            verdict = self.client.post(path, {"seed": 4, "text": text}, "application/json").json()
            self.assertEqual((verdict["right"], verdict["skill"]["in_a_row"]), (right, row), verdict["sentence"])
        [skill] = self.client.get("/api/practice").json()["skills"]
        self.assertEqual((skill["label"], skill["tried"], skill["right"]), ("Burette 50 mL, class B", 3, 2))

    def test_a_hunt_has_one_right_answer(self) -> None:
        path = "/api/practice/hunts/hydrate"
        suspects = self.client.get(f"{path}?seed=5").json()["suspects"]
        rights = [
            self.client.post(path, {"seed": 5, "text": suspect["key"]}, "application/json").json()["right"]
            for suspect in suspects
        ]
        self.assertEqual(rights.count(True), 1)
        self.assertEqual(self.client.post(path, {"seed": 5, "text": "x"}, "application/json").status_code, 422)

    def test_a_line_is_worked_out(self) -> None:
        path = "/api/practice/calculations/hydrate"
        task = self.client.get(f"{path}?seed=9").json()
        self.assertTrue(task["given"] and task["wanted"])
        verdict = self.client.post(path, {"seed": 9, "text": "about 5"}, "application/json")
        self.assertEqual((verdict.status_code, verdict.json()["right"]), (200, False))

    def test_odd_requests_are_refused_with_sentences(self) -> None:
        for address, status in (
            ("/api/practice/scales/nothing", 404), ("/api/practice/hunts/nernst", 404),
            ("/api/practice/scales/ruler-300?seed=-1", 422), ("/api/practice/scales/ruler-300?seed=9999999999", 422),
            ("/api/practice/scales/ruler-300?seed=x", 422), ("/api/practice/class", 403),
        ):  # fmt: skip
            self.assertEqual(self.client.get(address).status_code, status, address)
        for body in ({}, {"seed": -1, "text": "1"}, {"seed": 1, "text": "x" * 500}, {"seed": "a", "text": "1"}):
            refused = self.client.post("/api/practice/scales/burette-50-b", body, "application/json")
            self.assertEqual(refused.status_code, 400, body)
        self.assertFalse(Skill.objects.exists())

    def test_the_instructor_sees_where_the_class_is_weak_and_no_names(self) -> None:
        for who, text in ((self.student, "0"), (self.neighbour, "0")):
            self.as_(who).post("/api/practice/scales/ruler-300", {"seed": 1, "text": text}, "application/json")
        [section] = self.as_(self.assistant).get("/api/practice/class").json()
        self.assertEqual(section["section"], "Group")
        self.assertEqual(
            [(skill["people"], skill["tried"], skill["right"]) for skill in section["skills"]], [(2, 2, 0)]
        )
        self.assertNotIn("Sami", str(section))
        self.assertEqual(self.as_(self.stranger).get("/api/practice/class").json(), [])
