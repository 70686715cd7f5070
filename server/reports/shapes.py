"""What a report holds."""

from dataclasses import dataclass

from chromata_core.engine.shown import Shown
from chromata_core.telling.drawn_results import DrawnResult
from chromata_core.telling.effects import Effect
from chromata_core.telling.outcome import Evaluation, ReadingOut, WorkedLine
from labs.shapes import ComparisonView, SessionCard
from notebook.seals import RecordCheck
from results.shapes import BesideSample


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
    """A closing question with its answer, and who wrote it; nobody where it is not answered."""

    question: str
    answer: str
    author: str


@dataclass(frozen=True, slots=True)
class AnsweredBefore:
    """A task of before class with a student's own answer, their reason, and what is said of it."""

    question: str
    answer: str
    reason: str
    said: str


@dataclass(frozen=True, slots=True)
class StudentsPart:
    """What in a report is one student's own: with whom they worked, what they wrote, their work before class."""

    name: str
    others: list[str]
    wrote: str
    before: list[AnsweredBefore]


@dataclass(frozen=True, slots=True)
class Member:
    """Somebody of the team."""

    id: int
    name: str


@dataclass(frozen=True, slots=True)
class Picture:
    """A picture of the record: what it shows, who took it and when."""

    photo: str
    text: str
    author: str
    at: str


@dataclass(frozen=True, slots=True)
class Report:
    """A bench's report. ``taken`` says which readings came from a device, ``record`` what of its record was verified;
    ``each`` of whom there is one of their own for who asks; ``student`` is what makes it one.
    """

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
    draws: list[DrawnResult]
    what_if: list[Effect]
    corrections: list[Correction]
    taken: list[str]
    answers: list[Answered]
    notes: list[str]
    photos: list[Picture]
    record: RecordCheck
    stores: str
    comparison: ComparisonView | None
    beside: list[BesideSample]
    each: list[Member]
    student: StudentsPart | None = None

    @property
    def rows(self) -> list[ReadingOut]:
        """Each reading that was made in any trial, once, in the order of the trial that has most: a table's rows."""
        rows: dict[tuple[str, int | None], ReadingOut] = {}
        for trial in sorted(self.evaluation.trials, key=lambda trial: -len(trial.readings)):
            for reading in trial.readings:
                rows.setdefault((reading.key, reading.index), reading)
        return list(rows.values())
