"""Clicks of two people in the same moment: each change sees what the other did."""

from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from threading import Barrier

from django.db import connection
from django.test import TransactionTestCase

from config.errors import Refused
from labs import actions
from labs.models import Bench, Session
from labs.teams import set_teams
from labs.tests.room import Furnished, Room, entry, furnish, planned, signed_in, write
from notebook.models import Entry


def together(*acts: Callable[[], object]) -> list[bool]:
    """Runs them at the same moment; which of them were not refused."""
    gate = Barrier(len(acts))

    def run(act: Callable[[], object]) -> bool:
        gate.wait()
        try:
            act()
        except Refused:
            return False
        finally:
            connection.close()
        return True

    with ThreadPoolExecutor(len(acts)) as pool:
        return list(pool.map(run, acts))


class AtOnce(Furnished, TransactionTestCase):
    def setUp(self) -> None:
        furnish(self)

    def stale(self, session: Session) -> Session:
        return Session.objects.get(pk=session.pk)

    def test_a_close_beside_a_comparison_or_teams_leaves_the_session_closed(self) -> None:
        for _ in range(6):
            session = planned(self.section)
            actions.open_session(session)
            first, other, third = (self.stale(session) for _ in range(3))
            together(
                lambda session=first: actions.close_session(session),
                lambda other=other: actions.set_comparison(other, "", ""),
                lambda third=third: set_teams(third, [(self.student.pk, 2, False)]),
            )
            self.assertEqual(self.stale(session).state, Session.State.CLOSED)

    def test_a_stale_page_cannot_undo_what_happened_since(self) -> None:
        stale = self.stale(self.session)
        actions.close_session(self.stale(self.session))
        for act in (actions.close_session, actions.open_session):
            with self.assertRaises(Refused):
                act(stale)
        planned_one = planned(self.section)
        stale = self.stale(planned_one)
        actions.open_session(planned_one)
        with self.assertRaises(Refused):
            actions.set_samples(stale, [], False)
        self.assertEqual(planned_one.samples.count(), 1)

    def test_two_opens_freeze_once(self) -> None:
        session = planned(self.section)
        first, other = self.stale(session), self.stale(session)
        done = together(lambda: actions.open_session(first), lambda: actions.open_session(other))
        self.assertEqual(sorted(done), [False, True])

    def test_nothing_is_written_after_closing(self) -> None:
        """Entries that the server accepted before it closed stand; none is received after."""
        client = signed_in(self.student)

        def flood() -> None:
            for number in range(25):
                write(client, self.bench, entry("note", str(number)))

        together(flood, lambda: actions.close_session(self.stale(self.session)))
        closed = self.stale(self.session).closed_at
        assert closed
        self.assertFalse(Entry.objects.filter(received_at__gt=closed).exists())

    def test_one_bench_a_person_however_two_pages_move_them(self) -> None:
        for _ in range(5):
            first, other = self.stale(self.session), self.stale(self.session)
            together(
                lambda session=first: set_teams(session, [(self.student.pk, 1, False)]),
                lambda other=other: set_teams(other, [(self.student.pk, 2, False)]),
            )
            self.assertEqual(Bench.objects.filter(session=self.session, team=self.student).count(), 1)


class Releasing(Room):
    def act(self, action: str) -> int:
        address = f"/api/sessions/{self.session.pk}/state"
        return self.as_(self.instructor).post(address, {"action": action}, "application/json").status_code

    def test_not_while_the_session_runs_and_it_can_be_taken_back(self) -> None:
        self.assertEqual(self.act("release"), 409)
        self.assertEqual([self.act("close"), self.act("release")], [200, 200])
        self.session.refresh_from_db()
        self.assertTrue(self.session.released)
        self.assertEqual(self.act("take_back"), 200)
        self.session.refresh_from_db()
        self.assertFalse(self.session.released)

    def test_a_colleague_who_assists_neither_releases_nor_sees_hidden_values(self) -> None:
        self.section.assistants.add(self.stranger)
        client = self.as_(self.stranger)
        self.assertEqual(client.get(f"/api/sessions/{self.session.pk}/floor").status_code, 200)
        for action in ("open", "close", "release", "take_back"):
            answer = client.post(f"/api/sessions/{self.session.pk}/state", {"action": action}, "application/json")
            self.assertEqual(answer.status_code, 403)
        self.assertEqual(client.get(f"/api/sessions/{self.session.pk}").json()["samples"][0]["accepted"], {})
        self.assertEqual(
            client.post(f"/api/benches/{self.bench.pk}/store", {"name": "x"}, "application/json").status_code, 403
        )

    def test_somebody_named_twice_is_told(self) -> None:
        places = [{"person": self.student.pk, "bench": 1}, {"person": self.student.pk, "bench": 2}]
        answer = self.as_(self.instructor).put(
            f"/api/sessions/{self.session.pk}/teams", {"places": places}, "application/json"
        )
        self.assertEqual((answer.status_code, "twice" in answer.json()["problems"][0]), (422, True))


class FloorStamp(Room):
    """304 only while the floor would be the same."""

    def test_teams_projector_and_weak_tags(self) -> None:
        client = self.as_(self.instructor)
        address = f"/api/sessions/{self.session.pk}/floor"
        tag = client.get(address).headers["ETag"]

        def status(path: str, sent: str) -> int:
            return client.get(path, headers={"If-None-Match": sent}).status_code

        for sent in (tag, f"W/{tag}", f'"other", {tag}', "*"):
            self.assertEqual(status(address, sent), 304, sent)
        self.assertEqual(status(f"{address}?projector=true", tag), 200)
        set_teams(self.session, [(self.student.pk, 2, False)])
        self.assertEqual(status(address, tag), 200)

    def test_the_projector_shows_no_calls(self) -> None:
        write(self.as_(self.student), self.bench, entry("call", "I spilt the acid"))
        address = f"/api/sessions/{self.session.pk}/floor"
        shown = self.as_(self.instructor).get(address).json()["benches"][0]
        self.assertEqual(shown["call"], "I spilt the acid")
        projected = self.as_(self.instructor).get(f"{address}?projector=true").content.decode()
        self.assertNotIn("spilt", projected)
