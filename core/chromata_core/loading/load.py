"""A method is checked when it is loaded: a declaration that contradicts itself never reaches a bench."""

from collections.abc import Iterator
from itertools import product
from math import prod

from chromata_core.apparatus.scene_book import SCENES
from chromata_core.declaration.names import When
from chromata_core.declaration.option_kinds import ChoiceOption, ListOption, NumberOption, SubstanceOption
from chromata_core.declaration.options import active, resolve_options
from chromata_core.declaration.places import RESERVED, answer, own
from chromata_core.declaration.schools import AGREEMENT
from chromata_core.declaration.vocabulary import Method, Observation, Reading, Series
from chromata_core.engine.units_fit import misfits
from chromata_core.errors import ChromataError, DeclarationError, unknown
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import names
from chromata_core.instruments.catalogue import CATALOGUE
from chromata_core.judging.checks import Within
from chromata_core.loading.conditions_fit import unfit_conditions
from chromata_core.loading.cycles_fit import cycles_misfit
from chromata_core.loading.misnamed import misnamed
from chromata_core.loading.solutions_fit import solutions_misfit
from chromata_core.quantity.typed import parse_reading
from chromata_core.quantity.units import conversion, unit

_MOST_COMBINATIONS = 600
_MOST_TRIALS = 40
_LONGEST_UNIT = 30


def load(method: Method) -> Method:
    """``method`` itself if its declaration holds; DeclarationError with every fault in one message if not."""
    problems = problems_of(method)
    if problems:
        raise DeclarationError(f"{method.slug}: {' '.join(problems)}", method=method.slug)
    return method


def problems_of(method: Method) -> list[str]:
    """A sentence for everything in which the declaration contradicts itself, each once; none if it holds."""
    problems = [
        *_keys(method),
        *_options(method),
        *_instruments(method),
        *_conditions(method),
        *_readable_units(method),
    ]
    if problems:  # what stands on these cannot be looked at before they hold
        return list(dict.fromkeys(problems))
    problems += [*misnamed(method), *_references(method), *_class_units(method), *_twice(method)]
    problems += solutions_misfit(method)
    if not problems:
        problems += [problem for options in _option_sets(method) for problem in misfits(method, options)]
        problems += unfit_conditions(method)
    return list(dict.fromkeys(problems))


def _keys(method: Method) -> Iterator[str]:
    """Keys stand in formulas, addresses and records: letters, digits and underscores."""
    for part in (*method.options, *method.roles, *method.readings, *method.quantities):
        if not part.key.isidentifier() or len(part.key) > 40:
            yield f"The key “{part.key}” cannot stand in a formula. Use a letter, then letters, digits or underscores."
    for reading in method.readings:
        if reading.key in RESERVED:
            yield f"The key “{reading.key}” has a meaning of its own in every record. Choose another word."
    for step in method.steps:
        if not step.key.replace("-", "_").isidentifier():
            yield f"The key “{step.key}” of a step must be letters and digits, joined by hyphens."
        if step.scene and step.scene not in SCENES:
            yield unknown("drawing", step.scene, list(SCENES))


def _options(method: Method) -> Iterator[str]:
    for option in method.options:
        if isinstance(option, NumberOption):
            for text in (option.low, option.high):
                yield from _number(f"Option “{option.key}”", text) if text else ()
        elif isinstance(option, ChoiceOption) and not option.choices:
            yield f"Option “{option.key}” has no choices."
    try:
        resolve_options(method, {})
    except ChromataError as error:
        yield f"With every option at its default: {error.message}"
    plan = method.trials
    if not 1 <= plan.minimum <= plan.maximum <= _MOST_TRIALS:
        yield f"Trials must be from 1 to {_MOST_TRIALS}, the most not under the least."
    if plan.noun.strip() == "":
        yield "Trials need a word, such as Trial or Flask."


def _number(owner: str, text: str) -> Iterator[str]:
    try:
        parse_reading(text)
    except ChromataError as error:
        yield f"{owner}: {error.message}"


def _instruments(method: Method) -> Iterator[str]:
    for role in method.roles:
        if role.default not in CATALOGUE:
            yield f"{role.label}: {unknown('instrument', role.default, list(CATALOGUE))}"
        elif CATALOGUE[role.default].kind not in role.kinds:
            yield f"{role.label}: {CATALOGUE[role.default].short} is none of {', '.join(role.kinds) or 'no kinds'}."


def _conditions(method: Method) -> Iterator[str]:
    """``when`` and ``sets`` name options and their choices."""
    choices = {
        o.key: [c.key for c in o.choices] for o in method.all_options if isinstance(o, ChoiceOption | SubstanceOption)
    }
    parts = (*method.readings, *method.quantities, *method.steps, *method.slips, *method.faults, *method.targets,
             *method.supplies, *(o for o in method.options if isinstance(o, NumberOption | ListOption)))  # fmt: skip
    for part in parts:
        yield from _condition(getattr(part, "key", "") or getattr(part, "label", ""), part.when, choices)
    keys = [option.key for option in method.options]
    keys += [f"{option.key}.limit" for option in method.options if isinstance(option, NumberOption)]
    for option in method.options:
        for choice in option.choices if isinstance(option, ChoiceOption | SubstanceOption) else ():
            yield from (f"Choice “{choice.key}”: {unknown('option', k, keys)}" for k in choice.sets if k not in keys)


def _condition(owner: str, when: When, choices: dict[str, list[str]]) -> Iterator[str]:
    for key, wanted in (when or {}).items():
        if key not in choices:
            yield f"“{owner}” depends on “{key}”, which is no option with choices."
            continue
        for choice in (wanted,) if isinstance(wanted, str) else wanted:
            if choice not in choices[key]:
                yield f"“{owner}”: {unknown(f'choice of “{key}”', choice, choices[key])}"


