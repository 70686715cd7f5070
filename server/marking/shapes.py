"""What is answered about marks."""

from dataclasses import dataclass

from chromata_core.marking.rubric import Rubric
from labs.shapes import SessionCard


@dataclass(frozen=True, slots=True)
class RubricOut:
    """A rubric that can be chosen; ``id`` is 0 for the usual one, which nobody owns."""

    id: int
    rubric: Rubric


@dataclass(frozen=True, slots=True)
class MarkLine:
    """One line of a bench's marks: what is proposed (None: to be read) and why, and what somebody decided instead."""

    kind: str
    label: str
    proposed: float | None
    decided: float | None
    most: float
    reasons: list[str]
    note: str


@dataclass(frozen=True, slots=True)
class BenchMarks:
    """The marks of one record; ``to_read``: a line waits for a person."""

    bench: int
    number: int
    sample: str
    team: list[str]
    lines: list[MarkLine]
    points: float
    most: float
    to_read: bool
    answers: list[str]


@dataclass(frozen=True, slots=True)
class ClassMarks:
    """The marks of a session; without a rubric nothing is marked yet."""

    session: SessionCard
    rubric: Rubric | None
    rubrics: list[RubricOut]
    released: bool
    benches: list[BenchMarks]


@dataclass(frozen=True, slots=True)
class OwnMarks:
    """A bench's marks as its students see them, once they are released; none before."""

    marks: BenchMarks | None
