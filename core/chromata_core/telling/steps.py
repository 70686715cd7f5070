"""The steps of the rail, and the task in hand with its words."""

from decimal import Decimal
from math import ceil

from chromata_core.declaration.vocabulary import Observation, Reading, Series, Wait
from chromata_core.engine.context import Context
from chromata_core.telling.minutes import minutes_of
from chromata_core.telling.outcome import (
    Hand,
    StepOut,
)
from chromata_core.telling.progress import Task, current_task, guided, in_turn, row_title, task_title
from chromata_core.telling.written import short_name, trial_title


def steps_of(at: Context, planned: list[Task]) -> list[StepOut]:
    """The rail: what is planned, gathered by step, trial and round, with what is done and what is left of it."""
    now = current_task(at, planned)
    grouped: dict[tuple[str, int | None, int | None], list[Task]] = {}
    for task in planned:
        grouped.setdefault((task.step.key, task.trial, task.turn), []).append(task)
    steps = []
    for (key, trial, turn), group in grouped.items():
        step = group[0].step
        done = all(task.done or task.optional for task in group)
        begun = _really(at, at.begun(step, trial, turn))
        state = "void" if trial in at.computed.voided else "done" if done else "ahead"
        state = "now" if now is not None and (now.step.key, now.trial, now.turn) == (key, trial, turn) else state
        minutes = 0.0 if state == "void" else minutes_of(at, group)
        steps.append(_step(at, group[0], state, begun, minutes))
    return steps


def _step(at: Context, task: Task, state: str, begun: float | None, minutes: float) -> StepOut:
    step, trial = task.step, task.trial

    def worded(text: str) -> str:
        return at.bound.worded(text, trial)

    return StepOut(
        key=step.key,
        title=worded(in_turn(step.title, task.turn)),
        detail=guided(at, step, trial) or worded(step.detail),
        scope=step.scope,
        trial=trial,
        turn=task.turn,
        trial_name=trial_title(at, trial),
        trial_short="" if trial is None else short_name(at, trial),
        state=state,
        wait_label=f"{worded(step.wait.label)}{_quickly(at)}" if step.wait else "",
        wait_seconds=ceil(_wait(step.wait, task.turn) / at.bound.pace) if step.wait else 0,
        begun=begun,
        meanwhile=step.meanwhile,
        cautions=[worded(caution) for caution in step.cautions],
        photo=worded(step.photo),
        scene=step.scene,
        minutes=minutes,
        early=bool(step.early),
    )


def _really(at: Context, begun: float | None) -> float | None:
    """When that was by the clock on the wall, where the bench's own runs faster."""
    opened = at.bound.opened
    return begun if begun is None or opened is None else opened + (begun - opened) / at.bound.pace


def _quickly(at: Context) -> str:
    return f", {at.bound.pace} times as fast" if at.bound.pace > 1 else ""


def _wait(wait: Wait, turn: int | None) -> int:
    later = wait.again[: (turn or 1) - 1]
    return later[-1] if later else wait.seconds


def hand_of(at: Context, task: Task | None) -> Hand:
    """``task`` in words; where there is none left, that all is done."""
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
    hints = (hint, how if isinstance(part, Reading) else "")

    def worded(text: str) -> str:
        return at.bound.worded(text, trial, index)

    detail = worded(" ".join(filter(None, hints)) or step.detail)
    again = worded(step.again) if task.turn not in (None, 1) else ""
    lead, then = (ahead or again, "") if ahead or again else (worded(step.lead), worded(step.then))
    return Hand(
        kind="bottle" if bottle else kind,
        key=key,
        name=task.place.name,
        trial=trial,
        index=index,
        turn=task.turn,
        step=step.key,
        title=worded(task_title(at, task)),
        row_title=worded(row_title(at, task)),
        lead=lead,
        then=then,
        aside=trial_title(at, trial),
        detail=detail,
        done=task.done,
        optional=task.optional,
        unit=at.quantity(task.place.name).unit if kind == "own" else "",
        offer="" if task.done else _offer(at, part, trial, index),
        labels=_labels(at, part, trial),
    )


def _labels(at: Context, part: Reading | Observation | None, trial: int | None) -> list[str]:
    if not isinstance(part, Observation) or trial is None or not any("{" in choice.label for choice in part.choices):
        return []
    return [at.bound.worded(choice.label, trial) for choice in part.choices]


def _offer(at: Context, part: Reading | Observation | None, trial: int | None, index: int | None) -> str:
    """The next of a series that goes on in equal steps, as its instrument would show it; empty before the third."""
    if not isinstance(part, Series) or not part.paced:
        return ""
    typed = at.bound.series(part.key, trial)
    if len(typed) < 2 or index != len(typed) + 1:
        return ""
    tool, (before, last) = at.instrument(part.key), (shown.value for shown in typed[-2:])
    following = last + (last - before)
    return f"{following:.{tool.decimals}f}" if last < following <= Decimal(tool.high) else ""
