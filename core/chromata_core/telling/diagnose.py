"""Tracing a wrong answer to the slip behind it.

Every slip, and every likely pair, is worked on the same readings in one vectorised pass; the student's number is
matched within its own rounding. Nothing is claimed unless one explanation fits and chance would rarely fit as well.
"""

from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass
from itertools import combinations, pairwise
from math import isfinite, log

import numpy as np

from chromata_core.declaration.options import active
from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Quantity, Reading, Series
from chromata_core.engine.context import Context, ResultPlace
from chromata_core.engine.inputs import inputs_of
from chromata_core.engine.numeric_pass import ColumnAlgebra, Others, mean_of, trial_by_trial, with_the_rough
from chromata_core.engine.stated import stated
from chromata_core.engine.walk import walk_summary
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Node
from chromata_core.quantity.column import Column
from chromata_core.quantity.report import report
from chromata_core.quantity.rounding import plain
from chromata_core.quantity.typed import Typed, parse_reading
from chromata_core.quantity.units import unit
from chromata_core.sentences import counted
from chromata_core.telling.generic_slips import AfterSlip, Variant, after_slips, generic_variants
from chromata_core.uncertainty.source import Input

# A wrong number may lie anywhere within a factor of a hundred or so: over that span chance matches are counted.
_SPAN = log(1e4)
_CHANCE_SINGLE, _CHANCE_PAIR, _CHANCE_MISREAD = 0.02, 0.01, 0.01
_CARRIED_FIGURES = 5e-5  # who carries five figures through the work ends this near
_FEW = 2  # figures: where no more are known, one may be all that is written
_WHOLE = 0.1  # relative: 6.97 waters are seven
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
    wanted = _wanted(at, quantity, trial)
    if _fits(answer, correct) or _enough(answer, correct, wanted, quantity.unit):
        return _figures(answer, wanted)
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
    return _misread(at, (quantity, trial), answer) or Diagnosis(
        "unexplained", "No usual slip gives this number from your readings. Go through the worked lines one by one."
    )


def _fits(answer: Typed, value: float) -> bool:
    """Whether ``answer`` is ``value`` written with the answer's own decimals (half a step either way)."""
    half = 0.5 * 10.0**-answer.decimals + _CARRIED_FIGURES * abs(value)
    written = answer.figures >= 2 or not answer.value  # near zero the last digit alone can tell
    return isfinite(value) and written and abs(float(answer.value) - value) <= half


def _enough(answer: Typed, value: float, wanted: int, symbol: str) -> bool:
    """Whether one figure says it all: where no more than two are ``wanted``, or of a whole number, such as an order."""
    whole = symbol == "" and answer.decimals == 0 and abs(float(answer.value) - value) <= _WHOLE * abs(value)
    near = abs(float(answer.value) - value) <= 0.5 * 10.0**-answer.decimals
    return isfinite(value) and near and (whole or wanted <= _FEW)


def _wanted(at: Context, quantity: Quantity, trial: int | None) -> int:
    """How many figures an answer deserves: as many as its uncertainty leaves it, by the report or by its readings,
    whichever are fewer.
    """
    value, made, factor = stated(at, quantity, trial)
    by_readings = parse_reading(at.figured(quantity, trial).text).figures
    if not (isfinite(value) and isfinite(made.expanded)):  # a line through two points leaves no doubt that can be told
        return by_readings
    return min(by_readings, parse_reading(report(value, made.expanded * factor).value).figures)


