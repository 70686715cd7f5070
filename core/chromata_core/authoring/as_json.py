"""A declaration as JSON and back: the open format of methods, in which instructors keep and exchange their own.

Records are objects with the names of their fields; what stands at its default is left out. Where several kinds of
record can stand, ``kind`` says which: ``{"kind": "within", "quantity": "m", …}``.
"""

import operator
from collections.abc import Callable, Mapping
from functools import lru_cache, partial
from types import NoneType
from typing import Any, get_args

from cattrs import Converter, transform_error
from cattrs.errors import BaseValidationError, ForbiddenExtraKeysError
from cattrs.gen import make_dict_structure_fn

from chromata_core.authoring.retired import in_todays_words
from chromata_core.authoring.words import READINGS, name_of, options, words
from chromata_core.declaration.names import hints
from chromata_core.declaration.option_kinds import Option
from chromata_core.declaration.parts import Check, Drawing, Guide, SeriesRule
from chromata_core.declaration.vocabulary import FAMILIES, Family, Method, Observation, Reading
from chromata_core.errors import SheetError, unknown

FORMAT = "chromata-method"
FORMAT_VERSION = 1
_LONGEST_LIST = 400
_CHOSEN: dict[Any, str] = {
    Check: "check", Guide: "guide", Drawing: "chart", SeriesRule: "rule", Option: "option",
    Reading | Observation: "reading",
}  # fmt: skip


def to_json(method: Method) -> dict[str, Any]:
    """``method`` as data that JSON can hold."""
    return {"format": FORMAT, "format_version": FORMAT_VERSION, **_converter().unstructure(method)}


def from_json(data: object) -> Method:
    """The method that ``data`` declares, as it stands: call load() before it is used. SheetError with a sentence for
    everything that is no declaration, each with the place where it stands.
    """
    if not isinstance(data, Mapping) or data.get("format") != FORMAT:
        raise SheetError([f"This is not a method: its “format” must be “{FORMAT}”. Export one to see how it looks."])
    if data.get("format_version") != FORMAT_VERSION:
        raise SheetError([f"This reads version {FORMAT_VERSION} of the format, not {data.get('format_version')!r}."])
    declared = {key: value for key, value in data.items() if key not in ("format", "format_version")}
    try:
        if not _short(declared):
            raise SheetError([f"A list in it has more than {_LONGEST_LIST} entries. Make two methods of it."])
        return _converter().structure(in_todays_words(declared), Method)
    except RecursionError as error:
        raise SheetError(["The declaration is nested too deeply to be one."]) from error
    except (BaseValidationError, _Unfit) as error:
        raise SheetError([_placed(line) for line in transform_error(error, "", _sentence)]) from error


def _short(data: object) -> bool:
    """Whether no list in ``data`` is longer than a method could have; each is measured before it is gone through."""
    if not isinstance(data, Mapping | list):
        return True
    if len(data) > _LONGEST_LIST:
        return False
    return all(_short(inner) for inner in (data.values() if isinstance(data, Mapping) else data))


def use_of(hint: object) -> str:
    """For which use a field of this type takes a word (check, chart, …); empty if it takes none."""
    plain = [argument for argument in get_args(hint) if argument is not NoneType]
    return next((use for choice, use in _CHOSEN.items() if hint == choice or plain == [choice]), "")


class _Unfit(ValueError):
    """A value that cannot stand in its place; the message says why."""


@lru_cache(maxsize=1)
def _converter() -> Converter:
    converter = Converter(forbid_extra_keys=True, omit_if_default=True, unstruct_collection_overrides={tuple: list})
    for plain, wanted in ((str, "a text in quotes"), (int, "a whole number"), (bool, "true or false")):
        converter.register_structure_hook(plain, _only(plain, wanted))
    converter.register_structure_hook(str | tuple[str, ...], lambda value, _: _one_or_several(value))
    converter.register_structure_hook(Family, lambda value, _: _family(value))
    converter.register_unstructure_hook(Family, lambda family: family.key)
    for choice, used_for in _CHOSEN.items():
        converter.register_structure_hook_func(partial(operator.eq, choice), _tagged(converter, used_for))
        converter.register_unstructure_hook_func(partial(operator.eq, choice), _with_tag(converter))
    # A Reading may be a Series, and a ListOption a PairsOption: each is written as what it is.
    for kind in (*options(), *READINGS):
        converter.register_structure_hook(kind, make_dict_structure_fn(kind, converter, _cattrs_forbid_extra_keys=True))
    return converter


def _only(plain: type, wanted: str) -> Callable[[Any, Any], Any]:
    def check(value: Any, _: Any) -> Any:
        if type(value) is not plain:
            raise _Unfit(f"wants {wanted}, not {_shown(value)}")
        return value

    return check


def _shown(value: object) -> str:
    text = {type(None): "nothing", dict: "an object", list: "a list"}.get(type(value)) or repr(value)
    return text if len(text) <= 60 else f"{text[:57]}…"


def _one_or_several(value: Any) -> str | tuple[str, ...]:
    if isinstance(value, str):
        return value
    if isinstance(value, list) and all(isinstance(item, str) for item in value):
        return tuple(value)
    raise _Unfit(f"wants a text or a list of texts, not {_shown(value)}")


def _family(value: Any) -> Family:
    family = next((family for family in FAMILIES if family.key == value), None)
    if family is None:
        raise _Unfit(unknown("family", str(value), [family.key for family in FAMILIES]))
    return family


def _tagged(converter: Converter, used_for: str) -> Callable[[Any, Any], Any]:
    def structure(value: Any, _: Any) -> Any:
        if not isinstance(value, Mapping) or not isinstance(value.get("kind"), str):
            raise _Unfit(f"wants a {used_for} with its “kind”, not {_shown(value)}")
        known = words(used_for)
        if value["kind"] not in known:
            raise _Unfit(unknown(used_for, value["kind"], list(known)))
        return converter.structure({key: item for key, item in value.items() if key != "kind"}, known[value["kind"]])

    return structure


def _with_tag(converter: Converter) -> Callable[[Any], dict[str, Any]]:
    return lambda record: {"kind": name_of(type(record)), **converter.unstructure(record, type(record))}


def _sentence(error: BaseException, kind: type | None) -> str:
    match error:
        case ForbiddenExtraKeysError(extra_fields=extra, cl=owner):
            known = list(hints(owner))
            return " ".join(unknown("field", str(name), known) for name in sorted(extra))
        case KeyError(args=(name, *_)):
            return f"“{name}” is missing"
        case _Unfit():
            return str(error)
        case TypeError() | AttributeError():
            return "wants an object with fields, or a list of them"
        case _:
            return f"cannot be read: {error}"


def _placed(line: str) -> str:
    """“sentence @ .steps[2].title” as “steps 3, title: sentence.”"""
    text, _, path = line.partition(" @ ")
    place = ", ".join(_step(part) for part in path.split(".") if part)
    return f"{place}: {text}".removeprefix(": ").rstrip(".?") + ("?" if text.endswith("?") else ".")


def _step(part: str) -> str:
    name, _, index = part.partition("[")
    number = index.rstrip("]")
    return f"{name} {int(number) + 1}" if number.isdigit() else f"{name} {number}".rstrip().replace("'", "")
