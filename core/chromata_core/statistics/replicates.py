"""What a laboratory says about replicates."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import fsum, sqrt


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
    mean = fsum(values) / n
    # two passes, with what is left of Σ(x − x̄) taken out: exact sums lose nothing to large means (NIST StRD NumAcc)
    centred = [x - mean for x in values]
    s = sqrt(max(fsum(d * d for d in centred) - fsum(centred) ** 2 / n, 0.0) / (n - 1)) if n > 1 else 0.0
    deviation = fsum(abs(d) for d in centred) / n
    size = abs(mean)
    return Replicates(
        n, mean, s, max(values) - min(values), s / size if size else 0.0, deviation / size if size else 0.0
    )
