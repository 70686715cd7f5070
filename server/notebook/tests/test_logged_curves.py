"""A logged curve becomes entries like any other, all of them or none."""

from typing import Any

from chromata_core.methods.registry import method
from labs import actions
from labs.live import evaluation_of
from labs.models import Bench
from labs.tests.room import WHEN, Room, entry, write

POTENTIOMETRIC = method("potentiometric-titration")


class LoggedCurve(Room):
    def setUp(self) -> None:
        options = dict(POTENTIOMETRIC.example.options)
        session = actions.plan_session(self.section, POTENTIOMETRIC.slug, "Iron", "1", WHEN, 90, options, {}, 1, [])
        actions.open_session(session)
        self.iron = session.benches.get()

    def points(self) -> list[tuple[str, str]]:
        found = {(key, index): text for key, trial, index, text in POTENTIOMETRIC.example.readings if trial == 1}
        return [(found["V", n], found["E", n]) for n in range(1, 27)]

    def send(self, text: str, bench: Bench | None = None, who: Any = None) -> Any:
        path = f"/api/benches/{(bench or self.iron).pk}/curve"
        return self.as_(who or self.student).post(path, {"key": "V", "trial": 1, "file": text}, "application/json")

    def test_a_whole_curve_gives_its_end_point(self) -> None:
        write(self.as_(self.student), self.iron, entry("m_before", "15.3310", 1), entry("m_after", "14.5173", 1))
        self.assertEqual(self.send("\n".join(map(",".join, self.points()))).status_code, 200)
        self.iron.refresh_from_db()
        purity = next(r for r in evaluation_of(self.iron, with_accepted=False).results if r.key == "w")
        self.assertAlmostEqual(purity.value, 98.2, delta=0.1)
        self.assertEqual(self.iron.entries.filter(key__in=("V", "E")).count(), 52)

    def test_it_goes_on_behind_what_was_read_by_hand(self) -> None:
        write(self.as_(self.student), self.iron, entry("V", "0.10", 1, index=1), entry("E", "275", 1, index=1))
        self.send("2.10,368\n")
        self.assertEqual(self.iron.entries.get(key="E", index=2).text, "368")

    def test_one_bad_value_and_nothing_is_kept(self) -> None:
        answer = self.send("0.10,275\n99.00,300\n")
        self.assertEqual(answer.status_code, 422)
        self.assertIn("past the last mark", str(answer.json()))
        self.assertFalse(self.iron.entries.exists())

    def test_only_where_there_is_a_curve_and_only_at_one_s_own_bench(self) -> None:
        self.assertIn("no curve", str(self.send("1,2\n", self.bench).json()))
        self.assertEqual(self.send("1,2\n", who=self.stranger).status_code, 404)
