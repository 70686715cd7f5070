"""A result's largest error by the school of apparatus errors, from the same readings as everything else."""

from collections.abc import Mapping
from math import isfinite

import numpy as np

from chromata_core.formula.parse import parse_formula
from chromata_core.formula.worst_case import Bounded, bounded
from chromata_core.instruments.instrument import Instrument
from chromata_core.method.context import Context
from chromata_core.method.figures_school import by_row
from chromata_core.method.inputs import begins_delivery
from chromata_core.method.sheet import Slot
from chromata_core.method.vocabulary import NumberOption, Quantity, Reading, Series
from chromata_core.quantity.column import Column
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.units import unit
from chromata_core.uncertainty.columns import value_of

Known = dict[str, Bounded | list[Bounded]]


def worst_cases(at: Context) -> dict[tuple[str, int | None], str]:
    """“± 0.0041 mol/L (0.47 %)” for each result by key and trial, empty where it cannot be told."""
    places: dict[int | None, Known] = {n: _trial(at, _bench(at), n) for n in at.computed.counted}
    places[None] = _everything(at)
    return {
        (quantity.key, trial): _text(quantity, known.get(quantity.key))
        for quantity in at.bound.quantities if quantity.result
        for trial, known in places.items() if (quantity.scope == "trial") == (trial is not None)
    }  # fmt: skip


def _text(quantity: Quantity, found: Bounded | list[Bounded] | None) -> str:
    if not isinstance(found, Bounded) or not (isfinite(found.error) and found.error > 0):
        return ""
    size = found.error / unit(quantity.unit).factor
    return f"± {with_figures(size, 2)} {quantity.unit}".rstrip() + f" ({with_figures(found.relative * 100, 2)} %)"


def _everything(at: Context) -> Known:
    bench = _bench(at)
    each = [_trial(at, bench, number) for number in at.computed.counted]
    for quantity in (q for q in at.bound.quantities if q.scope == "trial"):
        listed = [trial[quantity.key] for trial in each if quantity.key in trial]
        bench[quantity.key] = [item for item in listed if isinstance(item, Bounded)]
    _add_quantities(at, at.computed.bench, bench)
    return bench


def _bench(at: Context) -> Known:
    bench: Known = {o.key: _constant(at, o.key) for o in at.bound.method.options if o.key in at.computed.bench}
    _add_readings(at, None, bench)
    return bench


def _trial(at: Context, bench: Known, number: int) -> Known:
    values = at.computed.trials[number]
    planned = [option for option in at.bound.lists if at.bound.by_trial(option) and option.key in values]
    trial = dict(bench) | {option.key: Bounded(value_of(values[option.key]), 0.0) for option in planned}
    _add_readings(at, number, trial)
    _add_quantities(at, values, trial)
    return trial


def _constant(at: Context, key: str) -> Bounded | list[Bounded]:
    column = at.computed.bench[key]
    if column.ndim == 2:
        return [Bounded(value_of(row), 0.0) for row in column]
    option = next(o for o in at.bound.method.options if o.key == key)
    limit = float(at.number(f"{key}.limit")) * unit(option.unit).factor if isinstance(option, NumberOption) else 0.0
    return Bounded(value_of(column), limit)


def _add_readings(at: Context, trial: int | None, known: Known) -> None:
    for reading in at.bound.readings:
        if isinstance(reading, Series):
            made = at.bound.series(reading.key, trial)
            if made:
                slots: list[Slot] = [(reading.key, trial, index) for index in range(1, len(made) + 1)]
                known[reading.key] = [
                    _read(at, reading, float(typed.value), slot) for slot, typed in zip(slots, made, strict=True)
                ]
        elif (typed := at.typed(reading.key, trial)) is not None:
            known[reading.key] = _read(at, reading, float(typed.value), (reading.key, trial, None))
        elif not at.bound.wanted(reading, trial):
            known.setdefault(reading.key, Bounded(0.0, 0.0))


def _read(at: Context, reading: Reading, value: float, slot: Slot) -> Bounded:
    tool, start = at.bound.instruments[reading.role], begins_delivery(reading, slot)
    return Bounded(unit(reading.unit).to_si(tool.corrected(value)), _limit(tool, start))


def _limit(tool: Instrument, start: bool) -> float:
    """The largest error of one reading in SI; a start does not carry the calibration a second time."""
    halves = [
        float(term.half_width) / (2 if term.distribution == "resolution" else 1)
        for term in tool.errors
        if term.kind in ("tolerance", "readability") and not term.relative and not (term.on_delivery and start)
    ]
    return sum(halves) * unit(tool.unit).factor


def _add_quantities(at: Context, values: Mapping[str, Column], known: Known) -> None:
    for quantity in at.bound.quantities:
        if quantity.key in values and quantity.key not in known:
            tree = parse_formula(quantity.formula)
            with np.errstate(all="ignore"):
                rows = [bounded(tree, row) for row in by_row(known, quantity)] if quantity.per else None
                known[quantity.key] = bounded(tree, known) if rows is None else rows
