"""What nature answers: readings of a sheet moved until the method's own formulas lead to what is wanted."""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import replace
from decimal import Decimal
from functools import partial

import numpy as np

from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Method, Series
from chromata_core.engine.numeric_pass import compute
from chromata_core.errors import ChromataError
from chromata_core.quantity.rounding import plain
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Sheet

_FINE = 4  # decimals beyond those of the instrument: a truth is not rounded to what can be read
_TURNS, _ENOUGH = 16, 1e-9  # of the search for a response; when it ends, relative
NEAR = 1e-4  # relative: what is near enough to what is wanted
_UNMOVED = 1e-12
Values = dict[Place, float]  # in the unit of each reading
Wanted = Mapping[int, tuple[str, float]]  # of each trial the quantity that tells the truth, and its value in SI
Way = Callable[[Values, Sequence[Place], float], Values]


def true_values(bound: Bound) -> Values:
    """Every reading of a sheet as a number."""
    keys = {reading.key for reading in bound.readings}
    return {place: float(typed.value) for place, typed in bound.typed.items() if place.key in keys}


def with_values(method: Method, sheet: Sheet, values: Mapping[Place, float]) -> Sheet:
    """``sheet`` with other readings; SheetError where an instrument could not show one. What stays keeps its text."""
    bound = bind(method, sheet)
    decimals, before = (
        {reading.key: bound.instruments[reading.role].decimals for reading in bound.readings},
        true_values(bound),
    )
    given = [
        replace(given, text=plain(values[given.place], decimals[given.key] + _FINE))
        if given.place in values and values[given.place] != before[given.place]
        else given
        for given in sheet.given
    ]
    changed = replace(sheet, given=tuple(given))
    bind(method, changed)
    return changed


def answered(method: Method, sheet: Sheet, wanted: Wanted) -> Sheet:
    """``sheet`` with the responses of each trial moved until its quantity has the value ``wanted``. Responses that do
    not lead there, or would be off the scale, stay.
    """
    bound = bind(method, sheet)
    return _on_the_scale(method, sheet, responses_to(bound, true_values(bound), wanted))


def responses_to(bound: Bound, values: Values, wanted: Wanted) -> dict[int, Values]:
    """The responses of each trial to what the other ``values`` are, for which its quantity has the value ``wanted``."""
    keys = {reading.key for reading in bound.readings if reading.response and reading.scope == "trial"}
    full = _full_portions(bound, values)
    places = {n: [at for at in values if at.key in keys and at.trial == n and (n, at.row) not in full] for n in wanted}
    beside = {
        reading.key: reading.beside for reading in bound.readings if isinstance(reading, Series) and reading.response
    }
    ways: tuple[Way, ...] = (_shifted, _stretched, partial(_along, beside))
    return next((answers for way in ways if (answers := _sought(bound, values, places, wanted, way))), {})


def _full_portions(bound: Bound, values: Values) -> set[tuple[int | None, int | None]]:
    """Rows of portions that filled their vessel: what comes more or less shows in the last one."""
    tools = {reading.key: bound.instruments[reading.role] for reading in bound.readings}
    return {(at.trial, at.row) for at, x in values.items() if at.row and x == float(tools[at.key].high)}


def _shifted(values: Values, places: Sequence[Place], by: float) -> Values:
    """All of them more by the same."""
    return {place: values[place] + by for place in places}


def _stretched(values: Values, places: Sequence[Place], by: float) -> Values:
    """Each series further from its first by a share."""
    firsts = {place.key: values[place] for place in sorted(places, key=lambda place: -(place.row or 0))}
    return {place: firsts[place.key] + (values[place] - firsts[place.key]) * (1 + by) for place in places}


def _along(beside: Mapping[str, str], values: Values, places: Sequence[Place], by: float) -> Values:
    """Each curve further from its beginning by a share, along the series that it stands beside."""
    along = [at for place in places if (at := Place(beside.get(place.key, ""), place.trial, place.row)) in values]
    return _stretched(values, along, by)


def _sought(
    bound: Bound, values: Values, places: Mapping[int, Sequence[Place]], wanted: Wanted,
    way: Way,
) -> dict[int, Values]:  # fmt: skip
    """The moved responses by trial, by the secant method, all trials at once: of those that lead where they should."""

    def off(by: Mapping[int, float]) -> dict[int, float]:
        moved = {place: x for n in wanted for place, x in way(values, places[n], by[n]).items()}
        trials = compute(retyped(bound, {**values, **moved})).trials
        return {n: number_of(trials[n][key]) - true for n, (key, true) in wanted.items() if key in trials.get(n, {})}

    last = dict.fromkeys(wanted, 0.0)
    error = off(last)
    step = {n: 1e-3 * max(abs(values[places[n][0]]), 1.0) if places[n] else 0.0 for n in wanted}
    here = {n: last[n] + step[n] for n in wanted}
    for turn in range(_TURNS):
        new = off(here)
        slopes = {n: (new[n] - error[n]) / (here[n] - last[n]) for n in new if here[n] != last[n] and n in error}
        if not turn and all(abs(slopes.get(n, 0.0)) < _UNMOVED * abs(wanted[n][1]) for n in wanted):
            return {}
        last, error = here, new
        here = {n: here[n] - new[n] / slopes[n] if slopes.get(n) else here[n] for n in here}
        if all(abs(new[n]) <= _ENOUGH * abs(wanted[n][1]) for n in new):
            break
    return {n: way(values, places[n], last[n]) for n in error if abs(error[n]) <= NEAR * abs(wanted[n][1])}


def retyped(bound: Bound, values: Values) -> Bound:
    """``bound`` with other numbers on it, whatever an instrument could show."""
    typed = {place: replace(bound.typed[place], value=Decimal(repr(x))) for place, x in values.items()}
    return replace(bound, typed={**bound.typed, **typed})


def _on_the_scale(method: Method, sheet: Sheet, by_bench: Mapping[int, Values]) -> Sheet:
    """With what was found, trial by trial, as far as instruments can show it."""
    for moved in by_bench.values():
        try:
            sheet = with_values(method, sheet, {**true_values(bind(method, sheet)), **moved})
        except (ChromataError, ValueError, OverflowError):
            continue
    return sheet


def number_of(column: object) -> float:
    """The value in a column of one."""
    return float(np.real(np.asarray(column).flat[0]))
