"""Readings and constants taken otherwise than they were written: copied wrongly, another substance, a usual value."""

import re
from collections.abc import Iterator
from itertools import pairwise

from chromata_core.chemistry.mistaken_mass import mistaken_masses
from chromata_core.declaration.option_kinds import NumberOption, SubstanceOption
from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Reading, Series
from chromata_core.engine.context import Context
from chromata_core.quantity.rounding import plain, with_figures
from chromata_core.quantity.typed import parse_reading
from chromata_core.quantity.units import unit
from chromata_core.sentences import first_lower
from chromata_core.tracing.change import Change

_POWER = re.compile(r"[eE×x*·⋅]")
_DIGITS = "two digits changed places"
_FEW_PLACES, _NEAREST = 3, 8
_LONG_SERIES = 12  # rows: of a whole curve one point hardly shows
# Gas constants by heart, as bare numbers: J, L·atm, cal, L·mmHg.
_GAS_CONSTANTS = ("8.314", "0.08206", "1.987", "62.36")
_STANDARD_PRESSURES = (("101.325", "1 atm (101.325 kPa)"), ("100", "100 kPa"))


def inputs_taken(at: Context, feeding: frozenset[str]) -> Iterator[Change]:
    """Every reading and constant that feeds the result, taken otherwise."""
    for option in at.bound.method.all_options:
        if option.key not in feeding:
            continue
        if isinstance(option, SubstanceOption):
            yield from _masses(at, option)
        elif isinstance(option, NumberOption) and option.symbol:
            yield from _numbers(at, option)
    for reading in at.bound.readings:
        if reading.key in feeding:
            yield from _copied(at, reading)
            yield from _usual(at, reading)


def _masses(at: Context, option: SubstanceOption) -> Iterator[Change]:
    formula = at.bound.options[option.key]
    others = [o for o in at.bound.method.all_options if isinstance(o, SubstanceOption)]
    here = [at.bound.options[other.key] for other in others]
    offered = [choice.key for choice in option.choices]
    beside = tuple(dict.fromkeys(name for name in (*here, *offered) if name != formula))
    waters = [f"{formula}.{n}H2O" for n in (1, 2, 5, 6, 7, 10)] if "H2O" in here and formula != "H2O" else []
    scale, name = unit("g/mol"), f"the molar mass of “{first_lower(option.label)}” is taken as"
    right = with_figures(scale.from_si(float(at.computed.bench[option.key].real.flat[0])), 5)
    for mass, of in mistaken_masses(formula, (*beside, *waters)):
        says = f"{name} {with_figures(scale.from_si(mass), 5)} instead of {right} g/mol, {of}"
        yield Change(f"molar-mass:{option.key}", says, 2.0, place=option.key, instead=mass)
    for copied in swapped_digits(right):
        says = f"{name} {copied} instead of {right} g/mol: {_DIGITS}"
        wrong = scale.to_si(float(parse_reading(copied).value))
        yield Change("transposed", says, 2.0, place=option.key, instead=wrong)


def _numbers(at: Context, option: NumberOption) -> Iterator[Change]:
    scale, text = unit(option.unit), at.bound.options[option.key]
    if option.fixed:
        for other in _GAS_CONSTANTS if scale.dimension == unit("J/(mol*K)").dimension else ():
            if abs(float(other) / float(at.number(option.key)) - 1) > 0.01:
                says = f"the gas constant is taken as {other}, which belongs to other units"
                yield Change("gas-constant", says, 1.0, place=option.key, instead=scale.to_si(float(other)))
        return
    for wrong in swapped_digits(text):
        says = f"“{first_lower(option.label)}” is taken as {wrong} instead of {text}: {_DIGITS}"
        yield Change("transposed", says, 2.0, place=option.key, instead=scale.to_si(float(parse_reading(wrong).value)))


def _copied(at: Context, reading: Reading) -> Iterator[Change]:
    """Neighbouring digits the other way round; another row or trial of the same reading."""
    here = {place: typed for place, typed in at.bound.typed.items() if place.key == reading.key}
    if isinstance(reading, Series) and len(here) > _LONG_SERIES * max(len(at.computed.trials), 1):
        return
    nearest = dict(list(here.items())[:_NEAREST])
    for place, typed in here.items():
        text = plain(typed.value, typed.decimals).replace("−", "-")
        where = f", {at.trial_name(place.trial)}" if place.trial is not None else ""
        where += f", reading {place.row}" if place.row is not None else ""
        name = f"“{first_lower(reading.label)}”{where},"
        for wrong in swapped_digits(text):
            says = f"{name} is taken as {wrong} instead of {text}: {_DIGITS}"
            yield Change("transposed", says, 2.0, place=place, instead=_in_si(at, reading, float(wrong)))
        for power, side in ((10, "right"), (0.1, "left")):
            says = f"{name} has its decimal point one place too far {side}"
            yield Change("point", says, 3.0, place=place, instead=_in_si(at, reading, float(typed.value) * power))
        others = {other.value: n for (_, n, row), other in nearest.items() if n != place.trial and row == place.row}
        for value, trial in others.items():
            if value != typed.value and trial is not None:
                says = f"{name} is taken from {at.trial_name(trial)}"
                yield Change("other-trial", says, 2.5, place=place, instead=_in_si(at, reading, float(value)))


def copied_everywhere(at: Context, feeding: frozenset[str]) -> Iterator[tuple[Change, ...]]:
    """A number that stands at two places, such as what a vial weighs after one portion and before the next, copied
    wrongly at both.
    """
    same: dict[str, list[tuple[Reading, Place]]] = {}
    for reading in (r for r in at.bound.readings if r.key in feeding and not isinstance(r, Series)):
        for place, typed in at.bound.typed.items():
            if place.key == reading.key:
                same.setdefault(plain(typed.value, typed.decimals), []).append((reading, place))
    for text, places in same.items():
        for wrong in swapped_digits(text.replace("−", "-")) if 2 <= len(places) <= _FEW_PLACES else ():
            says = f"{text} is taken as {wrong}: {_DIGITS}"
            yield tuple(
                Change("transposed", says, 2.0 / len(places), place=place, instead=_in_si(at, reading, float(wrong)))
                for reading, place in places
            )


def _in_si(at: Context, reading: Reading, value: float) -> float:
    return unit(reading.unit).to_si(at.bound.instruments[reading.role].corrected(value))


def _usual(at: Context, reading: Reading) -> Iterator[Change]:
    """A value out of a book where one was measured."""
    places = [place for place in at.bound.typed if place.key == reading.key]
    if len(places) != 1 or unit(reading.unit).dimension != unit("kPa").dimension:
        return
    for value, says in _STANDARD_PRESSURES:
        told = f"{says}, the standard pressure, is used instead of “{first_lower(reading.label)}”"
        yield Change("standard-pressure", told, 1.0, place=places[0], instead=unit("kPa").to_si(float(value)))


def swapped_digits(text: str) -> Iterator[str]:
    """``text`` with each neighbouring pair of different digits the other way round; a power of ten stays."""
    digits = [column for column, sign in enumerate(_POWER.split(text)[0]) if sign.isdigit()]
    for left, right in pairwise(digits):
        if text[left] != text[right]:
            yield text[:left] + text[right] + text[left + 1 : right] + text[left] + text[right + 1 :]
