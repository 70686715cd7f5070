"""The mean of replicates, with its random part taken once: from the spread, or from the readings' own known errors.

The spread of trials already contains each trial's own errors (reading the scale, judging the end point), so the two
are never added. The larger is used: with few trials the spread may be small by luck, and an instrument cannot be
read better than it can be read (GUM F.2.2.1). Shared causes (one burette's calibration) stay as they are: repeating
does not average them away. See docs/decisions/0003-spread-or-own-errors.md.
"""

from math import sqrt

from chromata_core.formula.functions import Column
from chromata_core.uncertainty.columns import STEP


def mean_column(trials: Column, own: Column, spread_at: int) -> Column:
    """Mean over the first axis of ``trials`` (trials × sources); its spread goes into column ``spread_at``."""
    mean: Column = trials.mean(axis=0)
    n = trials.shape[0]
    if n < 2:
        return mean
    values = trials.real[:, 0]
    type_a = sqrt(float(((values - values.mean()) ** 2).sum()) / (n - 1) / n)
    known = sqrt(float(((mean.imag[own] / STEP) ** 2).sum()))
    if type_a <= known:
        return mean
    replaced: Column = mean.copy()
    replaced.imag[own] = 0.0
    replaced.imag[spread_at] = type_a * STEP
    return replaced
