"""Half-cell potentials from all measured pairs at once, by least squares; one bad contact stands out."""

from collections.abc import Mapping
from dataclasses import dataclass
from math import sqrt

import numpy as np

from chromata_core.curves.line import CurveError


@dataclass(frozen=True, slots=True)
class Ladder:
    """Potentials against the chosen reference, a residual for each pair (measured − ladder), their s.

    ``suspect`` is the pair that disagrees with all the others, if one does: left out, the rest agree far better.
    """

    potentials: dict[str, float]
    u: dict[str, float]
    residuals: dict[tuple[str, str], float]
    s: float
    suspect: tuple[str, str] | None


def ladder(pairs: Mapping[tuple[str, str], float], reference: str) -> Ladder:
    """From E(plus, minus) = E(plus) − E(minus) in volts; the ``reference`` electrode is put at zero."""
    metals = sorted({metal for pair in pairs for metal in pair})
    if reference not in metals:
        raise CurveError(f"{reference} is in none of the measured pairs.")
    solved = _solved(pairs, metals, reference)
    return Ladder(*solved, _suspect(pairs, metals, reference, solved[3]))


Solved = tuple[dict[str, float], dict[str, float], dict[tuple[str, str], float], float]


def _solved(pairs: Mapping[tuple[str, str], float], metals: list[str], reference: str) -> Solved:
    free = [metal for metal in metals if metal != reference]
    design = np.array([[float(m == plus) - float(m == minus) for m in free] for plus, minus in pairs])
    if np.linalg.matrix_rank(design) < len(free):
        raise CurveError("The pairs do not connect all metals. Measure at least one pair with each of them.")
    measured = np.array(list(pairs.values()))
    potentials, *_ = np.linalg.lstsq(design, measured, rcond=None)
    rest = measured - design @ potentials
    freedom = len(measured) - len(free)
    s = sqrt(float(rest @ rest) / freedom) if freedom else 0.0
    spread = s * np.sqrt(np.diag(np.linalg.inv(design.T @ design)))
    values = {reference: 0.0} | dict(zip(free, map(float, potentials), strict=True))
    us = {reference: 0.0} | dict(zip(free, map(float, spread), strict=True))
    return values, us, dict(zip(pairs, map(float, rest), strict=True)), s


_CLEAR = 5.0


def _suspect(
    pairs: Mapping[tuple[str, str], float], metals: list[str], reference: str, s: float
) -> tuple[str, str] | None:
    """The pair without which the rest agrees five times better and to spare; None if there is no such pair."""
    without: dict[tuple[str, str], float] = {}
    for pair in pairs:
        rest = {other: value for other, value in pairs.items() if other != pair}
        if len(rest) <= len(metals) - 1:  # nothing would be left to agree or disagree
            return None
        try:
            without[pair] = _solved(rest, metals, reference)[3]
        except CurveError:
            continue
    ranked = sorted(without, key=without.__getitem__)
    if len(ranked) < 2 or s < 0.005:  # 5 mV is what a class meter and clean metals scatter anyway; common practice
        return None
    best, second = ranked[:2]
    return best if without[best] * _CLEAR < s and without[best] * 2 < without[second] else None
