"""Which substance of a list fits a measured water content, within its stated uncertainty."""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass

from chromata_core.chemistry.molar_mass import formula_text, molar_mass
from chromata_core.declaration.names import QuantityName
from chromata_core.declaration.options import holds
from chromata_core.engine.context import Context
from chromata_core.judging.finding import Finding
from chromata_core.judging.shapes import Looks
from chromata_core.quantity.rounding import plain
from chromata_core.uncertainty.budget import budget
from chromata_core.uncertainty.columns import contributions_of, value_of


@dataclass(frozen=True, slots=True)
class Identify(Looks):
    """Compares a mass per cent of water with that of hydrates, under one choice of an option.

    Each candidate is written ``CuSO4.5H2O``; its water content follows from molar masses.
    """

    quantity: QuantityName
    candidates: tuple[str, ...]
    when: Mapping[str, str]

    def look(self, at: Context) -> Iterator[Finding]:
        """One finding once the water content is known: what fits, what is nearest if nothing does."""
        column = at.computed.bench.get(self.quantity)
        if column is None or not holds(self.when, at.bound.options):
            return
        spread = 100 * budget(at.computed.columns.sources, contributions_of(column)).expanded
        value = 100 * value_of(column)
        near = sorted(self.candidates, key=lambda formula: abs(water_percent(formula) - value))
        fitting = [formula for formula in near if abs(water_percent(formula) - value) <= max(spread, 0.005 * value)]
        names = ", ".join(f"{formula_text(f)} ({plain(water_percent(f), 2)} %)" for f in fitting or near[:1])
        what = f"The water content fits {names}." if fitting else f"Nothing on the list fits; the nearest is {names}."
        why = f"Measured {plain(value, 2)} ± {plain(spread, 2)} %."
        do = "Name it with this reason." if len(fitting) == 1 else "Look for a second property, such as its colour."
        yield Finding("identified", "keep" if len(fitting) == 1 else "look", what, why, do)


def water_percent(formula: str) -> float:
    """Mass per cent of water in a hydrate written like ``CuSO4.5H2O``."""
    salt = formula.split(".", 1)[0]
    return 100 * (1 - molar_mass(salt).value / molar_mass(formula).value)
