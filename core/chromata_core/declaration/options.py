"""Choices of a session: which parts exist under them, and every number of them in its unit."""

from collections.abc import Mapping, Sequence
from decimal import Decimal
from typing import Protocol, TypeVar

from chromata_core.chemistry.molar_mass import molar_mass
from chromata_core.declaration.names import When
from chromata_core.declaration.option_kinds import ChoiceOption, ListOption, NumberOption, Option, SubstanceOption
from chromata_core.declaration.vocabulary import Method
from chromata_core.errors import ChromataError, ReadingError, SheetError, unknown
from chromata_core.quantity.given import limit_in, written_in
from chromata_core.quantity.typed import parse_reading


class _Conditional(Protocol):
    @property
    def when(self) -> When: ...


Part = TypeVar("Part", bound=_Conditional)


def active(parts: Sequence[Part], options: Mapping[str, str]) -> tuple[Part, ...]:
    """The parts that exist under these options."""
    return tuple(part for part in parts if holds(part.when, options))


def holds(when: When, options: Mapping[str, str]) -> bool:
    """Whether every option named in ``when`` is set as it says."""
    wanted = (when or {}).items()
    return all(options.get(key) in ((choice,) if isinstance(choice, str) else choice) for key, choice in wanted)


def otherwise(method: Method, common: Mapping[str, str], own: Mapping[str, str]) -> dict[str, str]:
    """What is chosen for one sample otherwise than in ``common``: ``own``, and what its choices set. A number that was
    chosen for all stays; one that only followed from a common choice does not.
    """
    texts = dict(own)
    for option in method.all_options:
        choices = option.choices if isinstance(option, ChoiceOption | SubstanceOption) else ()
        taken = next((choice for choice in choices if choice.key == own.get(option.key)), None)
        for key, text in taken.sets.items() if taken else ():
            followed = resolve_options(method, {name: text for name, text in common.items() if name != key})[key]
            if key not in own and common.get(key, followed) == followed:
                texts[key] = text
    return texts


def unit_options(method: Method) -> set[str]:
    """The options that choose the class's units."""
    options = [option for option in method.options if isinstance(option, ChoiceOption)]
    return {option.key for option in options if any(choice.units for choice in option.choices)}


def resolve_options(method: Method, given: Mapping[str, str]) -> dict[str, str]:
    """Every option's text: as given, else as another choice sets it, else its default. SheetError lists all faults."""
    problems: list[str] = []
    known = _option_keys(method)
    for key in given:
        if key not in known:
            problems.append(unknown("option", key, list(known)))
    resolved: dict[str, str] = {}
    for option in method.all_options:
        resolved.setdefault(option.key, option.default)
        if isinstance(option, NumberOption):
            resolved.setdefault(f"{option.key}.limit", option.limit or "0")
        if option.key in given and not _fixed(option):
            resolved[option.key] = given[option.key]
        _apply_choice(option, resolved)
    by_method = dict(resolved)
    resolved.update({key: text for key, text in given.items() if key in known})
    for option in method.all_options:
        problems += _option_problems(method, option, resolved)
        if _fixed(option) and resolved[option.key] != by_method[option.key]:
            problems.append(f"{option.label} is part of the method and not a choice; leave “{option.key}” out.")
    if problems:
        raise SheetError(problems)
    return resolved


def bottles(method: Method, options: Mapping[str, str]) -> tuple[NumberOption, ...]:
    """The numbers that stand on a bottle and may be written for the room under these options."""
    numbers = [option for option in method.all_options if isinstance(option, NumberOption) and option.room]
    return active(numbers, options)


def on_bottle(option: str, text: str) -> dict[str, str]:
    """What “0.1012 ± 0.0003” on a bottle sets: the option, and its ± where one is written."""
    value, stated, limit = text.replace("+/-", "±").partition("±")
    return {option: value.strip()} | ({f"{option}.limit": limit.strip()} if stated else {})


def _fixed(option: Option) -> bool:
    return isinstance(option, NumberOption | SubstanceOption) and option.fixed


def _option_keys(method: Method) -> list[str]:
    keys = [option.key for option in method.all_options]
    return keys + [f"{o.key}.limit" for o in method.all_options if isinstance(o, NumberOption)]


def _apply_choice(option: Option, resolved: dict[str, str]) -> None:
    if isinstance(option, NumberOption | ListOption):
        return
    for choice in option.choices:
        if choice.key == resolved[option.key]:
            resolved.update(choice.sets)


def _option_problems(method: Method, option: Option, resolved: dict[str, str]) -> list[str]:
    """What is wrong with an option; numbers of it are put into their units in ``resolved``."""
    try:
        match option:
            case NumberOption():
                _check_number(option, resolved)
            case ListOption():
                resolved[option.key] = option.in_units(resolved[option.key])
                _check_along(method, option, resolved)
            case SubstanceOption():
                molar_mass(resolved[option.key])
            case ChoiceOption():
                keys = [choice.key for choice in option.choices]
                if resolved[option.key] not in keys:
                    return [unknown(f"choice for “{option.label}”", resolved[option.key], keys)]
    except ChromataError as error:
        return [f"{option.label}: {error.message}"]
    return []


def listed(option: ListOption, text: str) -> list[Decimal]:
    """The values of a list option: “5; 15; 30”."""
    return [planned.value for planned in option.planned(text)]


def _check_along(method: Method, option: ListOption, resolved: Mapping[str, str]) -> None:
    planned = option.planned(resolved[option.key])
    leading = next(
        (listing for listing in method.options if listing.key == option.along and isinstance(listing, ListOption)), None
    )
    if leading is None or not holds(option.when, resolved):
        return
    if len(planned) != len(wanted := leading.planned(resolved[leading.key])):
        raise ReadingError(
            f"it has {len(planned)} values and “{leading.label}” has {len(wanted)}; they go together, one for one."
        )


def _check_number(option: NumberOption, resolved: dict[str, str]) -> None:
    given = resolved[option.key]
    resolved[option.key] = written_in(given, option.unit)
    value = parse_reading(resolved[option.key]).value
    around = f"{option.key}.limit"
    resolved[around] = limit_in(resolved[around], value, option.unit)
    limit = parse_reading(resolved[around]).value
    unit = f" {option.unit}" if option.unit else ""
    if value < Decimal(option.low) or (option.high and value > Decimal(option.high)):
        reach = f"from {option.low} to {option.high}{unit}" if option.high else f"{option.low}{unit} or more"
        raise ReadingError(f"{given} is out of reach; give a value {reach}.")
    if option.symbol and value == 0 and Decimal(option.low) >= 0:
        raise ReadingError("zero makes the result meaningless; give the real value.")
    if limit < 0:
        raise ReadingError("its ± cannot be negative; leave 0 if it is unknown.")
