"""A bench's readings and results as files: CSV, JSON (the sheet file that bin/chromata computes), PDF, JCAMP-DX."""

import base64
import csv
import io
import json
from dataclasses import asdict
from functools import lru_cache
from pathlib import Path

from django.conf import settings
from django.template.loader import render_to_string

from chromata_core.method.curve_file import write_spectrum
from chromata_core.method.sheet_file import COLUMNS
from config.errors import Refused
from labs.models import Bench
from notebook.models import Entry, Photo
from notebook.standing import standing
from reports.shapes import Report


def readings_csv(entries: list[Entry]) -> str:
    """The readings that stand, with who and when; its first columns are what the command line reads."""
    out = io.StringIO()
    writer = csv.writer(out)
    writer.writerow([*COLUMNS, "author", "written_at", "corrected_from", "reason"])
    for entry in standing(entries):
        old = entry.supersedes.text if entry.supersedes else ""
        row = [
            entry.key,
            entry.trial,
            entry.index,
            entry.text,
            entry.author.name,
            entry.written_at.isoformat(),
            old,
            entry.reason,
        ]
        writer.writerow([_harmless(value) for value in row])
    return out.getvalue()


def _harmless(value: object) -> object:
    """A text that a spreadsheet would run as a formula is kept a text. (Numbers such as −0.5 stay as they are.)"""
    if isinstance(value, str) and value[:1] in "=+-@\t\r" and not value[1:2].isdigit() and value[:1]:
        return f"'{value}"
    return "" if value is None else value


def results_csv(report: Report) -> str:
    """The results: value, standard and expanded uncertainty, k, comparison."""
    out = io.StringIO()
    writer = csv.writer(out)
    writer.writerow(["key", "trial", "result", "value", "u", "U", "k", "unit", "stated", "percent_error"])
    for r in report.evaluation.results:
        error = f"{r.comparison.percent_error:.4g}" if r.comparison else ""
        figures = [f"{r.value:.10g}", f"{r.u:.4g}", f"{r.expanded:.4g}", f"{r.k:.4g}"]
        writer.writerow([r.key, "" if r.trial is None else r.trial, r.label, *figures, r.unit, r.line, error])
    return out.getvalue()


def spectrum_jdx(report: Report) -> str:
    """The spectrum of the bench as JCAMP-DX; Refused where none was recorded."""
    chart = next((chart for chart in report.evaluation.charts if chart.key == "spectrum"), None)
    if chart is None:
        raise Refused("No spectrum was recorded at this bench.", 404)
    return write_spectrum(chart.lines[0].points, f"{report.session.title}, bench {report.number}")


def data_json(bench: Bench, entries: list[Entry], report: Report) -> str:
    """A sheet file with the results beside it."""
    readings = [{"key": e.key, "trial": e.trial, "index": e.index, "text": e.text} for e in standing(entries)]
    return json.dumps(
        {
            "method": bench.session.method,
            "options": bench.options,
            "instruments": bench.session.instruments,
            "calibrations": bench.session.stock,
            "readings": readings,
            "results": [asdict(result) for result in report.evaluation.results],
        },
        ensure_ascii=False,
        indent=2,
    )


# The families' accents on paper, as in web/src/identity/tokens.ts.
_ACCENTS = {
    "titration": "#B8326B", "spectrophotometry": "#A87C00", "gas": "#2374A8", "calorimetry": "#B9501A",
    "gravimetric": "#566B7D", "electrochemistry": "#2B7566", "kinetics": "#6A3FA0", "solutions": "#4D6B2F",
}  # fmt: skip


def report_pdf(report: Report) -> bytes:
    """The report on A4 paper."""
    from weasyprint import HTML  # 0.8 s to import, and only needed here

    accent = _ACCENTS[report.session.family]
    kept = Photo.objects.in_bulk([picture.photo for picture in report.photos])
    pictures = [
        (picture, f"data:image/jpeg;base64,{base64.b64encode(bytes(kept[picture.photo].data)).decode()}")
        for picture in report.photos
    ]
    shown = {"report": report, "fonts": _fonts(), "accent": accent, "pictures": pictures}
    html = render_to_string("reports/report.html", shown)
    pdf = HTML(string=html, base_url=str(settings.ROOT)).write_pdf()
    assert isinstance(pdf, bytes)
    return pdf


@lru_cache(maxsize=1)
def _fonts() -> list[dict[str, str]]:
    """The application's own fonts, from the npm packages that the screens use."""
    found = []
    folder = Path(settings.ROOT) / "web" / "node_modules" / "@fontsource-variable"
    for family, name in (
        ("Hyperlegible", "atkinson-hyperlegible-next"),
        ("HyperlegibleMono", "atkinson-hyperlegible-mono"),
    ):
        files = sorted((folder / name / "files").glob("*wght-normal.woff2"))
        found += [{"family": family, "url": file.as_uri()} for file in files]
    return found
