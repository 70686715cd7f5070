"""A simulated crucible: a salt of true formula loses its water, more slowly each time, until the mass stays."""

import numpy as np

from chromata_core.chemistry.molar_mass import molar_mass
from chromata_core.instruments.instrument import Instrument
from chromata_core.simulation.readings import Written, read, series

_LEFT = (0.06, 0.004, 0.0003, 0.0)  # share of the water still there after each heating


def heat(salt: str, waters: float, balance: Instrument, seed: int, portion: float = 3.0) -> list[Written]:
    """One crucible with about ``portion`` g of ``salt``·``waters`` H₂O: empty, filled, and after each heating."""
    random = np.random.default_rng(seed)
    crucible, hydrate = float(random.uniform(29, 34)), portion + float(random.normal(0, 0.15))
    dry, water = molar_mass(salt).value, waters * molar_mass("H2O").value
    lost = hydrate * water / (dry + water)
    heated = [
        read(balance, crucible + hydrate - lost * (1 - left * random.uniform(0.7, 1.3)), random) for left in _LEFT
    ]
    return [
        Written("m_crucible", read(balance, crucible, random), 1),
        Written("m_before", read(balance, crucible + hydrate, random), 1),
        *series("m_heated", 1, heated),
    ]
