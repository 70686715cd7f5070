"""Sessions as a calendar that other programs show (iCalendar, RFC 5545): when, where, and what is made before."""

from collections.abc import Sequence
from dataclasses import replace
from datetime import timedelta

from django.utils import timezone
from icalendar import Calendar, Event

from chromata_core.planning.shelf import Shelf
from labs.models import Session
from preparation.needs import day_of, why_not
from preparation.standing import to_make
from stock.shelf import shelf_on

_MOST_WORKED = 40  # recipes are worked for the next planned sessions: programs ask for the feed every few minutes
_FIRST = timedelta(minutes=60)  # before it begins the prep room is at it; common practice, no published source


def calendar_of(sessions: Sequence[Session], address: str) -> bytes:
    """The calendar; an event for each session, and one before it for what has to be made."""
    calendar = Calendar()
    calendar.add("prodid", "-//Chromata//laboratory sessions//EN")
    calendar.add("version", "2.0")
    calendar.add("method", "PUBLISH")
    worked = [session for session in sessions if session.state == Session.State.PLANNED][:_MOST_WORKED]
    shelf = shelf_on(timezone.localdate())  # as it stands: programs ask for the feed every few minutes
    for session in sessions:
        calendar.add_component(_event(session, address))
        if session in worked and (summary := _to_do(session, replace(shelf, day=day_of(session)))):
            calendar.add_component(_before(session, address, summary))
    return bytes(calendar.to_ical())


def _to_do(session: Session, shelf: Shelf) -> str:
    """What is made before it; nothing where its plan does not hold any more."""
    lines = [] if why_not(session) else to_make(session, shelf)
    return "\n".join(f"{line.recipe.title}: {line.recipe.amount}, {line.recipe.lead}" for line in lines)


def _event(session: Session, address: str) -> Event:
    event = _of(session, address, "session")
    event.add("summary", session.title)
    event.add("dtstart", session.starts_at)
    event.add("dtend", session.starts_at + timedelta(minutes=session.minutes))
    event.add("status", "CANCELLED" if session.state == Session.State.CANCELLED else "CONFIRMED")
    return event


def _before(session: Session, address: str, text: str) -> Event:
    event = _of(session, address, "preparation")
    event.add("summary", f"Prepare: {session.title}")
    event.add("dtstart", session.starts_at - _FIRST)
    event.add("dtend", session.starts_at)
    event.add("description", text)
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
