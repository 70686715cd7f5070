"""What a plan aims at as lines that a student can work out: an experiment of its own, without a reading.

Being one, it is bound, judged and traced like any other: a wrong mass is told as what it is.
"""

from collections.abc import Iterator, Mapping
from dataclasses import replace

from chromata_core.declaration.option_kinds import ListOption, NumberOption, Option, SubstanceOption, Trials
from chromata_core.declaration.options import active, listed
from chromata_core.declaration.places import own
from chromata_core.declaration.preparation import Target
from chromata_core.declaration.vocabulary import Method, Quantity
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import names
from chromata_core.sentences import first_lower
from chromata_core.sheet.bound import Bound, Given, Sheet
from chromata_core.telling.explain import option_text

_KEY = "plan_line_"


def plan_lines(bound: Bound) -> Iterator[tuple[Quantity, Target]]:
    """Each thing to aim at that has to be worked from something, as a line, in the class's unit. Plans name a line by
    the place of its target: new ones are declared behind the others.
    """
    here = active(bound.method.targets, bound.options)
    for number, target in enumerate(bound.method.targets, 1):
        used = names(parse_formula(target.formula))
        if target in here and used and target.formula not in used:
            yield Quantity(f"{_KEY}{number}", target.label, target.formula, target.unit, "x", "bench"), target


def as_method(bound: Bound) -> Method:
    """The plan's lines as a method: its numbers all stand in formulas, of planned lists the first."""
    method, lines = bound.method, [line for line, _ in plan_lines(bound)]
    used = {name for line in lines for name in names(parse_formula(line.formula))}
    return replace(
        method,
        options=tuple(_in_formulas(option) if option.key in used else option for option in method.all_options),
        readings=(), roles=(), steps=(), checks=(), questions=(), slips=(), faults=(), charts=(),
        quantities=tuple(lines),
        targets=(), supplies=(), shared=(), path=(), stores=None, compares="", trials=_once(method),
    )  # fmt: skip


def _once(method: Method) -> Trials:
    return replace(method.trials, minimum=1, maximum=1, agree="", rough="", each="")


def _in_formulas(option: Option) -> Option:
    if isinstance(option, ListOption):
        first = option.default.split(";")[0].strip()
        return NumberOption(option.key, option.label, first, option.unit, option.symbol)
    if isinstance(option, NumberOption) and not option.fixed:  # a student has read no formula yet
        return replace(option, symbol=f"[{first_lower(option.label)}]")
    return option


def as_sheet(bound: Bound, answers: Mapping[str, str]) -> Sheet:
    """What was chosen and answered, by the line's key, on a sheet of ``as_method``."""
    options = dict(bound.options)
    for option in bound.lists:
        options[option.key] = str(listed(option, bound.options[option.key])[0])
    given = tuple(Given(own(key).key, text) for key, text in answers.items())
    return Sheet(options=options, given=given)


def given_for(bound: Bound, line: Quantity) -> list[str]:
    """The numbers that a student needs for ``line``; of a substance its formula, the molar mass is theirs to find."""
    used = set(names(parse_formula(line.formula)))
    given = []
    for option in bound.method.all_options:
        if option.key not in used:
            continue
        if isinstance(option, NumberOption):
            text = bound.number_text(option)
        elif isinstance(option, ListOption):
            text = f"{listed(option, bound.options[option.key])[0]} {option.unit}".rstrip()
        else:
            text = option_text(option, bound.options)
        label = bound.worded(option.label) if not isinstance(option, SubstanceOption) else option.label
        given.append(f"{label}: {text}")
    return given
