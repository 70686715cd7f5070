"""The school of apparatus errors: in sums absolute errors add, in products percentage errors add. Common practice.

It answers “how far off could it be at most?”, takes no account of luck, and is therefore larger than a GUM uncertainty.
"""

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np

from chromata_core.formula.functions import FUNCTIONS
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
            found = known[key]
            return found[-1] if isinstance(found, list) else found
        case Negative(operand):
            inner = bounded(operand, known)
            return Bounded(-inner.value, inner.error)
        case Call(function, argument):
            return _of_call(function, argument, known)
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
        case _:
            value = a.value * b.value if operator == "*" else a.value / b.value
            return Bounded(value, abs(value) * (a.relative + b.relative))


def _of_call(function: str, argument: Node, known: Known) -> Bounded:
    listed = known.get(argument.key) if isinstance(argument, Name) else None
    if isinstance(listed, list) and FUNCTIONS[function].over_list:
        values, errors = (np.array([getattr(item, name) for item in listed]) for name in ("value", "error"))
        apply = FUNCTIONS[function].apply
        return Bounded(float(apply(values)), float(apply(errors)))
    inner = bounded(argument, known)
    low, value, high = (
        float(FUNCTIONS[function].apply(np.array([x]))[0])
        for x in (inner.value - inner.error, inner.value, inner.value + inner.error)
    )
    return Bounded(value, max(abs(high - value), abs(value - low)))
