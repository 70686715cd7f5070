"""Tracing a wrong answer to the slip behind it.

Every slip, and every likely pair, is worked on the same readings in one vectorised pass; the student's number is
matched within its own rounding. Nothing is claimed unless one explanation fits and chance would rarely fit as well.
"""

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from itertools import combinations
from math import isfinite, log

import numpy as np

from chromata_core.declaration.options import active
from chromata_core.declaration.vocabulary import Quantity
from chromata_core.engine.context import Context, ResultPlace
from chromata_core.engine.inputs import inputs_of
from chromata_core.engine.numeric_pass import ColumnAlgebra, Others, mean_of, trial_by_trial, with_the_rough
from chromata_core.engine.walk import walk_summary
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Node
from chromata_core.quantity.column import Column
from chromata_core.quantity.typed import Typed, parse_reading
from chromata_core.quantity.units import unit
from chromata_core.telling.generic_slips import AfterSlip, Variant, after_slips, generic_variants
from chromata_core.uncertainty.source import Input

# A wrong number may lie anywhere within a factor of a hundred or so: over that span chance matches are counted.
_SPAN = log(1e4)
_CHANCE_SINGLE, _CHANCE_PAIR = 0.02, 0.01
_CARRIED_FIGURES = 5e-5  # who carries five figures through the work ends this near
_EARLY = 0.0025  # intermediate results rounded to three figures move an answer by so much, hardly more


@dataclass(frozen=True, slots=True)
class Diagnosis:
    """What an answer is: ``kind`` is right, rounded, carried, slip or unexplained; ``slips`` name the slips, if any."""

    kind: str
    sentence: str
    slips: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class _Way:
    """One way of working: the slips made, and what to say of it."""

    variants: tuple[Variant, ...]
    after: AfterSlip | None = None

    @property
    def keys(self) -> tuple[str, ...]:
        after = (self.after.key,) if self.after else ()
        return tuple(variant.key for variant in self.variants) + after

    @property
    def says(self) -> str:
        after = (self.after.says,) if self.after else ()
        return " and ".join((*(variant.says for variant in self.variants), *after))


def diagnose(
    at: Context, quantity: Quantity, answer: Typed, earlier: Mapping[str, Typed] | None = None, trial: int | None = None
) -> Diagnosis:
    """What ``answer`` (in the quantity's unit) is. ``earlier`` are the student's own answers to other results.

    ``trial`` is where the quantity stands; None for the bench.
    """
    correct = at.value(quantity.key, trial)
    assert correct is not None
    if _fits(answer, correct):
        return _figures(answer, at, quantity, trial)
    carried = _carried(at, (quantity, trial), answer, earlier or {})
    if carried is not None:
        return carried
    ways = _ways(at, quantity)
    values = _worked(at, (quantity, trial), ways)
    found = _best(answer, ways, values)
    if found is not None:
        return found
    if correct and abs(float(answer.value) / correct - 1) <= _EARLY:
        return Diagnosis("rounded", "Nearly: it differs as if numbers were rounded on the way. Round only at the end.")
    return Diagnosis(
        "unexplained", "No usual slip gives this number from your readings. Go through the worked lines one by one."
    )


def _fits(answer: Typed, value: float) -> bool:
    """Whether ``answer`` is ``value`` written with the answer's own decimals (half a step either way)."""
    half = 0.5 * 10.0**-answer.decimals + _CARRIED_FIGURES * abs(value)
    written = answer.figures >= 2 or not answer.value  # near zero the last digit alone can tell
    return isfinite(value) and written and abs(float(answer.value) - value) <= half


def _figures(answer: Typed, at: Context, quantity: Quantity, trial: int | None) -> Diagnosis:
    wanted = parse_reading(at.figured(quantity, trial).text).figures
    if answer.figures < wanted - 1:
        return Diagnosis("right", f"Right, but {answer.figures} figures waste what your readings know: give {wanted}.")
    if answer.figures > wanted + 2:
        return Diagnosis(
            "right", f"Right, but {answer.figures} figures claim more than your readings know: give {wanted}."
        )
    return Diagnosis("right", "Your readings give the same.")


def _carried(at: Context, place: ResultPlace, answer: Typed, earlier: Mapping[str, Typed]) -> Diagnosis | None:
    """A right answer worked from the student's own earlier, wrong value."""
    known = {q.key: q for q in at.bound.quantities}
    variants = tuple(
        Variant(f"own.{key}", "", key, parse_formula(repr(unit(known[key].unit).to_si(float(typed.value)))))
        for key, typed in earlier.items()
        if key in known and key != place[0].key
    )
    if not variants:
        return None
    value = _worked(at, place, [_Way(variants)])[0]
    half = max(0.5 * 10.0**-answer.decimals, abs(value) * 1e-3)
    if isfinite(value) and abs(float(answer.value) - value) <= half:
        return Diagnosis("carried", "Right from your own earlier result; mend that one and this follows.")
    return None


