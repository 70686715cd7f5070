"""Who is in the demo. All invented."""

from functools import cache

from django.conf import settings
from django.contrib.auth.hashers import make_password

from people.demo_accounts import DEMO_ACCOUNTS, PASSWORD
from people.department import set_department
from people.models import Person, Role, Section

PIN = "2468"
_NAMES = (
    "Abena Roth", "Bashir Costa", "Celeste Noguchi", "Dario Petrov", "Elif Marsh", "Farid Holm", "Greta Okoro",
    "Hanna Silva", "Ivo Castell", "Jun Ferreira", "Kaya Lund", "Leo Abara", "Mina Torvald", "Noor Amadi", "Otis Varela",
    "Priya Hagen",
)  # fmt: skip


def make_people() -> Section:
    """Instructor, assistant, a section and its sixteen students."""
    staff = {
        account["role"]: _person(account["username"], account["name"], account["role"])
        for account in DEMO_ACCOUNTS
        if account["role"] != Role.STUDENT
    }
    section = Section.objects.create(
        name="Second-year analytical, group B", term="Autumn term", code="AMBER7", owner=staff[Role.INSTRUCTOR]
    )
    section.assistants.add(staff[Role.ASSISTANT])
    staff[Role.INSTRUCTOR].keeper = True
    staff[Role.INSTRUCTOR].save(update_fields=["keeper"])
    set_department("Department of demonstrations", settings.TIME_ZONE)
    demo_student = next(account for account in DEMO_ACCOUNTS if account["role"] == Role.STUDENT)
    for number, name in enumerate(_NAMES, 1):
        demo = name == demo_student["name"]
        username, secret = ("student", PASSWORD) if demo else (f"amber7-{number}", PIN)
        _person(username, name, Role.STUDENT, section, secret)
    return section


def _person(username: str, name: str, role: str, section: Section | None = None, secret: str = PASSWORD) -> Person:
    return Person.objects.create(username=username, name=name, role=role, section=section, password=_hashed(secret))


_hashed = cache(make_password)  # everybody's is the same and is told on the first page: once is enough
