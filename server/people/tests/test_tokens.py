"""Personal tokens: made, told once, reading what their owner may read and nothing else, ended."""

from typing import Any

from labs.tests.described import Described
from labs.tests.room import TRUE, Room, titrate
from people.models import Token


class Tokens(Room):
    def setUp(self) -> None:
        titrate(self.as_(self.student), self.bench, ("0.22", "18.47"), ("1.05", "19.36"))

    def make(self, who: Any) -> str:
        answer = self.as_(who).post("/api/tokens", {"name": "grade book"}, "application/json")
        self.assertEqual(answer.status_code, 201, answer.content)
        return str(answer.json()["secret"])

    def by(self, secret: str, path: str, verb: str = "GET") -> Any:
        client = Described(enforce_csrf_checks=True)
        return client.generic(verb, path, "{}", "application/json", headers={"Authorization": f"Bearer {secret}"})

    def test_it_reads_what_its_owner_may_read(self) -> None:
        secret, other = self.make(self.instructor), self.make(self.assistant)
        data = f"/api/benches/{self.bench.pk}/files/data.json"
        self.assertIn(TRUE, self.by(secret, data).content.decode())
        self.assertNotIn(TRUE, self.by(other, data).content.decode())
        self.assertEqual(self.by(secret, f"/api/sessions/{self.session.pk}/marks").status_code, 200)
        self.assertEqual(self.by(other, f"/api/sessions/{self.session.pk}/marks").status_code, 403)
        self.assertEqual(self.by(self.make(self.stranger), data).status_code, 404)

    def test_it_changes_nothing(self) -> None:
        secret = self.make(self.instructor)
        for verb in ("POST", "PUT", "DELETE", "PATCH"):
            for path in (
                f"/api/sessions/{self.session.pk}/state",
                f"/api/benches/{self.bench.pk}/entries",
                "/api/tokens",
            ):
                answer = self.by(secret, path, verb)
                self.assertEqual(answer.status_code, 403, (verb, path))
                self.assertIn("only reads", answer.json()["problems"][0])

    def test_what_does_not_hold_is_told(self) -> None:
        secret = self.make(self.instructor)
        for wrong in ("", "x", "ct_" + "A" * 43, secret + "A", "\x00"):
            self.assertEqual(self.by(wrong, "/api/sessions").status_code, 403, wrong)
        self.assertEqual(self.by(secret, "/api/sessions").status_code, 200)
        self.instructor.is_active = False
        self.instructor.save()
        self.assertEqual(self.by(secret, "/api/sessions").status_code, 403, "an account that was ended")

    def test_only_its_hash_is_kept_and_it_is_ended_at_once(self) -> None:
        secret = self.make(self.instructor)
        self.assertFalse(Token.objects.filter(digest__contains=secret).exists())
        client = self.as_(self.instructor)
        self.by(secret, "/api/sessions")
        [line] = client.get("/api/tokens").json()
        self.assertIsNotNone(line["used_at"])
        self.assertNotIn(secret, str(line))
        self.assertEqual(self.as_(self.stranger).delete(f"/api/tokens/{line['id']}").status_code, 404)
        self.assertEqual(client.delete(f"/api/tokens/{line['id']}").json(), [])
        self.assertEqual(self.by(secret, "/api/sessions").status_code, 403)

    def test_students_have_none_and_nobody_has_very_many(self) -> None:
        self.assertEqual(self.as_(self.student).post("/api/tokens", {"name": "x"}, "application/json").status_code, 403)
        for _ in range(10):
            self.make(self.instructor)
        full = self.as_(self.instructor).post("/api/tokens", {"name": "x"}, "application/json")
        self.assertEqual(full.status_code, 409)
