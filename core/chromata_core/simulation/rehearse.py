"""Any method rehearsed: its worked example is the truth, and simulated instruments read it anew.

Each instrument has an error of its own that stays for the whole session, and scatters at every reading; a fault bends
the readings before they are taken. So every method that declares an example has a simulated bench, an instructor's own
as well; benches that start from a chemical truth stand in files beside this one.
"""

from collections.abc import Mapping
from dataclasses import replace

import numpy as np

from chromata_core.declaration.vocabulary import Method
from chromata_core.engine.inputs import begins_delivery
from chromata_core.errors import SheetError, unknown
from chromata_core.formula.compute import numeric
from chromata_core.formula.parse import parse_formula
from chromata_core.quantity.column import Column
from chromata_core.quantity.rounding import plain
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.simulation.readings import calibration_of, read

# These count or are set, they are not read: a rehearsal leaves them as they are.
_AS_WRITTEN = ("clock", "wavelength scale", "flask", "pipette", "adjustable pipette", "ammeter")


def rehearse(method: Method, seed: int, options: Mapping[str, str] | None = None, fault: str = "") -> Sheet:
    """A sheet as a bench would leave it that works like the example. ``fault`` is the key of a fault of the method;
    SheetError if it has no such fault, or one that these instruments cannot show: a one-mark pipette says 50.00
    whatever was spilt.
    """
    return read_anew(method, example_sheet(method, options), seed, fault)


def read_anew(method: Method, sheet: Sheet, seed: int, fault: str = "") -> Sheet:
    """``sheet`` of true readings as the instruments of one bench show them, with a ``fault`` of the method or none."""
    bound = bind(method, sheet)
    changes = _changes(method, fault)
    random = np.random.default_rng(seed)
    off = {key: calibration_of(tool, random) for key, tool in bound.instruments.items()}
    written = replace(sheet, given=tuple(_read_anew(bound, given, changes, off, random) for given in sheet.given))
    bind(method, written)  # what no instrument could show is refused here
    return written


def _changes(method: Method, fault: str) -> Mapping[str, str]:
    if not fault:
        return {}
    chosen = next((other for other in method.faults if other.key == fault), None)
    if chosen is None:
        raise SheetError([unknown("fault", fault, [fault.key for fault in method.faults])])
    return chosen.changes


def _read_anew(
    bound: Bound, given: Given, changes: Mapping[str, str], off: Mapping[str, float], random: np.random.Generator
) -> Given:
    reading = next((reading for reading in bound.readings if reading.key == given.key), None)
    if reading is None:
        return given
    tool = bound.instruments[reading.role]
    true = float(bound.typed[given.place].value)
    bent = _bent(changes[reading.key], true) if reading.key in changes else true
    if true == float(tool.high) and tool.low != tool.high:  # a vessel that is full to its last mark is full
        return given
    if tool.kind in _AS_WRITTEN:
        as_written = bent == true and bound.typed[given.place].decimals <= tool.decimals
        return given if as_written else replace(given, text=plain(bent, tool.decimals))
    session = 0.0 if begins_delivery(reading, given.place) else off[reading.role]
    return replace(given, text=read(tool, bent + session, random))


def _bent(formula: str, true: float) -> float:
    column: Column = numeric(parse_formula(formula))({"x": np.array([true])})
    return float(column[0])
