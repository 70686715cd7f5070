"""The problem of taking turns: benches, what they share, who has to be where for how long; and what solves it."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from math import ceil

from chromata_core.declaration.option_kinds import ListOption
from chromata_core.declaration.options import active, listed
from chromata_core.declaration.preparation import Shared
from chromata_core.errors import ReadingError
from chromata_core.sheet.bound import Bound

FREE = -1  # the piece of a turn that needs none


@dataclass(frozen=True, slots=True)
class Equipment:
    """So many ``pieces``, with so many ``places`` each, used for ``minutes``. Each stands at one of ``values`` at a
    time, and once at each; setting it anew takes ``change`` minutes. Nobody comes before minute ``after``.

    ``free`` is the value that needs no piece: every bench begins with it. ``own`` are planned values that a bench sees
    to itself. ``follows`` is what a bench uses before.
    """

    label: str
    pieces: int
    places: int
    minutes: int
    change: int
    values: tuple[str, ...]
    unit: str
    after: int
    free: str | None = None
    free_label: str = ""
    meanwhile: str = ""
    planned: str = ""
    follows: str = ""
    own: tuple[str, ...] = field(default=(), repr=False)  # turns that were solved do not hang on it

    @property
    def at_pieces(self) -> tuple[str, ...]:
        """The values that need a piece."""
        return tuple(value for value in self.values if value != self.free)


@dataclass(frozen=True, slots=True)
class Placed:
    """A bench's turn: at which piece of which equipment, at which value, from when to when (minutes)."""

    bench: int
    equipment: int
    value: str
    piece: int
    start: int
    end: int


@dataclass(frozen=True, slots=True)
class Pin:
    """A turn that stays where somebody put it: its piece and its start; of what is pinned twice the last counts."""

    bench: int
    equipment: int
    value: str
    piece: int
    start: int


@dataclass(frozen=True, slots=True)
class Problem:
    """What is to be solved. ``begins`` is when each bench comes (minutes), ``done`` what it has had, ``now`` the minute
    before which nothing new begins. ``pins`` stay. Where benches go together as one, ``sizes`` says how many they are.
    """

    equipment: tuple[Equipment, ...]
    begins: Mapping[int, int]
    pins: tuple[Pin, ...] = ()
    done: tuple[Placed, ...] = ()
    now: int = 0
    sizes: Mapping[int, int] = field(default_factory=dict)

    def size(self, bench: int) -> int:
        """How many benches go as this one."""
        return self.sizes.get(bench, 1)

    @property
    def benches(self) -> list[int]:
        """In their order."""
        return sorted(self.begins)

    def wanted(self) -> list[tuple[int, int, str]]:
        """Every turn that is still to be had: bench, equipment, value."""
        had = {(placed.bench, placed.equipment, placed.value) for placed in self.done}
        return [
            (bench, place, value)
            for bench in self.benches
            for place, equipment in enumerate(self.equipment)
            for value in equipment.values
            if (bench, place, value) not in had
        ]


@dataclass(frozen=True, slots=True)
class Solved:
    """Turns; ``minutes`` until all are through, ``least`` under which it cannot be: where they meet, it is proven."""

    placed: tuple[Placed, ...]
    minutes: int
    least: int

    @property
    def proven(self) -> bool:
        """Whether nothing is faster."""
        return self.minutes <= self.least


def problem_of(bound: Bound, benches: int, groups: int = 1, apart: int = 0) -> Problem:
    """What benches 1 to ``benches`` share under these options; in ``groups`` that come ``apart`` minutes one after the
    other.
    """
    shared = active(bound.method.shared, bound.options)
    labels = {gear.label for gear in shared}
    equipment = tuple(gear for gear in (_equipment(bound, gear, labels) for gear in shared) if gear.values)
    each = ceil(benches / max(groups, 1)) or 1
    return Problem(equipment, {bench: (bench - 1) // each * apart for bench in range(1, benches + 1)})


def _equipment(bound: Bound, shared: Shared, labels: set[str]) -> Equipment:
    pieces, places = (max(1, int(bound.number(key))) for key in (shared.number, shared.places))
    planned, unit = values_of(bound, shared.planned)
    values = planned
    if shared.only and shared.planned:
        only = {float(value) for value in values_of(bound, shared.only)[0]}
        values = [value for value in planned if float(value) in only]
    change = int(bound.number(shared.change)) if shared.change else 0
    free = values[0] if shared.free_first and values else None
    return Equipment(
        shared.label,
        pieces,
        places,
        minutes=max(1, int(bound.number(shared.minutes))),
        change=change,
        values=tuple(dict.fromkeys(values)),
        unit=unit,
        after=int(bound.number(shared.after)) if shared.after else 0,
        free=free,
        free_label=shared.free_label,
        meanwhile=shared.meanwhile,
        planned=shared.planned,
        follows=shared.follows if shared.follows in labels else "",
        own=tuple(value for value in dict.fromkeys(planned) if value not in values),
    )


def values_of(bound: Bound, planned: str) -> tuple[list[str], str]:
    """What that list plans, with its unit; one nameless value where equipment is not set to any."""
    option = next((o for o in bound.method.all_options if o.key == planned), None)
    if not isinstance(option, ListOption):
        return ["use"], ""
    return [str(value) for value in listed(option, bound.options[option.key])], option.unit


def checked_pins(problem: Problem, pins: Sequence[Pin]) -> tuple[Pin, ...]:
    """``pins`` as they can be asked for, each turn once; ReadingError for one that is not of this problem."""
    checked: dict[tuple[int, int, str], Pin] = {}
    for pin in pins:
        if not 0 <= pin.equipment < len(problem.equipment) or pin.bench not in problem.begins:
            raise ReadingError("A pinned turn belongs to another plan. Take its pin out and solve again.")
        equipment = problem.equipment[pin.equipment]
        if pin.value not in equipment.values or not 0 <= pin.start <= _LONGEST:
            raise ReadingError("A pinned turn belongs to another plan. Take its pin out and solve again.")
        if (pin.value == equipment.free) != (pin.piece == FREE) or pin.piece >= equipment.pieces:
            raise ReadingError(f"There is no such {equipment.label.lower()} for a pinned turn. Take its pin out.")
        checked[pin.bench, pin.equipment, pin.value] = pin
    return tuple(checked.values())


_LONGEST = 1440  # minutes
