"""Simulated sessions: made from one that is planned or was held, played by a made-up class, thrown away again."""

import secrets
import uuid
from collections.abc import Mapping, Sequence
from datetime import datetime, timedelta
from threading import Lock
from typing import Any

from cachetools import LRUCache
from django.db import transaction
from django.utils import timezone

from chromata_core.simulation.class_bench import Timed, bench_at_work
from config.errors import Refused
from labs.actions import note, open_session, plan_session
from labs.declared import method_of
from labs.locking import lock
from labs.models import Bench, Session
from notebook.actions import Draft, write
from notebook.desks import accepted_values
from notebook.models import Entry
from notebook.standing import sheet_with
from people.models import Person, Section
from people.sections import add_people, make_section

_LARGEST_SEED = 2**31 - 1
_EACH = 2  # made-up people at a bench
_known: LRUCache[int, list[Timed]] = LRUCache(maxsize=96)
_held = Lock()
_NAME, _TERM = "Made-up class", "Rehearsals"


@transaction.atomic
def rehearse_class(session: Session, person: Person, benches: int, minutes: int) -> Session:
    """A copy of ``session`` for a made-up class at so many ``benches`` that has been at work for ``minutes``; its
    benches are still to be played, one by one.
    """
    section = _made_up_class(person, benches * _EACH)
    copy = _copy(session, person, Session.Simulated.CLASS, section, benches, f"{session.title}, rehearsed")
    begun = timezone.now() - timedelta(minutes=minutes)
    copy.starts_at = copy.opened_at = begun
    copy.save(update_fields=["starts_at", "opened_at"])
    return copy


@transaction.atomic
def work_simulated(session: Session, person: Person, students: Sequence[int], pace: int = 1) -> Session:
    """A copy of ``session`` at drawn instruments: a bench for each of these students of its, or one for the instructor
    alone. Its clock runs ``pace`` times as fast. Refused for who is not expected there.
    """
    expected = {person.pk: person for person in session.roster}
    if not expected.keys() >= set(students):
        raise Refused("Somebody named here is not expected in that session. Reload the page.", 422)
    chosen = [expected[student] for student in dict.fromkeys(students)]
    title = f"{session.title}, {'simulated' if chosen else 'dry run'}"
    copy = _copy(session, person, Session.Simulated.WORKED, session.section, max(len(chosen), 1), title)
    copy.pace = pace
    copy.save(update_fields=["pace"])
    copy.guests.set(session.guests.all())
    for bench in copy.benches.all():
        bench.team.set(chosen[bench.number - 1 : bench.number])
    return copy


def _copy(session: Session, person: Person, how: str, section: Section, benches: int, title: str) -> Session:
    copy = plan_session(
        section,
        session.method,
        title[:120],
        room="",
        starts_at=timezone.now(),
        minutes=session.minutes,
        options=session.options,
        instruments=session.instruments,
        benches=benches,
        samples=_samples(session),
        questions=session.questions,
        all_samples=session.all_samples,
        own_work=session.own_work,
    )
    copy.simulated, copy.seed = how, secrets.randbelow(_LARGEST_SEED)
    copy.save(update_fields=["simulated", "seed"])
    open_session(copy)
    note(copy, person, f"made it from “{session.title}”, simulated")
    return copy


def _samples(session: Session) -> list[Mapping[str, Any]]:
    samples = session.samples.prefetch_related("hidden")
    return [
        {"name": sample.label, "options": sample.options, "accepted": {it.key: it.text for it in sample.hidden.all()}}
        for sample in samples
    ]


def _made_up_class(owner: Person, size: int) -> Section:
    """The instructor's own, put away: nobody joins it, and no session is planned for it."""
    section = Section.objects.filter(owner=owner, name=_NAME, term=_TERM, archived=True).first()
    if section is None:
        section = make_section(owner, _NAME, _TERM)
        section.archived = True
        section.save(update_fields=["archived"])
    add_people(section, [(f"Made up {number:02}", "") for number in range(1, size + 1)])
    for person in section.roster.filter(name__gt=f"Made up {size:02}"):
        person.is_active = False
        person.save(update_fields=["is_active"])
    return section


def play(bench: Bench) -> int:
    """Writes what a bench of a made-up class has come to by now, beyond what stands there; how many entries. Refused
    for any other bench.
    """
    session = bench.session
    if session.simulated != Session.Simulated.CLASS or session.opened_at is None:
        raise Refused("People work at this bench; nothing is written there by itself.")
    until = (timezone.now() - session.opened_at).total_seconds()
    team = list(bench.team.order_by("name"))
    if not team:
        raise Refused("Nobody stands at this bench.")
    drafts = _drafts(bench, [act for act in _acts(bench) if act.after <= until], session.opened_at)
    there = set(Entry.objects.filter(bench=bench).values_list("pk", flat=True))
    return sum(kept.kept for kept in write(bench, team[0], [draft for draft in drafts if draft.id not in there]))


def _acts(bench: Bench) -> list[Timed]:
    """All that the bench will ever write; remembered, since a class that goes on is asked for again and again."""
    session = bench.session
    with _held:
        acts = _known.get(bench.pk)
    if acts is None:
        acts = bench_at_work(
            method_of(session), sheet_with(bench, ()), accepted_values(bench), seed_of(bench), session.seed,
            session.minutes,
        )  # fmt: skip
        with _held:
            _known[bench.pk] = acts
    return acts


def seed_of(bench: Bench) -> int:
    """From which everything at a simulated bench follows."""
    return bench.session.seed + 1009 * bench.number + 31 * bench.turn


def _drafts(bench: Bench, acts: Sequence[Timed], begun: datetime) -> list[Draft]:
    last: dict[tuple[str, int | None, int | None], uuid.UUID] = {}
    drafts = []
    for place, act in enumerate(acts):
        written = act.written
        here = (written.key, written.trial, written.index)
        before = last.get(here) if act.why else None
        last[here] = uuid.uuid5(uuid.NAMESPACE_OID, f"{bench.pk}/{bench.session.seed}/{place}")
        at = begun + timedelta(seconds=act.after)
        drafts.append(
            Draft(
                last[here],
                written.key,
                written.text,
                trial=written.trial,
                index=written.index,
                written_at=at,
                supersedes=before,
                reason=act.why,
            )
        )
    return drafts


@transaction.atomic
def throw_away(session: Session) -> None:
    """Deletes a simulated session. Refused for one that was held, and once a student has worked at it."""
    lock(session)
    if not session.simulated:
        raise Refused("This session was held; its record stays.")
    list(session.benches.select_for_update().order_by("pk"))  # what is being written at a bench is waited for
    if session.simulated == Session.Simulated.WORKED and session.benches.filter(entries__author__role="student"):
        raise Refused("A student has worked here; the record stays.")
    Entry.objects.filter(bench__session=session).update(supersedes=None)  # what is corrected goes as well
    session.delete()
