"""Planning in reverse: what to weigh, pipette and prepare so that the work comes out as wanted; for the whole class."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from math import ceil, isfinite

import numpy as np

from chromata_core.declaration.option_kinds import NumberOption
from chromata_core.declaration.options import active
from chromata_core.declaration.preparation import Supply, Target
from chromata_core.engine.inputs import inputs_of
from chromata_core.formula.compute import numeric
from chromata_core.formula.parse import parse_formula
from chromata_core.quantity.column import Column
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.units import unit
from chromata_core.sheet.bound import Bound

SPARE = 1.25  # for rinsing, spills and the trial that has to be repeated; common practice, no published source
_LARGER = {"mL": "L", "mg": "g", "g": "kg", "mmol": "mol"}


@dataclass(frozen=True, slots=True)
class TargetOut:
    """A value to aim at, with its unit."""

    label: str
    text: str
    why: str


@dataclass(frozen=True, slots=True)
class SupplyOut:
    """What is used up: for one trial (or each of the planned ones), for a bench, for the class with spare."""

    label: str
    each: str
    bench: str
    whole_class: str
    note: str


@dataclass(frozen=True, slots=True)
class Supplies:
    """``trials`` is how many a bench is expected to do, the rough one with them."""

    targets: list[TargetOut]
    supplies: list[SupplyOut]
    trials: int
    spare_percent: int


def supplies(bound: Bound, benches: int) -> Supplies:
    """What ``bound``'s options ask for at ``benches`` benches."""
    targets = _targets(bound, active(bound.method.targets, bound.options))
    needed = [_supply(bound, supply, benches) for supply in active(bound.method.supplies, bound.options)]
    return Supplies(targets, needed, _trials(bound), round((SPARE - 1) * 100))


def told_targets(bound: Bound) -> list[TargetOut]:
    """What a bench may know of what the plan aims at."""
    return _targets(bound, [target for target in active(bound.method.targets, bound.options) if target.told])


def _targets(bound: Bound, targets: Iterable[Target]) -> list[TargetOut]:
    return [TargetOut(t.label, amount_text(amount_of(bound, t.formula, 1), t.unit), t.why) for t in targets]


def _supply(bound: Bound, supply: Supply, benches: int) -> SupplyOut:
    amounts = _amounts(bound, supply)
    each = "; ".join(dict.fromkeys(amount_text(amount, supply.unit) for amount in amounts))
    total = sum(amounts)
    return SupplyOut(
        bound.worded(supply.label), each if supply.per == "trial" else "", amount_text(total, supply.unit),
        amount_text(total * benches * SPARE, supply.unit), bound.worded(supply.note),
    )  # fmt: skip


def _amounts(bound: Bound, supply: Supply) -> list[float]:
    """What one bench uses in SI: for each of its trials, or in all."""
    times = _trials(bound) if supply.per == "trial" else 1
    return [amount_of(bound, supply.formula, trial) for trial in range(1, times + 1)]


def bench_amount(bound: Bound, supply: Supply) -> float:
    """What one bench uses in all, in SI; nothing where the plan's numbers say nothing."""
    amount = sum(_amounts(bound, supply))
    return amount if isfinite(amount) else 0.0


def _trials(bound: Bound) -> int:
    return bound.planned or bound.asked.least + bound.rough


def amount_of(bound: Bound, formula: str, trial: int, other: Mapping[str, float] | None = None) -> float:
    """``formula`` in SI with the plan's own numbers, or ``other`` ones (SI); NaN where nothing is to divide by."""
    known = {**_known(bound, trial), **{key: np.array([value]) for key, value in (other or {}).items()}}
    with np.errstate(all="ignore"):
        return float(np.real(numeric(parse_formula(formula))(known)).flat[0])


def _known(bound: Bound, trial: int) -> Mapping[str, Column]:
    inputs = inputs_of(bound, {})
    known = {key: np.array([item.value]) for key, item in inputs.items() if isinstance(key, str)}
    for option in bound.method.all_options:
        if isinstance(option, NumberOption):
            known[option.key] = np.array([unit(option.unit).to_si(float(bound.number(option.key)))])
    for option in bound.lists:
        if bound.by_trial(option):
            known[option.key] = np.array([inputs[(option.key, trial, None)].value])
        else:
            rows = [key for key in inputs if isinstance(key, tuple) and key[0] == option.key]
            known[option.key] = np.array([[inputs[row].value] for row in rows])
    return known


def amount_text(si: float, symbol: str) -> str:
    """Three figures, things whole; thousands are told in the larger unit."""
    value = unit(symbol).from_si(si)
    if not symbol and isfinite(value):  # things are counted
        return str(ceil(value - 1e-9))
    if not isfinite(value):
        return "–"
    while abs(value) >= 1000 and symbol in _LARGER:
        value, symbol = value / 1000, _LARGER[symbol]
    return f"{with_figures(value, 3)} {symbol}".rstrip()
