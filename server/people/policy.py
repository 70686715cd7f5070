"""Whose section is it? Instructors own sections, assistants help in them."""

from django.core.exceptions import PermissionDenied
from django.db.models import Q, QuerySet
from django.http import Http404, HttpRequest

from people.models import Person, Role, Section


def person_of(request: HttpRequest) -> Person:
    """The signed-in person; the default permission class has made sure that there is one.

    The person, and not the request's stand-in for one: what is remembered of a bench keeps its authors, and a stand-in
    would keep the request that made it, body and all.
    """
    person = getattr(request.user, "_wrapped", request.user)
    assert isinstance(person, Person)
    return person


def sections_for(person: Person) -> QuerySet[Section]:
    """Sections whose sessions this person may see whole: one's own, those one assists in, and for who keeps the
    accounts those of instructors who have left.
    """
    if not person.teaches:
        return Section.objects.none()
    mine = Q(owner=person) | Q(assistants=person)
    if person.keeper:
        mine |= Q(owner__is_active=False)
    return Section.objects.filter(mine).select_related("owner").distinct()


def owns(person: Person, section: Section) -> bool:
    """Whether ``person`` decides in ``section``: its instructor, or who keeps the accounts once that one has left."""
    return section.owner_id == person.pk or (person.keeper and not section.owner.is_active)


def own_section(person: Person, section_id: int) -> Section:
    """A section that ``person`` decides in; Http404 for any they may not see, PermissionDenied for who assists."""
    must_be_instructor(person)
    section = sections_for(person).filter(pk=section_id).first()
    if section is None:
        raise Http404
    if not owns(person, section):
        raise PermissionDenied("Only the instructor of this section may change it.")
    return section


def student_of(person: Person, student_id: int) -> Person:
    """A student of a section that ``person`` teaches or assists in."""
    students = Person.objects.filter(pk=student_id, role=Role.STUDENT, is_active=True)
    student = students.filter(section__in=sections_for(person)).select_related("section").first()
    if student is None:
        raise Http404
    return student


def own_student(person: Person, student_id: int) -> Person:
    """A student of a section that ``person`` decides in."""
    student = student_of(person, student_id)
    assert student.section is not None
    own_section(person, student.section.pk)
    return student


def must_keep_accounts(person: Person) -> None:
    """Accounts of the staff are kept by few."""
    if not person.keeper:
        raise PermissionDenied("Only who keeps the department's accounts may do this.")


def must_be_staff(person: Person) -> None:
    """The stockroom and what a department has found over the years are the staff's."""
    if not person.teaches:
        raise PermissionDenied("This belongs to your instructor.")


def must_be_instructor(person: Person) -> None:
    """Sections and sessions are the instructor's."""
    if person.role != Role.INSTRUCTOR:
        raise PermissionDenied("Only instructors make sections and plan, open and release sessions.")
