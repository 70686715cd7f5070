"""Do the formulas of a method fit? Units by dimensions, lists used as lists: under one set of options."""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass

from chromata_core.declaration.option_kinds import ListOption, NumberOption, Option, SubstanceOption
from chromata_core.declaration.options import active
from chromata_core.declaration.preparation import Supply, Target
from chromata_core.declaration.vocabulary import Method, Quantity, Reading, Series
from chromata_core.engine.walk import by_trial, walk_bench, walk_summary, walk_trial
from chromata_core.errors import ChromataError
from chromata_core.formula.dimension import dimension_of
from chromata_core.formula.functions import FUNCTIONS
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Binary, Call, Name, Negative, Node
from chromata_core.instruments.catalogue import CATALOGUE
from chromata_core.quantity.given import plain_number
from chromata_core.quantity.units import Dimension, dimension_name, unit


def misfits(method: Method, options: Mapping[str, str]) -> Iterator[str]:
    """A sentence for every formula that does not fit under these options."""
    readings = active([r for r in method.readings if isinstance(r, Reading)], options)
    declared = _Declared(method, readings, active(method.quantities, options))
    algebra = _Dimensions(declared)
    bench = walk_bench(declared, algebra)
    trial = walk_trial(declared, algebra, bench, 1)
    walk_summary(declared, algebra, bench, [trial])
    yield from algebra.problems
    yield from _followed(method, trial)
    yield from _plans(method, options)


@dataclass(frozen=True, slots=True)
class _Declared:
    """A method under a set of options, before anything is written."""

    method: Method
    readings: Sequence[Reading]
    quantities: Sequence[Quantity]


class _Dimensions:
    """The algebra of dimensions: every quantity has that of its unit; a formula that gives another is a problem."""

    def __init__(self, over: _Declared) -> None:
        self.over, self.problems = over, list[str]()
        self.constants = _constants(over.method)
        self.trial_keys = {q.key for q in over.quantities if q.scope == "trial"}
        self.lists = {reading.key for reading in over.readings if isinstance(reading, Series)}
        self.lists |= {o.key for o in over.method.all_options if isinstance(o, ListOption) and not by_trial(over, o)}

    def constant(self, option: Option) -> Dimension | None:
        """Of a molar mass, and of every number or list that may stand in formulas."""
        return self.constants.get(option.key)

    def planned(self, option: ListOption, trial: int) -> Dimension:
        """That of the list's unit."""
        return unit(option.unit).dimension

    def reading(self, reading: Reading, trial: int | None) -> Dimension:
        """That of its unit, of a series as well."""
        return unit(reading.unit).dimension

    def together(self, members: Sequence[Dimension]) -> Dimension:
        """All trials have the same."""
        return members[0]

    def worked(self, quantity: Quantity, trial: int | None, known: Mapping[str, Dimension]) -> Dimension:
        """That of its unit, so that what is worked from it is judged by itself."""
        wanted = unit(quantity.unit).dimension
        try:
            self.problems += self._formula(quantity, known)
        except ChromataError as error:
            self.problems.append(f"{quantity.key} = {quantity.formula}: {error.message}")
        self.lists |= {quantity.key} if quantity.per else set()
        if quantity.known:
            here = {**known, quantity.key: wanted}
            self.problems += _in_unit(f"{quantity.key}: its known value", quantity.known, quantity.unit, here)
        return wanted

    def _formula(self, quantity: Quantity, known: Mapping[str, Dimension]) -> Iterator[str]:
        tree = parse_formula(quantity.formula)
        dimension, wanted = dimension_of(tree, known), unit(quantity.unit).dimension
        if dimension != wanted:
            yield (
                f"{quantity.key} = {quantity.formula} gives {dimension_name(dimension)}, "
                f"but {quantity.unit or 'a plain number'} is {dimension_name(wanted)}."
            )
        if not quantity.per:
            trials = self.trial_keys if quantity.scope == "summary" else set[str]()
            yield from _lists(quantity.key, tree, self.lists, trials)
        elif quantity.per not in self.lists or quantity.result or quantity.scope == "summary":
            yield f"{quantity.key} goes by the rows of “{quantity.per}”, which is no series, or is reported."


