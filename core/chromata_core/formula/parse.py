"""Formula text to tree. Python's own parser reads the text; nothing but arithmetic, names and known functions passes.

The text is never executed.
"""

import ast
import re
from functools import lru_cache

from chromata_core.errors import FormulaError, unknown
from chromata_core.formula.functions import FUNCTIONS
from chromata_core.formula.tree import Binary, Call, Name, Negative, Node, Number

_OPERATORS: dict[type[ast.operator], str] = {
    ast.Add: "+", ast.Sub: "-", ast.Mult: "*", ast.Div: "/", ast.Pow: "**",
}  # fmt: skip
_LONGEST = 400
_LITERAL = re.compile(r"\d{1,17}(\.\d{0,17})?([eE][+-]?\d{1,2})?|\.\d{1,17}([eE][+-]?\d{1,2})?")
_SIGNS = str.maketrans({"^": "**", "−": "-"})


@lru_cache(maxsize=1024)
def parse_formula(text: str) -> Node:
    """The tree of ``text``, e.g. ``c_t * V_t / V_s``; FormulaError with a sentence for anything else."""
    try:
        return node_of(*python_tree(text))
    except RecursionError as error:
        raise FormulaError(f"“{text}” cannot be read as a formula. Write it like c * V / m.") from error


def python_tree(text: str) -> tuple[ast.expr, str]:
    """``text`` as Python's parser sees it, and the text in which its places are; FormulaError if it sees nothing."""
    if len(text) > _LONGEST:
        raise FormulaError(f"A formula of {len(text)} characters is too long. Split it into named quantities.")
    source = text.strip().translate(_SIGNS)  # places in the tree are places in this text, not in what was typed
    try:
        return ast.parse(source, mode="eval").body, source
    except (SyntaxError, ValueError, RecursionError, MemoryError) as error:
        raise FormulaError(f"“{text}” cannot be read as a formula. Write it like c * V / m.") from error


def node_of(node: ast.expr, text: str) -> Node:
    """The tree of one expression; FormulaError for anything that is no arithmetic."""
    match node:
        case ast.Constant(value=int() | float()) if not isinstance(node.value, bool):
            return Number(_literal(node, text))
        case ast.Name(id=key):
            return Name(key)
        case ast.UnaryOp(op=ast.USub(), operand=operand):
            return Negative(node_of(operand, text))
        case ast.BinOp(left=left, op=op, right=right) if type(op) in _OPERATORS:
            return Binary(_OPERATORS[type(op)], node_of(left, text), node_of(right, text))
        case ast.Call(func=ast.Name(id=name), args=arguments, keywords=[]):
            if name not in FUNCTIONS:
                raise FormulaError(unknown("function", name, list(FUNCTIONS)))
            if len(arguments) != FUNCTIONS[name].arity:
                raise FormulaError(f"{name}(…) takes {FUNCTIONS[name].arity} values and is given {len(arguments)}.")
            return Call(name, tuple(node_of(argument, text) for argument in arguments))
        case _:
            raise FormulaError(f"“{text}” holds something other than numbers, names, + − × ÷, powers and functions.")


def _literal(node: ast.Constant, text: str) -> str:
    """A number as it stands in ``text``, its figures kept. Short, so that working it out cannot take long."""
    literal = ast.get_source_segment(text, node) or ""
    if _LITERAL.fullmatch(literal) is None:
        raise FormulaError(f"“{literal[:24]}” is not a number for a formula. Write it like 1.05 or 2e-5.")
    return literal
