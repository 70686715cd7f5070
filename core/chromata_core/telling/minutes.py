"""How long what is left will take: for each step the minutes in which hands are needed, and its wait.

A step says how long it takes where that is long (``Step.minutes``); else it follows from what is done in it. Both are
common practice, no published source: they are there to see in time who will not finish, not to hurry anybody.
"""

from collections.abc import Sequence

from chromata_core.declaration.vocabulary import Observation, Reading, Series
from chromata_core.engine.context import Context
from chromata_core.telling.outcome import StepOut
from chromata_core.telling.progress import Task, usual_rows

_READING, _LOOK, _ANSWER, _OWN = 1.0, 0.5, 2.0, 4.0
_TICK = {"setup": 4.0, "trial": 2.0, "closing": 5.0}


def minutes_of(at: Context, tasks: Sequence[Task]) -> float:
    """What is left of one step of one trial, in minutes with the hands; ``tasks`` are all of it."""
    needed = [task for task in tasks if not task.optional]
    ahead = [task for task in needed if not task.done]
    if not ahead:
        return 0.0
    later = _rows_to_come(at, tasks)
    whole = sum(_usual(at, task) for task in needed) + later
    left = sum(_usual(at, task) for task in ahead) + later
    return round((tasks[0].step.minutes or whole) * left / whole, 1)


def minutes_left(steps: Sequence[StepOut], now: float) -> float:
    """Minutes until the last of ``steps`` is done, ``now`` in seconds of the epoch. A wait counts as long as nothing
    else can be done in it.
    """
    left = 0.0
    for step in steps:
        if step.state in ("now", "ahead"):
            left += step.minutes + max(_wait(step, now) - _meanwhile(step, steps), 0.0)
    return left


def _wait(step: StepOut, now: float) -> float:
    if not step.wait_seconds:
        return 0.0
    over = 0.0 if step.begun is None else now - step.begun
    return max(step.wait_seconds - over, 0.0) / 60


def _meanwhile(step: StepOut, steps: Sequence[StepOut]) -> float:
    """Minutes of other work that is done in this wait: the setup behind an early step, or a step of the next trial."""
    if step.early:
        return sum(step.minutes for step in steps if step.scope == "setup")
    following = (step.trial or 0) + 1
    named = (timed for timed in steps if step.meanwhile and (timed.key, timed.trial) == (step.meanwhile, following))
    return next((step_out.minutes for step_out in named if step_out.state == "ahead"), 0.0)


def _usual(at: Context, task: Task) -> float:
    part, kind = at.bound.part(task.place.key), task.place.kind
    if isinstance(part, Observation):
        return _LOOK
    if isinstance(part, Reading):
        return _READING
    return {"own": _OWN, "answer": _ANSWER}.get(kind, _TICK[task.step.scope])


def _rows_to_come(at: Context, tasks: Sequence[Task]) -> float:
    """Readings of series of which only the next row is among the tasks, a minute each."""
    minutes = 0.0
    for key in {task.place.key for task in tasks}:
        series = at.bound.part(key)
        if isinstance(series, Series) and not tasks[0].turn:
            rows = {task.place.row or 0 for task in tasks if task.place.key == key}
            goes_on = any(not task.done for task in tasks if task.place.key == key)
            minutes += max(usual_rows(at, series) - max(rows), 0) * _READING if goes_on else 0.0
    return minutes
