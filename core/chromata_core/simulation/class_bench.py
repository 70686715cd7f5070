"""One bench of a made-up class, from the first tick to the last answer: with skill or without, with the slips that
people make and the faults that methods know. So an instructor can try a floor, a class's results and marks beforehand.

How often what happens is common practice, no published source.
"""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Literal

import numpy as np

from chromata_core.declaration.options import active
from chromata_core.declaration.vocabulary import Method
from chromata_core.errors import ChromataError
from chromata_core.quantity.given import plain_number
from chromata_core.quantity.rounding import with_figures
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.simulation.follow import follow
from chromata_core.simulation.readings import Written
from chromata_core.simulation.rehearse import read_anew
from chromata_core.simulation.true_bench import true_bench
from chromata_core.telling.effects import slip_effects
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.judge import judge

Skill = Literal["sure", "a fault", "a slip", "slow"]
_SKILLS: tuple[tuple[Skill, float], ...] = (("sure", 0.55), ("a fault", 0.2), ("a slip", 0.15), ("slow", 0.1))
_PACE = {
    "sure": (0.62, 0.85),
    "a fault": (0.65, 0.95),
    "a slip": (0.65, 0.95),
    "slow": (1.15, 1.6),
}  # of the class's time
_SWAPS, _CALLS = 0.25, 0.12  # how often digits are swapped in writing, and somebody is called
_LASTS = {"step": 2.5, "timer": 0.4, "own": 3.0, "answer": 2.0}  # minutes of hands; of everything else 1
_SEEN = 30.0  # s until somebody sees it, or asks
_SPARE = 2  # trials beyond the example's, for those that must go on
_ANSWERS = (
    "The reading with the fewest digits: it is least sure of all that enter.",
    "It would come out higher, because less of it is there than was counted.",
    "The same on average, but with more scatter.",
    "",
    "We do not know; the numbers look as we expected.",
)
_QUESTIONS = ("Is this colour right?", "Do we have to do it once more?", "Which one counts if they do not agree?")


@dataclass(frozen=True, slots=True)
class Timed:
    """Something written ``after`` so many seconds of class; ``why`` it corrects what stood there before, if it does."""

    after: float
    written: Written
    why: str = ""


def bench_at_work(
    method: Method, plan: Sheet, accepted: Mapping[str, str], seed: int, day: int, minutes: float
) -> list[Timed]:
    """All that a bench writes in a class of so many ``minutes``, in order. The same for the same seed; SheetError where
    the plan's instruments could not show the method's example.
    """
    random = np.random.default_rng([seed, day, 3])
    keys, weights = zip(*_SKILLS, strict=True)
    skill: Skill = keys[int(random.choice(len(keys), p=weights))]
    fault = _fault(method, plan, random) if skill == "a fault" else ""
    written = _readings(method, plan, accepted, seed, day, fault)
    answers = [_ANSWERS[int(random.integers(len(_ANSWERS)))] or "–" for _ in method.questions]
    led = follow(method, plan, written, answers)
    if fault and evaluate(method, _sheet(plan, led)).hand.kind != "finished":  # it was seen at once, and mended
        led = follow(method, plan, _readings(method, plan, accepted, seed, day, ""), answers)
    if skill == "a slip":
        led = list(_with_slip(method, plan, led, random))
    low, high = _PACE[skill]
    return list(_in_time(method, plan, led, minutes * 60 * float(random.uniform(low, high)), random))


def _readings(
    method: Method, plan: Sheet, accepted: Mapping[str, str], seed: int, day: int, fault: str
) -> list[Written]:
    """Everything that is read, with trials to spare: each of those as the first, on another day."""
    written: list[Written] = []
    last = 0
    for spare in range(_SPARE + 1):
        sheet = read_anew(method, true_bench(method, plan, accepted, seed + 7919 * spare, day), seed + spare, fault)
        trials = sorted({given.trial for given in sheet.given if given.trial})
        for given in sheet.given:
            if not spare:
                written.append(Written(given.key, given.text, given.trial, given.index))
            elif trials and given.trial == trials[-1]:
                written.append(Written(given.key, given.text, last + spare, given.index))
        last = last or max(trials, default=0)
    return written


def _fault(method: Method, plan: Sheet, random: np.random.Generator) -> str:
    """One that these instruments can show."""
    faults = active(method.faults, bind(method, plan).options)
    for place in random.permutation(len(faults)):
        try:
            read_anew(method, true_bench(method, plan, {}, 1), 1, faults[place].key)
        except ChromataError:
            continue
        return str(faults[place].key)
    return ""


def _with_slip(
    method: Method, plan: Sheet, led: Sequence[Written], random: np.random.Generator
) -> Iterator[Written]:  # fmt: skip
    """Own answers worked with one of the method's slips."""
    whole = _sheet(plan, led)
    try:
        effects = [effect.percent for effect in slip_effects(bind(method, whole)) if abs(effect.percent) > 1]
    except ChromataError:
        effects = []
    share = effects[int(random.integers(len(effects)))] if effects else 0.0
    for written in led:
        number, space, rest = written.text.replace("−", "-").partition(
            " "
        )  # a power of ten and a unit stay as they are
        if written.key.startswith("own.") and share and plain_number(number) is not None:
            yield replace(written, text=f"{with_figures(float(number) * (1 + share / 100), 4)}{space}{rest}")
        else:
            yield written


def _in_time(
    method: Method, plan: Sheet, led: Sequence[Written], seconds: float, random: np.random.Generator
) -> Iterator[Timed]:
    lasts = [_LASTS.get(written.key.partition(".")[0], 1.0) * float(random.uniform(0.6, 1.5)) for written in led]
    scale, now = seconds / max(sum(lasts), 1e-9), 0.0
    swapped = random.random() < _SWAPS
    for place, (entry, long) in enumerate(zip(led, lasts, strict=True)):
        now += long * scale
        other = _swapped(entry.text) if swapped and place > len(led) // 4 else ""
        if other and _could_be(method, plan, led[:place], replace(entry, text=other)):
            swapped = False
            yield Timed(now, replace(entry, text=other))
            now += _SEEN
            yield Timed(now, entry, "Two digits swapped in writing")
            continue
        yield Timed(now, entry)
        if random.random() < _CALLS / 4 and entry.trial:
            now += _SEEN
            yield Timed(now, Written("call", _QUESTIONS[int(random.integers(len(_QUESTIONS)))]))


def _swapped(text: str) -> str:
    """The last two digits of a reading the other way round; empty where that is the same or no reading."""
    if plain_number(text) is None or "." not in text or len(text.partition(".")[2]) < 2 or text[-1] == text[-2]:
        return ""
    return text[:-2] + text[-1] + text[-2]


def _could_be(method: Method, plan: Sheet, before: Sequence[Written], written: Written) -> bool:
    """Whether it could be kept at all."""
    return not judge(
        method, _sheet(plan, before), Given(written.key, written.text, written.trial, written.index)
    ).refused


def _sheet(plan: Sheet, written: Sequence[Written]) -> Sheet:
    return replace(
        plan, given=tuple(Given(reading.key, reading.text, reading.trial, reading.index) for reading in written)
    )
