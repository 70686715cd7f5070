"""Turns at shared baths and meters: everybody comes to everything once, and nobody stands in two places."""

from collections import Counter
from itertools import product
from unittest import TestCase

from chromata_core.methods.registry import method
from chromata_core.planning.timetable import Timetable, orders, timetables
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet

BATHS = ("Bath 1", "Bath 2", "Bath 3")


def baths(benches: int, **options: str) -> Timetable:
    return timetables(bind(method("rate-temperature"), Sheet(options)), benches)[0]


class Baths(TestCase):
    def test_everybody_comes_to_every_temperature_once_and_is_never_in_two_places(self) -> None:
        for benches, places, number in product((1, 5, 8, 13), ("1", "3", "4"), ("1", "2", "3")):
            with self.subTest(benches=benches, places=places, baths=number):
                table = baths(benches, bath_places=places, baths=number, T_plan="22; 40; 55; 70")
                used = [turn for lane in table.lanes if lane.label != "Waiting" for turn in lane.turns if turn.benches]
                visits = Counter((bench, turn.label) for turn in used for bench in turn.benches)
                self.assertEqual(set(visits.values()), {1})
                self.assertEqual(len(visits), 4 * benches)
                at_once = Counter((bench, turn.start) for turn in used for bench in turn.benches)
                self.assertEqual(set(at_once.values()), {1})
                self.assertTrue(
                    all(len(t.benches) <= int(places) for ln in table.lanes if ln.label in BATHS for t in ln.turns)
                )
                self.assertEqual(table.minutes, max(turn.end for turn in used))

    def test_room_temperature_comes_first_and_then_the_baths_are_shared_out(self) -> None:
        """Eight benches at two baths of four: an hour, half of them take the warmer bath first (worked by hand)."""
        table = baths(8)
        self.assertEqual(table.lanes[0].label, "At room temperature")
        self.assertEqual(table.lanes[0].turns[0].benches, list(range(1, 9)))
        self.assertEqual(table.minutes, 60)
        self.assertEqual({tuple(o.values) for o in table.orders}, {("22", "40", "60", "70"), ("22", "60", "40", "70")})
        own = orders(bind(method("rate-temperature"), Sheet()), 8)
        self.assertEqual((own[1], own[5]), ({"T_plan": "22; 40; 60; 70"}, {"T_plan": "22; 60; 40; 70"}))

    def test_a_bath_is_set_anew_between_two_temperatures(self) -> None:
        for lane in baths(8).lanes:
            if lane.label not in BATHS:
                continue
            for before, after in zip(lane.turns, lane.turns[1:], strict=False):
                if before.benches and after.benches:
                    self.assertEqual(before.label, after.label)
            self.assertTrue(any(turn.label.startswith("to 70") and not turn.benches for turn in lane.turns))

    def test_more_baths_or_places_never_take_longer(self) -> None:
        times = [baths(12, bath_places=places).minutes for places in ("1", "2", "4", "12")]
        self.assertEqual(times, sorted(times, reverse=True))


class Meters(TestCase):
    def test_benches_queue_at_spectrophotometers_and_are_told_what_to_do_meanwhile(self) -> None:
        table = timetables(bind(method("beer-lambert"), Sheet({"meters": "2"})), 8)[0]
        self.assertEqual(table.minutes, 25 + 48)  # four turns of twelve minutes, once there are standards to read
        self.assertEqual(table.lanes[0].turns[0].start, 25)
        self.assertEqual([turn.benches for turn in table.lanes[0].turns], [[1], [3], [5], [7]])
        self.assertIn("Make the standards", table.meanwhile)
        alone = timetables(bind(method("beer-lambert"), Sheet({"meters": "8"})), 8)[0]
        self.assertEqual((alone.minutes, alone.meanwhile), (25 + 12, ""))
        self.assertIn("nobody waits", alone.sentence)

    def test_methods_that_share_nothing_have_no_timetable(self) -> None:
        self.assertEqual(timetables(bind(method("hydrate"), Sheet()), 8), [])
