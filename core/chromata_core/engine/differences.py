"""Readings on a balance that are worked as a difference: a vessel with something in it, and without."""

from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Binary, Name
from chromata_core.sheet.bound import Bound


def differences(bound: Bound) -> dict[str, str]:
    """The larger reading by the smaller; responses are none of them."""
    weighed = {
        reading.key
        for reading in bound.readings
        if bound.instruments[reading.role].kind == "balance" and not reading.response
    }
    differing = {}
    for quantity in bound.quantities:
        match parse_formula(quantity.formula):
            case Binary("-", Name(more), Name(less)) if {more, less} <= weighed:
                differing[more] = less
    return differing
