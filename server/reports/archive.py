"""All reports and data of a session as one archive; and its reports one behind the other."""

import io
from collections.abc import Iterator

from django.utils.text import slugify
from pypdf import PdfWriter

from config.zipped import zipped
from labs.models import Bench, Session
from notebook.standing import entries_of
from people.models import Person
from reports.build import report_of
from reports.formats import data_json, readings_csv, report_pdf, results_csv
from reports.of_student import report_of_student
from reports.workbook import workbook
from results.samples_here import label_of


def reports_of(session: Session) -> list[Bench]:
    """The records of which there is something to report, in the order of the benches."""
    benches = session.benches.select_related("session__section", "sample")
    return list(benches.filter(length__gt=0))


def archive(session: Session, person: Person, each: bool) -> Iterator[bytes]:
    """A folder for each record: report, readings, results, spreadsheet, data; and a report for ``each`` student, if
    that is wanted. As ``person`` may see them.
    """
    return zipped(part for bench in reports_of(session) for part in _folder(bench, person, each))


def _folder(bench: Bench, person: Person, each: bool) -> Iterator[tuple[str, str | bytes]]:
    entries, report = entries_of(bench), report_of(bench, person)
    folder = "-".join(filter(None, (f"bench-{bench.number:02d}", slugify(label_of(bench)), _turn(bench))))
    yield f"{folder}/report.pdf", report_pdf(report)
    for student in bench.team.order_by("name") if each else ():
        own = report_of_student(report, bench, entries, student)
        yield f"{folder}/report-{slugify(student.name)}-{student.pk}.pdf", report_pdf(own)
    yield f"{folder}/readings.csv", readings_csv(bench, entries)
    yield f"{folder}/results.csv", results_csv(report)
    yield f"{folder}/workbook.xlsx", workbook(bench, entries, report)
    yield f"{folder}/data.json", data_json(bench, entries, report)


def bound_reports(session: Session, person: Person) -> bytes:
    """One PDF with the report of every record, each found by its bench in the outline."""
    book, out = PdfWriter(), io.BytesIO()
    for bench in reports_of(session):
        printed = io.BytesIO(report_pdf(report_of(bench, person)))
        book.append(printed, outline_item=", ".join(filter(None, (f"Bench {bench.number}", label_of(bench)))))
    book.write(out)
    return out.getvalue()


def _turn(bench: Bench) -> str:
    """Tells records of one place apart whose samples are called alike in plain letters."""
    return str(bench.turn) if bench.session.all_samples else ""
