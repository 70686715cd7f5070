"""Formula text to tree. Python's own parser reads the text; nothing but arithmetic, names and known functions passes.

The text is never executed.
"""

import ast
from functools import lru_cache

from chromata_core.errors import FormulaError, unknown
from chromata_core.formula.functions import FUNCTIONS
from chromata_core.formula.tree import Binary, Call, Name, Negative, Node, Number

_OPERATORS: dict[type[ast.operator], str] = {
    ast.Add: "+", ast.Sub: "-", ast.Mult: "*", ast.Div: "/", ast.Pow: "**",
}  # fmt: skip
_LONGEST = 400


@lru_cache(maxsize=1024)
def parse_formula(text: str) -> Node:
    """The tree of ``text``, e.g. ``c_t * V_t / V_s``; FormulaError with a sentence for anything else."""
    if len(text) > _LONGEST:
        raise FormulaError(f"A formula of {len(text)} characters is too long. Split it into named quantities.")
    try:
        tree = ast.parse(text.replace("^", "**").replace("−", "-"), mode="eval")
        return _node(tree.body, text)
    except (SyntaxError, ValueError, RecursionError, MemoryError) as error:
        raise FormulaError(f"“{text}” cannot be read as a formula. Write it like c * V / m.") from error


def _node(node: ast.expr, text: str) -> Node:
    match node:
        case ast.Constant(value=int() | float()) if not isinstance(node.value, bool):
            return Number(ast.get_source_segment(text, node) or repr(node.value))
        case ast.Name(id=key):
            return Name(key)
        case ast.UnaryOp(op=ast.USub(), operand=operand):
            return Negative(_node(operand, text))
        case ast.BinOp(left=left, op=op, right=right) if type(op) in _OPERATORS:
            return Binary(_OPERATORS[type(op)], _node(left, text), _node(right, text))
        case ast.Call(func=ast.Name(id=name), args=arguments, keywords=[]):
            if name not in FUNCTIONS:
                raise FormulaError(unknown("function", name, list(FUNCTIONS)))
            if len(arguments) != FUNCTIONS[name].arity:
                raise FormulaError(f"{name}(…) takes {FUNCTIONS[name].arity} values and is given {len(arguments)}.")
            return Call(name, tuple(_node(argument, text) for argument in arguments))
        case _:
            raise FormulaError(f"“{text}” holds something other than numbers, names, + − × ÷, powers and functions.")
