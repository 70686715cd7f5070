"""Puts simulated readings in the order in which a bench is led, with all that is ticked, seen and answered."""

from collections.abc import Container, Sequence
from dataclasses import replace

from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Method, Observation, Reading, Series
from chromata_core.engine.context import Context, context_of
from chromata_core.judging.answers import right_choices
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.simulation.readings import Written
from chromata_core.telling.progress import Task, current_task, tasks
from chromata_core.telling.results import results_of
from chromata_core.telling.steps import hand_for
from chromata_core.telling.written import quantities_of

_MOST = 400


def follow(method: Method, plan: Sheet, written: Sequence[Written], answers: Sequence[str] = ()) -> list[Written]:
    """Every entry of a bench of ``plan`` from its first step to the last for which ``written`` has a reading.

    Observations are the right one of their choices, or the first that spoils nothing; own results are those of the
    sheet; ``answers`` are those to the closing questions, in order. The walk ends where there is nothing to write.
    """
    readings = {Place(reading.key, reading.trial, reading.index): reading.text for reading in written}
    sheet, performed = replace(plan, given=()), list[Written]()
    for _ in range(_MOST):
        at = context_of(method, sheet)
        if (task := in_hand(at, readings)) is None:
            break
        text = readings.get(task.place) or otherwise(at, task, answers)
        entry = Written(task.place.key, text, task.place.trial, task.place.row)
        if not text or performed.count(entry) > 1:
            break
        performed.append(entry)
        sheet = replace(sheet, given=(*sheet.given, Given(entry.key, text, entry.trial, entry.index)))
    return performed


def in_hand(at: Context, readings: Container[Place]) -> Task | None:
    """The task in hand; where its step has begun again, before it an optional reading of that step that was made."""
    planned = tasks(at)
    here = current_task(at, planned)
    if here is None or (here.place.row or 0) < 2:
        return here
    beside = (task for task in planned if task.step is here.step and task.place.trial == here.place.trial)
    optional = (task for task in beside if not task.done and _is_optional(at, task) and task.place in readings)
    return next(optional, here)


def _is_optional(at: Context, task: Task) -> bool:
    part = at.bound.part(task.place.key)
    return isinstance(part, Reading) and part.optional


def otherwise(at: Context, task: Task, answers: Sequence[str]) -> str:
    """What is written where nothing is read: ticks, looks, own results, answers. Empty for nothing."""
    key, trial, _ = task.place
    part = at.bound.part(key)
    if isinstance(part, Series) and part.paced:
        return hand_for(at, task).offer
    if isinstance(part, Series) and part.response:  # weighed once more, it is what it was
        return rows[-1].text if (rows := at.bound.series(key, trial)) else ""
    if isinstance(part, Observation):
        if part.right and (right := right_choices(at, part, trial)):
            return right[0]
        good = [choice.key for choice in part.choices if choice.key not in part.voids]
        return next((key for key in good if key in part.until), good[0])
    if task.place.kind == "answer":
        number = int(task.place.name)
        return answers[number - 1] if number <= len(answers) else ""
    return "done" if task.place.kind == "tick" else _worked(at, task.place) if task.place.kind == "own" else ""


def _worked(at: Context, place: Place) -> str:
    """A line of the work as the sheet gives it."""
    lines = [*quantities_of(at, None), *(quantities_of(at, place.trial) if place.trial is not None else ())]
    shown = {line.key: line.shown.text for line in lines}
    of_place = (result for result in results_of(at, {}) if (result.key, result.trial) == (place.name, place.trial))
    text = next((result.by_figures.text for result in of_place), "")
    return text or shown.get(place.name, "")
