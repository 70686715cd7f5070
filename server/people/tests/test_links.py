"""One-time links: the first instructor, colleagues, assistants, lost passwords; used twice, late, or by two at once."""

from datetime import timedelta
from io import StringIO

from django.core.management import CommandError, call_command
from django.test import TestCase
from django.utils import timezone

from labs.tests.described import Described
from labs.tests.room import Room, signed_in
from people.department import department
from people.models import Link, Person, Role

GOOD = "copper and brine 7"
JSON = "application/json"


def follow(path: str, **fields: str) -> tuple[Described, int, dict]:
    client = Described()
    secret = path.rpartition("/")[2]
    body = {"password": GOOD, **fields}
    answer = client.post(f"/api/links/{secret}", body, JSON)
    return client, answer.status_code, answer.json()


def printed(*args: str) -> str:
    out = StringIO()
    call_command("first_link", *args, stdout=out)
    return out.getvalue().strip()


class AnEmptyServer(TestCase):
    def test_the_first_instructor_sets_up_the_department_and_keeps_the_accounts(self) -> None:
        line = printed("--address", "https://lab.example/")
        self.assertIn("https://lab.example/welcome/", line)
        opened = Described().get(f"/api/links/{line.rpartition('/')[2]}").json()
        self.assertEqual((opened["role"], opened["sets_up"]), ("instructor", True))
        client, status, me = follow(
            line, username="first", name="First One", department="Chemistry, North", time_zone="Europe/Helsinki"
        )
        self.assertEqual((status, me["keeper"], client.get("/api/me").json()["name"]), (200, True, "First One"))
        self.assertEqual(department(), ("Chemistry, North", "Europe/Helsinki"))
        with self.assertRaisesRegex(CommandError, "keeps the accounts already"):
            printed()
        self.assertEqual(printed("--if-needed"), "")

    def test_a_newer_first_link_ends_the_older_one(self) -> None:
        older, newer = printed(), printed()
        self.assertEqual(follow(older, username="a", name="A")[1], 404)
        answer = follow(newer, username="a", name="A", department="D", time_zone="Mars/Olympus")
        self.assertEqual(answer[1], 422)
        self.assertIn("no time zone", answer[2]["problems"][0])
        self.assertEqual(follow(newer, username="a", name="A", department=" ", time_zone="UTC")[1], 422)
        self.assertFalse(Person.objects.exists(), "what is refused changes nothing")
        self.assertEqual(follow(newer, username="a", name="A", department="D", time_zone="UTC")[1], 200)


class Colleagues(Room):
    def setUp(self) -> None:
        Person.objects.filter(pk=self.instructor.pk).update(keeper=True)

    def invited(self, by: Person, **body: object) -> tuple[int, str]:
        answer = signed_in(by).post("/api/staff/links", body, JSON)
        return answer.status_code, answer.json().get("path", "")

    def test_a_link_opens_once(self) -> None:
        status, path = self.invited(self.instructor, role="instructor")
        self.assertEqual(status, 201)
        self.assertEqual(follow(path, username="new one", name="N")[1], 422)  # a space
        self.assertEqual(follow(path, username="SAMI", name="N")[1], 422)  # taken, whatever the case
        self.assertEqual(follow(path, username="nova", name="Nova", password="password")[1], 422)
        client, status, me = follow(path, username="nova", name="Nova")
        self.assertEqual((status, me["role"], me["keeper"]), (200, "instructor", False))
        self.assertIn("used already", follow(path, username="other", name="O")[2]["problems"][0])
        self.assertEqual(client.get("/api/sections").json(), [])

    def test_a_link_ends_after_a_week_and_with_who_made_it(self) -> None:
        _, path = self.invited(self.instructor, role="assistant")
        Link.objects.update(ends_at=timezone.now() - timedelta(seconds=1))
        self.assertIn("good for 7 days", follow(path, username="late", name="L")[2]["problems"][0])
        _, path = self.invited(self.instructor, role="assistant")
        Person.objects.filter(pk=self.instructor.pk).update(is_active=False)
        self.assertIn("has left", follow(path, username="late", name="L")[2]["problems"][0])

    def test_instructors_invite_assistants_into_their_own_sections_only(self) -> None:
        mine = self.stranger.sections.create(name="Mine", term="T", code="MINE22")
        self.assertEqual(self.invited(self.stranger, role="instructor")[0], 403)
        self.assertEqual(self.invited(self.stranger, role="instructor", section=mine.pk)[0], 403)
        self.assertEqual(self.invited(self.stranger, role="assistant", section=self.section.pk)[0], 404)
        status, path = self.invited(self.stranger, role="assistant", section=mine.pk)
        self.assertEqual(status, 201)
        client, *_ = follow(path, username="helper", name="Helper")
        self.assertEqual([section["name"] for section in client.get("/api/sections").json()], ["Mine"])
        for who in (self.assistant, self.student):
            self.assertEqual(self.invited(who, role="assistant", section=self.section.pk)[0], 403)

    def test_a_new_password_by_link(self) -> None:
        answer = signed_in(self.instructor).post(f"/api/staff/{self.assistant.pk}/reset")
        path = answer.json()["path"]
        _, status, me = follow(path)
        self.assertEqual((status, me["name"]), (200, self.assistant.name))
        self.assistant.refresh_from_db()
        self.assertTrue(self.assistant.check_password(GOOD))
        self.assertEqual(signed_in(self.stranger).post(f"/api/staff/{self.assistant.pk}/reset").status_code, 403)
        self.assertEqual(signed_in(self.instructor).post(f"/api/staff/{self.student.pk}/reset").status_code, 404)
        self.assertIn("/welcome/", printed("--for", "ALDO"))

    def test_an_account_ends_and_loses_nothing(self) -> None:
        keeper, leaver = signed_in(self.instructor), signed_in(self.stranger)
        mine = self.stranger.sections.create(name="Left behind", term="T", code="LEFT22")
        self.assertEqual(leaver.get("/api/sections").status_code, 200)
        self.assertEqual(
            keeper.post(f"/api/staff/{self.stranger.pk}/account", {"action": "end"}, JSON).status_code, 200
        )
        self.assertEqual(leaver.get("/api/sections").status_code, 403)
        here = {section["id"]: section["mine"] for section in keeper.get("/api/sections").json()}
        self.assertTrue(here[mine.pk], "who keeps the accounts looks after it")
        refused = keeper.post(f"/api/staff/{self.instructor.pk}/account", {"action": "end"}, JSON)
        self.assertIn("Nobody else keeps the accounts", refused.json()["problems"][0])
        self.assertEqual(
            keeper.post(f"/api/staff/{self.stranger.pk}/account", {"action": "take_back"}, JSON).status_code, 200
        )
        self.assertEqual(signed_in(self.stranger).get("/api/sections").json()[0]["id"], mine.pk)

    def test_nobody_else_touches_accounts(self) -> None:
        for who in (self.stranger, self.assistant, self.student):
            for action in ("end", "take_back", "keep", "no_longer_keep"):
                answer = signed_in(who).post(f"/api/staff/{self.instructor.pk}/account", {"action": action}, JSON)
                self.assertEqual(answer.status_code, 403, (who.name, action))
        answer = signed_in(self.instructor).post(f"/api/staff/{self.assistant.pk}/account", {"action": "keep"}, JSON)
        self.assertEqual(answer.status_code, 422)
        self.assertEqual(self.assistant.role, Role.ASSISTANT)
