"""The options of a method as plain data: what the planner asks for, and what was chosen."""

from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from typing import Literal

from chromata_core.chemistry.molar_mass import formula_text
from chromata_core.declaration.names import When
from chromata_core.declaration.option_kinds import (
    HOW_MANY,
    ChoiceOption,
    ListOption,
    NumberOption,
    Option,
    SubstanceOption,
)
from chromata_core.declaration.options import holds
from chromata_core.declaration.schools import AGREEMENT
from chromata_core.declaration.vocabulary import Method
from chromata_core.telling.explain import option_text


@dataclass(frozen=True, slots=True)
class ChoiceOut:
    """One way to choose, with the values it gives other options."""

    key: str
    label: str
    sets: dict[str, str]


Group = Literal["asked", "how", "agree", "prepared"]


@dataclass(frozen=True, slots=True)
class OptionOut:
    """An option to be asked for. ``kind`` is choice, number, list or substance; ``limit`` its default ±, if any.

    ``group`` is the chapter of a plan in which it is asked for; ``when``: the choices of others under which it is.
    """

    kind: str
    key: str
    label: str
    help: str
    default: str
    unit: str
    limit: str
    limit_label: str
    choices: list[ChoiceOut]
    group: Group
    when: dict[str, list[str]] = field(default_factory=dict)


@dataclass(frozen=True, slots=True)
class OptionChosen:
    """An option as it is set, in words."""

    key: str
    label: str
    text: str


def group_of(method: Method, option: Option) -> Group:
    """Where a plan asks for it: what is asked, how it is done, when trials agree, what is prepared."""
    if isinstance(option, NumberOption) and option.planning:
        return "prepared"
    if option.key in (*AGREEMENT, HOW_MANY, method.trials.rough, "end_point_limit"):
        return "agree"
    return "asked" if isinstance(option, SubstanceOption) or option.key in _asking(method) else "how"


def _asking(method: Method) -> set[str]:
    """Options on which it depends which results there are, or which substances are chosen; and what those set."""
    keys = {key for quantity in method.quantities if quantity.result for key in quantity.when or {}}
    for option in method.options:
        for choice in option.choices if isinstance(option, ChoiceOption | SubstanceOption) else ():
            substances = {o.key for o in method.options if isinstance(o, SubstanceOption)} & choice.sets.keys()
            keys |= {option.key} if substances else set()
    return keys


def options_out(method: Method) -> list[OptionOut]:
    """The options a session may choose."""
    return [_option(option, group_of(method, option)) for option in _offered(method)]


def options_chosen(method: Method, options: Mapping[str, str]) -> list[OptionChosen]:
    """The same options as they are set in resolved ``options``."""
    asked = [o for o in _offered(method) if holds(_when(o), options)]
    return [OptionChosen(o.key, o.label, option_text(o, options)) for o in asked]


def _offered(method: Method) -> list[Option]:
    return [o for o in method.all_options if not (isinstance(o, SubstanceOption | NumberOption) and o.fixed)]


def _when(option: Option) -> When:
    return option.when if isinstance(option, NumberOption | ListOption) else None


def _option(option: Option, group: Group) -> OptionOut:
    when = {key: [c] if isinstance(c, str) else [*c] for key, c in (_when(option) or {}).items()}
    blank = OptionOut(
        "list", option.key, option.label, option.help, option.default, unit="", limit="", limit_label="", choices=[],
        group=group, when=when,
    )  # fmt: skip
    if isinstance(option, ListOption):
        return replace(blank, unit=option.unit)
    if isinstance(option, NumberOption):
        return replace(blank, kind="number", unit=option.unit, limit=option.limit, limit_label=option.limit_label)
    kind = "choice" if isinstance(option, ChoiceOption) else "substance"
    formulas = {c.key: f", {formula_text(c.key)}" if kind == "substance" else "" for c in option.choices}
    choices = [ChoiceOut(c.key, f"{c.label}{formulas[c.key]}", dict(c.sets)) for c in option.choices]
    return replace(blank, kind=kind, choices=choices)
