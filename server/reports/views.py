"""Reports as data, PDF, CSV and JSON."""

from django.http import HttpResponse
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from config.answers import answer, shape
from config.throttles import Working
from labs.live import with_entries
from labs.models import Bench
from labs.policy import bench_for
from notebook.models import Entry
from people.policy import person_of
from reports.build import report_of
from reports.formats import data_json, readings_csv, report_pdf, results_csv, spectrum_jdx
from reports.shapes import Report


class ReportNow(APIView):
    """A bench's report."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="report", responses=shape(Report))
    def get(self, request: Request, bench_id: int) -> Response:
        person = person_of(request)
        return answer(report_of(bench_for(person, bench_id), person))


_KINDS = ("application/pdf", "text/csv", "application/json", "chemical/x-jcamp-dx")


class ReportFile(APIView):
    """A bench's report or data as a file: report.pdf, readings.csv, results.csv, data.json, or spectrum.jdx."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="report_file", responses={(200, kind): OpenApiTypes.BINARY for kind in _KINDS})
    def get(self, request: Request, bench_id: int, name: str) -> HttpResponse:
        person = person_of(request)
        bench = bench_for(person, bench_id)
        body, kind = _file(name, bench, with_entries(bench), report_of(bench, person))
        filename = f"bench-{bench.number}-{name}"
        return HttpResponse(
            body, content_type=kind, headers={"Content-Disposition": f'attachment; filename="{filename}"'}
        )


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
        case _:
            return data_json(bench, entries, report), "application/json"