def _figures(answer: Typed, wanted: int) -> Diagnosis:
    if answer.figures < wanted - 1:
        return Diagnosis("right", f"Right as far as it goes. Your readings know it to {counted(wanted, 'figure')}.")
    if answer.figures > wanted + 2:
        return Diagnosis(
            "right", f"Right. Your readings know it to {counted(wanted, 'figure')}; the others are chance."
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


@dataclass(frozen=True, slots=True)
class _Misread:
    """One reading taken otherwise than it was written, in SI; ``says`` finishes “you get this if …”."""

    place: Place
    value: float
    says: str


def _misread(at: Context, place: ResultPlace, answer: Typed) -> Diagnosis | None:
    """One trial taken for the mean of all, or two digits of one reading that changed places when it was copied."""
    tried = [*_one_trial(at, place), *_transposed(at, place)]
    if not tried or _chance(answer, [value for _, _, value in tried]) > _CHANCE_MISREAD:
        return None
    fitting = [(key, says) for key, says, value in tried if _fits(answer, value)]
    if not fitting or len(fitting) > _MOST_NAMED:
        return None
    return Diagnosis(
        "slip", f"You get this if {', or if '.join(says for _, says in fitting)}.", tuple(k for k, _ in fitting)
    )


def _one_trial(at: Context, place: ResultPlace) -> Iterator[tuple[str, str, float]]:
    counted = at.computed.counted
    for number in counted[:_MOST_ALONE] if place[1] is None and len(counted) > 1 else ():
        [value] = _worked(at, place, [_Way(())], (number,))
        yield "one-trial", f"{at.trial_name(number)} alone is used instead of the mean", value


def _transposed(at: Context, place: ResultPlace) -> list[tuple[str, str, float]]:
    misread = [one for reading in at.bound.readings if not isinstance(reading, Series) for one in _swaps(at, reading)]
    if not misread:
        return []
    values = _worked(at, place, [_Way(()) for _ in misread], misread=misread)
    return [("transposed", one.says, value) for one, value in zip(misread, values, strict=True)]


def _swaps(at: Context, reading: Reading) -> Iterator[_Misread]:
    """Every neighbouring pair of different digits of every reading of this kind, the other way round."""
    tool, scale = at.bound.instruments[reading.role], unit(reading.unit)
    for place, typed in at.bound.typed.items():
        text = plain(typed.value, typed.decimals).replace("−", "-") if place.key == reading.key else ""
        digits = [column for column, sign in enumerate(text) if sign.isdigit()]
        for left, right in pairwise(digits):
            if text[left] != text[right]:
                wrong = text[:left] + text[right] + text[left + 1 : right] + text[left] + text[right + 1 :]
                where = f", {at.trial_name(place.trial)}," if place.trial is not None else ""
                says = (
                    f"{reading.label.lower()}{where} is taken as {wrong} instead of {text}: two digits changed places"
                )
                yield _Misread(place, scale.to_si(tool.corrected(float(wrong))), says)


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


def _worked(
    at: Context, place: ResultPlace, ways: Sequence[_Way], only: tuple[int, ...] = (), misread: Sequence[_Misread] = ()
) -> list[float]:
    """The quantity in its unit by every way, in one pass: a column for each way. ``only`` are trials that are averaged
    instead of those that count; ``misread`` has one for each way.
    """
    quantity, trial = place
    algebra = ColumnAlgebra(at.bound, _Variants(inputs_of(at.bound, {}), len(ways), misread), _replacing(ways))
    rough = np.array([any(variant.with_rough for variant in way.variants) for way in ways])
    bench, trials = trial_by_trial(at.bound, algebra)
    counted = only or at.computed.counted
    results = []
    for chosen in (counted, with_the_rough(at.bound, trials, counted)):
        known = walk_summary(at.bound, algebra, bench, [trials[n] for n in chosen]) if trial is None else trials[trial]
        results.append(np.asarray(known.get(quantity.key, np.nan), dtype=float) + np.zeros(len(ways)))
    scale = unit(quantity.unit)
    values = (np.where(rough, results[1], results[0]) - scale.offset) / scale.factor
    return [way.after.apply(float(v)) if way.after else float(v) for way, v in zip(ways, values, strict=True)]


class _Variants:
    """Plain values, the same in every column but for a reading that is ``misread`` there; else formulas differ."""

    def __init__(self, inputs: Mapping[object, Input], size: int, misread: Sequence[_Misread] = ()) -> None:
        self.index: Mapping[str, int] = {}
        values = {key: np.array([item.value]) for key, item in inputs.items()}
        for column, one in enumerate(misread):
            taken = values[one.place] + np.zeros(size)
            taken[column] = one.value
            values[one.place] = taken
        self.by_key: Mapping[object, Column] = values
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
    return _chance(answer, [value for _, value in tried])


def _chance(answer: Typed, values: Sequence[float]) -> float:
    if not answer.value:
        return 1.0
    window = 10.0**-answer.decimals / abs(float(answer.value))
    return len({f"{value:.6g}" for value in values if isfinite(value)}) * window / _SPAN


def _distinct(ways: Iterable[_Way]) -> list[_Way]:
    found: dict[tuple[str, ...], _Way] = {}
    for way in ways:
        found.setdefault(way.keys, way)
    return list(found.values())


_MOST_NAMED, _MOST_ALONE = 2, 6  # explanations; trials of which each is tried alone


def _said(fitting: Sequence[_Way]) -> Diagnosis | None:
    """The explanation, or two that give the same number; None when more would. A method's own slips come first."""
    declared = [way for way in fitting if not way.after and not any(v.generic for v in way.variants)]
    fitting = declared or fitting
    if len(fitting) > _MOST_NAMED:
        return None
    says = ", or if ".join(way.says for way in fitting)
    slips = tuple(key for way in fitting for key in way.keys)
    return Diagnosis("slip", f"You get this if {says}.", slips)
