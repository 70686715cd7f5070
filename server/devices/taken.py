"""A reading as the device shows it, for a bench that asks: as if it were typed, and not kept before it is looked at."""

from dataclasses import dataclass

from chromata_core.declaration.vocabulary import Reading
from chromata_core.errors import ChromataError, UnitError
from chromata_core.quantity.given import read_in
from config.errors import Refused
from devices.line import shown_by
from labs.declared import method_of
from labs.models import Bench
from notebook.desks import desks
from notebook.slips import slip_for


@dataclass(frozen=True, slots=True)
class FromDevice:
    """The text to be written, and whether the device stands still; ``simulated``: it is a stand-in. ``slip`` goes with
    the reading, and says on the record where it comes from.
    """

    text: str
    stable: bool
    simulated: bool
    slip: str


def taken(bench: Bench, key: str) -> FromDevice:
    """What the device for the reading ``key`` shows, with the decimals that are recorded here."""
    [desk] = desks([bench])
    part = next((reading for reading in desk.at.bound.readings if reading.key == key), None)
    if not isinstance(part, Reading) or part.role not in desk.at.bound.instruments:
        raise Refused(f"“{method_of(bench.session).title}” reads nothing that is called “{key[:40]}”.", 422)
    tool = desk.at.bound.instruments[part.role]
    shown = shown_by(tool.kind)
    try:
        _same_kind(shown.unit, part.unit)
        typed = read_in(f"{shown.value} {shown.unit}", part.unit)
    except ChromataError:
        raise Refused(
            f"The {tool.kind} shows {shown.value} {shown.unit}, and here {part.unit} are written. Set its unit, or "
            "type the reading.",
        ) from None
    text = f"{typed.value:.{max(typed.decimals, 0)}f}"
    device = f"{tool.kind} (simulated)" if shown.simulated else tool.kind
    return FromDevice(text, shown.stable, shown.simulated, slip_for(bench, key, text, device))


def _same_kind(shown: str, wanted: str) -> None:
    """A number without a unit is never taken for grams, nor per cent of light for an absorbance; UnitError for both."""
    if shown != wanted and {shown, wanted} & {"", "%"}:
        raise UnitError(f"“{shown}” is not “{wanted}”.")
