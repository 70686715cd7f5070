"""A result's largest error by the school of apparatus errors, from the same readings as everything else."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from math import inf, isfinite

import numpy as np

from chromata_core.declaration.option_kinds import ListOption, NumberOption, Option
from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Quantity, Reading
from chromata_core.engine.context import Context
from chromata_core.engine.inputs import begins_delivery
from chromata_core.engine.walk import Algebra, by_row, of_places, walk_bench, walk_summary, walk_trial
from chromata_core.errors import ChromataError
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.worst_case import Bounded, bounded
from chromata_core.instruments.instrument import Instrument
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.units import unit
from chromata_core.uncertainty.columns import value_of

Bounds = Bounded | list[Bounded]
Known = dict[str, Bounds]


def worst_cases(at: Context) -> dict[tuple[str, int | None], str]:
    """“± 0.0041 mol/L (0.47 %)” for each result by key and trial, empty where it cannot be told."""
    algebra: Algebra[Bounds] = _Bounds(at)
    bench = walk_bench(at.bound, algebra)
    places: dict[int | None, Known] = {n: walk_trial(at.bound, algebra, bench, n) for n in at.computed.counted}
    places[None] = walk_summary(at.bound, algebra, bench, [*places.values()])
    return {
        (quantity.key, trial): _text(quantity, known.get(quantity.key))
        for quantity in at.bound.quantities if quantity.result
        for trial, known in places.items() if (quantity.scope == "trial") == (trial is not None)
    }  # fmt: skip


def _text(quantity: Quantity, bounds: Bounds | None) -> str:
    if not isinstance(bounds, Bounded) or not (isfinite(bounds.error) and bounds.error > 0):
        return ""
    size = bounds.error / unit(quantity.unit).factor
    return f"± {with_figures(size, 2)} {quantity.unit}".rstrip() + f" ({with_figures(bounds.relative * 100, 2)} %)"


@dataclass(frozen=True, slots=True)
class _Bounds:
    """The algebra of apparatus errors: of what the numeric pass could work, how far off it could be at most."""

    at: Context

    def constant(self, option: Option) -> Bounds | None:
        """A session value with its ±."""
        column = self.at.computed.bench.get(option.key)
        if column is None:
            return None
        if column.ndim == 2:
            return [Bounded(value_of(row), 0.0) for row in column]
        around = f"{option.key}.limit"
        limit = float(self.at.number(around)) * unit(option.unit).factor if isinstance(option, NumberOption) else 0.0
        return Bounded(value_of(column), limit)

    def planned(self, option: ListOption, trial: int) -> Bounded | None:
        """Chosen, and exact."""
        column = self.at.computed.column(option.key, trial)
        return None if column is None else Bounded(value_of(column), 0.0)

    def reading(self, reading: Reading, trial: int | None) -> Bounds | None:
        """What its instrument allows."""
        zero: Bounds = Bounded(0.0, 0.0)
        return of_places(self.at.bound, reading, trial, lambda place: self._read(reading, place), self.together, zero)

    def _read(self, reading: Reading, place: Place) -> Bounds:
        tool, value = self.at.bound.instruments[reading.role], float(self.at.bound.typed[place].value)
        return Bounded(unit(reading.unit).to_si(tool.corrected(value)), _limit(tool, begins_delivery(reading, place)))

    def together(self, members: Sequence[Bounds]) -> list[Bounded]:
        """A list of them."""
        return [item for item in members if isinstance(item, Bounded)]

    def worked(self, quantity: Quantity, trial: int | None, known: Mapping[str, Bounds]) -> Bounds | None:
        """By the rules for sums, products and functions; row by row where it goes by rows."""
        column = self.at.computed.column(quantity.key, trial)
        if column is None:
            return None
        tree = parse_formula(quantity.formula)
        with np.errstate(all="ignore"):
            try:
                return [bounded(tree, row) for row in by_row(known, quantity)] if quantity.per else bounded(tree, known)
            except (
                ChromataError
            ):  # a curve that hangs on the last bit of a float: nobody can say how far it could be off
                rows = column if column.ndim == 2 else [column]
                bounds = [Bounded(value_of(row), inf) for row in rows]
                return bounds if column.ndim == 2 else bounds[0]


def _limit(tool: Instrument, start: bool) -> float:
    """The largest error of one reading in SI; a start does not carry the calibration a second time."""
    halves = [
        float(term.half_width) / (2 if term.distribution == "resolution" else 1)
        for term in tool.errors
        if term.kind in ("tolerance", "readability") and not term.relative and not (term.on_delivery and start)
    ]
    return sum(halves) * unit(tool.unit).factor
