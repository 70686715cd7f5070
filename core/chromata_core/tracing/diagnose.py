"""Tracing a wrong answer to the slip behind it.

Everything that may have been done otherwise is worked on the same readings in one vectorised pass; the student's number
is matched within its own rounding. Candidates are taken from the most usual to the rarest, and only as far as a number
of this precision would meet few of them by chance.
"""

from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass
from itertools import combinations, groupby
from math import inf, isfinite, log

from chromata_core.declaration.vocabulary import Quantity
from chromata_core.engine.context import Context, ResultPlace
from chromata_core.engine.stated import stated
from chromata_core.quantity.report import report
from chromata_core.quantity.typed import Typed, parse_reading
from chromata_core.quantity.units import unit
from chromata_core.sentences import counted, first_lower
from chromata_core.tracing.answer_written import Written, as_written
from chromata_core.tracing.behind import feeding
from chromata_core.tracing.change import Way
from chromata_core.tracing.rounding_early import rounded_ways
from chromata_core.tracing.suspects import at_once, suspects
from chromata_core.tracing.working import Own, worked

# A wrong number may lie anywhere within a factor of a hundred or so, and more often near: over these spans (of the
# logarithm, either way) chance matches are counted, and what crowds more tells.
_SPANS = (log(100), log(2), log(1.1))
_CHANCE, _CHANCE_PAIRS = 0.04, 0.01
_MOST_NAMED = 3  # explanations
EVERY_DAY = 1.0  # what such slips cost
_MOST_PAIRED = 40  # of them, of which two are tried at once
_FEW = 2  # figures: where no more are known, one may be all that is written
_WHOLE = 0.1  # relative: 6.97 waters are seven
_EARLY = 0.0025  # intermediate results rounded to three figures move an answer by so much, hardly more
_FROM_OWN = 1e-3  # relative: how near an answer worked from one's own rounded values ends


@dataclass(frozen=True, slots=True)
class Diagnosis:
    """What an answer is: ``kind`` is right, rounded, carried, figures, slip or unexplained; ``slips`` name the slips,
    and ``says`` finishes “you get this if …”.
    """

    kind: str
    sentence: str
    slips: tuple[str, ...] = ()
    says: str = ""

    @property
    def agrees(self) -> bool:
        """Whether there is nothing to mend in this line."""
        return self.kind in ("right", "rounded", "carried")


@dataclass(frozen=True, slots=True)
class Earlier:
    """A line of the student's own before this one: its number in the quantity's unit, and whether it was right."""

    label: str
    value: float
    right: bool


_AT_THE_END = "Round only at the end."
Lines = Mapping[tuple[str, int | None], Earlier]


def diagnose(
    at: Context, quantity: Quantity, answer: Typed, earlier: Lines | None = None, trial: int | None = None
) -> Diagnosis:
    """What ``answer`` (in the quantity's unit) is, beside what was answered ``earlier``.

    ``trial`` is where the quantity stands; None for the bench.
    """
    place, written = (quantity, trial), as_written(answer, quantity.unit)
    correct = at.value(quantity.key, trial)
    assert correct is not None
    wanted = _wanted(at, quantity, trial)
    if written.fits(correct) or _enough(written, correct, wanted, quantity.unit):
        return _figures(written, wanted)
    behind = _behind(at, quantity, trial, earlier or {})
    own = {key: unit(at.quantity(key[0]).unit).to_si(line.value) for key, line in behind.items()}
    carried = _carried(at, place, written, behind, own)
    if carried is None and correct and abs(written.value / correct - 1) <= _EARLY:
        return _near(at, place, written, own)
    return (
        carried
        or _slip(at, place, written, own)
        or _rounded(at, place, written)
        or _one_figure(written, correct)
        or _unexplained(behind)
    )


def _behind(at: Context, quantity: Quantity, trial: int | None, earlier: Lines) -> Lines:
    """The student's own lines that enter this one: of the same trial, or of all that are averaged."""
    keys = feeding(at, quantity) - {quantity.key}
    return {
        (key, n): line for (key, n), line in earlier.items() if key in keys and (trial is None or n in (None, trial))
    }


