"""Questions that are answered in one touch: which choice is right follows from what was read."""

from collections.abc import Iterator

from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Observation
from chromata_core.engine.context import Context
from chromata_core.formula.condition import holds, parse_condition
from chromata_core.judging.finding import Finding


def right_choices(at: Context, question: Observation, trial: int | None) -> list[str]:
    """The keys of the choices that are right in ``trial``; none while that cannot be told."""
    known = {**at.session_numbers, **at.figures.get(trial, {})}
    return [key for key, text in question.right.items() if not text or holds(parse_condition(text), known)]


def waits_for_answer(at: Context, question: Observation, trial: int | None) -> bool:
    """Whether ``question`` is not answered there as what was read says it must be."""
    given, right = at.bound.texts.get(Place(question.key, trial)), right_choices(at, question, trial)
    return given is None or bool(right and given not in right)


def asked_still(at: Context, trial: int | None) -> bool:
    """Whether a question of ``trial`` is open: what would answer it is not told beside it."""
    here = (part for part in at.bound.observations if part.right and part.scope == "trial")
    return any(waits_for_answer(at, part, trial) for part in here)


def answered(at: Context) -> Iterator[Finding]:
    """A finding on every answer that does not fit what was read."""
    for question in at.bound.observations:
        for place in (place for place in at.bound.texts if question.right and place.key == question.key):
            if waits_for_answer(at, question, place.trial):
                label = next(choice.label for choice in question.choices if choice.key == at.bound.texts[place])
                text = at.bound.worded(label, place.trial)
                why, do = at.bound.worded(question.because, place.trial), "Think again."
                yield Finding(f"{question.key}-answer", "look", f"{question.label}: not “{text}”.", why, do, *place)
