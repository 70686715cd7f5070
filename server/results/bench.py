"""A bench as its screen shows it: computed from entries on request."""

from collections.abc import Mapping
from uuid import UUID

from chromata_core.planning.supplies import told_targets
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from chromata_core.telling.describe import parts_out
from labs.around import around
from labs.comparison import comparison_view
from labs.declared import method_of
from labs.instruments import stock_of
from labs.models import Bench
from labs.own_work import as_seen
from labs.policy import benches_for, may_see_accepted
from labs.shapes import PartOf
from notebook.board import of_room
from notebook.desks import desks, with_accepted
from notebook.models import Entry
from notebook.standing import begun, by_id, standing, superseded
from people.models import Person
from prelab.seen import bench_waits
from results.samples_here import beside_samples, label_of, read_before, samples_here, tabs
from results.shapes import BenchView, EntryRef, PartHere, Talk

_SAID = ("call", "message", "note", "photo")


def bench_view(bench: Bench, person: Person) -> BenchView:
    """Everything a bench screen shows to ``person``."""
    [desk] = desks([bench])
    entries, chosen, written = desk.entries, method_of(bench.session), by_id(desk.entries)
    surroundings = around(bench.session)
    plan = Sheet(bench.options, bench.session.instruments, stock=stock_of(bench.session), handed=dict(desk.handed))
    bound = bind(chosen, plan)
    place = samples_here(bench)
    evaluation = with_accepted(bench, desk.state) if may_see_accepted(person, bench.session) else desk.state
    evaluation = as_seen(evaluation, bench.session, person)
    waits = None if begun(entries) else bench_waits(bench, person)
    return BenchView(
        id=bench.pk,
        number=bench.number,
        sample=label_of(bench),
        team=surroundings.teams.get(bench.pk, []),
        session=surroundings.session,
        evaluation=evaluation,
        comparison=comparison_view(bench.session, evaluation, person),
        parts=parts_out(bound),
        instruments=list({tool.slug: tool for tool in bound.instruments.values()}.values()),
        questions=list(chosen.questions),
        entries=[_reference(entry, written) for entry in standing(entries)],
        talk=[_talk(entry) for entry in entries if entry.key in _SAID],
        remarks=surroundings.remarks,
        # who still works out what the plan aims at is not told
        targets=[*surroundings.turns.get(bench.number, []), *([] if waits else told_targets(bound))],
        samples=tabs(place),
        together=_together(bench, person, surroundings.together),
        read_before=read_before(bound, bench, place),
        beside=beside_samples(bench, evaluation, place),
        waits=waits,
    )


def _together(bench: Bench, person: Person, sessions: list[PartOf]) -> list[PartHere]:
    """This place in the sessions that belong together, as far as ``person`` works there; none where there is one."""
    if len(sessions) < 2:
        return []
    here = benches_for(person).filter(session__in=[session.id for session in sessions], number=bench.number)
    turns = sorted(here, key=lambda turn: (turn.turn != bench.turn, turn.turn))
    by_session = {turn.session_id: turn.pk for turn in reversed(turns)}
    return [PartHere(by_session[session.id], session.title) for session in sessions if session.id in by_session]


def _talk(entry: Entry) -> Talk:
    return Talk(str(entry.id), entry.key, entry.text, entry.author.name, entry.written_at.isoformat(), entry.photo)


def _reference(entry: Entry, written: Mapping[UUID, Entry]) -> EntryRef:
    old = [before.text for before in superseded(entry, written)]
    return EntryRef(
        str(entry.id),
        entry.key,
        entry.trial,
        index=entry.index,
        text=entry.text,
        old=old,
        of_room=entry.author.name if of_room(entry) else "",
    )
