"""The one door for numbers that people give: text in, a number in the unit that is expected there out.

Readings, choices and their ±, lists, accepted values, own answers and files all come through here.
"""

from decimal import Decimal
from math import isfinite

from chromata_core.errors import ReadingError
from chromata_core.quantity.typed import Typed, parse_reading
from chromata_core.quantity.units import conversion


def read_in(text: str, unit: str, difference: bool = False) -> Typed:
    """The number in ``text`` in ``unit``: a unit typed behind it is converted, its decimals moved with it. Of a
    ``difference`` the scale's zero is left out: 1.8 °F is a step of 1 °C.

    Raises ReadingError for what is no number, UnitError for a unit that is not known or does not fit.
    """
    typed = parse_reading(text)
    if not typed.unit or typed.unit == unit:
        return typed
    factor, offset = conversion(typed.unit, unit)
    by = Decimal(repr(factor))
    value = typed.value * by + (0 if difference else Decimal(repr(offset)))
    return Typed(typed.text, value, typed.decimals - by.adjusted(), typed.figures, unit)


def plain_number(text: str) -> float | None:
    """A finite number that stands there bare, as programs write it; None for anything else, such as a formula."""
    try:
        value = float(text)
    except ValueError:
        return None
    return value if isfinite(value) else None


def written_in(text: str, unit: str, difference: bool = False) -> str:
    """``text`` as a bare number in ``unit``, its figures kept: “100 mmol/L” is “0.100” where mol/L is expected."""
    typed = read_in(text, unit, difference)
    if typed.unit and parse_reading(text).unit != unit:
        return _digits(typed)
    return text.removesuffix(typed.unit).strip() if typed.unit else text.strip()


def limit_in(text: str, value: Decimal, unit: str) -> str:
    """What stands behind ±, as a bare number in ``unit``; “0.5 %” is a part of ``value``, which is none itself."""
    typed = parse_reading(text)
    if typed.unit != "%" or unit == "%":
        return written_in(text, unit, difference=True)
    return f"{(typed.value * abs(value) / 100).normalize():f}"


def _digits(typed: Typed) -> str:
    """All that was written, and two digits more where the units are no powers of ten apart."""
    exact = typed.value.normalize()
    kept = max(typed.decimals, min(-int(exact.as_tuple().exponent), typed.decimals + 2), 0)
    return f"{typed.value:.{kept}f}"


def finite(number: object, what: str, least: float | None = None) -> float:
    """A number of a file that is one: no text, no truth value, not NaN; ReadingError with a sentence if it is not."""
    if isinstance(number, bool) or not isinstance(number, int | float) or not abs(number) < float("inf"):
        raise ReadingError(f"{what} must be a number, not {number!r:.30}.")
    if least is not None and number < least:
        raise ReadingError(f"{what} is {number:g}; it cannot be under {least:g}.")
    return float(number)
