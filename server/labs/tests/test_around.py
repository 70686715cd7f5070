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
