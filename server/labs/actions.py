"""Changes to sessions: planned, opened, closed, released. One function each, in one transaction.

Each locks the session's row first, looks at it again under the lock, and writes only what it changes: of two clicks at
once the second sees what the first did.
"""

from collections.abc import Mapping, Sequence
from datetime import datetime

from django.db import transaction
from django.utils import timezone

from chromata_core.method.as_json import to_json
from chromata_core.method.options import resolve_options
from chromata_core.method.sheet import Sheet, bind
from chromata_core.method.vocabulary import Method
from chromata_core.planning.timetable import orders
from chromata_core.quantity.given import written_in
from config.errors import Refused
from experiments.declared import keep, method_named
from labs.comparison import comparison_of
from labs.declared import method_of
from labs.models import Bench, HiddenValue, Sample, Session
from notebook.seals import seal_end
from people.models import Section
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
    for place, student in enumerate(section.roster):
        places[place % benches].team.add(student)
    return session


def _sample(session: Session, given: Mapping[str, object]) -> Sample:
    sample = Sample.objects.create(session=session, label=str(given["name"]))
    accepted = given.get("accepted") or {}
    assert isinstance(accepted, Mapping)
    results = {q.key: q.unit for q in method_of(session).quantities if q.result and q.accepted}
    for key, text in accepted.items():
        if key not in results:
            raise Refused(f"“{key}” is not a result that can have an accepted value.", 422)
        if str(text).strip():
            HiddenValue.objects.create(sample=sample, key=key, text=written_in(str(text), results[key]))
    return sample


def _lock(session: Session) -> None:
    """``session`` as it is now, nobody else's until the transaction ends."""
    session.refresh_from_db(from_queryset=Session.objects.select_for_update())


@transaction.atomic
def open_session(session: Session) -> None:
    """Opens a planned session: options and instruments are resolved and frozen from here on."""
    _lock(session)
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
    session.save(
        update_fields=["options", "instruments", "stock", "method_version", "declaration", "state", "opened_at"]
    )
    _furnish(session, chosen)


def _furnish(session: Session, chosen: Method) -> None:
    """Each bench its own order at what is shared, so that not all of them want the same bath at once; and a sealed,
    empty record.
    """
    benches = list(session.benches.all())
    bound = bind(chosen, Sheet(session.options, session.instruments, stock=stock_of(session)))
    own = orders(bound, max(bench.number for bench in benches))
    for bench in benches:
        bench.own_options = own[bench.number]
        seal_end(bench)
        bench.save(update_fields=["own_options", "seal"])


@transaction.atomic
def close_session(session: Session) -> None:
    """Closes an open session: benches can be read and reported, but nothing more is written.

    What is being written at a bench is waited for; what comes after finds the session closed.
    """
    _lock(session)
    if session.state != Session.State.OPEN:
        raise Refused(f"“{session.title}” is not open, so it cannot be closed.")
    list(session.benches.select_for_update().order_by("pk"))
    session.state, session.closed_at = Session.State.CLOSED, timezone.now()
    session.save(update_fields=["state", "closed_at"])


@transaction.atomic
def release_session(session: Session) -> None:
    """Lets the benches see the accepted values, once nothing more is written."""
    _lock(session)
    if session.state != Session.State.CLOSED:
        raise Refused("Close the session first: who knows the accepted value cannot measure without it.")
    _set_released(session, True)


@transaction.atomic
def take_back_release(session: Session) -> None:
    """Hides the accepted values again."""
    _lock(session)
    _set_released(session, False)


def _set_released(session: Session, released: bool) -> None:
    session.released = released
    session.save(update_fields=["released"])


@transaction.atomic
def set_comparison(session: Session, name: str, file: str) -> None:
    """Prepares another product's data, a sheet file of the same method; an empty ``file`` takes it away again."""
    _lock(session)
    session.comparison = comparison_of(session, name, file) if file.strip() else {}
    session.save(update_fields=["comparison"])


@transaction.atomic
def set_teams(session: Session, places: Sequence[tuple[int, int | None]]) -> None:
    """Puts people at benches: a bench number for each person, None for no bench. One bench a person."""
    _lock(session)
    if len({person_id for person_id, _ in places}) < len(places):
        raise Refused("Somebody is named twice on this list. Give each person one bench.", 422)
    if session.state == Session.State.CLOSED:
        raise Refused("The session is closed; its teams stay as they were.")
    benches = {bench.number: bench for bench in session.benches.all()}
    people = {person.pk: person for person in session.section.roster}
    for person_id, number in places:
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
    _lock(session)
    if session.state != Session.State.PLANNED:
        raise Refused("The session has begun; what the benches were given stays as it is.")
    session.samples.all().delete()
    made = [_sample(session, sample) for sample in samples]
    for bench in session.benches.all():
        bench.sample = made[(bench.number - 1) % len(made)] if made else None
        bench.save(update_fields=["sample"])
