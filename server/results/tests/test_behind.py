"""Who will not finish: clearly more work than the others have, and more than there is time for."""

from datetime import timedelta
from typing import Any

from django.utils import timezone

from labs.tests.room import Room, entry, titrate, write


class Behind(Room):
    def begun(self, ago: int) -> None:
        """The session of 90 min began so many minutes ago; one bench has titrated twice, the other only looked."""
        self.session.starts_at = timezone.now() - timedelta(minutes=ago)
        self.session.save()
        steps = ("labels", "fill", "portion")
        for bench in (self.bench, self.other_bench):
            write(self.as_(self.instructor), bench, entry("step.labels", "done"))
        titrate(self.as_(self.instructor), self.bench, ("0.00", "22.40"), ("0.00", "22.42"))
        ticks = [entry(f"step.{key}", "done", trial) for key in steps[2:] for trial in (1, 2)]
        write(self.as_(self.instructor), self.bench, entry("step.fill", "done"), *ticks)

    def floor(self) -> Any:
        return self.as_(self.instructor).get(f"/api/sessions/{self.session.pk}/floor").json()

    def late(self) -> list[tuple[int, str]]:
        return [(need["bench"], need["text"]) for need in self.floor()["needs"] if need["what"] == "may not finish"]

    def test_with_time_enough_nobody_is_behind(self) -> None:
        self.begun(10)
        self.assertEqual(self.late(), [])
        left = {tile["number"]: tile["minutes_left"] for tile in self.floor()["benches"]}
        self.assertLess(left[1] + 15, left[2])
        self.assertEqual(self.floor()["minutes_left"], left[1])

    def test_the_bench_that_has_more_to_do_than_there_is_time_is_named_once(self) -> None:
        self.begun(80)
        [(bench, text)] = self.late()
        self.assertEqual(bench, self.other_bench.number)
        self.assertIn("10 of the session", text)
        need = next(need for need in self.floor()["needs"] if need["what"] == "may not finish")
        write(self.as_(self.instructor), self.other_bench, entry("seen", need["id"]))
        self.assertEqual(self.late(), [])

    def test_a_plan_that_is_too_long_for_all_is_no_reason_to_walk_to_each(self) -> None:
        self.session.starts_at = timezone.now() - timedelta(minutes=85)
        self.session.save()
        self.assertEqual(self.late(), [])

    def test_before_its_time_nobody_is_late(self) -> None:
        self.begun(-30)
        self.assertEqual(self.late(), [])
