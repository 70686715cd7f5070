"""A simulated spectrophotometer: standards from one stock, and an unknown that may be too dark for them."""

from collections.abc import Sequence

import numpy as np

from chromata_core.curves.calibration import dilution
from chromata_core.quantity.rounding import plain
from chromata_core.simulation.readings import Written

_FLASK = 10.0  # mL of a standard
_TAKEN, _MADE = 10.0, 50.0  # mL: how an unknown is diluted


def absorb(
    concentration: float, stock: float, absorptivity: float, volumes: Sequence[float], seed: int, scatter: float = 0.003
) -> list[Written]:
    """Standards of ``volumes`` mL of ``stock`` in 10 mL, and one unknown of ``concentration`` (both mol/L) in a 1 cm
    cuvette of ``absorptivity`` L/(mol·cm). Above the line it is diluted 1 in 5 and read again.
    """
    random = np.random.default_rng(seed)

    def shown(c: float) -> str:
        return plain(absorptivity * c + float(random.normal(0, scatter)), 3)

    written = [Written("V_flask", plain(_FLASK, 2))]
    for index, volume in enumerate(volumes, 1):
        delivered = volume + float(random.normal(0, 0.01))
        written += [
            Written("V_std", plain(volume, 2), None, index),
            Written("A_std", shown(stock * delivered / _FLASK), None, index),
        ]
    highest = stock * volumes[-1] / _FLASK
    if concentration < highest:
        return [*written, Written("A_x", shown(concentration), 1, 1)]
    assert dilution(concentration, highest) <= _MADE / _TAKEN
    return [
        *written, Written("A_x", shown(concentration), 1, 1), Written("V_taken", plain(_TAKEN, 2), 1),
        Written("V_made", plain(_MADE, 2), 1), Written("A_x", shown(concentration * _TAKEN / _MADE), 1, 2),
    ]  # fmt: skip
