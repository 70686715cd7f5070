"""Slips for a section's students: how each joins, cut apart and handed out. Printing makes new PINs."""

from collections.abc import Sequence

from people.models import Person, Section
from people.sections import new_pins
from reports.form import qr_of
from reports.paper import pdf_of


def slips_pdf(section: Section, people: Sequence[Person], address: str) -> bytes:
    """A slip with code, QR, name and PIN for each of ``people``; ``address`` is where this server is reached."""
    pins = new_pins(people)
    join = f"{address}/join/{section.code}"
    slips = [{"name": person.name, "number": person.number, "pin": pins[person.pk]} for person in people]
    shown = {"section": section, "slips": slips, "join": join, "qr": qr_of(join)}
    return pdf_of("reports/slips.html", shown)
