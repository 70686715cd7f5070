"""Changes to sections and their people: made, renamed, archived; put on the roster, moved, taken off; PINs."""

import secrets
from collections.abc import Iterable, Sequence

from axes.utils import reset as unlock
from django.conf import settings
from django.contrib.auth.hashers import make_password
from django.db import transaction

from config.errors import Refused
from people.models import Person, Role, Section
from people.roster import MOST, problem_of

_LETTERS, _DIGITS = "ABCDEFGHJKLMNPQRSTUVWXYZ", "23456789"  # without those that look like another


def make_section(owner: Person, name: str, term: str) -> Section:
    """A new section with a code of its own."""
    return Section.objects.create(owner=owner, name=name.strip(), term=term.strip(), code=_free_code())


def _free_code() -> str:
    while True:
        code = "".join(secrets.choice(_LETTERS) for _ in range(5)) + secrets.choice(_DIGITS)
        if not Section.objects.filter(code=code).exists():
            return code


def renew_code(section: Section) -> None:
    """Another code: who knows the former one cannot read the roster any more. PINs stay."""
    section.code = _free_code()
    section.save(update_fields=["code"])


@transaction.atomic
def change_section(section: Section, name: str, term: str, archived: bool, assistants: Sequence[int]) -> None:
    """Names it anew, puts it away or takes it back, says who assists."""
    helping = Person.objects.filter(pk__in=assistants, is_active=True).exclude(role=Role.STUDENT)
    if len(helping) != len(set(assistants)):
        raise Refused("Only instructors and assistants of this department can assist. Reload the page.", 422)
    section.name, section.term, section.archived = name.strip(), term.strip(), archived
    section.save(update_fields=["name", "term", "archived"])
    section.assistants.set(helping)


@transaction.atomic
def add_people(section: Section, people: Sequence[tuple[str, str]]) -> list[Person]:
    """Puts people (name, number) on the roster; whoever is on it already stays as they are. Refused as a whole."""
    section = Section.objects.select_for_update().get(pk=section.pk)
    here = {(person.name.casefold(), person.number.casefold()) for person in section.roster}
    added = []
    for name, number in people:
        problem = problem_of(name, number)
        if problem:
            raise Refused(f"{name or 'A line without a name'}: {problem} Nobody was added.", 422)
        if (name.casefold(), number.casefold()) in here:
            continue
        here.add((name.casefold(), number.casefold()))
        added.append(Person(username=new_username(), name=name, number=number, role=Role.STUDENT, section=section))
    if len(here) > MOST:
        raise Refused(f"A section holds {MOST} people at most. Nobody was added.", 422)
    for person in added:
        person.set_unusable_password()
    return Person.objects.bulk_create(added)


def new_username() -> str:
    """A name that nobody types: students sign in by section, name and PIN."""
    return f"student-{secrets.token_hex(8)}"


@transaction.atomic
def change_student(student: Person, name: str, number: str, section: Section) -> None:
    """Renames a student or moves them to another section; what they wrote stays where it is."""
    problem = problem_of(name, number)
    if problem:
        raise Refused(problem, 422)
    same = section.roster.filter(name__iexact=name, number__iexact=number).exclude(pk=student.pk)
    if same.exists():
        raise Refused(f"{name} is on that roster already. If they are two people, give them numbers.", 422)
    student.name, student.number, student.section = name, number, section
    student.save(update_fields=["name", "number", "section"])


def take_off(student: Person) -> None:
    """Off the roster, and signed out; every record keeps the name."""
    student.is_active = False
    student.save(update_fields=["is_active"])


@transaction.atomic
def new_pins(people: Iterable[Person]) -> dict[int, str]:
    """A new PIN for each, by id; the former ones end, and whoever had to wait may try at once."""
    pins = {}
    for person in people:
        pin = pins[person.pk] = "".join(secrets.choice("0123456789") for _ in range(settings.PIN_DIGITS))
        person.password = make_password(pin)
        person.save(update_fields=["password"])
        unlock(username=person.username)
    return pins
