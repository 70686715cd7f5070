"""Who uses what is shared, and when, as lanes: each piece of equipment, and the hands that set it."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace
from itertools import groupby, pairwise

from chromata_core.declaration.option_kinds import NumberOption
from chromata_core.planning.least_turns import least_minutes
from chromata_core.planning.turns import FREE, Equipment, Placed, Problem, Solved, problem_of
from chromata_core.planning.turns_at_once import turns_at_once
from chromata_core.sentences import joined
from chromata_core.sheet.bound import Bound

HANDS = "Your hands"
_MOST_CURES = 3


@dataclass(frozen=True, slots=True)
class Turn:
    """From ``start`` to ``end`` minutes after the beginning, at a ``value``; no benches stand at equipment that is
    being set anew. ``pinned`` are those of its benches that somebody put there.
    """

    start: int
    end: int
    label: str
    benches: list[int]
    value: str
    pinned: list[int]


@dataclass(frozen=True, slots=True)
class Lane:
    """What happens at one ``piece`` of an equipment (by its place in the plan), or where none is needed (-1)."""

    label: str
    turns: list[Turn]
    equipment: int
    piece: int


@dataclass(frozen=True, slots=True)
class Order:
    """The order in which a bench takes the planned values."""

    bench: int
    values: list[str]


@dataclass(frozen=True, slots=True)
class Cure:
    """A change of the plan, by option and by instrument's role, and what comes of it."""

    text: str
    options: dict[str, str]
    instruments: dict[str, str] = field(default_factory=dict)


@dataclass(frozen=True, slots=True)
class Timetable:
    """Lanes of shared equipment, each bench's order, and how long it takes in all; ``least`` is under what no order of
    benches comes. ``meanwhile`` is for who waits, ``longest_wait`` how long anybody does.
    """

    label: str
    minutes: int
    least: int
    longest_wait: int
    lanes: list[Lane]
    orders: list[Order]
    sentence: str
    meanwhile: str


def timetables(bound: Bound, benches: int) -> list[Timetable]:
    """The timetable at once, if benches share anything under these options."""
    problem = problem_of(bound, benches)
    return [drawn(problem, solved_at_once(problem))] if problem.equipment and benches else []


def solved_at_once(problem: Problem) -> Solved:
    """Turns without a search: often the best there are, and then proven by what none can undercut."""
    placed = turns_at_once(problem)
    return Solved((*problem.done, *placed), max((turn.end for turn in placed), default=0), least_minutes(problem))


def minutes_at_once(problem: Problem) -> int:
    """Until all are through."""
    return max((placed.end for placed in turns_at_once(problem)), default=0)


def orders_of(problem: Problem, placed: Sequence[Placed]) -> dict[int, dict[str, str]]:
    """Each bench's own options: planned lists in the order of its turns, by bench number."""
    orders: dict[int, dict[str, str]] = {bench: {} for bench in problem.benches}
    for place, equipment in enumerate(problem.equipment):
        if equipment.planned:
            for bench in orders:
                orders[bench][equipment.planned] = "; ".join(_order(problem, placed, place, bench))
    return orders


def _order(problem: Problem, placed: Sequence[Placed], place: int, bench: int) -> list[str]:
    """In which order a bench works: its turns, and what it sees to itself wherever that fits in between."""
    equipment, clock, order = problem.equipment[place], problem.begins[bench], list[str]()
    own = list(equipment.own)
    for turn in sorted((t for t in placed if (t.equipment, t.bench) == (place, bench)), key=lambda t: t.start):
        while own and clock + equipment.minutes <= turn.start:
            order.append(own.pop(0))
            clock += equipment.minutes
        order.append(turn.value)
        clock = turn.end
    return [*order, *own]


def drawn(problem: Problem, solved: Solved) -> Timetable:
    """``solved`` as lanes and in words."""
    labels = [equipment.label for equipment in problem.equipment]
    lanes = [
        lane
        for place, equipment in enumerate(problem.equipment)
        for lane in _lanes(problem, solved.placed, place, equipment)
    ]
    hands = _hands(lanes, problem)
    planned = next((place for place, equipment in enumerate(problem.equipment) if equipment.planned), 0)
    orders = [Order(bench, _order(problem, solved.placed, planned, bench)) for bench in problem.benches]
    wait = max((_wait(solved.placed, bench) for bench in problem.benches), default=0)
    meanwhile = problem.equipment[0].meanwhile if len(problem.benches) > _at_once(problem) else ""
    return Timetable(
        joined(labels), solved.minutes, solved.least, longest_wait=wait, lanes=[*lanes, *hands], orders=orders,
        sentence=_sentence(problem, solved, wait), meanwhile=meanwhile,
    )  # fmt: skip


def _at_once(problem: Problem) -> int:
    return min(equipment.pieces * equipment.places for equipment in problem.equipment)


def _sentence(problem: Problem, solved: Solved, wait: int) -> str:
    begins = min(equipment.after for equipment in problem.equipment)
    label = joined(equipment.label.lower() for equipment in problem.equipment)
    benches = len(problem.benches)
    sentence = f"{benches} bench{'es are' if benches > 1 else ' is'} through after {solved.minutes} minutes"
    sentence += f", the first {begins} of them without the {label}" if begins else ""
    sentence += f"; between turns nobody waits longer than {wait}." if wait else "; nobody waits between turns."
    sentence += (
        " Proven: no other order is faster." if solved.proven else f" No order is through before {solved.least}."
    )
    own = [f"{value} {equipment.unit}".rstrip() for equipment in problem.equipment for value in equipment.own]
    return f"{sentence} Each bench sees to {joined(own)} itself, besides these turns." if own else sentence


