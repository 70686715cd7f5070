"""Conditions: formulas compared, joined by “and”, “or” and “not”. In a row of a series ``before(x)`` is the row before.

Comparing is done on decimals, as a person compares what is written: 12.345 g and 12.343 g differ by 0.002 g exactly.
"""

import ast
import operator
from collections.abc import Callable, Iterator, Mapping
from dataclasses import dataclass
from decimal import Context, Decimal
from functools import lru_cache
from typing import Literal

import numpy as np

from chromata_core.errors import ChromataError, FormulaError
from chromata_core.formula.figures import Figured, figured
from chromata_core.formula.parse import node_of, python_tree
from chromata_core.formula.tree import Node, names

_COMPARISONS: dict[type[ast.cmpop], tuple[str, Callable[[Decimal, Decimal], bool]]] = {
    ast.Lt: ("<", operator.lt), ast.LtE: ("<=", operator.le), ast.Gt: (">", operator.gt), ast.GtE: (">=", operator.ge),
    ast.Eq: ("==", operator.eq), ast.NotEq: ("!=", operator.ne),
}  # fmt: skip
_BY_SIGN = dict(_COMPARISONS.values())
_BEFORE = " before"  # no key has a space in it
# Two ways to the same number may part in what binary floats lose, which nobody has written.
_SAME = Context(prec=12)


@dataclass(frozen=True, slots=True)
class Comparison:
    """``left`` compared with ``right``."""

    sign: str
    left: Node
    right: Node


@dataclass(frozen=True, slots=True)
class Joined:
    """All of the parts, any of them, or none of them."""

    how: Literal["and", "or", "not"]
    parts: tuple["Condition", ...]


Condition = Comparison | Joined


@lru_cache(maxsize=512)
def parse_condition(text: str) -> Condition:
    """The condition ``text``, e.g. ``V_end <= V_start``; FormulaError with a sentence for anything else."""
    try:
        return _condition(*python_tree(text))
    except RecursionError as error:
        raise FormulaError(f"“{text}” cannot be read as a condition. Write it like V_end <= V_start.") from error


@lru_cache(maxsize=512)
def parse_expression(text: str) -> Node:
    """A formula in which ``before(x)`` may stand."""
    tree, clean = python_tree(text)
    return node_of(_rows_before(tree), clean)


def before(key: str) -> str:
    """The name under which the row before of ``key`` is known."""
    return key + _BEFORE


def comparisons(condition: Condition) -> Iterator[Comparison]:
    """Every comparison in ``condition``."""
    if isinstance(condition, Comparison):
        yield condition
    else:
        for part in condition.parts:
            yield from comparisons(part)


def condition_names(condition: Condition) -> tuple[str, ...]:
    """Every key that ``condition`` needs, each once, without the mark of a row before."""
    names_read = (
        name
        for comparison in comparisons(condition)
        for side in (comparison.left, comparison.right)
        for name in names(side)
    )
    return tuple(dict.fromkeys(name.removesuffix(_BEFORE) for name in names_read))


class _Unknown(Exception):
    """Something that is compared is not known, or has no value."""


def value_of(node: Node, known: Mapping[str, Figured | list[Figured]]) -> Figured | None:
    """``node`` worked from what is known; None where something is missing, or nothing can be worked."""
    try:
        with np.errstate(all="ignore"):
            value = figured(node, known)
    except (KeyError, IndexError, ValueError, TypeError, ArithmeticError, ChromataError):
        return None  # too few readings for a curve, a list that is empty, a division by zero
    return value if value.value.is_finite() else None


def holds(condition: Condition, known: Mapping[str, Figured | list[Figured]]) -> bool:
    """Whether ``condition`` is true of ``known``; not while something it needs is not known or has no value."""
    try:
        return _holds(condition, known)
    except _Unknown:
        return False


def _holds(condition: Condition, known: Mapping[str, Figured | list[Figured]]) -> bool:
    match condition:
        case Comparison(sign, left, right):
            a, b = (_compared(side, known) for side in (left, right))
            return _BY_SIGN[sign](a, b)
        case Joined("not", (part,)):
            return not _holds(part, known)
        case Joined(how, parts):
            held = [_holds(part, known) for part in parts]  # all of them: what is not known decides nothing
            return all(held) if how == "and" else any(held)


def _compared(side: Node, known: Mapping[str, Figured | list[Figured]]) -> Decimal:
    value = value_of(side, known)
    if value is None:
        raise _Unknown
    return _SAME.plus(value.value)


def _condition(node: ast.expr, text: str) -> Condition:
    match node:
        case ast.BoolOp(op=op, values=values):
            return Joined(
                "and" if isinstance(op, ast.And) else "or", tuple(_condition(value, text) for value in values)
            )
        case ast.UnaryOp(op=ast.Not(), operand=operand):
            return Joined("not", (_condition(operand, text),))
        case ast.Compare(left=left, ops=ops, comparators=rest) if all(type(op) in _COMPARISONS for op in ops):
            sides = [node_of(_rows_before(side), text) for side in (left, *rest)]
            pairs = zip(ops, sides, sides[1:], strict=False)
            comparisons = tuple(Comparison(_COMPARISONS[type(op)][0], a, b) for op, a, b in pairs)
            return comparisons[0] if len(comparisons) == 1 else Joined("and", comparisons)
        case _:
            raise FormulaError(f"“{text}” compares nothing. Write a condition like V_end <= V_start.")


def _rows_before(node: ast.expr) -> ast.expr:
    """``node`` with ``before(x)`` as a name of its own."""
    return _Before().visit(node)  # type: ignore[no-any-return]


class _Before(ast.NodeTransformer):
    def visit_Call(self, node: ast.Call) -> ast.AST:
        match node:
            case ast.Call(func=ast.Name(id="before"), args=[ast.Name(id=key)], keywords=[]):
                return ast.copy_location(ast.Name(id=before(key), ctx=ast.Load()), node)
            case _:
                return self.generic_visit(node)