def _ways(at: Context, quantity: Quantity) -> list[_Way]:
    """Every way of working that is tried: each slip alone, then pairs of which one is a slip after the formula."""
    declared = tuple(
        Variant(
            slip.key, slip.says, slip.quantity, parse_formula(slip.formula) if slip.formula else None, slip.with_rough
        )
        for slip in active(at.bound.method.slips, at.bound.options)
        if _applies(at, slip.quantity)
    )
    trees = [(q, parse_formula(q.formula)) for q in at.bound.quantities if not mean_of(q)]
    generic = generic_variants(at.bound, declared, trees)
    singles = [_Way((variant,)) for variant in (*declared, *generic)]
    after = [_Way((), slip) for slip in after_slips(quantity)]
    mixed = [_Way(way.variants, slip.after) for way in singles for slip in after]
    pairs = [_Way(pair) for pair in combinations(declared, 2) if pair[0].quantity != pair[1].quantity]
    return [*singles, *after, *pairs, *mixed]


def _applies(at: Context, key: str) -> bool:
    return not key or any(q.key == key for q in at.bound.quantities)


def _worked(at: Context, place: ResultPlace, ways: Sequence[_Way]) -> list[float]:
    """The quantity in its unit by every way, in one pass: a column for each way."""
    quantity, trial = place
    algebra = ColumnAlgebra(at.bound, _Variants(inputs_of(at.bound, {}), len(ways)), _replacing(ways))
    rough = np.array([any(variant.with_rough for variant in way.variants) for way in ways])
    bench, trials = trial_by_trial(at.bound, algebra)
    counted = at.computed.counted
    results = []
    for chosen in (counted, with_the_rough(at.bound, trials, counted)):
        known = walk_summary(at.bound, algebra, bench, [trials[n] for n in chosen]) if trial is None else trials[trial]
        results.append(np.asarray(known.get(quantity.key, np.nan), dtype=float) + np.zeros(len(ways)))
    scale = unit(quantity.unit)
    values = (np.where(rough, results[1], results[0]) - scale.offset) / scale.factor
    return [way.after.apply(float(v)) if way.after else float(v) for way, v in zip(ways, values, strict=True)]


class _Variants:
    """Plain values, the same in every column; what differs between columns are formulas."""

    def __init__(self, inputs: Mapping[object, Input], size: int) -> None:
        self.index: Mapping[str, int] = {}
        self.by_key: Mapping[object, Column] = {key: np.array([item.value]) for key, item in inputs.items()}
        self.size = size

    def moved(self, column: Column, source: str, amount: float, relative: bool = False) -> Column:
        """Errors play no part here."""
        return column

    def mean(self, trials: Column, spread: str) -> Column:
        """The plain mean."""
        mean: Column = (trials + np.zeros(self.size)).mean(axis=0)
        return mean

    def defined(self, column: Column) -> bool:
        """A way of working that gives no number fits no answer."""
        return True


def _replacing(ways: Sequence[_Way]) -> Others:
    """For each quantity its other formulas, each with a mask of the ways that use it."""
    found: dict[str, dict[Node, Column]] = {}
    for place, way in enumerate(ways):
        for variant in way.variants:
            if variant.formula is not None:
                masks = found.setdefault(variant.quantity, {})
                masks.setdefault(variant.formula, np.zeros(len(ways), dtype=bool))[place] = True
    return {key: list(masks.items()) for key, masks in found.items()}


def _best(answer: Typed, ways: Sequence[_Way], values: Sequence[float]) -> Diagnosis | None:
    """The one explanation that fits, single slips before pairs; None when none does or chance would do as well."""
    single = [(way, v) for way, v in zip(ways, values, strict=True) if len(way.keys) == 1]
    double = [(way, v) for way, v in zip(ways, values, strict=True) if len(way.keys) == 2]
    for tried, chance in ((single, _CHANCE_SINGLE), (double, _CHANCE_PAIR)):
        if _expected_by_chance(answer, tried) > chance:
            continue
        fitting = _distinct(way for way, value in tried if _fits(answer, value))
        if fitting:
            return _said(fitting)
    return None


def _expected_by_chance(answer: Typed, tried: Sequence[tuple[_Way, float]]) -> float:
    """How many of the different values tried a number of this precision would meet by chance."""
    if not answer.value:
        return 1.0
    window = 10.0**-answer.decimals / abs(float(answer.value))
    different = {f"{value:.6g}" for _, value in tried if isfinite(value)}
    return len(different) * window / _SPAN


def _distinct(ways: Iterable[_Way]) -> list[_Way]:
    found: dict[tuple[str, ...], _Way] = {}
    for way in ways:
        found.setdefault(way.keys, way)
    return list(found.values())


_MOST_NAMED = 2


def _said(fitting: Sequence[_Way]) -> Diagnosis | None:
    """The explanation, or two that give the same number; None when more would. A method's own slips come first."""
    declared = [way for way in fitting if not way.after and not any(v.generic for v in way.variants)]
    fitting = declared or fitting
    if len(fitting) > _MOST_NAMED:
        return None
    says = ", or if ".join(way.says for way in fitting)
    slips = tuple(key for way in fitting for key in way.keys)
    return Diagnosis("slip", f"You get this if {says}.", slips)
