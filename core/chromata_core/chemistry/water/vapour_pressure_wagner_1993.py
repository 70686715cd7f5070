"""Saturation pressure of water: W. Wagner and A. Pruss, J. Phys. Chem. Ref. Data 22 (1993) 783, eq. 2.5 (IAPWS SR1-86).

Within 8 × 10⁻⁵ (relative) of IAPWS-95 over 0–100 °C. Printed tables of older formulations differ by up to 0.1 %.
"""

from math import exp

from chromata_core.chemistry.water.span import celsius

CRITICAL_T, CRITICAL_P = 647.096, 22.064e6
TERMS = (
    (-7.85951783, 1.0), (1.84408259, 1.5), (-11.7866497, 3.0), (22.6807411, 3.5), (-15.9618719, 4.0), (1.80122502, 7.5),
)  # fmt: skip
RELATIVE_ACCURACY = 1e-4


def vapour_pressure(temperature: float) -> float:
    """Saturation pressure in Pa at ``temperature`` in °C (0 to 100)."""
    kelvin = celsius(temperature) + 273.15
    tau = 1 - kelvin / CRITICAL_T
    return CRITICAL_P * exp(CRITICAL_T / kelvin * sum(a * tau**power for a, power in TERMS))
