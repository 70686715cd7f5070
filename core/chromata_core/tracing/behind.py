"""From what a result is worked."""

from chromata_core.declaration.vocabulary import Quantity
from chromata_core.engine.context import Context
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import names


def feeding(at: Context, quantity: Quantity) -> frozenset[str]:
    """Keys of everything from which ``quantity`` is worked, and its own."""
    known = {q.key: q for q in at.bound.quantities}
    keys: set[str] = set()
    ahead = [quantity.key]
    while ahead:
        key = ahead.pop()
        if key not in keys:
            keys.add(key)
            ahead += names(parse_formula(known[key].formula)) if key in known else ()
    return frozenset(keys)
