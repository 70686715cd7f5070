"""Inputs as complex columns: one column for each source, displaced by a tiny imaginary step.

The imaginary part of whatever is computed from them is then the exact derivative along each source, times its
standard uncertainty (complex-step derivative; W. Squire and G. Trapp, SIAM Review 40 (1998) 110). All correlations
are in it, because a shared source is one column.
"""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass

import numpy as np

from chromata_core.formula.functions import Column
from chromata_core.uncertainty.source import Input, Source

STEP = 1e-100


@dataclass(frozen=True, slots=True)
class Columns:
    """The sources in column order, and each input's column by key."""

    sources: tuple[Source, ...]
    own: Column
    by_key: Mapping[object, Column]


def columns_of(inputs: Mapping[object, Input], extra: Iterable[Source] = ()) -> Columns:
    """Columns for ``inputs``; ``extra`` reserves columns for sources that appear later (spread of trials)."""
    sources: dict[str, Source] = {}
    for item in inputs.values():
        for source, _ in item.sources:
            sources.setdefault(source.id, source)
    for source in extra:
        sources.setdefault(source.id, source)
    ordered = tuple(sources.values())
    index = {source.id: position for position, source in enumerate(ordered)}
    by_key = {key: _column(item, index) for key, item in inputs.items()}
    return Columns(ordered, np.array([source.own for source in ordered], dtype=bool), by_key)


def _column(item: Input, index: Mapping[str, int]) -> Column:
    column = np.full(max(len(index), 1), item.value, dtype=complex)
    for source, effect in item.sources:
        column[index[source.id]] += 1j * STEP * source.u * effect
    return column


def value_of(column: Column) -> float:
    """The value that a complex-step column carries."""
    return float(column.real[0])


def contributions_of(column: Column) -> Column:
    """Signed standard uncertainty of a computed column along each source."""
    return column.imag / STEP
