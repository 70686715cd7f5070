"""Whose section is it? Instructors own sections, assistants help in them."""

from django.core.exceptions import PermissionDenied
from django.db.models import Q, QuerySet
from django.http import HttpRequest

from people.models import Person, Role, Section


def person_of(request: HttpRequest) -> Person:
    """The signed-in person; the default permission class has made sure that there is one."""
    assert isinstance(request.user, Person)
    return request.user


def sections_for(person: Person) -> QuerySet[Section]:
    """Sections whose sessions this person may see whole."""
    if not person.teaches:
        return Section.objects.none()
    return Section.objects.filter(Q(owner=person) | Q(assistants=person)).distinct()


def must_teach(person: Person) -> None:
    """The stockroom is the staff's."""
    if not person.teaches:
        raise PermissionDenied("The stockroom belongs to your instructor.")


def must_own(person: Person) -> None:
    """Planning, opening, closing and releasing are the instructor's."""
    if person.role != Role.INSTRUCTOR:
        raise PermissionDenied("Only the instructor plans, opens and releases a session.")
