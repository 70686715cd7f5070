"""What surrounds the records of a session and changes rarely: its plan, its teams, its words, remarks on its steps.

It is asked at every look and every reading of every bench, so a process remembers it for a moment; it forgets at once
what it changes itself, so only what another process has changed may be told so much later.
"""

from collections import defaultdict
from dataclasses import dataclass
from threading import Lock

from cachetools import TTLCache, cached
from django.db import transaction
from django.db.models import F
from django.http import Http404

from chromata_core.planning.supplies import TargetOut
from labs.models import Bench, Session
from labs.parts import together
from labs.policy import places_for
from labs.remarks import remarks_on
from labs.shapes import PartOf, RemarkOut, SessionCard
from labs.term import session_card
from labs.turns import turns_told
from people.models import Person

_SECONDS, _MOST = 2, 100


@dataclass(frozen=True, slots=True)
class Around:
    """The names of each bench's team in order, by the bench's id; the session; the remarks it shows; the sessions that
    belong together with it, in the order of the work; and by bench number when it has its turns at what is shared.
    """

    teams: dict[int, list[str]]
    session: SessionCard
    remarks: list[RemarkOut]
    together: list[PartOf]
    turns: dict[int, list[TargetOut]]


def _which(session: Session) -> tuple[object, ...]:
    return session.pk, session.state, session.released, session.title


@cached(TTLCache(_MOST, _SECONDS), key=_which, lock=Lock())
def around(session: Session) -> Around:
    """Of ``session``, as it was a moment ago at the longest."""
    teams: dict[int, list[str]] = defaultdict(list)
    placed = session.benches.filter(team__isnull=False).order_by("team__name")
    for bench, name in placed.values_list("pk", "team__name"):
        teams[bench].append(name)
    parts = [PartOf(part.pk, part.title) for part in together(session)]
    return Around(teams, session_card(session), remarks_on(session), parts, turns_told(session))


@cached(TTLCache(_MOST, _SECONDS), lock=Lock())
def _session(session_id: int) -> Session:
    """With its section, as it was a moment ago at the longest."""
    return Session.objects.select_related("section").get(pk=session_id)


def bench_now(person: Person, bench_id: int) -> Bench:
    """A bench to read and write at, as it is now, in a session that was planned, opened, closed and released as it is
    now, and else as it was a moment ago; Http404 for any other. Who changes anything of a session asks
    ``labs.policy.bench_for``.
    """
    stands = {name: F(f"session__{name}") for name in ("state", "released", "revision")}
    try:
        bench = places_for(person).annotate(**stands).get(pk=bench_id)
        bench.session = _session(bench.session_id)
        if any(getattr(bench.session, name) != getattr(bench, name) for name in stands):
            _session.cache_clear()  # changed elsewhere since
            bench.session = _session(bench.session_id)
    except (Bench.DoesNotExist, Session.DoesNotExist):  # the session may be deleted between the two
        raise Http404 from None
    return bench


def forget() -> None:
    """Something of it is being changed here: asked again from now on, and again once the change is kept."""
    _clear()
    transaction.on_commit(_clear)


def _clear() -> None:
    around.cache_clear()
    _session.cache_clear()
