"""A simulated pipette on a balance: deliveries of a true volume with the pipette's own scatter, weighed in air."""

from collections.abc import Sequence

import numpy as np

from chromata_core.chemistry.water.density import density
from chromata_core.instruments.instrument import Instrument
from chromata_core.quantity.rounding import plain
from chromata_core.simulation.readings import Written, series

_AIR, _STEEL = 1.2, 8000.0  # kg/m³


def deliver(
    volumes: Sequence[float],
    off: float,
    scatter: float,
    balance: Instrument,
    temperature: float,
    seed: int,
    times: int = 10,
) -> list[Written]:
    """``times`` deliveries of each of ``volumes`` (mL) by a pipette that is ``off`` by a fraction and scatters (mL)."""
    random = np.random.default_rng(seed)
    gram = (density(temperature) - _AIR) / (1 - _AIR / _STEEL) / 1000
    written = [Written("T_water", plain(temperature, 1))]
    for trial, volume in enumerate(volumes, 1):
        masses = [(volume * (1 + off) + float(random.normal(0, scatter))) * gram for _ in range(times)]
        written.append(Written("V_set", plain(volume, 2), trial))
        written += series("m_d", trial, [plain(mass, balance.decimals) for mass in masses])
    return written
