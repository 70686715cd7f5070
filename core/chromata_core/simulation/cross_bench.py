"""A simulated disappearing cross: the time until it is gone follows Arrhenius, and the concentration by its order."""

from collections.abc import Sequence
from math import exp

import numpy as np

from chromata_core.chemistry.constants import GAS_CONSTANT
from chromata_core.quantity.rounding import plain
from chromata_core.simulation.readings import Written

_EYE = 0.03  # of the time: when a cross is called gone (common practice, no published source)
_KELVIN = 273.15


def warm(
    energy: float, temperatures: Sequence[float], seed: int, at_room: float = 80.0, runs: int = 2, late: float = 0.0
) -> list[Written]:
    """``runs`` runs at each of ``temperatures`` (°C) of a reaction of ``energy`` kJ/mol that takes ``at_room`` s at
    22 °C. Tubes lag a little behind what was planned; ``late`` is how long the hand takes, in s.
    """
    random = np.random.default_rng(seed)

    def seconds(celsius: float) -> float:
        inverse = 1 / (celsius + _KELVIN) - 1 / (22 + _KELVIN)
        return at_room * exp(energy * 1000 / GAS_CONSTANT * inverse)

    written: list[Written] = []
    for trial, planned in enumerate(temperatures, 1):
        written.append(Written("bath", "room" if planned < 25 else "set", trial))
        for index in range(1, runs + 1):
            tubes = [planned - 0.01 * (planned - 22) + float(random.normal(0, 0.2)) for _ in range(2)]
            time = seconds(sum(tubes) / 2) * (1 + float(random.normal(0, _EYE))) + late
            written += _run(trial, index, tubes, time)
    return written


def thin(
    order: float, volumes: Sequence[float], seed: int, first: float = 40.0, celsius: float = 22.0, runs: int = 2
) -> list[Written]:
    """``runs`` runs with each of ``volumes`` mL of stock, made up to the same volume; the first takes ``first`` s."""
    random = np.random.default_rng(seed)
    written: list[Written] = []
    for trial, volume in enumerate(volumes, 1):
        written.append(Written("V_thio", plain(volume, 2), trial))
        for index in range(1, runs + 1):
            tubes = [celsius + float(random.normal(0, 0.1)) for _ in range(2)]
            time = first * (volumes[0] / volume) ** order * (1 + float(random.normal(0, _EYE)))
            written += _run(trial, index, tubes, time)
    return written


def _run(trial: int, index: int, tubes: Sequence[float], seconds: float) -> list[Written]:
    return [
        *(Written(key, plain(celsius, 1), trial, index) for key, celsius in zip(("T_a", "T_b"), tubes, strict=True)),
        Written("t", plain(seconds, 1), trial, index),
    ]
