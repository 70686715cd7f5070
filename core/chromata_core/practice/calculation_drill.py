"""Calculation, drilled: fresh readings of a method, one line to be worked out, traced as at the bench."""

from dataclasses import dataclass, replace
from functools import cache

import numpy as np

from chromata_core.declaration.own_work import OwnWork
from chromata_core.declaration.places import own
from chromata_core.declaration.vocabulary import Quantity
from chromata_core.engine.context import context_of
from chromata_core.errors import ChromataError
from chromata_core.methods.registry import method
from chromata_core.practice.readings_told import readings_told
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.simulation.rehearse import rehearse
from chromata_core.telling.evaluate import told_of
from chromata_core.telling.explain import constants

_MOST_READINGS = 28  # more are for a spreadsheet


@dataclass(frozen=True, slots=True)
class CalculationTask:
    """What is ``given`` and ``known``, and the line to be worked out, in ``unit``."""

    title: str
    given: list[str]
    known: list[str]
    wanted: str
    unit: str


@dataclass(frozen=True, slots=True)
class CalculationVerdict:
    """Whether it agrees, and what is said of it."""

    right: bool
    kind: str
    sentence: str


def calculation_task(slug: str, seed: int) -> CalculationTask:
    """One of endlessly many of the method called so; the same for the same seed."""
    sheet, line, trial = line_of(slug, seed)
    at = context_of(method(slug), sheet)
    state = told_of(at, {})
    where = "" if trial is None else f", {at.trial_name(trial).lower()}"
    known = [constant.text for constant in constants(at)]
    return CalculationTask(method(slug).title, readings_told(at, state, trial), known, line.label + where, line.unit)


def judge_calculation(slug: str, seed: int, text: str) -> CalculationVerdict:
    """``text`` traced as an own answer at a bench is."""
    sheet, line, trial = line_of(slug, seed)
    answer = Given(own(line.key, trial).key, text, trial)
    asked = replace(sheet, own_work=OwnWork(lines=(line.key,)), given=(*sheet.given, answer))
    try:
        [own_answer] = [
            own_answer for own_answer in told_of(context_of(method(slug), asked), {}).own if own_answer.key == line.key
        ]
    except ChromataError as error:
        return CalculationVerdict(False, "none", error.message)
    return CalculationVerdict(own_answer.agrees, own_answer.kind, own_answer.sentence)


@cache
def can_be_drilled(slug: str) -> bool:
    """Whether the method's readings fit on a sheet of paper."""
    return len(rehearse(method(slug), 1).given) <= _MOST_READINGS


def line_of(slug: str, seed: int) -> tuple[Sheet, Quantity, int | None]:
    """Fresh readings, the line that is asked for, and of which trial: the first that counts."""
    sheet = rehearse(method(slug), seed)
    at = context_of(method(slug), sheet)
    lines = [(line, at.computed.counted[0] if line.scope == "trial" else None) for line in at.bound.quantities]
    possible = [
        (line, trial) for line, trial in lines
        if line.is_line and not line.per and not line.aside and at.value(line.key, trial) is not None
    ]  # fmt: skip
    line, trial = possible[int(np.random.default_rng(seed).integers(len(possible)))]
    return sheet, line, trial
