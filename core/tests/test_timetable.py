"""Turns at shared baths and meters: everybody comes to everything once, and nobody stands in two places."""

from collections import Counter
from collections.abc import Sequence
from dataclasses import replace
from itertools import pairwise, permutations, product
from unittest import TestCase

from hypothesis import given, settings
from hypothesis import strategies as st

from chromata_core.errors import ReadingError
from chromata_core.methods.registry import method
from chromata_core.planning.least_turns import least_minutes
from chromata_core.planning.solve_turns import Impossible, cohorts, solve
from chromata_core.planning.timetable import HANDS, Timetable, cures, drawn, orders_of, solved_at_once, timetables
from chromata_core.planning.turns import FREE, Equipment, Pin, Placed, Problem, checked_pins, problem_of
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Sheet

BATHS = ("Bath 1", "Bath 2", "Bath 3")
SECONDS = 2.0


def bound_to(slug: str, **options: str) -> Bound:
    return bind(method(slug), Sheet(options))


def baths(benches: int, **options: str) -> Timetable:
    return timetables(bound_to("rate-temperature", **options), benches)[0]


def holds(test: TestCase, problem: Problem, placed: Sequence[Placed]) -> None:
    """All that turns have to keep: each once, nobody twice at a time, places, settings, what comes first."""
    visits = Counter((turn.bench, turn.equipment, turn.value) for turn in placed)
    wanted = {
        (b, e, v) for b in problem.benches for e, equipment in enumerate(problem.equipment) for v in equipment.values
    }
    test.assertEqual((set(visits), set(visits.values()) or {1}), (wanted, {1}))
    for bench in problem.benches:
        mine = sorted((turn.start, turn.end) for turn in placed if turn.bench == bench)
        test.assertTrue(all(before[1] <= after[0] for before, after in pairwise(mine)), mine)
    for place, equipment in enumerate(problem.equipment):
        for piece in range(equipment.pieces):
            at_piece = sorted((t for t in placed if (t.equipment, t.piece) == (place, piece)), key=lambda t: t.start)
            for minute in {turn.start for turn in at_piece}:
                here = [turn for turn in at_piece if turn.start <= minute < turn.end]
                test.assertLessEqual(len(here), equipment.places)
                test.assertEqual(len({turn.value for turn in here}), 1)
            for before, after in pairwise(at_piece):
                if before.value != after.value:
                    test.assertGreaterEqual(after.start, before.end + equipment.change)
        for turn in placed:
            if turn.equipment == place:
                test.assertGreaterEqual(turn.start, problem.begins[turn.bench] + equipment.after)
                if equipment.free is not None and turn.value != equipment.free:
                    first = next(t for t in placed if (t.bench, t.value) == (turn.bench, equipment.free))
                    test.assertGreaterEqual(turn.start, first.end)


def brute_force(equipment: Equipment, benches: int) -> int:
    """The earliest end over every order in which all turns can be given out, each as soon as it can be: pieces are
    taken in every way too, and may come back to a value.
    """
    tasks = list(product(range(benches), equipment.values))
    best = 10**9
    for order in permutations(tasks):
        for pieces in product(range(equipment.pieces), repeat=len(tasks)):
            free = [0] * benches
            ready: list[tuple[int, str | None]] = [(0, None)] * equipment.pieces
            for (bench, value), piece in zip(order, pieces, strict=True):
                at, stands = ready[piece]
                start = max(free[bench], at + (equipment.change if stands not in (None, value) else 0))
                free[bench], ready[piece] = start + equipment.minutes, (start + equipment.minutes, value)
            best = min(best, max(free))
    return best


