"""From contributions to a stated uncertainty: combined, effective degrees of freedom, coverage, and who is to blame."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from math import inf, isinf, sqrt

from chromata_core.quantity.column import Column
from chromata_core.uncertainty.source import Source

PROBABILITY = 0.95
_NOTHING = 1e-12  # what is left of two equal contributions that cancel


@dataclass(frozen=True, slots=True)
class BudgetLine:
    """One line of a budget: a cause (several sources of the same label together) and its share of the variance.

    ``u`` is what it adds to the result, in the result's SI unit; ``share`` is 0 to 1. ``first`` is its first source;
    ``sensitivity`` (SI, the result's change per unit of that source) is None for several sources together.
    """

    label: str
    u: float
    share: float
    first: Source
    sources: int
    sensitivity: float | None


@dataclass(frozen=True, slots=True)
class Budget:
    """Combined standard uncertainty ``u`` (SI), effective degrees of freedom, coverage factor, U = k·u, lines."""

    u: float
    dof: float
    k: float
    expanded: float
    lines: tuple[BudgetLine, ...]


def budget(sources: Sequence[Source], contributions: Column) -> Budget:
    """The budget of one result from its signed contribution along each source (GUM 5.1 with G.4)."""
    squares = [float(c) * float(c) for c in contributions[: len(sources)]]
    variance = sum(squares)
    dof = _welch_satterthwaite(variance, sources, squares)
    k = coverage_factor(dof)
    return Budget(sqrt(variance), dof, k, k * sqrt(variance), _lines(variance, sources, contributions))


def _welch_satterthwaite(variance: float, sources: Sequence[Source], squares: Sequence[float]) -> float:
    """Effective degrees of freedom, GUM G.4.1; infinite when nothing was estimated from few replicates."""
    estimates: dict[str, tuple[float, float]] = {}
    for source, square in zip(sources, squares, strict=True):
        if not isinf(source.dof):
            so_far, _ = estimates.get(source.estimate or source.id, (0.0, 0.0))
            estimates[source.estimate or source.id] = (so_far + square, source.dof * source.part)
    weight = sum(square * square / dof for square, dof in estimates.values() if dof)
    return variance * variance / weight if weight > 0 else inf


def coverage_factor(dof: float) -> float:
    """Student's t for 95 % and the very degrees of freedom, at least one; 2 (the usual k) when they are many.

    GUM G.4.1 leaves the choice to interpolate or to truncate; truncating makes U jump.
    """
    return 2.0 if isinf(dof) or dof > 50 else _student(round(max(dof, 1.0), 6))


@lru_cache(maxsize=256)
def _student(dof: float) -> float:
    from scipy.special import stdtrit  # slow to import, and only needed once there are replicates

    return float(stdtrit(dof, 0.5 + PROBABILITY / 2))


def _lines(variance: float, sources: Sequence[Source], contributions: Column) -> tuple[BudgetLine, ...]:
    groups: dict[str, list[tuple[Source, float]]] = {}
    for source, contribution in zip(sources, map(float, contributions[: len(sources)]), strict=True):
        if contribution * contribution > _NOTHING * variance:
            groups.setdefault(source.label, []).append((source, contribution))
    lines = [_line(label, members, variance) for label, members in groups.items()]
    return tuple(sorted(lines, key=lambda line: line.share, reverse=True))


def _line(label: str, members: list[tuple[Source, float]], variance: float) -> BudgetLine:
    total = sum(contribution * contribution for _, contribution in members)
    (first, contribution), single = members[0], len(members) == 1
    sensitivity = contribution / first.u if single and first.u else None
    return BudgetLine(label, sqrt(total), total / variance, first, len(members), sensitivity)
