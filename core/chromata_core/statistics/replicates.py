"""What a laboratory says about replicates."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import sqrt


@dataclass(frozen=True, slots=True)
class Replicates:
    """Summary of n values: mean, s with n − 1, range, and the relative deviations as fractions of the mean."""

    n: int
    mean: float
    s: float
    spread: float
    rsd: float
    rad: float


def replicates(values: Sequence[float]) -> Replicates:
    """Summary of ``values`` (at least one). ``rad`` is the relative average deviation, mean |xᵢ − x̄| / x̄."""
    n = len(values)
    mean = sum(values) / n
    s = sqrt(sum((x - mean) ** 2 for x in values) / (n - 1)) if n > 1 else 0.0
    deviation = sum(abs(x - mean) for x in values) / n
    size = abs(mean)
    return Replicates(
        n, mean, s, max(values) - min(values), s / size if size else 0.0, deviation / size if size else 0.0
    )
