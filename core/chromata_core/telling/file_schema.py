"""The JSON Schema of the file that the command line computes: what it may hold, for one method."""

from typing import Any

from chromata_core.declaration.option_kinds import ChoiceOption, NumberOption, Option, SubstanceOption
from chromata_core.declaration.vocabulary import Method, Role
from chromata_core.instruments.catalogue import CATALOGUE


def readings_schema(method: Method) -> dict[str, Any]:
    """JSON Schema (2020-12) of the file that ``bin/chromata compute`` reads for this method."""
    readings = sorted({part.key for part in method.readings})
    options = {o.key: _option_schema(o) for o in method.all_options}
    options |= {
        f"{o.key}.limit": {"type": "string", "title": f"{o.label}, ±", "default": o.limit or "0"}
        for o in method.all_options
        if isinstance(o, NumberOption)
    }
    results = [q.key for q in method.quantities if q.result and q.accepted]
    tools = {role.key: _fitting(role) for role in method.roles}
    place = {"type": ["integer", "null"]}
    reading = {
        "type": "object",
        "required": ["key", "text"],
        "additionalProperties": False,
        "properties": {
            "key": {"type": "string", "description": f"One of {', '.join(readings)}; or void, own.RESULT, step.STEP."},
            "text": {"type": "string", "description": "The reading as typed, trailing zeros kept."},
            "trial": {**place, "description": "Trial number; 0 is the rough one."},
            "index": {**place, "description": "Place in a series, from 1."},
        },
    }
    return {
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        "title": method.title,
        "type": "object",
        "required": ["readings"],
        "properties": {
            "method": {"const": method.slug},
            "options": {"type": "object", "properties": options, "additionalProperties": False},
            "instruments": {"type": "object", "properties": tools, "additionalProperties": False},
            "accepted": {
                "type": "object",
                "properties": {key: {"type": "string"} for key in dict.fromkeys(results)},
                "additionalProperties": False,
            },
            "calibrations": {
                "type": "object",
                "patternProperties": {"^own-": _CALIBRATION},
                "additionalProperties": False,
            },
            "readings": {"type": "array", "items": reading, "maxItems": 5000},
            "results": {"type": "array", "description": "Written for people; computed anew, never read."},
        },
        "additionalProperties": False,
    }


_CALIBRATION = {
    "type": "object",
    "required": ["base", "name", "points", "source"],
    "additionalProperties": False,
    "properties": {
        "base": {"enum": sorted(CATALOGUE)},
        "name": {"type": "string"},
        "source": {"type": "string"},
        "points": {
            "type": "array",
            "minItems": 1,
            "items": {
                "type": "object",
                "required": ["nominal", "actual", "u"],
                "additionalProperties": False,
                "properties": {
                    "nominal": {"type": "number"}, "actual": {"type": "number"}, "u": {"type": "number", "minimum": 0},
                },
            },
        },
    },
}  # fmt: skip


def _option_schema(option: Option) -> dict[str, Any]:
    schema: dict[str, Any] = {"type": "string", "title": option.label, "default": option.default}
    if isinstance(option, ChoiceOption):
        schema["enum"] = [choice.key for choice in option.choices]
    if isinstance(option, NumberOption | SubstanceOption) and option.fixed:
        schema["const"] = option.default
    return schema


def _fitting(role: Role) -> dict[str, Any]:
    """The slugs that fit a role; a file's own calibrations may stand there as well."""
    slugs = sorted(tool.slug for tool in CATALOGUE.values() if tool.kind in role.kinds)
    return {"anyOf": [{"enum": slugs}, {"type": "string", "pattern": "^own-"}], "title": role.label}
