"""Do the conditions of a method fit? Everything they name is there, both sides are of one kind, sentences fill."""

from collections.abc import Iterator, Mapping

from chromata_core.declaration.option_kinds import ListOption, NumberOption, SubstanceOption
from chromata_core.declaration.vocabulary import Method, Observation
from chromata_core.errors import ChromataError, unknown
from chromata_core.formula.condition import (
    Comparison,
    Condition,
    before,
    comparisons,
    condition_names,
    parse_condition,
    parse_expression,
)
from chromata_core.formula.dimension import dimension_of
from chromata_core.formula.tree import Name, Number, names
from chromata_core.judging.guides import Told
from chromata_core.judging.whenever import PLACEHOLDER, ROW, Whenever
from chromata_core.quantity.typed import parse_reading
from chromata_core.quantity.units import NO_DIMENSION, Dimension, dimension_name, unit

_ZERO = Number("0")
_MOST = 60  # each may be asked in a hundred rows of forty trials


def unfit_conditions(method: Method) -> Iterator[str]:
    """A sentence for every condition of the method's checks that cannot be asked, or not be told."""
    questions = [part for part in method.readings if isinstance(part, Observation) and part.right]
    asked = sum(isinstance(check, Whenever) for check in method.checks) + sum(len(part.right) for part in questions)
    asked += sum(isinstance(step.guide, Told) for step in method.steps)
    if asked > _MOST:
        yield f"More than {_MOST} conditions are asked at every reading. Make two methods of it."
        return
    declared = _dimensions(method)
    for question in questions:
        yield from (f"“{question.label}”: {problem}" for problem in _unfit_answers(question, declared))
    scaled = {key for key, symbol in _units(method).items() if unit(symbol).offset}
    for step in method.steps:
        if isinstance(step.guide, Told):
            try:
                yield from (f"Step “{step.key}”: {problem}" for problem in _unfillable(step.guide.sentence, declared))
            except ChromataError as error:
                yield f"Step “{step.key}”: {error.message}"
    for check in method.checks:
        if isinstance(check, Whenever):
            try:
                known = declared | _of_limits(check) | ({ROW: NO_DIMENSION} if check.each else {})
                yield from (f"Check “{check.code}”: {problem}" for problem in _problems(check, known, scaled))
            except ChromataError as error:
                yield f"Check “{check.code}”: {error.message}"


def _unfit_answers(question: Observation, known: Mapping[str, Dimension]) -> Iterator[str]:
    keys = [choice.key for choice in question.choices]
    yield from (unknown("choice", key, keys) for key in question.right if key not in keys)
    if not question.because:
        yield "It has right answers. Say why, for those who choose another."
    for text in filter(None, question.right.values()):
        try:
            condition = parse_condition(text)
            yield from _not_there(condition, known) or _unlike(condition, known)
        except ChromataError as error:
            yield error.message


def _not_there(condition: Condition, known: Mapping[str, Dimension]) -> list[str]:
    return [unknown("quantity", name, list(known)) for name in condition_names(condition) if name not in known]


def _unlike(condition: Condition, known: Mapping[str, Dimension]) -> list[str]:
    sides = [
        (comparison, dimension_of(comparison.left, known), dimension_of(comparison.right, known))
        for comparison in comparisons(condition)
    ]
    return [
        f"{dimension_name(left)} cannot be compared with {dimension_name(right)}. Give the number a unit."
        for comparison, left, right in sides
        if left != right and _ZERO not in (comparison.left, comparison.right)  # zero is zero in any unit
    ]


def _problems(check: Whenever, known: Mapping[str, Dimension], scaled: set[str]) -> Iterator[str]:
    condition = parse_condition(check.condition)
    if missing := _not_there(condition, known):
        yield from missing
        return
    from_an_own_zero = {name for name, text in check.limits.items() if unit(parse_reading(text).unit).offset}
    here = {**known, **({before(name): kind for name, kind in known.items()} if check.each else {})}
    for comparison in comparisons(condition):
        both = isinstance(comparison.left, Name) and isinstance(comparison.right, Name)
        if _names(comparison) & from_an_own_zero and not (both and _names(comparison) <= from_an_own_zero | scaled):
            yield "A limit in °C is compared with a temperature alone. Write a difference of temperatures in K."
    yield from _unlike(condition, here)
    for text in (check.what, check.why, check.do, check.word):
        yield from _unfillable(text, here)


def _unfillable(text: str, known: Mapping[str, Dimension]) -> Iterator[str]:
    for formula, symbol in PLACEHOLDER.findall(text):
        tree = parse_expression(formula.strip())
        if missing := [unknown("quantity", name, list(known)) for name in names(tree) if name not in known]:
            yield from missing
            continue
        if (symbol or not isinstance(tree, Name)) and dimension_of(tree, known) != unit(symbol).dimension:
            yield f"“{{{formula}}}” is not in {symbol or 'a plain number'}."
        if symbol and unit(symbol).offset and not isinstance(tree, Name):
            yield f"“{{{formula}}}” may be a difference of temperatures. Tell it in K."


def _names(comparison: Comparison) -> set[str]:
    return {*names(comparison.left), *names(comparison.right)}


def _dimensions(method: Method) -> dict[str, Dimension]:
    """Of everything that may stand in a condition; readings and quantities that exist twice have one unit."""
    return {key: unit(symbol).dimension for key, symbol in _units(method).items()}


def _units(method: Method) -> dict[str, str]:
    units = {option.key: option.unit for option in method.all_options if isinstance(option, NumberOption | ListOption)}
    units |= {option.key: "g/mol" for option in method.all_options if isinstance(option, SubstanceOption)}
    units |= {part.key: part.unit for part in method.readings if not isinstance(part, Observation)}
    return units | {part.key: part.unit for part in method.quantities}


def _of_limits(check: Whenever) -> dict[str, Dimension]:
    return {name: unit(parse_reading(text).unit).dimension for name, text in check.limits.items()}
