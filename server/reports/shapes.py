"""What a report holds."""

from dataclasses import dataclass

from chromata_core.method.outcome import Evaluation, Shown, WorkedLine
from labs.shapes import SessionCard


@dataclass(frozen=True, slots=True)
class Correction:
    """A reading that was corrected: what stood there, what stands now, who and why."""

    label: str
    old: str
    new: str
    reason: str
    author: str
    at: str


@dataclass(frozen=True, slots=True)
class InstrumentUsed:
    """An instrument of the session with the basis of its uncertainty."""

    role: str
    label: str
    basis: list[str]


@dataclass(frozen=True, slots=True)
class Answered:
    """A closing question with its answer."""

    question: str
    answer: str


@dataclass(frozen=True, slots=True)
class Report:
    """A bench's report. ``whole`` says that the chained record was verified."""

    bench_id: int
    number: int
    sample: str
    team: list[str]
    session: SessionCard
    aim: str
    reaction: str
    evaluation: Evaluation
    known: list[Shown]
    instruments: list[InstrumentUsed]
    lines: list[WorkedLine]
    corrections: list[Correction]
    answers: list[Answered]
    notes: list[str]
    entries: int
    whole: bool
