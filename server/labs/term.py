"""Sessions in the order of the term, and what each still lacks."""

from collections.abc import Iterable
from dataclasses import fields

from django.utils import timezone

from chromata_core.declaration.options import active, resolve_options
from chromata_core.declaration.vocabulary import Reading
from chromata_core.instruments.catalogue import instrument
from chromata_core.telling.options_told import options_chosen
from labs.declared import method_of
from labs.instruments import stock_of
from labs.models import Bench, HiddenValue, Session
from labs.own_work import own_work_of
from labs.parts import chosen_here, together
from labs.policy import may_see_accepted
from labs.prelab_plan import prelab_of
from labs.remarks import remarks_on, steps_of
from labs.shapes import (
    BenchPlace,
    Comparable,
    Done,
    PartOf,
    PlanDraft,
    SampleGiven,
    SessionCard,
    SessionLine,
    SessionPlan,
    StudentPlace,
    TakenFrom,
)
from labs.turns import coming_of, timetables_of
from people.models import Person
from people.throttles import kept_out
from stock.shapes import Named

_LOG = 60  # deeds


def session_card(session: Session) -> SessionCard:
    """A session by name, place and state."""
    chosen = method_of(session)
    return SessionCard(
        id=session.pk,
        title=session.title,
        section=" and ".join((session.section.name, *(section.name for section in session.guests.all()))),
        room=session.room,
        method=session.method,
        method_title=chosen.title,
        family=chosen.family.key,
        state=session.state,
        starts_at=session.starts_at.isoformat(),
        minutes=session.minutes,
        released=session.released,
        simulated=session.simulated,
    )


def session_line(session: Session) -> SessionLine:
    """A session as one line of the term."""
    card = session_card(session)
    return SessionLine(
        **{field.name: getattr(card, field.name) for field in fields(card)},
        benches=session.benches.values("number").distinct().count(),
        students=session.benches.filter(team__isnull=False).values("team").distinct().count(),
        lacks=lacking(session),
    )


def lacking(session: Session) -> list[str]:
    """What a planned session still needs, as short sentences."""
    if session.state != Session.State.PLANNED:
        return []
    empty = session.benches.filter(team__isnull=True).values("number").distinct().count()
    lacks = [] if session.benches.exists() else ["No benches yet."]
    if empty:
        lacks.append(f"{empty} bench{'es have' if empty > 1 else ' has'} no team.")
    if not HiddenValue.objects.filter(sample__session=session).exists():
        lacks.append("No accepted value: percent error cannot be told.")
    return lacks


def session_plan(session: Session, person: Person) -> SessionPlan:
    """A session whole, as ``person`` may see it."""
    chosen = method_of(session)
    options = resolve_options(chosen, session.options)
    own = stock_of(session)
    used = {reading.role for reading in active([r for r in chosen.readings if isinstance(r, Reading)], options)}
    roles = [role for role in chosen.roles if role.key in used]
    slugs = [(role.label, session.instruments.get(role.key, role.default)) for role in roles]
    tools = [(label, (own.get(slug) or instrument(slug)).short) for label, slug in slugs]
    places = places_of(session.benches.prefetch_related("team").select_related("sample"))
    return SessionPlan(
        card=session_line(session),
        together=[PartOf(part.pk, part.title) for part in together(session)],
        draft=PlanDraft(
            session.section_id,
            list(session.guests.values_list("pk", flat=True)),
            timezone.localtime(session.starts_at).strftime("%Y-%m-%dT%H:%M"),
            options=session.options,
            instruments=session.instruments,
            questions=session.questions,
            own_work=own_work_of(session),
            prelab=prelab_of(session),
            all_samples=session.all_samples,
            follows=session.follows_id,
            takes={option: TakenFrom(**taking) for option, taking in session.takes.items()},
            revision=session.revision,
        ),
        log=[
            Done(deed.at.isoformat(), deed.person.name, deed.what)
            for deed in session.deeds.select_related("person").order_by("-at", "-pk")[:_LOG]
        ],
        options=chosen_here(session, options_chosen(chosen, options)),
        instruments=[Named(label, short) for label, short in tools],
        benches=places,
        students=_students(session),
        samples=_samples(session, may_see_accepted(person, session)),
        comparable=[Comparable(q.key, q.label, q.unit) for q in active(chosen.quantities, options) if q.accepted],
        comparison=session.comparison.get("label", ""),
        steps=steps_of(session),
        remarks=remarks_on(session),
        timetables=timetables_of(session),
        coming=coming_of(session),
    )


def places_of(benches: Iterable[Bench]) -> list[BenchPlace]:
    """``benches`` in their order, those of one place as one, with its samples named one after the other."""
    places: dict[tuple[int, int], list[Bench]] = {}
    for bench in benches:
        places.setdefault((bench.session_id, bench.number), []).append(bench)
    return [
        BenchPlace(
            first.pk,
            first.number,
            first.session.title,
            simulated=first.session.simulated,
            sample=", ".join(bench.sample.label for bench in place if bench.sample),
            team=sorted(person.name for person in first.team.all()),
            open=first.session.state == Session.State.OPEN,
        )
        for place in places.values()
        for first in place[:1]
    ]


def _students(session: Session) -> list[StudentPlace]:
    numbers = {person.pk: bench.number for bench in session.benches.all() for person in bench.team.all()}
    roster = list(session.roster)
    waiting = kept_out(person.username for person in roster)
    absent = set(session.absent.values_list("pk", flat=True))
    return [
        StudentPlace(person.pk, person.name, numbers.get(person.pk), person.pk in absent, person.username in waiting)
        for person in roster
    ]


def _samples(session: Session, seen: bool) -> list[SampleGiven]:
    return [
        SampleGiven(
            sample.label, {hidden.key: hidden.text for hidden in sample.hidden.all()} if seen else {}, sample.options
        )
        for sample in session.samples.all()
    ]