def _followed(method: Method, trial: Mapping[str, Dimension]) -> Iterator[str]:
    """What follows the plan goes by a formula over what a trial knows."""
    for law in method.follows:
        try:
            dimension_of(parse_formula(law.formula), trial)
        except ChromataError as error:
            yield f"{law.key} follows {law.formula}: {error.message}"


def _plans(method: Method, options: Mapping[str, str]) -> Iterator[str]:
    """Targets and supplies are worked from options alone."""
    known = _constants(method) | {
        o.key: unit(o.unit).dimension for o in method.all_options if isinstance(o, NumberOption)
    }
    parts: list[Target | Supply] = [*active(method.targets, options), *active(method.supplies, options)]
    for part in parts:
        yield from _in_unit(f"“{part.label}”", part.formula, part.unit, known)
        if isinstance(part, Target):
            yield from _limits(method, part, known)


def _limits(method: Method, target: Target, known: Mapping[str, Dimension]) -> Iterator[str]:
    """What a target is held against is in its unit: formulas, and the instrument on which it comes out."""
    for limit in (target.at_least, target.at_most):
        if limit and plain_number(limit) is None:
            yield from _in_unit(f"“{target.label}”", limit, target.unit, known)
    role = next((role for role in method.roles if role.key == target.read_at), None)
    tool = CATALOGUE.get(role.default) if role else None
    if tool and unit(tool.unit).dimension != unit(target.unit).dimension:
        yield f"“{target.label}” is in {target.unit or 'a plain number'}, and {tool.short} shows {tool.unit}."


def _in_unit(owner: str, formula: str, symbol: str, known: Mapping[str, Dimension]) -> Iterator[str]:
    try:
        if dimension_of(parse_formula(formula), known) != unit(symbol).dimension:
            yield f"{owner}: {formula} is not in {symbol or 'a plain number'}."
    except ChromataError as error:
        yield f"{owner}: {error.message}"


def _constants(method: Method) -> dict[str, Dimension]:
    known: dict[str, Dimension] = {}
    for option in method.all_options:
        if isinstance(option, SubstanceOption):
            known[option.key] = unit("g/mol").dimension
        elif (isinstance(option, NumberOption) and option.symbol) or isinstance(option, ListOption):
            known[option.key] = unit(option.unit).dimension
    return known


def _lists(key: str, tree: Node, series: set[str], trial_keys: set[str]) -> Iterator[str]:
    """A series is used through last, first, sum or mean; trials through a mean that stands alone."""
    match tree:
        case Call("mean", (Name(inner),)) if inner in trial_keys:
            return
        case Call(function, arguments) if FUNCTIONS[function].lists:
            for argument in arguments[: FUNCTIONS[function].lists]:
                if not (isinstance(argument, Name) and argument.key in series | trial_keys):
                    yield f"{key}: {function}(…) wants a series, or in a summary a quantity of the trials."
            for argument in arguments[FUNCTIONS[function].lists :]:
                yield from _lists(key, argument, series, trial_keys)
        case Name(inner) if inner in series | trial_keys:
            yield f"{key}: “{inner}” is a list; take mean({inner}) on a line of its own, or last({inner}) of a series."
        case Call(_, arguments):
            for argument in arguments:
                yield from _lists(key, argument, series, trial_keys)
        case Negative(operand):
            yield from _lists(key, operand, series, trial_keys)
        case Binary(_, left, right):
            for side in (left, right):
                match side:
                    case Call("mean", (Name(inner),)) if inner in trial_keys:
                        yield f"{key}: give mean({inner}) a line of its own."
            yield from _lists(key, left, series, trial_keys)
            yield from _lists(key, right, series, trial_keys)
