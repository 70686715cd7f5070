"""Axes with round ticks, and words that keep clear of points and of one another."""

from collections.abc import Callable, Iterable, Sequence
from dataclasses import dataclass
from math import ceil, floor, log10

from chromata_core.quantity.rounding import with_figures
from chromata_core.telling.plot import WIDTH, PlotText, Point

_AIR = 0.06  # of the span, above and below
_TICKS = 5
_LEAST = 1e-200  # nearer together than this is the same
_LETTER = 0.55  # width of a letter in sizes of its type, on the average
_LONGEST_WORD = 15


@dataclass(frozen=True, slots=True)
class Axis:
    """Where values stand between two places of the page, and the round numbers among them."""

    at: Callable[[float], float]
    ticks: list[float]


def axis_of(values: Iterable[float], start: float, end: float, least: float = 0.0, air: float = _AIR) -> Axis:
    """An axis over ``values`` with a little air and about five round ticks, no closer than ``least``."""
    known = list(values)
    low, high = min(known), max(known)
    size = high - low if high - low > _LEAST else abs(high) if abs(high) > _LEAST else 1.0
    room = size * air
    low, high = low - room, high + room
    step = max(_round_step((high - low) / _TICKS), least)
    first = ceil(low / step - 1e-9)
    ticks = [(first + n) * step for n in range(int(floor(high / step + 1e-9) - first) + 1)]
    return Axis(lambda value: start + (value - low) / (high - low) * (end - start), ticks)


def _round_step(wanted: float) -> float:
    """The nearest of 1, 2 and 5 times a power of ten."""
    power = 10.0 ** floor(log10(wanted))
    lead = wanted / power
    return float(power * (1 if lead < 1.5 else 2 if lead < 2.8 else 5 if lead < 7 else 10))


def tick_text(value: float) -> str:
    """A tick's number without the dust of binary fractions."""
    return f"{value:.6g}".replace("-", "−")


def value_text(value: float) -> str:
    """A value that is read off: four figures, without zeros that nobody measured."""
    text = with_figures(value, 4)
    return text.rstrip("0").rstrip(".") if "." in text and "×" not in text else text


class Words:
    """Words that were placed, so that later ones keep clear of them and of the points."""

    def __init__(self, points: Sequence[Point]) -> None:
        self.points, self.taken, self.texts = points, list[tuple[float, float, float, float]](), list[PlotText]()

    def put(self, *places: PlotText) -> None:
        """Takes the first of the places that is free; where none is, the one with least in its way."""
        best = min(places, key=lambda text: (self._in_the_way(text), places.index(text)))
        self.taken.append(_box(best))
        self.texts.append(best)

    def _in_the_way(self, text: PlotText) -> int:
        left, top, right, bottom = _box(text)
        outside = 4 * (left < 0 or right > WIDTH)
        words = sum(l < right and r > left and t < bottom and b > top for l, t, r, b in self.taken)  # noqa: E741
        return outside + words + sum(left - 3 < x < right + 3 and top - 3 < y < bottom + 3 for x, y in self.points)


def _box(text: PlotText) -> tuple[float, float, float, float]:
    wide = len(text.text) * text.size * _LETTER
    left = text.x - {"start": 0.0, "middle": wide / 2, "end": wide}[text.anchor]
    return left, text.y - text.size * 0.8, left + wide, text.y + text.size * 0.2


def wrapped(text: str, most: int = _LONGEST_WORD) -> list[str]:
    """``text`` in at most three lines of a few words each."""
    lines: list[str] = []
    for word in text.split(" "):
        if lines and len(lines[-1]) + len(word) < most:
            lines[-1] += f" {word}"
        else:
            lines.append(word)
    return lines[:3]
