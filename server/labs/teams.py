"""Who stands at which bench: put there by hand, or everybody dealt out at once."""

import secrets
from collections import defaultdict
from collections.abc import Mapping, Sequence

from django.db import transaction

from config.errors import Refused
from labs.around import forget
from labs.locking import lock
from labs.models import Bench, Session
from people.models import Person


@transaction.atomic
def deal_teams(session: Session, how: str, size: int | None = None) -> None:
    """Spreads who is here over the benches: by ``names``, by ``lot``, or as ``last`` time, newcomers to the smallest.

    With a ``size`` as few benches as that takes get a team, and the others none. Refused where there are too few.
    """
    lock(session)
    if session.opened_at is not None:
        raise Refused(
            "The session has begun: people are moved one by one, so that nobody loses their bench at a touch."
        )
    absent = set(session.absent.values_list("pk", flat=True))
    people = [person for person in session.roster if person.pk not in absent]
    places = _enough(_numbers(session), len(people), size)
    former = _last_places(session) if how == "last" else {}
    if how == "last" and not former:
        raise Refused("No earlier session of this section had teams.", 422)
    if how == "lot":
        secrets.SystemRandom().shuffle(people)
    teams: dict[int, list[Person]] = {number: [] for number in places}
    for person in people:
        if former.get(person.pk) in teams:
            teams[former[person.pk]].append(person)
    for person in people:
        if teams and former.get(person.pk) not in teams:
            min(teams.values(), key=len).append(person)
    forget()
    Bench.team.through.objects.filter(bench__session=session).delete()
    _put(session, {person.pk: number for number, team in teams.items() for person in team})


def _numbers(session: Session) -> list[int]:
    return sorted(set(session.benches.values_list("number", flat=True)))


def _enough(benches: list[int], people: int, size: int | None) -> list[int]:
    """As many benches as ``people`` need at ``size`` each; all of them where no size is wanted."""
    if size is None:
        return benches
    needed = -(-people // size)
    if needed > len(benches):
        raise Refused(f"{people} people at {size} a bench need {needed} benches; this session has {len(benches)}.", 422)
    return benches[:needed]


def _put(session: Session, places: Mapping[int, int]) -> None:
    """Gives people, by their ids, the place with this number: all that stands there, where it has several samples."""
    there: dict[int, list[int]] = defaultdict(list)
    for bench, number in session.benches.values_list("pk", "number"):
        there[number].append(bench)
    at = Bench.team.through
    at.objects.bulk_create(
        at(bench_id=bench, person_id=person) for person, number in places.items() for bench in there[number]
    )


def stand_as_in(session: Session, earlier: Session) -> None:
    """Gives everybody who is expected the place that they had in ``earlier``, where there is one of that number."""
    there, expected = _numbers(session), set(session.roster.values_list("pk", flat=True))
    places = {person: number for person, number in _places(earlier).items() if number in there and person in expected}
    Bench.team.through.objects.filter(bench__session=session, person__in=places).delete()
    _put(session, places)


def _places(session: Session) -> dict[int, int]:
    benches = session.benches.prefetch_related("team")
    return {person.pk: bench.number for bench in benches for person in bench.team.all()}


def _last_places(session: Session) -> dict[int, int]:
    held = session.section.sessions.exclude(pk=session.pk).filter(benches__team__isnull=False, simulated="")
    last = held.filter(opened_at__isnull=False).order_by("-opened_at").first()
    return _places(last) if last else {}


@transaction.atomic
def set_teams(session: Session, places: Sequence[tuple[int, int | None, bool]]) -> None:
    """Puts people at benches: a bench number for each person, None for no bench, and whether they are absent.

    One bench a person; who has one is here. Whoever is not named stays where they are.
    """
    lock(session)
    named = [person for person, *_ in places]
    if len(set(named)) < len(named):
        raise Refused("Somebody is named twice on this list. Give each person one bench.", 422)
    if session.state == Session.State.CLOSED:
        raise Refused("The session is closed; its teams stay as they were.")
    benches = _numbers(session)
    known = set(session.roster.values_list("pk", flat=True))
    if not known.issuperset(named):
        raise Refused("Somebody on this list is not in the section. Reload the page.", 422)
    missing = next((number for _, number, _ in places if number is not None and number not in benches), None)
    if missing is not None:
        raise Refused(f"There is no bench {missing} in this session.", 422)
    forget()
    Bench.team.through.objects.filter(bench__session=session, person__in=named).delete()
    _put(session, {person: number for person, number, _ in places if number is not None})
    session.absent.remove(*named)
    session.absent.add(*(person for person, number, absent in places if absent and number is None))
