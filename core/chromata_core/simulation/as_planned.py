"""The worked example as it would be under another plan: other temperatures, pairs of metals, volumes.

What follows the plan stands in the declaration (``follows``): a reading or a quantity of each trial that is in
proportion to a formula. So it keeps what the example has of its own, such as a cell that lies below its table value.
"""

from collections.abc import Iterator
from dataclasses import replace
from math import isfinite

import numpy as np

from chromata_core.declaration.nature import Follows
from chromata_core.engine.context import context_of
from chromata_core.engine.numeric_pass import compute
from chromata_core.errors import ChromataError
from chromata_core.formula.compute import numeric
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import names
from chromata_core.judging.answers import right_choices
from chromata_core.quantity.column import Column
from chromata_core.quantity.units import unit
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Given, Sheet
from chromata_core.sheet.example import example_as_planned, example_under
from chromata_core.simulation.responses import answered, number_of, true_values, with_values


def as_planned(bound: Bound, plan: Sheet) -> Sheet:
    """The readings of ``plan`` as a bench that works like the example would have them."""
    method, sheet = bound.method, example_as_planned(bound, plan)
    if not method.follows:
        return sheet
    told = example_under(method, bound.options)
    given = tuple(Given(key, text, trial, index) for key, trial, index, text in told.readings)
    example = bind(method, Sheet(told.options, told.instruments, given))
    sheet = replace(sheet, given=(*sheet.given, *_beyond(bound, sheet)))
    for law in method.follows:
        sheet = _following(law, example, sheet)
    return _looked_at(bound, sheet)


def _beyond(bound: Bound, sheet: Sheet) -> Iterator[Given]:
    """The trials that are planned beyond those of the example begin as its last one."""
    last = max((given.trial or 0 for given in sheet.given), default=0)
    for trial in range(last + 1, (bound.planned or 0) + 1):
        yield from (replace(given, trial=trial) for given in sheet.given if given.trial == last)


def _following(law: Follows, example: Bound, sheet: Sheet) -> Sheet:
    """``sheet`` with what follows one law; as it was where an instrument could not show that."""
    here = bind(example.method, sheet)
    shares = {n: share for n, share in _shares(law, example, here).items() if isfinite(share) and abs(share - 1) > 1e-9}
    if not shares:
        return sheet
    reading = next((reading for reading in here.readings if reading.key == law.key), None)
    if reading is None:
        told = {n: known[law.key] for n, known in compute(here).trials.items() if law.key in known}
        wanted = {n: (law.key, number_of(told[n]) * share) for n, share in shares.items() if n in told}
        return answered(example.method, sheet, wanted)
    scale = unit(reading.unit)
    values = {
        at: scale.from_si(scale.to_si(x) * shares[at.trial]) if at.key == law.key and at.trial in shares else x
        for at, x in true_values(here).items()
    }
    try:
        return with_values(example.method, sheet, values)
    except ChromataError:
        return sheet


def _shares(law: Follows, example: Bound, here: Bound) -> dict[int, float]:
    """How much more the formula is in each trial than in that of the example."""
    before, now = _values(law, example), _values(law, here)
    last = max(before, default=0)
    return {n: value / base for n, value in now.items() if (base := before.get(n, before.get(last, 0.0)))}


def _values(law: Follows, bound: Bound) -> dict[int, float]:
    tree = parse_formula(law.formula)
    values: dict[int, float] = {}
    for trial, known in compute(bound).trials.items():
        if all(name in known for name in names(tree)):
            with np.errstate(all="ignore"):
                column: Column = numeric(tree)(known)
            values[trial] = number_of(column)
    return values


def _looked_at(bound: Bound, sheet: Sheet) -> Sheet:
    """Questions are answered anew: another pair has another anode."""
    at = context_of(bound.method, sheet)
    questions = {part.key: part for part in bound.observations if part.right}
    given = [
        replace(given, text=right[0])
        if given.key in questions and (right := right_choices(at, questions[given.key], given.trial))
        else given
        for given in sheet.given
    ]
    return replace(sheet, given=tuple(given))
