"""Slips that need no declaring: they apply wherever a formula has the shape for them.

Difference not taken, taken the wrong way round, added instead; a factor left out or turned over; a ratio inverted;
ln for log₁₀; the first of a series for the last. After the formula: a power of ten, the sign, per cent for a fraction.
"""

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass

from chromata_core.declaration.option_kinds import NumberOption
from chromata_core.declaration.vocabulary import Quantity
from chromata_core.formula.tree import Binary, Call, Name, Node, Number, rewritten
from chromata_core.sheet.bound import Bound


@dataclass(frozen=True, slots=True)
class Variant:
    """A quantity worked with another formula. ``says`` finishes “you get this if …”."""

    key: str
    says: str
    quantity: str
    formula: Node | None
    with_rough: bool = False
    generic: bool = False


@dataclass(frozen=True, slots=True)
class AfterSlip:
    """Something done to the finished number, in its unit."""

    key: str
    says: str
    apply: Callable[[float], float]


def after_slips(quantity: Quantity) -> tuple[AfterSlip, ...]:
    """What may happen to the finished number of ``quantity``."""
    found = [
        AfterSlip("thousand-up", "a unit is off by a thousand, such as mL for L or mg for g", lambda x: x * 1000),
        AfterSlip("thousand-down", "a unit is off by a thousand, such as L for mL or g for mg", lambda x: x / 1000),
        AfterSlip("ten-up", "the decimal point is one place too far right", lambda x: x * 10),
        AfterSlip("ten-down", "the decimal point is one place too far left", lambda x: x / 10),
        AfterSlip("sign", "the sign is turned", lambda x: -x),
    ]
    if quantity.unit == "%":
        found.append(AfterSlip("fraction", "a fraction is given for per cent", lambda x: x / 100))
    if not quantity.unit:
        found.append(AfterSlip("inverted", "the ratio is turned over", lambda x: 1 / x if x else float("nan")))
    return tuple(found)


def generic_variants(
    bound: Bound, declared: Sequence[Variant], trees: Sequence[tuple[Quantity, Node]]
) -> list[Variant]:
    """Other formulas for the quantities ``trees``, without those that a method declares itself."""
    known = {(variant.quantity, variant.formula) for variant in declared}
    chosen = [o for o in bound.method.all_options if isinstance(o, NumberOption) and o.symbol and not o.fixed]
    factors = {option.key: option.label for option in chosen}
    factors = {key: label for key, label in factors.items() if bound.number(key) != 1}
    found: list[Variant] = []
    for quantity, tree in trees:
        label = quantity.label[:1].lower() + quantity.label[1:]
        for kind, says, formula in (*_differences(tree, label), *_factors(tree, factors), *_shapes(tree, label)):
            if (quantity.key, formula) not in known:
                known.add((quantity.key, formula))
                found.append(Variant(f"{kind}:{quantity.key}", says, quantity.key, formula, generic=True))
    return found


Other = tuple[str, str, Node]


def _differences(tree: Node, label: str) -> Iterator[Other]:
    match tree:
        case Binary("-", left, right):
            yield "not-subtracted", f"nothing is subtracted for the {label}", left
            yield "reversed", f"the {label} is subtracted the wrong way round", Binary("-", right, left)
            yield "added", f"the two are added for the {label}", Binary("+", left, right)


def _factors(tree: Node, factors: dict[str, str]) -> Iterator[Other]:
    for key, label in factors.items():
        if _has_factor(tree, key):
            said = label[:1].lower() + label[1:]
            yield f"without-{key}", f"“{said}” is left out", _put(tree, Name(key), Number("1"))
            inverse = Binary("/", Number("1"), Name(key))
            yield (
                f"inverted-{key}",
                f"“{said}” is divided by instead of multiplied, or the other way",
                _put(tree, Name(key), inverse),
            )


def _has_factor(tree: Node, key: str) -> bool:
    """Whether ``key`` multiplies or divides the whole formula."""
    match tree:
        case Name(name):
            return name == key
        case Binary("*" | "/", left, right):
            return _has_factor(left, key) or _has_factor(right, key)
        case _:
            return False


def _shapes(tree: Node, label: str) -> Iterator[Other]:
    match tree:
        case Binary("/", left, right):
            yield "ratio-inverted", f"the division for the {label} is turned over", Binary("/", right, left)
    for old, new in (("ln", "log10"), ("log10", "ln"), ("last", "first")):
        changed = _calling(tree, old, new)
        if changed != tree:
            says = "the first of the series is used" if old == "last" else f"{new} is used for {old}"
            yield f"{old}-{new}", says, changed


def _put(tree: Node, old: Node, new: Node) -> Node:
    return rewritten(tree, lambda node: new if node == old else _shorter(node))


def _shorter(node: Node) -> Node:
    """``node`` without a factor of 1, so that a slip that was declared is known again."""
    match node:
        case Binary("*" | "/", left, Number("1")):
            return left
        case Binary("*", Number("1"), right):
            return right
        case _:
            return node


def _calling(tree: Node, old: str, new: str) -> Node:
    return rewritten(
        tree, lambda node: Call(new, node.arguments) if isinstance(node, Call) and node.function == old else node
    )