def _wait(placed: Sequence[Placed], bench: int) -> int:
    mine = sorted((turn.start, turn.end) for turn in placed if turn.bench == bench)
    return max((after[0] - before[1] for before, after in pairwise(mine)), default=0)


def _lanes(problem: Problem, placed: Sequence[Placed], place: int, equipment: Equipment) -> list[Lane]:
    names: Mapping[int, str] = {FREE: equipment.free_label} | {
        piece: f"{equipment.label} {piece + 1}" for piece in range(equipment.pieces)
    }
    lanes = []
    for piece, name in names.items():
        here = sorted(
            (turn for turn in placed if (turn.equipment, turn.piece) == (place, piece)),
            key=lambda turn: (turn.start, turn.value, turn.bench),
        )
        turns = [
            _turn(problem, list(together), equipment) for _, together in groupby(here, key=lambda t: (t.start, t.value))
        ]
        if turns:
            lanes.append(Lane(name, _with_settings(turns, equipment), place, piece))
    return lanes


def _turn(problem: Problem, together: Sequence[Placed], equipment: Equipment) -> Turn:
    first = together[0]
    label = f"{first.value} {equipment.unit}" if equipment.unit else ""
    pinned = {(pin.bench, pin.equipment, pin.value) for pin in problem.pins}
    fixed = [t.bench for t in together if (t.bench, t.equipment, t.value) in pinned]
    last = max(turn.end for turn in together)
    return Turn(first.start, last, label, [turn.bench for turn in together], first.value, fixed)


def _with_settings(turns: Sequence[Turn], equipment: Equipment) -> list[Turn]:
    told_turns = list(turns[:1])
    for before, after in pairwise(turns):
        if equipment.change and before.value != after.value:
            told_turns.append(
                Turn(after.start - equipment.change, after.start, f"to {after.label}", [], after.value, [])
            )
        told_turns.append(after)
    return told_turns


def _hands(lanes: Sequence[Lane], problem: Problem) -> list[Lane]:
    """What somebody has to set while the benches work; what begins together is one thing to do."""
    settings = sorted(
        ((turn, lane.label) for lane in lanes for turn in lane.turns if not turn.benches),
        key=lambda setting: (setting[0].start, setting[0].end, setting[0].label),
    )
    turns = []
    for _, together in groupby(settings, key=lambda setting: (setting[0].start, setting[0].end, setting[0].label)):
        (first, label), *others = together
        pieces = [label.split()[-1], *(other.split()[-1] for _, other in others)]
        sentence = f"{' '.join(label.split()[:-1])} {joined(pieces)} {first.label}"
        turns.append(replace(first, label=sentence, value=""))
    return [Lane(HANDS, turns, -1, FREE)] if turns else []


def cures(bound: Bound, benches: int, minutes: int) -> list[Cure]:
    """What to change where the turns take longer than ``minutes``: one value less, a piece or a place more; those after
    which it fits, the shortest first. None where it fits.
    """
    problem = problem_of(bound, benches)
    if not problem.equipment or minutes_at_once(problem) <= minutes:
        return []
    tried = [(minutes_at_once(changed), text, options) for text, options, changed in _changes(bound, problem)]
    fits = sorted(((taken, text, options) for taken, text, options in tried if taken <= minutes), key=lambda f: f[:2])
    shown = fits or sorted(tried, key=lambda f: f[:2])[:1]
    return [Cure(f"{text}: {taken} minutes", options) for taken, text, options in shown[:_MOST_CURES]]


def _changes(bound: Bound, problem: Problem) -> list[tuple[str, dict[str, str], Problem]]:
    changes = []
    shared = {gear.label: gear for gear in bound.method.shared}
    for place, equipment in enumerate(problem.equipment):
        declared = shared[equipment.label]
        drops = equipment.planned and len(equipment.values) > _FEWEST and len(problem.wanted()) <= _MOST_TURNS
        for value in equipment.at_pieces if drops else ():
            kept = tuple(other for other in equipment.values if other != value)
            option = {equipment.planned: "; ".join(kept)}
            changes.append(
                (
                    f"without {value} {equipment.unit}".rstrip(),
                    option,
                    _with(problem, place, replace(equipment, values=kept)),
                )
            )
        for key, which, word in ((declared.number, "pieces", "more"), (declared.places, "places", "more at one")):
            count = getattr(equipment, which) + 1
            if count <= _high(bound, key):
                changed = _with(problem, place, replace(equipment, **{which: count}))
                text = (
                    f"one {equipment.label.lower()} more"
                    if word == "more"
                    else f"{count} benches at one {equipment.label.lower()}"
                )
                changes.append((text, {key: str(count)}, changed))
    return changes


_FEWEST = 3  # values: with two a line has no scatter
_MOST_TURNS = 400  # so that every value can be tried without


def _with(problem: Problem, place: int, changed: Equipment) -> Problem:
    equipment = list(problem.equipment)
    equipment[place] = changed
    return replace(problem, equipment=tuple(equipment))


def _high(bound: Bound, key: str) -> float:
    option = next(o for o in bound.method.all_options if o.key == key)
    return float(option.high) if isinstance(option, NumberOption) and option.high else float("inf")
