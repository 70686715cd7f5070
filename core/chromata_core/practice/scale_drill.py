"""Reading scales, drilled: an instrument that stands somewhere, and what the reading typed for it shows of how it was
read. What people do with scales is common practice, no published source.
"""

from collections.abc import Iterator
from dataclasses import dataclass, field
from decimal import ROUND_HALF_EVEN, Decimal
from math import exp

import numpy as np

from chromata_core.errors import ChromataError
from chromata_core.instruments.catalogue import CATALOGUE
from chromata_core.instruments.instrument import Instrument
from chromata_core.instruments.parallax import eye_at, seen_by
from chromata_core.quantity.given import read_in
from chromata_core.quantity.rounding import plain

# What is read off marks or a needle, and a display that has to be waited for.
DRIFTING = "balance-0.001"
DRILLED = (
    "burette-50-b", "cylinder-100-a", "cylinder-25-b", "gas-tube-50", "pipette-graduated-10", "thermometer-glass-1",
    "barometer-mmhg", "barometer-cmhg", "ruler-300", "ammeter-0.15", "ammeter-0.6", "ammeter-3",
    "photometer-t-needle", DRIFTING,
)  # fmt: skip
_NEAR = 0.25  # of a division: as well as an eye reads
_VERNIER = 0.15  # of a division: a vernier tells a tenth
_COURSE = 30  # half seconds until a drifting display is told to stand; it stands before
_RIM = 0.46  # of a division: how far the rim of a curve stands from where it is read, as it is drawn


@dataclass(frozen=True, slots=True)
class ScaleTask:
    """An ``instrument`` that stands at ``at`` in its unit, exactly, seen from ``eye`` (instruments/parallax.py). A
    display that drifts shows ``course`` before, half a second each.
    """

    instrument: Instrument
    at: float
    course: list[str] = field(default_factory=list)
    eye: float = 0.0


@dataclass(frozen=True, slots=True)
class ScaleVerdict:
    """What came of a reading. ``kind``: right, decimals, parallax, direction, division, rim, tens, scale, early,
    near, off, none. ``answer`` is what would be written.
    """

    right: bool
    kind: str
    sentence: str
    answer: str


def scale_task(slug: str, seed: int) -> ScaleTask:
    """One of endlessly many; the same for the same seed."""
    tool, random = CATALOGUE[slug], np.random.default_rng(seed)
    if slug == DRIFTING:
        return _drifting(tool, random)
    low, high, step = float(tool.low), float(tool.high), _division(tool)
    room = (high - low) * 0.06
    at = random.uniform(low + room, high - room)
    if abs(at / (10 * step) - round(at / (10 * step))) < 0.08:  # on a numbered mark there is nothing to get wrong
        at += 3.3 * step if at < (low + high) / 2 else -3.3 * step
    return ScaleTask(tool, float(at), eye=eye_at(tool, random))


def _drifting(tool: Instrument, random: np.random.Generator) -> ScaleTask:
    """A pan that was just loaded, a little warm or in a draught: it runs for some seconds, then it stands."""
    at = round(float(random.uniform(0.4, 40)), tool.decimals)
    away, slow = float(random.choice((-1, 1)) * random.uniform(0.012, 0.05)), float(random.uniform(2.5, 5))
    shown = [plain(at + away * exp(-n / slow), tool.decimals) for n in range(_COURSE)]
    return ScaleTask(tool, at, [*shown, plain(at, tool.decimals)])


def _division(tool: Instrument) -> float:
    """From one mark to the next, as it is drawn: a vernier reads a tenth of it."""
    return float(tool.graduation) * (10 if tool.kind == "barometer" else 1)


def judge_scale(task: ScaleTask, text: str) -> ScaleVerdict:
    """What ``text`` shows of how the scale was read."""
    tool, step = task.instrument, _division(task.instrument)
    if task.course:
        return _judged_display(task, text)
    near = _VERNIER * step if tool.kind == "barometer" else max(_NEAR * step, 0.6 * 10.0**-tool.decimals)
    answer = f"{Decimal(repr(task.at)).quantize(Decimal(1).scaleb(-tool.decimals), ROUND_HALF_EVEN)}"
    try:
        typed = read_in(text, tool.unit)
    except ChromataError as error:
        return ScaleVerdict(False, "none", error.message, "")
    away = float(typed.value) - task.at
    if abs(away) <= (near if typed.decimals >= tool.decimals else max(near, 0.5 * 10.0**-typed.decimals)):
        return _finished(tool, typed.decimals, answer)
    for kind, wrong, sentence in _mistaken(task):
        if abs(float(typed.value) - wrong) <= near:
            return ScaleVerdict(False, kind, sentence, answer)
    if abs(away) <= 1.2 * step:
        side = "more" if away > 0 else "less"
        return ScaleVerdict(False, "near", f"Within a division, but {side} than there is. {_eye(tool)}", answer)
    return ScaleVerdict(False, "off", f"It stands at {answer}. Find the numbered marks on both sides first.", answer)


