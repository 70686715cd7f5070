"""Propagation of distributions by random draws (JCGM 101:2008): fixed or adaptive number, shortest interval."""

from collections.abc import Callable
from dataclasses import dataclass
from math import floor, inf, isfinite, log10, sqrt

import numpy as np
from numpy.typing import NDArray

from chromata_core.uncertainty.budget import PROBABILITY

Draws = NDArray[np.float64]
Draw = Callable[[np.random.Generator, int], Draws]

BLOCK = 20_000
LEAST = 100_000
MOST = 1_000_000


@dataclass(frozen=True, slots=True)
class Drawn:
    """What the draws say: mean, standard deviation, shortest interval at 95 %, how many draws it took."""

    draws: int
    mean: float
    u: float
    low: float
    high: float


def monte_carlo(draw: Draw, draws: int | None = None, seed: int = 1) -> Drawn:
    """Summary of ``draws`` values made by ``draw(random, size)`` in blocks; None draws until the figures stand still.

    The same seed gives the same figures. Values that are not finite are left out.
    """
    random = np.random.default_rng(seed)
    return summary(_adaptive(draw, random)) if draws is None else summary(_fixed(draw, random, draws))


def _fixed(draw: Draw, random: np.random.Generator, draws: int) -> Draws:
    """Block by block into one array, so that intermediate columns never grow beyond a block."""
    values = np.empty(draws)
    for start in range(0, draws, BLOCK):
        stop = min(start + BLOCK, draws)
        values[start:stop] = draw(random, stop - start)
    return values


def _adaptive(draw: Draw, random: np.random.Generator) -> Draws:
    """Blocks until twice the standard error of mean, u and both limits is below u's tolerance (JCGM 101, 7.9.4)."""
    blocks = [draw(random, BLOCK) for _ in range(LEAST // BLOCK)]
    while len(blocks) * BLOCK < MOST:
        stats = np.array([[drawn.mean, drawn.u, drawn.low, drawn.high] for drawn in map(summary, blocks)])
        errors = stats.std(axis=0, ddof=1) / sqrt(len(blocks))
        if float(errors.max()) * 2 < tolerance(float(np.concatenate(blocks).std(ddof=1)), figures=1):
            break
        blocks.append(draw(random, BLOCK))
    return np.concatenate(blocks)


def summary(values: Draws) -> Drawn:
    """Mean, standard deviation and shortest interval of drawn values."""
    ordered = np.sort(values[np.isfinite(values)])
    if not len(ordered):
        return Drawn(0, float("nan"), inf, float("nan"), float("nan"))
    low, high = shortest(ordered)
    return Drawn(len(ordered), float(ordered.mean()), float(ordered.std(ddof=1)), low, high)


def shortest(ordered: Draws, probability: float = PROBABILITY) -> tuple[float, float]:
    """The shortest interval that holds ``probability`` of sorted draws (JCGM 101, 7.7 and 5.3.4)."""
    held = min(floor(probability * len(ordered) + 0.5), len(ordered) - 1)
    widths = ordered[held:] - ordered[: len(ordered) - held]
    place = int(np.argmin(widths))
    return float(ordered[place]), float(ordered[place + held])


def tolerance(u: float, figures: int) -> float:
    """Half the last digit of a standard uncertainty stated with so many figures (JCGM 101, 7.9.2)."""
    if not (u > 0 and isfinite(u)):
        return inf
    return 0.5 * 10.0 ** (floor(log10(u)) - figures + 1)
