"""Water's properties for columns of temperatures in K, in SI: along the tangent at the columns' mean.

Half a degree away that is the curve to 3 × 10⁻⁶ for density and heat capacity, to 5 × 10⁻⁴ for the vapour pressure.
"""

from collections.abc import Callable

import numpy as np

from chromata_core.chemistry.water.density import density
from chromata_core.chemistry.water.heat_capacity_iapws_1995 import heat_capacity
from chromata_core.chemistry.water.vapour_pressure_wagner_1993 import vapour_pressure
from chromata_core.quantity.column import Column


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
    mean = float(np.real(temperature).mean()) - 273.15
    centre = min(max(mean, 0.0), 100.0) if -1 <= mean <= 101 else mean  # a thermometer's error beyond either end
    low, high = max(centre - 1e-3, 0.0), min(centre + 1e-3, 100.0)
    slope = (of(high) - of(low)) / (high - low)
    column: Column = of(centre) + slope * (temperature - 273.15 - centre)
    return column
