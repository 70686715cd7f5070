"""Density of water at 101.325 kPa, 0–100 °C: G. S. Kell, J. Chem. Eng. Data 20 (1975) 97, eq. 16.

Within 2 × 10⁻⁵ (relative) of IAPWS-95; used above 40 °C, where the CIPM's formula ends.
"""

from chromata_core.chemistry.water.span import celsius

UPPER = (999.83952, 16.945176, -7.9870401e-3, -46.170461e-6, 105.56302e-9, -280.54253e-12)
LOWER = 16.879850e-3
RELATIVE_ACCURACY = 2e-5


def density_kell(temperature: float) -> float:
    """Density in kg/m³ at ``temperature`` in °C (0 to 100)."""
    t = celsius(temperature)
    return sum(a * t**power for power, a in enumerate(UPPER)) / (1 + LOWER * t)