class Solver(TestCase):
    def test_small_cases_against_brute_force(self) -> None:
        """One bench at a place, so that every order can be tried."""
        for benches, pieces, values, minutes, change in (
            (2, 1, 2, 10, 5), (2, 1, 2, 10, 25), (3, 1, 2, 7, 3), (2, 2, 2, 10, 30), (2, 2, 3, 5, 4),
            (3, 2, 1, 8, 0), (1, 1, 3, 6, 2),
        ):  # fmt: skip
            equipment = Equipment("Bath", pieces, 1, minutes, change, tuple(map(str, range(values))), "°C", 0)
            problem = Problem((equipment,), dict.fromkeys(range(1, benches + 1), 0))
            with self.subTest(benches=benches, pieces=pieces, values=values, change=change):
                solved = solve(problem, SECONDS)
                holds(self, problem, solved.placed)
                self.assertTrue(solved.proven)
                self.assertEqual(solved.minutes, brute_force(equipment, benches))

    @settings(max_examples=25, deadline=None)
    @given(
        benches=st.integers(1, 9), pieces=st.integers(1, 3), places=st.integers(1, 4), values=st.integers(1, 4),
        change=st.integers(0, 20), free=st.booleans(), after=st.integers(0, 30), apart=st.integers(0, 20),
    )  # fmt: skip
    def test_any_room(
        self, benches: int, pieces: int, places: int, values: int, change: int, free: bool, after: int, apart: int
    ) -> None:
        names = tuple(map(str, range(values)))
        equipment = Equipment("Bath", pieces, places, 10, change, names, "°C", after, names[0] if free else None)
        problem = Problem((equipment,), {bench: bench % 2 * apart for bench in range(1, benches + 1)})
        at_once, solved = solved_at_once(problem), solve(problem, 0.4)
        for one_answer in (at_once, solved):
            holds(self, problem, one_answer.placed)
            self.assertEqual(one_answer.minutes, max(turn.end for turn in one_answer.placed))
            self.assertGreaterEqual(one_answer.minutes, least_minutes(problem))
        self.assertLessEqual(solved.minutes, at_once.minutes)

    def test_twenty_four_benches_are_proven(self) -> None:
        problem = problem_of(bound_to("rate-temperature"), 24)
        solved = solve(problem, 4)
        holds(self, problem, solved.placed)
        self.assertEqual((solved.minutes, solved.proven), (130, True))

    def test_two_kinds_of_equipment_in_their_order(self) -> None:
        problem = problem_of(bound_to("solubility-product"), 6)
        solved = solve(problem, SECONDS)
        holds(self, problem, solved.placed)
        spun = {
            placed.bench: placed.end
            for placed in solved.placed
            if problem.equipment[placed.equipment].label == "Centrifuge"
        }
        for placed in solved.placed:
            if problem.equipment[placed.equipment].label == "Spectrophotometer":
                self.assertGreaterEqual(placed.start, spun[placed.bench])

    def test_groups_that_come_one_after_the_other(self) -> None:
        problem = problem_of(bound_to("rate-temperature"), 8, groups=2, apart=30)
        solved = solve(problem, SECONDS)
        holds(self, problem, solved.placed)
        self.assertEqual({problem.begins[bench] for bench in (1, 4)}, {0})
        self.assertEqual({problem.begins[bench] for bench in (5, 8)}, {30})

    def test_benches_that_go_together_are_a_smaller_problem(self) -> None:
        together, who = cohorts(problem_of(bound_to("rate-temperature"), 10))
        self.assertEqual(({1: 4, 5: 4, 9: 2}, who[5]), (together.sizes, [5, 6, 7, 8]))

    def test_a_pinned_turn_stays_and_the_rest_goes_round_it(self) -> None:
        problem = problem_of(bound_to("rate-temperature"), 8)
        pins = [Pin(bench, 0, "70", 1, 24) for bench in (5, 6)]
        problem = replace(problem, pins=checked_pins(problem, pins))
        solved = solve(problem, SECONDS)
        holds(self, problem, solved.placed)
        for bench in (5, 6):
            self.assertIn(Placed(bench, 0, "70", 1, 24, 36), solved.placed)
        lane = next(lane for lane in drawn(problem, solved).lanes if lane.label == "Bath 2")
        self.assertEqual([turn.pinned for turn in lane.turns if turn.start == 24], [[5, 6]])

    def test_pins_that_contradict_each_other_and_pins_of_another_plan(self) -> None:
        problem = problem_of(bound_to("rate-temperature"), 8)
        twice = [Pin(1, 0, "40", 0, 24), Pin(1, 0, "60", 1, 30)]
        with self.assertRaises(Impossible):
            solve(replace(problem, pins=checked_pins(problem, twice)), SECONDS)
        for pin in (Pin(9, 0, "40", 0, 24), Pin(1, 3, "40", 0, 24), Pin(1, 0, "41", 0, 24), Pin(1, 0, "40", 7, 24),
                    Pin(1, 0, "40", FREE, 24), Pin(1, 0, "22", 0, 24), Pin(1, 0, "40", 0, 9999)):  # fmt: skip
            with self.subTest(pin), self.assertRaises(ReadingError):
                checked_pins(problem, [pin])


