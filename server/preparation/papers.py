"""What the prep room has on paper: the sheet to work by, labels for bottles, the instructor's crib."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, datetime, timedelta

from django.utils import timezone

from chromata_core.planning.supplies import supplies
from labs.models import Session
from labs.term import session_card
from labs.turns import timetables_of
from preparation.expected import expected_of
from preparation.needs import day_of, needs_of, weighed_for
from preparation.shapes import ToMake
from preparation.standing import to_make, to_set_out, to_switch_on
from reports.form import qr_of
from reports.paper import pdf_of


def prep_sheet_pdf(session: Session) -> bytes:
    """What is made, weighed and set out, with blanks for what was really weighed; when what is switched on or set."""
    shown = {
        "session": session_card(session), "day": day_of(session), "begins": timezone.localtime(session.starts_at),
        "benches": session.benches.values("number").distinct().count(), "solutions": to_make(session),
        "weighed": weighed_for(session), "pieces": to_set_out(session), "timetables": timetables_of(session),
        "switched_on": [(_local(appliance.at), appliance.text) for appliance in to_switch_on(session)],
    }  # fmt: skip
    return pdf_of("preparation/prep_sheet.html", shown)


def _local(at: str) -> datetime:
    return timezone.localtime(datetime.fromisoformat(at))


@dataclass(frozen=True, slots=True)
class Label:
    """A bottle's label. ``for_whom`` is the bench, empty for the stock."""

    name: str
    strong: str
    hazard: str
    store: str
    made: str
    until: str
    for_whom: str


def labels_pdf(session: Session, address: str, each: bool) -> bytes:
    """Labels for the stock bottles, and for a bottle at ``each`` bench, with a square that leads to the session."""
    numbers = sorted(set(session.benches.values_list("number", flat=True))) if each else []
    labels = [label for line in to_make(session) for label in _labels(line, numbers)]
    there = f"{address}/sessions/{session.pk}"
    return pdf_of("preparation/labels.html", {"session": session_card(session), "labels": labels, "qr": qr_of(there)})


def _labels(line: ToMake, numbers: Sequence[int]) -> list[Label]:
    how, made_out = line.recipe, line.made
    name, _, stated = how.title.rpartition(", ")
    strong = made_out.result if made_out else stated
    on = date.fromisoformat(made_out.at[:10]) if made_out else None
    until = (on + timedelta(days=how.keeps)).isoformat() if on else ""
    return [
        Label(
            name, strong, how.hazard, store=how.store, made=on.isoformat() if on else "", until=until, for_whom=for_whom
        )
        for for_whom in ("", *(f"bench {number}" for number in numbers))
    ]


def crib_pdf(session: Session) -> bytes:
    """What to expect at each bench. Only for who may see the accepted values."""
    shown = {
        "session": session_card(session), "day": day_of(session), "expected": expected_of(session),
        "targets": [target for needs in needs_of(session) for target in supplies(needs.bound, 1).targets],
        "timetables": timetables_of(session),
    }  # fmt: skip
    return pdf_of("preparation/crib.html", shown)
