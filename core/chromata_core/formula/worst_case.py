"""The school of apparatus errors: in sums absolute errors add, in products percentage errors add. Common practice.

It answers “how far off could it be at most?”, takes no account of luck, and is therefore larger than a GUM uncertainty.
"""

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np

from chromata_core.formula.functions import FUNCTIONS, Function
from chromata_core.formula.tree import Binary, Call, Name, Negative, Node, Number


@dataclass(frozen=True, slots=True)
class Bounded:
    """A value with the largest error its apparatus allows, same unit."""

    value: float
    error: float

    @property
    def relative(self) -> float:
        """The error as a fraction of the value; 0 for a value of zero."""
        return self.error / abs(self.value) if self.value else 0.0


Known = Mapping[str, Bounded | list[Bounded]]


def bounded(node: Node, known: Known) -> Bounded:
    """Value and largest error of ``node`` from those of its names (lists for series and trials)."""
    match node:
        case Number(text):
            return Bounded(float(text), 0.0)
        case Name(key):
            value = known[key]
            return value[-1] if isinstance(value, list) else value
        case Negative(operand):
            inner = bounded(operand, known)
            return Bounded(-inner.value, inner.error)
        case Call(function, arguments):
            return _of_call(FUNCTIONS[function], arguments, known)
        case Binary(operator, left, right):
            return _of_binary(operator, bounded(left, known), bounded(right, known))


def _of_binary(operator: str, a: Bounded, b: Bounded) -> Bounded:
    match operator:
        case "+":
            return Bounded(a.value + b.value, a.error + b.error)
        case "-":
            return Bounded(a.value - b.value, a.error + b.error)
        case "**":
            value = a.value**b.value
            return Bounded(value, abs(value) * abs(b.value) * a.relative)
        case "*":
            return Bounded(a.value * b.value, abs(b.value) * a.error + abs(a.value) * b.error)
        case _:
            value = a.value / b.value
            return Bounded(value, (a.error + abs(value) * b.error) / abs(b.value))


def _of_call(rule: Function, arguments: tuple[Node, ...], known: Known) -> Bounded:
    if rule.lists:
        return _over_lists(rule, arguments, known)
    inner = [bounded(argument, known) for argument in arguments]
    value, *reached = (
        float(np.real(rule.apply(*(np.array([item.value + side * item.error]) for item in inner)))[0])
        for side in (0, -1, 1)
    )
    return Bounded(value, max(abs(value - end) for end in reached))


def _over_lists(rule: Function, arguments: tuple[Node, ...], known: Known) -> Bounded:
    """Sums and means gather errors as they do values; any other value of a list is off by no more than a member."""
    lists = [_listed(argument, known) for argument in arguments[: rule.lists]]
    others = [bounded(argument, known) for argument in arguments[rule.lists :]]
    columns = [np.array([[item.value] for item in items]) for items in lists]
    value = float(np.real(rule.apply(*columns, *(np.array([item.value]) for item in others)))[0])
    everything = [*lists, *([item] for item in others)]
    errors = np.array([[item.error] for item in everything[rule.gives if isinstance(rule.gives, int) else 0]])
    if rule.exact:
        return Bounded(value, 0.0)
    return Bounded(value, float((rule.apply(errors) if rule.linear else errors.max(axis=0))[0]))


def _listed(node: Node, known: Known) -> list[Bounded]:
    value = known[node.key] if isinstance(node, Name) else bounded(node, known)
    return value if isinstance(value, list) else [value]
