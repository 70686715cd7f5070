"""What one thing means that was written on a sheet, or the sentence why it does not belong there."""

from chromata_core.declaration.names import When
from chromata_core.declaration.options import on_bottle, resolve_options
from chromata_core.declaration.vocabulary import Observation, Reading, Series
from chromata_core.errors import ReadingError, unknown
from chromata_core.quantity.given import read_in
from chromata_core.quantity.typed import Typed
from chromata_core.sheet.bound import MOST_ROUNDS, Bound, Given

_LONGEST_TEXT = 4000


def understand(bound: Bound, given: Given) -> Typed | str:
    """What ``given`` means: a typed number for readings and own answers, a text for everything else."""
    text = given.text.strip()
    if len(text) > _LONGEST_TEXT or "\x00" in text:
        raise ReadingError(f"This text is too long or holds unreadable characters. Keep it under {_LONGEST_TEXT}.")
    match bound.part(given.key):
        case Reading() as reading:
            _place(reading.label, reading.scope, isinstance(reading, Series), given, bound)
            return bound.instruments[reading.role].read(text, reading.unit)
        case Observation() as observation:
            again = given.index is not None and bound.in_rounds(given.key)
            if again:
                _round(observation.label, given)
            _place(observation.label, observation.scope, again, given, bound)
            keys = [choice.key for choice in observation.choices]
            if text not in keys:
                raise ReadingError(unknown(f"choice for “{observation.label}”", text, keys))
            return text
        case None:
            return _common(bound, given, text)


def _place(label: str, scope: str, series: bool, given: Given, bound: Bound) -> None:
    noun = bound.method.trials.noun.lower()
    if scope == "trial" and given.trial is None:
        raise ReadingError(f"“{label}” belongs to a {noun}; say which.")
    if scope == "bench" and given.trial is not None:
        raise ReadingError(f"“{label}” is read once for the bench, not for each {noun}.")
    _trial_exists(given, bound)
    if series != (given.index is not None):
        raise ReadingError(f"“{label}” {'needs its place in the series' if series else 'is not a series'}.")
    if given.index is not None and not 1 <= given.index <= 100:
        raise ReadingError("A series runs from 1 to 100.")


def _round(label: str, given: Given) -> None:
    """The first round has no number: what is done once and what is done again begin alike."""
    if given.index is not None and not 2 <= given.index <= MOST_ROUNDS:
        raise ReadingError(f"“{label}” has no round {given.index}.")


def _trial_exists(given: Given, bound: Bound) -> None:
    if given.trial is not None and not (0 if bound.rough else 1) <= given.trial <= bound.most_trials:
        raise ReadingError(f"There is no {bound.method.trials.noun.lower()} {given.trial}.")


def _common(bound: Bound, given: Given, text: str) -> Typed | str:
    _trial_exists(given, bound)
    bottle = bound.bottle(given.key)
    if bottle is not None:
        _place(bottle.label, "bench", False, given, bound)
        resolve_options(bound.method, {**bound.options, **on_bottle(given.key, text)})
        return text
    kind, name = given.place.kind, given.place.name
    if kind == "void" and given.trial is not None:
        return text
    if kind in ("tick", "timer") and name in [step.key for step in bound.steps]:
        return text
    lines = {q.key: q for q in bound.quantities if q.is_line and (q.scope == "trial") == (given.trial is not None)}
    if kind == "own" and name in lines:
        return read_in(text, lines[name].unit)
    if kind == "answer" and name in [str(n) for n, _ in enumerate(bound.method.questions, 1)]:
        return text
    part = next((part for part in bound.method.readings if part.key == given.key), None)
    if part is not None:
        raise ReadingError(f"“{part.label}” is not read here. {_switched_off(bound, part.when)}")
    known = [r.key for r in bound.parts]
    raise ReadingError(unknown("reading", given.key, known))


def _switched_off(bound: Bound, when: When) -> str:
    """Which choices would have to be others for a part to exist."""
    options = {option.key: option for option in bound.method.all_options}
    sentences = []
    for key, wanted in (when or {}).items():
        option = options[key]
        choices = (wanted,) if isinstance(wanted, str) else wanted
        labels = [c.label for c in getattr(option, "choices", ()) if c.key in choices] or list(choices)
        if bound.options[key] not in choices:
            sentences.append(f"“{option.label}” were “{' or '.join(labels)}”")
    return f"It would be if {' and '.join(sentences)}."
