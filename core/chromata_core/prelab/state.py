"""Tasks with their answers, as a student sees them."""

from dataclasses import dataclass
from typing import Literal

TaskKind = Literal["line", "choice", "own"]


@dataclass(frozen=True, slots=True)
class Answer:
    """One way to answer."""

    key: str
    label: str


@dataclass(frozen=True, slots=True)
class TaskState:
    """A task with its answer, as the student sees it. ``done``: nothing more is needed; ``agrees``: it is right, None
    where only a person can tell. ``told`` is the answer, once it was tried often enough, and why it is so.
    """

    key: str
    kind: TaskKind
    text: str
    unit: str
    why: str
    given: list[str]
    choices: list[Answer]
    answer: str
    reason: str
    tries: int
    done: bool
    agrees: bool | None
    sentence: str
    told: str


@dataclass(frozen=True, slots=True)
class PrelabState:
    """What one student has done of it."""

    tasks: list[TaskState]

    @property
    def done(self) -> int:
        """How many tasks need nothing more."""
        return sum(task.done for task in self.tasks)

    @property
    def ready(self) -> bool:
        """Whether all of them do."""
        return self.done == len(self.tasks)
