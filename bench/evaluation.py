"""How long one evaluation takes, beside two libraries doing the same sum in the same run.

    bin/bench evaluation        prints a table: median of each, and the ratios

The sheet is a titration of three accurate trials after a rough one: 16 sources of error, all correlations, effective
degrees of freedom, budgets of four results, findings, steps. The peers only do the sum: mean titre times titrant over
sample, with the same elementary errors, its standard uncertainty and its components. At each run another reading of the
rough trial stands on it: what is worked from one sheet is remembered, as its plan is.
"""

from __future__ import annotations

from collections.abc import Callable, Iterator
from itertools import count
from math import sqrt
from statistics import median
from time import perf_counter

import GTC
from uncertainties import ufloat

from chromata_core.engine.numeric_pass import compute
from chromata_core.methods.registry import method
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.telling.evaluate import evaluate
from chromata_core.uncertainty.budget import budget
from chromata_core.uncertainty.columns import contributions_of

TITRES = (("0.24", "21.78"), ("0.88", "22.49"), ("1.06", "22.64"))
RUNS = 300


def sheets() -> Iterator[Sheet]:
    """Three accurate trials and a rough one; no two alike."""
    for run in count():
        yield sheet(f"{20 + run % 500 / 100:.2f}")


def sheet(rough_end: str) -> Sheet:
    """With this end of the rough trial."""
    given = [Given("V_s", "20.00"), Given("V_start", "0.50", 0), Given("V_end", rough_end, 0)]
    for number, (start, end) in enumerate(TITRES, 1):
        given += [Given("V_start", start, number), Given("end_point", "held", number), Given("V_end", end, number)]
    return Sheet({}, {}, tuple(given))


def peer(make: Callable[[float, float], object]) -> object:
    """The same sum with ``make(value, u)`` as an uncertain number."""
    titrant, sample = make(0.1, 0.0005 / 1.96), make(20.00, 0.03 / sqrt(6)) + make(0, 0.01 / sqrt(6))
    calibration, room = make(0, 0.10 / sqrt(6)), make(1, 0.00063 / 1.96)
    titres = [
        make(float(end), 0.02 / sqrt(6)) - make(float(start), 0.02 / sqrt(6)) + make(0, 0.05 / sqrt(6))
        for start, end in TITRES
    ]
    mean = sum(titres) / len(titres)
    return titrant * (mean * room + calibration) / (sample * room)


def timed(run: Callable[[], object]) -> float:
    """Median milliseconds of one run."""
    run()
    times = []
    for _ in range(RUNS):
        begun = perf_counter()
        run()
        times.append(perf_counter() - begun)
    return median(times) * 1000


def main() -> None:
    """Prints the table."""
    chosen, written = method("acid-base-titration"), sheets()

    def sum_only() -> None:
        computed = compute(bind(chosen, next(written)))
        budget(computed.columns.sources, contributions_of(computed.bench["c_s"]))

    def with_components() -> None:
        peer(ufloat).error_components()

    def gtc() -> None:
        value = peer(lambda x, u: GTC.ureal(x, u))
        GTC.rp.budget(value)
        GTC.dof(value)

    rows = {
        "chromata: sheet to all answers (evaluate)": timed(lambda: evaluate(chosen, next(written))),
        "chromata: sheet to one budget": timed(sum_only),
        "uncertainties: the sum with components": timed(with_components),
        "GTC: the sum with budget and dof": timed(gtc),
    }
    for name, milliseconds in rows.items():
        print(f"{name:<44} {milliseconds:8.3f} ms")
    ours = rows["chromata: sheet to one budget"]
    print(f"one budget / uncertainties: {ours / rows['uncertainties: the sum with components']:.2f}")
    print(f"one budget / GTC:           {ours / rows['GTC: the sum with budget and dof']:.2f}")


if __name__ == "__main__":
    main()
