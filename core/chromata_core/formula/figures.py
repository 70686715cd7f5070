"""The school of significant figures: how many decimals or figures a formula's answer may keep.

Sums keep the fewest decimals, products the fewest figures; written numbers in formulas and constants are exact.
Common practice, as in any first-year text; no single published source.

Values are decimals: digits are counted on what was written, never on a binary float that stands a hair below it.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from decimal import Decimal, DecimalException
from math import inf
from typing import Any

import numpy as np

from chromata_core.formula.functions import FUNCTIONS, Function
from chromata_core.formula.tree import Binary, Call, Name, Negative, Node, Number
from chromata_core.quantity.rounding import decimal_of, leading_place, place_for_figures, rounded


@dataclass(frozen=True, slots=True)
class Figured:
    """A value with the last decimal place that is known (``inf`` for an exact number)."""

    value: Decimal
    place: float

    @property
    def figures(self) -> float:
        """Significant figures once it is rounded: 9.997 to two decimals is 10.00, with four; ``inf`` when exact."""
        if self.place == inf:
            return inf
        written = rounded(self.value, round(self.place))
        return self.place + leading_place(written or self.value) + 1


def exact(value: float | Decimal) -> Figured:
    """A number that limits nothing."""
    return Figured(decimal_of(value), inf)


def figured(node: Node, known: Mapping[str, Figured | list[Figured]]) -> Figured:
    """Value and last known place of ``node``, from those of its names (lists for series and trials)."""
    match node:
        case Number(text):
            return exact(Decimal(text))
        case Name(key):
            value = known[key]
            return value[-1] if isinstance(value, list) else value
        case Negative(operand):
            inner = figured(operand, known)
            return Figured(-inner.value, inner.place)
        case Call(function, arguments):
            return _of_call(function, arguments, known)
        case Binary(operator, left, right):
            return _of_binary(operator, figured(left, known), figured(right, known))


def _of_binary(operator: str, a: Figured, b: Figured) -> Figured:
    if operator in "+-":
        return Figured(a.value + b.value if operator == "+" else a.value - b.value, min(a.place, b.place))
    if operator == "**":
        return _with_figures(_power(a.value, b.value), a.figures)
    value = a.value * b.value if operator == "*" else a.value / b.value
    return _with_figures(value, min(a.figures, b.figures))


def _power(base: Decimal, exponent: Decimal) -> Decimal:
    try:
        return base**exponent
    except DecimalException:  # of a negative number, or far outside what decimals hold
        return decimal_of(float(base) ** float(exponent))


def _with_figures(value: Decimal, figures: float) -> Figured:
    if figures == inf:
        return Figured(value, inf)
    if figures < 1:  # nothing of it is known but that it is small; where it would stand is known
        return Figured(value, figures - 1 - leading_place(value))
    return Figured(value, place_for_figures(value, round(figures)))


def _of_call(function: str, arguments: tuple[Node, ...], known: Mapping[str, Figured | list[Figured]]) -> Figured:
    rule = FUNCTIONS[function]
    if rule.lists:
        return _over_lists(rule, arguments, known)
    inner = [figured(argument, known) for argument in arguments]
    value = decimal_of(float(np.real(rule.apply(*(np.array([float(item.value)]) for item in inner)))[0]))
    if function in ("ln", "log10"):  # the mantissa keeps as many decimals as the argument has figures
        return Figured(value, inner[0].figures)
    if function == "lesser":
        return min(inner, key=lambda item: item.value)
    return _with_figures(value, inner[0].place if function == "exp" else inner[0].figures)


def _over_lists(rule: Function, arguments: tuple[Node, ...], known: Mapping[str, Figured | list[Figured]]) -> Figured:
    """A value from whole lists is known to the last place of the list whose unit it has."""
    lists = [_listed(argument, known) for argument in arguments[: rule.lists]]
    others = [figured(argument, known) for argument in arguments[rule.lists :]]
    value = _applied(rule, lists, others)
    if rule.exact:
        return exact(value)
    if rule.figures is not None:
        return _with_figures(value, others[rule.figures - rule.lists].figures)
    everything = [*lists, *([item] for item in others)]
    source = everything[rule.gives if isinstance(rule.gives, int) else 0]
    if rule.per is not None:  # in another unit than the list, so its places say nothing
        return _with_figures(value, min(item.figures for item in source))
    return Figured(value, min(item.place for item in source))


def _applied(rule: Function, lists: list[list[Figured]], others: list[Figured]) -> Decimal:
    """The function's value; sums and means of decimals are decimals, so that a tie stays one."""
    if rule.linear:
        worked: Any = rule.apply(*(np.array([item.value for item in items], dtype=object) for items in lists))
        return Decimal(worked)
    columns = [np.array([[float(item.value)] for item in items]) for items in lists]
    return decimal_of(float(np.real(rule.apply(*columns, *(np.array([float(item.value)]) for item in others)))[0]))


def _listed(node: Node, known: Mapping[str, Figured | list[Figured]]) -> list[Figured]:
    value = known[node.key] if isinstance(node, Name) else figured(node, known)
    return value if isinstance(value, list) else [value]
