"""Density of water at 101.325 kPa: the CIPM's formula where it holds, Kell's above."""

from chromata_core.chemistry.water.density_kell_1975 import density_kell
from chromata_core.chemistry.water.density_tanaka_2001 import HIGHEST, density_tanaka


def density(temperature: float) -> float:
    """Density in kg/m³ at ``temperature`` in °C (0 to 100)."""
    return density_tanaka(temperature) if temperature <= HIGHEST else density_kell(temperature)
