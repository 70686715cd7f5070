"""Changes to sessions: planned, opened, closed, released. One function each, checked and in one transaction."""

from collections.abc import Mapping, Sequence
from datetime import datetime

from django.db import transaction
from django.utils import timezone

from chromata_core.method.as_json import to_json
from chromata_core.method.sheet import Sheet, bind, resolve_options
from chromata_core.method.vocabulary import Method
from chromata_core.planning.timetable import orders
from chromata_core.quantity.typed import parse_reading
from config.errors import Refused
from experiments.declared import keep, method_named
from labs.comparison import comparison_of
from labs.declared import method_of
from labs.models import Bench, HiddenValue, Sample, Session
from people.models import Role, Section
from stock.own import instruments_of, stock_of, to_freeze


@transaction.atomic
def plan_session(
    section: Section,
    slug: str,
    title: str,
    room: str,
    starts_at: datetime,
    minutes: int,
    options: Mapping[str, str],
    instruments: Mapping[str, str],
    benches: int,
    samples: Sequence[Mapping[str, object]],
) -> Session:
    """A new planned session with its benches; the section's students are spread over them in order of name."""
    chosen = method_named(slug, [section.owner])
    bind(chosen, Sheet(options, instruments, stock=instruments_of(section.owner)))
    session = Session.objects.create(
        section=section, method=slug, method_version=chosen.version, title=title, room=room, starts_at=starts_at,
        minutes=minutes, options=dict(options), instruments=dict(instruments),
    )  # fmt: skip
    places = [Bench.objects.create(session=session, number=number) for number in range(1, benches + 1)]
    set_samples(session, samples)
    for place, student in enumerate(section.students.filter(role=Role.STUDENT).order_by("name")):
        places[place % benches].team.add(student)
    return session


def _sample(session: Session, given: Mapping[str, object]) -> Sample:
    sample = Sample.objects.create(session=session, label=str(given["name"]))
    accepted = given.get("accepted") or {}
    assert isinstance(accepted, Mapping)
    results = {q.key for q in method_of(session).quantities if q.result and q.accepted}
    for key, text in accepted.items():
        if key not in results:
            raise Refused(f"“{key}” is not a result that can have an accepted value.", 422)
        if str(text).strip():
            parse_reading(str(text))
            HiddenValue.objects.create(sample=sample, key=key, text=str(text).strip())
    return sample


@transaction.atomic
def open_session(session: Session) -> None:
    """Opens a planned session: options and instruments are resolved and frozen from here on."""
    if session.state != Session.State.PLANNED:
        raise Refused(f"“{session.title}” is {session.state} already; only a planned session can be opened.")
    if not session.benches.exists():
        raise Refused("There is no bench yet. Plan at least one before you open the session.")
    chosen = method_of(session)
    session.options = resolve_options(chosen, session.options)
    session.instruments = {role.key: session.instruments.get(role.key, role.default) for role in chosen.roles}
    session.stock = to_freeze(session)
    session.method_version, session.declaration = chosen.version, keep(to_json(chosen))
    session.state, session.opened_at = Session.State.OPEN, timezone.now()
    session.save()
    _give_turns(session, chosen)


def _give_turns(session: Session, chosen: Method) -> None:
    """Each bench its own order at what is shared, so that not all of them want the same bath at once."""
    benches = list(session.benches.all())
    bound = bind(chosen, Sheet(session.options, session.instruments, stock=stock_of(session)))
    own = orders(bound, max(bench.number for bench in benches))
    for bench in benches:
        bench.own_options = own[bench.number]
        bench.save(update_fields=["own_options"])


@transaction.atomic
def close_session(session: Session) -> None:
    """Closes an open session: benches can be read and reported, but nothing more is written."""
    if session.state != Session.State.OPEN:
        raise Refused(f"“{session.title}” is not open, so it cannot be closed.")
    session.state, session.closed_at = Session.State.CLOSED, timezone.now()
    session.save()


@transaction.atomic
def release_session(session: Session) -> None:
    """Lets the benches see the accepted values."""
    if session.state == Session.State.PLANNED:
        raise Refused("A session that has not begun has nothing to release.")
    session.released = True
    session.save()


@transaction.atomic
def set_comparison(session: Session, name: str, file: str) -> None:
    """Prepares another product's data, a sheet file of the same method; an empty ``file`` takes it away again."""
    session.comparison = comparison_of(session, name, file) if file.strip() else {}
    session.save()


@transaction.atomic
def set_teams(session: Session, places: Mapping[int, int | None]) -> None:
    """Puts people at benches: ``places`` gives a bench number by person, None for no bench. One bench a person."""
    if session.state == Session.State.CLOSED:
        raise Refused("The session is closed; its teams stay as they were.")
    benches = {bench.number: bench for bench in session.benches.all()}
    people = {person.pk: person for person in session.section.students.filter(role=Role.STUDENT)}
    for person_id, number in places.items():
        if person_id not in people:
            raise Refused("Somebody on this list is not in the section. Reload the page.", 422)
        if number is not None and number not in benches:
            raise Refused(f"There is no bench {number} in this session.", 422)
        for bench in benches.values():
            bench.team.remove(people[person_id])
        if number is not None:
            benches[number].team.add(people[person_id])


@transaction.atomic
def set_samples(session: Session, samples: Sequence[Mapping[str, object]]) -> None:
    """Gives a planned session its samples anew and deals them out to the benches in turn."""
    if session.state != Session.State.PLANNED:
        raise Refused("The session has begun; what the benches were given stays as it is.")
    session.samples.all().delete()
    made = [_sample(session, sample) for sample in samples]
    for bench in session.benches.all():
        bench.sample = made[(bench.number - 1) % len(made)] if made else None
        bench.save()
