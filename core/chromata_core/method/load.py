"""A method is checked when it is loaded: a declaration that contradicts itself never reaches a bench."""

from collections.abc import Iterator
from itertools import product

from chromata_core.errors import ChromataError, DeclarationError
from chromata_core.formula.dimension import dimension_of
from chromata_core.formula.functions import FUNCTIONS
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Binary, Call, Name, Negative, Node
from chromata_core.method.sheet import active, resolve_options
from chromata_core.method.vocabulary import (
    ChoiceOption,
    ListOption,
    Method,
    NumberOption,
    Observation,
    Reading,
    Series,
    SubstanceOption,
    Supply,
    Target,
)
from chromata_core.quantity.units import Dimension, dimension_name, unit


def load(method: Method) -> Method:
    """``method`` itself if its declaration holds; DeclarationError with every fault in one message if not."""
    problems = [*_names(method), *_references(method)]
    for options in _option_sets(method):
        problems += [*_units(method, options), *_plan_units(method, options)]
    if problems:
        raise DeclarationError(f"{method.slug}: {' '.join(dict.fromkeys(problems))}", method=method.slug)
    return method


def _option_sets(method: Method) -> Iterator[dict[str, str]]:
    """The defaults, and the defaults with each choice of each option in turn."""
    yield resolve_options(method, {})
    choices = {o.key: [c.key for c in o.choices] for o in method.options if isinstance(o, ChoiceOption)}
    alone = {(key,) for key in choices}
    parts = (*method.readings, *method.quantities, *method.steps, *method.targets, *method.supplies)
    together = {tuple(sorted(part.when)) for part in parts if part.when and len(part.when) > 1}
    for keys in sorted(alone | together):
        for chosen in product(*(choices[key] for key in keys)):
            yield resolve_options(method, dict(zip(keys, chosen, strict=True)))


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
        if isinstance(part, Series):
            yield from _series(method, part, options)
        if isinstance(part, Observation) and not {*part.voids, *part.until} <= {choice.key for choice in part.choices}:
            yield f"Observation “{part.key}” names a choice it does not have."
    yield from _limits(method, options)
    results = {q.key for q in method.quantities if q.result}
    if method.stores and (
        method.stores.result not in results or (method.stores.role or next(iter(roles))) not in roles
    ):
        yield "What is stored is not a result, or names no instrument role."
    if method.compares and method.compares not in results:
        yield f"Products are compared by “{method.compares}”, which is not a result."
    known = {part.key for part in method.readings}
    follow = {part.follows for part in method.readings if isinstance(part, Reading) and part.follows}
    yield from (f"A reading follows “{key}”, which is not declared." for key in follow - known)
    own = {f"own.{q.key}" for q in method.quantities if q.result}
    answers = {f"answer.{n}" for n in range(1, len(method.questions) + 1)}
    yield from (f"A step reads “{key}”, which is not declared." for key in reads - known - own - answers)


def _series(method: Method, series: Series, options: set[str]) -> Iterator[str]:
    if series.beside:
        if not any(isinstance(p, Series) and p.key == series.beside and not p.beside for p in method.readings):
            yield f"Series “{series.key}” stands beside “{series.beside}”, which is not a series with a rule."
    elif series.until is None or not set(series.until.options) <= options:
        yield f"Series “{series.key}” needs an “until” rule whose options are declared."


def _limits(method: Method, options: set[str]) -> Iterator[str]:
    before: set[str] = set(options)
    for quantity in method.quantities:
        yield from (
            f"{quantity.key}: the error “{error.label}” is limited by “{error.limit}”, which is not known before it."
            for error in quantity.errors
            if error.limit not in before
        )
        before.add(quantity.key)
    each = {option.key for option in method.options if isinstance(option, ListOption | NumberOption)}
    if method.trials.each and method.trials.each not in each:
        yield f"Trials are planned by “{method.trials.each}”, which is no list or number option."


def _units(method: Method, options: dict[str, str]) -> Iterator[str]:
    known = _constants(method)
    readings = active([r for r in method.readings if isinstance(r, Reading)], options)
    known |= {reading.key: unit(reading.unit).dimension for reading in readings}
    lists = {reading.key for reading in readings if isinstance(reading, Series)}
    lists |= {o.key for o in method.options if isinstance(o, ListOption) and o.key != method.trials.each}
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
            if not quantity.per:
                yield from _lists(quantity.key, tree, lists, trial_keys if quantity.scope == "summary" else set())
            elif quantity.per not in lists or quantity.result or quantity.scope == "summary":
                yield f"{quantity.key} goes by the rows of “{quantity.per}”, which is no series, or is reported."
            lists |= {quantity.key} if quantity.per else set()
        except ChromataError as error:
            yield f"{quantity.key} = {quantity.formula}: {error.message}"
        known[quantity.key] = unit(quantity.unit).dimension
        if quantity.known and dimension_of(parse_formula(quantity.known), known) != known[quantity.key]:
            yield f"{quantity.key}: its known value {quantity.known} is not in {quantity.unit}."


def _plan_units(method: Method, options: dict[str, str]) -> Iterator[str]:
    """Targets and supplies are worked from options alone."""
    known = _constants(method) | {o.key: unit(o.unit).dimension for o in method.options if isinstance(o, NumberOption)}
    parts: list[Target | Supply] = [*active(method.targets, options), *active(method.supplies, options)]
    for part in parts:
        try:
            if dimension_of(parse_formula(part.formula), known) != unit(part.unit).dimension:
                yield f"“{part.label}”: {part.formula} is not in {part.unit or 'a plain number'}."
        except ChromataError as error:
            yield f"“{part.label}”: {error.message}"


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
