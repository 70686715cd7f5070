"""Reports as data, PDF, CSV and JSON."""

from django.http import Http404, HttpResponse, StreamingHttpResponse
from django.utils.text import slugify
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import OpenApiParameter, extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from config.answers import answer, asked, shape
from config.errors import Refused
from config.throttles import Working
from labs.models import Bench, Session
from labs.policy import bench_for, session_for
from notebook.models import Entry
from notebook.standing import entries_of
from people.models import Person
from people.policy import own_section, person_of
from people.serializers import SlipsSerializer
from reports.archive import archive, bound_reports, reports_of
from reports.build import report_of
from reports.form import form_pdf
from reports.formats import data_json, readings_csv, report_pdf, results_csv, spectrum_jdx
from reports.of_student import report_of_student
from reports.shapes import Report
from reports.slips import slips_pdf
from reports.workbook import workbook
from results.samples_here import label_of


class ReportNow(APIView):
    """A bench's report."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="report", responses=shape(Report))
    def get(self, request: Request, bench_id: int) -> Response:
        person = person_of(request)
        return answer(report_of(bench_for(person, bench_id), person))


_AT_ONCE = 60  # slips; a PIN is hashed slowly on purpose (a fifth of a second), and the rest are printed next


class Slips(APIView):
    """Slips with code, QR, name and PIN, for printing. Their PINs are new; the former ones end."""

    throttle_classes = (Working,)

    @extend_schema(
        operation_id="slips", request=SlipsSerializer, responses={(200, "application/pdf"): OpenApiTypes.BINARY}
    )
    def post(self, request: Request, section_id: int) -> HttpResponse:
        section = own_section(person_of(request), section_id)
        named = set(asked(SlipsSerializer, request)["people"])
        roster = list(section.roster)
        people = [person for person in roster if person.pk in named or (not named and not person.has_usable_password())]
        people = people[:_AT_ONCE]
        if not people:
            raise Refused("Everybody here has a PIN. Choose those who need a new slip.", 422)
        body = slips_pdf(section, people, request.build_absolute_uri("/").rstrip("/"))
        return HttpResponse(body, content_type="application/pdf")


_XLSX = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"
_KINDS = ("application/pdf", "text/csv", "application/json", "chemical/x-jcamp-dx", _XLSX)
_TYPES = {"application/json": OpenApiTypes.OBJECT}  # all others are bytes


class ReportFile(APIView):
    """A bench's report or data as a file: report.pdf, readings.csv, results.csv, data.json,
    workbook.xlsx (its worked computation as live formulas), or spectrum.jdx.
    """

    throttle_classes = (Working,)

    @extend_schema(
        operation_id="report_file", responses={(200, kind): _TYPES.get(kind, OpenApiTypes.BINARY) for kind in _KINDS},
        parameters=[OpenApiParameter("student", int, description="report.pdf as one student of the team hands it in")],
    )  # fmt: skip
    def get(self, request: Request, bench_id: int, name: str) -> HttpResponse:
        person = person_of(request)
        bench = bench_for(person, bench_id)
        entries, report = entries_of(bench), report_of(bench, person)
        if "student" in request.query_params:
            report = report_of_student(report, bench, entries, _of_team(report, request.query_params["student"]))
        body, kind = _file(name, bench, entries, report)
        sample = f"{slugify(label_of(bench)) or bench.turn}-" if bench.session.all_samples else ""
        filename = f"bench-{bench.number}-{sample}{name}"
        return HttpResponse(
            body, content_type=kind, headers={"Content-Disposition": f'attachment; filename="{filename}"'}
        )


class ReportArchive(APIView):
    """All reports and data of a session as one archive."""

    throttle_classes = (Working,)

    @extend_schema(
        operation_id="report_archive", responses={(200, "application/zip"): OpenApiTypes.BINARY},
        parameters=[OpenApiParameter("each", str, description="“student”: also a report for each of the team")],
    )  # fmt: skip
    def get(self, request: Request, session_id: int) -> StreamingHttpResponse:
        """Sent while it is made; what was printed before is not printed again. 403 for students."""
        person = person_of(request)
        session, each = _reported(person, session_id), request.query_params.get("each") == "student"
        return StreamingHttpResponse(
            archive(session, person, each), content_type="application/zip",
            headers={"Content-Disposition": f'attachment; filename="session-{session.pk}.zip"'},
        )  # fmt: skip


class BoundReports(APIView):
    """All reports of a session as one PDF."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="bound_reports", responses={(200, "application/pdf"): OpenApiTypes.BINARY})
    def get(self, request: Request, session_id: int) -> HttpResponse:
        """What was printed before is not printed again. 403 for students, 409 where nothing was written."""
        person = person_of(request)
        session = _reported(person, session_id)
        return HttpResponse(
            bound_reports(session, person), content_type="application/pdf",
            headers={"Content-Disposition": f'attachment; filename="session-{session.pk}.pdf"'},
        )  # fmt: skip


class Form(APIView):
    """A session's empty form, to be filled in by hand."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="form", responses={(200, "application/pdf"): OpenApiTypes.BINARY})
    def get(self, request: Request, session_id: int) -> HttpResponse:
        """As PDF, for the staff to hand out; 403 for students."""
        session = session_for(person_of(request), session_id)
        return HttpResponse(
            form_pdf(session), content_type="application/pdf",
            headers={"Content-Disposition": f'inline; filename="form-{session.pk}.pdf"'},
        )  # fmt: skip


def _of_team(report: Report, named: str) -> Person:
    """Who of the team that is; Http404 where there is no report of theirs for who asks."""
    if named not in {str(member.id) for member in report.each}:
        raise Http404
    return Person.objects.get(pk=named)


def _reported(person: Person, session_id: int) -> Session:
    session = session_for(person, session_id)
    if not reports_of(session):
        raise Refused("Nothing was written in this session yet, so there is nothing to report.", 409)
    return session


def _file(name: str, bench: Bench, entries: list[Entry], report: Report) -> tuple[str | bytes, str]:
    match name:
        case "report.pdf":
            return report_pdf(report), "application/pdf"
        case "readings.csv":
            return readings_csv(bench, entries), "text/csv; charset=utf-8"
        case "results.csv":
            return results_csv(report), "text/csv; charset=utf-8"
        case "spectrum.jdx":
            return spectrum_jdx(report), "chemical/x-jcamp-dx"
        case "workbook.xlsx":
            return workbook(bench, entries, report), _XLSX
        case _:
            return data_json(bench, entries, report), "application/json"
