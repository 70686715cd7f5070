"""A method as plain data: what the method book, the planner, the bench and the command line show of it."""

from dataclasses import dataclass, field

from chromata_core.declaration.option_kinds import (
    ListOption,
)
from chromata_core.declaration.vocabulary import Method, Observation, Quantity, Reading, Series
from chromata_core.engine.context import context_of
from chromata_core.engine.numeric_pass import mean_of
from chromata_core.engine.shown import Shown
from chromata_core.formula.mathml import mathml, plain_text, symbol_mathml
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Binary, Name, Node, without
from chromata_core.sheet.bound import Bound
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.effects import Effect, slip_effects, what_if
from chromata_core.telling.explain import constants, explain, renames
from chromata_core.telling.options_told import ChoiceOut, OptionOut, options_out
from chromata_core.telling.outcome import ResultOut, WorkedLine
from chromata_core.telling.results import results_of


@dataclass(frozen=True, slots=True)
class RoleOut:
    """A place for an instrument."""

    key: str
    label: str
    kinds: list[str]
    default: str


@dataclass(frozen=True, slots=True)
class Difference:
    """Readings of one place whose sum (``plus``) less that of others (``minus``) must be above zero; else ``sentence``.
    What is optional and not read counts as zero.
    """

    plus: list[str]
    minus: list[str]
    sentence: str


@dataclass(frozen=True, slots=True)
class PartOut:
    """A reading, series or observation under the chosen options; ``until`` are the choices that end an observation,
    ``beside`` the series with which this one is read in turn, ``often`` says how often it is read, ``logged`` that it
    may be taken over from a file: a curve, or a spectrum, ``room`` that one may read it for the whole room.
    ``differences`` are those that it is part of. Of an observation that has one the first choice is the ``usual`` one,
    one that ``asks`` is a question; a series ``settles`` for so many seconds before each reading.
    """

    kind: str
    key: str
    label: str
    unit: str
    role: str
    instrument: str
    scope: str
    optional: bool
    choices: list[ChoiceOut]
    until: list[str]
    beside: str
    often: str
    logged: str = ""
    room: bool = False
    differences: list[Difference] = field(default_factory=list)
    asks: bool = False
    usual: bool = False
    settles: int = 0


@dataclass(frozen=True, slots=True)
class QuantityLine:
    """A quantity with its formula as mathematics and as text."""

    key: str
    label: str
    unit: str
    symbol: str
    formula: str
    plain: str
    scope: str
    result: bool
    accepted: bool


@dataclass(frozen=True, slots=True)
class MethodCard:
    """What the list of methods shows."""

    slug: str
    version: int
    family: str
    family_label: str
    title: str
    question: str


@dataclass(frozen=True, slots=True)
class StepSaid:
    """A step in words, and the key of the drawing that shows it, empty for none."""

    text: str
    scene: str


@dataclass(frozen=True, slots=True)
class MethodPage:
    """A method whole, with its worked example and the computed effects of slips and faults."""

    card: MethodCard
    reaction: str
    options: list[OptionOut]
    roles: list[RoleOut]
    parts: list[PartOut]
    quantities: list[QuantityLine]
    steps: list[StepSaid]
    hazards: list[str]
    questions: list[str]
    slips: list[Effect]
    faults: list[Effect]
    example_source: str
    example_known: list[Shown]
    example_lines: list[WorkedLine]
    example_results: list[ResultOut]
    trials: str
    waste: str
    wishes: list[str]


def wished(method: Method) -> list[str]:
    """What an experiment does without so far, and classes would be better with."""
    options = []
    if not 2 <= len(method.questions) <= 4:
        options.append("Two to four closing questions would make its report a conclusion.")
    if not method.slips:
        options.append("No slip of arithmetic is named: a wrong result can be traced to the usual ones only.")
    if not method.faults:
        options.append("No fault at the bench is named: nobody sees beforehand what it would do to the result.")
    return options


def card(method: Method) -> MethodCard:
    """The method as one line of the method book."""
    family = method.family
    return MethodCard(method.slug, method.version, family.key, family.label, method.title, method.question)


def page(method: Method) -> MethodPage:
    """The method as a page of the method book, under the options of its worked example."""
    at = context_of(method, example_sheet(method))
    signs = at.symbols
    return MethodPage(
        card=card(method),
        reaction=method.reaction,
        options=options_out(method),
        roles=[RoleOut(r.key, r.label, list(r.kinds), r.default) for r in method.roles],
        parts=parts_out(at.bound),
        quantities=[_quantity(at.bound, q, signs) for q in at.bound.quantities if not (q.aside or renames(at, q))],
        steps=[StepSaid(at.bound.worded(f"{s.lead} {s.then}".strip()), s.scene) for s in at.bound.steps],
        hazards=[at.bound.worded(hazard) for hazard in method.hazards],
        questions=list(method.questions),
        slips=slip_effects(at.bound),
        faults=what_if(at.bound),
        example_source=method.example.source,
        example_known=constants(at),
        example_lines=explain(at),
        example_results=results_of(context_of(method, example_sheet(method)), {}),
        trials=_trials(method),
        waste=method.waste,
        wishes=wished(method),
    )


