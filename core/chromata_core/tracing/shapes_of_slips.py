"""What may go wrong in a formula, read off its shape alone: anywhere in its tree one thing is done otherwise.

A part left out stands as 1 of its unit, as people work with numbers on paper; then also as 1 of a unit a thousand times
as large or small, for who has turned millilitres into litres before.
"""

from collections.abc import Callable, Iterator, Mapping
from dataclasses import dataclass, replace

from chromata_core.formula.tree import Binary, Call, Name, Negative, Node, Number, names, rewritten
from chromata_core.tracing.functions_taken import functions_otherwise
from chromata_core.tracing.other import RARE, SELDOM, USUAL, Other, Signs

Put = Callable[[Node], Node]
_ZERO_CELSIUS = Number("273.15")


@dataclass(frozen=True, slots=True)
class _Side:
    """A factor, how it stands in its product, and whether it multiplies or divides the whole."""

    part: Node
    put: Put
    multiplies: bool


def otherwise(tree: Node, signs: Signs) -> Iterator[Other]:
    """Every formula that differs from ``tree`` in one thing."""
    yield from _everywhere(tree, signs, True)
    yield from _swapped(tree, signs)


def _everywhere(node: Node, signs: Signs, multiplies: bool) -> Iterator[Other]:
    yield from _here(node, signs, multiplies)
    match node:
        case Negative(operand):
            yield from _within(_everywhere(operand, signs, multiplies), Negative)
        case Binary(operator, left, right):
            below = not multiplies if operator == "/" else multiplies
            yield from _within(_everywhere(left, signs, multiplies), lambda part: Binary(operator, part, right))
            yield from _within(_everywhere(right, signs, below), lambda part: Binary(operator, left, part))
        case Call(function, arguments):
            for place, argument in enumerate(arguments):
                if not isinstance(argument, Name):
                    yield from _within(_everywhere(argument, signs, True), _argument(function, arguments, place))


def _argument(function: str, arguments: tuple[Node, ...], place: int) -> Put:
    return lambda part: Call(function, (*arguments[:place], part, *arguments[place + 1 :]))


def _within(inner: Iterator[Other], put: Put) -> Iterator[Other]:
    return (replace(other, tree=put(other.tree)) for other in inner)


def _here(node: Node, signs: Signs, multiplies: bool) -> Iterator[Other]:
    match node:
        case Negative(operand):
            yield Other("sign", f"the minus before {signs.call(operand)} is left out", operand, USUAL)
        case Binary("-", left, right):
            yield from _difference(left, right, signs)
        case Binary("+", left, right):
            yield from _sum(left, right, signs)
        case Binary("*", left, right):
            for side in (
                _Side(left, lambda part: Binary("*", part, right), multiplies),
                _Side(right, lambda part: Binary("*", left, part), multiplies),
            ):
                yield from (*_left_out(side, signs), *_inverted(side, signs), *_scale(side, signs))
        case Binary("/", left, right):
            over = _Side(left, lambda part: Binary("/", part, right), multiplies)
            under = _Side(right, lambda part: Binary("/", left, part), not multiplies)
            if not isinstance(left, Number):
                yield from _left_out(over, signs)
            yield from (*_left_out(under, signs), *_inverted(under, signs))
            yield from (*_scale(over, signs), *_scale(under, signs), *_ratio(left, right, signs))
        case Binary("**", base, power):
            yield from _power(base, power, signs)
        case Call():
            yield from functions_otherwise(node, signs)


def _difference(left: Node, right: Node, signs: Signs) -> Iterator[Other]:
    a, b = signs.call(left), signs.call(right)
    yield Other("not-subtracted", f"{b} is not subtracted from {a}", left, USUAL)
    yield Other("added", f"{b} is added instead of subtracted", Binary("+", left, right), USUAL)
    yield Other("reversed", f"{a} is subtracted from {b}, the wrong way round", Binary("-", right, left), SELDOM)
    yield Other("only", f"{a} is left out, and {b} is used alone", right, RARE)


def _sum(left: Node, right: Node, signs: Signs) -> Iterator[Other]:
    a, b = signs.call(left), signs.call(right)
    yield Other("not-added", f"{b} is not added to {a}", left, SELDOM)
    yield Other("not-added", f"{a} is left out, and {b} is used alone", right, SELDOM)
    yield Other("subtracted", f"{b} is subtracted instead of added", Binary("-", left, right), RARE)


