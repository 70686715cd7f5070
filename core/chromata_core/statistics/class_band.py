"""Where a class's results are expected: around the accepted value, or around their own median."""

from collections.abc import Sequence
from dataclasses import dataclass
from statistics import median


@dataclass(frozen=True, slots=True)
class Band:
    """The expected interval, and the axis on which to draw it: the band takes its middle third."""

    low: float
    high: float
    axis_low: float
    axis_high: float
    centre: str


def class_band(values: Sequence[float], expanded: Sequence[float], accepted: float | None) -> Band | None:
    """Accepted value (else the median) ± twice the median expanded uncertainty, or twice 1 % where none is known; None
    without any value.
    """
    if accepted is None and not values:
        return None
    centre = accepted if accepted is not None else median(values)
    half = 2 * ((median(expanded) if expanded else 0.0) or abs(centre) * 0.01)
    return Band(
        centre - half,
        centre + half,
        centre - 3 * half,
        centre + 3 * half,
        "accepted" if accepted is not None else "median",
    )
