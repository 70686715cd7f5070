"""The random part of a mean of replicates: from their spread, or from the readings' own known errors, never from both.

The spread of trials already contains each trial's own errors (reading the scale, judging the end point), so the two
are never added. The larger is used: with few trials the spread may be small by luck, and an instrument cannot be
read better than it can be read (GUM F.2.2.1). Shared causes (one burette's calibration) stay as they are: repeating
does not average them away. See docs/decisions/0003-spread-or-own-errors.md.
"""

from math import sqrt

from chromata_core.quantity.column import Column


def random_part(values: Column, own: Column) -> float | None:
    """Standard uncertainty of the mean of ``values`` from their spread (type A, s/√n), in their unit.

    None where there is one value, or where the known ``own`` contributions to the mean are larger and stay.
    """
    n = len(values)
    if n < 2:
        return None
    type_a = sqrt(float(((values - values.mean()) ** 2).sum()) / (n - 1) / n)
    return None if type_a <= sqrt(float((own**2).sum())) else type_a
