"""Value ± expanded uncertainty, written as GUM 7.2.6 asks: U to two figures (or one), the value to the same place."""

from dataclasses import dataclass
from decimal import Decimal
from math import isfinite

from chromata_core.quantity.rounding import (
    decimal_of,
    leading_place,
    place_for_figures,
    plain,
    superscript,
    with_figures,
)


@dataclass(frozen=True, slots=True)
class Reported:
    """A result ready to be shown. ``doubtful`` counts the last characters of ``value`` that the uncertainty reaches.

    ``power`` is the power of ten that multiplies both numbers, empty for none.
    """

    value: str
    uncertainty: str
    power: str
    doubtful: int

    @property
    def text(self) -> str:
        """One line: ``0.8726 ± 0.0051`` or ``(1.12 ± 0.05) × 10⁻¹²``."""
        both = f"{self.value} ± {self.uncertainty}" if self.uncertainty else self.value
        return f"({both}) × {self.power}" if self.power and self.uncertainty else both


def report(value: float | Decimal, expanded: float, figures: int = 2) -> Reported:
    """``value`` ± ``expanded`` in the same unit, rounded half to even; no uncertainty known: four figures."""
    if not (isfinite(value) and isfinite(expanded)):
        return Reported("–", "", "", 0)
    if expanded <= 0:
        return Reported(with_figures(value, 4), "", "", 1)
    number, around = decimal_of(value), decimal_of(expanded)
    exponent = leading_place(max(abs(number), around))
    shift = exponent if exponent < -4 or exponent > 5 else 0
    if place_for_figures(around.scaleb(-shift), figures) < 0:  # plain digits would claim figures that are not there
        shift = exponent
    number, around = number.scaleb(-shift), around.scaleb(-shift)
    place = place_for_figures(around, figures)
    power = f"10{superscript(shift)}" if shift else ""
    # the first digit that U touches, and every digit after it, is in doubt
    return Reported(plain(number, place), plain(around, place), power, max(place + leading_place(around) + 1, 1))
