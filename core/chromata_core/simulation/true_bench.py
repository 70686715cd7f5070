"""What is true at a simulated bench: readings without the errors of instruments, that lead to a truth chosen before.

They start from the method's worked example. What people choose (a portion, where a burette starts) and what the day
brings (air pressure, warmth) differs from bench to bench; what nature answers (a ``response``) is then moved, trial by
trial, until the method's own formulas lead to the truth. So no second set of formulas is kept, and an experiment of an
instructor's own has its truth as well.
"""

from collections.abc import Mapping
from dataclasses import replace

import numpy as np

from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Method, Quantity
from chromata_core.engine.differences import differences
from chromata_core.engine.numeric_pass import Computed, compute
from chromata_core.errors import ChromataError
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Call, Name
from chromata_core.quantity.given import read_in
from chromata_core.quantity.units import unit
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Sheet
from chromata_core.simulation.as_planned import as_planned
from chromata_core.simulation.responses import NEAR, Wanted, answered, number_of, true_values, with_values

_PORTION, _VESSEL, _WARMTH, _AIR = 0.05, 0.04, 0.7, 0.004  # of a mass; of a vessel's; in K; of the air pressure


def true_bench(method: Method, plan: Sheet, accepted: Mapping[str, str], seed: int, day: int = 0) -> Sheet:
    """A sheet of true readings under ``plan``: its results are the ``accepted`` ones (texts by result, in its unit), or
    those of the example. The same for the same seed; benches of one ``day`` share its air.
    """
    bound = bind(method, plan)
    example = as_planned(bound, replace(plan, given=()))
    wanted = wanted_of(method, example, accepted)
    sheet = answered(method, _varied(method, example, seed, day), wanted)
    # a portion that leads off a scale, or to another number of rows, is not taken
    return sheet if _tells(method, sheet, wanted) else answered(method, example, wanted)


def _tells(method: Method, sheet: Sheet, wanted: Wanted) -> bool:
    trials = compute(bind(method, sheet)).trials
    pairs = [(trials[n].get(key), true) for n, (key, true) in wanted.items() if n in trials]
    return all(column is not None and abs(number_of(column) - true) <= NEAR * abs(true) for column, true in pairs)


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
        reading = next(reading for reading in bound.readings if reading.key == place.key)
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


def wanted_of(method: Method, sheet: Sheet, accepted: Mapping[str, str]) -> Wanted:
    """What each trial must tell."""
    bound = bind(method, sheet)
    computed = compute(bound)
    for result, telling in _tellers(bound, accepted):
        now = computed.column(result.key, None)
        text = accepted.get(result.key, "")
        if not (text or result.scope == "summary"):
            continue
        declared = next(
            quantity.unit for quantity in method.quantities if quantity.key == result.key
        )  # whatever the class's is
        true = unit(declared).to_si(float(read_in(text, declared).value)) if text else None
        wanted = {}
        for trial, columns in computed.trials.items():
            if telling not in columns:
                continue
            here = number_of(columns[telling])
            if result.scope == "trial":
                wanted[trial] = (telling, here if true is None else true)
            elif now is not None and number_of(now):
                wanted[trial] = (telling, _same(computed, telling) * _ratio(true, number_of(now)))
        if wanted:
            return wanted
    return {}


def _tellers(bound: Bound, accepted: Mapping[str, str]) -> list[tuple[Quantity, str]]:
    """Results with the quantity of each trial that tells them; those first that are accepted to be something."""
    results = sorted(
        (quantity for quantity in bound.quantities if quantity.result),
        key=lambda quantity: not accepted.get(quantity.key),
    )
    return [(result, telling) for result in results if (telling := _of_each_trial(bound, result))]


def beside_the_trials(bound: Bound, accepted: Mapping[str, str]) -> str:
    """The result that is not the mean of what its trials tell, but worked from it and from readings of the bench: a
    concentration by the mean titre and the volume of the sample. Empty for none.
    """
    result, telling = next(iter(_tellers(bound, accepted)), (None, ""))
    agrees = result is not None and result.scope == "summary" and telling == bound.method.trials.agree
    return result.key if result is not None and agrees and _mean_of(result) != telling else ""


def _same(computed: Computed, telling: str) -> float:
    """What all trials that count agree on."""
    return float(np.mean([number_of(computed.trials[n][telling]) for n in computed.counted]))


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
