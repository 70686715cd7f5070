"""What a process remembers of a session: forgotten where it changes here, and never what decides about writing."""

from labs.models import Session
from labs.tests.room import Room, entry, signed_in, write


class AroundABench(Room):
    def setUp(self) -> None:
        self.client = signed_in(self.instructor)
        self.at = f"/api/benches/{self.bench.pk}"
        self.assertEqual(self.state(), "open")

    def state(self) -> str:
        state: str = self.client.get(self.at).json()["session"]["state"]
        return state

    def test_a_session_closed_here_is_closed_at_the_next_look(self) -> None:
        with self.captureOnCommitCallbacks(execute=True):
            self.client.post(f"/api/sessions/{self.session.pk}/state", {"action": "close"}, "application/json")
        self.assertEqual(self.state(), "closed")

    def test_one_closed_elsewhere_takes_no_entry_more(self) -> None:
        """Whatever was remembered of it: it is looked at again under the lock of the bench."""
        self.assertEqual(self.state(), "open")
        Session.objects.filter(pk=self.session.pk).update(state=Session.State.CLOSED)
        self.assertEqual(self.state(), "closed")
        [kept] = write(self.client, self.bench, entry("V_s", "20.00"))
        self.assertFalse(kept["kept"])
        self.assertIn("not open", kept["problem"])

    def test_who_is_moved_to_another_bench_does_not_reach_the_first_any_more(self) -> None:
        """Though it is remembered who works where."""
        moved = signed_in(self.student)
        self.put_at(1)
        self.assertEqual(moved.get(self.at).status_code, 200)
        self.put_at(2)
        self.assertEqual(moved.get(self.at).status_code, 404)
        refused = moved.post(f"{self.at}/entries", {"entries": [entry("V_s", "20.00")]}, "application/json")
        self.assertEqual(refused.status_code, 404)

    def put_at(self, number: int) -> None:
        """Puts the student at the bench of this ``number``."""
        place = {"person": self.student.pk, "bench": number, "absent": False}
        with self.captureOnCommitCallbacks(execute=True):
            done = self.client.put(f"/api/sessions/{self.session.pk}/teams", {"places": [place]}, "application/json")
        self.assertEqual(done.status_code, 200)