def _enough(answer: Written, value: float, wanted: int, symbol: str) -> bool:
    """Whether one figure says it all: where no more than two are ``wanted``, or of a whole number, such as an order."""
    whole = symbol == "" and answer.decimals == 0 and abs(answer.value - value) <= _WHOLE * abs(value)
    near = abs(answer.value - value) <= answer.halves[0]
    return isfinite(value) and near and (whole or wanted <= _FEW)


def _wanted(at: Context, quantity: Quantity, trial: int | None) -> int:
    """How many figures an answer deserves: as many as its uncertainty leaves it, by the report or by its readings,
    whichever are fewer.
    """
    value, budget, factor = stated(at, quantity, trial)
    by_readings = parse_reading(at.figured(quantity, trial).text).figures
    if not (
        isfinite(value) and isfinite(budget.expanded)
    ):  # a line through two points leaves no doubt that can be told
        return by_readings
    return min(by_readings, parse_reading(report(value, budget.expanded * factor).value).figures)


def _figures(answer: Written, wanted: int) -> Diagnosis:
    if answer.most_figures < wanted - 1:
        return Diagnosis("right", f"Right as far as it goes. Your readings know it to {counted(wanted, 'figure')}.")
    if answer.figures > wanted + 2:
        return Diagnosis(
            "right", f"Right. Your readings know it to {counted(wanted, 'figure')}; the others are chance."
        )
    return Diagnosis("right", "Your readings give the same.")


def _one_figure(answer: Written, correct: float) -> Diagnosis | None:
    if answer.most_figures == 1 and abs(answer.value - correct) <= answer.halves[0]:
        return Diagnosis("figures", "One figure cannot tell whether it is right. Write all that your readings know.")
    return None


def _carried(at: Context, place: ResultPlace, answer: Written, behind: Lines, own: Own) -> Diagnosis | None:
    """Rightly worked from the student's own earlier values: wrong ones, or rounded ones."""
    if not own:
        return None
    [value], [straight] = worked(at, place, [Way()], own), worked(at, place, [Way()])
    moved = abs(value - straight) > 1e-6 * abs(straight)
    if not moved or not answer.fits(value, _FROM_OWN):
        return None
    wrong = [line.label for line in behind.values() if not line.right]
    if wrong:
        return Diagnosis("carried", f"Right from your own {_first(wrong)}; mend that and this follows.")
    return Diagnosis("right", "Right from your own rounded values.")


def _first(labels: Sequence[str]) -> str:
    return f"“{first_lower(labels[0])}”"


def _near(at: Context, place: ResultPlace, answer: Written, own: Own) -> Diagnosis:
    """So near what is right that numbers were rounded on the way, unless something that happens every day gives it."""
    slip, rounded = _slip(at, place, answer, own, EVERY_DAY), _rounding(at, place, answer)
    if slip is not None and (rounded is None or rounded.cost > EVERY_DAY):
        return slip
    if rounded is None:
        return Diagnosis("rounded", f"Nearly: it differs as if numbers were rounded on the way. {_AT_THE_END}")
    other = f", or if {slip.says}" if slip else ""
    return Diagnosis("rounded", f"Nearly: you get this if {rounded.says} on the way{other}. {_AT_THE_END}")


def _slip(at: Context, place: ResultPlace, answer: Written, own: Own, rarest: float = inf) -> Diagnosis | None:
    """The explanation that fits: on the readings, or on the student's own earlier values; single slips before pairs,
    none rarer than ``rarest``.
    """
    singles = [way for way in suspects(at, place) if way.cost <= rarest]
    diagnosis = _best(answer, singles, worked(at, place, singles), _CHANCE)
    if diagnosis is None and own:
        diagnosis = _best(answer, singles, worked(at, place, singles, own), _CHANCE)
    if diagnosis is None and rarest > EVERY_DAY:
        pairs = _pairs(singles)[: at_once(at)]
        diagnosis = _best(answer, pairs, worked(at, place, pairs), _CHANCE_PAIRS)
    return diagnosis


