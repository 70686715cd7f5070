"""A source of error: an independent cause with a standard uncertainty, felt by one or many readings.

Correlation needs no matrix: two readings that share a cause share the Source.
"""

from dataclasses import dataclass
from math import inf, sqrt
from typing import Literal

Distribution = Literal["rectangular", "triangular", "normal", "normal95", "resolution"]

# GUM 4.3.7 (rectangular), 4.3.9 (triangular), 4.3.4 (95 % interval of a normal); a resolution d is rectangular
# with half-width d/2 (GUM F.2.2.1).
DIVISORS: dict[Distribution, float] = {
    "rectangular": sqrt(3.0),
    "triangular": sqrt(6.0),
    "normal": 1.0,
    "normal95": 1.959963984540054,
    "resolution": sqrt(12.0),
}

WORDS: dict[Distribution, str] = {
    "rectangular": "rectangular",
    "triangular": "triangular",
    "normal": "normal",
    "normal95": "normal, given at 95 %",
    "resolution": "rectangular, one display step",
}


@dataclass(frozen=True, slots=True)
class Source:
    """``u`` is the standard uncertainty of this cause, in SI of whatever carries it; ``unit`` is the unit people
    know it in: “%” for a fraction of the value, empty for a plain number.

    ``label`` is the line of the budget it belongs to. Sources with the same ``estimate`` were judged from one and the
    same scatter, so that its degrees of freedom count once. ``part`` of that scatter's variance is this source, the
    rest was known before: by so much its few degrees of freedom count.
    ``lasts`` says where the same cause is at work again: in every reading of its own sheet alone (empty), in whatever
    else is done at that bench with the same pieces, or, as atomic weights, everywhere.
    """

    id: str
    label: str
    u: float
    distribution: Distribution
    dof: float = inf
    part: float = 1.0
    unit: str = ""
    estimate: str = ""
    lasts: Literal["", "bench", "everywhere"] = ""


@dataclass(frozen=True, slots=True)
class Input:
    """An elementary input: its value in SI and the error sources it feels, each with the size of its effect.

    The effect multiplies a source's standard uncertainty (1 for an additive error in the same unit).
    """

    value: float
    sources: tuple[tuple[Source, float], ...] = ()


def standard(half_width: float, distribution: Distribution) -> float:
    """Standard uncertainty of a limit ±``half_width`` (or a resolution, or a 95 % interval), same unit."""
    return half_width / DIVISORS[distribution]
