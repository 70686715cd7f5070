"""A simulated gas tube: a ribbon of true mass gives its hydrogen over water, under air of a true pressure."""

import numpy as np

from chromata_core.chemistry.constants import GAS_CONSTANT
from chromata_core.chemistry.molar_mass import molar_mass
from chromata_core.chemistry.water.vapour_pressure_wagner_1993 import vapour_pressure
from chromata_core.instruments.catalogue import instrument
from chromata_core.quantity.rounding import plain
from chromata_core.simulation.readings import Written, calibration_of, read

_MG = molar_mass("Mg").value  # kg/mol


def collect(pressure: float, seed: int, trials: int = 2, oxide: float = 0.0, trapped: float = 0.0) -> list[Written]:
    """``trials`` ribbons of magnesium in a tube whose levels are brought together, air at ``pressure`` hPa.

    ``oxide`` is the share of a ribbon that gives no gas, ``trapped`` the air (mL) that stood at the top before.
    """
    random = np.random.default_rng(seed)
    balance, tube, sensor, thermometer = (
        instrument(slug) for slug in ("balance-0.0001", "gas-tube-50", "pressure-hpa", "thermometer-0.1")
    )
    off_tube, off_air, off_warmth = (calibration_of(tool, random) for tool in (tube, sensor, thermometer))
    written = [Written("p_bar", read(sensor, pressure + off_air, random))]
    for trial in range(1, trials + 1):
        ribbon, celsius = float(random.uniform(0.0300, 0.0375)), float(random.normal(20.8, 0.4))
        moles = ribbon * (1 - oxide) / 1000 / _MG
        dry = pressure * 100 - vapour_pressure(celsius)
        volume = moles * GAS_CONSTANT * (celsius + 273.15) / dry * 1e6 + trapped
        written += [
            Written("m", read(balance, ribbon, random), trial),
            Written("V", plain(volume + off_tube + float(random.normal(0, 0.02)), tube.decimals), trial),
            Written("T", read(thermometer, celsius + off_warmth, random), trial),
        ]
    return written
