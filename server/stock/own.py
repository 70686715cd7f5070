"""A department's own instruments, as the core wants them: calibrated ones, and those with a scale of their own."""

from typing import Any

from chromata_core.instruments.calibrated import thawed
from chromata_core.instruments.instrument import Instrument
from people.models import Person
from stock.models import Calibration, OwnInstrument


def slug_of(kept: Calibration | OwnInstrument) -> str:
    """How plans name it; no instrument of the catalogue is called so."""
    return f"own-{kept.pk}" if isinstance(kept, Calibration) else f"own-scale-{kept.pk}"


def frozen(kept: Calibration | OwnInstrument) -> dict[str, Any]:
    """Everything that makes the instrument, as data that a session keeps."""
    if isinstance(kept, OwnInstrument):
        return {"own": kept.said}
    return {"base": kept.base, "name": kept.name, "points": kept.points, "source": kept.source}


def all_of(owner: Person) -> list[Calibration | OwnInstrument]:
    """Every instrument that ``owner`` has beside the catalogue."""
    return [*Calibration.objects.filter(owner=owner), *OwnInstrument.objects.filter(owner=owner)]


def instruments_of(owner: Person) -> dict[str, Instrument]:
    """The owner's own instruments by slug."""
    return {slug_of(kept): thawed(slug_of(kept), frozen(kept)) for kept in all_of(owner)}
