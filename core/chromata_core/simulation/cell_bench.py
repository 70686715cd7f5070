"""A simulated bench of metals in their ions' solutions: half-cells with potentials of their own, and one contact that
may be bad.
"""

from collections.abc import Sequence
from math import log

import numpy as np

from chromata_core.chemistry.constants import FARADAY, GAS_CONSTANT
from chromata_core.chemistry.standard_potentials import SERIES, MetalPair, metal_pairs
from chromata_core.quantity.rounding import plain
from chromata_core.simulation.readings import Written

_NERNST = GAS_CONSTANT * 295.15 / FARADAY  # V, 22 °C
_SURFACE, _CONTACT = 0.012, 0.002  # V: how far a sanded metal is from its table value, and how readings scatter


def pairs(
    metals: str, concentration: float, seed: int, bad: tuple[str, str] | None = None, loss: float = 0.12
) -> list[Written]:
    """Every pair of “Ag; Cu; Zn” at ``concentration`` mol/L, volts with their sign, the plus lead at the first metal.

    The contact ``bad`` (plus, minus) loses ``loss`` V. Activities are taken for concentrations.
    """
    random = np.random.default_rng(seed)
    plan = metal_pairs(metals)
    names = dict.fromkeys(metal for pair in plan for metal in (pair.plus, pair.minus))
    half = {name: _half_cell(name, concentration) + float(random.normal(0, _SURFACE)) for name in names}

    def volts(pair: MetalPair) -> str:
        lost = loss if bad == (pair.plus, pair.minus) else 0.0
        return plain(half[pair.plus] - half[pair.minus] - lost + float(random.normal(0, _CONTACT)), 3)

    return [Written("E", volts(pair), trial) for trial, pair in enumerate(plan, 1)]


def _half_cell(metal: str, concentration: float) -> float:
    cell = next(half_cell for key, half_cell in SERIES.items() if key.endswith(f"/{metal}"))
    return cell.potential + _NERNST / cell.electrons * log(concentration)


def dilute(
    standard: float, electrons: int, concentrations: Sequence[float], seed: int, celsius: float = 22.0
) -> list[Written]:
    """A cell of ``standard`` V whose ion that is used up stands at ``concentrations`` mol/L, the other at 1 mol/L."""
    random = np.random.default_rng(seed)
    slope = GAS_CONSTANT * (celsius + 273.15) / (electrons * FARADAY)
    written = [Written("T", plain(celsius + float(random.normal(0, 0.1)), 1))]
    for trial, concentration in enumerate(concentrations, 1):
        volts = standard + slope * log(concentration) + float(random.normal(0, _CONTACT / 2))
        written.append(Written("E", plain(volts, 3), trial))
    return written
