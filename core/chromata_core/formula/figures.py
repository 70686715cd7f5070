"""The school of significant figures: how many decimals or figures a formula's answer may keep.

Sums keep the fewest decimals, products the fewest figures; written numbers in formulas and constants are exact.
Common practice, as in any first-year text; no single published source.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from math import inf

import numpy as np

from chromata_core.formula.functions import FUNCTIONS, Function
from chromata_core.formula.tree import Binary, Call, Name, Negative, Node, Number
from chromata_core.quantity.rounding import leading_place


@dataclass(frozen=True, slots=True)
class Figured:
    """A value with the last decimal place that is known (``inf`` for an exact number)."""

    value: float
    place: float

    @property
    def figures(self) -> float:
        """Significant figures; ``inf`` when exact."""
        return self.place + leading_place(self.value) + 1


def exact(value: float) -> Figured:
    """A number that limits nothing."""
    return Figured(value, inf)


def figured(node: Node, known: Mapping[str, Figured | list[Figured]]) -> Figured:
    """Value and last known place of ``node``, from those of its names (lists for series and trials)."""
    match node:
        case Number(text):
            return exact(float(text))
        case Name(key):
            found = known[key]
            return found[-1] if isinstance(found, list) else found
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
        return _with_figures(a.value**b.value, a.figures)
    value = a.value * b.value if operator == "*" else a.value / b.value
    return _with_figures(value, min(a.figures, b.figures))


def _with_figures(value: float, figures: float) -> Figured:
    return Figured(value, figures - 1 - leading_place(value))


def _of_call(function: str, arguments: tuple[Node, ...], known: Mapping[str, Figured | list[Figured]]) -> Figured:
    rule = FUNCTIONS[function]
    if rule.lists:
        return _over_lists(rule, arguments, known)
    inner = [figured(argument, known) for argument in arguments]
    value = float(np.real(rule.apply(*(np.array([item.value]) for item in inner)))[0])
    if function in ("ln", "log10"):  # the mantissa keeps as many decimals as the argument has figures
        return Figured(value, inner[0].figures)
    if function == "lesser":
        return next(item for item in inner if item.value == value)
    return _with_figures(value, inner[0].place if function == "exp" else inner[0].figures)


def _over_lists(rule: Function, arguments: tuple[Node, ...], known: Mapping[str, Figured | list[Figured]]) -> Figured:
    """A value from whole lists is known to the last place of the list whose unit it has."""
    lists = [_listed(argument, known) for argument in arguments[: rule.lists]]
    others = [figured(argument, known) for argument in arguments[rule.lists :]]
    columns = [np.array([[item.value] for item in items]) for items in lists]
    value = float(np.real(rule.apply(*columns, *(np.array([item.value]) for item in others)))[0])
    if rule.exact:
        return exact(value)
    if rule.figures is not None:
        return _with_figures(value, others[rule.figures - rule.lists].figures)
    everything = [*lists, *([item] for item in others)]
    source = everything[rule.gives if isinstance(rule.gives, int) else 0]
    return Figured(value, min(item.place for item in source))


def _listed(node: Node, known: Mapping[str, Figured | list[Figured]]) -> list[Figured]:
    found = known[node.key] if isinstance(node, Name) else figured(node, known)
    return found if isinstance(found, list) else [found]
