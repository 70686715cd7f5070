"""What is true at a simulated bench: readings without the errors of instruments, that lead to a truth chosen before.

They start from the method's worked example. What people choose (a portion, where a burette starts) and what the day
brings (air pressure, warmth) differs from bench to bench; what nature answers (a ``response``) is then moved, trial by
trial, until the method's own formulas lead to the truth. So no second set of formulas is kept, and an experiment of an
instructor's own has its truth as well.
"""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import replace
from decimal import Decimal
from functools import partial

import numpy as np

from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Method, Quantity, Series
from chromata_core.engine.differences import differences
from chromata_core.engine.numeric_pass import Computed, compute
from chromata_core.errors import ChromataError
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Call, Name
from chromata_core.quantity.given import read_in
from chromata_core.quantity.rounding import plain
from chromata_core.quantity.units import unit
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Sheet
from chromata_core.sheet.example import example_as_planned

_FINE = 4  # decimals beyond those of the instrument: a truth is not rounded to what can be read
_PORTION, _VESSEL, _WARMTH, _AIR = 0.05, 0.04, 0.7, 0.004  # of a mass; of a vessel's; in K; of the air pressure
_TURNS, _ENOUGH, _NEAR = 16, 1e-9, 1e-4  # of the search for a response; when it ends, and what is near enough, relative
_UNMOVED = 1e-12
Values = dict[Place, float]  # in the unit of each reading
Wanted = Mapping[int, tuple[str, float]]  # of each trial the quantity that tells the truth, and its value in SI
Way = Callable[[Values, Sequence[Place], float], Values]


def true_bench(method: Method, plan: Sheet, accepted: Mapping[str, str], seed: int, day: int = 0) -> Sheet:
    """A sheet of true readings under ``plan``: its results are the ``accepted`` ones (texts by result, in its unit), or
    those of the example. The same for the same seed; benches of one ``day`` share its air.
    """
    bound = bind(method, plan)
    example = example_as_planned(bound, replace(plan, given=()))
    wanted = wanted_of(method, example, accepted)
    found = answered(method, _varied(method, example, seed, day), wanted)
    # a portion that leads off a scale, or to another number of rows, is not taken
    return found if _tells(method, found, wanted) else answered(method, example, wanted)


def _tells(method: Method, sheet: Sheet, wanted: Wanted) -> bool:
    trials = compute(bind(method, sheet)).trials
    found = [(trials[n].get(key), true) for n, (key, true) in wanted.items() if n in trials]
    return all(column is not None and abs(_number(column) - true) <= _NEAR * abs(true) for column, true in found)


def _varied(method: Method, sheet: Sheet, seed: int, day: int) -> Sheet:
    """The same bench on another day with other portions; as it was where that would be off a scale."""
    bound, random, air = bind(method, sheet), np.random.default_rng([seed, 1]), np.random.default_rng([day, 2])
    warmth, pressure = float(random.normal(0, _WARMTH)), 1 + float(air.normal(0, _AIR))
    values = true_values(bound)
    ends = differences(bound)
    trials = sorted({place.trial or 0 for place in values})
    portions = {(key, trial): 1 + float(random.normal(0, _PORTION)) for key in ends for trial in trials}
    changed = dict(values)
    for place, value in values.items():
        reading = next(one for one in bound.readings if one.key == place.key)
        kind = bound.instruments[reading.role].kind
        if reading.response or place.row is not None:
            continue
        if kind in ("thermometer", "glass thermometer"):
            changed[place] = value + warmth
        elif kind in ("barometer", "pressure sensor"):
            changed[place] = value * pressure
        elif kind == "balance" and place.key not in ends:
            share = _VESSEL if place.key in ends.values() else _PORTION
            changed[place] = value * (1 + float(random.normal(0, share)))
    for place in values:
        start = Place(ends.get(place.key, ""), place.trial, place.row)
        if start in values:
            changed[place] = changed[start] + (values[place] - values[start]) * portions[(place.key, place.trial or 0)]
    try:
        return with_values(method, sheet, changed)
    except ChromataError:
        return sheet


def true_values(bound: Bound) -> Values:
    """Every reading of a sheet as a number."""
    keys = {reading.key for reading in bound.readings}
    return {place: float(typed.value) for place, typed in bound.typed.items() if place.key in keys}


def with_values(method: Method, sheet: Sheet, values: Mapping[Place, float]) -> Sheet:
    """``sheet`` with other readings; SheetError where an instrument could not show one. What stays keeps its text."""
    bound = bind(method, sheet)
    decimals, before = {one.key: bound.instruments[one.role].decimals for one in bound.readings}, true_values(bound)
    given = [
        replace(one, text=plain(values[one.place], decimals[one.key] + _FINE))
        if one.place in values and values[one.place] != before[one.place]
        else one
        for one in sheet.given
    ]
    changed = replace(sheet, given=tuple(given))
    bind(method, changed)
    return changed


def wanted_of(method: Method, sheet: Sheet, accepted: Mapping[str, str]) -> Wanted:
    """What each trial must tell."""
    bound = bind(method, sheet)
    computed = compute(bound)
    for result, telling in _tellers(bound, accepted):
        now = computed.column(result.key, None)
        text = accepted.get(result.key, "")
        if not (text or result.scope == "summary"):
            continue
        declared = next(one.unit for one in method.quantities if one.key == result.key)  # whatever the class's is
        true = unit(declared).to_si(float(read_in(text, declared).value)) if text else None
        wanted = {}
        for trial, columns in computed.trials.items():
            if telling not in columns:
                continue
            here = _number(columns[telling])
            if result.scope == "trial":
                wanted[trial] = (telling, here if true is None else true)
            elif now is not None and _number(now):
                wanted[trial] = (telling, _same(computed, telling) * _ratio(true, _number(now)))
        if wanted:
            return wanted
    return {}


