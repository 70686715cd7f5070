"""What happens to a finished number: a power of ten, the sign, another unit, the ratio turned over."""

from collections.abc import Iterator
from functools import partial
from math import log
from operator import mul

from chromata_core.declaration.vocabulary import Quantity
from chromata_core.errors import UnitError
from chromata_core.quantity.units import conversion
from chromata_core.tracing.change import Change

_NAN = float("nan")
_LN_10 = log(10)
# Units that are taken for each other; thousands among them are powers of ten already.
_FAMILIES = (("J", "cal"), ("kJ", "kcal"), ("kPa", "atm", "mmHg", "bar"), ("Pa", "atm"), ("s", "min", "h"))


def after_changes(quantity: Quantity, logarithm: bool) -> Iterator[Change]:
    """What may happen to the finished number of ``quantity``; ``logarithm``: one stands somewhere before it."""
    for key, says, cost, factor in _FACTORS:
        yield Change(key, says, cost, after=partial(mul, factor))
    yield Change("sign", "the sign is turned", 1.0, after=lambda x: -x)
    yield Change(
        "inverted", "the whole is turned over: it is one divided by it", 1.0, after=lambda x: 1 / x if x else _NAN
    )
    if quantity.unit == "%":
        yield Change("fraction", "a fraction is given for per cent", 1.0, after=lambda x: x / 100)
        yield Change("turned-percent", "the ratio is turned over", 1.0, after=lambda x: 1e4 / x if x else _NAN)
        yield Change("rest", "the rest to 100 % is given", 2.0, after=lambda x: 100 - x)
    elif not quantity.unit:
        yield Change("percent", "per cent is given for a plain number", 1.5, after=lambda x: x * 100)
    if logarithm:
        yield Change(
            "ln-10", "ln is taken for log₁₀, or the factor 2.303 is one too many", 1.5, after=lambda x: x * _LN_10
        )
        yield Change("ln-10", "log₁₀ is taken for ln, or the factor 2.303 is left out", 1.5, after=lambda x: x / _LN_10)
    yield from _other_units(quantity.unit)


_FACTORS = (
    ("thousand-up", "a unit is off by a thousand, such as mL for L, mg for g or J for kJ", 1.0, 1e3),
    ("thousand-down", "a unit is off by a thousand, such as L for mL, g for mg or kJ for J", 1.0, 1e-3),
    ("ten-up", "the decimal point is one place too far right: ten times too much", 1.5, 10.0),
    ("ten-down", "the decimal point is one place too far left: a tenth", 1.5, 0.1),
    ("million-up", "a unit is off by a million, such as µmol for mol", 2.0, 1e6),
    ("million-down", "a unit is off by a million, such as mol for µmol", 2.0, 1e-6),
    ("milliard-up", "a unit is off by a thousand three times over, as in a third power", 2.5, 1e9),
)  # fmt: skip


def _other_units(symbol: str) -> Iterator[Change]:
    """The number as it stands in another unit of the same kind: kilojoules where kilocalories are asked for."""
    for family in _FAMILIES:
        for known in family:
            for other in family:
                written = _in_place_of(symbol, known, other)
                if written:
                    yield from _written_in(symbol, written)


def _in_place_of(symbol: str, known: str, other: str) -> str:
    head, stroke, rest = symbol.partition("/")
    return f"{other}{stroke}{rest}" if head == known and other != known else ""


def _written_in(symbol: str, other: str) -> Iterator[Change]:
    try:
        factor, _ = conversion(symbol, other)
    except UnitError:
        return
    yield Change(f"unit:{other}", f"the number is in {other}, not in {symbol}", 1.0, after=lambda x: x * factor)
    yield Change(f"from:{other}", f"it is turned from {other} into {symbol} the wrong way, or once too often", 1.5,
                 after=lambda x: x / factor)  # fmt: skip
