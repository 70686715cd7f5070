"""What surrounds the records of a session and changes rarely: its plan, its teams, its words, remarks on its steps.

It is asked at every look and every reading of every bench, so a process remembers it for a moment; it forgets at once
what it changes itself, so only what another process has changed may be told so much later.
"""

from collections import defaultdict
from copy import copy
from dataclasses import dataclass
from threading import Lock

from cachetools import TTLCache, cached
from django.db import transaction
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
_WHO_SECONDS, _WHO_MOST = 5, 2000  # who works where, as long as who asks is remembered (people/remembered.py)
_NOW = Bench.objects.values_list(
    "length", "head", "seal", "session", "session__state", "session__released", "session__revision"
)


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
def _session(session_id: int, *stands: object) -> Session:
    """With its section, as it was a moment ago at the longest, and still ``stands``."""
    return Session.objects.select_related("section").get(pk=session_id)


@cached(TTLCache(_WHO_MOST, _WHO_SECONDS), key=lambda who, *place: (who.pk, *place), lock=Lock())
def _place(person: Person, bench_id: int, *stands: object) -> Bench:
    """The bench, if this person worked there a moment ago, in a session that still ``stands`` so."""
    return places_for(person).get(pk=bench_id)


def bench_now(person: Person, bench_id: int) -> Bench:
    """A bench to read and write at: its record and the state of its session as they are now, and else as it was a
    moment ago; Http404 for any other. Who changes anything of a session asks ``labs.policy.bench_for``.
    """
    try:
        length, head, seal, session, *stands = _NOW.get(pk=bench_id)
        bench = copy(_place(person, bench_id, *stands))
        bench.session = copy(_session(session, *stands))  # who writes sets its state anew
    except (Bench.DoesNotExist, Session.DoesNotExist):  # either may be deleted in between
        raise Http404 from None
    bench.length, bench.head, bench.seal = length, head, seal
    return bench


def forget() -> None:
    """Something of it is being changed here: asked again from now on, and again once the change is kept."""
    _clear()
    transaction.on_commit(_clear)


def _clear() -> None:
    around.cache_clear()
    _place.cache_clear()
    _session.cache_clear()
