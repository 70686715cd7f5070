"""A room as it stands now: computed from entries on request, kept only as long as nothing changes."""

import hashlib
from dataclasses import dataclass, replace
from statistics import median_low

from django.utils import timezone

from chromata_core.declaration.options import active, resolve_options
from chromata_core.judging.finding import SEVERITY
from chromata_core.quantity.typed import parse_reading
from chromata_core.statistics.class_band import Band, class_band
from chromata_core.statistics.class_comparison import BenchResult, ClassComparison, class_comparison
from chromata_core.telling.class_causes import BenchTold, own_causes
from chromata_core.telling.class_plot import class_plot
from chromata_core.telling.describe import told_of_trials
from chromata_core.telling.minutes import minutes_left
from chromata_core.telling.outcome import Evaluation, ResultOut, TrialOut
from labs.around import Around, around
from labs.arrangement import arrangement_of
from labs.declared import method_of
from labs.models import Bench, Session
from labs.policy import may_see_accepted
from labs.shapes import Arrangement
from notebook.board import board_lines
from notebook.desks import Desk, accepted_values, desks, with_accepted
from notebook.remembered import how_many
from people.models import Person
from results.live_turns import live_turns
from results.needs import behind, doing, in_order, needs_of, open_call
from results.samples_here import label_of, tabs
from results.shapes import Floor, FloorBench, FloorTrial, Need

_MOST_SLIPS = 5


