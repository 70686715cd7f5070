"""The own instruments of a session: its owner's of today, frozen with it when it opens."""

from typing import Any

from chromata_core.instruments.calibrated import thawed
from chromata_core.instruments.instrument import Instrument
from labs.models import Session
from stock.own import all_of, frozen, instruments_of, slug_of


def stock_of(session: Session) -> dict[str, Instrument]:
    """The own instruments that ``session`` may name: those frozen with it, before that its owner's of today."""
    if session.state != Session.State.PLANNED:
        return {slug: thawed(slug, kept) for slug, kept in session.stock.items()}
    return instruments_of(session.section.owner)


def to_freeze(session: Session) -> dict[str, Any]:
    """Those that ``session`` uses, to be kept with it."""
    named = set(session.instruments.values())
    return {slug_of(kept): frozen(kept) for kept in all_of(session.section.owner) if slug_of(kept) in named}
