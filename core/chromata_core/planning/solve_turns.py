"""Turns solved by a constraint solver (CP-SAT of OR-tools): when at the earliest all are through, and then so that
nobody waits longer than needed.

A piece takes its benches in waves: those of one wave begin together. It stands once at each value. What it cannot be
faster than comes from the waves alone, benches left out: where the two meet, the answer is proven.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from itertools import pairwise
from math import ceil
from typing import TYPE_CHECKING, Any

from chromata_core.errors import ChromataError
from chromata_core.planning.least_turns import least_minutes
from chromata_core.planning.turns import FREE, Equipment, Placed, Problem, Solved
from chromata_core.planning.turns_at_once import turns_at_once

if TYPE_CHECKING:  # 2 s to import, and only needed by who plans turns
    from ortools.sat.python.cp_model import CpModel, CpSolver, IntVar

_WORKERS, _SEED = 2, 7
_TOGETHER = 0.5  # of the time: benches that go together, before each goes alone
_FOR_WAITS = 0.25  # of that: once it is known until when


@dataclass(frozen=True, slots=True)
class _Wave:
    """One filling of a piece at a value: when it begins, and whether each bench is in it."""

    equipment: int
    value: str
    piece: int
    start: "IntVar"
    here: "dict[int, IntVar]"


class Impossible(ChromataError):
    """Pins that contradict each other."""


def solve(problem: Problem, seconds: float) -> Solved:
    """The best turns that are found in so many ``seconds``. Impossible where pins cannot be kept."""
    if not problem.wanted():
        end = max((placed.end for placed in problem.done), default=0)
        return Solved(problem.done, end, end)
    least, solved = least_minutes(problem), None
    if not problem.pins:
        known = turns_at_once(problem)
        solved = Solved(tuple(known), max(placed.end for placed in known), least)
    if _size(problem) > _LARGEST:  # more than can be looked through in the time: what comes at once
        if problem.pins:
            raise Impossible(_TOO_MUCH)
        assert solved is not None
        return Solved((*problem.done, *solved.placed), solved.minutes, least)
    together, who = cohorts(problem)
    if len(who) < len(problem.benches):
        solved = _better(solved, _apart(_search(together, seconds * _TOGETHER, least, solved), who))
        seconds *= 1 - _TOGETHER
    if solved is None or not solved.proven:
        solved = _better(solved, _search(problem, seconds, least, solved))
    if solved is None:
        raise Impossible(_TOO_LONG)
    return Solved((*problem.done, *solved.placed), solved.minutes, max(solved.least, least))


_PINS = (
    "These pins cannot all be kept: a bench would be in two places at once, or turns at one piece overlap without "
    "beginning together. Take one out."
)
_TOO_MUCH = "So many benches, values and pieces cannot be solved around pins. Take the pins out, or plan fewer of them."
_LARGEST = 60_000  # questions whether a bench is in a wave


def _size(problem: Problem) -> int:
    """How many questions the solver would be asked."""
    waves = sum(
        equipment.pieces
        * len(equipment.at_pieces)
        * (ceil(len(problem.benches) / equipment.places) + len(problem.pins))
        for equipment in problem.equipment
    )
    return waves * len(problem.benches)


_TOO_LONG = "No turns were found around these pins in the time there is. Take one out, or put it elsewhere."


def cohorts(problem: Problem) -> tuple[Problem, dict[int, list[int]]]:
    """The same with benches that go together as one, as many as a piece takes: a smaller problem whose every answer is
    one of the larger. With it, who goes as which.
    """
    size = min((equipment.places for equipment in problem.equipment), default=1)
    alike: dict[object, list[int]] = {}
    for bench in problem.benches:
        had = frozenset(
            (placed.equipment, placed.value, placed.end) for placed in problem.done if placed.bench == bench
        )
        pins = frozenset((p.equipment, p.value, p.piece, p.start) for p in problem.pins if p.bench == bench)
        alike.setdefault((problem.begins[bench], had, pins), []).append(bench)
    who = {row[at]: row[at : at + size] for row in alike.values() for at in range(0, len(row), size)}
    return replace(
        problem,
        begins={bench: problem.begins[bench] for bench in who},
        pins=tuple(pin for pin in problem.pins if pin.bench in who),
        done=tuple(placed for placed in problem.done if placed.bench in who),
        sizes={bench: len(others) for bench, others in who.items()},
    ), who


def _apart(solved: Solved | None, who: Mapping[int, Sequence[int]]) -> Solved | None:
    """Of those that go together each by itself."""
    if solved is None:
        return None
    return replace(
        solved, placed=tuple(replace(placed, bench=bench) for placed in solved.placed for bench in who[placed.bench])
    )


def _better(first: Solved | None, other: Solved | None) -> Solved | None:
    """Which is through first; of two that are, that which leaves benches free sooner."""
    known = [solved for solved in (first, other) if solved]
    return min(known, key=lambda solved: (solved.minutes, _all_ends(solved)), default=None)


def _all_ends(solved: Solved) -> int:
    ends: dict[int, int] = {}
    for placed in solved.placed:
        ends[placed.bench] = max(ends.get(placed.bench, 0), placed.end)
    return sum(ends.values())


def _search(problem: Problem, seconds: float, least: int, known: Solved | None) -> Solved | None:
    """The earliest end that is found, and then turns that leave nobody waiting longer than it needs; without what is
    done. None where there is nothing.
    """
    from ortools.sat.python import cp_model

    model = cp_model.CpModel()
    horizon = known.minutes if known else _horizon(problem)
    waves, ends = _model(model, problem, horizon, known.placed if known else turns_at_once(problem))
    last = model.new_int_var(min(least, horizon), horizon, "last")
    model.add_max_equality(last, ends)
    model.minimize(last)
    solver = _solver(cp_model.CpSolver(), seconds * (1 - _FOR_WAITS))
    status = solver.solve(model)
    if status == cp_model.INFEASIBLE and known is None and not problem.sizes:
        raise Impossible(_PINS)
    if status not in (cp_model.OPTIMAL, cp_model.FEASIBLE):
        return None
    minutes, bound = round(solver.objective_value), round(solver.best_objective_bound)
    placed = _placed(solver, problem, waves)
    model.add(last <= minutes)
    model.minimize(sum(ends))  # who is through early can go on: what the whole room waits
    _hint_again(model, solver)
    solver = _solver(cp_model.CpSolver(), seconds * _FOR_WAITS)
    if solver.solve(model) in (cp_model.OPTIMAL, cp_model.FEASIBLE):
        placed = _placed(solver, problem, waves)
    # Waves that begin together bind nobody only where each piece has one place: else what they prove is of waves alone.
    alone = not problem.sizes and all(equipment.places == 1 for equipment in problem.equipment)
    end = max(turn.end for turn in placed)  # who leaves benches free sooner may have ended sooner, too
    return Solved(tuple(placed), end, bound if alone else least)


def _solver(solver: "CpSolver", seconds: float) -> "CpSolver":
    solver.parameters.max_time_in_seconds = max(seconds, 0.2)
    solver.parameters.num_workers = _WORKERS
    solver.parameters.random_seed = _SEED
    return solver


def _hint_again(model: "CpModel", solver: "CpSolver") -> None:
    model.clear_hints()
    for number in range(len(model.proto.variables)):
        var = model.get_int_var_from_proto_index(number)
        if number < len(solver.response_proto.solution):
            model.add_hint(var, solver.response_proto.solution[number])


def _horizon(problem: Problem) -> int:
    """By when all are through whatever happens."""
    longest = problem.now + max(problem.begins.values()) + max((pin.start for pin in problem.pins), default=0)
    for equipment in problem.equipment:
        count = ceil(len(problem.benches) / (equipment.places * equipment.pieces)) + 1
        longest += equipment.after + (count * equipment.minutes + equipment.change) * (len(equipment.values) + 1)
    return longest


def _model(
    model: "CpModel", problem: Problem, horizon: int, hint: Sequence[Placed]
) -> tuple[list[_Wave], "list[IntVar]"]:
    """Waves, and when each bench is through."""
    waves: list[_Wave] = []
    for place, equipment in enumerate(problem.equipment):
        waves += _waves(model, problem, place, equipment, horizon)
    for place, equipment in enumerate(problem.equipment):
        for piece in range(equipment.pieces):
            mine = [wave for wave in waves if (wave.equipment, wave.piece) == (place, piece)]
            _one_value_at_a_time(model, equipment, mine, horizon, f"{place} {piece}")
    for bench, place, value in problem.wanted():
        fits = [wave.here[bench] for wave in waves if (wave.equipment, wave.value) == (place, value)]
        model.add_exactly_one(fits)
    ends = [_one_thing_at_a_time(model, problem, bench, waves, horizon) for bench in problem.benches]
    _pinned(model, problem, waves)
    _from(model, waves, hint)
    return waves, ends


def _waves(model: "CpModel", problem: Problem, place: int, equipment: Equipment, horizon: int) -> list[_Wave]:
    waves: list[_Wave] = []
    for value in equipment.values:
        who = [bench for bench, at, wanted in problem.wanted() if (at, wanted) == (place, value)]
        pieces = (FREE,) if value == equipment.free else tuple(range(equipment.pieces))
        # Free turns need no piece: those who come together begin together.
        count = (
            len(set(problem.begins.values())) + len(problem.pins)
            if value == equipment.free
            else ceil(sum(map(problem.size, who)) / equipment.places)
        )
        if value != equipment.free and problem.pins:
            count = min(len(who), count + len(problem.pins))
        for piece in pieces:
            row = [
                _wave(model, problem, equipment, (place, value, piece, number), who, horizon) for number in range(count)
            ]
            for before, after in pairwise(row):
                model.add(after.start >= before.start + (0 if value == equipment.free else equipment.minutes))
            waves += row
    return waves


def _wave(
    model: "CpModel",
    problem: Problem,
    equipment: Equipment,
    named: tuple[int, str, int, int],
    who: Sequence[int],
    horizon: int,
) -> _Wave:
    place, value, piece, _ = named
    start = model.new_int_var(problem.now, horizon, f"{named}")
    here = {bench: model.new_bool_var(f"{bench} in {named}") for bench in who}
    if piece != FREE:
        model.add(sum(problem.size(bench) * is_here for bench, is_here in here.items()) <= equipment.places)
    for bench, is_here in here.items():
        model.add(start >= problem.begins[bench] + equipment.after).only_enforce_if(is_here)
    return _Wave(place, value, piece, start, here)


def _one_value_at_a_time(
    model: "CpModel", equipment: Equipment, waves: Sequence[_Wave], horizon: int, name: str
) -> None:
    """From the first wave of a value to its last a piece stands at it; then it is set anew."""
    stands = []
    for value in equipment.at_pieces:
        mine = [wave for wave in waves if wave.value == value]
        if not mine:
            continue
        begin, end = (
            model.new_int_var(0, horizon + equipment.change, f"{name} {value} {what}") for what in ("from", "to")
        )
        is_used = model.new_bool_var(f"{name} stands at {value}")
        for wave in mine:
            filled = model.new_bool_var("filled")
            model.add_max_equality(filled, wave.here.values())
            model.add_implication(filled, is_used)
            model.add(wave.start >= begin).only_enforce_if(filled)
            model.add(wave.start + equipment.minutes <= end).only_enforce_if(filled)
        size = model.new_int_var(0, 2 * horizon, "size")
        stands.append(model.new_optional_interval_var(begin, size, end + equipment.change, is_used, f"{name} {value}"))
    if stands:
        model.add_no_overlap(stands)


def _one_thing_at_a_time(
    model: "CpModel", problem: Problem, bench: int, waves: Sequence[_Wave], horizon: int
) -> "IntVar":
    """A bench is at one place at a time, begins with what needs no piece, and is through with its last turn."""
    starts: dict[tuple[int, str], Any] = {}
    intervals = []
    for _, place, value in [wanted for wanted in problem.wanted() if wanted[0] == bench]:
        equipment = problem.equipment[place]
        start = model.new_int_var(problem.now, horizon, f"{bench} at {value}")
        for wave in waves:
            if (wave.equipment, wave.value) == (place, value):
                model.add(start == wave.start).only_enforce_if(wave.here[bench])
        starts[place, value] = start
        intervals.append(model.new_fixed_size_interval_var(start, equipment.minutes, f"{bench} at {value}"))
    model.add_no_overlap(intervals)
    for (place, value), start in starts.items():
        equipment = problem.equipment[place]
        if equipment.free is not None and value != equipment.free and (place, equipment.free) in starts:
            model.add(start >= starts[place, equipment.free] + equipment.minutes)
        for (other, _), before in starts.items():
            if problem.equipment[other].label == equipment.follows:
                model.add(start >= before + problem.equipment[other].minutes)
    end = model.new_int_var(0, horizon, f"{bench} through")
    if starts:
        model.add_max_equality(end, [start + problem.equipment[place].minutes for (place, _), start in starts.items()])
    return end


def _pinned(model: "CpModel", problem: Problem, waves: Sequence[_Wave]) -> None:
    for pin in problem.pins:
        mine = [w for w in waves if (w.equipment, w.value, w.piece) == (pin.equipment, pin.value, pin.piece)]
        fits = [wave for wave in mine if pin.bench in wave.here]
        if fits:  # what a bench has had already cannot be pinned any more
            model.add_at_least_one([wave.here[pin.bench] for wave in fits])
            for wave in fits:
                model.add(wave.start == pin.start).only_enforce_if(wave.here[pin.bench])


def _from(model: "CpModel", waves: Sequence[_Wave], hint: Sequence[Placed]) -> None:
    """Begins the search from turns that are known to work."""
    for place, value, piece in dict.fromkeys((w.equipment, w.value, w.piece) for w in waves):
        mine = [w for w in waves if (w.equipment, w.value, w.piece) == (place, value, piece)]
        known = [placed for placed in hint if (placed.equipment, placed.value, placed.piece) == (place, value, piece)]
        for wave, start in zip(mine, sorted({placed.start for placed in known}), strict=False):
            model.add_hint(wave.start, start)
            there = {placed.bench for placed in known if placed.start == start}
            for bench, is_here in wave.here.items():
                model.add_hint(is_here, bench in there)


def _placed(solver: "CpSolver", problem: Problem, waves: Sequence[_Wave]) -> list[Placed]:
    return [
        Placed(bench, wave.equipment, wave.value, wave.piece, solver.value(wave.start),
               solver.value(wave.start) + problem.equipment[wave.equipment].minutes)
        for wave in waves
        for bench, is_here in wave.here.items()
        if solver.value(is_here)
    ]  # fmt: skip
