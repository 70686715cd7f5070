"""Where a bench stands: which steps are done, and the one sentence that says what to do next.

Nothing here is stored: it follows from what has been written on the sheet.
"""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from itertools import groupby
from typing import Literal

from chromata_core.declaration.own_work import WORKSHEET
from chromata_core.declaration.places import Place, in_round, tick
from chromata_core.declaration.vocabulary import Observation, Reading, Series, Step
from chromata_core.engine.context import Context
from chromata_core.judging.answers import waits_for_answer
from chromata_core.judging.shapes import Ends, Guides
from chromata_core.sheet.bound import MOST_ROUNDS

ROW = "{row}"  # where the number of a row stands in the title of a series
State = Literal["done", "now", "ahead", "void"]


@dataclass(frozen=True, slots=True)
class Task:
    """One thing that is done in one go: a reading, an observation, or ticking a step off.

    ``optional`` ones are made only if the work needs them; they hold nothing up. ``turn`` is the round of a cycle.
    """

    step: Step
    trial: int | None
    place: Place
    done: bool
    optional: bool = False
    turn: int | None = None


def tasks(at: Context) -> list[Task]:
    """Every task of the session as it now stands, in order; where one goes on as long as there is time, the next trial
    too, which holds nothing up.
    """
    trials = [task for trial in planned_trials(at) for task in _of_scope(at, "trial", trial)]
    if at.bound.asked.goes_on:
        trials += [replace(task, optional=True) for task in another(at)]
    setup = _of_scope(at, "setup", None)
    early = {step: [task for task in trials if task.step.early == step] for step in (task.step.key for task in setup)}
    begun = {task.place for group in early.values() for task in group}
    first = [due for task in setup for due in (*early.pop(task.step.key, ()), task)]
    return [
        *_bottles(at),
        *first,
        *(task for task in trials if task.place not in begun),
        *_of_scope(at, "closing", None),
    ]


def _of_scope(at: Context, scope: str, trial: int | None) -> list[Task]:
    tasks: list[Task] = []
    for cycle, steps in groupby((step for step in at.bound.steps if step.scope == scope), lambda step: step.cycle):
        if cycle:
            tasks += _in_rounds(at, list(steps), cycle, trial)
        else:
            tasks += [task for step in steps for task in _of_step(at, step, trial)]
    return tasks


def _in_rounds(at: Context, block: Sequence[Step], cycle: str, trial: int | None) -> list[Task]:
    """The steps of a cycle round by round. A round whose weighing stands is over: nothing of it is asked for again."""
    series = at.bound.part(cycle)
    if not isinstance(series, Series):
        rounds = min(int(at.number(cycle)), MOST_ROUNDS)
        return [task for turn in range(1, rounds + 1) for step in block for task in _of_step(at, step, trial, turn)]
    count = len(at.bound.series(cycle, trial))
    over = isinstance(series.until, Ends) and series.until.met(at, cycle, trial)
    tasks: list[Task] = []
    for turn in range(1, (count if over else max(count + 1, usual_rows(at, series))) + 1):
        weighed = Place(cycle, trial, turn) in at.bound.typed
        for task in (task for step in block for task in _of_step(at, step, trial, turn)):
            tasks.append(replace(task, done=task.done or weighed))
    return tasks


def usual_rows(at: Context, series: Series) -> int:
    """How many readings are planned; where that shows itself only in the work, as many as in the worked example."""
    first = series if series.until else next((r for r in at.bound.readings if r.key == series.beside), series)
    if isinstance(first, Series) and isinstance(first.until, Ends) and (least := first.until.at_least(at)):
        return least
    example = at.bound.method.example.readings
    return max((index or 0 for key, _, index, _ in example if key == series.key), default=1)


def _bottles(at: Context) -> list[Task]:
    """What was written of bottles for the room: done, to be looked at, and corrected where one's own says otherwise."""
    first = next((step for step in at.bound.steps if step.scope == "setup"), None)
    places: list[Place] = [Place(bottle.key) for bottle in at.bound.bottles]
    return [Task(first, None, place, done=True, optional=True) for place in places if first and place in at.bound.texts]


def planned_trials(at: Context) -> list[int]:
    """Trials begun and trials still asked for: the minimum, and one more while they do not agree, or for one
    that was rejected.
    """
    plan, asked = at.bound.method.trials, at.bound.asked
    first = 0 if at.bound.rough else 1
    numbers = [n for n in at.trials(valid=False) if n >= first]
    if at.bound.rough and 0 not in numbers:
        numbers.insert(0, 0)
    valid = [n for n in numbers if n >= 1 and n not in at.computed.voided]
    if at.bound.planned is not None:
        planned = {*numbers, *range(1, at.bound.planned + 1)}
        planned |= {again for n in at.computed.voided if (again := at.bound.next_try(n))}
        return sorted(planned, key=lambda n: (at.bound.place(n) or 0, n))
    while len(valid) < asked.least:
        numbers.append(max(numbers, default=first - 1) + 1)
        valid.append(numbers[-1])
    complete = (
        all(n in at.computed.trials and at.value(plan.agree, n) is not None for n in valid) if plan.agree else True
    )
    agreed = at.computed.agreement is None or at.computed.agreement.agree
    if plan.agree and complete and not agreed and len(valid) < asked.most:
        numbers.append(max(numbers) + 1)
    return sorted(numbers)


