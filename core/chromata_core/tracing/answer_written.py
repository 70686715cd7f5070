"""An answer as its writer means it: a number with half a step either way, and with how many figures."""

import re
from dataclasses import dataclass
from math import isfinite

from chromata_core.quantity.typed import Typed, parse_reading
from chromata_core.quantity.units import conversion

CARRIED = 6e-5  # relative: who carries five figures through the work, and molar masses to 0.01, ends this near
_WHOLE_WITH_ZEROS = re.compile(r"\s*[-+−–]?\s*[1-9]\d*?(0+)(?![\d.,])")


@dataclass(frozen=True, slots=True)
class Written:
    """``value`` in the unit that was asked for; ``halves``: half of its last place, then of the places before trailing
    zeros, which may only fill up a whole number: 24400 J. ``figures`` leave those zeros out.
    """

    value: float
    halves: tuple[float, ...]
    figures: int
    most_figures: int
    decimals: int

    def fits(self, value: float, carried: float = CARRIED) -> bool:
        """Whether it is ``value`` written so. Of one figure alone none can tell, but for zero."""
        if not isfinite(value) or (self.most_figures < 2 and self.value):
            return False
        return abs(self.value - value) <= self.half + carried * abs(value)

    @property
    def half(self) -> float:
        """Half of its last place that may be meant, of two figures at least."""
        enough = [half for zeros, half in enumerate(self.halves) if self.most_figures - zeros >= 2]
        return enough[-1] if enough else self.halves[0]

    @property
    def window(self) -> float:
        """How much of a number, relative, it covers by itself: what chance needs to meet it."""
        return (2 * self.half + 2 * CARRIED * abs(self.value)) / abs(self.value) if self.value else 1.0


def as_written(typed: Typed, symbol: str) -> Written:
    """``typed``, an answer that stands in ``symbol`` already, with the step of the unit in which it was written."""
    first = parse_reading(typed.text)
    factor = abs(conversion(first.unit, symbol)[0]) if first.unit and first.unit != symbol else 1.0
    zeros = _WHOLE_WITH_ZEROS.match(typed.text)
    vague = len(zeros[1]) if zeros and first.decimals == 0 else 0
    halves = tuple(0.5 * 10.0 ** (n - first.decimals) * factor for n in range(vague + 1))
    return Written(float(typed.value), halves, first.figures - vague, first.figures, first.decimals)
