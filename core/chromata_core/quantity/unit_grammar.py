"""The strict grammar of units. Free text never reaches a library that would work out its powers.

    unit     = product [ "/" divisor { "/" divisor } ]
    product  = factor { ("·" | "*" | " ") factor }
    divisor  = factor | "(" product ")"
    factor   = name [ exponent ] | "1"
    exponent = ("^" | "**") ["-"] digit [digit] | the same in raised digits

A product behind a stroke wants brackets: J/mol·K is read in two ways, so it is not read at all (SI brochure, 9th ed.,
section 5.2).
"""

import re
from collections.abc import Iterator

from chromata_core.errors import UnitError
from chromata_core.quantity.definitions import DEFINITIONS

LONGEST = 40
_RAISED = str.maketrans("⁰¹²³⁴⁵⁶⁷⁸⁹⁻", "0123456789-")
# Signs that stand in names of the laboratory but not in definitions.
SPOKEN = {
    "%": "percent", "%T": "1",  # as the scale counts, so that A = 2 − log₁₀ %T
    "M": "mol/L", "mM": "mmol/L", "µM": "µmol/L", "°C": "degC", "°F": "degF", "ml": "mL", "cc": "cm^3", "cmHg": "cm_Hg",
    "mmHg": "mm_Hg", "inHg": "in_Hg", "°": "degree", "g/100 mL": "g/dL",
}  # fmt: skip
_FACTOR = re.compile(
    r"(?P<name>[A-Za-zµμ°%_]+)(?:(?:\^|\*\*)(?P<power>-?\d{1,2})(?!\d)|(?P<raised>⁻?[⁰¹²³⁴⁵⁶⁷⁸⁹]{1,2})(?![⁰¹²³⁴⁵⁶⁷⁸⁹]))?"
)
_TIMES = re.compile(r"\s*[·*]\s*|\s+")


_TAKE_PREFIXES = frozenset(
    ("meter", "second", "gram", "kelvin", "mole", "ampere", "liter", "joule", "watt", "pascal", "bar", "torr",
     "calorie", "coulomb", "volt")
)  # fmt: skip


def _names() -> Iterator[str]:
    """Every name there is: each unit of the definitions, those of a measure also behind every prefix."""
    rows = [[part.strip() for part in line.split("=")] for line in DEFINITIONS.strip().splitlines()]
    named = [(row[0], row[2:]) for row in rows]
    prefixes = [symbol.rstrip("-") for name, symbols in named if name.endswith("-") for symbol in (name, *symbols)]
    for name, symbols in named:
        if not name.endswith("-"):
            yield from (name, *symbols)
        if name in _TAKE_PREFIXES:
            # The kilogram is defined, and the gram by it: “kgram” would have pint define it by the gram, in a circle
            # from which no mass returns.
            fitting = [prefix for prefix in prefixes if name != "gram" or prefix not in ("kilo", "k")]
            yield from (f"{prefix}{symbol}" for prefix in fitting for symbol in (name, *symbols))


NAMES = frozenset(_names())


def factors_of(text: str) -> tuple[tuple[str, int], ...]:
    """Names and whole exponents that ``text`` multiplies, in order; UnitError with a sentence for anything else."""
    plain = text.strip()
    if len(plain) > LONGEST:
        raise _unknown(f"{plain[:12]}…")
    spoken = SPOKEN.get(plain, plain)
    if not spoken:
        return ()
    upper, *lower = spoken.split("/")
    factors = list(_product(upper, text, 1))
    for divisor in lower:
        bare = divisor.strip()
        bracketed = bare.startswith("(") and bare.endswith(")")
        inside = list(_product(bare[1:-1] if bracketed else bare, text, -1))
        if len(inside) > 1 and not bracketed:
            raise UnitError(f"“{text}” can be read in two ways. Put what is divided by in brackets, as in J/(mol·K).")
        factors += inside
    return tuple(factors)


def _product(symbol: str, text: str, sign: int) -> Iterator[tuple[str, int]]:
    for part in _TIMES.split(symbol.replace("**", "^").strip()):
        match = _FACTOR.fullmatch(part)
        if part == "1":
            continue
        if match is None or match["name"] not in NAMES | SPOKEN.keys():
            raise _unknown(text)
        power = sign * int(match["power"] or (match["raised"] or "1").translate(_RAISED))
        spoken = SPOKEN.get(match["name"])
        yield from (
            ((name, power * inner) for name, inner in factors_of(spoken)) if spoken else ((match["name"], power),)
        )


def _unknown(text: str) -> UnitError:
    return UnitError(f"“{text}” is not a unit known here. Write it as on the instrument, such as mL, g or mol/L.")
