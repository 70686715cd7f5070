"""Names of a declaration that name nothing."""

from collections.abc import Iterator
from dataclasses import fields, is_dataclass
from typing import get_args

from chromata_core.declaration.names import LIMIT, LIMITS, Kind, Names, hints, names_in
from chromata_core.declaration.option_kinds import ChoiceOption, ListOption, NumberOption
from chromata_core.declaration.vocabulary import Method, Observation, Series


def misnamed(method: Method) -> Iterator[str]:
    """A sentence for every text of the declaration that should name a part and names none."""
    known = _parts(method)
    for owner, name, names, key in _named(method):
        if not any(key in known[kind] for kind in names.kinds):
            yield f"{owner}, {name.replace('_', ' ')}: there is no {names.called} “{key}”."


def _parts(method: Method) -> dict[Kind, set[str]]:
    readings, options = method.readings, method.options
    return {
        "reading": {part.key for part in readings if not isinstance(part, Observation)},
        "series": {part.key for part in readings if isinstance(part, Series)},
        "observation": {part.key for part in readings if isinstance(part, Observation)},
        "quantity": {part.key for part in method.quantities},
        "number": {part.key for part in options if isinstance(part, NumberOption)},
        "list": {part.key for part in options if isinstance(part, ListOption)},
        "choice": {part.key for part in options if isinstance(part, ChoiceOption)},
        "role": {part.key for part in method.roles},
        "step": {part.key for part in method.steps},
    }


def _named(record: object) -> Iterator[tuple[str, str, Names, str]]:
    """Every text below ``record`` that names something: whose it is, in which field, what it names, and the text."""
    if isinstance(record, tuple):
        for item in record:
            yield from _named(item)
    if not is_dataclass(record) or isinstance(record, type):
        return
    for field in fields(record):
        value, hint = getattr(record, field.name), hints(type(record))[field.name]
        names = names_in(hint)
        if LIMIT in get_args(hint):
            place, _, key = value.partition(":")
            yield from ((_owner(record), field.name, LIMITS[place], key),) if place in LIMITS else ()
            continue
        if names is None:
            yield from _named(value)
        else:
            texts = value if isinstance(value, tuple) else (value,) if value or field.default != "" else ()
            yield from ((_owner(record), field.name, names, text) for text in texts)


def _owner(record: object) -> str:
    kind = type(record).__name__
    return f"{kind} “{key}”" if (key := getattr(record, "key", "")) else kind
