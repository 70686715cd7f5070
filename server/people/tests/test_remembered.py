"""Who is remembered for a moment at a bench: never longer than they may be there, as far as this process knows."""

from django.test import Client

from labs.tests.room import Room, queries_of, signed_in
from people import remembered
from people.models import Person


class Remembered(Room):
    def setUp(self) -> None:
        remembered._known.clear()
        self.client = signed_in(self.student)
        self.at = f"/api/benches/{self.bench.pk}"
        self.bench.team.add(self.student)
        self.assertEqual(self.client.get(self.at).status_code, 200)

    def with_cookie(self, value: str) -> Client:
        client = Client()
        client.cookies["sessionid"] = value
        return client

    def test_a_second_look_does_not_ask_who_it_is(self) -> None:
        sql = " ".join(queries_of(self.client, self.at))
        self.assertNotIn("django_session", sql)
        self.assertNotIn('FROM "people_person"', sql)

    def test_who_signed_out_is_out_at_once(self) -> None:
        """Also with the cookie of then, as somebody could have written it down."""
        kept = self.client.cookies["sessionid"].value
        self.assertEqual(self.client.post("/api/sign-out").status_code, 204)
        self.assertEqual(self.with_cookie(kept).get(self.at).status_code, 403)

    def test_who_may_not_sign_in_any_more_is_out_at_once(self) -> None:
        self.student.is_active = False
        self.student.save()
        self.assertEqual(self.client.get(self.at).status_code, 403)

    def test_what_another_process_changed_is_seen_some_seconds_later(self) -> None:
        Person.objects.filter(pk=self.student.pk).update(is_active=False)
        remembered._known.expire(remembered._known.timer() + remembered._SECONDS)
        self.assertEqual(self.client.get(self.at).status_code, 403)

    def test_nobody_else_is_taken_for_them(self) -> None:
        for cookie in ("", "x" * 32):
            self.assertEqual(self.with_cookie(cookie).get(self.at).status_code, 403, cookie)
        self.assertEqual(signed_in(self.instructor).get("/api/me").json()["name"], self.instructor.name)
        self.bench.team.remove(self.neighbour)
        self.assertEqual(signed_in(self.neighbour).get(self.at).status_code, 404)

    def test_being_remembered_is_no_way_round_the_guard_against_forged_requests(self) -> None:
        forged = Client(enforce_csrf_checks=True)
        forged.cookies["sessionid"] = self.client.cookies["sessionid"].value
        answer = forged.post(f"{self.at}/try", {"key": "V_s", "text": "20.00"}, "application/json")
        self.assertEqual(answer.status_code, 403)
