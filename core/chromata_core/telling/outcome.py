"""What an evaluation says, as plain data for screens, files and reports. Every number is also ready to be shown.

These shapes have no slots: a server keeps evaluations and sends them, and both are twice as quick with plain objects.
"""

from dataclasses import dataclass, field

from chromata_core.engine.shown import Shown
from chromata_core.judging.finding import Finding, Level
from chromata_core.telling.chart import Chart, Statistic


@dataclass(frozen=True)
class ReadingOut:
    """One reading or observation on the sheet, with the gravest word about it; ``beside`` names the series with which
    it is read in turn.
    """

    key: str
    label: str
    trial: int | None
    index: int | None
    shown: Shown
    level: Level
    beside: str = ""


@dataclass(frozen=True)
class QuantityOut:
    """A computed quantity of one trial or of the bench, to the figures its readings allow."""

    key: str
    label: str
    symbol: str
    value: float
    shown: Shown


@dataclass(frozen=True)
class TrialOut:
    """A trial; ``state`` is open, counted, set aside (does not agree), rough or void, ``why`` says the reason."""

    number: int
    name: str
    state: str
    why: str
    readings: list[ReadingOut]
    quantities: list[QuantityOut]


@dataclass(frozen=True)
class BudgetOut:
    """A line of the budget: what it adds in the result's unit, its share of the variance from 0 to 1.

    ``input`` is the standard uncertainty of its source as people know it (several of a kind: “4 × 0.0082 mL”),
    ``sensitivity`` the result's change per unit of it, empty where several sources stand together.
    """

    label: str
    u: float
    share: float
    distribution: str
    input: str
    sensitivity: str


@dataclass(frozen=True)
class Comparison:
    """A result against an accepted value: percent error (signed), and whether the interval holds it."""

    accepted: str
    percent_error: float
    percent_text: str
    within: bool
    sentence: str


@dataclass(frozen=True)
class ResultOut:
    """A reported result, of the bench or of one trial: value and u, U in ``unit``; ``dof`` None: practically infinite.

    Beside it the two teaching schools: ``by_figures`` (significant figures), ``worst_case`` (sum of apparatus errors).
    """

    key: str
    trial: int | None
    trial_name: str
    label: str
    symbol: str
    unit: str
    value: float
    u: float
    expanded: float
    k: float
    dof: float | None
    shown: Shown
    uncertainty: str
    power: str
    line: str
    by_figures: Shown
    worst_case: str
    budget: list[BudgetOut]
    advice: str
    comparison: Comparison | None


@dataclass(frozen=True)
class StepOut:
    """A step on the rail. ``begun`` is when its wait was started, epoch seconds; ``meanwhile`` names the step of the
    next trial that can be done during it, ``photo`` what a picture belongs on the record of,
    ``scene`` the drawing that shows how it is done. ``minutes`` are left of it
    with the hands, about; ``early`` ones are done before their turn, so that other work fills their wait. ``turn`` is
    the round of a cycle.
    """

    key: str
    title: str
    detail: str
    scope: str
    trial: int | None
    turn: int | None
    trial_name: str
    trial_short: str
    state: str
    wait_label: str
    wait_seconds: int
    begun: float | None
    meanwhile: str
    cautions: list[str]
    photo: str
    scene: str
    minutes: float
    early: bool


@dataclass(frozen=True)
class Hand:
    """One task as it is taken in hand. ``kind`` is reading, observation, bottle, tick, own, answer, or finished for
    none; ``name`` is what it is of: the key of its step, quantity or part, or the number of its question.

    ``row_title`` is the title of any row of its series, with ``{row}`` for the number. ``optional`` readings are made
    only if the work needs them. ``offer`` is what a series that goes on in equal steps would come to next. ``labels``
    are those of an observation's choices, where they are of this trial alone; ``unit`` is that of a line to be worked
    out.
    """

    kind: str
    key: str
    name: str
    trial: int | None
    index: int | None
    step: str
    title: str
    row_title: str
    lead: str
    then: str
    aside: str
    detail: str
    done: bool
    optional: bool
    offer: str = ""
    turn: int | None = None
    labels: list[str] = field(default_factory=list)
    unit: str = ""


@dataclass(frozen=True)
class OwnAnswer:
    """A line that a student worked out, traced; ``kind`` is right, rounded, carried, figures, slip or unexplained, or
    kept where nothing is told of it. ``tries`` is how often it was written, ``line`` the line itself where it is told.
    For who teaches: ``says`` names the slip, ``away`` by how many per cent it is off what the readings give.
    """

    key: str
    trial: int | None
    label: str
    text: str
    unit: str
    agrees: bool
    kind: str
    sentence: str
    tries: int
    line: str
    says: str
    away: float | None


@dataclass(frozen=True)
class HandedOut:
    """A number of the plan that another sheet finds: ``text`` as it was found there; where it was not, as it was
    planned, and ``why``.
    """

    key: str
    label: str
    text: str
    origin: str
    why: str


@dataclass(frozen=True)
class Evaluation:
    """Everything the core says of one sheet. ``absent`` says what results that are not
    there wait for; ``settled`` are answers of the work that need no more looking at;
    ``replicates_pass``: enough trials, and they agree by the class rule.
    ``veil`` says what does not show yet, and until when; empty where everything shows.
    ``path`` are the readings and quantities of a trial that lead from what was measured back to the sample.
    """

    method: str
    version: int
    trial_noun: str
    progress: float
    hand: Hand
    tasks: list[Hand]
    another: Hand | None
    steps: list[StepOut]
    bench: list[ReadingOut]
    trials: list[TrialOut]
    quantities: list[QuantityOut]
    results: list[ResultOut]
    absent: list[str]
    statistics: list[Statistic]
    charts: list[Chart]
    path: list[str]
    agreement: Finding | None
    settled: list[Finding]
    replicates_pass: bool
    findings: list[Finding]
    own: list[OwnAnswer]
    answers: list[str] = field(default_factory=list)
    handed: list[HandedOut] = field(default_factory=list)
    veil: str = ""


@dataclass(frozen=True)
class Verdict:
    """What a reading about to be kept is worth."""

    level: Level
    lead: str
    text: str
    suggest: str = ""
    refused: bool = False


@dataclass(frozen=True)
class WorkedLine:
    """One line of worked computation: MathML with symbols, with numbers put in, and the same as plain text."""

    key: str
    label: str
    trial: int | None
    trial_name: str
    symbol: str
    formula: str
    numbers: str
    answer: Shown
    plain: str
