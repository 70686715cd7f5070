"""The random part of a mean of replicates: what their known errors make, and what their spread shows beyond that.

Each member carries known errors of its own (reading the scale, judging the end point). They make the members scatter,
so a spread is compared with what they alone would make: no more adds nothing, what goes beyond is added. Taking
the larger of the two instead drops what is known as soon as the spread is a hair larger, and U jumps from k = 2 to
k = 12.7. Shared causes (one burette's calibration) move all members alike: they make no spread and are not averaged
away. See docs/decisions/0021-known-errors-and-excess.md.
"""

from dataclasses import dataclass
from math import sqrt

from chromata_core.quantity.column import Column


@dataclass(frozen=True, slots=True)
class Spread:
    """``excess``: standard uncertainty that the spread adds to the mean; ``part`` of its variance that is excess."""

    excess: float
    part: float


def spread_of(values: Column, known: Column) -> Spread:
    """What the spread of ``values`` shows beyond ``known``, the signed standard uncertainty of each value (rows) along
    each source (columns), in the unit of the values.
    """
    n = len(values)
    if n < 2:
        return Spread(0.0, 0.0)
    seen = float(((values - values.mean()) ** 2).sum()) / (n - 1)
    expected = float(((known - known.mean(axis=0)) ** 2).sum()) / (n - 1)
    beyond = max(seen - expected, 0.0)
    return Spread(sqrt(beyond / n), beyond / seen if seen else 0.0)
