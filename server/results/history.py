"""A method over the years: every session of an instructor, the last beside those before, what went wrong how often."""

from collections.abc import Sequence
from dataclasses import replace
from statistics import fmean

from django.utils import timezone

from chromata_core.quantity.typed import parse_reading
from chromata_core.quantity.units import unit
from chromata_core.telling.outcome import ResultOut
from chromata_core.telling.over_time import Held, over_time
from experiments.declared import method_named, owners_for
from labs.models import LeftOut, Session
from labs.policy import may_see_accepted, sessions_for
from labs.term import session_card
from notebook.desks import Desk, desks, with_accepted
from people.models import Person
from results.class_view import places_of_results, result_at
from results.lessons import lessons_of
from results.samples_here import label_of
from results.shapes import MethodHistory, ResultOverTime

_MOST = 12  # sessions: each that nobody looked at lately is worked anew


def method_history(slug: str, person: Person) -> MethodHistory:
    """Of the sessions that ``person`` may see whole, the latest ones in order of time."""
    method = method_named(slug, owners_for(person))
    begun = (Session.State.OPEN, Session.State.CLOSED)
    held = sessions_for(person).filter(method=slug, state__in=begun, simulated="")
    latest = held.order_by("-starts_at", "-pk")[:_MOST]
    rooms = [(session, _room(session, person)) for session in reversed(latest.select_related("section__owner"))]
    rooms = [(session, room) for session, room in rooms if room]
    results = dict.fromkeys(place for _, room in rooms for place in places_of_results(room))
    return MethodHistory(
        method.slug,
        method.title,
        method.family.key,
        [session_card(session) for session, _ in rooms],
        [_result(place, rooms) for place in results],
        lessons_of([desk for _, room in rooms for desk in room]),
    )


def _room(session: Session, person: Person) -> list[Desk]:
    """The benches that count and found something, beside accepted values where they may be seen."""
    benches = list(session.benches.select_related("sample").prefetch_related("sample__hidden"))
    out = set(LeftOut.objects.filter(bench__session=session).values_list("bench_id", flat=True))
    for bench in benches:
        bench.session = session
    seen = may_see_accepted(person, session)
    room = [desk for desk in desks(benches) if desk.entries and desk.bench.pk not in out]
    return [replace(d, state=with_accepted(d.bench, d.state)) if seen else d for d in room]


def _in(symbol: str, worked: str, value: float) -> float:
    """``value`` of a class that worked in another unit."""
    return value if symbol == worked else unit(symbol).from_si(unit(worked).to_si(value))


def _result(place: tuple[str, int | None], rooms: Sequence[tuple[Session, list[Desk]]]) -> ResultOverTime:
    held: list[Held] = []
    sessions: list[int] = []
    first = next(result for _, room in rooms for desk in room if (result := result_at(desk, place)))
    for session, room in rooms:
        products: dict[str, list[ResultOut]] = {}
        for desk in room:
            if result := result_at(desk, place):
                products.setdefault(label_of(desk.bench), []).append(result)
        for product, results in products.items():
            known = [
                _in(first.unit, result.unit, float(parse_reading(result.comparison.accepted).value))
                for result in results
                if result.comparison
            ]
            values = tuple(_in(first.unit, result.unit, result.value) for result in results)
            held.append(
                Held(f"{timezone.localtime(session.starts_at):%b %Y}", product, values, fmean(known) if known else None)
            )
            sessions.append(session.pk)
    label = first.label if place[1] is None else f"{first.label}, {first.trial_name}"
    return ResultOverTime(*place, label, first.unit, sessions, over_time(label, first.unit, held))
