"""Sessions as a calendar that other programs show (iCalendar, RFC 5545): when, where, and what is made before."""

from collections.abc import Iterable
from datetime import timedelta

from django.utils import timezone
from icalendar import Calendar, Event

from chromata_core.errors import ChromataError
from config.errors import Refused
from labs.models import Session
from preparation.standing import to_make

_FIRST = timedelta(minutes=60)  # before it begins the prep room is at it; common practice, no published source


def calendar_of(sessions: Iterable[Session], address: str) -> bytes:
    """The calendar; an event for each session, and one before it for what has to be made."""
    calendar = Calendar()
    calendar.add("prodid", "-//Chromata//laboratory sessions//EN")
    calendar.add("version", "2.0")
    calendar.add("method", "PUBLISH")
    for session in sessions:
        calendar.add_component(_event(session, address))
        if said := _to_do(session):
            calendar.add_component(_before(session, address, said))
    return bytes(calendar.to_ical())


def _to_do(session: Session) -> str:
    """What is made before it; nothing where its plan does not hold any more."""
    if session.state != Session.State.PLANNED:
        return ""
    try:
        lines = to_make(session)
    except (ChromataError, Refused):
        return ""
    return "\n".join(f"{one.recipe.title}: {one.recipe.amount}, {one.recipe.lead}" for one in lines)


def _event(session: Session, address: str) -> Event:
    event = _of(session, address, "session")
    event.add("summary", session.title)
    event.add("dtstart", session.starts_at)
    event.add("dtend", session.starts_at + timedelta(minutes=session.minutes))
    event.add("status", "CANCELLED" if session.state == Session.State.CANCELLED else "CONFIRMED")
    return event


def _before(session: Session, address: str, said: str) -> Event:
    event = _of(session, address, "preparation")
    event.add("summary", f"Prepare: {session.title}")
    event.add("dtstart", session.starts_at - _FIRST)
    event.add("dtend", session.starts_at)
    event.add("description", said)
    return event


def _of(session: Session, address: str, what: str) -> Event:
    event = Event()
    event.add("uid", f"{what}-{session.pk}@{address.partition('//')[2] or 'chromata'}")
    event.add("dtstamp", timezone.now())
    event.add("sequence", session.revision)
    event.add("url", f"{address}/sessions/{session.pk}")
    if session.room:
        event.add("location", session.room)
    return event
