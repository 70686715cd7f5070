"""The engine's inner loop and its random draws beside two libraries and bare NumPy, in one run.

bin/bench engine        eight inputs of a titration: value, u, degrees of freedom and every component
"""

import resource
from collections.abc import Callable
from statistics import median
from time import perf_counter

import GTC
import numpy as np
from uncertainties import ufloat

from chromata_core.formula.compute import numeric
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.propagate import Propagation
from chromata_core.uncertainty.monte_carlo import monte_carlo
from chromata_core.uncertainty.source import Source

FORMULA = "1000 * rep * m * P / (M * (V_2 - V_1) * f_T) * d"
INPUTS = {
    "rep": (1.0, 0.0005), "m": (0.3888, 0.00013), "P": (1.0, 0.00029), "M": (204.2212, 0.0038), "V_2": (18.74, 0.009),
    "V_1": (0.10, 0.009), "f_T": (1.0, 0.0003), "d": (1.0, 0.0002),
}  # fmt: skip
DRAWS = 1_000_000


def timed(run: Callable[[], object], times: int) -> float:
    """Median milliseconds."""
    run()
    seconds = []
    for _ in range(times):
        begun = perf_counter()
        run()
        seconds.append(perf_counter() - begun)
    return median(seconds) * 1000


def budgets() -> None:
    """One evaluation with its budget."""
    ours = Propagation(FORMULA, {name: Source(name, name, u, "normal") for name, (_, u) in INPUTS.items()})
    values = {name: value for name, (value, _) in INPUTS.items()}
    code = compile(FORMULA, "formula", "eval")

    def with_uncertainties() -> object:
        value = eval(code, {}, {name: ufloat(*pair) for name, pair in INPUTS.items()})
        return value.s, value.error_components()

    def with_gtc() -> object:
        value = eval(code, {}, {name: GTC.ureal(*pair, label=name) for name, pair in INPUTS.items()})
        return GTC.dof(value), GTC.rp.budget(value)

    rows = {
        "chromata": timed(lambda: ours.at(values), 2000),
        "uncertainties": timed(with_uncertainties, 2000),
        "GTC": timed(with_gtc, 1000),
    }
    for name, milliseconds in rows.items():
        print(f"{name:<16} {milliseconds:7.4f} ms   {milliseconds / rows['chromata']:5.2f} × chromata")


def draws() -> None:
    """A million draws of the same model."""
    work = numeric(parse_formula(FORMULA))

    def block(random: np.random.Generator, size: int) -> np.ndarray:
        return work({name: random.normal(value, u, size) for name, (value, u) in INPUTS.items()})

    def bare() -> object:
        random = np.random.default_rng(1)
        rep, m, p, mass, v2, v1, ft, d = (random.normal(value, u, DRAWS) for value, u in INPUTS.values())
        y = 1000 * rep * m * p / (mass * (v2 - v1) * ft) * d
        ordered = np.sort(y)
        held = int(0.95 * DRAWS)
        place = int(np.argmin(ordered[held:] - ordered[: DRAWS - held]))
        return y.mean(), y.std(ddof=1), ordered[place], ordered[place + held]

    before = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss
    ours = timed(lambda: monte_carlo(block, DRAWS), 5)
    grew = (resource.getrusage(resource.RUSAGE_SELF).ru_maxrss - before) / 1024
    plain = timed(bare, 5)
    print(f"a million draws: {ours:.0f} ms, bare NumPy {plain:.0f} ms, ratio {ours / plain:.2f}, {grew:.0f} MB more")


if __name__ == "__main__":
    budgets()
    draws()
