"""A department's own instruments, as the core wants them."""

from typing import Any

from chromata_core.instruments.calibrated import thawed
from chromata_core.instruments.instrument import Instrument
from people.models import Person
from stock.models import Calibration


def slug_of(calibration: Calibration) -> str:
    """How plans name it; no instrument of the catalogue is called so."""
    return f"own-{calibration.pk}"


def frozen(calibration: Calibration) -> dict[str, Any]:
    """Everything that makes the instrument, as data that a session keeps."""
    return {
        "base": calibration.base, "name": calibration.name, "points": calibration.points, "source": calibration.source,
    }  # fmt: skip


def instruments_of(owner: Person) -> dict[str, Instrument]:
    """The owner's calibrated instruments by slug."""
    return {slug_of(found): thawed(slug_of(found), frozen(found)) for found in Calibration.objects.filter(owner=owner)}
