"""Water's properties for columns of temperatures in K, in SI: along the tangent at each temperature, and for random
draws at their mean.

Half a degree away that is the curve to 3 × 10⁻⁶ for density and heat capacity, to 5 × 10⁻⁴ for the vapour pressure.
"""

from collections.abc import Callable

import numpy as np

from chromata_core.chemistry.water.density import density
from chromata_core.chemistry.water.heat_capacity_iapws_1995 import heat_capacity
from chromata_core.chemistry.water.vapour_pressure_wagner_1993 import vapour_pressure
from chromata_core.quantity.column import Column

_FEW = 600  # temperatures of which each has a tangent of its own: ways of working, errors of one reading


def density_column(temperature: Column) -> Column:
    """Density in kg/m³; OutOfRangeError outside 0 to 100 °C."""
    return _along_tangent(density, temperature)


def vapour_pressure_column(temperature: Column) -> Column:
    """Saturation pressure in Pa; OutOfRangeError outside 0 to 100 °C."""
    return _along_tangent(vapour_pressure, temperature)


def heat_capacity_column(temperature: Column) -> Column:
    """Specific heat capacity in J/(kg·K); OutOfRangeError outside 0 to 100 °C."""
    return 1000 * _along_tangent(heat_capacity, temperature)


def _along_tangent(of: Callable[[float], float], temperature: Column) -> Column:
    celsius = np.real(temperature) - 273.15
    distinct, place = np.unique(celsius, return_inverse=True)
    if len(distinct) > _FEW:  # random draws about one temperature
        distinct, place = np.array([celsius.mean()]), np.zeros(celsius.shape, dtype=int)
    centres, values, slopes = np.array([_tangent(of, float(mean)) for mean in distinct]).T
    at = place.reshape(celsius.shape)
    column: Column = values[at] + slopes[at] * (temperature - 273.15 - centres[at])
    return column


def _tangent(of: Callable[[float], float], mean: float) -> tuple[float, float, float]:
    """Where it touches, the value there, and the slope."""
    centre = min(max(mean, 0.0), 100.0) if -1 <= mean <= 101 else mean  # a thermometer's error beyond either end
    low, high = max(centre - 1e-3, 0.0), min(centre + 1e-3, 100.0)
    return centre, of(centre), (of(high) - of(low)) / (high - low)
