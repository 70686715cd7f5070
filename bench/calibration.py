"""How often the stated 95 % interval holds the truth, with every declared error drawn anew at each of many benches.

bin/bench calibration     BENCHES=1000 METHODS=gas-eudometer

A bench is a method's worked example: its readings are true, and each source of error of its sheet is drawn from its own
distribution, shared ones once. Readings are written with their errors; what was taken as known is really otherwise than
stated; an error of judgement shows in what nature answers. Results of such a sheet are held against the truth.
"""

import os
import sys
from collections.abc import Mapping
from dataclasses import replace
from multiprocessing import Pool
from time import perf_counter

import numpy as np

from chromata_core.declaration.vocabulary import Method
from chromata_core.engine.context import context_of
from chromata_core.engine.inputs import inputs_of
from chromata_core.engine.judgements import error_id, judged, judgements
from chromata_core.engine.numeric_pass import compute
from chromata_core.errors import ChromataError
from chromata_core.methods.registry import method, methods
from chromata_core.quantity.units import unit
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.simulation.true_bench import Values, responses_to, retyped, true_values, with_values
from chromata_core.telling.results import results_of
from chromata_core.uncertainty.columns import value_of
from chromata_core.uncertainty.draws import standard_draws
from chromata_core.uncertainty.source import Source

BENCHES = int(os.environ.get("BENCHES", "1000"))


class Errors:
    """The errors of one bench: a draw for each source, the same one wherever it is felt."""

    def __init__(self, seed: int) -> None:
        self.random, self.drawn = np.random.default_rng(seed), dict[str, float]()

    def of(self, source: Source) -> float:
        """In standard uncertainties."""
        if source.id not in self.drawn:
            self.drawn[source.id] = float(standard_draws(source, self.random, 1)[0])
        return self.drawn[source.id]


def one_bench(declared: Method, sheet: Sheet, seed: int) -> dict[tuple[str, int | None], bool]:
    """Whether each result held the truth."""
    bound, errors = bind(declared, sheet), Errors(seed)
    inputs = inputs_of(bound, {})
    shifts = {key: sum(errors.of(s) * s.u * effect for s, effect in one.sources) for key, one in inputs.items()}
    scale = {one.key: unit(one.unit).factor for one in bound.readings}
    off = {at: x + shifts.get(at, 0.0) / scale[at.key] for at, x in true_values(bound).items()}
    # a vessel with one mark says its volume whatever it holds: there it is the truth that differs
    marked = {one.key for one in bound.readings if (tool := bound.instruments[one.role]).low == tool.high}
    read = {at: x for at, x in off.items() if at.key not in marked}
    really_there = {at: x for at, x in off.items() if at.key in marked}
    truth = compute(retyped(replace(bound, options=really(bound, shifts)), really_there))
    written = with_values(declared, sheet, {**true_values(bound), **judged_otherwise(bound, read, errors)})
    at = context_of(declared, written)
    found = {}
    for one in results_of(at, {}):
        column = truth.column(one.key, one.trial)
        if column is not None and one.expanded:
            symbol = next(q.unit for q in bound.quantities if q.key == one.key)
            found[one.key, one.trial] = abs(one.value - unit(symbol).from_si(value_of(column))) <= one.expanded
    return found


def really(bound: Bound, shifts: Mapping[object, float]) -> dict[str, str]:
    """What was taken as known, as it really is."""
    options = dict(bound.options)
    for option in bound.method.all_options:
        if isinstance(option.key, str) and shifts.get(option.key) and f"{option.key}.limit" in options:
            factor = unit(getattr(option, "unit", "")).factor
            options[option.key] = repr(float(options[option.key]) + shifts[option.key] / factor)
    return options


def judged_otherwise(bound: Bound, values: Values, errors: Errors) -> Values:
    """``values`` with errors of judgement in what nature answers, trial by trial."""
    trials = compute(retyped(bound, values)).trials
    for quantity in bound.quantities:
        for error in judgements(bound, quantity) if quantity.scope == "trial" and not quantity.per else ():
            wanted = {}
            for trial, columns in trials.items():
                if quantity.key in columns:
                    size = judged(bound, error, columns)
                    source = Source(error_id(quantity, error, trial), error.label, 1.0, error.distribution)
                    here = value_of(columns[quantity.key])
                    off = errors.of(source) * size * (here if error.relative else 1.0)
                    if off:
                        wanted[trial] = (quantity.key, here + off)
            there = {**true_values(bound), **values}
            for moved in responses_to(bound, there, wanted).values() if wanted else ():
                values = {**values, **moved}
    return values


def of_method(slug: str) -> str:
    begun, held, total = perf_counter(), dict[tuple[str, int | None], int](), 0
    refused = 0
    for seed in range(BENCHES):
        try:
            found = one_bench(method(slug), example_sheet(method(slug)), seed)
        except ChromataError:  # an error took a reading off its scale
            refused += 1
            continue
        total += 1
        for key, good in found.items():
            held[key] = held.get(key, 0) + good
    shares = [f"{key}{'' if n is None else f' {n}'} {100 * good / total:.1f} %" for (key, n), good in held.items()]
    left = f" ({refused} refused)" if refused else ""
    return f"{slug:26s} {total:5d} benches{left}: {', '.join(shares)}    {perf_counter() - begun:.0f} s"


if __name__ == "__main__":
    wanted = os.environ.get("METHODS", "").split() or list(methods())
    with Pool() as pool:
        for line in pool.imap(of_method, wanted):
            print(line, flush=True)
    sys.exit(0)
