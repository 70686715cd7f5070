"""A method is checked when it is loaded: a declaration that contradicts itself never reaches a bench."""

from collections.abc import Iterator

from chromata_core.errors import ChromataError, DeclarationError
from chromata_core.formula.dimension import dimension_of
from chromata_core.formula.functions import FUNCTIONS
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Binary, Call, Name, Negative, Node
from chromata_core.method.sheet import active, resolve_options
from chromata_core.method.vocabulary import (
    ChoiceOption,
    Method,
    NumberOption,
    Observation,
    Reading,
    Series,
    SubstanceOption,
)
from chromata_core.quantity.units import Dimension, dimension_name, unit


def load(method: Method) -> Method:
    """``method`` itself if its declaration holds; DeclarationError with every fault in one message if not."""
    problems = [*_names(method), *_references(method)]
    for options in _option_sets(method):
        problems += _units(method, options)
    if problems:
        raise DeclarationError(f"{method.slug}: {' '.join(dict.fromkeys(problems))}", method=method.slug)
    return method


def _option_sets(method: Method) -> Iterator[dict[str, str]]:
    """The defaults, and the defaults with each choice of each option in turn."""
    yield resolve_options(method, {})
    for option in method.options:
        if isinstance(option, ChoiceOption):
            for choice in option.choices:
                yield resolve_options(method, {option.key: choice.key})


def _names(method: Method) -> Iterator[str]:
    for options in _option_sets(method):
        parts = [*active(method.readings, options), *active(method.quantities, options)]
        keys = [option.key for option in method.options] + [part.key for part in parts]
        yield from (f"The key “{key}” is used twice." for key in set(keys) if keys.count(key) > 1)


def _references(method: Method) -> Iterator[str]:
    roles = {role.key for role in method.roles}
    options = {option.key for option in method.options}
    reads = {key for step in method.steps for key in step.reads}
    for part in method.readings:
        if isinstance(part, Reading) and part.role not in roles:
            yield f"Reading “{part.key}” names the instrument role “{part.role}”, which is not declared."
        if part.key not in reads:
            yield f"No step asks for “{part.key}”."
        if isinstance(part, Series) and (part.until is None or part.until.option not in options):
            yield f"Series “{part.key}” needs an “until” rule that names an option."
        if isinstance(part, Observation) and not set(part.voids) <= {choice.key for choice in part.choices}:
            yield f"Observation “{part.key}” voids on a choice it does not have."
    if method.compares and method.compares not in {q.key for q in method.quantities if q.result}:
        yield f"Products are compared by “{method.compares}”, which is not a result."
    known = {part.key for part in method.readings}
    follow = {part.follows for part in method.readings if isinstance(part, Reading) and part.follows}
    yield from (f"A reading follows “{key}”, which is not declared." for key in follow - known)
    own = {f"own.{q.key}" for q in method.quantities if q.result}
    answers = {f"answer.{n}" for n in range(1, len(method.questions) + 1)}
    yield from (f"A step reads “{key}”, which is not declared." for key in reads - known - own - answers)


def _units(method: Method, options: dict[str, str]) -> Iterator[str]:
    known: dict[str, Dimension] = {}
    for option in method.options:
        if isinstance(option, SubstanceOption):
            known[option.key] = unit("g/mol").dimension
        elif isinstance(option, NumberOption) and option.symbol:
            known[option.key] = unit(option.unit).dimension
    readings = active([r for r in method.readings if isinstance(r, Reading)], options)
    known |= {reading.key: unit(reading.unit).dimension for reading in readings}
    lists = {reading.key for reading in readings if isinstance(reading, Series)}
    trial_keys = {q.key for q in method.quantities if q.scope == "trial"}
    for quantity in active(method.quantities, options):
        try:
            tree = parse_formula(quantity.formula)
            found, wanted = dimension_of(tree, known), unit(quantity.unit).dimension
            if found != wanted:
                yield (
                    f"{quantity.key} = {quantity.formula} gives {dimension_name(found)}, "
                    f"but {quantity.unit or 'a plain number'} is {dimension_name(wanted)}."
                )
            yield from _lists(quantity.key, tree, lists, trial_keys if quantity.scope == "summary" else set())
        except ChromataError as error:
            yield f"{quantity.key} = {quantity.formula}: {error.message}"
        known[quantity.key] = unit(quantity.unit).dimension


def _lists(key: str, tree: Node, series: set[str], trial_keys: set[str]) -> Iterator[str]:
    """A series is used through last, first, sum or mean; trials through a mean that stands alone."""
    match tree:
        case Call("mean", Name(inner)) if inner in trial_keys:
            return
        case Call(function, Name(inner)) if inner in series and FUNCTIONS[function].over_list:
            return
        case Name(inner) if inner in series | trial_keys:
            yield f"{key}: “{inner}” is a list; take mean({inner}) on a line of its own, or last({inner}) of a series."
        case Call(_, argument):
            yield from _lists(key, argument, series, trial_keys)
        case Negative(operand):
            yield from _lists(key, operand, series, trial_keys)
        case Binary(_, left, right):
            if Call in (type(left), type(right)) and trial_keys:
                for side in (left, right):
                    if isinstance(side, Call) and isinstance(side.argument, Name) and side.argument.key in trial_keys:
                        yield f"{key}: give mean({side.argument.key}) a line of its own."
            yield from _lists(key, left, series, trial_keys)
            yield from _lists(key, right, series, trial_keys)
