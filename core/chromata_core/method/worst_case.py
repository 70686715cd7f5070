"""A result's largest error by the school of apparatus errors, from the same readings as everything else."""

from math import isfinite

import numpy as np

from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import names
from chromata_core.formula.worst_case import Bounded, bounded
from chromata_core.instruments.instrument import Instrument
from chromata_core.method.context import Context
from chromata_core.method.vocabulary import NumberOption, Quantity, Reading, Series
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.units import unit
from chromata_core.uncertainty.columns import value_of

Known = dict[str, Bounded | list[Bounded]]


def worst_cases(at: Context) -> dict[str, str]:
    """“± 0.0041 mol/L (0.47 %)” for each result, empty where it cannot be told."""
    known = _everything(at)
    return {
        quantity.key: _text(quantity, known.get(quantity.key)) for quantity in at.bound.quantities if quantity.result
    }


def _text(quantity: Quantity, found: Bounded | list[Bounded] | None) -> str:
    if not isinstance(found, Bounded) or not (isfinite(found.error) and found.error > 0):
        return ""
    size = found.error / unit(quantity.unit).factor
    return f"± {with_figures(size, 2)} {quantity.unit}".rstrip() + f" ({with_figures(found.relative * 100, 2)} %)"


def _everything(at: Context) -> Known:
    bench: Known = {o.key: _constant(at, o.key) for o in at.bound.method.options if o.key in at.computed.bench}
    _add_readings(at, None, bench)
    each = []
    for number in at.computed.counted:
        trial = dict(bench)
        _add_readings(at, number, trial)
        _add_quantities(at, "trial", trial)
        each.append(trial)
    for quantity in (q for q in at.bound.quantities if q.scope == "trial"):
        listed = [trial[quantity.key] for trial in each if quantity.key in trial]
        bench[quantity.key] = [item for item in listed if isinstance(item, Bounded)]
    _add_quantities(at, "summary", bench)
    return bench


def _constant(at: Context, key: str) -> Bounded:
    option = next(o for o in at.bound.method.options if o.key == key)
    limit = float(at.number(f"{key}.limit")) * unit(option.unit).factor if isinstance(option, NumberOption) else 0.0
    return Bounded(value_of(at.computed.bench[key]), limit)


def _add_readings(at: Context, trial: int | None, known: Known) -> None:
    for reading in at.bound.readings:
        if isinstance(reading, Series):
            made = at.bound.series(reading.key, trial)
            if made:
                known[reading.key] = [_read(at, reading, float(typed.value)) for typed in made]
        elif (typed := at.typed(reading.key, trial)) is not None:
            known[reading.key] = _read(at, reading, float(typed.value))
        elif not at.bound.wanted(reading, trial):
            known.setdefault(reading.key, Bounded(0.0, 0.0))


def _read(at: Context, reading: Reading, value: float) -> Bounded:
    scale = unit(reading.unit)
    return Bounded(scale.to_si(value), _limit(at.bound.instruments[reading.role], bool(reading.zero_of)))


def _limit(tool: Instrument, start: bool) -> float:
    """The largest error of one reading in SI; a start does not carry the calibration a second time."""
    halves = [
        float(term.half_width) / (2 if term.distribution == "resolution" else 1)
        for term in tool.errors
        if term.kind in ("tolerance", "readability") and not term.relative and not (term.on_delivery and start)
    ]
    return sum(halves) * unit(tool.unit).factor


def _add_quantities(at: Context, scope: str, known: Known) -> None:
    for quantity in at.bound.quantities:
        tree = parse_formula(quantity.formula)
        if quantity.scope in (scope, "bench") and quantity.key not in known and all(n in known for n in names(tree)):
            with np.errstate(all="ignore"):
                known[quantity.key] = bounded(tree, known)
