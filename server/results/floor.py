"""A room as it stands now: computed from entries on request, kept only as long as nothing changes."""

import hashlib
from dataclasses import replace

from django.db.models import Count
from django.utils import timezone

from chromata_core.declaration.options import active, resolve_options
from chromata_core.judging.finding import SEVERITY
from chromata_core.quantity.typed import parse_reading
from chromata_core.statistics.class_band import Band, class_band
from chromata_core.statistics.class_comparison import BenchResult, ClassComparison, class_comparison
from chromata_core.telling.describe import told_of_trials
from chromata_core.telling.outcome import Evaluation, ResultOut, TrialOut
from labs.arrangement import arrangement_of
from labs.declared import method_of
from labs.models import Bench, Session
from labs.policy import may_see_accepted
from labs.term import session_card
from notebook.board import board_lines
from notebook.desks import Desk, accepted_values, desks, with_accepted
from people.models import Person
from results.needs import doing, needs_of, open_call
from results.shapes import Floor, FloorBench, FloorTrial


def floor(session: Session, person: Person, projector: bool) -> Floor:
    """The room as it is now, as ``person`` may see it; on a projector without names, hidden values and needs."""
    benches = session.benches.prefetch_related("team", "sample__hidden").select_related("sample")
    seen_accepted = may_see_accepted(person, session) and (session.released or not projector)
    room = desks(list(benches))
    if seen_accepted:
        room = [replace(desk, state=with_accepted(desk.bench, desk.state)) for desk in room]
    bands = _bands(room, seen_accepted)
    tiles = [_tile(desk, bands[desk.bench.sample_id], named=not projector) for desk in room]
    told = session.state == Session.State.OPEN and not projector
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
        needs_of(room) if told else [],
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
    call = open_call(entries)
    return FloorBench(
        id=bench.pk,
        number=bench.number,
        team=[member.name for member in bench.team.all()] if named else [],
        sample=bench.sample.label if bench.sample else "",
        doing=doing(state),
        progress=state.progress,
        result=result.shown if result else None,
        value=result.value if result else None,
        expanded=result.expanded if result else None,
        band=band,
        trials=[_trial(bench, trial) for trial in state.trials],
        last_at=max(entry.written_at for entry in entries).isoformat() if entries else None,
        level=max((f.level for f in state.findings), key=lambda level: SEVERITY[level], default="keep"),
        call=call.text if call and named else "",
    )


def _trial(bench: Bench, trial: TrialOut) -> FloorTrial:
    wanted = told_of_trials(method_of(bench.session))
    text = next((quantity.shown.text for quantity in trial.quantities if quantity.key == wanted), "–")
    return FloorTrial(trial.name, text, trial.state)
