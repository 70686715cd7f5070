"""The school of significant figures: how many decimals or figures a formula's answer may keep.

Sums keep the fewest decimals, products the fewest figures; written numbers in formulas and constants are exact.
Common practice, as in any first-year text; no single published source.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from math import exp, inf, log, log10, sqrt

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
        case Call(function, argument):
            return _of_call(function, argument, known)
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


def _of_call(function: str, argument: Node, known: Mapping[str, Figured | list[Figured]]) -> Figured:
    listed = known.get(argument.key) if isinstance(argument, Name) else None
    if isinstance(listed, list):
        place = min(item.place for item in listed)
        values = [item.value for item in listed]
        chosen = {
            "last": values[-1],
            "first": values[0],
            "sum": sum(values),
            "mean": sum(values) / len(values),
        }
        return Figured(chosen[function], place)
    inner = figured(argument, known)
    if function in ("ln", "log10"):  # the mantissa keeps as many decimals as the argument has figures
        return Figured(log(inner.value) if function == "ln" else log10(inner.value), inner.figures)
    if function == "exp":
        return _with_figures(exp(inner.value), inner.place)
    return _with_figures(sqrt(inner.value), inner.figures) if function == "sqrt" else inner
