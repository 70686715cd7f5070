"""What is answered about work before class."""

from dataclasses import dataclass

from chromata_core.prelab.state import TaskState
from labs.shapes import SessionCard


@dataclass(frozen=True, slots=True)
class PrelabView:
    """The tasks of a session with one's own answers; ``needed``: no reading is written at one's bench before all are
    done. ``open``: answers are still taken.
    """

    session: SessionCard
    tasks: list[TaskState]
    done: int
    needed: bool
    open: bool
    hazards: list[str]


@dataclass(frozen=True, slots=True)
class PrelabLine:
    """A session before which there is something to do, and how much of it is done."""

    session: SessionCard
    done: int
    of: int


@dataclass(frozen=True, slots=True)
class InWords:
    """An answer in a student's own words, to be read by a person."""

    question: str
    text: str


@dataclass(frozen=True, slots=True)
class StudentReady:
    """How far one student is; ``let_in``: may begin all the same. ``stuck`` names what was tried and is not right."""

    id: int
    name: str
    bench: int | None
    done: int
    of: int
    let_in: bool
    stuck: list[str]
    words: list[InWords]


@dataclass(frozen=True, slots=True)
class RoomReady:
    """Who is ready; nobody where nothing is asked. ``needed``: benches wait for it."""

    needed: bool
    students: list[StudentReady]


@dataclass(frozen=True, slots=True)
class BenchWaits:
    """What a bench is told while it may not read yet: whom it waits for, by name, and whether that is oneself."""

    names: list[str]
    mine: bool
