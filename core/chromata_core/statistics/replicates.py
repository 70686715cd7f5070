"""What a laboratory says about replicates."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import fsum, sqrt

from chromata_core.errors import ChromataError


class TooFewError(ChromataError):
    """A statistic that needs more values than it was given."""

    code = "too-few"


@dataclass(frozen=True, slots=True)
class Replicates:
    """Summary of n values: mean, s with n − 1, range, and the relative deviations as fractions of the mean."""

    n: int
    mean: float
    s: float
    spread: float
    rsd: float
    rad: float


def at_least(values: Sequence[float], needed: int, what: str) -> Replicates:
    """Summary of ``values``; TooFewError with a sentence where ``what`` needs more of them."""
    if len(values) < needed:
        raise TooFewError(f"{what} needs at least {needed} values; there are {len(values)}.", n=len(values))
    return replicates(values)


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
