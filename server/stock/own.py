"""A department's own instruments, as the core wants them; frozen with a session when it opens."""

from typing import Any

from chromata_core.instruments.calibrated import thawed
from chromata_core.instruments.instrument import Instrument
from labs.models import Session
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


def stock_of(session: Session) -> dict[str, Instrument]:
    """The calibrated instruments that ``session`` may name: those frozen with it, before that its owner's of today."""
    if session.state != Session.State.PLANNED:
        return {slug: thawed(slug, kept) for slug, kept in session.stock.items()}
    return instruments_of(session.section.owner)


def to_freeze(session: Session) -> dict[str, Any]:
    """The calibrations that ``session`` uses, to be kept with it."""
    named = set(session.instruments.values())
    own = Calibration.objects.filter(owner=session.section.owner)
    return {slug_of(found): frozen(found) for found in own if slug_of(found) in named}
