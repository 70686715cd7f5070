"""What a session asks before class, worked once for all who work by the same plan."""

from collections.abc import Iterable, Sequence
from threading import Lock

from cachetools import LRUCache, cached

from chromata_core.prelab.standing import Answered, Preparation, preparation, standing
from chromata_core.prelab.state import PrelabState
from chromata_core.sentences import joined
from chromata_core.sheet.bound import Sheet
from labs.declared import method_of
from labs.instruments import stock_of
from labs.models import Bench, Session
from labs.prelab_plan import prelab_of
from people.models import Person
from prelab.models import Answer, LetIn

_MOST = 64  # plans


def _which(session: Session, bench: Bench | None) -> tuple[object, ...]:
    """What the tasks follow from: a plan changes under its revision, and is frozen when it opens."""
    options = bench.options if bench else session.options
    return session.pk, session.revision, session.state, method_of(session).version, *sorted(options.items())


@cached(LRUCache(_MOST), key=_which, lock=Lock())
def asked_at(session: Session, bench: Bench | None) -> Preparation:
    """The tasks of a place of ``session``, by its own choices; of the session where a student has none."""
    options = bench.options if bench else session.options
    sheet = Sheet(options, session.instruments, stock=stock_of(session))
    return preparation(method_of(session), sheet, prelab_of(session))


def places(session: Session) -> dict[int, Bench]:
    """The first record of each student's place, by the student's id."""
    places: dict[int, Bench] = {}
    for bench in session.benches.prefetch_related("team").order_by("number", "turn"):
        bench.session = session
        for person in bench.team.all():
            places.setdefault(person.pk, bench)
    return places


def states(session: Session, people: Iterable[Person]) -> dict[int, PrelabState]:
    """How far each of ``people`` is, by their ids."""
    answers: dict[int, dict[str, Answered]] = {}
    for answer in Answer.objects.filter(session=session, person__in=list(people)):
        mine = answers.setdefault(answer.person_id, {})
        before = mine[answer.task].tries if answer.task in mine else 0
        mine[answer.task] = Answered(answer.text, answer.reason, before + 1)
    at = places(session)
    return {person.pk: standing(asked_at(session, at.get(person.pk)), answers.get(person.pk, {})) for person in people}


def _present(bench: Bench) -> list[Person]:
    """Its team in order of name, without who is absent."""
    return list(bench.team.exclude(missed=bench.session).order_by("name", "pk"))


def prepared(bench: Bench) -> tuple[tuple[str, PrelabState], ...]:
    """How far each of a bench’s team is, by name, without who is absent; nobody where nothing is asked."""
    if not prelab_of(bench.session).asks:
        return ()
    team = _present(bench)
    standing = states(bench.session, team)
    return tuple((person.name, standing[person.pk]) for person in team)


def waits_for(bench: Bench) -> list[Person]:
    """Who of the team has to get ready before the first reading, without who is absent or was let in."""
    session = bench.session
    if not prelab_of(session).needed:
        return []
    let_in = {*LetIn.objects.filter(session=session).values_list("person_id", flat=True)}
    team = [person for person in _present(bench) if person.pk not in let_in]
    ready = states(session, team)
    return [person for person in team if not ready[person.pk].ready]


def waiting_sentence(people: Sequence[Person]) -> str:
    """The sentence that refuses a first reading; empty where nobody is waited for."""
    if not people:
        return ""
    names = joined([person.name for person in people])
    has = "has" if len(people) == 1 else "have"
    left = f"Before the first reading {names} {has} work left from before class."
    return f"{left} Open “Before class”, or ask your instructor."
