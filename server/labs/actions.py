"""Changes to sessions: planned, opened, closed, released. One function each, in one transaction.

Each locks the session's row first, looks at it again under the lock, and writes only what it changes: of two clicks at
once the second sees what the first did.
"""

from collections.abc import Mapping, Sequence
from datetime import datetime
from typing import Any

from django.db import transaction
from django.utils import timezone

from chromata_core.authoring.as_json import to_json
from chromata_core.declaration.options import resolve_options
from chromata_core.declaration.questions import asking
from chromata_core.sheet.bound import Sheet
from config.errors import Refused
from experiments.declared import keep, method_named
from labs.around import forget
from labs.comparison import comparison_of
from labs.declared import method_of
from labs.furnishing import furnish
from labs.instruments import to_freeze
from labs.locking import lock
from labs.models import Deed, Session
from labs.own_work import chosen_work
from labs.parts import follow, not_needed, still_found
from labs.prelab_plan import chosen_prelab, must_offer
from labs.seals import seal_end
from labs.teams import deal_teams, stand_as_in
from labs.turns import bench_orders
from people.models import Person, Section
from stock.own import instruments_of


def note(session: Session, person: Person, what: str) -> None:
    """Writes into the session's log who did what. Whatever was changed, benches see it at once."""
    forget()
    Deed.objects.create(section_id=session.section_id, session=session, person=person, what=what[:300])


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
    guests: Sequence[Section] = (),
    questions: Sequence[str] = (),
    all_samples: bool = False,
    own_work: Mapping[str, Any] | None = None,
    prelab: Mapping[str, Any] | None = None,
    follows: Session | None = None,
    takes: Mapping[str, Mapping[str, Any]] | None = None,
) -> Session:
    """A new planned session with its benches; the section's students, and those of ``guests``, are spread over them in
    order of name, or stand as in the session that it ``follows``.
    """
    chosen = asking(method_named(slug, [section.owner]), questions)
    asked = dict(own_work or {})
    plan = Sheet(options, instruments, stock=instruments_of(section.owner), own_work=chosen_work(asked))
    must_offer(chosen, plan, chosen_prelab(prelab or {}))
    session = Session(
        section=section, method=slug, method_version=chosen.version, title=title, room=room, starts_at=starts_at,
        minutes=minutes, options=dict(options), instruments=dict(instruments), questions=list(questions),
        own_work=asked, prelab=dict(prelab or {}),
    )  # fmt: skip
    follow(session, follows, takes or {}, chosen)
    session.save()
    session.guests.set(guests)
    furnish(session, benches, samples, all_samples)
    deal_teams(session, "names")
    if follows is not None:
        stand_as_in(session, follows)
    return session


@transaction.atomic
def change_plan(
    session: Session, revision: int, section: Section, slug: str, benches: int, guests: Sequence[Section], **chosen: Any
) -> None:
    """A planned session as it shall be. Benches that stay keep their teams; other sections are spread anew.

    ``revision`` is the one that was looked at: Refused if somebody changed the plan since then.
    """
    lock(session)
    _must_be(session, Session.State.PLANNED, "is what was planned; only a planned session can be changed")
    if revision != session.revision:
        raise Refused("Somebody changed this plan in the meantime. Load it again; what you wrote is still in the form.")
    declared = asking(method_named(slug, [section.owner]), chosen["questions"])
    own_work = chosen_work(chosen["own_work"])
    plan = Sheet(chosen["options"], chosen["instruments"], (), instruments_of(section.owner), None, own_work)
    must_offer(declared, plan, chosen_prelab(chosen["prelab"]))
    samples, all_samples = chosen.pop("samples"), chosen.pop("all_samples")
    attended = {session.section_id, *session.guests.values_list("pk", flat=True)}
    if slug != session.method:
        session.comparison = {}
    follows, takes = chosen.pop("follows"), chosen.pop("takes")
    for field, value in {**chosen, "method": slug, "method_version": declared.version, "section": section}.items():
        setattr(session, field, value)
    follow(session, follows, takes, declared)
    still_found(session)
    session.revision += 1
    session.save()
    session.guests.set(guests)
    furnish(session, benches, samples, all_samples)
    if attended != {section.pk, *(guest.pk for guest in guests)}:
        deal_teams(session, "names")


