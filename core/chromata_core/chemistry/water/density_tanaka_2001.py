"""Density of air-free water at 101.325 kPa, 0–40 °C: M. Tanaka et al., Metrologia 38 (2001) 301 (the CIPM's).

Stated uncertainty below 1 × 10⁻⁶ (relative); within 1.3 × 10⁻⁶ of IAPWS-95.
"""

from chromata_core.chemistry.water.span import celsius

MAXIMUM, A1, A2, A3, A4 = 999.974950, -3.983035, 301.797, 522528.9, 69.34881
HIGHEST = 40.0
RELATIVE_ACCURACY = 2e-6


def density_tanaka(temperature: float) -> float:
    """Density in kg/m³ at ``temperature`` in °C (0 to 40)."""
    t = celsius(temperature, high=HIGHEST)
    return MAXIMUM * (1 - (t + A1) ** 2 * (t + A2) / (A3 * (t + A4)))
