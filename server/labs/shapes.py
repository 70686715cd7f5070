"""What the screens get: core answers with the bench, people and session they belong to."""

from dataclasses import dataclass, field
from typing import Literal

from chromata_core.declaration.own_work import OwnWork
from chromata_core.declaration.prelab import Prelab
from chromata_core.planning.foresight import Alternative
from chromata_core.planning.timetable import Timetable
from chromata_core.prelab.tasks import Offered
from chromata_core.telling.beside import Beside
from chromata_core.telling.options_told import OptionChosen
from chromata_core.telling.outcome import ResultOut, TrialOut
from stock.shapes import Named

# Whose result stands for a number of a later plan.
Of = Literal["bench", "class"]


@dataclass(frozen=True, slots=True)
class SessionCard:
    """A session by name, place and state. ``simulated``: class or worked, where nobody stood in a room."""

    id: int
    title: str
    section: str
    room: str
    method: str
    method_title: str
    family: str
    state: str
    starts_at: str
    minutes: int
    released: bool
    simulated: str


@dataclass(frozen=True, slots=True)
class SessionLine(SessionCard):
    """A session as one line of the term. ``lacks`` says what it still needs before it can open."""

    benches: int
    students: int
    lacks: list[str]


@dataclass(frozen=True, slots=True)
class BenchPlace:
    """A place in a session's plan, with its sample, or all of them; ``open``: it is at work. ``title`` is that of the
    session, ``simulated`` as there.
    """

    id: int
    number: int
    title: str
    simulated: str
    sample: str
    team: list[str]
    open: bool


@dataclass(frozen=True, slots=True)
class StudentPlace:
    """A student of the section and the number of their bench, None where they have none. ``waits`` says that too many
    wrong PINs were typed for them.
    """

    id: int
    name: str
    bench: int | None
    absent: bool
    waits: bool


@dataclass(frozen=True, slots=True)
class SampleGiven:
    """A sample with its accepted results by key, which are only told to the instructor, and its own choices."""

    name: str
    accepted: dict[str, str]
    options: dict[str, str]


@dataclass(frozen=True, slots=True)
class Comparable:
    """A result that can have an accepted value."""

    key: str
    label: str
    unit: str


@dataclass(frozen=True, slots=True)
class TakenFrom:
    """A result of an earlier session that stands for a number of the plan: each bench's own, or the class's mean; of
    a planned trial, or of the whole bench.
    """

    key: str
    trial: int | None
    of: Of


@dataclass(frozen=True, slots=True)
class PlanDraft:
    """A plan as it was written, to be changed or used again. ``starts`` is the department's date and time."""

    section: int
    guests: list[int]
    starts: str
    options: dict[str, str]
    instruments: dict[str, str]
    questions: list[str]
    own_work: OwnWork
    prelab: Prelab
    all_samples: bool
    follows: int | None
    takes: dict[str, TakenFrom]
    revision: int


@dataclass(frozen=True, slots=True)
class Done:
    """What somebody did with a session, and when."""

    at: str
    who: str
    what: str


@dataclass(frozen=True, slots=True)
class RemarkOut:
    """What an instructor adds to a step; ``always``: in this method from now on; ``photo`` names its picture, which is
    shown ``instead`` of the drawing or beside it.
    """

    id: int
    step: str
    title: str
    text: str
    author: str
    always: bool
    photo: str
    instead: bool


@dataclass(frozen=True, slots=True)
class StepName:
    """A step that can be remarked on."""

    key: str
    title: str


@dataclass(frozen=True, slots=True)
class PartOf:
    """One of the sessions that belong together."""

    id: int
    title: str


@dataclass(frozen=True, slots=True)
class Coming:
    """In how many groups the benches come, and how many minutes these are apart."""

    groups: int
    apart: int


@dataclass(frozen=True, slots=True)
class SessionPlan:
    """A session whole, for its instructor and assistants; ``comparison`` is the label of the prepared data, if any.
    ``log`` has the latest first. ``together`` are the sessions that it is a part with, itself among them.
    """

    card: SessionLine
    together: list[PartOf]
    draft: PlanDraft
    log: list[Done]
    options: list[OptionChosen]
    instruments: list[Named]
    benches: list[BenchPlace]
    students: list[StudentPlace]
    samples: list[SampleGiven]
    comparable: list[Comparable]
    comparison: str
    timetables: list[Timetable]
    coming: Coming
    steps: list[StepName]
    remarks: list[RemarkOut]


@dataclass(frozen=True, slots=True)
class ComparisonView:
    """Another product's data beside the bench's own. Until the bench's trials agree it is only announced."""

    label: str
    opened: bool
    sentence: str
    trials: list[TrialOut]
    results: list[ResultOut]
    beside: list[Beside]


@dataclass(frozen=True, slots=True)
class Standing:
    """Where a bench stands: row from the front, place from the left, both from 1."""

    bench: int
    row: int
    column: int


@dataclass(frozen=True, slots=True)
class Arrangement:
    """How a room is arranged: as it was written, how wide it is, and where each bench stands."""

    text: str
    columns: int
    places: list[Standing]


@dataclass(frozen=True, slots=True)
class BoardLine:
    """What may be written for the room: what is posted, by whom and when (empty: nothing yet), and the benches that
    have one of their own. ``planned`` is what counts until then, of a bottle's label.
    """

    key: str
    label: str
    unit: str
    planned: str = ""
    text: str = ""
    author: str = ""
    at: str = ""
    own: list[int] = field(default_factory=list)


@dataclass(frozen=True, slots=True)
class PlannedSolution:
    """A solution that a plan asks for and how it would be made from what is there, in a line."""

    title: str
    amount: str
    lead: str
    lacks: list[str]


@dataclass(frozen=True, slots=True)
class Foreseen:
    """What would make a plan better, what may be asked beforehand; for the staff how its solutions are made."""

    alternatives: list[Alternative]
    improvement: str
    before_class: list[Offered]
    recipes: list[PlannedSolution]
