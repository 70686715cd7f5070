"""A simulated back titration: a tablet of true neutralising power, portions by difference, the rest titrated."""

from collections.abc import Mapping

import numpy as np

from chromata_core.declaration.vocabulary import Method
from chromata_core.quantity.rounding import plain
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from chromata_core.simulation.readings import Written, calibration_of, read


def neutralise(
    method: Method, options: Mapping[str, str], tablet: float, power: float, seed: int, trials: int
) -> list[Written]:
    """Readings of ``trials`` portions of a tablet of ``tablet`` g that takes ``power`` mmol of acid for each gram."""
    bound = bind(method, Sheet(options))
    random = np.random.default_rng(seed)
    balance, acid, base = (bound.instruments[role] for role in ("balance", "acid_burette", "burette"))
    c_a, c_b = float(bound.number("c_a")), float(bound.number("c_b"))
    off = calibration_of(base, random) - calibration_of(acid, random)
    written = [Written("m_tablet", read(balance, tablet, random))]
    vial = float(random.uniform(12, 14))
    for trial in range(1, trials + 1):
        portion, poured = float(random.uniform(0.28, 0.36)), round(float(random.uniform(47.0, 48.6)), 2)
        start = round(float(random.uniform(0, 0.9)), 2)
        back = (c_a * poured - power * portion) / c_b + off + float(random.normal(0, 0.05))
        written += [
            Written("m_before", read(balance, vial, random), trial),
            Written("m_after", read(balance, vial - portion, random), trial),
            Written("V_a_start", "0.00", trial), Written("V_a", plain(poured, 2), trial),
            Written("V_start", plain(start, 2), trial),
            Written("V_end", plain(start + back, 2), trial),
        ]  # fmt: skip
        vial -= portion
    return written