def told_of_trials(method: Method) -> str:
    """The trial quantity by which a trial is known at a glance: what must agree, is averaged, or is its result."""
    results = [q for q in method.quantities if q.result]
    averaged = [mean_of(q) for q in results if mean_of(q)]
    own = [q.key for q in results if q.scope == "trial"]
    return method.trials.agree or next(iter((*averaged, *own)), "")


def parts_out(bound: Bound) -> list[PartOut]:
    """Readings and observations, in the order of the method."""
    parts, differences = [], _differences(bound)
    for key in dict.fromkeys(part.key for part in bound.method.readings):
        if (part := bound.part(key)) is None:
            continue
        if isinstance(part, Observation):
            choices = [ChoiceOut(c.key, bound.worded(c.label), {}) for c in part.choices]
            parts.append(
                PartOut(
                    "observation",
                    part.key,
                    part.label,
                    unit="",
                    role="",
                    instrument="",
                    scope=part.scope,
                    optional=False,
                    choices=choices,
                    until=list(part.until),
                    beside="",
                    often="seen",
                    asks=bool(part.right),
                    usual=part.has_usual,
                )
            )
        else:
            kind = "series" if isinstance(part, Series) else "reading"
            tool = bound.instruments[part.role].slug
            beside, logged = (part.beside, part.logged) if isinstance(part, Series) else ("", "")
            shared = [difference for difference in differences if part.key in (*difference.plus, *difference.minus)]
            parts.append(
                PartOut(
                    kind,
                    part.key,
                    part.label,
                    unit=part.unit,
                    role=part.role,
                    instrument=tool,
                    scope=part.scope,
                    optional=part.optional,
                    choices=[],
                    until=[],
                    beside=beside,
                    often=_often(part),
                    logged=logged,
                    room=part.room,
                    differences=shared,
                    settles=part.settles if isinstance(part, Series) else 0,
                )
            )
    return parts


def _differences(bound: Bound) -> list[Difference]:
    """What must be positive and is nothing but readings added and taken off."""
    differences = []
    for quantity in bound.quantities:
        signs = _signs(parse_formula(quantity.formula)) if quantity.positive else []
        plus, minus = ([key for key, sign in signs if sign == wanted] for wanted in (1, -1))
        if minus and _alike(bound, [key for key, _ in signs]):
            differences.append(Difference(plus, minus, quantity.positive))
    return differences


def _signs(tree: Node, sign: int = 1) -> list[tuple[str, int]]:
    """The terms of a sum of names with their signs; none where it is anything else."""
    match tree:
        case Name(key):
            return [(key, sign)]
        case Binary("+" | "-" as operator, left, right):
            both = _signs(left, sign), _signs(right, sign if operator == "+" else -sign)
            return [*both[0], *both[1]] if all(both) else []
        case _:
            return []


def _alike(bound: Bound, keys: list[str]) -> bool:
    """Whether these are single readings of one place and unit."""
    read = {part.key: part for part in bound.readings if not isinstance(part, Series)}
    return len({(read[key].scope, read[key].unit) if key in read else key for key in keys}) == 1


def _often(reading: Reading) -> str:
    if isinstance(reading, Series):
        return reading.until.words if reading.until is not None else "with each of them"
    return "only if needed" if reading.optional else "once" if reading.scope == "bench" else "each time"


def _quantity(bound: Bound, quantity: Quantity, signs: dict[str, str]) -> QuantityLine:
    tree = without(parse_formula(quantity.formula), {r.key for r in bound.readings if r.optional})
    return QuantityLine(
        quantity.key,
        quantity.label,
        quantity.unit,
        symbol=symbol_mathml(quantity.symbol),
        formula=mathml(tree, lambda key: symbol_mathml(signs[key])),
        plain=f"{quantity.symbol} = {plain_text(tree, lambda key: signs[key])}",
        scope=quantity.scope,
        result=quantity.result,
        accepted=quantity.accepted,
    )


def _trials(method: Method) -> str:
    plan = method.trials
    if plan.minimum == plan.maximum == 1:
        return ""
    noun = plan.noun.lower()
    if plan.each:
        listed = any(isinstance(o, ListOption) and o.key == plan.each for o in method.all_options)
        return f"One {noun} for each planned value" if listed else f"As many {noun}s as planned"
    rough = f"a rough {noun} and " if plan.rough else ""
    least = "one" if plan.minimum == 1 else {2: "two", 3: "three"}.get(plan.minimum, str(plan.minimum))
    more = f" that agree, up to {plan.maximum}" if plan.agree else f", up to {plan.maximum}"
    return f"{rough}at least {least} {noun}{'s' if plan.minimum > 1 else ''}{more}".capitalize()
