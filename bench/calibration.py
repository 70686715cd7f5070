"""How often the stated 95 % interval holds the truth, with every declared error drawn anew at each of many benches.

bin/bench calibration     BENCHES=1000 METHODS=gas-eudometer

A bench has true readings with portions of its own (simulation/true_bench.py). Each source of error of its sheet is
drawn from its own distribution, shared ones once: readings are written with their errors, what was taken as known is
really otherwise, an error of judgement shows in what nature answers, or is in the truth where nothing answers. Points
that lie about a line, and deliveries, are put on it and scattered anew, as far as those of the worked example.

Two shares are told: of value ± U, and of the interval of random draws that the report states beside it. Where a single
rectangular tolerance rules, k = 2 (GUM 6.3.3) holds nearly always, and the draws are the sharper statement.
"""

import os
import sys
from collections.abc import Callable, Mapping, Sequence
from dataclasses import replace
from functools import partial
from multiprocessing import Pool
from time import perf_counter

import numpy as np

from chromata_core.curves.calibration import scatter_about
from chromata_core.declaration.places import Place
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
from chromata_core.simulation.responses import Values, responses_to, retyped, true_values, with_values
from chromata_core.simulation.true_bench import true_bench
from chromata_core.telling.drawn_results import draw_results
from chromata_core.telling.results import results_of
from chromata_core.uncertainty.columns import value_of
from chromata_core.uncertainty.draws import standard_draws
from chromata_core.uncertainty.source import Source

BENCHES, DRAWS = int(os.environ.get("BENCHES", "1000")), 1000


class Errors:
    """The errors of one bench: a draw for each source, the same one wherever it is felt."""

    def __init__(self, seed: int) -> None:
        self.random, self.drawn = np.random.default_rng(seed), dict[str, float]()

    def of(self, source: Source) -> float:
        """In standard uncertainties."""
        if source.id not in self.drawn:
            self.drawn[source.id] = float(standard_draws(source, self.random, 1)[0])
        return self.drawn[source.id]


def one_bench(declared: Method, sheet: Sheet, seed: int) -> dict[tuple[str, int | None], tuple[bool, bool]]:
    """Whether each result held the truth: by its U, and by its random draws."""
    errors = Errors(seed)
    straight, noise = scattered(bind(declared, sheet), errors.random)
    bound = bind(declared, with_values(declared, sheet, straight))
    inputs = inputs_of(bound, {})
    shifts = {key: sum(errors.of(s) * s.u * effect for s, effect in source.sources) for key, source in inputs.items()}
    scale = {reading.key: unit(reading.unit).factor for reading in bound.readings}
    off = {at: shifts.get(at, 0.0) / scale[at.key] for at in true_values(bound)}
    # filled to its only mark, or to its last, a vessel says its volume whatever it holds: there the truth differs
    last = {reading.key: float(bound.instruments[reading.role].high) for reading in bound.readings}
    marked = {at for at, x in true_values(bound).items() if x == last[at.key]}
    read = {at: noise.get(at, float)(x) + off[at] for at, x in true_values(bound).items() if at not in marked}
    really_there = {at: x - off[at] for at, x in true_values(bound).items() if at in marked}
    judged_there, formulas = judged_otherwise(bound, read, errors)
    truth = compute(retyped(replace(bound, options=really(bound, shifts)), really_there), formulas)
    written = with_values(declared, sheet, on_the_scale(bound, judged_there))
    at = context_of(declared, written)
    ends = {
        (draw_result.key, draw_result.trial): (draw_result.low, draw_result.high)
        for draw_result in draw_results(at, DRAWS)
    }
    values = {}
    for result in results_of(at, {}):
        column, place = truth.column(result.key, result.trial), (result.key, result.trial)
        if column is not None and result.expanded:
            symbol = next(q.unit for q in bound.quantities if q.key == result.key)
            true = unit(symbol).from_si(value_of(column))
            values[place] = (abs(result.value - true) <= result.expanded, ends[place][0] <= true <= ends[place][1])
    return values


Noise = dict[Place, Callable[[float], float]]
Move = Callable[[float, float], float]


def scattered(bound: Bound, random: np.random.Generator) -> tuple[Values, Noise]:
    """True readings on their lines, and what scatters about them, as far as the worked example does beyond its own
    errors.
    """
    values, told = true_values(bound), LINES.get(bound.method.slug)
    if bound.method.slug == "volumetric-calibration":
        return deliveries(values, random)
    if told is None:
        return values, {}
    standards, readings, x, y, moved = told
    known = compute(bound)
    if standards:
        places = sorted((at for at in values if at.key == readings), key=lambda at: at.row or 0)
        points = [[at] for at in places]
        columns = [known.bench[key][: len(places)] for key in (x, y)]
    else:
        trials = sorted(known.trials)
        points = [[at for at in values if at.key == readings and at.trial == n] for n in trials]
        columns = [np.stack(np.broadcast_arrays(*(known.trials[n][key] for n in trials))) for key in (x, y)]
    across, up = (column.real[:, 0] for column in columns)
    off = up - np.polyval(np.polyfit(across, up, 1), across)
    s, noise = float(scatter_about(*columns).flat[0]), Noise()
    runs = apart(values, points, moved)
    for places, far in zip(points, off, strict=True):
        middle = float(np.mean([values[at] for at in places]))
        for at in places:
            values[at] = moved(middle, -float(far))
            noise[at] = partial(shifted, moved, float(random.normal(0, runs or s)))
    for at in values if standards else ():
        if at.key == readings.replace("_std", "_x"):
            noise[at] = partial(shifted, moved, float(random.normal(0, s)))
    return values, noise


