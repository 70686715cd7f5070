"""What has to be warm before the class needs it: lamps, and baths at the value of their first turn."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass

from chromata_core.planning.turns import FREE, Placed, Problem
from chromata_core.sheet.bound import Bound


@dataclass(frozen=True, slots=True)
class SwitchOn:
    """Something to switch on so many ``minutes`` before the session begins; negative ones after it has begun."""

    key: str
    text: str
    minutes: int


def to_switch_on(bound: Bound, problem: Problem, placed: Sequence[Placed]) -> list[SwitchOn]:
    """The earliest first. A wait that whoever prepares begins, and every piece that is set to a value."""
    return sorted(
        [*_waits(bound), *_set_first(problem, placed)], key=lambda switch_on: (-switch_on.minutes, switch_on.key)
    )


def _waits(bound: Bound) -> Iterator[SwitchOn]:
    for step in bound.steps:
        if step.wait and step.wait.before and (minutes := int(bound.number(step.wait.before))) > 0:
            text = f"{bound.worded(step.title)}: {bound.worded(step.lead).rstrip('.,;')}"
            yield SwitchOn(f"on:{step.key}", text, minutes)


def _set_first(problem: Problem, placed: Sequence[Placed]) -> Iterator[SwitchOn]:
    """Each piece at its first value, so long before its first turn as setting it takes."""
    for place, equipment in enumerate(problem.equipment):
        for piece in range(equipment.pieces):
            first = min(
                (turn for turn in placed if (turn.equipment, turn.piece) == (place, piece) and turn.piece != FREE),
                key=lambda turn: turn.start,
                default=None,
            )
            if equipment.change and first is not None:
                text = f"{equipment.label} {piece + 1} to {first.value} {equipment.unit}".rstrip()
                yield SwitchOn(f"on:{place}.{piece}", text, equipment.change - first.start)
