"""The solutions that a plan asks for: what is dissolved, how concentrated, how much for the class."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import cached_property

from chromata_core.chemistry.molar_mass import formula_text
from chromata_core.chemistry.reagents import Reagent, reagent, salt_of, units_in
from chromata_core.declaration.option_kinds import ListOption, NumberOption
from chromata_core.declaration.options import active, listed
from chromata_core.declaration.preparation import Supply
from chromata_core.planning.supplies import SPARE, bench_amount
from chromata_core.planning.ways import Wanted
from chromata_core.quantity.given import read_in
from chromata_core.quantity.units import unit
from chromata_core.sheet.bound import Bound
from chromata_core.uncertainty.source import standard

_MOLAR = "mol/L"


@dataclass(frozen=True)
class Solution:
    """One solution of a plan. ``stated`` is its concentration as the plan says it, with its unit; ``feeds`` the number
    option of the plan that it stands for, empty where none does; ``equivalents`` turn mol/L into what that option says.
    ``amount`` is m³ for the class with spare.
    """

    key: str
    formula: str
    stated: str
    concentration: float
    limit: float
    feeds: str
    equivalents: float
    amount: float
    note: str

    @cached_property
    def reagent(self) -> Reagent:
        """What is known of what is dissolved."""
        return reagent(self.formula)

    @property
    def title(self) -> str:
        """“Sodium thiosulfate, 0.15 mol/L”."""
        name = self.reagent.name
        return f"{formula_text(name) if name == self.formula else name}, {self.stated}"

    @property
    def wanted(self) -> Wanted:
        """What has to be made. What a plan knows with its ± is made in flasks."""
        part = standard(self.limit, "normal95") / self.concentration if self.limit else 0.0
        return Wanted(self.formula, self.concentration, self.amount, bool(self.limit), part)


def solutions(groups: Sequence[tuple[Bound, int]]) -> list[Solution]:
    """What groups of benches need together, in the order of their supplies; one that is used for two things is made
    once. Each group's plan comes with how many benches work by it.
    """
    by_key: dict[tuple[str, str], Solution] = {}
    for bound, benches in groups:
        for supply in active(bound.method.supplies, bound.options):
            for solution in _solutions(bound, supply, benches):
                before = by_key.get((solution.key, solution.stated))
                by_key[solution.key, solution.stated] = _together(before, solution) if before else solution
    return _told_apart([value for value in by_key.values() if value.amount > 0])


def _told_apart(solutions: Sequence[Solution]) -> list[Solution]:
    """Of one that groups want at different strengths each has its own key, and none stands for the plan's number."""
    keys = [solution.key for solution in solutions]
    return [
        solution
        if keys.count(solution.key) == 1
        else replace(solution, key=f"{solution.key}={solution.stated}", feeds="")
        for solution in solutions
    ]


def _together(solution: Solution, other: Solution) -> Solution:
    return replace(solution, amount=solution.amount + other.amount, note=solution.note or other.note)


def _solutions(bound: Bound, supply: Supply, benches: int) -> list[Solution]:
    if not (supply.substance and supply.concentration):
        return []
    each = float(bound.number(supply.equivalents)) if supply.equivalents else 1.0
    amount = bench_amount(bound, supply) * benches * SPARE
    wanted = []
    for named in formulas_of(bound, supply.substance):
        per = each * units_in(named)  # of a metal's ion the salt may hold several
        for number, (stated, value, limit, feeds) in enumerate(_concentrations(bound, supply.concentration)):
            if value <= 0 or per <= 0:  # a plan that says nothing of it asks for nothing
                continue
            key = f"{named}:{supply.concentration}" + (f":{number}" if number else "")
            wanted.append(
                Solution(
                    key, salt_of(named), stated, value / per, limit / per, feeds, per, amount, bound.worded(supply.note)
                )
            )
    return wanted


def formulas_of(bound: Bound, named: str) -> Sequence[str]:
    """Formulas that a supply names: by an option that is chosen, by words of a choice, or as they stand."""
    text = bound.options.get(named) or bound.worded(named)
    names = text.replace("/", ";").split(";")  # metals may be written in pairs
    return list(dict.fromkeys(name.strip() for name in names if name.strip()))


def _concentrations(bound: Bound, named: str) -> list[tuple[str, float, float, str]]:
    """How it is stated, its value and its ± in mol/m³, and the number that it stands for."""
    scale = unit(_MOLAR)
    option = next((option for option in bound.method.all_options if option.key == named), None)
    if isinstance(option, NumberOption):
        scale = unit(option.unit)
        limit = float(bound.number(f"{named}.limit")) * scale.factor if option.limit else 0.0
        value = scale.to_si(float(bound.number(named)))
        return [(bound.number_text(option), value, limit, named if option.limit else "")]
    if isinstance(option, ListOption):
        values = sorted(set(listed(option, bound.options[named])), reverse=True)
        scale = unit(option.unit)
        return [(f"{value} {option.unit}", scale.to_si(float(value)), 0.0, "") for value in values]
    return [(named, scale.to_si(float(read_in(named, _MOLAR).value)), 0.0, "")]
