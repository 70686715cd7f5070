"""How many digits a computed quantity may show before its uncertainty is known: the school of significant figures."""

from collections.abc import Mapping
from decimal import Context, Decimal
from math import inf, isfinite, log10
from typing import TypeVar

from chromata_core.formula.figures import Figured, exact, figured
from chromata_core.formula.parse import parse_formula
from chromata_core.method.compute import Computed
from chromata_core.method.outcome import Shown
from chromata_core.method.sheet import Bound
from chromata_core.method.vocabulary import NumberOption, Option, Quantity, Series
from chromata_core.quantity.column import Column
from chromata_core.quantity.rounding import leading_place, plain, rounded, with_figures
from chromata_core.quantity.typed import Typed, parse_reading
from chromata_core.quantity.units import unit
from chromata_core.uncertainty.columns import value_of

Known = dict[str, Figured | list[Figured]]


def figured_typed(typed: Typed, symbol: str) -> Figured:
    """A typed number in SI with its last known place there."""
    scale = unit(symbol)
    value = typed.value * Decimal(repr(scale.factor)) + Decimal(repr(scale.offset))
    return Figured(value, typed.decimals - round(log10(scale.factor)))


def figures_of(bound: Bound, computed: Computed) -> dict[int | None, Known]:
    """Everything on a sheet with its last known place, by trial; ``None`` is the bench with the summary."""
    bench: Known = {}
    for option in bound.method.options:
        if option.key in computed.bench:
            bench[option.key] = _constant(bound, option, computed.bench[option.key])
    _add_readings(bound, None, bench)
    trials: dict[int | None, Known] = {}
    for number, values in computed.trials.items():
        trials[number] = dict(bench)
        _add_readings(bound, number, trials[number])
        planned = [option for option in bound.lists if bound.by_trial(option) and option.key in values]
        trials[number] |= {option.key: exact(value_of(values[option.key])) for option in planned}
        _add_quantities(bound, values, trials[number])
    for quantity in bound.quantities:
        listed = [trials[n][quantity.key] for n in computed.counted if quantity.key in trials[n]]
        if quantity.scope == "trial" and listed:
            bench[quantity.key] = [item for item in listed if isinstance(item, Figured)]
    _add_quantities(bound, computed.bench, bench)
    return {None: bench, **trials}


def shown(quantity: Quantity, value: float, item: Figured | list[Figured] | None) -> Shown:
    """``value`` (declared unit) of ``quantity`` to the figures its readings allow, the last of them in doubt."""
    number = as_decimal(value, item, quantity.unit)
    if not isinstance(item, Figured) or item.place == inf:
        return Shown(with_figures(number, 4), 1, quantity.unit)
    place = round(item.place) + round(log10(unit(quantity.unit).factor))
    if place >= 0 and not rounded(number, place):  # zero, but for what a step so tiny leaves behind
        return Shown(plain(0.0, place), 1, quantity.unit)
    if place < 0 or leading_place(number) < -4:
        return Shown(with_figures(number, max(place + leading_place(number) + 1, 1)), 1, quantity.unit)
    return Shown(plain(number, place), 1, quantity.unit)


_SAME = 1e-9  # relative: by both ways the same number, but for what binary floats lose
_CLEAN = Context(prec=18)


def as_decimal(value: float, item: Figured | list[Figured] | None, symbol: str) -> Decimal:
    """``value`` (in ``symbol``) as it is worked on paper: the decimal of the significant figures where both agree, else
    ``value`` without the last digits of a float. What is a tie on paper is then a tie here.
    """
    if isinstance(item, Figured):
        scale = unit(symbol)
        worked = _CLEAN.plus((item.value - Decimal(repr(scale.offset))) / Decimal(repr(scale.factor)))
        if abs(float(worked) - value) <= _SAME * abs(value):
            return worked
    return Decimal(f"{value:.12g}") if isfinite(value) else Decimal(0)


def _constant(bound: Bound, option: Option, column: Column) -> Figured | list[Figured]:
    """A measured session value keeps its written figures; a counted or chosen one, or a molar mass, limits nothing."""
    if column.ndim == 2:
        return [exact(value_of(row)) for row in column]
    if isinstance(option, NumberOption) and option.unit and bound.number(f"{option.key}.limit"):
        return figured_typed(parse_reading(bound.options[option.key]), option.unit)
    return exact(value_of(column))


def _add_readings(bound: Bound, trial: int | None, known: Known) -> None:
    for reading in bound.readings:
        if isinstance(reading, Series):
            made = bound.series(reading.key, trial)
            if made:
                known[reading.key] = [figured_typed(typed, reading.unit) for typed in made]
        elif (typed := bound.typed.get((reading.key, trial, None))) is not None:
            known[reading.key] = figured_typed(typed, reading.unit)
        elif not bound.wanted(reading, trial):
            known.setdefault(reading.key, exact(0.0))


def _add_quantities(bound: Bound, values: Mapping[str, object], known: Known) -> None:
    for quantity in bound.quantities:
        if quantity.key in values and quantity.key not in known:
            tree = parse_formula(quantity.formula)
            rows = [figured(tree, row) for row in by_row(known, quantity)] if quantity.per else None
            known[quantity.key] = figured(tree, known) if rows is None else rows


Item = TypeVar("Item")


def by_row(known: Mapping[str, Item | list[Item]], quantity: Quantity) -> list[dict[str, Item | list[Item]]]:
    """What each row of ``quantity`` is worked from: of lists that row's member, of everything else the same."""
    series = known[quantity.per]
    assert isinstance(series, list)
    return [
        {key: item[at] if isinstance(item, list) and at < len(item) else item for key, item in known.items()}
        for at in range(len(series))
    ]
