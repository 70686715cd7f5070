"""The calibrated instruments of a session: its owner's of today, frozen with it when it opens."""

from typing import Any

from chromata_core.instruments.calibrated import thawed
from chromata_core.instruments.instrument import Instrument
from labs.models import Session
from stock.models import Calibration
from stock.own import frozen, instruments_of, slug_of


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
