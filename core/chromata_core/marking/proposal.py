"""What a record would earn by a rubric, line by line, each with its reasons: a proposal that a person decides on."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from statistics import fmean

from chromata_core.marking.rubric import LABELS, Criterion, CriterionKind, Rubric
from chromata_core.prelab.state import PrelabState, TaskState
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.typed import parse_reading
from chromata_core.sentences import counted
from chromata_core.telling.outcome import Evaluation, ResultOut

_STEP = 0.5
_FAR = 1e6  # standard uncertainties: what is off without any uncertainty
_DIGITS = ("missing-digit", "too-many-digits")
_QUARTER = 0.25  # of the points, for each place with wrong figures, and for each gap in a record
_SHORT = 4  # letters: less is no reason


@dataclass(frozen=True, slots=True)
class Kept:
    """What there is beside readings: the reasons of corrections, notes of what was seen, and what each of the team (by
    name) did before class.
    """

    corrections: tuple[str, ...] = ()
    notes: int = 0
    prelabs: tuple[tuple[str, PrelabState], ...] = ()


@dataclass(frozen=True, slots=True)
class Proposed:
    """``points`` of ``most`` for one criterion; None where only a person can tell."""

    kind: CriterionKind
    label: str
    points: float | None
    most: float
    reasons: list[str]


Share = tuple[float | None, list[str]]


def propose(rubric: Rubric, told: Evaluation, kept: Kept) -> list[Proposed]:
    """A line for each criterion of ``rubric``, in its order."""
    return [_line(criterion, *_SHARES[criterion.kind](criterion, told, kept)) for criterion in rubric.criteria]


def _line(criterion: Criterion, share: float | None, reasons: list[str]) -> Proposed:
    points = None if share is None else round(criterion.points * min(max(share, 0.0), 1.0) / _STEP) * _STEP
    return Proposed(criterion.kind, LABELS[criterion.kind], points, criterion.points, reasons)


def _accuracy(criterion: Criterion, told: Evaluation, kept: Kept) -> Share:
    if not told.results:
        return 0.0, ["There is no result."]
    compared = [result for result in told.results if result.comparison]
    whole = [result for result in compared if result.trial is None] or compared
    if not whole:
        return None, ["There is no accepted value to hold it against."]
    away = [_away(criterion, result) for result in whole]
    shares = [
        1.0 - (min(max(size, criterion.full), criterion.none) - criterion.full) / (criterion.none - criterion.full)
        for size in away
    ]
    unit = " %" if criterion.by == "percent" else " standard uncertainties"
    reasons = [
        f"{result.label}{f', {result.trial_name.lower()}' if result.trial is not None else ''}: "
        f"{with_figures(size, 2)}{unit} from the accepted value."
        for result, size in zip(whole, away, strict=True)
    ]
    return fmean(shares), [
        *reasons,
        f"All points within {criterion.full:g}{unit}, none from {criterion.none:g}{unit} on.",
    ]


def _away(criterion: Criterion, result: ResultOut) -> float:
    assert result.comparison is not None
    if criterion.by == "percent":
        return abs(result.comparison.percent_error)
    off = abs(result.value - float(parse_reading(result.comparison.accepted).value))
    return off / result.u if result.u else 0.0 if not off else _FAR


def _precision(criterion: Criterion, told: Evaluation, kept: Kept) -> Share:
    if told.agreement is None:
        return None, ["Nothing was repeated that a rule could be held against."]
    agree = told.agreement.code == "agree"
    return float(agree), [f"{told.agreement.what} {told.agreement.why}"]


def _completeness(criterion: Criterion, told: Evaluation, kept: Kept) -> Share:
    needed = [task for task in told.tasks if not task.optional]
    done = sum(task.done for task in needed)
    return told.progress, [f"{done} of {len(needed)} readings, looks and steps are there."]


def _figures(criterion: Criterion, told: Evaluation, kept: Kept) -> Share:
    wrong = [finding.what for finding in told.findings if finding.code in _DIGITS]
    wrong += [f"{line.label}: {line.sentence}" for line in told.own if line.kind == "figures"]
    return 1 - _QUARTER * len(wrong), wrong or ["Every reading has the digits of its instrument."]


def _record(criterion: Criterion, told: Evaluation, kept: Kept) -> Share:
    gaps = [
        f"A correction without a reason: “{reason}”." for reason in kept.corrections if len(reason.strip()) < _SHORT
    ]
    unseen = [task.title for task in told.tasks if task.kind == "observation" and not task.done and not task.optional]
    gaps += [f"Not looked at: {title}." for title in unseen]
    corrected = f"{counted(len(kept.corrections), 'correction')} with a reason"
    sentence = f"{corrected}, {counted(kept.notes, 'note')} of what was seen."
    return 1 - _QUARTER * len(gaps), gaps or [sentence[:1].upper() + sentence[1:]]


_OWN = {"right": 1.0, "rounded": 1.0, "carried": 1.0, "figures": 0.5}


def _own(criterion: Criterion, told: Evaluation, kept: Kept) -> Share:
    asked = [task for task in told.tasks if task.kind == "own"]
    if not asked and not told.own:
        return None, ["Nothing was asked to be worked out."]
    missing = sum(not task.done for task in asked)
    shares = [*(_OWN.get(line.kind, 0.0) for line in told.own), *([0.0] * missing)]
    reasons = [f"{line.label}: {line.sentence}" for line in told.own if line.kind not in ("right", "rounded")]
    right = sum(line.kind in ("right", "rounded", "carried") for line in told.own)
    head = f"{right} of {len(shares)} lines right, or right from a line before."
    return fmean(shares) if shares else 0.0, [head, *reasons]


def _prelab(criterion: Criterion, told: Evaluation, kept: Kept) -> Share:
    """Half for what was right in the end but not at once; what is in own words counts as it is."""
    prepared = [(name, state) for name, state in kept.prelabs if state.tasks]
    if not prepared:
        return None, ["Nothing was asked before class."]
    reasons = [f"{name}: {state.done} of {len(state.tasks)} done." for name, state in prepared]
    return fmean(fmean(map(_task_share, state.tasks)) for _, state in prepared), reasons


def _task_share(task: TaskState) -> float:
    if task.agrees is None:  # in words, or not answered
        return float(task.done)
    return 0.0 if not task.agrees else 1.0 if task.tries == 1 else 0.5


def _conclusion(criterion: Criterion, told: Evaluation, kept: Kept) -> Share:
    written = [answer for answer in told.answers if answer.strip()]
    if not told.answers:
        return None, ["No question was asked."]
    if not written:
        return 0.0, ["Nothing is written."]
    return None, [f"{len(written)} of {len(told.answers)} answered; to be read."]


_SHARES: dict[CriterionKind, Callable[[Criterion, Evaluation, Kept], Share]] = {
    "accuracy": _accuracy,
    "precision": _precision,
    "completeness": _completeness,
    "figures": _figures,
    "record": _record,
    "own": _own,
    "prelab": _prelab,
    "conclusion": _conclusion,
}


def total_of(lines: Sequence[Proposed], decided: Sequence[float | None]) -> tuple[float, bool]:
    """The points of all lines, as ``decided`` or else as proposed; and whether something is still to be read."""
    points = [d if d is not None else line.points for line, d in zip(lines, decided, strict=True)]
    return sum(point for point in points if point is not None), any(point is None for point in points)