def _tellers(bound: Bound, accepted: Mapping[str, str]) -> list[tuple[Quantity, str]]:
    """Results with the quantity of each trial that tells them; those first that are accepted to be something."""
    results = sorted((one for one in bound.quantities if one.result), key=lambda one: not accepted.get(one.key))
    return [(one, telling) for one in results if (telling := _of_each_trial(bound, one))]


def beside_the_trials(bound: Bound, accepted: Mapping[str, str]) -> str:
    """The result that is not the mean of what its trials tell, but worked from it and from readings of the bench: a
    concentration by the mean titre and the volume of the sample. Empty for none.
    """
    result, telling = next(iter(_tellers(bound, accepted)), (None, ""))
    agrees = result is not None and result.scope == "summary" and telling == bound.method.trials.agree
    return result.key if result is not None and agrees and _mean_of(result) != telling else ""


def _same(computed: Computed, telling: str) -> float:
    """What all trials that count agree on."""
    return float(np.mean([_number(computed.trials[n][telling]) for n in computed.counted]))


def _ratio(true: float | None, now: float) -> float:
    return 1.0 if true is None else true / now


def _of_each_trial(bound: Bound, result: Quantity) -> str:
    """The quantity of each trial behind ``result``: itself, what it is the mean of, or what must agree."""
    if result.scope == "trial":
        return result.key
    return _mean_of(result) or bound.method.trials.agree


def _mean_of(result: Quantity) -> str:
    match parse_formula(result.formula):
        case Call("mean", (Name(key),)):
            return key
    return ""


def answered(method: Method, sheet: Sheet, wanted: Wanted) -> Sheet:
    """``sheet`` with the responses of each trial moved until its quantity has the value ``wanted``. Responses that do
    not lead there, or would be off the scale, stay.
    """
    bound = bind(method, sheet)
    return _on_the_scale(method, sheet, responses_to(bound, true_values(bound), wanted))


def responses_to(bound: Bound, values: Values, wanted: Wanted) -> dict[int, Values]:
    """The responses of each trial to what the other ``values`` are, for which its quantity has the value ``wanted``."""
    keys = {one.key for one in bound.readings if one.response and one.scope == "trial"}
    full = _full_portions(bound, values)
    places = {n: [at for at in values if at.key in keys and at.trial == n and (n, at.row) not in full] for n in wanted}
    beside = {one.key: one.beside for one in bound.readings if isinstance(one, Series) and one.response}
    ways: tuple[Way, ...] = (_shifted, _stretched, partial(_along, beside))
    return next((found for way in ways if (found := _sought(bound, values, places, wanted, way))), {})


def _full_portions(bound: Bound, values: Values) -> set[tuple[int | None, int | None]]:
    """Rows of portions that filled their vessel: what comes more or less shows in the last one."""
    tools = {one.key: bound.instruments[one.role] for one in bound.readings}
    return {(at.trial, at.row) for at, x in values.items() if at.row and x == float(tools[at.key].high)}


def _shifted(values: Values, places: Sequence[Place], by: float) -> Values:
    """All of them more by the same."""
    return {place: values[place] + by for place in places}


def _stretched(values: Values, places: Sequence[Place], by: float) -> Values:
    """Each series further from its first by a share."""
    firsts = {place.key: values[place] for place in sorted(places, key=lambda one: -(one.row or 0))}
    return {place: firsts[place.key] + (values[place] - firsts[place.key]) * (1 + by) for place in places}


def _along(beside: Mapping[str, str], values: Values, places: Sequence[Place], by: float) -> Values:
    """Each curve further from its beginning by a share, along the series that it stands beside."""
    along = [at for one in places if (at := Place(beside.get(one.key, ""), one.trial, one.row)) in values]
    return _stretched(values, along, by)


def _sought(
    bound: Bound, values: Values, places: Mapping[int, Sequence[Place]], wanted: Wanted,
    way: Way,
) -> dict[int, Values]:  # fmt: skip
    """The moved responses by trial, by the secant method, all trials at once: of those that lead where they should."""

    def off(by: Mapping[int, float]) -> dict[int, float]:
        moved = {place: x for n in wanted for place, x in way(values, places[n], by[n]).items()}
        trials = compute(retyped(bound, {**values, **moved})).trials
        return {n: _number(trials[n][key]) - true for n, (key, true) in wanted.items() if key in trials.get(n, {})}

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
    return {n: way(values, places[n], last[n]) for n in error if abs(error[n]) <= _NEAR * abs(wanted[n][1])}


def retyped(bound: Bound, values: Values) -> Bound:
    """``bound`` with other numbers on it, whatever an instrument could show."""
    typed = {place: replace(bound.typed[place], value=Decimal(repr(x))) for place, x in values.items()}
    return replace(bound, typed={**bound.typed, **typed})


def _on_the_scale(method: Method, sheet: Sheet, found: Mapping[int, Values]) -> Sheet:
    """With what was found, trial by trial, as far as instruments can show it."""
    for moved in found.values():
        try:
            sheet = with_values(method, sheet, {**true_values(bind(method, sheet)), **moved})
        except (ChromataError, ValueError, OverflowError):
            continue
    return sheet


def _number(column: object) -> float:
    return float(np.real(np.asarray(column).flat[0]))
