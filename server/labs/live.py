"""A bench and a room as they stand now: computed from entries on request, kept only as long as nothing changes."""

import hashlib
from collections import Counter
from dataclasses import replace
from datetime import datetime, timedelta

from django.db.models import Count
from django.utils import timezone

from chromata_core.declaration.options import active, resolve_options
from chromata_core.judging.finding import SEVERITY, Finding
from chromata_core.quantity.typed import parse_reading
from chromata_core.sheet.bound import Sheet, bind
from chromata_core.statistics.class_band import Band, class_band
from chromata_core.statistics.class_comparison import BenchResult, ClassComparison, class_comparison
from chromata_core.telling.describe import parts_out, told_of_trials
from chromata_core.telling.outcome import Evaluation, ResultOut, TrialOut
from labs.arrangement import arrangement_of
from labs.comparison import comparison_view
from labs.declared import method_of
from labs.desks import Desk, accepted_values, desks, with_accepted
from labs.models import Bench, Session
from labs.policy import may_see_accepted
from labs.remarks import last_held, remarks_on
from labs.shapes import BenchView, EntryRef, Floor, FloorBench, FloorTrial, LastTime, Lesson, Need, NeedLevel, Talk
from labs.term import session_card
from notebook.board import board_lines, of_room
from notebook.models import Entry
from notebook.standing import place, standing, superseded
from people.models import Person
from stock.own import stock_of

_QUIET = timedelta(minutes=9)
_LESSONS = 5


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


_SAID = ("call", "message", "note", "photo")


def _talk(entry: Entry) -> Talk:
    return Talk(str(entry.id), entry.key, entry.text, entry.author.name, _iso(entry.written_at), entry.photo)


def _reference(entry: Entry, entries: list[Entry]) -> EntryRef:
    old = [before.text for before in superseded(entry, entries)]
    return EntryRef(
        str(entry.id), entry.key, entry.trial, entry.index, entry.text, old, entry.author.name if of_room(entry) else ""
    )


def last_time(session: Session) -> LastTime:
    """What went wrong at most benches when its instructor held this method last, each with an example."""
    held = last_held(session)
    if held is None:
        return LastTime("", "", [])
    benches = held.benches.select_related("session__section", "sample")
    written = [desk for desk in desks(list(benches)) if desk.entries]
    examples: dict[str, str] = {}
    counted: Counter[str] = Counter()
    for desk in written:
        found = {one.code: one.what for one in desk.state.findings if one.level in ("repeat", "stop")}
        void = {one.text for one in desk.entries if place(one).kind == "void" and one.text != "no"}
        found |= {f"void {why}": f"Rejected: {why}" for why in sorted(void)}
        counted.update(found.keys())
        examples = found | examples
    lessons = [Lesson(examples[code], times, len(written)) for code, times in counted.most_common(_LESSONS)]
    return LastTime(held.title, held.starts_at.isoformat(), lessons)


def floor(session: Session, person: Person, projector: bool) -> Floor:
    """The room as it is now, as ``person`` may see it; on a projector without names, hidden values and needs."""
    benches = session.benches.prefetch_related("team", "sample__hidden").select_related("sample")
    seen_accepted = may_see_accepted(person, session) and (session.released or not projector)
    room = desks(list(benches))
    if seen_accepted:
        room = [replace(desk, state=with_accepted(desk.bench, desk.state)) for desk in room]
    bands = _bands(room, seen_accepted)
    tiles = [_tile(desk, bands[desk.bench.sample_id], named=not projector) for desk in room]
    needs = (
        [need for desk in room for need in _needs(desk)]
        if session.state == Session.State.OPEN and not projector
        else []
    )
    needs.sort(key=lambda need: (-_URGENCY[need.level], need.since))
    chosen = method_of(session)
    asked = active(chosen.quantities, resolve_options(chosen, session.options))
    whole = [q for q in asked if q.result and q.scope != "trial"]
    quantity = next(iter(whole), None) or next(q for q in asked if q.result)
    comparison = _comparison(room, quantity.key if session.samples.count() < 2 else chosen.compares or quantity.key)
    return Floor(
        session_card(session),
        quantity.label,
        quantity.unit,
        tiles,
        needs,
        board_lines([(desk.bench, desk.entries) for desk in room]),
        arrangement_of(session),
        comparison,
    )


def _comparison(room: list[Desk], key: str) -> ClassComparison | None:
    """What the class found. An accepted value was only given to evaluations of people who may see it."""
    found = [(desk.bench, r) for desk in room for r in desk.state.results if r.key == key and r.trial is None]
    results = [
        BenchResult(
            bench.number,
            bench.sample.label if bench.sample else "",
            result.value,
            result.expanded,
            _number(result.comparison.accepted) if result.comparison else None,
        )
        for bench, result in found
    ]
    return class_comparison(found[0][1].label, found[0][1].unit, results) if found else None


def _number(text: str) -> float:
    return float(parse_reading(text).value)


_URGENCY: dict[NeedLevel, float] = {"look": 1, "repeat": 2, "call": 2.5, "stop": 3}


