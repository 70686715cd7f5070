"""One word to the whole room: at every bench and every sample, from the staff alone, or nowhere."""

from labs import actions
from labs.models import Session
from labs.tests.room import WHEN, Room, entry, record, write
from notebook.models import Entry
from people.models import Person


class ToAll(Room):
    def setUp(self) -> None:
        samples = [{"name": "A", "accepted": {}}, {"name": "B", "accepted": {}}]
        self.both = actions.plan_session(
            self.section, "acid-base-titration", "Two", "Room 1", WHEN, 90, {}, {}, 3, samples, all_samples=True
        )
        actions.open_session(self.both)

    def say(self, text: str, who: Person | None = None, session: Session | None = None) -> int:
        address = f"/api/sessions/{(session or self.both).pk}/message"
        return self.as_(who or self.assistant).post(address, {"text": text}, "application/json").status_code

    def test_it_stands_at_every_sample_of_every_bench_signed(self) -> None:
        self.assertEqual(self.say("  Ten minutes left "), 204)
        benches = list(self.both.benches.all())
        self.assertEqual(len(benches), 6)
        for bench in benches:
            [told] = bench.entries.all()
            self.assertEqual((told.key, told.text, told.author), ("message", "Ten minutes left", self.assistant))
            self.assertTrue(record(bench).whole)

    def test_refused_it_is_said_nowhere(self) -> None:
        self.assertEqual(self.say("   "), 400)
        self.assertEqual(self.say("x" * 301), 400)
        self.assertEqual(self.say("Hush", who=self.student), 403)
        self.assertEqual(self.say("Hush", who=self.stranger), 404)
        actions.close_session(self.both)
        self.assertEqual(self.say("Too late"), 422)
        self.assertFalse(Entry.objects.filter(bench__session=self.both).exists())


class Home(Room):
    def test_it_is_the_sample_that_was_written_on_last(self) -> None:
        for bench in (self.bench, self.other_bench):
            bench.team.add(self.student)
        client = self.as_(self.student)
        for bench in (self.bench, self.other_bench, self.bench, self.other_bench):
            write(client, bench, entry("note", "here", None))
            home = client.get("/api/benches").json()
            self.assertEqual(home[0]["id"], bench.pk)
            self.assertEqual(len(home), 2)
