"""Turns while a class works, against cases worked by hand, and against what holds in any room."""

import random
from dataclasses import replace
from itertools import groupby, pairwise
from unittest import TestCase

from chromata_core.engine.context import context_of
from chromata_core.methods.registry import method
from chromata_core.planning.turns import Equipment, Placed, Problem, problem_of
from chromata_core.planning.turns_at_once import turns_at_once
from chromata_core.planning.turns_followed import Followed, Had, can_be_followed, followed, had_of
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import told_of


def bath(pieces: int = 1, places: int = 2, values: tuple[str, ...] = ("40", "60")) -> Equipment:
    return Equipment("Bath", pieces, places, 12, 4, values, "°C", 0, planned="T_plan")


# One bath of two places: 1 and 2 at 40 °C from 0, 3 and 4 from 12; set anew from 24; 60 °C from 28 and from 40 to 52.
ROOM = Problem((bath(),), dict.fromkeys((1, 2, 3, 4), 0))
PLANNED = turns_at_once(ROOM)


def ends(followed: Followed) -> list[tuple[int, int, list[int]]]:
    """Start, end and benches of what is drawn at the bath, settings left out."""
    return [
        (t.start, t.end, t.benches)
        for lane in followed.timetable.lanes
        if lane.piece >= 0
        for t in lane.turns
        if t.benches
    ]


class ByHand(TestCase):
    def test_who_keeps_time_keeps_the_plan(self) -> None:
        had = {(1, 0, "40"): Had(0.5, 0), (2, 0, "40"): Had(0.5, 0)}
        course = followed(ROOM, PLANNED, had, 6)
        self.assertEqual(ends(course), [(0, 12, [1, 2]), (12, 24, [3, 4]), (28, 40, [1, 2]), (40, 52, [3, 4])])
        self.assertEqual(
            (course.late, course.timetable.sentence), ([], "All are through after about 52 minutes, as planned.")
        )

    def test_what_comes_behind_waits_for_who_is_still_in_a_turn(self) -> None:
        had = {(1, 0, "40"): Had(1, 0), (2, 0, "40"): Had(0.5, 0)}  # minute 14: half of 12 minutes are left
        course = followed(ROOM, PLANNED, had, 14)
        self.assertEqual(ends(course)[1:], [(20, 32, [3, 4]), (36, 48, [1, 2]), (48, 60, [3, 4])])
        self.assertEqual([(late.bench, late.what) for late in course.late], [(2, "slow at bath 1, 40 °C")])
        self.assertIn("8 min longer", course.late[0].text)
        self.assertIn("8 later than planned", course.timetable.sentence)

    def test_who_is_not_ready_loses_its_place_and_nobody_waits(self) -> None:
        had = {(1, 0, "40"): Had(0.5, 0), (2, 0, "40"): Had(0, 20), (2, 0, "60"): Had(0, 34)}
        course = followed(ROOM, PLANNED, had, 8)  # bench 1 is through at 14
        expected = [(2, 14, [1]), (14, 26, [3, 4]), (30, 42, [1]), (42, 54, [3, 4]), (58, 70, [2]), (74, 86, [2])]
        self.assertEqual(ends(course), expected)
        self.assertEqual([(late.bench, late.turn) for late in course.late], [(2, "0:40")])
        self.assertIn("came 8 min ago", course.late[0].text)

    def test_a_class_that_is_late_together_keeps_its_order(self) -> None:
        had = {(bench, 0, value): Had(0, 15) for bench in ROOM.benches for value in ("40", "60")}
        course = followed(ROOM, PLANNED, had, 0)
        self.assertEqual(ends(course), [(15, 27, [1, 2]), (27, 39, [3, 4]), (43, 55, [1, 2]), (55, 67, [3, 4])])
        self.assertEqual(course.late, [])


class InAnyRoom(TestCase):
    def test_pieces_and_benches_are_never_at_two_things_at_once(self) -> None:
        for seed in range(60):
            drawn = random.Random(seed)
            values = ("20", "40", "60", "70")[: drawn.randint(2, 4)]
            room = Problem(
                (bath(drawn.randint(1, 3), drawn.randint(1, 3), values),),
                dict.fromkeys(range(1, drawn.randint(3, 12)), 0),
            )
            planned, now = turns_at_once(room), drawn.randint(0, 60)
            course = followed(room, planned, _progress(drawn, planned, now), now)
            with self.subTest(seed=seed):
                self._holds(room, course)

    def _holds(self, room: Problem, followed: Followed) -> None:
        lanes = [lane for lane in followed.timetable.lanes if lane.piece >= 0]
        had = sorted((bench, turn.value) for lane in lanes for turn in lane.turns for bench in turn.benches)
        self.assertEqual(had, sorted((bench, value) for bench, _, value in room.wanted()), "each turn once")
        for lane in lanes:
            for before, after in pairwise(lane.turns):
                self.assertLessEqual(before.end, after.start, (before, after))
            for _, turns in groupby(lane.turns, key=lambda turn: turn.start):
                self.assertLessEqual(sum(len(turn.benches) for turn in turns), room.equipment[0].places)


def _progress(drawn: random.Random, planned: list[Placed], now: int) -> dict[tuple[int, int, str], Had]:
    """Benches that are through with what was planned before, some in a turn, some late."""
    had = {}
    for placed in planned:
        if placed.end <= now:
            had[placed.bench, placed.equipment, placed.value] = Had(1, 0)
        elif placed.start <= now:
            had[placed.bench, placed.equipment, placed.value] = Had(
                drawn.choice((0, 0.3, 0.8, 1)), drawn.choice((0, 0, 3, 25))
            )
        else:
            had[placed.bench, placed.equipment, placed.value] = Had(0, max(placed.start - now, 0))
    return had


class FromTheRecord(TestCase):
    def test_equipment_of_which_no_record_tells_is_not_followed(self) -> None:
        chosen = method("rate-temperature")
        problem = problem_of(context_of(chosen, Sheet(chosen.example.options)).bound, 4)
        self.assertTrue(can_be_followed(problem, chosen.shared))
        earlier = [replace(shared, used_in=()) for shared in chosen.shared]
        self.assertFalse(can_be_followed(problem, earlier))

    def test_a_turn_is_had_by_its_readings_in_the_benches_own_order(self) -> None:
        chosen = method("rate-temperature")
        written = [reading for reading in chosen.example.readings if reading[1] == 1] + [("bath", 2, None, "set")]
        given = tuple(Given(key, text, trial, index) for key, trial, index, text in written)
        at = context_of(chosen, Sheet({**chosen.example.options, "T_plan": "22; 60; 40; 70"}, given=given))
        problem = problem_of(at.bound, 4)
        had = had_of(problem, at, told_of(at, {}), 3, 0.0)
        self.assertEqual([value for _, _, value in had], ["22", "60", "40", "70"])
        self.assertEqual((had[3, 0, "22"].share, had[3, 0, "40"].share), (1, 0))
        self.assertTrue(0 < had[3, 0, "60"].share < 1)
        self.assertGreater(had[3, 0, "70"].ready, had[3, 0, "40"].ready)
