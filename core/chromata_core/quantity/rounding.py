"""Rounding as on paper: half to even, on the decimal text of a number, never on its binary float."""

from decimal import ROUND_HALF_EVEN, Decimal
from functools import lru_cache
from math import isfinite


def decimal_of(value: float | Decimal) -> Decimal:
    """The decimal a person would write for ``value``: 0.1 is 0.1, not 0.1000000000000000055."""
    return value if isinstance(value, Decimal) else Decimal(repr(float(value)))


def rounded(value: float | Decimal, place: int) -> Decimal:
    """``value`` to ``place`` digits after the point (negative: tens, hundreds), half to even."""
    return decimal_of(value).quantize(_last(place), rounding=ROUND_HALF_EVEN)


@lru_cache(64)
def _last(place: int) -> Decimal:
    """One of the last digit that stays."""
    return Decimal(1).scaleb(-place)


def leading_place(value: float | Decimal) -> int:
    """Power of ten of the first significant digit: 0 for 3.2, −2 for 0.051, 1 for 22.6. Zero counts as 0."""
    number = decimal_of(value)
    return number.adjusted() if number else 0


def place_for_figures(value: float | Decimal, figures: int) -> int:
    """Digits after the point that leave ``value`` with so many significant figures, once it is rounded."""
    leading = leading_place(value)
    place = figures - 1 - leading
    grew = leading_place(rounded(value, place)) > leading  # 9.96 to two figures is 10, not 10.0
    return place - 1 if grew else place


def plain(value: float | Decimal, place: int) -> str:
    """``value`` rounded and written out with a true minus sign; zeros before the point fill negative places."""
    number = rounded(value, place)
    text = f"{abs(number):f}"
    return f"−{text}" if number < 0 else text


def with_figures(value: float | Decimal, figures: int) -> str:
    """``value`` with so many significant figures, in scientific form where plain digits would mislead."""
    if not isfinite(value):
        return "–"
    number = decimal_of(value)
    if number == 0:
        return "0"
    place = place_for_figures(number, figures)
    exponent = leading_place(rounded(number, place))
    if -5 < exponent < 6 and place >= 0:
        return plain(number, place)
    return (
        f"{plain(number.scaleb(-exponent), figures - 1)} × 10{superscript(exponent)}" if exponent else plain(number, 0)
    )


def superscript(number: int) -> str:
    """An integer in superscript characters."""
    return str(number).translate(str.maketrans("-0123456789", "⁻⁰¹²³⁴⁵⁶⁷⁸⁹"))
