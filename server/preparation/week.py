"""The week: its sessions side by side, one list of what must be made by when."""

from collections.abc import Sequence
from datetime import date, datetime, time, timedelta

from django.db.models import QuerySet
from django.utils import timezone

from chromata_core.planning.shelf import Shelf
from labs.models import Session
from labs.policy import sessions_for
from labs.term import session_card
from people.models import Person
from preparation.needs import day_of, why_not
from preparation.promised import shelves_until
from preparation.shapes import Together, Week, WeekLine, WeekSession
from preparation.standing import to_make, to_set_out, to_switch_on

_DAYS = 7
_LAST = date(9999, 12, 26)  # a Sunday: in the week behind it the calendar ends


def day_ahead(person: Person) -> date:
    """When the next session is that ``person`` has to get something ready for, today's among them; without any today:
    from a Friday evening on the week that matters is the next one with work in it.
    """
    today = timezone.localdate()
    ahead = _sessions(person).filter(starts_at__gte=_beginning(today)).exclude(state=Session.State.CLOSED).first()
    return timezone.localdate(ahead.starts_at) if ahead else today


def week_of(person: Person, day: date) -> Week:
    """What ``person`` has to get ready in the week (from Monday) in which ``day`` lies."""
    monday = _monday(day)
    planned = sessions_in(person, day)
    shelves = shelves_until(planned[-1]) if planned else {}
    sessions = [_session(session, shelves.get(session.pk)) for session in planned]
    return Week(monday.isoformat(), (monday + timedelta(days=_DAYS - 1)).isoformat(), sessions, _together(sessions))


def sessions_in(person: Person, day: date) -> list[Session]:
    """Sessions of the week in which ``day`` lies, in order."""
    begins = _beginning(_monday(day))
    within = _sessions(person).filter(starts_at__gte=begins, starts_at__lt=begins + timedelta(days=_DAYS))
    return list(within.select_related("section__owner"))


def _sessions(person: Person) -> QuerySet[Session]:
    """All that have hands at real benches, in order."""
    held = sessions_for(person).filter(simulated="").exclude(state=Session.State.CANCELLED)
    return held.order_by("starts_at", "pk")


def _beginning(day: date) -> datetime:
    return timezone.make_aware(datetime.combine(day, time.min))


def _monday(day: date) -> date:
    day = min(day, _LAST)
    return day - timedelta(days=day.weekday())


def _session(session: Session, shelf: Shelf | None) -> WeekSession:
    lines = [] if session.state == Session.State.CLOSED else _lines(session, shelf)
    places = session.benches.values("number").distinct().count()
    return WeekSession(session_card(session), places, lines)


def _lines(session: Session, shelf: Shelf | None) -> list[WeekLine]:
    """What it needs; where its plan does not hold any more, why: the other sessions of the week stay."""
    if reason := why_not(session):
        return [
            WeekLine(
                "", "Its plan does not hold any more", "", lead="", earliest="", ready=False, made=True, lacks=[reason]
            )
        ]
    return [*_solutions(session, shelf), *_pieces(session), *_switched_on(session)]


def _solutions(session: Session, shelf: Shelf | None) -> list[WeekLine]:
    lines = []
    for solution in to_make(session, shelf):
        how = solution.recipe
        earliest = day_of(session) - timedelta(days=how.keeps)
        wait = earliest.isoformat() if earliest > timezone.localdate() else ""
        lead = solution.made.lead if solution.made else how.lead
        lacks = [] if solution.made else how.lacks
        lines.append(
            WeekLine(
                how.key,
                how.title,
                how.amount,
                lead=lead,
                earliest=wait,
                ready=solution.ready,
                made=bool(solution.made),
                lacks=lacks,
            )
        )
    return lines


def _pieces(session: Session) -> list[WeekLine]:
    return [
        WeekLine(
            piece.key,
            piece.name,
            f"× {piece.needed}",
            lead="",
            earliest="",
            ready=piece.ready,
            made=False,
            lacks=[piece.short] if piece.short else [],
        )
        for piece in to_set_out(session)
    ]


def _switched_on(session: Session) -> list[WeekLine]:
    return [
        WeekLine(
            appliance.key,
            appliance.text,
            f"{timezone.localtime(datetime.fromisoformat(appliance.at)):%H:%M}",
            lead="",
            earliest="",
            ready=appliance.ready,
            made=False,
            lacks=[],
        )
        for appliance in to_switch_on(session)
    ]


def _together(sessions: Sequence[WeekSession]) -> list[Together]:
    """Solutions that several sessions of the week use: made once for all, if they keep so long."""
    wanted: dict[str, list[str]] = {}
    for session in sessions:
        for line in session.lines:
            if line.lead and not line.made:
                wanted.setdefault(line.title, []).append(f"{line.amount} for {session.card.title}")
    return [Together(title, amounts) for title, amounts in wanted.items() if len(amounts) > 1]
