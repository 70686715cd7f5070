"""The potential of a redox electrode while dichromate is run into iron(II), by the balance of electrons at 25 °C.

Both couples have one potential E. What iron gave, chromium has: [Fe³⁺] = 6·(c − [Cr₂O₇²⁻]), with
[Fe³⁺] = c_Fe/(1 + exp(−(E − E₁)F/RT)) and E = E₂ + RT/6F·ln([Cr₂O₇²⁻]/[Cr³⁺]²).
"""

from math import exp, sqrt

from scipy.optimize import brentq

from chromata_core.chemistry.constants import FARADAY, GAS_CONSTANT

# Formal potentials in 1 mol/L sulfuric acid, V against hydrogen; textbook tables, from memory.
IRON_FORMAL, DICHROMATE_FORMAL = 0.68, 1.11
SILVER_CHLORIDE = 0.210  # V, in 3 mol/L KCl at 25 °C; handbook, from memory
_V = GAS_CONSTANT * 298.15 / FARADAY
_TRACE = 1e-4  # of the iron that air has oxidised before any titrant is in; without it there is no potential


def iron_potential(iron: float, dichromate: float) -> float:
    """V against silver chloride where ``iron`` mol/L of iron(II) met ``dichromate`` mol/L of dichromate."""

    def electrons(e: float) -> float:
        ferric = iron / (1 + exp(-(e - IRON_FORMAL) / _V))
        return ferric - _TRACE * iron - 6 * _reduced(e, dichromate)

    return float(brentq(electrons, -0.5, 2.0, xtol=1e-9)) - SILVER_CHLORIDE


def _reduced(e: float, dichromate: float) -> float:
    """How much of ``dichromate`` is reduced at ``e``: x with (c − x)/(2x)² = exp((E − E₂)·6F/RT), mol/L."""
    power = (e - DICHROMATE_FORMAL) * 6 / _V
    if power > 300:  # none
        return 0.0
    k = 4 * exp(power)
    return 2 * dichromate / (1 + sqrt(1 + 4 * k * dichromate))
