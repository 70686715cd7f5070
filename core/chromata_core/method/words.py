"""Every word in which an experiment can be declared, by its name in JSON: ``constant-mass`` for ConstantMass.

Nothing is listed by hand: a record of this package that looks, says, draws or ends a series is a word.
"""

import re
from dataclasses import is_dataclass
from functools import lru_cache
from types import ModuleType

from chromata_core.method import (
    bar_charts,
    cell_charts,
    cell_checks,
    charts,
    checks,
    curve_checks,
    guides,
    identify,
    light_checks,
    line_charts,
    outcome_checks,
    rules,
    vocabulary,
)

# What a word is used for, by the method that makes it so: the protocols of rules.py.
_MADE_BY = {"check": "look", "guide": "say", "chart": "draw", "rule": "met"}
_MODULES: tuple[ModuleType, ...] = (
    checks, outcome_checks, light_checks, cell_checks, curve_checks, identify, guides, charts, bar_charts, line_charts,
    cell_charts, rules,
)  # fmt: skip
OPTIONS = (
    vocabulary.ChoiceOption, vocabulary.NumberOption, vocabulary.SubstanceOption, vocabulary.ListOption,
    vocabulary.PairsOption,
)  # fmt: skip
READINGS = (vocabulary.Reading, vocabulary.Series, vocabulary.Observation)


def name_of(kind: type) -> str:
    """The name of a record in JSON: its own name in small letters, words joined by hyphens."""
    return re.sub(r"(?<=[a-z])(?=[A-Z])", "-", kind.__name__).lower()


@lru_cache(maxsize=8)
def words(used_for: str) -> dict[str, type]:
    """The records for one use (check, guide, chart, rule, option, reading) by their names in JSON."""
    if used_for in ("option", "reading"):
        return {name_of(kind): kind for kind in (OPTIONS if used_for == "option" else READINGS)}
    found = [
        kind
        for module in _MODULES
        for kind in vars(module).values()
        if isinstance(kind, type) and is_dataclass(kind) and kind.__module__ == module.__name__
    ]
    return {name_of(kind): kind for kind in found if hasattr(kind, _MADE_BY[used_for])}
