"""What the trials of a whole class give together, as one sheet would: a line through all benches' points, and what
follows from it, with its uncertainty.
"""

from collections.abc import Mapping
from dataclasses import dataclass, replace

from chromata_core.declaration.vocabulary import Quantity
from chromata_core.engine.context import Context
from chromata_core.engine.handing import as_input
from chromata_core.engine.numeric_pass import ColumnAlgebra, estimated, reserved
from chromata_core.engine.walk import walk_summary
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import names
from chromata_core.quantity.units import unit
from chromata_core.uncertainty.budget import Budget, budget
from chromata_core.uncertainty.columns import columns_of, contributions_of, value_of
from chromata_core.uncertainty.source import Input


@dataclass(frozen=True, slots=True)
class PooledResult:
    """A result of all trials together: its value in the quantity's unit, its budget in SI, the factor between."""

    quantity: Quantity
    value: float
    made: Budget
    factor: float


def pooled_results(benches: Mapping[str, Context]) -> list[PooledResult]:
    """The results of the whole class by benches' names; each piece of equipment of one kind counts as one for all.

    What is the same at each bench (constants, choices) is taken from the first.
    """
    first = next(iter(benches.values()))
    summary = [q for q in first.bound.quantities if q.scope == "summary"]
    wanted = {name for quantity in summary for name in names(parse_formula(quantity.formula))}
    common = {
        key: as_input(first, column, "class", same_pieces=True)
        for key, column in first.computed.bench.items()
        if key in wanted and column.ndim == 1 and key not in {q.key for q in summary}
    }
    trials: dict[tuple[str, int], dict[str, Input]] = {
        (name, n): {
            key: as_input(at, column, name, same_pieces=True)
            for key, column in at.computed.trials[n].items()
            if key in wanted and column.ndim == 1 and key not in common
        }
        for name, at in benches.items()
        for n in at.computed.counted
    }
    if not trials:
        return []
    every: dict[object, Input] = {("", 0, key): input_ for key, input_ in common.items()}
    every |= {(*place, key): input_ for place, of_trial in trials.items() for key, input_ in of_trial.items()}
    columns = columns_of(every, reserved(first.bound))
    algebra = ColumnAlgebra(first.bound, columns, {})
    bench = {key: columns.by_key[("", 0, key)] for key in common}
    members = [{key: columns.by_key[(*place, key)] for key in of_trial} for place, of_trial in trials.items()]
    worked = walk_summary(first.bound, algebra, bench, members)
    sources = [replace(source, dof=estimated(source.estimate, worked, {}) or source.dof) for source in columns.sources]
    return [
        PooledResult(
            quantity,
            unit(quantity.unit).from_si(value_of(worked[quantity.key])),
            budget(sources, contributions_of(worked[quantity.key])),
            1.0 / unit(quantity.unit).factor,
        )
        for quantity in summary
        if quantity.result and quantity.key in worked
    ]
