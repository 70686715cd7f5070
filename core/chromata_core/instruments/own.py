"""Instruments of one's own: a kind that the catalogue has, with a scale, decimals and tolerance of its own."""

from collections.abc import Mapping
from dataclasses import dataclass, fields, replace
from decimal import Decimal
from typing import Any, Literal

from chromata_core.errors import ChromataError, ReadingError
from chromata_core.instruments.catalogue import instrument
from chromata_core.instruments.instrument import ErrorTerm, Instrument
from chromata_core.quantity.given import written_in
from chromata_core.quantity.typed import parse_reading

_LONGEST, _MOST_DECIMALS, _MOST_SCALES = 60, 6, 6
_OWN_BASIS = "as its owner states it"


@dataclass(frozen=True, slots=True)
class OwnScale:
    """What its owner says of an instrument, numbers as texts in the unit of ``base``, the catalogue's nearest one.

    ``tolerance`` is the limit of its systematic error and ``basis`` where that is from. ``scales`` are the full swings
    of all its scales where it has several; ``high`` is the one in use. An empty text leaves what ``base`` has.
    """

    base: str
    name: str
    low: str = ""
    high: str = ""
    graduation: str = ""
    decimals: str = ""
    tolerance: str = ""
    basis: str = ""
    numbers_run: Literal["", "up", "down"] = ""
    scales: str = ""


def own_instrument(slug: str, scale: OwnScale) -> Instrument:
    """The instrument ``slug`` with that ``scale``; ReadingError with a sentence for what no instrument can be."""
    base, name = instrument(scale.base), scale.name.strip()
    if not name or len(name) > _LONGEST:
        raise ReadingError(f"Give the instrument a name of up to {_LONGEST} letters, as it is called in your room.")
    one_mark = base.low == base.high
    high = _number("its end", scale.high or base.high, base.unit)
    low = high if one_mark else _number("its beginning", scale.low or base.low, base.unit)
    step = high if one_mark else _number("its smallest step", scale.graduation or base.graduation, base.unit)
    _scale_holds(low, high, step, one_mark)
    numbers_run = (scale.numbers_run or base.numbers_run) if base.numbers_run else ""
    return replace(
        base, slug=slug, short=name, label=f"the {base.kind} “{name}”", low=f"{low:f}", high=f"{high:f}",
        graduation=f"{step:f}", decimals=_decimals(scale.decimals, base), errors=_errors(base, scale, step),
        numbers_run=numbers_run, scales=_scales(scale, base, high), basis=scale.basis.strip() or _OWN_BASIS,
    )  # fmt: skip


def own_scale(kept: object) -> OwnScale:
    """What was kept of an own instrument; ReadingError if it is none."""
    names = {field.name for field in fields(OwnScale)}
    if not isinstance(kept, Mapping) or not set(kept) <= names or not all(isinstance(kept[key], str) for key in kept):
        raise ReadingError(f"An instrument of one's own has {', '.join(sorted(names))}, texts all, and nothing else.")
    if not {"base", "name"} <= set(kept) or kept.get("numbers_run", "") not in ("", "up", "down"):
        raise ReadingError("An instrument of one's own needs a base and a name; its numbers run up or down.")
    kept_fields: dict[str, Any] = dict(kept)
    return OwnScale(**kept_fields)


def _number(what: str, text: str, unit: str) -> Decimal:
    try:
        return parse_reading(written_in(text, unit)).value
    except ChromataError as error:
        raise ReadingError(f"“{text[:30]}” cannot be {what}. {error.message}") from error


def _scale_holds(low: Decimal, high: Decimal, step: Decimal, one_mark: bool) -> None:
    if high <= 0 or (low >= high and not one_mark):
        raise ReadingError(f"A scale runs from a smaller to a larger number above zero, not from {low} to {high}.")
    if step <= 0 or (step > high - low and not one_mark):
        raise ReadingError(f"A smallest step of {step} does not fit into a scale from {low} to {high}.")
    if not one_mark and (high - low) / step > 10**9:
        raise ReadingError("That is far finer than any instrument shows. Look at the smallest step again.")


def _decimals(text: str, base: Instrument) -> int:
    if not text.strip():
        return base.decimals
    if not text.strip().isascii() or not text.strip().isdigit() or int(text.strip()[:3]) > _MOST_DECIMALS:
        raise ReadingError(f"The decimals to write are a whole number from 0 to {_MOST_DECIMALS}.")
    return int(text)


def _scales(scale: OwnScale, base: Instrument, high: Decimal) -> tuple[str, ...]:
    if not base.scales or not scale.scales.strip():
        return base.scales if base.scales and not scale.high else (f"{high:f}",) if base.scales else ()
    numbers = [_number("a scale", part, base.unit) for part in scale.scales.split(";")]
    if len(numbers) > _MOST_SCALES or min(numbers) <= 0 or high not in numbers:
        raise ReadingError(f"Give up to {_MOST_SCALES} scales with semicolons between them, the one in use among them.")
    return tuple(f"{number:f}" for number in numbers)


def _errors(base: Instrument, scale: OwnScale, step: Decimal) -> tuple[ErrorTerm, ...]:
    """Those of its kind: the tolerance as stated, what is read off its marks as fine as they are."""
    finer = step / Decimal(base.graduation)
    return tuple(_error(term, scale, finer, base) for term in base.errors)


def _error(term: ErrorTerm, scale: OwnScale, finer: Decimal, base: Instrument) -> ErrorTerm:
    basis = scale.basis.strip() or _OWN_BASIS
    if term.kind == "tolerance" and scale.tolerance.strip():
        limit = _number("its tolerance", scale.tolerance, base.unit)
        if limit < 0:
            raise ReadingError("A tolerance is a limit on both sides, such as 0.05: it is not below zero.")
        return replace(
            term, half_width=f"{limit:f}", relative=False, basis=f"±{limit:f} {base.unit}, {basis}".replace(" ,", ",")
        )
    if term.kind == "readability" and not term.relative:
        return replace(term, half_width=f"{Decimal(term.half_width) * finer:f}", basis=f"its smallest step, {basis}")
    return term
