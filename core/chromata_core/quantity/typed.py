"""A reading is text with meaning: ``5.00`` and ``5`` are different records.

The typed text is kept; value, decimals and significant figures are derived from it and never the other way round.
"""

import re
from dataclasses import dataclass
from decimal import Decimal
from functools import lru_cache

from chromata_core.errors import ReadingError

_NUMBER = re.compile(
    r"(?P<sign>[+-]?)(?P<digits>\d+(?:[.,]\d*)?|[.,]\d+)(?:\s*(?:[eE]|[×x*·⋅]\s*10\s*\^?)\s*(?P<exponent>[-+⁺⁻]?[\d⁰¹²³⁴⁵⁶⁷⁸⁹]{1,3}))?"
)
_LONGEST = 40
_LARGEST_EXPONENT = 30
_MINUS_SIGNS = str.maketrans({"−": "-", "–": "-", "\u00a0": " ", "\u202f": " "})
_SUPERSCRIPTS = str.maketrans("⁰¹²³⁴⁵⁶⁷⁸⁹⁻⁺", "0123456789-+")


@dataclass(frozen=True, slots=True)
class Typed:
    """A number as somebody wrote it.

    ``decimals`` counts digits after the point (negative for 1.2e3), ``figures`` the significant figures.
    ``unit`` is the unit text typed behind the number, empty if none.
    """

    text: str
    value: Decimal
    decimals: int
    figures: int
    unit: str = ""


@lru_cache(maxsize=4096)
def parse_reading(text: str) -> Typed:
    """The number that ``text`` states, with its decimals and figures.

    A comma is read as the decimal point; a unit may follow ("24.10 mL"). Raises ReadingError with a sentence
    for anything else.
    """
    cleaned = text.translate(_MINUS_SIGNS).strip()
    if not cleaned:
        raise ReadingError("Nothing was written. Read the instrument and write the number it shows.")
    if len(cleaned) > _LONGEST:
        raise ReadingError(f"“{cleaned[:12]}…” is too long for one reading. Write one number, such as 22.64.")
    if not cleaned.isprintable():
        raise ReadingError("The reading holds characters that cannot be shown. Write digits and a decimal point.")
    match = _NUMBER.match(cleaned)
    rest = cleaned[match.end() :].strip() if match else cleaned
    if match is None or _looks_like_more_number(rest):
        raise ReadingError(f"“{cleaned}” is not one number. Write digits and a decimal point, such as 22.64.")
    return _typed(text.strip(), match, rest)


def _looks_like_more_number(rest: str) -> bool:
    return bool(rest) and (rest[0] in "0123456789.,+-" or re.search(r"[\s.,]\d", rest) is not None)


def _typed(text: str, match: re.Match[str], unit: str) -> Typed:
    digits = match["digits"].replace(",", ".")
    if not all(c in "0123456789." for c in digits):
        raise ReadingError(f"“{text}” uses digits of another script. Write it with 0 to 9.")
    exponent = int((match["exponent"] or "0").translate(_SUPERSCRIPTS))
    if abs(exponent) > _LARGEST_EXPONENT:
        raise ReadingError(f"“{text}” is far outside what any instrument shows. Check the power of ten.")
    whole, _, fraction = digits.partition(".")
    value = Decimal(f"{match['sign']}{digits}".rstrip(".")).scaleb(exponent)
    return Typed(text, value, len(fraction) - exponent, _figures(whole, fraction), unit)


def _figures(whole: str, fraction: str) -> int:
    """Significant figures: leading zeros do not count, written trailing zeros do (0.0 counts its one zero)."""
    return max(len((whole + fraction).lstrip("0")), 1)
