"""A formula as presentation MathML (W3C MathML Core), with symbols or with numbers put in, and as one line of text."""

from collections.abc import Callable
from html import escape

from chromata_core.formula.functions import FUNCTIONS
from chromata_core.formula.tree import Binary, Call, Name, Negative, Node, Number

Render = Callable[[str], str]
_STRENGTH = {"+": 1, "-": 1, "*": 2, "/": 3, "**": 4}
_SHOWN = {"+": "+", "-": "−", "*": "·"}


def symbol_mathml(symbol: str) -> str:
    """``V_start`` as V with the subscript start; one-letter bases in italics, words upright."""
    base, _, sub = symbol.partition("_")
    variant = "" if len(base.replace("\u0304", "")) == 1 else ' mathvariant="normal"'
    shown = f"<mi{variant}>{escape(base)}</mi>"
    return f"<msub>{shown}<mtext>{escape(sub)}</mtext></msub>" if sub else shown


def mathml(node: Node, render: Render) -> str:
    """MathML of ``node``; ``render`` gives the MathML of a key."""
    match node:
        case Number(text):
            return f"<mn>{escape(text)}</mn>"
        case Name(key):
            return render(key)
        case Negative(operand):
            return f"<mrow><mo>−</mo>{_wrapped(operand, 2, render)}</mrow>"
        case Call("sqrt", (argument,)):
            return f"<msqrt>{mathml(argument, render)}</msqrt>"
        case Call(function, arguments):
            inside = "<mo>,</mo>".join(mathml(argument, render) for argument in _told(function, arguments))
            name = symbol_mathml(FUNCTIONS[function].shown)
            return f"<mrow>{name}<mo>(</mo>{inside}<mo>)</mo></mrow>"
        case Binary("/", left, right):
            return f"<mfrac><mrow>{mathml(left, render)}</mrow><mrow>{mathml(right, render)}</mrow></mfrac>"
        case Binary("**", left, right):
            return f"<msup>{_wrapped(left, 5, render)}{mathml(right, render)}</msup>"
        case Binary(operator, left, right):
            here = _STRENGTH[operator]
            after = here + 1 if operator == "-" else here
            parts = _wrapped(left, here, render), _wrapped(right, after, render)
            return f"<mrow>{parts[0]}<mo>{_SHOWN[operator]}</mo>{parts[1]}</mrow>"


def _told(function: str, arguments: tuple[Node, ...]) -> tuple[Node, ...]:
    """The arguments that are shown."""
    return arguments[: FUNCTIONS[function].told]


def _wrapped(node: Node, needed: int, render: Render) -> str:
    inside = mathml(node, render)
    return f"<mrow><mo>(</mo>{inside}<mo>)</mo></mrow>" if _weak(node, needed) else inside


def _weak(node: Node, needed: int) -> bool:
    """Whether ``node`` wants brackets where it stands: (−a)² is not −a², and (a / b)² is not a / b²."""
    return isinstance(node, Negative) or (isinstance(node, Binary) and _STRENGTH[node.operator] < needed)


def plain_text(node: Node, render: Render) -> str:
    """``node`` on one line, for the command line and screen readers; ``render`` gives the text of a key."""
    match node:
        case Number(text):
            return text
        case Name(key):
            return render(key)
        case Negative(operand):
            return f"−{_bracketed(operand, 3, render)}"
        case Call(function, arguments):
            inside = ", ".join(plain_text(argument, render) for argument in _told(function, arguments))
            return f"{FUNCTIONS[function].shown}({inside})"
        case Binary(operator, left, right):
            here = _STRENGTH[operator]
            sign = {"*": " × ", "/": " / ", "**": "^"}.get(operator, f" {_SHOWN.get(operator, operator)} ")
            after = here + 1 if operator in "-/" else here
            before = {"/": 2, "**": here + 1}.get(operator, here)
            return f"{_bracketed(left, before, render)}{sign}{_bracketed(right, after, render)}"


def _bracketed(node: Node, needed: int, render: Render) -> str:
    inside = plain_text(node, render)
    return f"({inside})" if _weak(node, needed) else inside
