"""What a text in a declaration names. A part that is named and does not exist is found when a method is loaded, and a
form can offer those that do.
"""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, fields, is_dataclass
from functools import lru_cache
from typing import TYPE_CHECKING, Annotated, Literal, get_args, get_origin, get_type_hints

if TYPE_CHECKING:
    from chromata_core.method.vocabulary import Method

# Under which choices of options a part exists; always, where nothing is said.
When = Mapping[str, str | tuple[str, ...]] | None
Kind = Literal["reading", "series", "observation", "quantity", "number", "list", "choice", "role", "step"]


@dataclass(frozen=True, slots=True)
class Names:
    """A text that is the key of a part of one of these kinds; ``word`` is what people call it."""

    word: str
    kinds: tuple[Kind, ...]


ReadingName = Annotated[str, Names("reading", ("reading", "series"))]
SeriesName = Annotated[str, Names("series", ("series",))]
ObservationName = Annotated[str, Names("observation", ("observation",))]
EntryName = Annotated[str, Names("reading or observation", ("reading", "series", "observation"))]
QuantityName = Annotated[str, Names("quantity", ("quantity",))]
ListName = Annotated[str, Names("series or quantity", ("series", "quantity"))]
ValueName = Annotated[str, Names("reading or quantity", ("reading", "series", "quantity"))]
NumberName = Annotated[str, Names("number option", ("number",))]
PlanName = Annotated[str, Names("list option", ("list",))]
CountName = Annotated[str, Names("list or number option", ("list", "number"))]
LimitName = Annotated[str, Names("number option or quantity", ("number", "quantity"))]
ChoiceName = Annotated[str, Names("choice option", ("choice",))]
NominalName = Annotated[str, Names("list option or reading", ("list", "reading", "series"))]
RoleName = Annotated[str, Names("instrument role", ("role",))]
StepName = Annotated[str, Names("step", ("step",))]
# A limit as text: a number, or where it stands: ``option:key``, ``-option:key``, ``quantity:key``, ``scale:key``.
LIMIT = "limit"
LimitText = Annotated[str, LIMIT]
_LIMITS = {
    "option": Names("number option", ("number",)), "-option": Names("number option", ("number",)),
    "quantity": Names("quantity", ("quantity",)), "scale": Names("reading", ("reading", "series")),
}  # fmt: skip


@lru_cache(maxsize=256)
def hints(kind: type) -> dict[str, object]:
    """The types of a record's fields, with what their texts name."""
    return get_type_hints(kind, include_extras=True)


def names_in(hint: object) -> Names | None:
    """What the texts of a field of this type name: one text, or a tuple of them."""
    if get_origin(hint) is tuple:
        return names_in(get_args(hint)[0])
    return next((one for one in get_args(hint) if isinstance(one, Names)), None)


def misnamed(method: "Method") -> Iterator[str]:
    """A sentence for every text of the declaration that should name a part and names none."""
    known = _parts(method)
    for owner, name, names, key in _named(method):
        if not any(key in known[kind] for kind in names.kinds):
            yield f"{owner}, {name.replace('_', ' ')}: there is no {names.word} “{key}”."


def _parts(method: "Method") -> dict[Kind, set[str]]:
    from chromata_core.method.vocabulary import ChoiceOption, ListOption, NumberOption, Observation, Series

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
        for one in record:
            yield from _named(one)
    if not is_dataclass(record) or isinstance(record, type):
        return
    for field in fields(record):
        value, hint = getattr(record, field.name), hints(type(record))[field.name]
        names = names_in(hint)
        if LIMIT in get_args(hint):
            place, _, key = value.partition(":")
            yield from ((_owner(record), field.name, _LIMITS[place], key),) if place in _LIMITS else ()
            continue
        if names is None:
            yield from _named(value)
        else:
            texts = value if isinstance(value, tuple) else (value,) if value or field.default != "" else ()
            yield from ((_owner(record), field.name, names, text) for text in texts)


def _owner(record: object) -> str:
    kind = type(record).__name__
    return f"{kind} “{key}”" if (key := getattr(record, "key", "")) else kind
