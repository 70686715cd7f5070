"""What may be asked of students before a session: the plan's own lines, what goes wrong and where it leads, and those
of the bench's questions whose answer follows from the plan alone.
"""

from dataclasses import dataclass

from chromata_core.declaration.vocabulary import Observation, Quantity
from chromata_core.prelab.plan_lines import given_for, plan_lines
from chromata_core.prelab.state import Answer, TaskKind
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Sheet
from chromata_core.sheet.example import example_as_planned
from chromata_core.telling.effects import Effect, what_if

_USUAL_EFFECTS = 2
_LEAST = 0.05  # per cent: what bends a result by less is neither too large nor too small
_OTHER_SIGN = -100  # per cent: then it is neither
_HIGH, _LOW, _SAME = "high", "low", "same"


@dataclass(frozen=True, slots=True)
class Task:
    """A line to be worked from what is ``given``, or a question with its choices; ``right`` are those that are, and
    ``because`` says why. ``line`` is the line itself, None for a question.
    """

    key: str
    kind: TaskKind
    text: str
    unit: str = ""
    why: str = ""
    given: tuple[str, ...] = ()
    choices: tuple[Answer, ...] = ()
    right: tuple[str, ...] = ()
    because: str = ""
    usual: bool = False
    line: Quantity | None = None


@dataclass(frozen=True, slots=True)
class Offered:
    """A task as the planner offers it; ``tells`` are the numbers that students are told with it. ``usual`` ones are
    what most would ask.
    """

    key: str
    text: str
    tells: str
    usual: bool


def offered(bound: Bound, plan: Sheet) -> list[Offered]:
    """What may be asked under ``plan``, of which ``bound`` is the bare sheet."""
    return [Offered(task.key, task.text, "; ".join(task.given), task.usual) for task in tasks_of(bound, plan)]


def tasks_of(bound: Bound, plan: Sheet) -> list[Task]:
    """Every task of ``plan``, in the order in which one would think of them."""
    return [*_lines(bound), *_questions(bound), *_effects(bound, plan)]


def _lines(bound: Bound) -> list[Task]:
    return [
        Task(
            line.key, "line", bound.worded(target.label), bound.units.get(line.unit, line.unit),
            bound.worded(target.why), tuple(given_for(bound, line)), usual=target.told, line=line,
        )
        for line, target in plan_lines(bound)
    ]  # fmt: skip


def _questions(bound: Bound) -> list[Task]:
    """Those that have the same answer whatever is read."""
    return [
        _question(bound, observation)
        for observation in bound.observations
        if observation.scope == "bench" and _always(observation)
    ]


def _always(observation: Observation) -> bool:
    return bool(observation.right) and not any(observation.right.values())


def _question(bound: Bound, observation: Observation) -> Task:
    choices = tuple(Answer(choice.key, bound.worded(choice.label)) for choice in observation.choices)
    text, because = bound.worded(observation.label), bound.worded(observation.because)
    return Task(observation.key, "choice", text, "", "", (), choices, tuple(observation.right), because, usual=True)


def _effects(bound: Bound, plan: Sheet) -> list[Task]:
    """What each thing that goes wrong does to a result: worked on the example under these choices. What does nothing
    there is not asked: it may also be that nothing is left to work.
    """
    example = bind(bound.method, example_as_planned(bound, plan))
    clear = [effect for effect in what_if(example) if effect.percent > _OTHER_SIGN and abs(effect.percent) >= _LEAST]
    return [_effect(effect, place < _USUAL_EFFECTS) for place, effect in enumerate(clear)]


def _effect(effect: Effect, usual: bool) -> Task:
    right = _HIGH if effect.percent > 0 else _LOW
    choices = (Answer(_HIGH, "Too large"), Answer(_LOW, "Too small"), Answer(_SAME, "It stays as it is"))
    because = " ".join((f"{effect.text.rstrip('.')}.", effect.looks, effect.remedy))
    text = f"{effect.says}. What becomes of “{effect.of}”?"
    return Task(f"effect-{effect.key}", "choice", text, "", "", (), choices, (right,), because, usual)
