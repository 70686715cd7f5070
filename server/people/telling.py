"""Sections and staff as the screens show them."""

from people.models import Person, Role, Section
from people.policy import owns
from people.shapes import Helper, RosterStudent, SectionLine, SectionPage, StaffMember
from people.throttles import kept_out


def section_line(section: Section, person: Person) -> SectionLine:
    """A section as one line."""
    return SectionLine(
        section.pk, section.name, section.term, section.code, section.archived, section.roster.count(),
        section.owner.name, [one.name for one in section.assistants.order_by("name")], owns(person, section),
    )  # fmt: skip


def section_page(section: Section, person: Person) -> SectionPage:
    """A section with its roster, and who may assist."""
    roster = list(section.roster)
    waiting = kept_out(one.username for one in roster)
    students = [
        RosterStudent(
            one.pk, one.name, one.number, one.last_login is not None, one.has_usable_password(),
            one.username in waiting,
        )
        for one in roster
    ]  # fmt: skip
    assisting = set(section.assistants.values_list("pk", flat=True))
    staff = Person.objects.exclude(role=Role.STUDENT).filter(is_active=True).exclude(pk=section.owner_id)
    helpers = [Helper(one.pk, one.name, one.pk in assisting) for one in staff.order_by("name")]
    return SectionPage(section_line(section, person), students, helpers)


def staff_members() -> list[StaffMember]:
    """Everybody of the staff, those who left last."""
    found = Person.objects.exclude(role=Role.STUDENT).order_by("-is_active", "name").prefetch_related("sections")
    return [
        StaffMember(
            one.pk, one.name, one.username, one.role, one.keeper, one.is_active,
            sorted(section.name for section in one.sections.all() if not section.archived),
            one.last_login.isoformat() if one.last_login else "",
        )
        for one in found
    ]  # fmt: skip
