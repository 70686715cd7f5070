"""Indicators of acid and base by their colours: ranges of the usual handbook tables, from memory."""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

Colour = Literal["none", "pink", "magenta", "red", "orange", "yellow", "green", "blue", "violet"]
_SEEN, _WHOLE = 0.08, 0.85  # shares of one form at which an eye sees it, and sees nothing else; common practice


@dataclass(frozen=True, slots=True)
class Indicator:
    """Its colour in acid, at its own pK and in base. The one between is what a titration stops at, where it has one."""

    pk: float
    acid: Colour
    between: Colour
    base: Colour

    def base_share(self, ph: float) -> float:
        """How much of it is in its basic form: 1/(1 + 10^(pK − pH))."""
        return float(1 / (1 + 10.0 ** (self.pk - ph)))

    def colour(self, ph: float) -> Colour:
        """What an eye sees."""
        share = self.base_share(ph)
        one_sided = self.acid == "none"  # a little of a colour beside none is seen at once
        low, high = (_SEEN, _WHOLE) if one_sided else (0.25, 0.75)
        return self.acid if share < low else self.base if share > high else self.between


@dataclass(frozen=True, slots=True)
class Chart:
    """Universal indicator: ``steps`` say up to which pH it has which colour."""

    steps: tuple[tuple[float, Colour], ...]

    def colour(self, ph: float) -> Colour:
        """What the chart shows at ``ph``."""
        return next(colour for top, colour in self.steps if ph <= top)


_PHENOLPHTHALEIN = Indicator(9.4, "none", "pink", "magenta")
INDICATORS: Mapping[str, Indicator | Chart] = {
    "phenolphthalein": _PHENOLPHTHALEIN,
    "phenolphthalein-gone": _PHENOLPHTHALEIN,
    "methyl-orange": Indicator(3.4, "red", "orange", "yellow"),
    "bromothymol-blue": Indicator(7.1, "yellow", "green", "blue"),
    "universal": Chart(
        ((4.0, "red"), (5.3, "orange"), (6.6, "yellow"), (7.8, "green"), (9.5, "blue"), (99.0, "violet"))
    ),
}
