"""Functions of a formula taken for another: the sum for the mean, the first for the last, a line through zero."""

from collections.abc import Iterator, Mapping

from chromata_core.formula.tree import Binary, Call, Name, Node, Number
from chromata_core.tracing.other import RARE, SELDOM, USUAL, Other, Signs

# By function: another one of the same arguments, what is said of it, and how usual it is.
_INSTEAD: Mapping[str, tuple[tuple[str, str, float], ...]] = {
    "ln": (("log10", "log₁₀ is taken for ln", USUAL),),
    "log10": (("ln", "ln is taken for log₁₀", USUAL),),
    "last": (("first", "the first of the series is used", USUAL),),
    "first": (("last", "the last of the series is used", SELDOM),),
    "mean": (
        ("sum", "the sum is not divided by how many there are", USUAL),
        ("first", "the first alone is used instead of the mean", SELDOM),
        ("last", "the last alone is used instead of the mean", SELDOM),
    ),
    "sum": (
        ("first", "only the first portion is counted, and the other portions are left out", SELDOM),
        ("last", "only the last portion is counted", SELDOM),
        ("mean", "the portions are averaged instead of added", RARE),
    ),
    "line_x": (("line_x_origin", "the line is drawn through zero, without its intercept", USUAL),),
    "line_x_origin": (("line_x", "the line is not drawn through zero", SELDOM),),
}
_NOT_TAKEN = {"ln": "the logarithm", "log10": "the logarithm", "exp": "the exponential", "sqrt": "the square root"}


def functions_otherwise(call: Call, signs: Signs) -> Iterator[Other]:
    """``call`` taken otherwise."""
    for function, says, cost in _INSTEAD.get(call.function, ()):
        yield Other(f"{call.function}-{function}", says, Call(function, call.arguments), cost)
    match call.function, call.arguments:
        case (("ln" | "log10" | "exp" | "sqrt"), (inside,)):
            says = f"{_NOT_TAKEN[call.function]} of {signs.call(inside)} is not taken"
            yield Other("no-function", says, inside, USUAL)
        case "lesser", pair:
            for part in pair:
                says = f"{signs.call(part)} is used, whichever is less: the other limits"
                yield Other("not-lesser", says, part, SELDOM)
        case "sum", (inside,):
            for end, cost in (("last", USUAL), ("first", SELDOM)):
                rest = Binary("-", call, Call(end, (inside,)))
                yield Other(f"{end}-left-out", f"the {end} portion is left out", rest, cost)
        case "poured", (amounts, _, _):
            says = "only the first portion is counted, and the other portions are left out"
            yield Other("first-portion", says, Call("first", (amounts,)), SELDOM)
        case "inside", (_, Call("mean_last", (row, _))):
            says = "the first reading of it is used, before it was diluted or settled"
            yield Other("first-reading", says, Call("first", (row,)), USUAL)
        case "dilution_factor", (made, taken):
            yield from _dilution(made, taken)
        case (("line_slope" | "line_intercept" | "line_x"), (x, y, *read)):
            yield from _line(call, x, y, read, signs)


def _dilution(node: Node, taken: Node) -> Iterator[Other]:
    added, less = (Binary("/", Binary(sign, node, taken), taken) for sign in "+-")
    yield Other("undiluted", "the dilution is left out", Number("1"), USUAL)
    turned = Binary("/", taken, node)
    yield Other("dilution-turned", "the dilution is divided by instead of multiplied", turned, USUAL)
    yield Other("dilution-added", "the volumes are added for the dilution", added, SELDOM)
    yield Other("dilution-less", "the volumes are subtracted for the dilution", less, SELDOM)


def _line(call: Call, x: Node, y: Node, read: list[Node], signs: Signs) -> Iterator[Other]:
    slope, intercept = Call("line_slope", (x, y)), Call("line_intercept", (x, y))
    if call == slope:
        yield Other("axes", "the axes of the line are exchanged", Call("line_slope", (y, x)), USUAL)
        over = Binary("/", Number("1"), slope)
        yield Other("slope-turned", "the slope is turned over, run over rise", over, USUAL)
        rise, run = (Binary("-", Call("last", (axis,)), Call("first", (axis,))) for axis in (y, x))
        says = "the slope is taken from the first and the last point alone (two points)"
        yield Other("two-points", says, Binary("/", rise, run), USUAL)
    elif call == intercept:
        yield Other("first-point", "the first point alone is used for the intercept", Call("first", (y,)), USUAL)
    for absorbance in read:
        size = Number(repr(signs.sizes.get(x.key, 1.0) if isinstance(x, Name) else 1.0))
        up = Binary("*", absorbance, Binary("*", slope, size))
        no_intercept = Binary("/", absorbance, slope)
        yield Other("no-intercept", "the intercept of the line is not subtracted", no_intercept, USUAL)
        says = "the line is used the wrong way: the slope is multiplied by instead of divided"
        yield Other("line-turned", says, Binary("*", Binary("+", up, intercept), size), SELDOM)
        says = "the intercept of the line is added instead of subtracted"
        yield Other("intercept-added", says, Binary("/", Binary("+", absorbance, intercept), slope), SELDOM)
