"""A sheet's results by random draws beside the linear ones, with a word where the two part."""

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np

from chromata_core.formula.functions import Column
from chromata_core.method.compute import SPREAD, inputs_of, mean_of, summarise, trial_by_trial
from chromata_core.method.context import Context
from chromata_core.method.evaluate import stated
from chromata_core.method.vocabulary import Quantity
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.units import unit
from chromata_core.uncertainty.columns import contributions_of
from chromata_core.uncertainty.draws import Spread, drawn
from chromata_core.uncertainty.monte_carlo import Drawn, monte_carlo, tolerance
from chromata_core.uncertainty.source import DIVISORS


@dataclass(frozen=True, slots=True)
class DrawnResult:
    """A result by Monte Carlo, in its unit. ``agrees``: both ends lie at value ± 1.96 u, to one figure of u."""

    key: str
    label: str
    unit: str
    draws: int
    mean: float
    u: float
    low: float
    high: float
    agrees: bool
    sentence: str


def draw_results(at: Context, draws: int | None = None, seed: int = 1) -> list[DrawnResult]:
    """Every result of the sheet by ``draws`` random draws (None: as many as it takes), the same for the same seed."""
    wanted = [q for q in at.bound.quantities if q.result and q.key in at.computed.bench]
    return [_of(at, quantity, monte_carlo(_Drawer(at, quantity), draws, seed)) for quantity in wanted]


class _Drawer:
    """Draws one result of a sheet: a whole numeric pass on a block of random inputs."""

    def __init__(self, at: Context, quantity: Quantity) -> None:
        self.bound, self.linear, self.quantity = at.bound, at.computed, quantity
        self.inputs = inputs_of(at.bound, {})
        self.spreads = _spreads(at)

    def __call__(self, random: np.random.Generator, size: int) -> Column:
        columns = drawn(self.inputs, self.linear.columns.sources, self.spreads, random, size)
        bench, trials = trial_by_trial(self.bound, columns, {})
        summarise(self.bound, bench, [trials[n] for n in self.linear.counted], columns, {})
        scale = unit(self.quantity.unit)
        values: Column = (bench[self.quantity.key] - scale.offset) / scale.factor + np.zeros(size)
        return values


def _spreads(at: Context) -> Mapping[str, Spread]:
    """Means whose spread replaced their own errors in the linear pass: the draws follow the same decision."""
    found: dict[str, Spread] = {}
    sources = at.computed.columns.sources
    for quantity in at.bound.quantities:
        averaged = mean_of(quantity)
        if not averaged or quantity.key not in at.computed.bench:
            continue
        spread = f"{SPREAD}{quantity.key}"
        size = contributions_of(at.computed.bench[quantity.key])[at.computed.columns.index[spread]]
        if size > 0:
            trials = [at.computed.trials[n][averaged] for n in at.computed.counted]
            mean = np.mean([contributions_of(column + np.zeros(len(sources))) for column in trials], axis=0)
            own = {s.id: float(c) for s, c in zip(sources, mean, strict=True) if s.own and c}
            found[spread] = Spread(float(size), own)
    return found


def _of(at: Context, quantity: Quantity, found: Drawn) -> DrawnResult:
    value, made, factor = stated(at, quantity)
    u = made.u * factor
    low, high, allowed = value - DIVISORS["normal95"] * u, value + DIVISORS["normal95"] * u, tolerance(u, figures=1)
    agrees = max(abs(found.low - low), abs(found.high - high)) <= allowed
    interval = f"{with_figures(found.low, 4)} to {with_figures(found.high, 4)} {quantity.unit}".rstrip()
    draws = f"{found.draws:,}".replace(",", "\u202f")
    said = f"{draws} random draws: 95 % lie from {interval}."
    reason = "The linear budget holds." if agrees else _reason(found, value, u)
    return DrawnResult(
        quantity.key, quantity.label, quantity.unit, found.draws, found.mean, found.u, found.low, found.high, agrees,
        f"{said} {reason}",
    )  # fmt: skip


def _reason(found: Drawn, value: float, u: float) -> str:
    """Why the draws part from value ± 1.96 u: wider, lopsided, or only of another shape."""
    if not found.u < 1.1 * u:
        return (
            "That is wider than the linear budget says: the result is not nearly linear in its inputs. Trust the draws."
        )
    if abs((found.high - value) - (value - found.low)) > 0.3 * u:
        return "The interval is lopsided: the result is not nearly linear in its inputs. Trust the draws."
    return "The width agrees; the shape is that of one dominant input and not a bell, so U is a little cautious."
