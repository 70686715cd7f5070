"""The uncertainty a plan will give: the method's worked example, read with the instruments and options chosen."""

from dataclasses import dataclass, replace

from chromata_core.declaration.options import active
from chromata_core.declaration.own_work import percent_errors
from chromata_core.declaration.vocabulary import Method
from chromata_core.engine.context import context_of
from chromata_core.errors import ChromataError
from chromata_core.judging.find import find
from chromata_core.planning.foresight import said_percent
from chromata_core.planning.in_range import OffRange, off_range
from chromata_core.planning.supplies import Supplies, supplies
from chromata_core.planning.timetable import Cure, Timetable, cures, timetables
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from chromata_core.sheet.example import example_as_planned
from chromata_core.telling.describe import PartOut, parts_out
from chromata_core.telling.explain import renames
from chromata_core.telling.outcome import BudgetOut
from chromata_core.telling.results import result_of, result_places


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
    ``off_range`` is what would not come out well, with its cures; ``cures`` are changes after which the turns fit into
    the session, if they do not.
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
    off_range: list[OffRange]
    lines: list[LineOut]


def predict(method: Method, plan: Sheet, benches: int = 1, samples_each: int = 1, minutes: int = 0) -> Prediction:
    """The prediction for ``plan`` (options, instruments) at ``benches`` benches with so many samples each, in so many
    minutes (0: any); SheetError lists what is wrong.
    """
    bound = bind(method, plan)
    filled, parts, needed = dict(bound.options), parts_out(bound), supplies(bound, benches * samples_each)
    shared = timetables(bound, benches)
    off = off_range(bound)
    shorter = cures(bound, benches, minutes) if minutes else []
    blank = Prediction(
        filled, parts, needed, shared, shorter, result="", relative="", budget=[], advice="", basis="", warnings=[],
        off_range=off, lines=[],
    )  # fmt: skip
    try:
        at = context_of(method, example_as_planned(bound, plan))
    except ChromataError as error:
        return replace(blank, warnings=[error.message])
    worked = [quantity for quantity in bound.quantities if not renames(at, quantity)]
    errors = active(percent_errors(method), bound.options)
    lines = [LineOut(q.key, q.label, q.unit, q.scope) for q in (*worked, *errors) if q.is_line]
    place = next(iter(result_places(at)), None)
    first = result_of(at, place, None, "") if place else None
    if first is None or not first.value:
        return replace(blank, lines=lines)
    counted = len(at.computed.counted)
    averaged = f", {counted} trials averaged" if counted > 1 else ""
    warnings = [f"{f.what} {f.why} {f.do}" for f in find(at) if f.level != "keep" and not _of_the_example(f.code)]
    return replace(
        blank,
        result=first.label,
        relative=said_percent(first.expanded / abs(first.value) * 100),
        budget=first.budget,
        advice=first.advice,
        basis=f"Readings like those of the worked example{averaged}.",
        warnings=warnings,
        lines=lines,
    )


def _of_the_example(code: str) -> bool:
    """Findings that tell of the worked example's readings and not of the plan."""
    return "digit" in code or code.endswith(("-plan", "-set", "-sign"))
