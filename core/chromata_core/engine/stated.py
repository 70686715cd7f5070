"""A result as it is stated: its value, and its uncertainty with all that makes it."""

import numpy as np

from chromata_core.declaration.vocabulary import Quantity
from chromata_core.engine.context import Context
from chromata_core.quantity.units import unit
from chromata_core.uncertainty.budget import Budget, budget
from chromata_core.uncertainty.columns import contributions_of, value_of


def stated(at: Context, quantity: Quantity, trial: int | None) -> tuple[float, Budget, float]:
    """A result's value (declared unit), its budget (SI), and the factor from SI to the declared unit."""
    column = at.computed.column(quantity.key, trial)
    assert column is not None
    size = max(len(at.computed.columns.sources), 1)
    combined = budget(
        at.computed.columns.sources, contributions_of(column + np.zeros(size))
    )  # a constant is one number
    scale = unit(quantity.unit)
    return scale.from_si(value_of(column)), combined, 1.0 / scale.factor
