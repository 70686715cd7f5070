"""A simulated bench at a burette: a true concentration in, readings as students write them out.

Each bench has one burette and one pipette with calibration errors of their own, drawn from the instruments' error
terms; each trial has its own reading and end-point errors.
"""

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np

from chromata_core.declaration.vocabulary import Method
from chromata_core.instruments.instrument import Instrument
from chromata_core.quantity.rounding import plain
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from chromata_core.uncertainty.source import standard


@dataclass(frozen=True, slots=True)
class SimulatedTrial:
    """The readings of one trial, as text."""

    start: str
    end: str


@dataclass(frozen=True, slots=True)
class SimulatedBench:
    """The pipette's stated volume and the trials, the rough one first."""

    sample: str
    trials: tuple[SimulatedTrial, ...]


def titrate(
    method: Method,
    options: Mapping[str, str],
    instruments: Mapping[str, str],
    concentration: float,
    seed: int,
    trials: int,
) -> SimulatedBench:
    """Readings of ``trials`` accurate titrations after a rough one of a sample of true ``concentration`` in mol/L."""
    bound = bind(method, Sheet(options, instruments))
    random = np.random.default_rng(seed)
    burette, pipette = bound.instruments["burette"], bound.instruments["pipette"]
    nominal = float(pipette.high)
    ratio = float(bound.number("z_s") / bound.number("z_t") / bound.number("dilution") / bound.number("c_t"))
    sample = nominal + _calibration(pipette, random)
    delivered = concentration * ratio * sample - _calibration(burette, random)
    rough = _trial(random, delivered + float(random.uniform(0.4, 0.9)), 1)
    accurate = [_trial(random, delivered + float(random.normal(0, 0.02)), 2) for _ in range(trials)]
    return SimulatedBench(plain(nominal, 2), (rough, *accurate))


def _calibration(tool: Instrument, random: np.random.Generator) -> float:
    limits = [standard(float(term.half_width), term.distribution) for term in tool.errors if term.shared]
    return float(random.normal(0, sum(limits)))


def _trial(random: np.random.Generator, delivered: float, decimals: int) -> SimulatedTrial:
    start = round(float(random.uniform(0.0, 1.4)), 2)
    end = start + delivered + float(random.normal(0, 0.008))
    return SimulatedTrial(plain(start, 2), plain(end, decimals))
