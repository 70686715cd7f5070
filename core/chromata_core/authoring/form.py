"""The vocabulary as a form: which records there are, which fields each has, and what each field takes.

Read off the records themselves, so that a word that is added to the vocabulary can be used in a form at once.
"""

import inspect
import re
from collections.abc import Mapping
from dataclasses import MISSING, Field, dataclass, fields, is_dataclass
from types import NoneType, UnionType
from typing import Any, Literal, Union, get_args, get_origin

from chromata_core.apparatus.scene_book import SCENES
from chromata_core.authoring.as_json import use_of
from chromata_core.authoring.form_words import CHOICES, FORMULAS, LABELS, LONG, OFTEN
from chromata_core.authoring.words import name_of, words
from chromata_core.declaration.names import Names, SceneName, When, hints, names_in
from chromata_core.declaration.vocabulary import FAMILIES, Family, Method

USES = ("option", "reading", "rule", "guide", "check", "chart")


@dataclass(frozen=True, slots=True)
class FieldOut:
    """A field of a record. ``kind``: text, long, formula, number, yes, choice, name, record, word, pairs, when or rows;
    ``many`` of them stand in a list. ``of`` are the choices, the kinds of part that may be named, or the record;
    ``words`` what people call the choices. ``often`` ones are asked for at once, the others are there if wanted.
    """

    name: str
    label: str
    kind: str
    many: bool
    required: bool
    often: bool
    default: str
    of: list[str]
    words: list[str]


@dataclass(frozen=True, slots=True)
class RecordOut:
    """A kind of record. ``use`` says where it may stand; ``start`` is a new one, with what it must have left empty."""

    name: str
    use: str
    label: str
    help: str
    fields: list[FieldOut]
    start: dict[str, Any]


def vocabulary() -> list[RecordOut]:
    """Every record of the vocabulary, a method's own first."""
    records: dict[str, RecordOut] = {}
    _add(Method, "", records)
    for use in USES:
        for kind in words(use).values():
            _add(kind, use, records)
    return list(records.values())


def _add(kind: type, use: str, records: dict[str, RecordOut]) -> None:
    name = name_of(kind)
    if name in records:
        return
    field_outs = [_field(name, field, hints(kind)[field.name]) for field in fields(kind)]
    records[name] = RecordOut(name, use, _label(name), _help(kind), field_outs, _start(kind, use))
    for hint in hints(kind).values():
        for inner in _records(hint):
            _add(inner, "", records)


def _help(kind: type) -> str:
    """The docstring's first paragraph, as a sentence for people: fields by what the form calls them."""
    first = re.sub(r"\s+", " ", (inspect.getdoc(kind) or "").split("\n\n")[0])
    named = {field.name: _label(field.name, name_of(kind)) for field in fields(kind)}
    return re.sub(r"``([^`]*)``", lambda match: f"“{named.get(match[1], match[1])}”", first)


def _label(name: str, owner: str = "") -> str:
    return LABELS.get(f"{owner}.{name}") or LABELS.get(name) or name.replace("_", " ").replace("-", " ").capitalize()


def _field(owner: str, field: "Field[Any]", hint: object) -> FieldOut:
    many = get_origin(hint) is tuple
    inner = get_args(hint)[0] if many else hint
    required = field.default is MISSING and field.default_factory is MISSING
    kind, of = _kind(field.name, inner)
    often = required or field.name in OFTEN
    words = [_word(item) for item in of] if kind == "choice" else []
    default = field.default if isinstance(field.default, str) else ""
    return FieldOut(
        field.name,
        _label(field.name, owner),
        kind,
        many=many,
        required=required,
        often=often,
        default=default,
        of=of,
        words=words,
    )


def _word(choice: str) -> str:
    return SCENES[choice].title if choice in SCENES else CHOICES.get(choice, choice)


def _kind(name: str, hint: object) -> tuple[str, list[str]]:
    names = names_in(hint)
    if isinstance(names, Names):
        return "name", list(names.kinds)
    if use := use_of(hint):
        return "word", [use]
    if hint == SceneName:
        return "choice", ["", *SCENES]
    if hint == When:
        return "when", []
    if hint is Family:
        return "choice", [family.key for family in FAMILIES]
    if get_origin(hint) is Literal:
        return "choice", list(get_args(hint))
    if get_origin(hint) is tuple:
        return "rows", []
    if get_origin(hint) in (Union, UnionType):
        inner = [argument for argument in get_args(hint) if argument is not NoneType]
        return _kind(name, inner[0])
    if get_origin(hint) in (Mapping, dict):
        return "pairs", []
    if is_dataclass(hint) and isinstance(hint, type):
        return "record", [name_of(hint)]
    if hint in (int, bool):
        return ("number", []) if hint is int else ("yes", [])
    return ("formula" if name in FORMULAS else "long" if name in LONG else "text"), []


def _records(hint: object) -> list[type]:
    """The records that stand inside a field of this type."""
    if hint is Family or names_in(hint) or use_of(hint):
        return []
    if isinstance(hint, type) and is_dataclass(hint):
        return [hint]
    return [kind for inner in get_args(hint) if inner is not hint for kind in _records(inner)]


_EMPTY: dict[str, Any] = {"text": "", "long": "", "formula": "", "number": 1, "yes": False, "name": "", "pairs": {}}


def _start(kind: type, use: str) -> dict[str, Any]:
    """A new record as JSON: what it must have is there and empty, everything else at its default."""
    start: dict[str, Any] = {"kind": name_of(kind)} if use else {}
    for field in fields(kind):
        out = _field("", field, hints(kind)[field.name])
        if not out.required:
            continue
        if out.many:
            start[field.name] = []
        elif out.kind == "choice":
            start[field.name] = out.of[0]
        elif out.kind == "record":
            start[field.name] = _start(_records(hints(kind)[field.name])[0], "")
        else:
            start[field.name] = _EMPTY.get(out.kind, {})
    return start
