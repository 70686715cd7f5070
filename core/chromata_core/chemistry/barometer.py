"""What the air weighs here: a weather report's pressure is reduced to sea level and has to be brought back up.

Standard atmosphere (ISO 2533:1975): p = p₀ (1 − L h / T₀)^(g M / R L), with L = 6.5 K/km, T₀ = 288.15 K. The real
air is warmer or colder than the standard one: about 0.1 % for each 10 °C and 300 m.
"""

import numpy as np

from chromata_core.errors import ChromataError
from chromata_core.quantity.column import Column

LAPSE, T0, EXPONENT = 0.0065, 288.15, 5.255880
_HIGHEST = 5000.0


def station_pressure(sea_level: Column, altitude: Column) -> Column:
    """Pressure at ``altitude`` in metres (−500 to 5000) from one reduced to sea level; any unit, the same back."""
    height = float(np.real(altitude).mean())
    if not -500.0 <= height <= _HIGHEST:
        raise ChromataError(
            f"An altitude of {height:g} m is out of reach; give metres above sea level.", code="altitude"
        )
    column: Column = sea_level * (1 - LAPSE * altitude / T0) ** EXPONENT
    return column
