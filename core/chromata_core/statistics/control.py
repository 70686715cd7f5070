"""A control chart of single values (Shewhart's, with moving ranges of two), and the rules by which it signals.

Limits are x̄ ± 3 MR̄ / d₂ with d₂ = 1.128 (ISO 7870-2; NIST/SEMATECH e-Handbook 6.3.2.2). The rules are those of the
Western Electric handbook (1956) as 6.3.2 of the e-Handbook lists them; both from memory.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from itertools import pairwise
from math import fsum

from chromata_core.statistics.replicates import at_least

_D2 = 1.128  # mean range of two normal values, in standard deviations
LEAST = 3  # values: two ranges


@dataclass(frozen=True, slots=True)
class Signal:
    """A rule that is met at value number ``place`` (from 0), in words."""

    place: int
    rule: str


@dataclass(frozen=True, slots=True)
class Control:
    """The middle, the limits either side, and what signals, in the order of the values."""

    centre: float
    sigma: float
    lower: float
    upper: float
    signals: list[Signal]


def control(values: Sequence[float]) -> Control:
    """The chart of ``values`` in their order in time; TooFewError for fewer than three."""
    centre = at_least(values, LEAST, "A control chart").mean
    sigma = fsum(abs(b - a) for a, b in pairwise(values)) / (len(values) - 1) / _D2
    away = [(value - centre) / sigma if sigma else 0.0 for value in values]
    signals = [
        Signal(place, words) for place in range(len(values)) for words, met in _RULES if met(away[: place + 1], values)
    ]
    return Control(centre, sigma, centre - 3 * sigma, centre + 3 * sigma, signals)


def _so_many(needed: int, of: int, beyond: float) -> Callable[[Sequence[float], Sequence[float]], bool]:
    """Whether the last value and ``needed`` of the last ``of`` lie ``beyond`` so many sigma, on one side."""

    def met(away: Sequence[float], values: Sequence[float]) -> bool:
        last = away[-of:]
        high, low = (sum(side * value > beyond for value in last) for side in (1, -1))
        return (high >= needed and away[-1] > beyond) or (low >= needed and -away[-1] > beyond)

    return met


def _trend(away: Sequence[float], values: Sequence[float]) -> bool:
    """Whether the last seven go one way: six steps."""
    steps = [b - a for a, b in pairwise(values[: len(away)])][-6:]
    return len(steps) == 6 and (all(step > 0 for step in steps) or all(step < 0 for step in steps))


_RULES: tuple[tuple[str, Callable[[Sequence[float], Sequence[float]], bool]], ...] = (
    ("beyond three sigma", _so_many(1, 1, 3)),
    ("two of three beyond two sigma on one side", _so_many(2, 3, 2)),
    ("four of five beyond one sigma on one side", _so_many(4, 5, 1)),
    ("eight in a row on one side of the middle", _so_many(8, 8, 0)),
    ("six steps in a row the same way", _trend),
)
