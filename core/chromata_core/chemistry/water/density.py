"""Density of water at 101.325 kPa: the CIPM's formula where it holds, Kell's above."""

from typing import Any

import numpy as np
from numpy.typing import NDArray

from chromata_core.chemistry.water.density_kell_1975 import density_kell
from chromata_core.chemistry.water.density_tanaka_2001 import HIGHEST, density_tanaka


def density(temperature: float) -> float:
    """Density in kg/m³ at ``temperature`` in °C (0 to 100)."""
    return density_tanaka(temperature) if temperature <= HIGHEST else density_kell(temperature)


def density_column(temperature: NDArray[Any]) -> NDArray[Any]:
    """Density in kg/m³ of a column of temperatures in K; along the tangent at their mean: over a
    thermometer's error that is the curve, to 1 × 10⁻⁶.
    """
    mean = float(np.real(temperature).mean()) - 273.15
    centre = min(max(mean, 0.0), 100.0) if -1 <= mean <= 101 else mean  # a thermometer's error beyond either end
    low, high = max(centre - 1e-3, 0.0), min(centre + 1e-3, 100.0)
    slope = (density(high) - density(low)) / (high - low)
    column: NDArray[Any] = density(centre) + slope * (temperature - 273.15 - centre)
    return column