def _ratio(left: Node, right: Node, signs: Signs) -> Iterator[Other]:
    a, b = signs.call(left), signs.call(right)
    if names(left) and names(right):
        yield Other("turned", f"{a} and {b} are divided the wrong way round", Binary("/", right, left), USUAL)
    if isinstance(left, Binary) and left.operator == "-" and right in (left.left, left.right):
        other = left.left if right == left.right else left.right
        pair = (signs.call(other), b) if signs.call(other) != b else ("the value found", "the known one")
        says = f"the difference is divided by {pair[0]} instead of {pair[1]}"
        yield Other("of-the-other", says, Binary("/", left, other), USUAL)
    if isinstance(left, Name) and isinstance(right, Name) and right.key in signs.alike.get(left.key, ()):
        rest = Binary("-", right, left)
        yield Other("to-the-rest", f"{a} is divided by the rest instead of the whole", Binary("/", left, rest), SELDOM)
        yield Other("rest", f"the rest is divided by {b} instead of {a}", Binary("/", rest, right), SELDOM)


def _power(base: Node, power: Node, signs: Signs) -> Iterator[Other]:
    a, n = signs.call(base), signs.call(power)
    yield Other("power", f"{a} is not raised to the power {n}", base, SELDOM)
    multiplied = Binary("*", base, power)
    yield Other("power", f"{a} is multiplied by {n} instead of raised to that power", multiplied, SELDOM)
    if isinstance(base, Binary):
        last = Binary(base.operator, base.left, Binary("**", base.right, power))
        yield Other("power", f"the power {n} is given to {signs.call(base.right)} alone", last, SELDOM)


def _left_out(side: _Side, signs: Signs) -> Iterator[Other]:
    for text, unity, cost, put in _unities(side, signs):
        says = f"{text} is left out" if side.multiplies else f"nothing is divided by {text}"
        yield Other("left-out", says, put(Number(repr(unity))), cost)


def _inverted(side: _Side, signs: Signs) -> Iterator[Other]:
    """Divided by instead of multiplied, or the other way, as the numbers stand in their units."""
    done, usual = ("divided", "multiplied") if side.multiplies else ("multiplied", "divided")
    part = side.part.operand if isinstance(side.part, Negative) else side.part
    for text, unity, cost, put in _unities(side, signs):
        inverse = Binary("/", Number(repr(unity * unity)), part)
        yield Other("inverted", f"it is {done} by {text} instead of {usual}", put(inverse), cost)


def _unities(side: _Side, signs: Signs) -> Iterator[tuple[str, float, float, Put]]:
    """What stands for 1 of it: of its unit, and of units a thousand times as large or small."""
    part, put = side.part, side.put
    if isinstance(part, Negative):
        part, put = part.operand, lambda part: side.put(Negative(part))
    if isinstance(part, Name) and part.key in signs.ones:
        return
    size = signs.sizes.get(part.key, 1.0) if isinstance(part, Name) else 1.0
    yield signs.call(part), size, USUAL, put
    for unity in (size * 1e3, size * 1e-3) if not isinstance(part, Number) else ():
        yield signs.call(part), unity, SELDOM, put


def _scale(side: _Side, signs: Signs) -> Iterator[Other]:
    """A temperature on a scale that does not begin at absolute zero, as a factor."""
    part = side.part
    if isinstance(part, Name) and part.key in signs.scaled:
        text = signs.call(part)
        cold, twice = (side.put(Binary(sign, part, _ZERO_CELSIUS)) for sign in "-+")
        yield Other("celsius", f"{text} is put in as degrees Celsius instead of kelvin", cold, USUAL)
        yield Other("kelvin-twice", f"273 is added twice to {text}", twice, RARE)


def _swapped(tree: Node, signs: Signs) -> Iterator[Other]:
    """Two of a kind exchanged; one of a kind that is not in the formula taken for one that is."""
    inside = names(tree)
    for place, text in enumerate(inside):
        a = signs.call(Name(text))
        for other in signs.alike.get(text, ()):
            b = signs.call(Name(other))
            if other in inside[place + 1 :]:
                yield Other("swapped", f"{a} and {b} are swapped", _renamed(tree, {text: other, other: text}), SELDOM)
            yield Other("taken-for", f"{b} is used instead of {a}", _renamed(tree, {text: other}), SELDOM + 0.5)


def _renamed(tree: Node, to: Mapping[str, str]) -> Node:
    return rewritten(tree, lambda node: Name(to.get(node.key, node.key)) if isinstance(node, Name) else node)
