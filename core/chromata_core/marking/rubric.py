"""A rubric: what counts for a mark, how much, and from where to where."""

from collections import Counter
from dataclasses import dataclass
from typing import Literal, get_args

from chromata_core.sentences import joined

CriterionKind = Literal["accuracy", "precision", "completeness", "figures", "record", "own", "prelab", "conclusion"]
By = Literal["percent", "u"]

LABELS: dict[CriterionKind, str] = {
    "accuracy": "Accuracy",
    "precision": "Precision",
    "completeness": "Completeness",
    "figures": "Figures and units",
    "record": "Record keeping",
    "own": "Own work",
    "prelab": "Before class",
    "conclusion": "Conclusion",
}
KINDS = get_args(CriterionKind)
MOST_POINTS = 1000.0
_STEP = 0.5


@dataclass(frozen=True, slots=True)
class Criterion:
    """So many ``points`` for one thing. Of accuracy: all of them up to ``full`` from the accepted value, none from
    ``none`` on, in per cent of it or in standard uncertainties of the result.
    """

    kind: CriterionKind
    points: float
    by: By = "percent"
    full: float = 1.0
    none: float = 5.0


@dataclass(frozen=True, slots=True)
class Rubric:
    """Criteria whose points add up to ``total``."""

    name: str
    total: float
    criteria: tuple[Criterion, ...]


# What most would begin with; common practice, no published source.
USUAL = Rubric(
    "Usual",
    20.0,
    (
        Criterion("accuracy", 5.0),
        Criterion("precision", 3.0),
        Criterion("completeness", 3.0),
        Criterion("figures", 2.0),
        Criterion("record", 2.0),
        Criterion("own", 3.0),
        Criterion("conclusion", 2.0),
    ),
)


def rubric_problems(rubric: Rubric) -> list[str]:
    """What keeps ``rubric`` from being used; none if it can be."""
    problems = []
    if not rubric.name.strip():
        problems.append("Give the rubric a name, so that it is found again.")
    if not rubric.criteria:
        problems.append("Choose at least one thing that counts.")
    twice = [
        LABELS[kind] for kind, times in Counter(criterion.kind for criterion in rubric.criteria).items() if times > 1
    ]
    if twice:
        problems.append(f"{joined(twice)} stands twice; keep one of them.")
    for criterion in rubric.criteria:
        problems += _criterion_problems(criterion)
    added = sum(criterion.points for criterion in rubric.criteria)
    if not problems and not abs(added - rubric.total) <= 1e-9:  # also where it is no number
        problems.append(f"The points add up to {added:g}, and the whole is {rubric.total:g}. Change one of them.")
    return problems


def _criterion_problems(criterion: Criterion) -> list[str]:
    label = LABELS[criterion.kind]
    if not 0 < criterion.points <= MOST_POINTS or criterion.points % _STEP:
        return [f"{label}: give points above zero, whole or half ones."]
    if criterion.kind == "accuracy" and not 0 <= criterion.full < criterion.none:
        return [f"{label}: all points must end nearer to the accepted value than none begin."]
    return []