class Baths(TestCase):
    def test_everybody_comes_to_every_temperature_once_and_is_never_in_two_places(self) -> None:
        for benches, places, number in product((1, 5, 8, 13), ("1", "3", "4"), ("1", "2", "3")):
            with self.subTest(benches=benches, places=places, baths=number):
                bound = bound_to("rate-temperature", bath_places=places, baths=number, T_plan="22; 40; 55; 70")
                problem = problem_of(bound, benches)
                holds(self, problem, solved_at_once(problem).placed)

    def test_room_temperature_comes_first_and_then_the_baths_are_shared_out(self) -> None:
        """Eight benches at two baths of four: 12 min without, two turns of 12 at each bath, one set anew in 10 min, a
        last turn: 58 min by hand; half of them take the warmer bath first.
        """
        table = baths(8)
        self.assertEqual(table.lanes[0].label, "At room temperature")
        self.assertEqual(table.lanes[0].turns[0].benches, list(range(1, 9)))
        self.assertEqual((table.minutes, table.least), (58, 58))
        self.assertIn("Proven", table.sentence)
        self.assertEqual({tuple(o.values) for o in table.orders}, {("22", "40", "60", "70"), ("22", "60", "40", "70")})
        problem = problem_of(bound_to("rate-temperature"), 8)
        own = orders_of(problem, solved_at_once(problem).placed)
        self.assertEqual({value["T_plan"] for value in own.values()}, {"22; 40; 60; 70", "22; 60; 40; 70"})

    def test_a_bath_is_set_anew_between_two_temperatures_by_somebodys_hands(self) -> None:
        table = baths(8)
        for lane in table.lanes:
            for before, after in zip(lane.turns, lane.turns[1:], strict=False):
                if before.benches and after.benches:
                    self.assertEqual(before.label, after.label)
        hands = next(lane for lane in table.lanes if lane.label == HANDS)
        self.assertEqual([turn.label for turn in hands.turns], ["Bath 1 and 2 to 70 °C"])

    def test_more_baths_or_places_never_take_longer(self) -> None:
        times = [baths(12, bath_places=places).minutes for places in ("1", "2", "4", "12")]
        self.assertEqual(times, sorted(times, reverse=True))

    def test_what_to_drop_where_it_does_not_fit(self) -> None:
        bound = bound_to("rate-temperature")
        self.assertEqual(cures(bound, 8, 60), [])
        ways_out = cures(bound, 8, 50)
        self.assertIn({"T_plan": "22; 40; 60"}, [cure.options for cure in ways_out])
        for cure in ways_out:
            changed = bound_to("rate-temperature", **cure.options)
            self.assertLessEqual(timetables(changed, 8)[0].minutes, 50)
        self.assertEqual(len(cures(bound, 48, 10)), 1)  # nothing makes it fit: what comes nearest


class Meters(TestCase):
    def test_benches_queue_at_spectrophotometers_and_are_told_what_to_do_meanwhile(self) -> None:
        table = timetables(bound_to("beer-lambert", meters="2"), 8)[0]
        self.assertEqual(table.minutes, 25 + 48)  # four turns of twelve minutes, once there are standards to read
        self.assertEqual(table.lanes[0].turns[0].start, 25)
        self.assertEqual([turn.benches for turn in table.lanes[0].turns], [[1], [3], [5], [7]])
        self.assertIn("Make the standards", table.meanwhile)
        alone = timetables(bound_to("beer-lambert", meters="8"), 8)[0]
        self.assertEqual((alone.minutes, alone.meanwhile), (25 + 12, ""))
        self.assertIn("nobody waits", alone.sentence)

    def test_methods_that_share_nothing_have_no_timetable(self) -> None:
        self.assertEqual(timetables(bound_to("hydrate"), 8), [])