def _of_step(at: Context, step: Step, trial: int | None, turn: int | None = None) -> list[Task]:
    if not step.reads:
        place = tick(step.key, trial, turn)
        return [Task(step, trial, place, place in at.bound.texts, turn=turn)]
    tasks: list[Task] = []
    for key in step.reads:
        part = at.bound.part(key)
        if isinstance(part, Series) and turn:
            place = Place(key, trial, turn)
            tasks.append(Task(step, trial, place, place in at.bound.typed, turn=turn))
        elif isinstance(part, Series):
            tasks += [] if part.beside in step.reads else _of_series(at, step, part, trial)
        elif part is not None or Place(key).kind in ("own", "answer"):  # own.… and answer.… stand where their step does
            place = in_round(Place(key, trial), turn) if isinstance(part, Observation) else Place(key, trial)
            place = _of_worksheet(at, place) if step.key == WORKSHEET else place
            optional = isinstance(part, Reading) and not at.bound.wanted(part, trial)
            if optional and isinstance(part, Reading) and part.follows:
                continue  # its turn comes with the reading it follows
            done = place in at.bound.typed or _seen(at, part, place)
            tasks.append(Task(step, trial, place, done, optional, turn))
    return tasks


def _of_worksheet(at: Context, place: Place) -> Place:
    """A line of the trials is worked out in the first of them that counts."""
    if at.quantity(place.name).scope != "trial":
        return place
    return place._replace(trial=next(iter(at.computed.counted), 1))


def _seen(at: Context, part: Reading | Observation | None, place: Place) -> bool:
    """Whether a text stands there that ends it: some things are looked at again until they are as they should be."""
    text = at.bound.texts.get(place)
    if text is None or not isinstance(part, Observation):
        return text is not None
    if part.right:
        return not waits_for_answer(at, part, place.trial)
    return not part.until or text in part.until


def _of_series(at: Context, step: Step, series: Series, trial: int | None) -> list[Task]:
    """The readings of a series, row by row with those of this step that are read beside it, and the next ones if it
    goes on. One that stands beside a series of an earlier step is read in a row, once for each of that.
    """
    keys = [series.key, *(r.key for r in at.bound.readings if _stands_beside(r, series) and r.key in step.reads)]
    typed_places = {place for place in at.bound.typed if place.key in keys and place.trial == trial}
    if series.beside:
        rows = max(len(at.bound.series(series.beside, trial)), 1)
        return [
            Task(step, trial, place, place in typed_places)
            for n in range(1, rows + 1)
            for place in [Place(series.key, trial, n)]
        ]
    rows = max((place.row or 0 for place in typed_places), default=0)
    complete = all((key, trial, index) in typed_places for key in keys for index in range(1, rows + 1))
    goes_on = not isinstance(series.until, Ends) or not series.until.met(at, series.key, trial)
    if complete and goes_on:
        rows += 1
    places: list[Place] = [Place(key, trial, index) for index in range(1, rows + 1) for key in keys]
    return [Task(step, trial, place, place in typed_places) for place in places]


def another(at: Context) -> list[Task]:
    """The tasks of one trial more than is asked for, once those are done; none where each trial is planned."""
    trials = planned_trials(at)
    open_ones = [n for n in trials if n not in at.computed.voided and not _finished(at, n)]
    if at.bound.method.trials.how_many is None or open_ones or max(trials, default=0) >= at.bound.most_trials:
        return []
    return _of_scope(at, "trial", max(trials, default=0) + 1)


def _finished(at: Context, trial: int) -> bool:
    return all(task.done or task.optional for task in _of_scope(at, "trial", trial))


def current_task(at: Context, all_tasks: list[Task]) -> Task | None:
    """The first task not done, in trials that still count; None when everything is. Where one goes on as long as there
    is time it is the next trial, until the bench is put in order.
    """
    valid = [task for task in all_tasks if not task.done and task.trial not in at.computed.voided]
    here = next((task for task in valid if not task.optional), None)
    closing = [task for task in all_tasks if task.step.scope == "closing"]
    if at.bound.asked.goes_on and (here is None or here in closing) and not any(task.done for task in closing):
        following = max(planned_trials(at)) + 1
        return next((task for task in valid if task.trial == following), here)
    return here


def task_title(at: Context, task: Task) -> str:
    """What is in hand: “Burette, end of trial 3”, or the step's title."""
    return row_title(at, task if task.turn != 1 else replace(task, turn=None)).replace(ROW, str(task.place.row))


def row_title(at: Context, task: Task) -> str:
    """What any task of this series would be called, ``ROW`` standing for its number."""
    key, trial, _ = task.place
    part = at.bound.part(key) or at.bound.bottle(key)
    title = part.label if part else at.quantity(task.place.name).label if task.place.kind == "own" else task.step.title
    if isinstance(part, Observation):
        title = task.step.title
    paired = isinstance(part, Series) and (part.beside or any(_stands_beside(p, part) for p in at.bound.readings))
    number = (
        f", point {ROW}" if paired else f" {ROW}" if isinstance(part, Series) else f", round {ROW}" if task.turn else ""
    )
    return f"{title}{number}, {at.trial_name(trial)}" if trial is not None else f"{title}{number}"


def in_turn(title: str, turn: int | None) -> str:
    """“Heat, round 2” in the second round of a cycle."""
    return title if turn in (None, 1) else f"{title}, round {turn}"


def _stands_beside(other: Reading, series: Series) -> bool:
    return isinstance(other, Series) and other.beside == series.key


def guided(at: Context, step: Step, trial: int | None) -> str:
    """How to go on within ``step``, from the readings so far; empty without a guide."""
    return step.guide.say(at, trial) if isinstance(step.guide, Guides) and trial is not None else ""
