"""Every word in which an experiment can be declared, by its name in JSON: ``constant-mass`` for ConstantMass.

Nothing is listed by hand: a record that looks, says, draws or ends a series is a word, wherever it stands.
"""

import importlib
import pkgutil
import re
from collections.abc import Iterator
from dataclasses import is_dataclass
from functools import lru_cache
from typing import get_args

from chromata_core import judging, methods, telling
from chromata_core.declaration import option_kinds, parts, vocabulary

# What a word is used for, by the kind of part that it is.
_KINDS = {"check": parts.Check, "guide": parts.Guide, "chart": parts.Drawing, "rule": parts.SeriesRule}
READINGS = (vocabulary.Reading, vocabulary.Series, vocabulary.Observation)


def name_of(kind: type) -> str:
    """The name of a record in JSON: its own name in small letters, words joined by hyphens."""
    return re.sub(r"(?<=[a-z])(?=[A-Z])", "-", kind.__name__).lower()


@lru_cache(maxsize=1)
def options() -> tuple[type, ...]:
    """Every kind of option: the general ones first, then those of a family of methods."""
    special = (kind for kind in _records() if issubclass(kind, get_args(option_kinds.Option)))
    return (*get_args(option_kinds.Option), *sorted(special, key=name_of))


@lru_cache(maxsize=8)
def words(used_for: str) -> dict[str, type]:
    """The records for one use (check, guide, chart, rule, option, reading) by their names in JSON."""
    if used_for in ("option", "reading"):
        return {name_of(kind): kind for kind in (options() if used_for == "option" else READINGS)}
    return {name_of(kind): kind for kind in sorted(_records(), key=name_of) if issubclass(kind, _KINDS[used_for])}


def _records() -> Iterator[type]:
    """Every record of the packages in which words stand."""
    for package in (judging, telling, methods):
        for found_module in pkgutil.walk_packages(package.__path__, f"{package.__name__}."):
            module = importlib.import_module(found_module.name)
            yield from (
                kind
                for kind in vars(module).values()
                if isinstance(kind, type) and is_dataclass(kind) and kind.__module__ == module.__name__
            )
