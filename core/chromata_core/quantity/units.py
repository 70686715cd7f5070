"""Units as people say them, turned once into a plain factor to SI and a dimension. ``pint`` does the work,
once a strict grammar has read the text.

mmHg is the conventional millimetre of mercury (133.322387415 Pa); torr is 1/760 atm (133.322368421 Pa).
"""

from dataclasses import dataclass
from functools import lru_cache
from typing import Any

import pint
from pint.util import UnitsContainer

from chromata_core.errors import UnitError
from chromata_core.quantity.definitions import DEFINITIONS
from chromata_core.quantity.unit_grammar import factors_of

Dimension = UnitsContainer
NO_DIMENSION = UnitsContainer()
_FARTHEST = 1e60


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
    factors = factors_of(symbol)
    try:
        zero, one = (_in_base_units(value, factors) for value in (0.0, 1.0))
    except Exception as error:  # pint has many classes for what does not go together, such as a power of °C
        raise UnitError(
            f"“{symbol}” cannot be turned into other units. Write it simpler, such as mL or mol/L."
        ) from error
    factor = float(f"{one.magnitude - zero.magnitude:.15g}")
    if not _FARTHEST**-1 < factor < _FARTHEST:
        raise UnitError(f"“{symbol}” is far outside what any instrument shows. Check the powers.")
    return Unit(symbol, factor, float(zero.magnitude), one.dimensionality)


def _in_base_units(value: float, factors: tuple[tuple[str, int], ...]) -> Any:
    named = _registry().Unit("")
    for name, power in factors:
        # Beside other units a degree is a step of temperature, not a point on the scale: J/(g·°C).
        step = "delta_" if name in ("degC", "degF") and factors != ((name, 1),) else ""
        named = named * _registry().Unit(step + name) ** power
    return _registry().Quantity(value, named).to_base_units()


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