def floor_stamp(session: Session, person: Person, projector: bool) -> str:
    """Changes whenever the floor would: an entry, a team, a state, or a minute gone by (benches grow quiet)."""
    benches = session.benches.annotate(written=Count("entries"))
    seen = [
        (
            person.pk,
            projector,
            session.state,
            session.released,
            session.title,
            session.room,
            session.starts_at,
            session.minutes,
            session.section.name,
        ),
        list(benches.values_list("pk", "number", "head", "written", "sample__label")),
        list(session.benches.order_by("pk", "team").values_list("pk", "team", "team__name")),
        list(session.samples.order_by("pk").values_list("pk", "hidden__key", "hidden__text")),
        arrangement_of(session).text,
        int(timezone.now().timestamp() // 60) if session.state == Session.State.OPEN else 0,
    ]
    return f'"{hashlib.sha256(repr(seen).encode()).hexdigest()[:32]}"'


def headline(state: Evaluation) -> ResultOut | None:
    """The result a bench is known by: the first of the whole bench, else the newest of its trials."""
    whole = [result for result in state.results if result.trial is None]
    of_trials = [result for result in state.results if result.key == state.results[0].key]
    return next(iter(whole), None) or next(reversed(of_trials), None)


def _bands(room: list[Desk], seen_accepted: bool) -> dict[int | None, Band | None]:
    """Where results of each sample are expected: about its accepted value for who may see it, else about its median."""
    found: dict[int | None, Band | None] = {}
    for sample in {desk.bench.sample_id for desk in room}:
        same = [desk for desk in room if desk.bench.sample_id == sample]
        peers = [result for desk in same if (result := headline(desk.state))]
        accepted = accepted_values(same[0].bench) if seen_accepted else {}
        true = next((accepted[one.key] for one in peers if one.key in accepted), None)
        found[sample] = class_band(
            [p.value for p in peers], [p.expanded for p in peers], _number(true) if true else None
        )
    return found


def _tile(desk: Desk, band: Band | None, named: bool) -> FloorBench:
    bench, state, entries = desk.bench, desk.state, desk.entries
    result = headline(state)
    call = _open_call(entries)
    return FloorBench(
        id=bench.pk,
        number=bench.number,
        team=[member.name for member in bench.team.all()] if named else [],
        sample=bench.sample.label if bench.sample else "",
        doing=_doing(state),
        progress=state.progress,
        result=result.shown if result else None,
        value=result.value if result else None,
        expanded=result.expanded if result else None,
        band=band,
        trials=[_trial(bench, trial) for trial in state.trials],
        last_at=_iso(max(entry.written_at for entry in entries)) if entries else None,
        level=max((f.level for f in state.findings), key=lambda level: SEVERITY[level], default="keep"),
        call=call.text if call and named else "",
    )


def _doing(state: Evaluation) -> str:
    hand = state.hand
    if hand.kind == "finished":
        return "Finished"
    step = next((s for s in state.steps if s.state == "now"), None)
    title = step.title if step else hand.title
    return f"{hand.aside}: {title[:1].lower()}{title[1:]}" if hand.aside else title


def _trial(bench: Bench, trial: TrialOut) -> FloorTrial:
    wanted = told_of_trials(method_of(bench.session))
    text = next((quantity.shown.text for quantity in trial.quantities if quantity.key == wanted), "–")
    return FloorTrial(trial.name, text, trial.state)


def _open_call(entries: list[Entry]) -> Entry | None:
    """The last call for help that nobody has marked seen or answered."""
    call = next((entry for entry in reversed(entries) if entry.key == "call"), None)
    if call is None:
        return None
    later = [entry for entry in entries if entry.sequence > call.sequence]
    answered = any(entry.key == "message" or (entry.key, entry.text) == ("seen", str(call.id)) for entry in later)
    return None if answered else call


def _needs(desk: Desk) -> list[Need]:
    bench, state, entries = desk.bench, desk.state, desk.entries
    seen = {entry.text for entry in entries if entry.key == "seen"}
    needs = [_need_of(bench, finding, finding.level, entries) for finding in state.findings if finding.level != "keep"]
    call = _open_call(entries)
    if call is not None:
        what = "calls"
        needs.append(
            Need(str(call.id), bench.number, bench.pk, "call", what, f"“{call.text}”", "", _iso(call.written_at), None)
        )
    quiet = _quiet(bench, state, entries)
    return [need for need in needs + quiet if need.id not in seen]


def _need_of(bench: Bench, finding: Finding, level: NeedLevel, entries: list[Entry]) -> Need:
    about = [e.written_at for e in entries if e.key == finding.key and e.trial == finding.trial]
    since = max(about or [e.written_at for e in entries])
    return Need(
        id=f"{finding.code}:{finding.key}:{finding.trial}:{finding.index}:{since.timestamp():.0f}",
        bench=bench.number,
        bench_id=bench.pk,
        level=level,
        what=finding.what,
        text=f"{finding.why} {finding.do}",
        word=finding.word,
        since=_iso(since),
        trial=finding.trial,
    )


def _quiet(bench: Bench, state: Evaluation, entries: list[Entry]) -> list[Need]:
    last = max((entry.written_at for entry in entries), default=bench.session.opened_at or timezone.now())
    silence = timezone.now() - last
    if silence < _QUIET or state.hand.kind == "finished":
        return []
    minutes = int(silence.total_seconds() // 60)
    what, doing = f"nothing written for {minutes} min", _doing(state)
    identity = f"quiet:{last.timestamp():.0f}"
    word = "How is it going? What are you waiting for?"
    return [Need(identity, bench.number, bench.pk, "look", what, f"They are at “{doing}”.", word, _iso(last), None)]


def _iso(moment: datetime) -> str:
    return moment.isoformat()