def _judged_display(task: ScaleTask, text: str) -> ScaleVerdict:
    """Every digit of what stands at last, zeros too."""
    tool, answer = task.instrument, task.course[-1]
    try:
        typed = read_in(text, tool.unit)
    except ChromataError as error:
        return ScaleVerdict(False, "none", error.message, "")
    if f"{typed.value}" == answer:
        return ScaleVerdict(True, "right", f"Right: it stands at {answer}.", answer)
    if typed.value == Decimal(answer):
        sentence = f"Right so far; copy every digit, zeros too: {answer}."
        return ScaleVerdict(False, "decimals", sentence, answer)
    low, high = sorted((Decimal(task.course[0]), Decimal(answer)))
    if low <= typed.value <= high:
        sentence = (
            "It was still running. Wait until the same digits stand for some seconds; draughts and warm vessels drift."
        )
        return ScaleVerdict(False, "early", sentence, answer)
    return ScaleVerdict(False, "off", "No such number stood there. Copy digit by digit.", answer)


def _finished(tool: Instrument, decimals: int, answer: str) -> ScaleVerdict:
    if decimals < tool.decimals:
        finest = f"{Decimal(1).scaleb(-tool.decimals):f}"
        sentence = f"Right so far; estimate between the marks too, and write it to {finest} {tool.unit}: {answer}."
        return ScaleVerdict(False, "decimals", sentence, answer)
    if decimals > tool.decimals:
        sentence = f"Right, but this scale does not show so much: {answer} is all that can be read."
        return ScaleVerdict(False, "decimals", sentence, answer)
    return ScaleVerdict(True, "right", f"Right. Exactly it stands at {answer}.", answer)


def _mistaken(task: ScaleTask) -> Iterator[tuple[str, float, str]]:
    """Where one lands who reads it otherwise, and what is said then."""
    tool, at = task.instrument, task.at
    step = _division(tool)
    numbered = 10 * step
    below = numbered * (at // numbered)
    above = below + numbered
    run = {"down": "Here the numbers grow downwards.", "up": "Here the numbers grow upwards."}.get(tool.numbers_run, "")
    if task.eye:
        where, way = ("above", "Lower") if task.eye > 0 else ("below", "Raise")
        sentence = f"That is read from {where}. {way} your eye until the ring’s far side lies behind its near side."
        yield "parallax", seen_by(tool, at, task.eye), sentence
    for other in tool.scales:
        if other != tool.high:
            read = at * float(other) / float(tool.high)
            yield "scale", read, f"That is read on the {other} {tool.unit} scale. The terminal in use says {tool.high}."
    for mark in (above, below):
        yield "direction", mark + (mark - at), f"That is counted the wrong way from {mark:g}. {run}".strip()
    yield "division", below + (at - below) / 10, f"Count the divisions: each is {step:g} {tool.unit}."
    yield "division", below + (at - below) * 2, f"Ten divisions lie between two numbers: each is {step:g} {tool.unit}."
    yield "division", below + (at - below) / 2, f"Ten divisions lie between two numbers: each is {step:g} {tool.unit}."
    if tool.meniscus:
        upward = -1 if tool.numbers_run == "down" else 1
        rim = at + upward * _RIM * step * (1 if tool.meniscus == "bottom" else -1)
        where = "lowest" if tool.meniscus == "bottom" else "highest"
        yield "rim", rim, f"That is the rim of the curve. Read its {where} point, with the eye at its height."
    for many in (1, -1, 10, -10):
        yield "tens", at + many * numbered, f"The divisions are right; look again at the number beside them: {below:g}."


def _eye(tool: Instrument) -> str:
    if tool.kind == "barometer":
        return "The vernier tells the tenths: which of its lines runs straight into a line of the scale?"
    if tool.scales:
        return "Look at the needle straight from the front."
    if tool.meniscus == "top":
        return "Eye at the height of the curve’s highest point."
    return "Eye at the height of the curve’s lowest point." if tool.meniscus else "Eye at the height of the end."
