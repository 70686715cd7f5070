"""A simulated cup: heat is set free or taken up while things mix, and the room takes or gives its share (Newton's law).

The cup's temperature is stepped through time; the thermometer follows it with a lag. Losses of 0.01 to 0.02 of the
difference a minute are those of a lidded foam cup (common practice, no published source).
"""

from collections.abc import Callable

import numpy as np

from chromata_core.chemistry.molar_mass import molar_mass
from chromata_core.instruments.catalogue import instrument
from chromata_core.instruments.instrument import Instrument
from chromata_core.simulation.readings import Written, read

_C, _CUP, _STEP = 4.184, 10.0, 0.5  # J/(g·K), J/K, s
_MIXED, _LAG = 120.0, 4.0  # s
_WATER = molar_mass("H2O").value * 1000


def mix(enthalpy: float, seed: int, trial: int = 1, loss: float = 0.015) -> list[Written]:
    """50.00 mL each of 1.000 mol/L acid and 1.100 mol/L base whose reaction gives ``enthalpy`` kJ/mol, near 21 °C."""
    random = np.random.default_rng(seed)
    thermometer = instrument("thermometer-0.1")
    start, room = float(random.normal(21.2, 0.2)), 21.0
    capacity = 102.0 * _C + _CUP
    rise = -enthalpy * 1000 * 0.050 / capacity

    def warmed(seconds: float) -> float:
        """K set free until then: most of it within a few seconds of mixing."""
        return rise * (1 - float(np.exp(-(seconds - _MIXED) / 6))) if seconds > _MIXED else 0.0

    return [
        Written("V_a", "50.00", trial),
        Written("V_b", "50.00", trial),
        Written("T_b", read(thermometer, start, random), trial),
        *_trace(
            start,
            room,
            loss,
            warmed=warmed,
            times=(30, 90, 150, 180, 210, 240, 270, 300, 330),
            thermometer=thermometer,
            random=random,
            trial=trial,
        ),
        Written("mixed", "all", trial),
    ]


def melt(enthalpy: float, seed: int, trial: int = 1, water: float = 240.0, ice: float = 40.0) -> list[Written]:
    """About ``ice`` g of dried ice in about ``water`` g near 24.5 °C; melting takes ``enthalpy`` kJ/mol."""
    random = np.random.default_rng(seed)
    balance, thermometer = instrument("balance-0.01"), instrument("thermometer-0.1")
    m_w, m_ice = water + float(random.normal(0, 2)), ice + float(random.normal(0, 1.5))
    start, room = float(random.normal(24.6, 0.3)), 22.0
    end = (m_w * _C * start + _CUP * start - m_ice * enthalpy * 1000 / _WATER) / ((m_w + m_ice) * _C + _CUP)

    def warmed(seconds: float) -> float:
        """K until then, negative: the ice melts within two minutes."""
        return (end - start) * (1 - float(np.exp(-(seconds - _MIXED) / 25))) if seconds > _MIXED else 0.0

    times = (30, 90, 150, 180, 210, 240, 270, 300, 330, 360)
    return [
        Written("m_w", read(balance, m_w, random), trial),
        *_trace(start, room, 0.004, warmed=warmed, times=times, thermometer=thermometer, random=random, trial=trial),
        Written("ice", "melted", trial),
        Written("m_all", read(balance, m_w + m_ice, random), trial),
    ]


def _trace(
    start: float,
    room: float,
    loss: float,
    warmed: Callable[[float], float],
    times: tuple[int, ...],
    thermometer: Instrument,
    random: np.random.Generator,
    trial: int,
) -> list[Written]:
    """The readings of the thermometer at ``times``, in s; ``loss`` is the share of the difference lost in a minute."""
    cup = shown = start
    written: list[Written] = []
    for step in range(1, round(times[-1] / _STEP) + 1):
        seconds = step * _STEP
        cup += warmed(seconds) - warmed(seconds - _STEP) - _STEP * loss / 60 * (cup - room)
        shown += _STEP / _LAG * (cup - shown)
        if seconds in times:
            index = times.index(round(seconds)) + 1
            written += [
                Written("t", f"{seconds:.0f}", trial, index),
                Written("Temp", read(thermometer, shown, random), trial, index),
            ]
    return written
