"""Guessing at codes and PINs is slowed down; neither a class nor a person is locked for long."""

import time
from unittest.mock import patch

from django.core.cache import caches
from django.test import Client

from labs.tests.room import Room
from people.models import Person, Role


class Guessing(Room):
    def setUp(self) -> None:
        caches["shared"].clear()

    def code(self, code: str, address: str = "10.0.0.9") -> int:
        return Client().get(f"/api/join/{code}", REMOTE_ADDR=address).status_code

    def pin(self, who: Person, pin: str, address: str = "10.0.0.9") -> int:
        body = {"code": "GREEN4", "person": who.pk, "pin": pin}
        return Client().post("/api/join", body, "application/json", REMOTE_ADDR=address).status_code

    def test_guessing_codes_is_slowed_down_and_says_when_to_go_on(self) -> None:
        statuses = [self.code(f"NO{number}") for number in range(200)]
        self.assertEqual((statuses.count(404), statuses.count(429)), (60, 140))
        refused = Client().get("/api/join/NO", REMOTE_ADDR="10.0.0.9")
        self.assertLessEqual(int(refused.headers["Retry-After"]), 60)
        self.assertIn("Wait", refused.json()["problems"][0])
        self.assertEqual(self.code("GREEN4", "10.0.0.7"), 200)  # another address goes on

    def test_nobody_waits_longer_than_a_minute_and_who_goes_on_guessing_is_slowed_further(self) -> None:
        now = time.time()
        with patch("people.throttles.time") as clock:
            wrong = []
            for minute in range(8):
                clock.time.return_value = now + 61 * minute
                self.assertEqual(self.code("GREEN4"), 200)
                wrong.append([self.code("NO") for _ in range(70)].count(404))
        self.assertEqual(wrong, [60, 60, 60, 60, 60, 10, 10, 10])

    def test_a_class_arrives_at_once_from_one_address(self) -> None:
        """Forty-eight people, each mistyping the code once in the same minute."""
        for _ in range(48):
            self.assertEqual((self.code("GREEM4"), self.code("GREEN4")), (404, 200))

    def test_wrong_pins_hold_up_that_name_at_that_address_alone(self) -> None:
        for _ in range(12):
            self.pin(self.student, "0")
        self.assertEqual(self.pin(self.student, "secret-word"), 429)
        self.assertEqual(self.pin(self.student, "secret-word", "10.0.0.7"), 200)
        self.assertEqual(self.pin(self.neighbour, "secret-word"), 200)

    def test_the_instructor_lets_them_in_again(self) -> None:
        for _ in range(12):
            self.pin(self.student, "0")
        address = f"/api/people/{self.student.pk}/unlock"
        for who, status in ((self.neighbour, 404), (self.stranger, 404)):
            self.assertEqual(self.as_(who).post(address).status_code, status)
        plan = self.as_(self.instructor).get(f"/api/sessions/{self.session.pk}").json()
        self.assertEqual(
            [(student["name"], student["waits"]) for student in plan["students"]], [("Sami", True), ("Tova", False)]
        )
        self.assertEqual(self.as_(self.assistant).post(address).status_code, 204)
        self.assertEqual(self.pin(self.student, "secret-word"), 200)

    def test_students_names_are_not_told_to_who_only_guesses(self) -> None:
        Person.objects.create(username="extra", name="Extra", role=Role.STUDENT, section=self.section)
        told = [Client().get(f"/api/join/GREEN{n}", REMOTE_ADDR="10.0.0.5") for n in range(10)]
        self.assertEqual([answer.status_code for answer in told].count(200), 1)
