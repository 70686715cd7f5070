"""Who uses what is shared, and when: benches take turns at baths and meters, so that as few as possible wait.

Turns are as long as a bench needs. A bath stands at one value at a time and is set to the next when every bench has had
it; where the first value needs no bath, everybody begins with it while the baths warm up.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from math import ceil

from chromata_core.declaration.option_kinds import ListOption
from chromata_core.declaration.options import active, listed
from chromata_core.declaration.preparation import Shared
from chromata_core.sheet.bound import Bound

FREE, WAITING = -1, -2  # lanes beside those of the equipment
_MOST_TURNS = 200


@dataclass(frozen=True, slots=True)
class Turn:
    """From ``start`` to ``end`` minutes after the beginning; no benches stand at equipment that is being set anew."""

    start: int
    end: int
    label: str
    benches: list[int]


@dataclass(frozen=True, slots=True)
class Lane:
    """What happens at one piece of equipment, or where none is needed."""

    label: str
    turns: list[Turn]


@dataclass(frozen=True, slots=True)
class Order:
    """The order in which a bench takes the planned values."""

    bench: int
    values: list[str]


@dataclass(frozen=True, slots=True)
class Timetable:
    """Lanes of shared equipment, each bench's order, and how long it takes in all; ``meanwhile`` is for who waits."""

    label: str
    minutes: int
    lanes: list[Lane]
    orders: list[Order]
    sentence: str
    meanwhile: str


@dataclass(slots=True)
class _Room:
    """What is still to be done, and where each piece of equipment stands."""

    left: dict[int, list[str]]
    stands: list[str | None]
    busy: list[int]  # the turn in which a piece is ready again
    placed: list[tuple[int, int, str, list[int]]] = field(default_factory=list)  # lane, turn, value, benches
    taken: dict[int, list[str]] = field(default_factory=dict)


def timetables(bound: Bound, benches: int) -> list[Timetable]:
    """One for each kind of shared equipment of the method, under these options."""
    return [timetable(bound, shared, benches) for shared in active(bound.method.shared, bound.options)]


def orders(bound: Bound, benches: int) -> dict[int, dict[str, str]]:
    """Each bench's own options: planned lists in the order of its turns, by bench number."""
    found: dict[int, dict[str, str]] = {number: {} for number in range(1, benches + 1)}
    for shared in active(bound.method.shared, bound.options):
        if shared.planned:
            for order in timetable(bound, shared, benches).orders:
                found[order.bench][shared.planned] = "; ".join(order.values)
    return found


def timetable(bound: Bound, shared: Shared, benches: int) -> Timetable:
    """Turns at ``shared`` for benches 1 to ``benches``."""
    pieces, places = (max(1, int(bound.number(key))) for key in (shared.number, shared.places))
    minutes = max(1, int(bound.number(shared.minutes)))
    change = ceil(int(bound.number(shared.change)) / minutes) if shared.change else 0
    values, unit = _values(bound, shared)
    free = values[0] if shared.free_first else None
    room = _Room({bench: [*values] for bench in range(1, benches + 1)}, [None] * pieces, [0] * pieces)
    turns = 0
    while any(room.left.values()) and turns < _MOST_TURNS:
        _one_turn(room, turns, places, change, free)
        turns += 1
    begins = int(bound.number(shared.after)) if shared.after else 0
    lanes = _lanes(room, shared, pieces, minutes, unit, begins)
    taken = [Order(bench, room.taken[bench]) for bench in sorted(room.taken)]
    waits = sum(len(turn.benches) for lane in lanes for turn in lane.turns if lane.label == "Waiting")
    whole = begins + turns * minutes
    sentence = f"{benches} benches are through after {whole} minutes"
    sentence += f", the first {begins} of them without the {shared.label.lower()}" if begins else ""
    sentence += f"; {waits} times a bench waits for a turn." if waits else "; nobody waits."
    return Timetable(shared.label, whole, lanes, taken, sentence, shared.meanwhile if waits else "")


def _values(bound: Bound, shared: Shared) -> tuple[list[str], str]:
    option = next((o for o in bound.method.all_options if o.key == shared.planned), None)
    if not isinstance(option, ListOption):
        return ["use"], ""
    return [str(value) for value in listed(option, bound.options[option.key])], option.unit


def _one_turn(room: _Room, turn: int, places: int, change: int, free: str | None) -> None:
    if free is not None and turn == 0:  # everybody at once: it needs nothing
        _place(room, FREE, turn, free, list(room.left))
        return
    idle = [bench for bench, left in room.left.items() if left]
    for piece in range(len(room.stands)):
        if room.busy[piece] > turn:
            continue
        wanted = _next_value(room, piece)
        if wanted is None:
            continue
        if wanted != room.stands[piece]:
            first = room.stands[piece] is None  # set before the session, or while all work at the free value
            room.stands[piece] = wanted
            if not first and change:
                room.busy[piece] = turn + change
                room.placed += [(piece, turn + n, f"to {wanted}", []) for n in range(change)]
                continue
        here = [bench for bench in idle if wanted in room.left[bench]]
        here = sorted(here, key=lambda bench: (-len(room.left[bench]), bench))[:places]
        idle = [bench for bench in idle if bench not in here]
        _place(room, piece, turn, wanted, here)
    if idle:
        room.placed.append((WAITING, turn, "", idle))


def _next_value(room: _Room, piece: int) -> str | None:
    """Where it stands as long as somebody needs that; else what most still need, rather not what another stands at."""
    open_ = [value for left in room.left.values() for value in left]
    if room.stands[piece] in open_:
        return room.stands[piece]
    others = {value for place, value in enumerate(room.stands) if place != piece}
    known = list(dict.fromkeys(open_))
    return min(known, key=lambda value: (value in others, -open_.count(value), known.index(value)), default=None)


def _place(room: _Room, lane: int, turn: int, value: str, benches: Sequence[int]) -> None:
    if not benches:
        return
    room.placed.append((lane, turn, value, sorted(benches)))
    for bench in benches:
        room.left[bench].remove(value)
        room.taken.setdefault(bench, []).append(value)


def _lanes(room: _Room, shared: Shared, pieces: int, minutes: int, unit: str, begins: int) -> list[Lane]:
    names: Mapping[int, str] = {
        FREE: shared.free_label,
        **{piece: f"{shared.label} {piece + 1}" for piece in range(pieces)},
        WAITING: "Waiting",
    }
    found = []
    for lane, name in names.items():
        here = sorted((turn, value, benches) for place, turn, value, benches in room.placed if place == lane)
        turns = [
            Turn(
                begins + turn * minutes,
                begins + (turn + 1) * minutes,
                f"{value} {unit}" if value and unit else "",
                benches,
            )
            for turn, value, benches in here
        ]
        if turns:
            found.append(Lane(name, turns))
    return found