@dataclass(frozen=True, slots=True)
class Look:
    """Somebody's look at a room: its benches with their samples and hidden values, how much is written at each, and
    what surrounds them; and where the records end that it goes on with, ``before``.
    """

    session: Session
    person: Person
    projector: bool
    benches: list[Bench]
    written: dict[int, int]
    around: Around
    arrangement: Arrangement
    before: list[str]

    @property
    def stamp(self) -> str:
        """Changes whenever the floor would: an entry, a team, a state, or a minute gone by (benches grow quiet)."""
        minute = int(timezone.now().timestamp() // 60) if self.session.state == Session.State.OPEN else 0
        benches = [
            (
                b.number,
                b.head,
                self.written.get(b.pk),
                b.sample and [b.sample.label, *((h.key, h.text) for h in b.sample.hidden.all())],
            )
            for b in self.benches
        ]
        who, card = (self.person.pk, self.projector), self.around.session
        seen = (who, card, sorted(self.around.teams.items()), self.arrangement, benches, self.before, minute)
        return f'"{hashlib.sha256(repr(seen).encode()).hexdigest()[:32]}"'


def look(session: Session, person: Person, projector: bool) -> Look:
    """At the room as it is now; on a projector without names, hidden values and needs."""
    benches = session.benches.select_related("sample").prefetch_related("sample__hidden")
    for bench in (at_work := list(benches)):
        bench.session = session
    earlier = Bench.objects.filter(session=session.follows_id).order_by("pk").values_list("head", flat=True)
    before = list(earlier) if session.takes else []
    return Look(
        session,
        person,
        projector,
        benches=at_work,
        written=how_many(at_work),
        around=around(session),
        arrangement=arrangement_of(session),
        before=before,
    )


def floor(at: Look) -> Floor:
    """The room as it is now, as the person may see it."""
    session = at.session
    seen_accepted = may_see_accepted(at.person, session) and (session.released or not at.projector)
    room = desks(at.benches)
    if seen_accepted:
        room = [replace(desk, state=with_accepted(desk.bench, desk.state)) for desk in room]
    bands = _bands(room, seen_accepted)
    places = _places(room)
    usual = median_low([place.minutes_left for place in places]) if places else 0
    tiles = [_tile(at, place, bands[place.hand.bench.sample_id]) for place in places]
    told = session.state == Session.State.OPEN and not at.projector
    chosen = method_of(session)
    asked = active(chosen.quantities, resolve_options(chosen, session.options))
    whole = [q for q in asked if q.result and q.scope != "trial"]
    quantity = next(iter(whole), None) or next(q for q in asked if q.result)
    samples = {desk.bench.sample_id for desk in room}
    ranked = chosen.compares if chosen.compares in {q.key for q in asked if q.result} else quantity.key
    comparison = _comparison(room, quantity.key if len(samples) < 2 else ranked)
    turns, late = live_turns(session, [place.hand for place in places])
    return Floor(
        at.around.session,
        at.around.together,
        quantity.label,
        unit=quantity.unit,
        minutes_left=usual,
        benches=tiles,
        needs=in_order([*_needs(session, room, places, usual), *late]) if told else [],
        board=board_lines([(desk.bench, desk.entries) for desk in room]),
        arrangement=at.arrangement,
        class_comparison=comparison,
        class_plot=class_plot(comparison) if comparison else None,
        slips=own_causes([BenchTold(desk.bench.number, desk.state, None) for desk in room])[:_MOST_SLIPS]
        if told
        else [],
        turns=turns,
    )


@dataclass(frozen=True, slots=True)
class _Place:
    """What stands at one place: one desk, or one for each of its samples, which of them is in hand, and about how much
    work is before it.
    """

    desks: list[Desk]
    hand: Desk
    minutes_left: int


def _needs(session: Session, room: list[Desk], places: list[_Place], usual: int) -> list[Need]:
    late = [(place.hand, place.minutes_left) for place in places]
    return [*needs_of(room, {place.hand.bench.pk for place in places}), *behind(session, late, usual)]


def _places(room: list[Desk]) -> list[_Place]:
    places: dict[int, list[Desk]] = {}
    for desk in room:
        places.setdefault(desk.bench.number, []).append(desk)
    now = timezone.now().timestamp()
    return [
        _Place(place, _in_hand(place), round(sum(minutes_left(desk.state.steps, now) for desk in place)))
        for place in places.values()
    ]


def _in_hand(place: list[Desk]) -> Desk:
    """Where something was written last; once that is finished, the next that is not."""
    last = max(place, key=_last_of_team)
    if last.state.hand.kind != "finished":
        return last
    return next((desk for desk in place if desk.state.hand.kind != "finished"), last)


def _last_of_team(desk: Desk) -> float:
    """When its team wrote last, seconds of the epoch; 0 if it did not yet."""
    return max((entry.written_at.timestamp() for entry in desk.entries if not entry.author.teaches), default=0.0)


def _comparison(room: list[Desk], key: str) -> ClassComparison | None:
    """What the class found. An accepted value was only given to evaluations of people who may see it."""
    means = [(desk.bench, r) for desk in room for r in desk.state.results if r.key == key and r.trial is None]
    results = [
        BenchResult(
            bench.number,
            label_of(bench),
            result.value,
            result.expanded,
            _number(result.comparison.accepted) if result.comparison else None,
        )
        for bench, result in means
    ]
    return class_comparison(means[0][1].label, means[0][1].unit, results) if means else None


def _number(text: str) -> float:
    return float(parse_reading(text).value)


def headline(state: Evaluation) -> ResultOut | None:
    """The result a bench is known by: the first of the whole bench, else the newest of its trials."""
    whole = [result for result in state.results if result.trial is None]
    of_trials = [result for result in state.results if result.key == state.results[0].key]
    return next(iter(whole), None) or next(reversed(of_trials), None)


def _bands(room: list[Desk], seen_accepted: bool) -> dict[int | None, Band | None]:
    """Where results of each sample are expected: about its accepted value for who may see it, else about its median."""
    bands: dict[int | None, Band | None] = {}
    for sample in {desk.bench.sample_id for desk in room}:
        same = [desk for desk in room if desk.bench.sample_id == sample]
        peers = [result for desk in same if (result := headline(desk.state))]
        accepted = accepted_values(same[0].bench) if seen_accepted else {}
        true = next((peer.comparison.accepted for peer in peers if peer.comparison and peer.key in accepted), None)
        bands[sample] = class_band(
            [p.value for p in peers], [p.expanded for p in peers], _number(true) if true else None
        )
    return bands


def _tile(at: Look, place: _Place, band: Band | None) -> FloorBench:
    bench, state = place.hand.bench, place.hand.state
    result = headline(state)
    written = [entry.written_at for desk in place.desks for entry in desk.entries]
    findings = [finding for desk in place.desks for finding in desk.state.findings]
    call = next((call for desk in place.desks if (call := open_call(desk.entries))), None)
    return FloorBench(
        id=bench.pk,
        number=bench.number,
        team=[] if at.projector else at.around.teams.get(bench.pk, []),
        sample=label_of(bench),
        doing=doing(state),
        progress=state.progress,
        result=result.shown if result else None,
        value=result.value if result else None,
        expanded=result.expanded if result else None,
        band=band,
        trials=[_trial(bench, trial) for trial in state.trials],
        last_at=max(written).isoformat() if written else None,
        level=max((f.level for f in findings), key=lambda level: SEVERITY[level], default="keep"),
        call=call.text if call and not at.projector else "",
        samples=tabs(place.desks) if len(place.desks) > 1 else [],
        minutes_left=place.minutes_left,
    )


def _trial(bench: Bench, trial: TrialOut) -> FloorTrial:
    wanted = told_of_trials(method_of(bench.session))
    text = next((quantity.shown.text for quantity in trial.quantities if quantity.key == wanted), "–")
    return FloorTrial(trial.name, text, trial.state)
