"""A session's empty form: for a class without devices, and for whoever wants to write by hand first."""

import io
from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import segno

from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from chromata_core.telling.blank_form import BlankForm, blank_form
from labs.declared import method_of
from labs.instruments import stock_of
from labs.models import Bench, Session
from labs.own_work import own_work_of
from labs.term import session_card
from reports.paper import pdf_of


@dataclass(frozen=True, slots=True)
class Place:
    """A bench on its sheet: who stands there, with what, and where it is found again."""

    name: str
    team: str
    sample: str
    address: str
    qr: str


@dataclass(frozen=True, slots=True)
class FormOf:
    """A form, and the bench for which it is, if it is for one."""

    form: BlankForm
    place: Place | None


def form_pdf(session: Session) -> bytes:
    """The form on A4 paper."""
    return _paper(session, [FormOf(_form(session, session.options), None)])


def bench_sheets_pdf(session: Session, address: str) -> bytes:
    """A form for each bench, with its own choices and a square that leads back to it at ``address``."""
    benches = session.benches.select_related("sample").prefetch_related("team").order_by("number", "turn")
    return _paper(session, [FormOf(_form(session, bench.options), _place(bench, address)) for bench in benches])


def _paper(session: Session, forms: Sequence[FormOf]) -> bytes:
    return pdf_of("reports/form.html", {"session": session_card(session), "forms": forms})


def _form(session: Session, options: Mapping[str, str]) -> BlankForm:
    sheet = Sheet(options, session.instruments, stock=stock_of(session), own_work=own_work_of(session))
    return blank_form(bind(method_of(session), sheet))


def _place(bench: Bench, address: str) -> Place:
    there = f"{address}/bench/{bench.pk}"
    team = ", ".join(sorted(person.name for person in bench.team.all()))
    return Place(str(bench), team, bench.sample.label if bench.sample else "", there, qr_of(there))


def qr_of(address: str) -> str:
    """``address`` as a square that a camera reads, SVG."""
    drawn = io.BytesIO()
    segno.make(address, error="m").save(drawn, kind="svg", border=0, xmldecl=False, omitsize=True)
    return drawn.getvalue().decode()
