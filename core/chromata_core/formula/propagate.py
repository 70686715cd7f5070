"""A formula of independent inputs with its budget: a calculator on the desk, and the engine's inner loop alone."""

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np

from chromata_core.formula.compute import numeric
from chromata_core.formula.parse import parse_formula
from chromata_core.uncertainty.budget import Budget, budget
from chromata_core.uncertainty.columns import STEP, contributions_of, value_of
from chromata_core.uncertainty.source import Source


@dataclass(frozen=True, slots=True)
class Propagated:
    """The formula's value and its budget."""

    value: float
    budget: Budget


class Propagation:
    """A formula read once; ``at`` works it for values of its inputs, each with its source."""

    def __init__(self, formula: str, sources: Mapping[str, Source]) -> None:
        """``sources`` give each input's standard uncertainty and degrees of freedom, by its name in ``formula``."""
        self._work = numeric(parse_formula(formula))
        self._names = tuple(sources)
        self._sources = tuple(sources.values())
        self._steps = 1j * STEP * np.diag([source.u for source in self._sources])

    def at(self, values: Mapping[str, float]) -> Propagated:
        """Value and budget; units are whatever the inputs are in."""
        columns = np.array([values[name] for name in self._names])[:, None] + self._steps
        whole = self._work(dict(zip(self._names, columns, strict=True)))
        return Propagated(value_of(whole), budget(self._sources, contributions_of(whole)))
