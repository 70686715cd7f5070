"""Signing in: staff by password, students by section code, name and PIN."""

from django.test import override_settings

from labs.tests.described import Described
from labs.tests.room import Room
from people.models import Role


class SigningIn(Room):
    def enter(self, path: str, body: dict[str, object], client: Described | None = None) -> object:
        return (client or Described()).post(path, body, "application/json")

    def test_staff_by_name_and_password(self) -> None:
        client = Described()
        answer = client.post("/api/sign-in", {"username": "ines", "password": "secret-word"}, "application/json")
        self.assertEqual(answer.json()["role"], Role.INSTRUCTOR)
        self.assertEqual(client.get("/api/me").json()["name"], "Ines")
        client.post("/api/sign-out")
        self.assertEqual(client.get("/api/me").status_code, 204)

    def test_students_by_code_name_and_pin(self) -> None:
        client = Described()
        roster = client.get("/api/join/green4").json()
        self.assertEqual([name["name"] for name in roster["names"]], ["Sami", "Tova"])
        body = {"code": "green4", "person": self.student.pk, "pin": "secret-word"}
        self.assertEqual(client.post("/api/join", body, "application/json").status_code, 200)

    def test_wrong_ones_get_one_sentence(self) -> None:
        cases = (
            ("/api/sign-in", {"username": "ines", "password": "wrong"}, "do not match"),
            ("/api/sign-in", {"username": "nobody", "password": "x"}, "do not match"),
            ("/api/join", {"code": "NONE", "person": 1, "pin": "1"}, "No section has this code"),
            (
                "/api/join",
                {"code": "GREEN4", "person": self.instructor.pk, "pin": "secret-word"},
                "not on this section",
            ),
            ("/api/join", {"code": "GREEN4", "person": self.student.pk, "pin": "0"}, "do not match"),
        )
        for path, body, sentence in cases:
            with self.subTest(sentence):
                answer = Described().post(path, body, "application/json")
                self.assertIn(answer.status_code, (404, 422))
                self.assertIn(sentence, answer.json()["problems"][0])
        self.assertEqual(Described().get("/api/join/%00").status_code, 404)

    def test_guessing_locks_the_account_for_a_while(self) -> None:
        for _ in range(10):
            Described().post("/api/sign-in", {"username": "aldo", "password": "guess"}, "application/json")
        answer = Described().post("/api/sign-in", {"username": "aldo", "password": "secret-word"}, "application/json")
        self.assertEqual(answer.status_code, 429)
        self.assertIn("wait a minute", answer.json()["problems"][0])

    def test_a_form_from_elsewhere_is_refused(self) -> None:
        client = Described(enforce_csrf_checks=True)
        for path in ("/api/sign-in", "/api/join"):
            self.assertEqual(client.post(path, {}, "application/json").status_code, 403)

    def test_demo_accounts_exist_only_in_demo_mode(self) -> None:
        self.assertEqual(Described().get("/api/demo-accounts").json(), [])
        with override_settings(DEMO=True):
            self.assertEqual(len(Described().get("/api/demo-accounts").json()), 3)
