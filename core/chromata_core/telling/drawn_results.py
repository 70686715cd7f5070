"""A sheet's results by random draws beside the linear ones, with a word where the two part."""

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np

from chromata_core.engine.context import Context, ResultPlace
from chromata_core.engine.inputs import inputs_of
from chromata_core.engine.numeric_pass import (
    ColumnAlgebra,
    judged_amounts,
    mean_of,
    places_of,
    spread_id,
    trial_by_trial,
)
from chromata_core.engine.stated import stated
from chromata_core.engine.walk import walk_summary
from chromata_core.quantity.column import Column
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.units import unit
from chromata_core.telling.results import result_places
from chromata_core.uncertainty.columns import contributions_of
from chromata_core.uncertainty.draws import drawn
from chromata_core.uncertainty.monte_carlo import Drawn, monte_carlo, tolerance
from chromata_core.uncertainty.source import DIVISORS

_WIDER = 2.1  # from here on U is clearly wider than the draws, and they must not seem to contradict it
_FEW = " The stated U is wider still, by k = {:.2f}: so few readings say little of how far they scatter."


@dataclass(frozen=True, slots=True)
class DrawnResult:
    """A result by Monte Carlo, in its unit. ``agrees``: both ends lie at value ± 1.96 u, to one figure of u."""

    key: str
    trial: int | None
    label: str
    unit: str
    draws: int
    mean: float
    u: float
    low: float
    high: float
    agrees: bool
    sentence: str


def draw_results(at: Context, draws: int | None = None, seed: int = 1, most: int | None = None) -> list[DrawnResult]:
    """The sheet's results (the first ``most`` of them) by ``draws`` random draws, the same for the same seed.

    None draws as many as it takes.
    """
    return [_of(at, place, monte_carlo(_Drawer(at, place), draws, seed)) for place in result_places(at)[:most]]


class _Drawer:
    """Draws one result of a sheet: a whole numeric pass on a block of random inputs."""

    def __init__(self, at: Context, place: ResultPlace) -> None:
        self.bound, self.linear, (self.quantity, self.trial) = at.bound, at.computed, place
        self.inputs = inputs_of(at.bound, {})
        self.spreads = _spreads(at)
        self.amounts = judged_amounts(at.bound, at.computed)

    def __call__(self, random: np.random.Generator, size: int) -> Column:
        columns = drawn(self.inputs, self.linear.columns.sources, self.spreads, self.amounts, random, size)
        algebra = ColumnAlgebra(self.bound, columns, {})
        bench, trials = trial_by_trial(self.bound, algebra)
        bench = walk_summary(self.bound, algebra, bench, [trials[n] for n in self.linear.counted])
        scale = unit(self.quantity.unit)
        known = bench if self.trial is None else trials[self.trial]
        values: Column = (known[self.quantity.key] - scale.offset) / scale.factor + np.zeros(size)
        return values


def _spreads(at: Context) -> Mapping[str, float]:
    """By how much a spread goes beyond what is known of its members, as the linear pass found it."""
    spreads: dict[str, float] = {}
    for quantity in (q for q in at.bound.quantities if mean_of(q)):
        for trial in places_of(at.bound, quantity):
            column, spread = at.computed.column(quantity.key, trial), spread_id(quantity, trial)
            if column is not None:
                spreads[spread] = float(contributions_of(column)[at.computed.columns.index[spread]])
    return spreads


def _of(at: Context, place: ResultPlace, drawn: Drawn) -> DrawnResult:
    quantity, trial = place
    value, budget, factor = stated(at, quantity, trial)
    u = budget.u * factor
    low, high, allowed = value - DIVISORS["normal95"] * u, value + DIVISORS["normal95"] * u, tolerance(u, figures=1)
    agrees = max(abs(drawn.low - low), abs(drawn.high - high)) <= allowed
    interval = f"{with_figures(drawn.low, 4)} to {with_figures(drawn.high, 4)} {quantity.unit}".rstrip()
    draws = f"{drawn.draws:,}".replace(",", "\u202f")
    sentence = f"{draws} random draws: 95 % lie from {interval}."
    reason = "The linear budget holds." if agrees else _reason(drawn, value, u)
    few = _FEW.format(budget.k) if budget.k > _WIDER else ""
    return DrawnResult(
        quantity.key, trial, quantity.label, unit=quantity.unit, draws=drawn.draws, mean=drawn.mean,
        u=drawn.u, low=drawn.low, high=drawn.high,
        agrees=agrees, sentence=f"{sentence} {reason}{few}",
    )  # fmt: skip


def _reason(drawn: Drawn, value: float, u: float) -> str:
    """Why the draws part from value ± 1.96 u: wider, lopsided, or only of another shape."""
    if not drawn.u < 1.1 * u:
        return (
            "That is wider than the linear budget says: the result is not nearly linear in its inputs. Trust the draws."
        )
    if abs((drawn.high - value) - (value - drawn.low)) > 0.3 * u:
        return "The interval is lopsided: the result is not nearly linear in its inputs. Trust the draws."
    return "The width agrees; the shape is that of one dominant input and not a bell, so U is a little cautious."
