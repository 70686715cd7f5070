"""A tree turned once into a numeric function of columns (arrays along a last axis: plain, perturbed or random)."""

import operator
from collections.abc import Callable, Mapping
from functools import lru_cache

import numpy as np

from chromata_core.formula.functions import FUNCTIONS
from chromata_core.formula.tree import Binary, Call, Name, Negative, Node, Number
from chromata_core.quantity.column import Column

Environment = Mapping[str, Column]
Numeric = Callable[[Environment], Column]

_OPERATORS: dict[str, Callable[[Column, Column], Column]] = {
    "+": operator.add, "-": operator.sub, "*": operator.mul, "/": operator.truediv, "**": operator.pow,
}  # fmt: skip


@lru_cache(maxsize=1024)
def numeric(node: Node) -> Numeric:
    """A function from an environment of SI columns to the SI column of ``node``."""
    match node:
        case Number(text):
            constant = np.array([float(text)])
            return lambda environment: constant
        case Name(key):
            return operator.itemgetter(key)
        case Negative(operand):
            inner = numeric(operand)
            return lambda environment: -inner(environment)
        case Call(function, arguments):
            apply, inside = FUNCTIONS[function].apply, [numeric(argument) for argument in arguments]
            return lambda environment: apply(*(inner(environment) for inner in inside))
        case Binary(symbol, left, right):
            act, a, b = _OPERATORS[symbol], numeric(left), numeric(right)
            return lambda environment: act(a(environment), b(environment))
