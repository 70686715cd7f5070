"""A fault hunt: readings of a bench at which one thing went wrong, or nothing; which was it? Answers are weighed by
what each fault does to the result.
"""

from dataclasses import dataclass
from functools import cache, lru_cache

import numpy as np

from chromata_core.declaration.options import active
from chromata_core.declaration.vocabulary import Fault
from chromata_core.engine.context import Context, context_of
from chromata_core.errors import ChromataError, ReadingError, unknown
from chromata_core.methods.registry import method
from chromata_core.practice.readings_told import readings_told
from chromata_core.quantity.report import report
from chromata_core.quantity.rounding import with_figures
from chromata_core.sheet.bound import Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.simulation.rehearse import rehearse
from chromata_core.telling.effects import Effect, what_if
from chromata_core.telling.evaluate import told_of
from chromata_core.telling.outcome import ResultOut

NOTHING = "nothing"
_MOST = 6  # faults to choose from
_TRIES = 12  # benches that are drawn for one whose numbers show what happened at it


@dataclass(frozen=True, slots=True)
class Suspect:
    """What may have happened."""

    key: str
    label: str


@dataclass(frozen=True, slots=True)
class Hunt:
    """Readings of a bench, its result beside what one without a fault finds (``accepted``), what may have happened."""

    title: str
    readings: list[str]
    result: str
    accepted: str
    suspects: list[Suspect]


@dataclass(frozen=True, slots=True)
class Found:
    """Whether it was that. ``fits``: what was chosen explains these numbers as well as what really happened."""

    right: bool
    fits: bool
    sentence: str


@cache
def can_be_hunted(slug: str) -> bool:
    """Whether the method called so has faults that show in a result."""
    return len(_showing(slug)) >= 2


def hunt(slug: str, seed: int) -> Hunt:
    """One of endlessly many; the same for the same seed."""
    hidden, sheet = _hidden(slug, seed)
    at = context_of(method(slug), sheet)
    state, suspects = told_of(at, {}), _suspects(slug, hidden, seed)
    result, true = state.results[0], _true(slug)
    accepted = report(true.value, true.expanded)
    true_text = f"{accepted.text} {result.unit}".strip()
    return Hunt(method(slug).title, readings_told(at, state), f"{result.label}: {result.line}", true_text, suspects)


def judge_hunt(slug: str, seed: int, answer: str) -> Found:
    """What speaks for ``answer`` (a fault's key, or ``nothing``), and what against it; ReadingError for no suspect."""
    hidden, sheet = _hidden(slug, seed)
    suspects = [suspect.key for suspect in _suspects(slug, hidden, seed)]
    if answer not in suspects:
        raise ReadingError(unknown("suspect", answer, suspects))
    result, true = told_of(context_of(method(slug), sheet), {}).results[0], _true(slug)
    off, sure = (result.value / true.value - 1) * 100, abs(result.expanded / true.value) * 100
    here = f"{_signed(off)} from a bench without a fault"
    effects = {effect.key: (effect.percent, effect.says) for effect in _effects(slug)}
    if answer == hidden:
        if hidden == NOTHING:
            return Found(True, True, f"Yes: {here} lies within ± {with_figures(sure, 2)} %. Nothing went wrong.")
        return Found(True, True, f"Yes. It changes the result by {_signed(effects[hidden][0])}; here it is {here}.")
    really = "nothing went wrong" if hidden == NOTHING else f"it was: {effects[hidden][1].lower()}"
    if answer == NOTHING:
        return Found(False, abs(off) <= sure, f"{_upper(here)}, and ± covers {with_figures(sure, 2)} %: something did.")
    percent = effects[answer][0]
    if abs(percent - off) <= 1.5 * sure:
        return Found(False, True, f"It would fit: {_signed(percent)}, and here it is {here}. This time {really}.")
    if hidden == NOTHING:
        return Found(False, False, f"That would change it by {_signed(percent)}; here it is {here}, within its ±.")
    way = "too high" if off > 0 else "too low"
    return Found(False, False, f"That would change it by {_signed(percent)}; here it is {here}. What makes it {way}?")


def _signed(percent: float) -> str:
    size = f"{abs(percent):.0f}" if abs(percent) >= 100 else with_figures(abs(percent), 2)
    return f"{'+' if percent > 0 else '−'}{size} %"


def _upper(text: str) -> str:
    return text[:1].upper() + text[1:]


def _example(slug: str) -> Context:
    return context_of(method(slug), example_sheet(method(slug)))


@cache
def _true(slug: str) -> ResultOut:
    return told_of(_example(slug), {}).results[0]


@cache
def _effects(slug: str) -> tuple[Effect, ...]:
    return tuple(what_if(_example(slug).bound))


@cache
def _showing(slug: str) -> tuple[Fault, ...]:
    """Faults that move the first result by more than its ±, and that these instruments can show."""
    true = _true(slug)
    wide = abs(true.expanded / true.value) * 130 if true.value else 0.0
    moved = {effect.key for effect in _effects(slug) if abs(effect.percent) > wide and effect.of == true.label}
    faults = active(method(slug).faults, _example(slug).bound.options)
    return tuple(fault for fault in faults if fault.key in moved and _can_be(slug, fault.key))


def _can_be(slug: str, fault: str) -> bool:
    try:
        return bool(told_of(context_of(method(slug), rehearse(method(slug), 1, fault=fault)), {}).results)
    except ChromataError:
        return False


@lru_cache(maxsize=256)
def _hidden(slug: str, seed: int) -> tuple[str, Sheet]:
    random = np.random.default_rng([seed, len(slug)])
    keys = [NOTHING, *(fault.key for fault in _showing(slug))]
    hidden = keys[int(random.integers(len(keys)))]
    for attempt in range(_TRIES):
        sheet = rehearse(method(slug), seed * _TRIES + attempt, fault="" if hidden == NOTHING else hidden)
        if _shows(slug, sheet) != (hidden == NOTHING):
            break
    return hidden, sheet


def _shows(slug: str, sheet: Sheet) -> bool:
    """Whether the result lies outside its ±: by chance a fault may hide, or good work look like one."""
    result, true = told_of(context_of(method(slug), sheet), {}).results[0], _true(slug)
    return abs(result.value - true.value) > abs(result.expanded)


def _suspects(slug: str, hidden: str, seed: int) -> list[Suspect]:
    showing = _showing(slug)
    others = [fault.key for fault in showing if fault.key != hidden]
    chosen = np.random.default_rng(seed + 1).permutation(len(others))[: _MOST - 1]
    kept = {others[n] for n in chosen} | {hidden}
    return [Suspect(f.key, f.label) for f in showing if f.key in kept] + [Suspect(NOTHING, "Nothing went wrong")]
