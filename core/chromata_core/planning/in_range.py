"""What a plan aims at against the scale on which it is read and what is good for it; changes that bring it there."""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, field, replace
from decimal import Decimal
from math import isfinite

from chromata_core.declaration.option_kinds import NumberOption
from chromata_core.declaration.options import active
from chromata_core.declaration.preparation import Target
from chromata_core.instruments.catalogue import CATALOGUE
from chromata_core.instruments.instrument import Instrument
from chromata_core.planning.supplies import amount_of, amount_text
from chromata_core.planning.timetable import Cure
from chromata_core.quantity.given import plain_number
from chromata_core.quantity.units import unit
from chromata_core.sentences import joined
from chromata_core.sheet.bound import Bound

_NEAR = 0.25  # a vessel of one volume serves as well for a quarter more or less; common practice, no published source
_LEAST_PART = 0.1  # of a scale: less is not measured on it; common practice, no published source
_STEPS = (1.1, 1.25, 1.5, 2, 2.5, 3, 4, 5, 7, 10, 15, 20, 30, 50, 100)
_MOST_CURES = 3


@dataclass(frozen=True, slots=True)
class OffRange:
    """Something that would not come out well, in a sentence, and what to change."""

    text: str
    cures: list[Cure]


@dataclass(frozen=True, slots=True)
class _Plan:
    """A plan with some of its numbers (SI) and instruments changed."""

    bound: Bound
    numbers: Mapping[str, float] = field(default_factory=dict)
    tools: Mapping[str, Instrument] = field(default_factory=dict)

    def worth(self, formula: str) -> float:
        """A formula over options, in SI."""
        return amount_of(self.bound, formula, 1, self.numbers)

    def tool(self, role: str) -> Instrument:
        """What is used in ``role``."""
        return self.tools.get(role) or self.bound.instruments[role]

    def problems(self) -> dict[str, str]:
        """A sentence for every thing to aim at that would not come out well, by its label."""
        here = active(self.bound.method.targets, self.bound.options)
        return {target.label: problem for target in here if (problem := _problem(self, target))}


def off_range(bound: Bound) -> list[OffRange]:
    """Every thing to aim at that would not come out well under these options with these instruments."""
    plan = _Plan(bound)
    problems = plan.problems()
    off = []
    for target in active(bound.method.targets, bound.options):
        if target.label in problems:
            cures = [*_other_tools(plan, target, problems), *_other_numbers(plan, target, problems)]
            text = f"{target.label}: {amount_text(plan.worth(target.formula), target.unit)}. {problems[target.label]}"
            off.append(OffRange(text, cures[:_MOST_CURES]))
    return off


def _problem(plan: _Plan, target: Target) -> str:
    value = plan.worth(target.formula)
    if not isfinite(value):
        return ""
    if target.read_at:
        tool = plan.tool(target.read_at)
        low, high = _shown(tool)
        if not low <= value <= high:
            ends = f"gives {tool.high}" if tool.low == tool.high else f"shows {tool.low} to {tool.high}"
            return f"{tool.short}: it {ends} {tool.unit}."
    for text, word, sign in ((target.at_least, "at least", 1), (target.at_most, "at most", -1)):
        limit = _limit(plan, target, text) if text else value
        if sign * value < sign * limit - abs(limit) * _TOUCH:
            return f"It should be {word} {amount_text(limit, target.unit)}."
    return ""


_TOUCH = 1e-9


def _limit(plan: _Plan, target: Target, text: str) -> float:
    number = plain_number(text)
    return plan.worth(text) if number is None else unit(target.unit).to_si(number)


def _shown(tool: Instrument) -> tuple[float, float]:
    """What it shows in SI; one volume serves for some around it."""
    low, high = (unit(tool.unit).to_si(float(text)) for text in (tool.low, tool.high))
    return (low * (1 - _NEAR), high * (1 + _NEAR)) if tool.low == tool.high else (low, high)


def _better(plan: _Plan, target: Target, before: Mapping[str, str]) -> bool:
    """Whether a change mends ``target`` and spoils nothing else."""
    return target.label not in (after := plan.problems()) and set(after) <= set(before)


def _other_tools(plan: _Plan, target: Target, before: Mapping[str, str]) -> Iterator[Cure]:
    """The instrument of the catalogue on whose scale it comes out best."""
    role = next((role for role in plan.bound.method.roles if role.key == target.read_at), None)
    value = plan.worth(target.formula)
    kind = [
        instrument
        for instrument in CATALOGUE.values()
        if role
        and instrument.kind in role.kinds
        and value >= _LEAST_PART * unit(instrument.unit).to_si(float(instrument.high))
    ]
    for instrument in sorted(
        kind, key=lambda instrument: abs(float(instrument.high) - unit(instrument.unit).from_si(value))
    ):
        if role and _better(replace(plan, tools={role.key: instrument}), target, before):
            yield Cure(f"{role.label}: {instrument.short}", {}, {role.key: instrument.slug})
            return


def _other_numbers(plan: _Plan, target: Target, before: Mapping[str, str]) -> list[Cure]:
    """Each of the numbers that can be chosen, changed as little as is enough; all of them where none alone is."""
    chosen = [
        option
        for option in plan.bound.method.all_options
        if isinstance(option, NumberOption) and option.key in target.choose
    ]
    alone = [cure for option in chosen if (cure := _changed(plan, target, [option], before))]
    together = _changed(plan, target, chosen, before) if len(chosen) > 1 and not alone else None
    return [*alone, *([together] if together else [])]


def _changed(plan: _Plan, target: Target, chosen: list[NumberOption], before: Mapping[str, str]) -> Cure | None:
    for factor in (factor for step in _STEPS for factor in (step, 1 / step)):
        texts = {
            option.key: f"{Decimal(f'{float(plan.bound.number(option.key)) * factor:.2g}'):f}" for option in chosen
        }
        numbers = {option.key: unit(option.unit).to_si(float(texts[option.key])) for option in chosen}
        other = replace(plan, numbers=numbers)
        if all(_permitted(option, float(texts[option.key])) for option in chosen) and _better(other, target, before):
            wording = joined(f"{option.label} {texts[option.key]} {option.unit}".rstrip() for option in chosen)
            return Cure(f"{wording}: {amount_text(other.worth(target.formula), target.unit)}", texts)
    return None


def _permitted(option: NumberOption, value: float) -> bool:
    low, high = (float(text) if text else None for text in (option.low, option.high))
    return value > 0 and (low is None or value >= low) and (high is None or value <= high)
