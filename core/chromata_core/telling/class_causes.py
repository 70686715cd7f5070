"""What made a class's errors: slips in the students' own lines, what went wrong at benches, faults that would explain
how far off a result is.
"""

from collections import defaultdict
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from statistics import fmean, median
from typing import Literal

from chromata_core.quantity.rounding import with_figures
from chromata_core.sentences import first_upper
from chromata_core.statistics.class_comparison import BenchResult
from chromata_core.telling.effects import Effect
from chromata_core.telling.outcome import Evaluation

Kind = Literal["own", "unexplained", "reading", "fault"]
_WRONG = ("repeat", "stop")
_LARGE, _SMALL = 999.0, 0.005  # per cent: from here on, and down to here, a number says nothing more


@dataclass(frozen=True, slots=True)
class Cause:
    """``own``: a slip in an own line; ``unexplained``: an own line that no usual slip gives; ``reading``: something at
    the bench; ``fault``: what would explain a result that misses the accepted value. ``text`` says by how much it is
    off, on the mean over ``benches``; empty where that is not known.
    """

    kind: Kind
    label: str
    benches: list[int]
    text: str


@dataclass(frozen=True, slots=True)
class BenchTold:
    """A bench's record by the number of its place: what is told of it, and its result in question, if it has one."""

    number: int
    state: Evaluation
    result: BenchResult | None


Off = float | None  # per cent


def own_causes(told: Sequence[BenchTold]) -> list[Cause]:
    """The slips behind wrong own lines, the most frequent first, and at last those that none explains."""
    slips: dict[str, list[tuple[int, Off]]] = defaultdict(list)
    other: list[tuple[int, Off]] = []
    for bench in told:
        for line in bench.state.own:
            if line.kind == "slip":
                slips[line.says].append((bench.number, line.away))
            elif line.kind == "unexplained":
                other.append((bench.number, line.away))
    causes = _ranked(_cause("own", first_upper(says), hits) for says, hits in slips.items())
    return causes + (
        [_cause("unexplained", "Nothing usual explains it; look at their records", other)] if other else []
    )


def reading_causes(told: Sequence[BenchTold]) -> list[Cause]:
    """What still stands as wrong at benches, and trials that were spoiled, with how far off their results are."""
    results = [bench.result for bench in told if bench.result]
    labels: dict[str, list[str]] = defaultdict(list)
    hits: dict[str, list[tuple[int, Off]]] = defaultdict(list)
    for bench in told:
        for code, label in dict(_went_wrong(bench.state)).items():
            labels[code].append(label)
            hits[code].append((bench.number, _off(bench.result, results)))
    return _ranked(_cause("reading", _one_of(labels[code], benches[0][0]), benches) for code, benches in hits.items())


def _one_of(labels: Sequence[str], bench: int) -> str:
    """What was said at the first; its numbers are not those of the others."""
    same = len(set(labels)) == 1
    return labels[0] if same else f"{labels[0]} (bench {bench}, and alike at the others)"


def _went_wrong(state: Evaluation) -> list[tuple[str, str]]:
    """By a code that is the same at every bench. That trials disagree tells of chance, and not of a cause."""
    standing = [
        (finding.code, finding.what.removesuffix("."))
        for finding in state.findings
        if finding.level in _WRONG and finding.code != "disagree"
    ]
    seen = {what for _, what in standing}  # said once, where a trial is rejected for it
    reasons = [trial.why.removesuffix(".") for trial in state.trials if trial.state == "void"]
    return [*standing, *((f"void {why}", why) for why in reasons if why and why not in seen)]


def _off(result: BenchResult | None, among: Sequence[BenchResult]) -> Off:
    """How far off the accepted value a result is, or off the middle of its fellows with the same product."""
    if result is None:
        return None
    reference = result.accepted or median(
        bench_result.value for bench_result in among if bench_result.product == result.product
    )
    return (result.value / reference - 1) * 100 if reference else None


def fault_causes(told: Sequence[BenchTold], effects: Sequence[Effect]) -> list[Cause]:
    """Faults of the method that would put a result where it is: only of results that miss the accepted value, and each
    of them by the fault that comes nearest.
    """
    hits: dict[str, list[tuple[int, Off]]] = defaultdict(list)
    for bench in told:
        result = bench.result
        if result is None or not misses(result) or not result.accepted:
            continue
        off, leeway = (result.value / result.accepted - 1) * 100, abs(result.expanded / result.accepted) * 100
        fitting = [effect for effect in effects if effect.percent and abs(effect.percent - off) <= leeway]
        if fitting:
            nearest = min(fitting, key=lambda effect: abs(effect.percent - off))
            hits[nearest.says].append((bench.number, off))
    return _ranked(_cause("fault", f"{says} would explain it", benches) for says, benches in hits.items())


def misses(result: BenchResult) -> bool:
    """Whether its interval does not hold the accepted value."""
    return result.accepted is not None and abs(result.value - result.accepted) > result.expanded


def _ranked(causes: Iterable[Cause]) -> list[Cause]:
    return sorted(causes, key=lambda cause: -len(cause.benches))


def _cause(kind: Kind, label: str, hits: Sequence[tuple[int, Off]]) -> Cause:
    known = [away for _, away in hits if away is not None]
    return Cause(kind, label, sorted({bench for bench, _ in hits}), _percent(fmean(known)) if known else "")


def _percent(away: float) -> str:
    if abs(away) > _LARGE:
        return "far off"
    return f"{'+' if away > 0 else '−'}{with_figures(abs(away), 2)} %" if abs(away) >= _SMALL else "none"


def without(told: Sequence[BenchTold], causes: Sequence[Cause], unit: str) -> str:
    """What the mean would be without the benches at which something went wrong; empty where that says nothing, and of
    several products, which have no mean.
    """
    spoiled = {number for cause in causes for number in cause.benches}
    counting = [bench.result for bench in told if bench.result and not bench.result.left_out]
    if len({bench_result.product for bench_result in counting}) > 1:
        return ""
    clean = [bench_result.value for bench_result in counting if bench_result.bench not in spoiled]
    if not clean or len(clean) == len(counting):
        return ""
    benches = f"{len(clean)} bench{'' if len(clean) == 1 else 'es'}"
    return f"Without these the mean would be {with_figures(fmean(clean), 4)} {unit}".rstrip() + f" ({benches})."


def own_results(told: Sequence[BenchTold], key: str) -> str:
    """How many of the students' own results are right; empty where nobody wrote one."""
    lines = [line for bench in told for line in bench.state.own if line.key == key]
    if not lines:
        return ""
    right = sum(line.kind in ("right", "rounded") for line in lines)
    carried = sum(line.kind == "carried" for line in lines)
    also = f", {carried} rightly from a wrong line before" if carried else ""
    return f"Own results: {right} of {len(lines)} right{also}."
