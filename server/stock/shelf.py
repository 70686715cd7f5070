"""The department's shelf: bottles and counted pieces, which everybody who teaches keeps in order together."""

from collections.abc import Mapping
from datetime import date
from typing import Any

from django.db import transaction
from django.utils import timezone

from chromata_core.chemistry.molar_mass import formula_text
from chromata_core.chemistry.reagents import known_names
from chromata_core.errors import ReadingError, unknown
from chromata_core.instruments.prep_room import EQUIPMENT, PIECES
from chromata_core.planning.shelf import Shelf, bottle
from config.errors import Refused
from stock.models import Bottle, Counted
from stock.shapes import BottleOut, Named, PieceOut, ShelfOut

_MOST = 2000  # bottles


def said_of(kept: Bottle) -> dict[str, str]:
    """What its label says, as the core reads it."""
    until = kept.until.isoformat() if kept.until else ""
    return {
        "formula": kept.formula, "amount": kept.amount, "strength": kept.strength, "limit": kept.limit,
        "density": kept.density, "until": until,
    }  # fmt: skip


def shelf_on(day: date) -> Shelf:
    """All that is there to prepare with for ``day``."""
    bottles = [bottle(kept.pk, kept.name, said_of(kept)) for kept in Bottle.objects.all()]
    return Shelf(bottles, dict(Counted.objects.values_list("slug", "pieces")), day)


def shelf_now() -> ShelfOut:
    """The shelf as people look at it today: what is past its date first."""
    today = timezone.localdate()
    bottles = [_bottle(kept, today) for kept in Bottle.objects.all()]
    counted = {counted.slug: counted for counted in Counted.objects.all()}
    known = [Named(formula, name) for formula, name in known_names().items()]
    pieces = [_piece(slug, counted.get(slug)) for slug in (*EQUIPMENT, *PIECES)]
    return ShelfOut(known, sorted(bottles, key=lambda bottle_out: not bottle_out.past), pieces)


def _bottle(kept: Bottle, today: date) -> BottleOut:
    read = bottle(kept.pk, kept.name, said_of(kept))
    until = kept.until.isoformat() if kept.until else ""
    return BottleOut(
        kept.pk,
        kept.name,
        kept.formula,
        shown=formula_text(kept.formula),
        amount=kept.amount,
        strength=kept.strength,
        limit=kept.limit,
        density=kept.density,
        until=until,
        place=kept.place,
        past=read.past(today),
        strong=read.strength,
    )


def _piece(slug: str, kept: Counted | None) -> PieceOut:
    many, place = (kept.pieces, kept.place) if kept else (None, "")
    if slug in EQUIPMENT:
        return PieceOut(slug, EQUIPMENT[slug], "equipment", "", many, place)
    piece = PIECES[slug]
    basis = next((term.basis for term in piece.errors if term.basis), "")
    return PieceOut(slug, piece.short, piece.kind, basis, many, place)


def put_on_shelf(fields: Mapping[str, Any]) -> Bottle:
    """A new bottle; ReadingError for a label that cannot be, Refused where the shelf is full."""
    bottle = Bottle(**_checked(fields))
    if Bottle.objects.count() >= _MOST:
        raise Refused(f"The shelf holds {_MOST} bottles. Take off those that are gone.")
    bottle.save()
    return bottle


@transaction.atomic
def write_label(number: int, fields: Mapping[str, Any]) -> bool:
    """What stands on a bottle from now on; whether there is such a bottle."""
    return bool(Bottle.objects.filter(pk=number).update(**_checked(fields)))


def _checked(fields: Mapping[str, Any]) -> dict[str, Any]:
    read = bottle(0, fields["name"], fields)
    return {**fields, "until": read.until}


def count(slug: str, pieces: int | None, place: str) -> None:
    """So many pieces are there; None: nobody knows. ReadingError for what cannot be counted."""
    if slug not in PIECES and slug not in EQUIPMENT:
        raise ReadingError(unknown("instrument", slug, list(PIECES)))
    if pieces is None:
        Counted.objects.filter(slug=slug).delete()
    else:
        Counted.objects.update_or_create(slug=slug, defaults={"pieces": pieces, "place": place})
