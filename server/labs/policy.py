"""Who may do what with sessions and benches, answered in one place.

Instructors own their sections' sessions; assistants share the floor and the benches; students reach only the benches
they are on, and never a hidden value.
"""

from django.core.exceptions import PermissionDenied
from django.db.models import Q, QuerySet
from django.http import Http404

from labs.models import Bench, Session
from people.models import Person
from people.policy import owns, sections_for


def sessions_for(person: Person) -> QuerySet[Session]:
    """Sessions this person may see whole."""
    mine = sections_for(person)
    return Session.objects.filter(Q(section__in=mine) | Q(guests__in=mine)).distinct()


def session_for(person: Person, session_id: int) -> Session:
    """A session for its floor; PermissionDenied for students, Http404 for sections of others."""
    if not person.teaches:
        raise PermissionDenied("The floor belongs to your instructor. Your own bench is where you work.")
    session = sessions_for(person).filter(pk=session_id).select_related("section__owner").first()
    if session is None:
        raise Http404
    return session


def own_session_for(person: Person, session_id: int) -> Session:
    """A session of a section of one's own; PermissionDenied for everybody else, also for who assists there."""
    session = session_for(person, session_id)
    if not owns(person, session.section):
        raise PermissionDenied("Only the instructor of this section may do this with its sessions.")
    return session


def benches_for(person: Person) -> QuerySet[Bench]:
    """Benches this person may read and write, with their sessions."""
    return places_for(person).select_related("session", "session__section")


def places_for(person: Person) -> QuerySet[Bench]:
    """The same without their sessions, for who knows these already."""
    benches = Bench.objects.select_related("sample")
    if person.teaches:
        return benches.filter(session__in=sessions_for(person))
    begun = (Session.State.OPEN, Session.State.CLOSED)
    return benches.filter(team=person, session__state__in=begun)


def bench_for(person: Person, bench_id: int) -> Bench:
    """A bench to work on; Http404 for any other, so that nobody learns that it exists."""
    try:
        return benches_for(person).get(pk=bench_id)
    except Bench.DoesNotExist:
        raise Http404 from None


def may_see_worked(person: Person, session: Session) -> bool:
    """Computed lines that students are to work out first: who teaches always, students once results are released."""
    return person.teaches or session.released


def may_see_accepted(person: Person, session: Session) -> bool:
    """Hidden values: the section's own instructor always, everybody else once they are released."""
    return owns(person, session.section) or session.released