def _pairs(singles: Sequence[Way]) -> list[Way]:
    usual = [change for way in singles for change in way.changes if change.cost <= EVERY_DAY]
    usual = sorted(usual, key=lambda change: change.cost)[:_MOST_PAIRED]
    return [Way(pair) for pair in combinations(usual, 2) if pair[0].site != pair[1].site]


def _best(answer: Written, ways: Sequence[Way], values: Sequence[float], limit: float) -> Diagnosis | None:
    """The most usual explanation that fits, as long as chance would rarely fit as well by then."""
    tried: set[float] = set()
    fitting: list[tuple[Way, float]] = []
    ranked = sorted(zip(ways, values, strict=True), key=lambda pair: pair[0].cost)
    for cost, group in groupby(ranked, key=lambda pair: pair[0].cost):
        here = list(group)
        tried |= {float(f"{value:.5g}") for _, value in here if isfinite(value)}
        # what a method itself expects is few, and happens: it need not stand out among its neighbours
        if _by_chance(answer, tried, _SPANS if cost >= EVERY_DAY else _SPANS[:1]) > limit:
            break
        fitting += [(way, value) for way, value in here if answer.fits(value)]
        if fitting and cost >= EVERY_DAY:  # beside what the method expects may stand what happens every day
            break
    return _said(fitting) if fitting else None


def _by_chance(answer: Written, tried: Collection[float], spans: Sequence[float] = _SPANS) -> float:
    """How many of the different values tried a number of this precision would meet by chance."""
    if not answer.value:
        return 1.0
    away = [abs(log(value / answer.value)) for value in tried if value / answer.value > 0]
    return max(sum(distance < span for distance in away) * answer.window / (2 * span) for span in spans)


def _said(fitting: Sequence[tuple[Way, float]]) -> Diagnosis:
    """The explanation, or two or three that give the same number. A method's own words come first, and stand for the
    general ones that say the same.
    """
    ranked = sorted(fitting, key=lambda pair: not all(change.declared for change in pair[0].changes))
    chosen: list[Way] = []
    told: set[str] = set()
    for way, value in ranked:
        declared, same = all(change.declared for change in way.changes), f"{value:.9g}"
        if way.says not in [other.says for other in chosen] and (declared or same not in told):
            chosen.append(way)
        told |= {same} if declared else set()
    del chosen[_MOST_NAMED:]
    says = ", or if ".join(way.says for way in chosen)
    return Diagnosis("slip", f"You get this if {says}.", tuple(key for way in chosen for key in way.keys), says)


def _rounded(at: Context, place: ResultPlace, answer: Written) -> Diagnosis | None:
    """Rounded so early that it shows."""
    way = _rounding(at, place, answer)
    says = f"{way.says} on the way" if way else ""
    return Diagnosis("slip", f"You get this if {says}. {_AT_THE_END}", ("rounded",), says) if way else None


def _rounding(at: Context, place: ResultPlace, answer: Written) -> Way | None:
    """The way of rounding that gives this number."""
    ways = list(rounded_ways(at, place))
    values = worked(at, place, ways) if ways else []
    fitting = [way for way, value in zip(ways, values, strict=True) if answer.fits(value)]
    return min(fitting, key=lambda way: way.cost) if fitting and _by_chance(answer, values) < _CHANCE else None


def _unexplained(behind: Lines) -> Diagnosis:
    wrong = [line.label for line in behind.values() if not line.right]
    if wrong:
        return Diagnosis("unexplained", f"Your line {_first(wrong)} differs first: begin there.")
    if behind:
        return Diagnosis("unexplained", "Your lines before it are right: what differs was done in this one.")
    return Diagnosis(
        "unexplained", "No usual slip gives this number from your readings. Go through the worked lines one by one."
    )
