"""What would make a plan better, ranked by what it helps for what it costs; what students may be asked before class."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Literal

from chromata_core.declaration.option_kinds import NumberOption
from chromata_core.declaration.options import holds
from chromata_core.declaration.vocabulary import Method
from chromata_core.engine.context import context_of
from chromata_core.engine.stated import stated
from chromata_core.errors import ChromataError
from chromata_core.instruments.catalogue import CATALOGUE
from chromata_core.prelab.tasks import Offered, offered
from chromata_core.quantity.rounding import with_figures
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Sheet
from chromata_core.sheet.example import example_as_planned
from chromata_core.telling.results import result_places

Cost = Literal["another instrument", "finding it better"]
# What each costs beside another instrument; common practice, no published source.
_COSTS: Mapping[Cost, float] = {"another instrument": 1.0, "finding it better": 2.0}


@dataclass(frozen=True, slots=True)
class Change:
    """Other texts of options, other instruments by their roles."""

    options: Mapping[str, str]
    instruments: Mapping[str, str]


_Other = tuple[str, str, Cost, Change]


@dataclass(frozen=True, slots=True)
class Alternative:
    """Another instrument, or a value known twice as well, with the relative U (95 %, per cent) it would give, what it
    ``cost``s, and what to change in the plan for it.
    """

    what: str
    instead: str
    percent: float
    text: str
    cost: Cost
    options: Mapping[str, str]
    instruments: Mapping[str, str]


@dataclass(frozen=True, slots=True)
class Foresight:
    """Other choices, the best first, and in words the best single one, if one is worth it; ``before_class`` is what
    students may be asked beforehand.
    """

    alternatives: list[Alternative]
    improvement: str
    before_class: list[Offered]


def foresee(method: Method, plan: Sheet) -> Foresight:
    """What one change of ``plan`` would do; SheetError lists what is wrong with it."""
    bound = bind(method, plan)
    now = _percent(method, plan)
    others = _alternatives(method, bound, plan, now) if now else []
    return Foresight(others, _improvement(now, others) if now else "", offered(bound, plan))


def _alternatives(method: Method, bound: Bound, plan: Sheet, now: float) -> list[Alternative]:
    """Other choices, those first that help most for what they cost: an instrument that is there costs less than a
    number that somebody has to find better.
    """
    told = [
        Alternative(
            label,
            instead,
            percent,
            text=said_percent(percent),
            cost=cost,
            options=change.options,
            instruments=change.instruments,
        )
        for label, instead, cost, change in _others(method, bound)
        if (percent := _percent(method, _with(plan, change))) is not None
    ]
    return sorted(told, key=lambda alternative: -_worth(alternative, now))


def _others(method: Method, bound: Bound) -> list[_Other]:
    return [*_other_instruments(method, bound), *_better_known(method, bound)]


def _with(plan: Sheet, change: Change) -> Sheet:
    return replace(
        plan, options={**plan.options, **change.options}, instruments={**plan.instruments, **change.instruments}
    )


def _worth(alternative: Alternative, now: float) -> float:
    """What it gains for what it costs; what makes it worse stands last, the worst at the end."""
    gain = 1 - alternative.percent / now
    return gain / _COSTS[alternative.cost] if gain > 0 else gain


def _other_instruments(method: Method, bound: Bound) -> list[_Other]:
    needed = {reading.role for reading in bound.readings if not reading.optional}
    return [
        (role.label, other.short, "another instrument", Change({}, {role.key: other.slug}))
        for role in method.roles
        if role.key in needed
        for other in CATALOGUE.values()
        if other.kind in role.kinds and other.slug != bound.instruments[role.key].slug
    ]


def _better_known(method: Method, bound: Bound) -> list[_Other]:
    others: list[_Other] = []
    for option in method.all_options:
        if (
            isinstance(option, NumberOption)
            and option.symbol
            and holds(option.when, bound.options)
            and (limit := bound.number(f"{option.key}.limit"))
        ):
            half = f"{(limit / 2).normalize():f}"
            change = Change({f"{option.key}.limit": half}, {})
            others.append((option.limit_label or option.label, f"known to ± {half}", "finding it better", change))
    return others


def _percent(method: Method, plan: Sheet) -> float | None:
    """Relative U of the first result in per cent, of the numbers alone; None where these choices give no result."""
    try:
        at = context_of(method, example_as_planned(bind(method, plan), plan))
    except ChromataError:
        return None
    first = next(iter(result_places(at)), None)
    if first is None:
        return None
    value, budget, factor = stated(at, *first)
    return abs(budget.expanded * factor / value) * 100 if value else None


def said_percent(percent: float) -> str:
    """“± 3.4 %”."""
    return f"± {with_figures(percent, 2)} %"


_WORTH = 0.9  # an improvement of less than a tenth is not worth another instrument


def _improvement(percent: float, alternatives: list[Alternative]) -> str:
    if not alternatives or alternatives[0].percent > _WORTH * percent:
        return "No other single choice would help much."
    best = alternatives[0]
    return f"What would help most: {best.what.lower()}, {best.instead}: {best.text} instead of {said_percent(percent)}."
