"""Inputs as complex columns: one column for each source, displaced by a tiny imaginary step.

The imaginary part of whatever is computed from them is then the exact derivative along each source, times its
standard uncertainty (complex-step derivative; W. Squire and G. Trapp, SIAM Review 40 (1998) 110). All correlations
are in it, because a shared source is one column.
"""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from math import sqrt
from typing import Protocol

import numpy as np

from chromata_core.quantity.column import Column
from chromata_core.uncertainty.source import Input, Source
from chromata_core.uncertainty.spread import Spread, spread_of

STEP = 1e-100


class Columns(Protocol):
    """Inputs by key as columns, and the two things that happen to columns besides arithmetic."""

    @property
    def index(self) -> Mapping[str, int]:
        """The place of each source by its id."""
        ...

    @property
    def by_key(self) -> Mapping[object, Column]:
        """Each input's column."""
        ...

    def moved(self, column: Column, source: str, amount: float, relative: bool = False) -> Column:
        """``column`` with an error along ``source`` of standard size ``amount``, or that fraction of the column."""
        ...

    def mean(self, trials: Column, spread: str) -> Column:
        """The mean over the first axis of ``trials``; its random part goes along the source ``spread``."""
        ...

    def defined(self, column: Column) -> bool:
        """Whether ``column`` holds a value; not after a division by zero."""
        ...


@dataclass(frozen=True, slots=True)
class StepColumns:
    """The sources in column order, and each input's column by key."""

    sources: tuple[Source, ...]
    index: Mapping[str, int]
    by_key: Mapping[object, Column]

    def moved(self, column: Column, source: str, amount: float, relative: bool = False) -> Column:
        """A further imaginary step along ``source``."""
        changed = column.astype(complex)
        changed[self.index[source]] += 1j * STEP * amount * (column.real.flat[0] if relative else 1.0)
        return changed

    def mean(self, trials: Column, spread: str) -> Column:
        """The mean with its members' errors, and what their spread shows beyond them."""
        full = trials + np.zeros(max(len(self.sources), 1), dtype=complex)
        mean: Column = full.mean(axis=0)
        mean.imag[self.index[spread]] += self.spread(trials).excess * STEP
        return mean

    def spread(self, trials: Column) -> Spread:
        """What the spread over the first axis of ``trials`` shows beyond its members' own errors."""
        full = trials + np.zeros(max(len(self.sources), 1), dtype=complex)
        return spread_of(full.real[:, 0], contributions_of(full))

    def defined(self, column: Column) -> bool:
        """Divided by zero that was displaced, a column is finite still, but no longer a value and a tiny step."""
        return bool(np.isfinite(column).all()) and float(np.abs(column.imag).max()) < sqrt(STEP)


def ordered(inputs: Iterable[Input], extra: Iterable[Source] = ()) -> tuple[Source, ...]:
    """Every source once; ``extra`` are those that enter later (judgement, spread of trials)."""
    sources: dict[str, Source] = {}
    for item in inputs:
        for source, _ in item.sources:
            sources.setdefault(source.id, source)
    for source in extra:
        sources.setdefault(source.id, source)
    return tuple(sources.values())


def columns_of(inputs: Mapping[object, Input], extra: Iterable[Source] = ()) -> StepColumns:
    """Complex-step columns for ``inputs``."""
    sources = ordered(inputs.values(), extra)
    index = {source.id: position for position, source in enumerate(sources)}
    by_key = {key: _column(item, index) for key, item in inputs.items()}
    return StepColumns(sources, index, by_key)


def _column(item: Input, index: Mapping[str, int]) -> Column:
    column = np.full(max(len(index), 1), item.value, dtype=complex)
    for source, effect in item.sources:
        column[index[source.id]] += 1j * STEP * source.u * effect
    return column


def value_of(column: Column) -> float:
    """The value that a complex-step column carries; what the step itself leaves of a logarithm of one is nothing."""
    value = float(column.real[0])
    return value if abs(value) > STEP else 0.0


def contributions_of(column: Column) -> Column:
    """Signed standard uncertainty of a computed column along each source."""
    return column.imag / STEP
