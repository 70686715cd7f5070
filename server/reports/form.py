"""A session's empty form: for a class without devices, and for whoever wants to write by hand first."""

from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from chromata_core.telling.blank_form import blank_form
from labs.declared import method_of
from labs.instruments import stock_of
from labs.models import Session
from labs.own_work import own_work_of
from labs.term import session_card
from reports.paper import pdf_of


def form_pdf(session: Session) -> bytes:
    """The form on A4 paper."""
    sheet = Sheet(session.options, session.instruments, stock=stock_of(session), own_work=own_work_of(session))
    form = blank_form(bind(method_of(session), sheet))
    return pdf_of("reports/form.html", {"session": session_card(session), "form": form})
