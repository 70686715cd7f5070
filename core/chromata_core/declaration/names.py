"""What a text in a declaration names. A part that is named and does not exist is found when a method is loaded, and a
form can offer those that do.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from functools import lru_cache
from typing import Annotated, Literal, get_args, get_origin, get_type_hints

# Under which choices of options a part exists; always, where nothing is said.
When = Mapping[str, str | tuple[str, ...]] | None
Kind = Literal["reading", "series", "observation", "quantity", "number", "list", "choice", "role", "step"]


@dataclass(frozen=True, slots=True)
class Names:
    """A text that is the key of a part of one of these kinds; ``called`` is what people say for it."""

    called: str
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
CycleName = Annotated[str, Names("series or number option", ("series", "number"))]
ChoiceName = Annotated[str, Names("choice option", ("choice",))]
NominalName = Annotated[str, Names("list option or reading", ("list", "reading", "series"))]
RoleName = Annotated[str, Names("instrument role", ("role",))]
StepName = Annotated[str, Names("step", ("step",))]
DoneName = Annotated[str, Names("step, reading or observation", ("step", "reading", "series", "observation"))]
# A limit as text: a number, or where it stands: ``option:key``, ``-option:key``, ``quantity:key``, ``scale:key``.
LIMIT = "limit"
LimitText = Annotated[str, LIMIT]
# The key of a drawing that shows how hands do something.
SCENE = "scene"
SceneName = Annotated[str, SCENE]
# A condition over what is declared, and a sentence that may hold values of it in braces.
CONDITION, SENTENCE = "condition", "sentence"
Condition = Annotated[str, CONDITION]
Sentence = Annotated[str, SENTENCE]
LIMITS = {
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
    return next((argument for argument in get_args(hint) if isinstance(argument, Names)), None)
