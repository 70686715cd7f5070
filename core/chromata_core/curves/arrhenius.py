"""Activation energy from rates at several temperatures: ln k = ln A − E_a/(R T) (S. Arrhenius, 1889)."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import exp, log

from chromata_core.chemistry.constants import GAS_CONSTANT, ZERO_CELSIUS
from chromata_core.curves.line import CurveError, Line, line


@dataclass(frozen=True, slots=True)
class Arrhenius:
    """``energy`` and ``u`` in J/mol; ``log_factor`` is ln A in the rates' unit; ``q10`` from 20 to 30 °C."""

    energy: float
    u: float
    dof: int
    log_factor: float
    q10: float
    through: Line


def arrhenius(celsius: Sequence[float], rates: Sequence[float]) -> Arrhenius:
    """From at least three temperatures in °C and rates (or reciprocal times) greater than zero."""
    if any(not rate > 0 for rate in rates):
        raise CurveError("Every rate must be greater than zero. A tube that never changed has no rate.")
    if any(t <= -ZERO_CELSIUS for t in celsius):
        raise CurveError("A temperature below absolute zero cannot be. Was it written in another unit?")
    found = line([1 / (t + ZERO_CELSIUS) for t in celsius], [log(rate) for rate in rates])
    energy = -GAS_CONSTANT * found.slope
    q10 = exp(energy / GAS_CONSTANT * (1 / 293.15 - 1 / 303.15))
    return Arrhenius(energy, GAS_CONSTANT * found.u_slope, found.dof, found.intercept, q10, found)
