"""Where a bench stands: which steps are done, and the one sentence that says what to do next.

Nothing here is stored: it follows from what has been written on the sheet.
"""

from dataclasses import dataclass
from typing import Literal

from chromata_core.method.context import Context
from chromata_core.method.sheet import Slot
from chromata_core.method.vocabulary import Observation, Reading, Series, Step
from chromata_core.quantity.rounding import plain

State = Literal["done", "now", "ahead", "void"]


@dataclass(frozen=True, slots=True)
class Task:
    """One thing that is done in one go: a reading, an observation, or ticking a step off.

    ``optional`` ones are made only if the work needs them; they hold nothing up.
    """

    step: Step
    trial: int | None
    slot: Slot
    done: bool
    optional: bool = False


def tasks(at: Context) -> list[Task]:
    """Every task of the session as it now stands, in order."""
    found: list[Task] = []
    for scope in ("setup", "trial", "closing"):
        steps = [step for step in at.bound.steps if step.scope == scope]
        for trial in planned_trials(at) if scope == "trial" else [None]:
            for step in steps:
                found += _of_step(at, step, trial)
    return found


def planned_trials(at: Context) -> list[int]:
    """Trials begun and trials still asked for: the minimum, and one more while they do not agree."""
    plan = at.bound.method.trials
    first = 0 if at.bound.rough else 1
    numbers = [n for n in at.trials(valid=False) if n >= first]
    if at.bound.rough and 0 not in numbers:
        numbers.insert(0, 0)
    valid = [n for n in numbers if n >= 1 and n not in at.computed.voided]
    while len(valid) < plan.minimum:
        numbers.append(max(numbers, default=first - 1) + 1)
        valid.append(numbers[-1])
    complete = (
        all(n in at.computed.trials and at.value(plan.agree, n) is not None for n in valid) if plan.agree else True
    )
    agreed = at.computed.agreement is None or at.computed.agreement.agree
    if plan.agree and complete and not agreed and len(valid) < plan.maximum:
        numbers.append(max(numbers) + 1)
    return sorted(numbers)


def _of_step(at: Context, step: Step, trial: int | None) -> list[Task]:
    if not step.reads:
        slot: Slot = (f"step.{step.key}", trial, None)
        return [Task(step, trial, slot, slot in at.bound.texts)]
    found: list[Task] = []
    for key in step.reads:
        part = at.bound.part(key)
        if isinstance(part, Series):
            found += _of_series(at, step, part, trial)
        elif part is not None or "." in key:  # own.… and answer.… are given once for the bench
            slot = (key, trial if part else None, None)
            optional = isinstance(part, Reading) and not at.bound.wanted(part, trial)
            if optional and isinstance(part, Reading) and part.follows:
                continue  # its turn comes with the reading it follows
            found.append(Task(step, trial, slot, slot in at.bound.typed or slot in at.bound.texts, optional))
    return found


def _of_series(at: Context, step: Step, series: Series, trial: int | None) -> list[Task]:
    made = at.bound.series(series.key, trial)
    found = [Task(step, trial, (series.key, trial, index), True) for index in range(1, len(made) + 1)]
    rule = series.until
    if rule is None or not rule.met([m.value for m in made], at.number(rule.option)):
        found.append(Task(step, trial, (series.key, trial, len(made) + 1), False))
    return found


def current_task(at: Context, all_tasks: list[Task]) -> Task | None:
    """The first task not done, in trials that still count; None when everything is."""
    open_tasks = (task for task in all_tasks if not (task.done or task.optional))
    return next((task for task in open_tasks if task.trial not in at.computed.voided), None)


def task_title(at: Context, task: Task) -> str:
    """What is in hand: “Burette, end of trial 3”, or the step's title."""
    key, trial, index = task.slot
    part = at.bound.part(key)
    title = part.label if part else task.step.title
    if isinstance(part, Observation):
        title = task.step.title
    number = f" {index}" if index is not None else ""
    return f"{title}{number}, {at.trial_name(trial)}" if trial is not None else f"{title}{number}"


def aim(at: Context, step: Step, trial: int | None) -> str:
    """How far to go before going slowly, from the trials so far; empty without an aim or a trial."""
    if step.aim is None or trial is None:
        return ""
    start, key = step.aim
    begun = at.typed(start, trial)
    done = [v for t in at.trials() if t != trial and (v := at.value(key, t)) is not None]
    if begun is None or not done:
        return ""
    mark = float(begun.value) + sum(done) / len(done) - 1
    return f"Run in to about {plain(mark, 0)} {at.quantity(key).unit}, then drop by drop, swirling." if mark > 0 else ""
