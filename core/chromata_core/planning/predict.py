"""The uncertainty a plan will give: the method's worked example, read with the instruments and options chosen."""

from dataclasses import dataclass, replace

from chromata_core.declaration.option_kinds import NumberOption
from chromata_core.declaration.options import active, holds
from chromata_core.declaration.own_work import percent_errors
from chromata_core.declaration.vocabulary import Method
from chromata_core.engine.context import context_of
from chromata_core.errors import ChromataError
from chromata_core.instruments.catalogue import CATALOGUE
from chromata_core.planning.supplies import Supplies, supplies
from chromata_core.planning.timetable import Cure, Timetable, cures, timetables
from chromata_core.prelab.tasks import Offered, offered
from chromata_core.quantity.rounding import with_figures
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Sheet
from chromata_core.sheet.example import example_as_planned
from chromata_core.telling.describe import PartOut, parts_out
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.explain import renames
from chromata_core.telling.outcome import BudgetOut


@dataclass(frozen=True, slots=True)
class Alternative:
    """Another instrument, or a value known twice as well, with the relative U (95 %, per cent) it would give."""

    what: str
    instead: str
    percent: float
    text: str


@dataclass(frozen=True, slots=True)
class LineOut:
    """A line of the work that students may be asked for."""

    key: str
    label: str
    unit: str
    scope: str


@dataclass(frozen=True, slots=True)
class Prediction:
    """What to expect of one bench. ``relative`` is U (95 %) as a percentage of the result.

    ``options`` are all options as they would be frozen, defaults and consequences of other choices filled in.
    ``before_class`` is what students may be asked beforehand.
    ``cures`` are changes after which the turns fit into the session, if they do not.
    ``alternatives`` are other choices, the best first; ``improvement`` says the best single one, if one is worth it.
    """

    options: dict[str, str]
    parts: list[PartOut]
    supplies: Supplies
    timetables: list[Timetable]
    cures: list[Cure]
    result: str
    relative: str
    budget: list[BudgetOut]
    advice: str
    basis: str
    warnings: list[str]
    alternatives: list[Alternative]
    improvement: str
    lines: list[LineOut]
    before_class: list[Offered]


def predict(method: Method, plan: Sheet, benches: int = 1, samples_each: int = 1, minutes: int = 0) -> Prediction:
    """The prediction for ``plan`` (options, instruments) at ``benches`` benches with so many samples each, in so many
    minutes (0: any); SheetError lists what is wrong.
    """
    bound = bind(method, plan)
    filled, parts, needed = dict(bound.options), parts_out(bound), supplies(bound, benches * samples_each)
    shared = timetables(bound, benches)
    shorter = cures(bound, benches, minutes) if minutes else []
    try:
        expected = example_as_planned(bound, plan)
        outcome = evaluate(method, expected)
    except ChromataError as error:
        return Prediction(filled, parts, needed, shared, shorter, "", "", [], "", "", [error.message], [], "", [], [])
    at = context_of(method, expected)
    worked = [quantity for quantity in bound.quantities if not renames(at, quantity)]
    errors = active(percent_errors(method), bound.options)
    lines = [LineOut(q.key, q.label, q.unit, q.scope) for q in (*worked, *errors) if q.is_line]
    offers = offered(bound, plan)
    if not outcome.results or not outcome.results[0].value:
        return Prediction(filled, parts, needed, shared, shorter, "", "", [], "", "", [], [], "", lines, offers)
    first = outcome.results[0]
    percent = first.expanded / abs(first.value) * 100
    counted = len([trial for trial in outcome.trials if trial.state == "counted"])
    averaged = f", {counted} trials averaged" if counted > 1 else ""
    warnings = [f"{f.what} {f.why} {f.do}" for f in outcome.findings if not _of_the_example(f.code)]
    others = _alternatives(method, bound, plan)
    return Prediction(
        filled, parts, needed, shared, shorter, first.label, _said(percent), first.budget, first.advice,
        f"Readings like those of the worked example{averaged}.", warnings, others, _improvement(percent, others), lines,
        offers,
    )  # fmt: skip


def _of_the_example(code: str) -> bool:
    """Findings that tell of the worked example's readings and not of the plan."""
    return "digit" in code or code.endswith(("-plan", "-set", "-sign"))


def _alternatives(method: Method, bound: Bound, plan: Sheet) -> list[Alternative]:
    found: list[Alternative] = []
    needed = {reading.role for reading in bound.readings if not reading.optional}
    for role in (role for role in method.roles if role.key in needed):
        chosen = bound.instruments[role.key].slug
        for other in CATALOGUE.values():
            if other.kind in role.kinds and other.slug != chosen:
                percent = _percent(method, replace(plan, instruments={**plan.instruments, role.key: other.slug}))
                found += _alternative(role.label, other.short, percent)
    for option in method.all_options:
        if (
            isinstance(option, NumberOption)
            and option.symbol
            and holds(option.when, bound.options)
            and (limit := bound.number(f"{option.key}.limit"))
        ):
            half = {**plan.options, f"{option.key}.limit": str(limit / 2)}
            percent = _percent(method, replace(plan, options=half))
            found += _alternative(option.limit_label or option.label, f"known to ± {limit / 2}", percent)
    return sorted(found, key=lambda alternative: alternative.percent)


def _alternative(what: str, instead: str, percent: float | None) -> list[Alternative]:
    return [] if percent is None else [Alternative(what, instead, percent, _said(percent))]


def _percent(method: Method, plan: Sheet) -> float | None:
    """Relative U of the first result in per cent; None where these choices give no result."""
    try:
        outcome = evaluate(method, example_as_planned(bind(method, plan), plan))
    except ChromataError:
        return None
    first = outcome.results[0] if outcome.results else None
    return first.expanded / abs(first.value) * 100 if first and first.value else None


def _said(percent: float) -> str:
    return f"± {with_figures(percent, 2)} %"


_WORTH = 0.9  # an improvement of less than a tenth is not worth another instrument


def _improvement(percent: float, alternatives: list[Alternative]) -> str:
    if not alternatives or alternatives[0].percent > _WORTH * percent:
        return "No other single choice would help much."
    best = alternatives[0]
    return f"What would help most: {best.what.lower()}, {best.instead}: {best.text} instead of {_said(percent)}."
