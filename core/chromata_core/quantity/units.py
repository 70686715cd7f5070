"""Units as people say them, turned once into a plain factor to SI and a dimension. ``pint`` does the work.

mmHg is the conventional millimetre of mercury (133.322387415 Pa); torr is 1/760 atm (133.322368421 Pa).
"""

from dataclasses import dataclass
from functools import lru_cache
from typing import Any

import pint
from pint.util import UnitsContainer

from chromata_core.errors import UnitError
from chromata_core.quantity.definitions import DEFINITIONS

Dimension = UnitsContainer
NO_DIMENSION = UnitsContainer()

_SPOKEN = {
    "": "dimensionless", "1": "dimensionless", "%": "percent", "M": "mol/L", "mM": "mmol/L", "°C": "degC",
    "°F": "degF", "cm³": "cm**3", "dm³": "dm**3", "m³": "m**3", "ml": "mL", "l": "L", "cc": "cm**3",
    "cmHg": "cm_Hg", "mmHg": "mm_Hg", "inHg": "in_Hg", "°": "degree", "g/100 mL": "g/dL",
    "%T": "dimensionless",  # as the scale counts, so that A = 2 − log₁₀ %T
}  # fmt: skip


@dataclass(frozen=True, slots=True)
class Unit:
    """A unit as shown (``symbol``) with its way to SI: ``si = value * factor + offset``."""

    symbol: str
    factor: float
    offset: float
    dimension: Dimension

    def to_si(self, value: float) -> float:
        """``value`` of this unit in SI."""
        return value * self.factor + self.offset

    def from_si(self, value: float) -> float:
        """An SI value in this unit."""
        return (value - self.offset) / self.factor


@lru_cache(maxsize=1)
def _registry() -> "pint.UnitRegistry[Any]":
    registry: pint.UnitRegistry[Any] = pint.UnitRegistry(None, autoconvert_offset_to_baseunit=True)
    registry.load_definitions(DEFINITIONS.strip().splitlines())
    return registry


@lru_cache(maxsize=512)
def unit(symbol: str) -> Unit:
    """The unit that people write as ``symbol``; UnitError with a sentence if nobody knows it."""
    name = _SPOKEN.get(symbol.strip(), symbol.strip()).replace("·", "*").replace("⁻¹", "**-1").replace("²", "**2")
    try:
        parsed = _registry().Unit(name)
        zero = _registry().Quantity(0.0, parsed).to_base_units().magnitude
        one = _registry().Quantity(1.0, parsed).to_base_units().magnitude
    except Exception as error:  # pint raises many unrelated classes for text that is not a unit
        raise UnitError(
            f"“{symbol}” is not a unit known here. Write it as on the instrument, such as mL, g or mol/L."
        ) from error
    return Unit(symbol, float(f"{one - zero:.15g}"), float(zero), parsed.dimensionality)


def conversion(source: str, target: str) -> tuple[float, float]:
    """Factor and offset with ``target value = source value * factor + offset``; UnitError if they do not fit."""
    a, b = unit(source), unit(target)
    if a.dimension != b.dimension:
        raise UnitError(f"{source or 'a plain number'} cannot be turned into {target}. Write the reading in {target}.")
    return float(f"{a.factor / b.factor:.15g}"), (a.offset - b.offset) / b.factor


def dimension_name(dimension: Dimension) -> str:
    """A dimension as words, for sentences about units that do not fit."""
    if not dimension:
        return "a plain number"
    return " · ".join(f"{k.strip('[]')}^{v:g}" if v != 1 else k.strip("[]") for k, v in sorted(dimension.items()))
