"""Answering before class, and letting somebody in who did not."""

from django.db import transaction
from django.db.models import Q, QuerySet
from django.http import Http404

from chromata_core.prelab.standing import answer_problem
from config.errors import Refused
from labs.actions import note
from labs.locking import lock
from labs.models import Session
from labs.policy import sessions_for
from labs.prelab_plan import prelab_of
from people.models import Person
from prelab.asked import asked_at, places, states
from prelab.models import Answer, LetIn

_MOST = 25  # attempts at one task: more is guessing
_TAKEN = (Session.State.PLANNED, Session.State.OPEN)


def session_to_prepare(person: Person, session_id: int) -> Session:
    """A session that asks something before class, for who is on its roster or teaches it; Http404 for all others."""
    session = _sessions_of(person).filter(pk=session_id).exclude(state=Session.State.CANCELLED).first()
    if session is None or not prelab_of(session).asks:
        raise Http404
    return session


def sessions_to_prepare(person: Person) -> list[Session]:
    """Those of a student that are still ahead or at work and ask something, the next one first."""
    sessions = _sessions_of(person).filter(state__in=_TAKEN).select_related("section").order_by("starts_at", "pk")
    return [session for session in sessions if prelab_of(session).asks]


def _sessions_of(person: Person) -> QuerySet[Session]:
    if person.teaches:
        return sessions_for(person)
    here = Q(section=person.section_id) | Q(guests=person.section_id)
    return Session.objects.filter(here).distinct() if person.section_id else Session.objects.none()


def takes_answers(session: Session) -> bool:
    """Whether something may still be answered."""
    return session.state in _TAKEN


def answer_task(session: Session, person: Person, task: str, text: str, reason: str) -> None:
    """Keeps one attempt; Refused with the sentence why it cannot be. It is judged before anybody has to wait for it."""
    if person.teaches:
        raise Refused("What is asked before class is answered by students.", 403)
    asked = asked_at(session, places(session).get(person.pk))
    if problem := answer_problem(asked, task, text, reason):
        raise Refused(problem, 422)
    before = next((asked for asked in states(session, [person])[person.pk].tasks if asked.key == task), None)
    if before is not None and before.agrees and before.kind != "own":
        raise Refused("This is right already.")
    _keep(session, Answer(session=session, person=person, task=task, text=text.strip(), reason=reason.strip()))


@transaction.atomic
def _keep(session: Session, answer: Answer) -> None:
    lock(session)
    if not takes_answers(session):
        raise Refused(f"“{session.title}” is {session.state}; nothing is answered before it any more.")
    if Answer.objects.filter(session=session, person=answer.person, task=answer.task).count() >= _MOST:
        raise Refused(f"{_MOST} attempts are kept, and no more. Ask your instructor about this one.", 422)
    answer.save()


@transaction.atomic
def let_in(session: Session, by: Person, student: Person, allowed: bool) -> None:
    """Lets a student begin who is not ready, or takes that back."""
    if allowed:
        LetIn.objects.get_or_create(session=session, person=student, defaults={"by": by})
    else:
        LetIn.objects.filter(session=session, person=student).delete()
    note(session, by, f"{'lets' if allowed else 'does not let'} {student.name} begin without the work before class")
