"""A session's empty form: for a class without devices, and for whoever wants to write by hand first."""

import io
from collections.abc import Mapping
from dataclasses import dataclass

import segno
from pypdf import PdfReader, PdfWriter

from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from chromata_core.telling.blank_form import BlankForm, blank_form
from config.errors import Refused
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


def form_pdf(session: Session) -> bytes:
    """The form on A4 paper."""
    return _paper(session, session.options, for_bench=False)


def bench_sheets_pdf(session: Session, address: str) -> bytes:
    """A form for each bench, by its own choices, with a square that leads back to it at ``address``.

    Benches that work alike have the same pages, set once; who stands where is laid over the first of them.
    """
    benches = list(session.benches.select_related("sample").prefetch_related("team").order_by("number", "turn"))
    if not benches:
        raise Refused("There is no bench yet, so there is no sheet for one.", 422)
    places = [_place(bench, address) for bench in benches]
    strips = PdfReader(io.BytesIO(pdf_of("reports/strips.html", {"session": session_card(session), "places": places})))
    alike: dict[str, bytes] = {}
    out = PdfWriter()
    for bench, strip in zip(benches, strips.pages, strict=True):
        key = repr(sorted(bench.options.items()))
        if key not in alike:
            alike[key] = _paper(session, bench.options, for_bench=True)
        begins = len(out.pages)
        out.append(io.BytesIO(alike[key]))
        out.pages[begins].merge_page(strip)
    body = io.BytesIO()
    out.write(body)
    return body.getvalue()


def _paper(session: Session, options: Mapping[str, str], for_bench: bool) -> bytes:
    shown = {"session": session_card(session), "form": _form(session, options), "for_bench": for_bench}
    return pdf_of("reports/form.html", shown)


def _form(session: Session, options: Mapping[str, str]) -> BlankForm:
    sheet = Sheet(options, session.instruments, stock=stock_of(session), own_work=own_work_of(session))
    return blank_form(bind(method_of(session), sheet))


def _place(bench: Bench, address: str) -> Place:
    there = f"{address}/benches/{bench.pk}"
    team = ", ".join(sorted(person.name for person in bench.team.all()))
    return Place(str(bench), team, bench.sample.label if bench.sample else "", there, qr_of(there))


def qr_of(address: str) -> str:
    """``address`` as a square that a camera reads, SVG."""
    drawn = io.BytesIO()
    segno.make(address, error="m").save(drawn, kind="svg", border=0, xmldecl=False, omitsize=True)
    return drawn.getvalue().decode()
