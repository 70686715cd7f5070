"""What will stand on the shelf for a session: those of the week before it have taken theirs by then."""

from dataclasses import replace
from datetime import datetime, time, timedelta

from django.utils import timezone

from chromata_core.errors import ChromataError
from chromata_core.planning.recipe import recipe
from chromata_core.planning.shelf import Shelf
from config.errors import Refused
from labs.models import Session
from preparation.needs import LIVE, day_of, solutions_for
from stock.shelf import shelf_on

_WEEK = timedelta(days=7)


def shelf_for(session: Session) -> Shelf:
    """What will be there for it on its day."""
    return shelves_until(session)[session.pk]


def shelves_until(last: Session) -> dict[int, Shelf]:
    """What will be there for each session of the department in the week until ``last``, from today on, and for that
    one: more than a week is not worked at every look.
    """
    left, shelves = shelf_on(day_of(last)), dict[int, Shelf]()
    for session in _in_order(last):
        shelves[session.pk] = replace(left, day=day_of(session))
        left = _left_after(session, shelves[session.pk])
    return shelves | {last.pk: shelves.get(last.pk, replace(left, day=day_of(last)))}


def _left_after(session: Session, shelf: Shelf) -> Shelf:
    """Without what its solutions take that are not made yet; what was made is out of its bottle already."""
    keys = set(session.made.values_list("key", flat=True))
    try:
        asked = solutions_for(session)
    except (ChromataError, Refused):  # its plan does not hold any more: it takes nothing
        return shelf
    for solution in asked:
        if solution.key not in keys:
            how = recipe(solution, shelf)
            shelf = shelf.without(how.bottle, how.needs)
    return shelf


def _in_order(last: Session) -> list[Session]:
    today = timezone.make_aware(datetime.combine(timezone.localdate(), time.min))
    begins = max(today, last.starts_at - _WEEK)
    coming = Session.objects.filter(state__in=LIVE, simulated="", starts_at__gte=begins, starts_at__lte=last.starts_at)
    return list(coming.select_related("section__owner").order_by("starts_at", "pk"))
