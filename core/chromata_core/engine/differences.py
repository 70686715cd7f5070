"""Readings on a balance that are worked as a difference: a vessel with something in it, and without."""

from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Binary, Name
from chromata_core.sheet.bound import Bound


def differences(bound: Bound) -> dict[str, str]:
    """The larger reading by the smaller; responses are none of them."""
    weighed = {one.key for one in bound.readings if bound.instruments[one.role].kind == "balance" and not one.response}
    found = {}
    for quantity in bound.quantities:
        match parse_formula(quantity.formula):
            case Binary("-", Name(more), Name(less)) if {more, less} <= weighed:
                found[more] = less
    return found
