"""Turns while a class works: how much each bench has had of them, and when the rest come if somebody lags.

Nothing is solved anew: benches have their orders. Whoever is ready keeps the planned minute; who is in a turn keeps its
piece until it is through; what comes behind waits. For a bench that is not ready a piece waits ``PATIENCE`` minutes at
most, then the others go on and its turns come behind theirs.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace
from math import ceil

from chromata_core.declaration.options import listed
from chromata_core.declaration.preparation import Shared
from chromata_core.engine.context import Context
from chromata_core.planning.timetable import Timetable, drawn
from chromata_core.planning.turns import FREE, Equipment, Placed, Problem, Solved
from chromata_core.telling.minutes import minutes_left
from chromata_core.telling.outcome import Evaluation, Hand

PATIENCE = 5  # minutes; common practice, no published source

_Key = tuple[int, int, str]  # bench, equipment, value


@dataclass(frozen=True, slots=True)
class Had:
    """How much a bench has had of a turn (0 to 1), and in how many minutes it will be ready for what is left."""

    share: float
    ready: float


@dataclass(frozen=True, slots=True)
class Late:
    """A bench that is not ready when its turn comes, or has one longer than planned, from minute ``since`` on; ``turn``
    tells it from others.
    """

    bench: int
    turn: str
    since: int
    what: str
    text: str


@dataclass(frozen=True, slots=True)
class Followed:
    """The timetable as it goes on from minute ``now``, and who is late for it."""

    timetable: Timetable
    now: int
    late: list[Late]


def can_be_followed(problem: Problem, shared: Sequence[Shared]) -> bool:
    """Whether records tell of every turn: declarations of one's own, and those of earlier releases, may not say how."""
    told = {gear.label for gear in shared if gear.used_in}
    return all(equipment.label in told for equipment in problem.equipment)


def had_of(problem: Problem, at: Context, told: Evaluation, bench: int, now: float) -> dict[_Key, Had]:
    """What the record of ``bench`` says of its turns; ``now`` in seconds of the epoch."""
    shared = {gear.label: gear for gear in at.bound.method.shared}
    had: dict[_Key, Had] = {}
    for place, equipment in enumerate(problem.equipment):
        values = _values(at, equipment)
        for number, value in enumerate(values, 1):
            mine = _tasks(at, told, shared[equipment.label], number if equipment.planned else None)
            had[bench, place, value] = _had(told, mine, now)
    return had


def _values(at: Context, equipment: Equipment) -> Sequence[str]:
    """At what the bench works, in its own order."""
    option = next((option for option in at.bound.lists if option.key == equipment.planned), None)
    return (
        equipment.values if option is None else [str(value) for value in listed(option, at.bound.options[option.key])]
    )


def _tasks(at: Context, told: Evaluation, shared: Shared, number: int | None) -> list[Hand]:
    return [
        task
        for task in told.tasks
        if (task.step in shared.used_in or task.name in shared.used_in)
        and not task.optional
        and task.trial not in at.computed.voided
        and (number is None or (task.trial is not None and at.bound.place(task.trial) == number))
    ]


def _had(told: Evaluation, tasks: Sequence[Hand], now: float) -> Had:
    ahead = [task for task in tasks if not task.done]
    if not ahead:
        return Had(1.0 if tasks else 0.0, 0.0)
    first = next(
        (at for at, step in enumerate(told.steps) if (step.key, step.trial) == (ahead[0].step, ahead[0].trial)), 0
    )
    return Had(1 - len(ahead) / len(tasks), minutes_left(told.steps[:first], now))


@dataclass(slots=True)
class _Room:
    now: int
    free_at: dict[int, float]
    ready: dict[tuple[int, int], tuple[int, str | None]] = field(default_factory=dict)
    placed: list[Placed] = field(default_factory=list)
    late: list[Late] = field(default_factory=list)


def followed(problem: Problem, planned: Sequence[Placed], had: Mapping[_Key, Had], now: int) -> Followed:
    """How ``planned`` turns will go on from minute ``now``, by what benches ``had`` of them."""
    room = _Room(now, {bench: float(now) for bench in problem.benches})
    waiting: list[Placed] = []
    left = _together(planned)
    while left:
        together, *left = left
        waiting += _go_on(problem, room, together, [other for others in left for other in others], had)
    for placed in sorted(waiting, key=lambda turn: (turn.start, turn.bench)):
        _behind(problem, room, placed, had)
    minutes = max((placed.end for placed in room.placed), default=0)
    table = drawn(problem, Solved(tuple(room.placed), minutes, minutes))
    sentence = _sentence(minutes, max((placed.end for placed in planned), default=0))
    first = {late.bench: late for late in reversed(room.late)}  # who is late for one turn is late for those behind it
    return Followed(replace(table, sentence=sentence), now, [late for late in room.late if first[late.bench] is late])


def _together(planned: Sequence[Placed]) -> list[list[Placed]]:
    """Turns that are had together, in the order in which they were planned."""
    together: dict[tuple[int, int, int, str], list[Placed]] = {}
    for placed in sorted(planned, key=lambda turn: (turn.start, turn.bench)):
        together.setdefault((placed.start, placed.equipment, placed.piece, placed.value), []).append(placed)
    return list(together.values())


