"""What is answered of a bench, of a room, and to who writes."""

from dataclasses import dataclass
from typing import Literal

from chromata_core.engine.shown import Shown
from chromata_core.instruments.instrument import Instrument
from chromata_core.judging.finding import Level
from chromata_core.planning.supplies import TargetOut
from chromata_core.planning.timetable import Timetable
from chromata_core.statistics.class_band import Band
from chromata_core.statistics.class_comparison import ClassComparison
from chromata_core.telling.beside import Beside
from chromata_core.telling.chart import Chart
from chromata_core.telling.class_causes import Cause
from chromata_core.telling.class_plot import ClassPlot
from chromata_core.telling.describe import PartOut
from chromata_core.telling.outcome import Evaluation
from chromata_core.telling.over_time import OverTime
from labs.shapes import Arrangement, BoardLine, ComparisonView, PartOf, RemarkOut, SessionCard
from notebook.actions import Kept
from prelab.shapes import BenchWaits

NeedLevel = Literal["call", "look", "repeat", "stop"]


@dataclass(frozen=True, slots=True)
class Lesson:
    """What went wrong last time, and at how many of so many benches."""

    what: str
    benches: int
    of: int


@dataclass(frozen=True, slots=True)
class LastTime:
    """What the last session of this method teaches; the title is empty where there was none."""

    title: str
    at: str
    lessons: list[Lesson]


@dataclass(frozen=True, slots=True)
class ResultOverTime:
    """A result each time it was found, of all trials together or of a planned one; ``sessions`` are those of its
    ``found.times``, one by one.
    """

    key: str
    trial: int | None
    label: str
    unit: str
    sessions: list[int]
    found: OverTime


@dataclass(frozen=True, slots=True)
class MethodHistory:
    """A method over the years, for who taught it; ``watch`` is what went wrong most often."""

    slug: str
    title: str
    family: str
    sessions: list[SessionCard]
    results: list[ResultOverTime]
    watch: list[Lesson]


@dataclass(frozen=True, slots=True)
class Talk:
    """Something said between a bench and the instructor; ``photo`` names the picture that belongs to it, if any."""

    id: str
    kind: str
    text: str
    author: str
    at: str
    photo: str


@dataclass(frozen=True, slots=True)
class EntryRef:
    """Where a standing entry is, so that it can be corrected; ``old`` are the texts it superseded. ``of_room`` says who
    posted it, where it came from the staff.
    """

    id: str
    key: str
    trial: int | None
    index: int | None
    text: str
    old: list[str]
    of_room: str


@dataclass(frozen=True, slots=True)
class SampleHere:
    """One of the samples that a place works with, and how far it is with it (0 to 1); ``bench`` is its record."""

    bench: int
    label: str
    progress: float


@dataclass(frozen=True, slots=True)
class ReadBefore:
    """What was read for another sample of the same place and is the same for all."""

    key: str
    index: int | None
    text: str
    sample: str


@dataclass(frozen=True, slots=True)
class BesideSample:
    """The results beside those of another sample of the same place."""

    sample: str
    pairs: list[Beside]


@dataclass(frozen=True, slots=True)
class PartHere:
    """One of the sessions that belong together, and the record of this place there."""

    bench: int
    title: str


@dataclass(frozen=True, slots=True)
class BenchView:
    """Everything a bench screen shows. ``waits``: it may not read yet."""

    id: int
    number: int
    sample: str
    team: list[str]
    session: SessionCard
    evaluation: Evaluation
    comparison: ComparisonView | None
    parts: list[PartOut]
    instruments: list[Instrument]
    questions: list[str]
    entries: list[EntryRef]
    talk: list[Talk]
    remarks: list[RemarkOut]
    targets: list[TargetOut]
    samples: list[SampleHere]
    together: list[PartHere]
    read_before: list[ReadBefore]
    beside: list[BesideSample]
    waits: BenchWaits | None


@dataclass(frozen=True, slots=True)
class FloorTrial:
    """One trial on a tile: the quantity that must agree, and its state."""

    name: str
    text: str
    state: str


@dataclass(frozen=True, slots=True)
class FloorBench:
    """A tile of the floor. ``level`` is the gravest open word, ``call`` an unanswered call for help. Where a place has
    several ``samples`` it tells of the one in hand. ``minutes_left``: its work, about.
    """

    id: int
    number: int
    team: list[str]
    sample: str
    doing: str
    progress: float
    result: Shown | None
    value: float | None
    expanded: float | None
    band: Band | None
    trials: list[FloorTrial]
    last_at: str | None
    level: Level
    call: str
    samples: list[SampleHere]
    minutes_left: int


@dataclass(frozen=True, slots=True)
class Need:
    """One reason to walk over. ``id`` names it, so that it can be marked seen."""

    id: str
    bench: int
    bench_id: int
    level: NeedLevel
    what: str
    text: str
    word: str
    since: str
    trial: int | None


@dataclass(frozen=True, slots=True)
class LiveTurns:
    """Turns at what benches share as they go on; ``begins`` is their minute 0, ``now`` the minute it is."""

    begins: str
    now: int
    timetable: Timetable


@dataclass(frozen=True, slots=True)
class Floor:
    """The room as it is now. ``minutes_left`` is the work that the middle one of the benches has before it, about;
    ``slips`` are those behind the students' own lines by now, the most frequent first.
    """

    session: SessionCard
    together: list[PartOf]
    result_label: str
    unit: str
    minutes_left: int
    benches: list[FloorBench]
    needs: list[Need]
    board: list[BoardLine]
    arrangement: Arrangement
    class_comparison: ClassComparison | None
    class_plot: ClassPlot | None
    slips: list[Cause]
    turns: LiveTurns | None


@dataclass(frozen=True, slots=True)
class ClassBench:
    """A bench's record in its class; ``left_out`` says why it does not count, where somebody decided so."""

    id: int
    number: int
    sample: str
    team: list[str]
    left_out: str


@dataclass(frozen=True, slots=True)
class ClassResult:
    """One result of the whole class, of all trials together or of a planned one; the faults that would explain values
    that miss the accepted one, what the mean would be without what went wrong, how the students' own fared, and how
    the sections lie beside each other that came together.
    """

    key: str
    trial: int | None
    trial_name: str
    comparison: ClassComparison
    plot: ClassPlot
    faults: list[Cause]
    without: str
    own: str
    sections: str


@dataclass(frozen=True, slots=True)
class ClassPooled:
    """One picture of all benches that work alike, with what all trials together give, in words; ``of`` names their
    samples where others work otherwise.
    """

    of: str
    chart: Chart
    results: list[str]


@dataclass(frozen=True, slots=True)
class ClassPage:
    """A class after its session; only benches at which something was written."""

    session: SessionCard
    together: list[PartOf]
    benches: list[ClassBench]
    results: list[ClassResult]
    causes: list[Cause]
    pooled: list[ClassPooled]


@dataclass(frozen=True, slots=True)
class Written:
    """What became of each entry that was sent, and the bench as it then stands."""

    kept: list[Kept]
    bench: BenchView
