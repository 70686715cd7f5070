"""Puts simulated readings in the order in which a bench is led, with all that is ticked, seen and answered."""

from collections.abc import Container, Sequence
from dataclasses import replace

from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Method, Observation, Reading, Series
from chromata_core.engine.context import context_of
from chromata_core.judging.answers import right_choices
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.simulation.readings import Written
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation, Hand

_MOST = 400


def follow(method: Method, plan: Sheet, written: Sequence[Written], answers: Sequence[str] = ()) -> list[Written]:
    """Every entry of a bench of ``plan`` from its first step to the last for which ``written`` has a reading.

    Observations are the right one of their choices, or the first that spoils nothing; own results are those of the
    sheet; ``answers`` are those to the closing questions, in order. The walk ends where there is nothing to write.
    """
    readings = {Place(reading.key, reading.trial, reading.index): reading.text for reading in written}
    extra = {part.key for part in method.readings if isinstance(part, Reading) and part.optional}
    sheet, performed = replace(plan, given=()), list[Written]()
    for _ in range(_MOST):
        state = evaluate(method, sheet)
        hand = state.hand
        # what is made only if needed comes before the next reading of its step
        hand = next((t for t in state.tasks if needed(t, hand, extra, readings)), hand)
        text = readings.get(Place(hand.key, hand.trial, hand.index)) or otherwise(method, sheet, hand, state, answers)
        if not text or performed.count(Written(hand.key, text, hand.trial, hand.index)) > 1:
            break
        performed.append(Written(hand.key, text, hand.trial, hand.index))
        sheet = replace(sheet, given=(*sheet.given, Given(hand.key, text, hand.trial, hand.index)))
    return performed


def needed(task: Hand, hand: Hand, extra: set[str], readings: Container[Place]) -> bool:
    """Whether ``task`` is an optional reading of the step in hand that was made, once that step has begun again."""
    again = (hand.index or 0) > 1
    here = task.step == hand.step and task.trial == hand.trial and not task.done
    return again and here and task.key in extra and Place(task.key, task.trial, task.index) in readings


def otherwise(method: Method, sheet: Sheet, hand: Hand, state: Evaluation, answers: Sequence[str]) -> str:
    """What is written where nothing is read: ticks, looks, own results, answers. Empty for nothing."""
    part = next((p for p in method.readings if p.key == hand.key), None)
    if isinstance(part, Series) and part.paced:
        return hand.offer
    if isinstance(part, Series) and part.response:  # weighed once more, it is what it was
        return next(
            (given.text for given in reversed(sheet.given) if (given.key, given.trial) == (hand.key, hand.trial)), ""
        )
    if isinstance(part, Observation):
        if part.right and (right := right_choices(context_of(method, sheet), part, hand.trial)):
            return right[0]
        good = [choice.key for choice in part.choices if choice.key not in part.voids]
        return next((key for key in good if key in part.until), good[0])
    if hand.kind == "tick":
        return "done"
    if hand.kind == "own":
        return _worked(state, hand)
    if hand.kind == "answer":
        number = int(hand.name)
        return answers[number - 1] if number <= len(answers) else ""
    return ""


def _worked(state: Evaluation, hand: Hand) -> str:
    """A line of the work as the sheet gives it."""
    trial = next((trial for trial in state.trials if trial.number == hand.trial), None)
    lines = [*state.quantities, *(trial.quantities if trial else ())]
    shown = {line.key: line.shown.text for line in lines}
    text = next((r.by_figures.text for r in state.results if (r.key, r.trial) == (hand.name, hand.trial)), "")
    return text or shown.get(hand.name, "")
