"""The steps of the rail, and the task in hand with its words."""

from chromata_core.declaration.vocabulary import Reading, Step
from chromata_core.engine.context import Context
from chromata_core.telling.outcome import (
    Hand,
    StepOut,
)
from chromata_core.telling.progress import Task, current_task, guided, row_title, task_title
from chromata_core.telling.written import short_name


def steps_of(at: Context, planned: list[Task]) -> list[StepOut]:
    now = current_task(at, planned)
    grouped: dict[tuple[str, int | None], list[Task]] = {}
    for task in planned:
        grouped.setdefault((task.step.key, task.trial), []).append(task)
    found = []
    for (key, trial), group in grouped.items():
        step = group[0].step
        done = all(task.done or task.optional for task in group)
        begun = at.begun(step, trial)
        state = "void" if trial in at.computed.voided else "done" if done else "ahead"
        state = "now" if now is not None and (now.step.key, now.trial) == (key, trial) else state
        found.append(_step(at, step, trial, state, begun))
    return found


def _step(at: Context, step: Step, trial: int | None, state: str, begun: float | None) -> StepOut:
    def worded(text: str) -> str:
        return at.bound.worded(text, trial)

    return StepOut(
        key=step.key,
        title=worded(step.title),
        detail=guided(at, step, trial) or worded(step.detail),
        scope=step.scope,
        trial=trial,
        trial_name=trial_title(at, trial),
        trial_short="" if trial is None else short_name(at, trial),
        state=state,
        wait_label=worded(step.wait.label) if step.wait else "",
        wait_seconds=step.wait.seconds if step.wait else 0,
        begun=begun,
        meanwhile=step.meanwhile,
        cautions=[worded(caution) for caution in step.cautions],
        photo=worded(step.photo),
    )


def trial_title(at: Context, trial: int | None) -> str:
    """“Rough trial”, “Trial 2”, empty for the bench."""
    return at.trial_name(trial).removeprefix("the ").capitalize() if trial is not None else ""


def hand_of(at: Context, task: Task | None) -> Hand:
    if task is None:
        return Hand(
            kind="finished",
            key="",
            name="",
            trial=None,
            index=None,
            step="",
            title="Finished",
            row_title="",
            lead="All done.",
            then="Read the report with your team.",
            aside="",
            detail="",
            done=True,
            optional=False,
        )
    return hand_for(at, task)


def hand_for(at: Context, task: Task) -> Hand:
    """The reading (or observation, or step) in hand, with its words."""
    key, trial, index = task.place
    part, bottle = at.bound.part(key), at.bound.bottle(key)
    kind = (
        "reading" if isinstance(part, Reading) else "observation" if part else "bottle" if bottle else task.place.kind
    )
    hint = part.hint if part else bottle.help if bottle else ""
    how = at.bound.instruments[part.role].how if isinstance(part, Reading) else ""
    step = task.step
    ahead = "" if task.done else guided(at, step, trial)
    said = (hint, how if isinstance(part, Reading) else "")

    def worded(text: str) -> str:
        return at.bound.worded(text, trial, index)

    detail = worded(" ".join(filter(None, said)) or step.detail)
    lead, then = (ahead, "") if ahead else (worded(step.lead), worded(step.then))
    return Hand(
        kind="bottle" if bottle else kind,
        key=key,
        name=task.place.name,
        trial=trial,
        index=index,
        step=step.key,
        title=worded(task_title(at, task)),
        row_title=worded(row_title(at, task)),
        lead=lead,
        then=then,
        aside=trial_title(at, trial),
        detail=detail,
        done=task.done,
        optional=task.optional,
    )
