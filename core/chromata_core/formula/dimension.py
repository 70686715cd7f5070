"""Do the units of a formula fit? Answered once, when a method is loaded, on dimensions alone."""

from collections.abc import Mapping
from fractions import Fraction

from chromata_core.errors import FormulaError, unknown
from chromata_core.formula.functions import FUNCTIONS
from chromata_core.formula.tree import Binary, Call, Name, Negative, Node, Number
from chromata_core.quantity.units import NO_DIMENSION, Dimension, dimension_name, unit

_LARGEST_POWER = 12


def dimension_of(node: Node, known: Mapping[str, Dimension]) -> Dimension:
    """The dimension of ``node``; FormulaError with a sentence where units do not fit or a name is unknown."""
    match node:
        case Number():
            return NO_DIMENSION
        case Name(key):
            if key not in known:
                raise FormulaError(unknown("quantity", key, list(known)))
            return known[key]
        case Negative(operand):
            return dimension_of(operand, known)
        case Call(function, arguments):
            return _of_call(function, [dimension_of(argument, known) for argument in arguments])
        case Binary(operator, left, right):
            return _of_binary(operator, left, right, known)


def _of_call(function: str, given: list[Dimension]) -> Dimension:
    rule = FUNCTIONS[function]
    for wanted, dimension in zip(rule.takes, given, strict=True):
        needed = dimension if wanted is None else _named(wanted, given)
        if dimension != needed:
            raise FormulaError(
                f"{function}(…) wants {dimension_name(needed)} but is given {dimension_name(dimension)}. "
                "Divide by a unit."
            )
    answer = _named(rule.gives, given)
    answer = answer if rule.per is None else Dimension(answer / given[rule.per])
    return answer**0.5 if rule.root else answer


def _named(which: int | str, given: list[Dimension]) -> Dimension:
    """The dimension of an argument by its place, or of a unit by its symbol."""
    return given[which] if isinstance(which, int) else unit(which).dimension


def _of_binary(operator: str, left: Node, right: Node, known: Mapping[str, Dimension]) -> Dimension:
    a = dimension_of(left, known)
    if operator == "**":
        return a ** _power(right) if a else NO_DIMENSION
    b = dimension_of(right, known)
    if operator == "*":
        return Dimension(a * b)
    if operator == "/":
        return Dimension(a / b)
    if a != b:
        sign = "added to" if operator == "+" else "subtracted from"
        raise FormulaError(f"{dimension_name(b)} cannot be {sign} {dimension_name(a)}: the units do not fit.")
    return a


def _power(node: Node) -> float:
    power = _exponent(node)
    if abs(power) > _LARGEST_POWER:
        raise FormulaError(
            f"A power of {power} has no meaning here. Powers run from −{_LARGEST_POWER} to {_LARGEST_POWER}."
        )
    return float(power)


def _exponent(node: Node) -> Fraction:
    match node:
        case Number(text):
            return Fraction(text)
        case Negative(operand):
            return -_exponent(operand)
        case Binary("/", left, right):
            below = _exponent(right)
            if not below:
                raise FormulaError("A power cannot be divided by zero. Write it as a number, such as 2 or 1/2.")
            return _exponent(left) / below
        case _:
            raise FormulaError("A power of a quantity with a unit must be a written number, such as 2 or 1/2.")
