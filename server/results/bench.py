"""A bench as its screen shows it: computed from entries on request."""

from chromata_core.sheet.bound import Sheet, bind
from chromata_core.telling.describe import parts_out
from labs.comparison import comparison_view
from labs.declared import method_of
from labs.instruments import stock_of
from labs.models import Bench
from labs.policy import may_see_accepted
from labs.remarks import remarks_on
from labs.term import session_card
from notebook.board import of_room
from notebook.desks import desks, with_accepted
from notebook.models import Entry
from notebook.standing import standing, superseded
from people.models import Person
from results.shapes import BenchView, EntryRef, Talk

_SAID = ("call", "message", "note", "photo")


def bench_view(bench: Bench, person: Person) -> BenchView:
    """Everything a bench screen shows to ``person``."""
    [desk] = desks([bench])
    entries, chosen = desk.entries, method_of(bench.session)
    bound = bind(chosen, Sheet(bench.options, bench.session.instruments, stock=stock_of(bench.session)))
    evaluation = with_accepted(bench, desk.state) if may_see_accepted(person, bench.session) else desk.state
    return BenchView(
        id=bench.pk,
        number=bench.number,
        sample=bench.sample.label if bench.sample else "",
        team=[member.name for member in bench.team.order_by("name")],
        session=session_card(bench.session),
        evaluation=evaluation,
        comparison=comparison_view(bench.session, evaluation, person),
        parts=parts_out(bound),
        instruments=list({tool.slug: tool for tool in bound.instruments.values()}.values()),
        questions=list(chosen.questions),
        entries=[_reference(entry, entries) for entry in standing(entries)],
        talk=[_talk(entry) for entry in entries if entry.key in _SAID],
        remarks=remarks_on(bench.session),
    )


def _talk(entry: Entry) -> Talk:
    return Talk(str(entry.id), entry.key, entry.text, entry.author.name, entry.written_at.isoformat(), entry.photo)


def _reference(entry: Entry, entries: list[Entry]) -> EntryRef:
    old = [before.text for before in superseded(entry, entries)]
    return EntryRef(
        str(entry.id), entry.key, entry.trial, entry.index, entry.text, old, entry.author.name if of_room(entry) else ""
    )
