"""Turns at once, without a search: whoever is free first is next where a piece is free first."""

from dataclasses import dataclass, field

from chromata_core.planning.turns import FREE, Equipment, Placed, Problem


@dataclass(slots=True)
class _Room:
    """What is still to be done, from when each bench is free, and where each piece stands from when."""

    left: dict[int, set[tuple[int, str]]]
    free_at: dict[int, int]
    wanting: dict[tuple[int, str], set[int]] = field(default_factory=dict)
    stands: dict[tuple[int, int], str] = field(default_factory=dict)
    ready: dict[tuple[int, int], int] = field(default_factory=dict)
    placed: list[Placed] = field(default_factory=list)


def turns_at_once(problem: Problem) -> list[Placed]:
    """Turns that work, without pins; what is done is not among them."""
    first = min((equipment.after for equipment in problem.equipment), default=0)
    room = _Room(
        {bench: set() for bench in problem.benches},
        {bench: max(problem.now, problem.begins[bench] + first) for bench in problem.benches},
    )
    for bench, place, value in problem.wanted():
        room.left[bench].add((place, value))
        room.wanting.setdefault((place, value), set()).add(bench)
    for place, equipment in enumerate(problem.equipment):
        room.ready |= {(place, piece): problem.now for piece in range(equipment.pieces)}
        _free_turns(problem, room, place, equipment)
    while any(room.left.values()):
        _next_wave(problem, room)
    return room.placed


def _free_turns(problem: Problem, room: _Room, place: int, equipment: Equipment) -> None:
    for bench, left in room.left.items():
        if equipment.free is not None and (place, equipment.free) in left:
            start = max(room.free_at[bench], problem.begins[bench] + equipment.after)
            _put(room, problem, Placed(bench, place, equipment.free, FREE, start, start + equipment.minutes))


def _next_wave(problem: Problem, room: _Room) -> None:
    """The wave that can begin first is filled."""
    best: tuple[int, int, int, int, str, list[int]] | None = None
    for (place, piece), ready in sorted(room.ready.items(), key=lambda pair: pair[1]):
        if best is not None and ready > best[0]:
            break  # none of the others can begin as early
        best = min([*([best] if best else []), *_waves_at(problem, room, place, piece)], default=None)
    assert best is not None  # somebody still has a turn to be had, and every piece is free some time
    start, _, place, piece, value, benches = best
    equipment = problem.equipment[place]
    for bench in benches:
        _put(room, problem, Placed(bench, place, value, piece, start, start + equipment.minutes))
    room.stands[place, piece], room.ready[place, piece] = value, start + equipment.minutes


def _waves_at(problem: Problem, room: _Room, place: int, piece: int) -> list[tuple[int, int, int, int, str, list[int]]]:
    """The next wave at a piece: at the value at which it stands while somebody needs it, else at any other."""
    equipment, stands = problem.equipment[place], room.stands.get((place, piece))
    values = [value for value in equipment.values if room.wanting.get((place, value))]
    values = [stands] if stands in values else values
    elsewhere = {v for (at, other), v in room.stands.items() if at == place and other != piece}
    waves = []
    for value in values:
        wanting = room.wanting[place, value]
        may = {bench: at for bench in wanting if (at := _may(problem, room, bench, place)) is not None}
        if not may:
            continue
        ready = room.ready[place, piece] + (equipment.change if stands not in (None, value) else 0)
        start = max(ready, min(may.values()))
        here = sorted((bench for bench, at in may.items() if at <= start), key=lambda b: (-len(room.left[b]), b))
        # Rather a value at which no other piece stands, and one that most still need.
        waves.append((start, (value in elsewhere) * 1000 - len(may), place, piece, value, here[: equipment.places]))
    return waves


def _may(problem: Problem, room: _Room, bench: int, place: int) -> int | None:
    """From when a bench may come; None while something else has to be done first."""
    equipment = problem.equipment[place]
    before = {at for at, other in enumerate(problem.equipment) if other.label == equipment.follows}
    if any(at in before for at, _ in room.left[bench]):
        return None
    return max(room.free_at[bench], problem.begins[bench] + equipment.after)


def _put(room: _Room, problem: Problem, placed: Placed) -> None:
    room.placed.append(placed)
    room.left[placed.bench].discard((placed.equipment, placed.value))
    room.wanting[placed.equipment, placed.value].discard(placed.bench)
    room.free_at[placed.bench] = placed.end