def apart(values: Values, points: Sequence[Sequence[Place]], moved: Move) -> float:
    """How far runs of one point lie apart, of all points together, as the line has it; 0 where each was made once."""
    off = [
        AWAY[moved](values[at], float(np.mean([values[bench_run] for bench_run in run])))
        for run in points
        for at in run
    ]
    return float(np.sqrt(np.dot(off, off) / max(len(off) - len(points), 1))) if len(off) > len(points) else 0.0


def deliveries(values: Values, random: np.random.Generator) -> tuple[Values, Noise]:
    """Deliveries drawn anew, as far apart as they were and about the same mean."""
    noise = Noise()
    for trial in {at.trial for at in values if at.key == "m_d"}:
        places = [at for at in values if at.key == "m_d" and at.trial == trial]
        masses = [values[at] for at in places]
        for at in places:
            anew = float(random.normal(np.mean(masses), np.std(masses, ddof=1)))
            noise[at] = partial(shifted, replaced, anew)
    return values, noise


def shifted(moved: Move, by: float, value: float) -> float:
    return moved(value, by)


def plainly(value: float, by: float) -> float:
    return value + by


def replaced(value: float, by: float) -> float:
    return by


def transmitted(value: float, by: float) -> float:
    return value * 10**-by


def slower(value: float, by: float) -> float:
    return value * float(np.exp(-by))


AWAY: Mapping[Move, Move] = {
    plainly: lambda value, middle: value - middle,
    transmitted: lambda value, middle: -float(np.log10(value / middle)),
    slower: lambda value, middle: -float(np.log(value / middle)),
}
SCATTER_OF_S = "u_s"  # few deliveries: like what has degrees of freedom of its own, it is drawn with the points
# By method: whether its points are standards, the readings behind them, the line's two quantities, how a point moves.
LINES = {
    "beer-lambert": (True, "A_std", "c_std", "A_s", plainly),
    "metal-in-alloy": (True, "A_std", "c_std", "A_s", plainly),
    "coulometry-iodine": (True, "A_std", "c_std", "A_s", plainly),
    "solubility-product": (True, "T_std", "c_std", "A_s", transmitted),
    "nernst": (False, "E", "x", "y", plainly),
    "rate-concentration": (False, "t", "x", "y", transmitted),
    "rate-temperature": (False, "t", "x", "y", slower),
}


def on_the_scale(bound: Bound, values: Values) -> Values:
    """Nothing is read below a first mark or past a last one."""
    tools = {reading.key: bound.instruments[reading.role] for reading in bound.readings}
    ends = {at: (float(tools[at.key].low), float(tools[at.key].high)) for at in values}
    return {at: min(max(x, ends[at][0]), ends[at][1]) for at, x in values.items()}


def really(bound: Bound, shifts: Mapping[object, float]) -> dict[str, str]:
    """What was taken as known, as it really is."""
    options = dict(bound.options)
    for option in bound.method.all_options:
        if isinstance(option.key, str) and shifts.get(option.key) and f"{option.key}.limit" in options:
            factor = unit(getattr(option, "unit", "")).factor
            options[option.key] = repr(float(options[option.key]) + shifts[option.key] / factor)
    return options


def judged_otherwise(bound: Bound, values: Values, errors: Errors) -> tuple[Values, dict[str, str]]:
    """``values`` with errors of judgement in what nature answers, trial by trial; and for quantities that nothing
    answers to, their formulas with the error in them.
    """
    computed, formulas = compute(retyped(bound, values)), dict[str, str]()
    places = {None: computed.bench, **computed.trials}
    for quantity in (quantity for quantity in bound.quantities if not quantity.per):
        for error in (
            judgement
            for judgement in judgements(bound, quantity)
            if not (judgement.freedom or judgement.limit == SCATTER_OF_S)
        ):
            off = {
                trial: errors.of(Source(error_id(quantity, error, trial), error.label, 1.0, error.distribution))
                * judged(bound, error, columns)
                * (value_of(columns[quantity.key]) if error.relative else 1.0)
                for trial, columns in places.items()
                if quantity.key in columns and (trial is None) == (quantity.scope != "trial")
            }
            here = {n: (quantity.key, value_of(places[n][quantity.key]) + e) for n, e in off.items() if e}
            moved = responses_to(bound, {**true_values(bound), **values}, here) if None not in here else {}
            for value in moved.values():
                values = {**values, **value}
            if here and not moved:
                size = next(iter(off.values()))
                formulas[quantity.key] = f"({quantity.formula}) {'-' if size < 0 else '+'} {abs(size):.17f}"
    return values, formulas


def of_method(slug: str) -> str:
    begun, held, total = perf_counter(), dict[tuple[str, int | None], np.ndarray](), 0
    refused, example = 0, method(slug).example
    for seed in range(BENCHES):
        try:
            true = true_bench(method(slug), Sheet(example.options, example.instruments), {}, seed, seed)
            values = one_bench(method(slug), true, seed)
        except ChromataError:  # an error took a reading off its scale
            refused += 1
            continue
        total += 1
        for key, good in values.items():
            held[key] = held.get(key, np.zeros(2)) + good
    shares = [
        f"{key}{'' if n is None else f' {n}'} {100 * by_u / total:.1f} ({100 * by_draws / total:.1f})"
        for (key, n), (by_u, by_draws) in held.items()
    ]
    left = f" ({refused} refused)" if refused else ""
    return f"{slug:26s} {total:5d} benches{left}: {', '.join(shares)}    {perf_counter() - begun:.0f} s"


if __name__ == "__main__":
    print("held the truth: % by value ± U (and % by the interval of random draws)")
    wanted = os.environ.get("METHODS", "").split() or list(methods())
    with Pool() as pool:
        for line in pool.imap(of_method, wanted):
            print(line, flush=True)
    sys.exit(0)