def _must_be(session: Session, state: str, otherwise: str) -> None:
    if session.state != state:
        raise Refused(f"“{session.title}” {otherwise}: it is {session.state}.")


@transaction.atomic
def delete_plan(session: Session) -> None:
    """Deletes a plan that was never opened. Refused once there is a record."""
    lock(session)
    if session.opened_at is not None:
        raise Refused("This session was held; its record stays.")
    not_needed(session)
    session.delete()


@transaction.atomic
def cancel_session(session: Session) -> None:
    """Calls a planned session off; the plan stays."""
    lock(session)
    _must_be(session, Session.State.PLANNED, "cannot be cancelled")
    _set_state(session, Session.State.CANCELLED)


@transaction.atomic
def take_up_session(session: Session) -> None:
    """Plans a cancelled session after all."""
    lock(session)
    _must_be(session, Session.State.CANCELLED, "cannot be taken up again")
    _set_state(session, Session.State.PLANNED)


@transaction.atomic
def reopen_session(session: Session) -> None:
    """Opens a closed session again, so that benches can go on; not while the accepted values are known."""
    lock(session)
    _must_be(session, Session.State.CLOSED, "cannot be opened again")
    if session.released:
        raise Refused("The accepted values are released. Take that back before anybody measures on.")
    session.closed_at = None
    session.save(update_fields=["closed_at"])
    _set_state(session, Session.State.OPEN)


def _set_state(session: Session, state: Session.State) -> None:
    session.state = state
    session.save(update_fields=["state"])


@transaction.atomic
def extend_session(session: Session, minutes: int) -> None:
    """Gives a session that is not over another length, minutes from its start."""
    lock(session)
    if session.state not in (Session.State.PLANNED, Session.State.OPEN):
        raise Refused(f"“{session.title}” is {session.state}; its time is not changed any more.")
    session.minutes = minutes
    session.save(update_fields=["minutes"])


@transaction.atomic
def open_session(session: Session) -> None:
    """Opens a planned session: options and instruments are resolved and frozen from here on."""
    lock(session)
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
    _begin_records(session)


def _begin_records(session: Session) -> None:
    """Each bench its own order at what is shared, so that not all of them want the same bath at once; and a sealed,
    empty record.
    """
    benches = list(session.benches.all())
    orders = bench_orders(session)
    for bench in benches:
        bench.own_options = {**orders.get(bench.number, {}), **bench.own_options}
        seal_end(bench)
        bench.save(update_fields=["own_options", "seal"])


@transaction.atomic
def close_session(session: Session) -> None:
    """Closes an open session: benches can be read and reported, but nothing more is written.

    What is being written at a bench is waited for; what comes after finds the session closed.
    """
    lock(session)
    if session.state != Session.State.OPEN:
        raise Refused(f"“{session.title}” is not open, so it cannot be closed.")
    list(session.benches.select_for_update().order_by("pk"))
    session.state, session.closed_at = Session.State.CLOSED, timezone.now()
    session.save(update_fields=["state", "closed_at"])


@transaction.atomic
def release_session(session: Session) -> None:
    """Lets the benches see the accepted values, once nothing more is written."""
    lock(session)
    if session.state != Session.State.CLOSED:
        raise Refused("Close the session first: who knows the accepted value cannot measure without it.")
    _set_released(session, True)


@transaction.atomic
def take_back_release(session: Session) -> None:
    """Hides the accepted values again."""
    lock(session)
    _set_released(session, False)


def _set_released(session: Session, released: bool) -> None:
    session.released = released
    session.save(update_fields=["released"])


@transaction.atomic
def set_comparison(session: Session, name: str, file: str) -> None:
    """Prepares another product's data, a sheet file of the same method; an empty ``file`` takes it away again."""
    lock(session)
    session.comparison = comparison_of(session, name, file) if file.strip() else {}
    session.save(update_fields=["comparison"])


@transaction.atomic
def set_samples(session: Session, samples: Sequence[Mapping[str, Any]], all_samples: bool) -> None:
    """Gives a planned session its samples anew and deals them out to the benches."""
    lock(session)
    if session.state != Session.State.PLANNED:
        raise Refused("The session has begun; what the benches were given stays as it is.")
    furnish(session, session.benches.values("number").distinct().count(), samples, all_samples)
