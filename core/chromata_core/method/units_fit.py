"""Do the formulas of a method fit? Units by dimensions, lists used as lists: under one set of options."""

from collections.abc import Iterator, Mapping

from chromata_core.errors import ChromataError
from chromata_core.formula.dimension import dimension_of
from chromata_core.formula.functions import FUNCTIONS
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Binary, Call, Name, Negative, Node
from chromata_core.method.options import active
from chromata_core.method.preparation import Supply, Target
from chromata_core.method.vocabulary import (
    ListOption,
    Method,
    NumberOption,
    Quantity,
    Reading,
    Series,
    SubstanceOption,
)
from chromata_core.quantity.units import Dimension, dimension_name, unit


def misfits(method: Method, options: Mapping[str, str]) -> Iterator[str]:
    """A sentence for every formula that does not fit under these options."""
    known = _constants(method)
    readings = active([r for r in method.readings if isinstance(r, Reading)], options)
    known |= {reading.key: unit(reading.unit).dimension for reading in readings}
    lists = {reading.key for reading in readings if isinstance(reading, Series)}
    lists |= {o.key for o in method.options if isinstance(o, ListOption) and o.key != method.trials.each}
    quantities = active(method.quantities, options)
    trial_keys = {q.key for q in quantities if q.scope == "trial"}
    for quantity in quantities:
        try:
            yield from _quantity(quantity, known, lists, trial_keys)
        except ChromataError as error:
            yield f"{quantity.key} = {quantity.formula}: {error.message}"
        lists |= {quantity.key} if quantity.per else set()
        known[quantity.key] = unit(quantity.unit).dimension
        if quantity.known:
            yield from _in_unit(f"{quantity.key}: its known value", quantity.known, quantity.unit, known)
    yield from _plans(method, options)


def _quantity(
    quantity: Quantity, known: Mapping[str, Dimension], lists: set[str], trial_keys: set[str]
) -> Iterator[str]:
    tree = parse_formula(quantity.formula)
    found, wanted = dimension_of(tree, known), unit(quantity.unit).dimension
    if found != wanted:
        yield (
            f"{quantity.key} = {quantity.formula} gives {dimension_name(found)}, "
            f"but {quantity.unit or 'a plain number'} is {dimension_name(wanted)}."
        )
    if not quantity.per:
        yield from _lists(quantity.key, tree, lists, trial_keys if quantity.scope == "summary" else set())
    elif quantity.per not in lists or quantity.result or quantity.scope == "summary":
        yield f"{quantity.key} goes by the rows of “{quantity.per}”, which is no series, or is reported."


def _plans(method: Method, options: Mapping[str, str]) -> Iterator[str]:
    """Targets and supplies are worked from options alone."""
    known = _constants(method) | {o.key: unit(o.unit).dimension for o in method.options if isinstance(o, NumberOption)}
    parts: list[Target | Supply] = [*active(method.targets, options), *active(method.supplies, options)]
    for part in parts:
        yield from _in_unit(f"“{part.label}”", part.formula, part.unit, known)


def _in_unit(owner: str, formula: str, symbol: str, known: Mapping[str, Dimension]) -> Iterator[str]:
    try:
        if dimension_of(parse_formula(formula), known) != unit(symbol).dimension:
            yield f"{owner}: {formula} is not in {symbol or 'a plain number'}."
    except ChromataError as error:
        yield f"{owner}: {error.message}"


def _constants(method: Method) -> dict[str, Dimension]:
    known: dict[str, Dimension] = {}
    for option in method.options:
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
