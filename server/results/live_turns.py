"""Turns at what benches share while the class works: who is in one, who is late, when the rest come."""

from datetime import datetime, timedelta

from django.utils import timezone

from chromata_core.declaration.options import active
from chromata_core.planning.turns_followed import Followed, Had, can_be_followed, followed, had_of
from labs.declared import method_of
from labs.models import Session
from labs.turns import planned_turns, turns_begin
from notebook.desks import Desk
from results.shapes import LiveTurns, Need


def live_turns(session: Session, places: list[Desk]) -> tuple[LiveTurns | None, list[Need]]:
    """Its lanes as they go on now, and who is late; nothing where ``places`` share nothing."""
    if session.state != Session.State.OPEN or not active(method_of(session).shared, session.options):
        return None, []
    planned = planned_turns(session)
    if planned is None:
        return None, []
    problem, placed = planned
    if not can_be_followed(problem, method_of(session).shared):
        return None, []
    begins, now = turns_begin(session), timezone.now()
    had: dict[tuple[int, int, str], Had] = {}
    for desk in places:
        had |= had_of(problem, desk.at, desk.state, desk.bench.number, now.timestamp())
    minute = max(round((now - begins).total_seconds() / 60), 0)
    course = followed(problem, placed, had, minute)
    return LiveTurns(begins.isoformat(), minute, course.timetable), _needs(places, course, begins)


def _needs(places: list[Desk], course: Followed, begins: datetime) -> list[Need]:
    desks = {desk.bench.number: desk for desk in places}
    needs = [
        (
            desk,
            Need(
                f"turn:{late.turn}",
                late.bench,
                desk.bench.pk,
                level="look",
                what=late.what,
                text=late.text,
                word="Your turn is now: what keeps you?",
                since=(begins + timedelta(minutes=late.since)).isoformat(),
                trial=None,
            ),
        )
        for late in course.late
        if (desk := desks.get(late.bench))
    ]
    return [need for desk, need in needs if need.id not in {e.text for e in desk.entries if e.key == "seen"}]
