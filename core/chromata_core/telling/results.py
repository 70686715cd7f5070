"""Results: value, uncertainty, budget, the three schools side by side, and what they are compared with."""

from math import inf, isfinite

from chromata_core.declaration.vocabulary import Quantity
from chromata_core.engine.apparatus_school import worst_cases
from chromata_core.engine.context import Context, ResultPlace
from chromata_core.engine.shown import Shown
from chromata_core.engine.stated import stated
from chromata_core.formula.mathml import symbol_mathml
from chromata_core.quantity.report import report
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.units import unit
from chromata_core.telling.accepted import Accepted, compared, in_class_unit, value_of_nature
from chromata_core.telling.outcome import (
    BudgetOut,
    ResultOut,
)
from chromata_core.telling.written import trial_title
from chromata_core.uncertainty.budget import BudgetLine
from chromata_core.uncertainty.source import WORDS


def result_places(at: Context) -> list[ResultPlace]:
    """Every result that can be worked: those of the bench, and those of each trial that counts.

    What is asked comes first: where trials are planned one by one, each has its own; else what they give together.
    """
    places = [(q, n) for q in at.bound.quantities if q.result for n in (at.trials() if q.scope == "trial" else [None])]
    known = [(q, n) for q, n in places if at.computed.column(q.key, n) is not None]
    return known if at.bound.method.trials.each else sorted(known, key=lambda place: place[1] is not None)


def results_of(at: Context, accepted: Accepted) -> list[ResultOut]:
    """Every result of the sheet, those that are asked for first; ``accepted`` in the declared units."""
    places = result_places(at)
    worst = worst_cases(at) if places else {}
    return [
        result_of(
            at,
            place,
            _accepted(at, place, accepted),
            worst.get((place[0].key, place[1]), ""),
        )
        for place in places
    ]


def _accepted(at: Context, place: ResultPlace, accepted: Accepted) -> str | None:
    quantity, _ = place
    given = accepted.get(quantity.key)
    if not given:
        return value_of_nature(at, *place)
    return in_class_unit(given, at.bound.declared(quantity.key).unit, quantity.unit)


def result_of(at: Context, place: ResultPlace, accepted: str | None, worst: str) -> ResultOut:
    """A result with its uncertainty, budget, advice, and comparison where an accepted value is given."""
    quantity, trial = place
    value, budget, factor = stated(at, quantity, trial)
    reported = report(at.decimal(quantity, trial), budget.expanded * factor)
    lines = [_budget_line(line, quantity, factor) for line in budget.lines]
    return ResultOut(
        key=quantity.key,
        trial=trial,
        trial_name=trial_title(at, trial),
        label=quantity.label,
        symbol=symbol_mathml(quantity.symbol),
        unit=quantity.unit,
        value=value if isfinite(value) else 0.0,
        u=budget.u * factor,
        expanded=budget.expanded * factor,
        k=budget.k,
        dof=None if budget.dof == inf or budget.dof > 1e6 else budget.dof,
        shown=Shown(reported.value, reported.doubtful, quantity.unit),
        uncertainty=reported.uncertainty,
        power=reported.power,
        line=f"{reported.text} {quantity.unit}".rstrip(),
        by_figures=at.figured(quantity, trial),
        worst_case=worst,
        budget=lines,
        advice=_advice(lines),
        comparison=compared(quantity.unit, value, budget.expanded * factor, accepted) if accepted else None,
    )


def _budget_line(line: BudgetLine, quantity: Quantity, factor: float) -> BudgetOut:
    scale = unit(line.first.unit)
    several = f"{line.sources} × " if line.sources > 1 else ""
    known = ""  # the spread of trials has no size of its own before it is averaged
    if line.first.u:
        known = f"{several}{with_figures(line.first.u / scale.factor, 2)} {line.first.unit}".rstrip()
    sensitivity = ""
    if line.sensitivity is not None:
        per = "/".join(filter(None, (quantity.unit and f"({quantity.unit})", line.first.unit)))
        sensitivity = f"{with_figures(line.sensitivity * scale.factor * factor, 3)} {per}".rstrip()
    return BudgetOut(line.label, line.u * factor, line.share, WORDS[line.first.distribution], known, sensitivity)


def _advice(lines: list[BudgetOut]) -> str:
    if not lines:
        return ""
    top = lines[0]
    least = f" {lines[-1].label} hardly matters." if len(lines) > 1 and lines[-1].share < 0.05 else ""
    return f"{top.label} makes {100 * top.share:.0f}\u00a0% of the uncertainty.{least}"