def _go_on(
    problem: Problem, room: _Room, together: list[Placed], later: Sequence[Placed], had: Mapping[_Key, Had]
) -> list[Placed]:
    """Places the turns of benches that go together; those for which the others do not wait come back."""
    first, equipment = together[0], problem.equipment[together[0].equipment]
    share = {placed.bench: _of(had, placed).share for placed in together}
    base = _begins(room, together, later, equipment, had)
    slow = {
        placed.bench for placed in together if not share[placed.bench] and _comes(room, placed, had) > base + PATIENCE
    }
    gone = [placed for placed in together if placed.bench in slow and placed.piece != FREE]
    room.late += [_not_ready(placed, equipment, room.now - first.start) for placed in gone if first.start < room.now]
    here = [placed for placed in together if placed not in gone]
    if here:
        coming = [_comes(room, placed, had) for placed in here if not any(share.values()) and placed.piece != FREE]
        start = ceil(max(base, *coming)) if coming else ceil(base)
        ends = {placed.bench: _end(room, start, share[placed.bench], placed, equipment) for placed in here}
        _place(room, here, max(min(start, max(ends.values()) - 1), _from(room, first, equipment)), ends)
        _note_slow(room, here, equipment, share)
    return gone


def _begins(
    room: _Room, together: list[Placed], later: Sequence[Placed], equipment: Equipment, had: Mapping[_Key, Had]
) -> float:
    """When a turn begins, or began: as planned, as soon as the piece and whoever is ready first can have it."""
    first = together[0]
    most = max(_of(had, placed).share for placed in together)
    if most >= 1:
        return first.start
    if most > 0:
        return max(room.now - most * equipment.minutes, 0)
    at_piece = [placed for placed in later if (placed.equipment, placed.piece) == (first.equipment, first.piece)]
    soonest = min(_comes(room, placed, had) for placed in (*together, *at_piece))
    return max(first.start, _from(room, first, equipment), soonest)


def _place(room: _Room, here: list[Placed], start: int, ends: Mapping[int, int]) -> None:
    for placed in here:
        end = max(ends[placed.bench], start + 1)
        room.placed.append(replace(placed, start=start, end=end))
        room.free_at[placed.bench] = max(room.free_at[placed.bench], end)
    room.ready[here[0].equipment, here[0].piece] = max(start + 1, *ends.values()), here[0].value


def _note_slow(room: _Room, here: list[Placed], equipment: Equipment, share: Mapping[int, float]) -> None:
    """Whoever is in a turn for longer than planned holds up what comes behind."""
    over = room.ready[here[0].equipment, here[0].piece][0] - room.placed[-1].start - equipment.minutes
    if over > PATIENCE and any(0 < minutes < 1 for minutes in share.values()) and here[0].piece != FREE:
        least = min(share.values())
        room.late += [_still_in(placed, equipment, over) for placed in here if share[placed.bench] == least]


def _behind(problem: Problem, room: _Room, placed: Placed, had: Mapping[_Key, Had]) -> None:
    """A turn of a bench that was not ready: at the piece that can be had first."""
    equipment = problem.equipment[placed.equipment]
    pieces = [replace(placed, piece=piece) for piece in range(equipment.pieces)]
    best = min(pieces, key=lambda turn: _from(room, turn, equipment))
    start = ceil(max(_from(room, best, equipment), _comes(room, placed, had)))
    room.placed.append(replace(best, start=start, end=start + equipment.minutes))
    room.ready[placed.equipment, best.piece] = start + equipment.minutes, placed.value
    room.free_at[placed.bench] = start + equipment.minutes


def _from(room: _Room, turn: Placed, equipment: Equipment) -> int:
    """From which minute the piece of ``turn`` can be had at its value."""
    if turn.piece == FREE:
        return 0
    ready, stands = room.ready.get((turn.equipment, turn.piece), (0, None))
    return ready + (equipment.change if stands not in (None, turn.value) else 0)


def _comes(room: _Room, placed: Placed, had: Mapping[_Key, Had]) -> float:
    """From which minute its bench can come: not before its turn before this is over."""
    return max(room.free_at[placed.bench], room.now + _of(had, placed).ready)


def _of(had: Mapping[_Key, Had], placed: Placed) -> Had:
    return had.get((placed.bench, placed.equipment, placed.value), Had(0.0, 0.0))


def _end(room: _Room, start: int, share: float, placed: Placed, equipment: Equipment) -> int:
    """When a turn is over: it was, it will be when what is left of it is done, or it has its whole time."""
    if share >= 1:
        return min(placed.end, room.now)
    if share > 0:
        return room.now + max(ceil((1 - share) * equipment.minutes), 1)
    return max(start, room.now) + equipment.minutes


def _not_ready(placed: Placed, equipment: Equipment, minutes: int) -> Late:
    where = _where(placed, equipment)
    text = f"Its turn {where} came {minutes} min ago and it is not ready: the others go on, it comes behind them."
    return Late(placed.bench, f"{placed.equipment}:{placed.value}", placed.start, f"late for its turn {where}", text)


def _still_in(placed: Placed, equipment: Equipment, minutes: int) -> Late:
    where = _where(placed, equipment)
    text = f"It will have its turn {where} about {minutes} min longer than planned; what comes behind waits for it."
    return Late(placed.bench, f"{placed.equipment}:{placed.value}", placed.end, f"slow {where}", text)


def _where(placed: Placed, equipment: Equipment) -> str:
    label = f"at {equipment.label.lower()} {placed.piece + 1}"
    return f"{label}, {placed.value} {equipment.unit}" if equipment.unit else label


def _sentence(minutes: int, planned: int) -> str:
    sentence = f"All are through after about {minutes} minutes"
    if minutes <= planned:
        return f"{sentence}, as planned."
    return f"{sentence}, {minutes - planned} later than planned."
