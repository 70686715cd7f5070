"""Turns at shared baths while the class works: who is late for one is told, and marked seen."""

from datetime import datetime, timedelta
from typing import Any

from django.utils import timezone

from labs import actions
from labs.tests.room import WHEN, Room, entry, write


class LiveTurns(Room):
    def setUp(self) -> None:
        options = {"T_plan": "22; 40; 60", "baths": "1", "bath_places": "2", "bath_minutes": "15"}
        self.rates = actions.plan_session(
            self.section, "rate-temperature", "Rates", "Room 1", WHEN, 120, options, {}, 4, []
        )
        actions.open_session(self.rates)

    def begun(self, minutes: int) -> None:
        self.rates.starts_at = self.rates.opened_at = timezone.now() - timedelta(minutes=minutes)
        self.rates.save()

    def floor(self) -> Any:
        return self.as_(self.instructor).get(f"/api/sessions/{self.rates.pk}/floor").json()

    def late(self) -> list[dict[str, Any]]:
        return [need for need in self.floor()["needs"] if need["id"].startswith("turn:")]

    def test_a_class_that_has_just_begun_is_in_its_plan(self) -> None:
        self.begun(0)
        turns = self.floor()["turns"]
        self.assertEqual(turns["now"], 0)
        self.assertEqual(
            {lane["label"] for lane in turns["timetable"]["lanes"]}, {"At room temperature", "Bath 1", "Your hands"}
        )

    def test_who_is_not_ready_while_others_are_is_named_until_it_is_seen(self) -> None:
        self.begun(25)
        ready = self.rates.benches.order_by("number")[1:]
        student = self.as_(self.instructor)
        for bench in ready:
            runs = [
                entry(key, text, 1, index=index)
                for index in (1, 2)
                for key, text in (("T_a", "21.8"), ("T_b", "21.9"), ("t", "84.3"))
            ]
            write(
                student,
                bench,
                entry("step.labels", "done"),
                entry("bath", "room", 1),
                entry("clear", "clear", 1),
                *runs,
            )
        late = self.late()
        self.assertEqual([need["bench"] for need in late], [1])
        self.assertIn("the others go on", late[0]["text"])
        write(student, self.rates.benches.get(number=1), entry("seen", late[0]["id"]))
        self.assertEqual(self.late(), [])

    def after_the_start(self, clock: str) -> int:
        """Minutes from the session's beginning to what a clock shows next: it may be past midnight."""
        begins = timezone.localtime(self.rates.starts_at)
        shown = datetime.strptime(clock, "%H:%M")
        return ((shown.hour - begins.hour) * 60 + shown.minute - begins.minute) % (24 * 60)

    def test_a_bench_is_told_when_it_has_its_turns(self) -> None:
        self.begun(5)
        bench = self.rates.benches.get(number=3)
        told = self.as_(self.instructor).get(f"/api/benches/{bench.pk}").json()["targets"]
        self.assertEqual([turn["label"] for turn in told[:2]], ["Bath 1, 40 °C", "Bath 1, 60 °C"])
        first, second = (self.after_the_start(turn["text"]) for turn in told[:2])
        self.assertLess(first, second)
        self.assertLess(second, self.rates.minutes)

    def test_what_shares_nothing_has_no_turns(self) -> None:
        floor = self.as_(self.instructor).get(f"/api/sessions/{self.session.pk}/floor").json()
        self.assertIsNone(floor["turns"])
