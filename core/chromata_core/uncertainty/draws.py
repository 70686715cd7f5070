"""Inputs as random columns: each source drawn from its own distribution (JCGM 101:2008, 6.4).

What a spread shows beyond the known errors is drawn as a normal of its standard uncertainty: 6.4.9 takes a scaled t,
which for two or three trials has no standard deviation at all. What few trials leave open is told by k in the stated U;
the draws ask whether the model is linear and the distribution a bell. See docs/decisions/0007-draws-for-linearity.md.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from math import sqrt

import numpy as np

from chromata_core.quantity.column import Column
from chromata_core.uncertainty.source import Input, Source


@dataclass(frozen=True, slots=True)
class DrawnColumns:
    """Draws of every source (standard size 1), and each input's column of draws. ``amounts`` are the sizes of errors
    that the linear pass found: a scatter judged from drawn points would count their errors twice.
    """

    index: Mapping[str, int]
    deviations: Column
    by_key: Mapping[object, Column]
    spreads: Mapping[str, float]
    amounts: Mapping[str, float]

    def moved(self, column: Column, source: str, amount: float, relative: bool = False) -> Column:
        """``column`` with that source's draws, ``amount`` wide (times the column itself when ``relative``)."""
        shift = self.amounts.get(source, amount) * self.deviations[self.index[source]]
        changed: Column = column * (1 + shift) if relative else column + shift
        return changed

    def mean(self, trials: Column, spread: str) -> Column:
        """The mean with its members' errors, and the draws of what their spread shows beyond them."""
        mean: Column = (trials + np.zeros(self.deviations.shape[1])).mean(axis=0)
        return self.moved(mean, spread, self.spreads.get(spread, 0.0))

    def defined(self, column: Column) -> bool:
        """Draws that divide by zero are left out one by one, later."""
        return bool(np.isfinite(column).any())


def drawn(
    inputs: Mapping[object, Input],
    sources: Sequence[Source],
    spreads: Mapping[str, float],
    amounts: Mapping[str, float],
    random: np.random.Generator,
    size: int,
) -> DrawnColumns:
    """``size`` draws of ``inputs``."""
    index = {source.id: place for place, source in enumerate(sources)}
    deviations = np.empty((len(sources), size))
    for place, source in enumerate(sources):
        deviations[place] = standard_draws(source, random, size)
    return DrawnColumns(
        index, deviations, {key: _column(i, index, deviations) for key, i in inputs.items()}, spreads, amounts
    )


def _column(item: Input, index: Mapping[str, int], deviations: Column) -> Column:
    column = np.full(deviations.shape[1] if item.sources else 1, item.value)
    for source, effect in item.sources:
        column = column + source.u * effect * deviations[index[source.id]]
    return column


def standard_draws(source: Source, random: np.random.Generator, size: int) -> Column:
    """Draws with standard deviation 1 of the source's distribution."""
    match source.distribution:
        case "rectangular" | "resolution":
            return random.uniform(-sqrt(3.0), sqrt(3.0), size)
        case "triangular":
            # the sum of two rectangular halves
            return random.uniform(-sqrt(1.5), sqrt(1.5), size) + random.uniform(-sqrt(1.5), sqrt(1.5), size)
        case _:
            return random.standard_normal(size)
