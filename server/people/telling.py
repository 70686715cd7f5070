"""Sections and staff as the screens show them."""

from people.models import Person, Role, Section
from people.policy import owns
from people.shapes import Helper, RosterStudent, SectionLine, SectionPage, StaffMember
from people.throttles import kept_out


def section_line(section: Section, person: Person) -> SectionLine:
    """A section as one line."""
    return SectionLine(
        section.pk,
        section.name,
        section.term,
        code=section.code,
        archived=section.archived,
        students=section.roster.count(),
        instructor=section.owner.name,
        assistants=[person.name for person in section.assistants.order_by("name")],
        mine=owns(person, section),
    )


def section_page(section: Section, person: Person) -> SectionPage:
    """A section with its roster, and who may assist."""
    roster = list(section.roster)
    waiting = kept_out(person.username for person in roster)
    students = [
        RosterStudent(
            person.pk,
            person.name,
            person.number,
            person.last_login is not None,
            person.has_usable_password(),
            person.username in waiting,
        )
        for person in roster
    ]
    assisting = set(section.assistants.values_list("pk", flat=True))
    staff = Person.objects.exclude(role=Role.STUDENT).filter(is_active=True).exclude(pk=section.owner_id)
    helpers = [Helper(person.pk, person.name, person.pk in assisting) for person in staff.order_by("name")]
    return SectionPage(section_line(section, person), students, helpers)


def staff_members() -> list[StaffMember]:
    """Everybody of the staff, those who left last."""
    members = Person.objects.exclude(role=Role.STUDENT).order_by("-is_active", "name").prefetch_related("sections")
    return [
        StaffMember(
            person.pk, person.name, person.username, role=person.role, keeper=person.keeper, active=person.is_active,
            sections=sorted(section.name for section in person.sections.all() if not section.archived),
            last_seen=person.last_login.isoformat() if person.last_login else "",
        )
        for person in members
    ]  # fmt: skip