def _readable_units(method: Method) -> Iterator[str]:
    symbols = [part.unit for part in method.quantities]
    symbols += [part.unit for part in method.targets] + [part.unit for part in method.supplies]
    symbols += [part.unit for part in method.readings if isinstance(part, Reading)]
    symbols += [part.unit for part in method.options if isinstance(part, NumberOption | ListOption)]
    for symbol in dict.fromkeys(symbols):
        if len(symbol) > _LONGEST_UNIT:
            yield f"“{symbol[:_LONGEST_UNIT]}…” is too long for a unit."
            continue
        try:
            unit(symbol)
        except ChromataError as error:
            yield error.message


def _class_units(method: Method) -> Iterator[str]:
    """What a choice shows in another unit is declared in this one, and the two go together."""
    declared = {part.unit for part in (*method.quantities, *method.options) if hasattr(part, "unit")}
    choices = [c for o in method.options if isinstance(o, ChoiceOption | SubstanceOption) for c in o.choices]
    for symbol, here in (pair for choice in choices for pair in choice.units.items()):
        if symbol not in declared:
            yield f"Nothing is declared in {symbol}, so nothing can be shown in {here} instead."
            continue
        try:
            _, offset = conversion(symbol, here)
        except ChromataError as error:
            yield error.message
        else:
            yield from [f"{symbol} and {here} do not begin at the same zero."] if offset else []


def _together(method: Method) -> list[tuple[str, ...]]:
    """Which options are gone through together: each alone, and those on which one part depends at once."""
    choices = {option.key for option in method.options if isinstance(option, ChoiceOption)}
    parts = (*method.readings, *method.quantities, *method.steps, *method.targets, *method.supplies)
    together = {tuple(sorted(set(part.when) & choices)) for part in parts if part.when and len(part.when) > 1}
    return sorted({(key,) for key in choices} | together)


def _option_sets(method: Method) -> Iterator[dict[str, str]]:
    """The defaults, and the defaults with each choice of each option in turn."""
    yield resolve_options(method, {})
    choices = {o.key: [c.key for c in o.choices] for o in method.all_options if isinstance(o, ChoiceOption)}
    for keys in _together(method):
        for chosen in product(*(choices[key] for key in keys)):
            yield resolve_options(method, dict(zip(keys, chosen, strict=True)))


def _twice(method: Method) -> Iterator[str]:
    sizes = {option.key: len(option.choices) for option in method.options if isinstance(option, ChoiceOption)}
    if sum(prod(sizes[key] for key in keys) for keys in _together(method)) > _MOST_COMBINATIONS:
        yield "There are too many choices to check. Make two methods of it."
        return
    for options in _option_sets(method):
        parts = [*active(method.readings, options), *active(method.quantities, options)]
        keys = [option.key for option in method.options] + [part.key for part in parts]
        yield from (f"The key “{key}” is used twice." for key in dict.fromkeys(keys) if keys.count(key) > 1)


def _references(method: Method) -> Iterator[str]:
    options = {option.key for option in method.options}
    reads = {key for step in method.steps for key in step.reads}
    for part in method.readings:
        if part.key not in reads:
            yield f"No step asks for “{part.key}”."
        if isinstance(part, Series):
            yield from _series(method, part, options)
        if isinstance(part, Observation) and not {*part.voids, *part.until} <= {choice.key for choice in part.choices}:
            yield f"Observation “{part.key}” names a choice it does not have."
    yield from cycles_misfit(method)
    yield from _limits(method, options)
    for check in method.checks:
        if isinstance(check, Within):
            for text in (check.low, check.high):
                yield from _number(f"Within, {check.quantity}", text) if text and ":" not in text else ()
    if method.trials.agree and not set(AGREEMENT) <= options:
        yield f"Trials agree by “{method.trials.agree}”, but the options {', '.join(AGREEMENT)} are missing."
    results = {q.key for q in method.quantities if q.result}
    if method.stores and method.stores.result not in results:
        yield f"What is stored, “{method.stores.result}”, is not a result."
    if method.compares and method.compares not in results:
        yield f"Products are compared by “{method.compares}”, which is not a result."
    known = {part.key for part in method.readings}
    owns = {own(q.key).key for q in method.quantities if q.is_line}
    answers = {answer(n).key for n in range(1, len(method.questions) + 1)}
    yield from (f"A step reads “{key}”, which is not declared." for key in sorted(reads - known - owns - answers))
    changed = {key for fault in method.faults for key in fault.changes}
    yield from (f"A fault changes “{key}”, which is not declared." for key in sorted(changed - known))
    yield from _bent(method, known | options | {q.key for q in method.quantities})


def _bent(method: Method, known: set[str]) -> Iterator[str]:
    """Formulas of slips and faults. A slip may well give another unit than it should; it must only be a formula over
    what is declared. A fault works on ``x``, the reading.
    """
    for slip in method.slips:
        yield from _formula(f"Slip “{slip.key}”", slip.formula, known) if slip.formula else ()
    for fault in method.faults:
        for formula in fault.changes.values():
            yield from _formula(f"Fault “{fault.key}”", formula, {"x"})


def _formula(owner: str, formula: str, known: set[str]) -> Iterator[str]:
    try:
        missing = [name for name in names(parse_formula(formula)) if name not in known]
    except ChromataError as error:
        yield f"{owner}: {error.message}"
    else:
        yield from (f"{owner}: {unknown('quantity', name, sorted(known))}" for name in missing)


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
