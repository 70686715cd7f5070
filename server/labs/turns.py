"""Turns of a session at what its benches share: as somebody had them solved, or as they come at once."""

from collections import defaultdict
from collections.abc import Mapping, Sequence
from dataclasses import asdict, replace
from datetime import datetime, timedelta
from hashlib import sha256
from threading import BoundedSemaphore
from typing import Any

from django.db import transaction
from django.utils import timezone

from chromata_core.errors import ChromataError
from chromata_core.planning.solve_turns import solve
from chromata_core.planning.supplies import TargetOut
from chromata_core.planning.timetable import Timetable, drawn, orders_of, solved_at_once
from chromata_core.planning.turns import FREE, Pin, Placed, Problem, Solved, checked_pins, problem_of
from chromata_core.planning.turns_at_once import turns_at_once
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from config.errors import Refused
from labs.declared import method_of
from labs.instruments import stock_of
from labs.locking import lock
from labs.models import Session
from labs.shapes import Coming

SECONDS = 4  # of two processors
_SOLVER = BoundedSemaphore(1)
_PATIENCE = 10
_EARLY = timedelta(hours=1)


def timetables_of(session: Session) -> list[Timetable]:
    """Its timetable, if its benches share anything."""
    problem = _problem(session, session.turns)
    return [drawn(problem, _turns(session, problem))] if problem.equipment and problem.benches else []


def coming_of(session: Session) -> Coming:
    """All at once, or in groups, as its turns were solved."""
    problem = _problem(session, session.turns)
    steps = sorted(set(problem.begins.values()))
    return Coming(max(len(steps), 1), steps[1] - steps[0] if len(steps) > 1 else 0)


def bench_orders(session: Session) -> dict[int, dict[str, str]]:
    """Each bench's own options, so that not all of them want the same bath at once."""
    planned = planned_turns(session)
    return orders_of(*planned) if planned else {}


def planned_turns(session: Session) -> tuple[Problem, Sequence[Placed]] | None:
    """What its benches share and when each has its turn; None where they share nothing."""
    problem = _problem(session, session.turns)
    if not problem.equipment or not problem.benches:
        return None
    kept = _solved(session, problem)
    return problem, kept.placed if kept else turns_at_once(problem)


def turns_begin(session: Session) -> datetime:
    """Minute 0 of its turns: when the class was to begin, if it was opened a little before, else when it was opened."""
    opened = session.opened_at or session.starts_at
    return session.starts_at if timedelta() <= session.starts_at - opened < _EARLY else opened


def turns_told(session: Session) -> dict[int, list[TargetOut]]:
    """For each bench, by its number, when it has its turn at which piece; of a session that is open."""
    turns: dict[int, list[TargetOut]] = defaultdict(list)
    planned = planned_turns(session) if session.state == Session.State.OPEN else None
    if planned is None:
        return turns
    problem, placed = planned
    for turn in sorted((taken for taken in placed if taken.piece != FREE), key=lambda placed: placed.start):
        equipment = problem.equipment[turn.equipment]
        value = f", {turn.value} {equipment.unit}" if equipment.unit else ""
        at = timezone.localtime(turns_begin(session) + timedelta(minutes=turn.start))
        turns[turn.bench].append(
            TargetOut(f"{equipment.label} {turn.piece + 1}{value}", f"{at:%H:%M}", "your turn, as planned")
        )
    return turns


def solve_turns(session: Session, pins: Sequence[Mapping[str, Any]], groups: int, apart: int) -> None:
    """Solves the turns of a planned session anew around ``pins``, for benches that come in ``groups``, so many minutes
    ``apart``. Refused once it has begun, ReadingError where the pins contradict each other.
    """
    if session.state != Session.State.PLANNED:
        raise Refused("The session has begun: its benches have their orders already.")
    problem = _problem(session, {"groups": groups, "apart": apart})
    if not problem.equipment or not problem.benches:
        raise Refused("These benches share nothing that they would have to wait for.")
    problem = replace(problem, pins=checked_pins(problem, [Pin(**pin) for pin in pins]))
    if not _SOLVER.acquire(timeout=_PATIENCE):
        raise Refused("Another timetable is being solved. Ask again in a few seconds.", 503)
    try:
        solved = solve(problem, SECONDS)
    finally:
        _SOLVER.release()
    _keep(session, problem, solved, groups, apart)


@transaction.atomic
def _keep(session: Session, problem: Problem, solved: Solved, groups: int, apart: int) -> None:
    lock(session)
    if session.state != Session.State.PLANNED or _mark(_problem(session, {"groups": groups, "apart": apart})) != _mark(
        problem
    ):
        raise Refused("The plan was changed while the turns were solved. Solve them again.")
    session.turns = {
        "of": _mark(problem), "groups": groups, "apart": apart, "pins": [asdict(pin) for pin in problem.pins],
        "placed": [asdict(placed) for placed in solved.placed], "minutes": solved.minutes, "least": solved.least,
    }  # fmt: skip
    session.save(update_fields=["turns"])


def _problem(session: Session, fields: Mapping[str, Any]) -> Problem:
    bound = bind(method_of(session), Sheet(session.options, session.instruments, stock=stock_of(session)))
    benches = max(session.benches.values_list("number", flat=True), default=0)
    try:
        problem = problem_of(bound, benches, int(fields.get("groups", 1)), int(fields.get("apart", 0)))
        pins = checked_pins(problem, [Pin(**pin) for pin in fields.get("pins", ())])
    except (TypeError, ValueError, ChromataError):  # of another plan, or brought in an archive that somebody changed
        return problem_of(bound, benches)
    return replace(problem, pins=pins) if fields.get("of") == _mark(problem) else problem


def _turns(session: Session, problem: Problem) -> Solved:
    """What was solved for this very plan; else what comes at once."""
    return _solved(session, problem) or solved_at_once(problem)


def _solved(session: Session, problem: Problem) -> Solved | None:
    kept = session.turns
    if kept.get("of") != _mark(problem):
        return None
    try:
        solved = Solved(tuple(Placed(**row) for row in kept["placed"]), int(kept["minutes"]), int(kept["least"]))
    except (TypeError, KeyError, ValueError):  # brought in an archive that somebody changed
        return None
    had = {(placed.bench, placed.equipment, placed.value) for placed in solved.placed}
    return solved if had == set(problem.wanted()) else None


def _mark(problem: Problem) -> str:
    """Tells one problem from another, whatever is pinned."""
    return sha256(repr((problem.equipment, sorted(problem.begins.items()))).encode()).hexdigest()[:32]
