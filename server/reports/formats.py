"""A bench's readings and results as files: CSV, JSON (the sheet file that bin/chromata computes), PDF, JCAMP-DX."""

import base64
import csv
import hashlib
import io
import json
import re
from collections.abc import Iterable, Sequence
from dataclasses import asdict, replace

from django.core.cache import caches

from chromata_core.sheet.binding import bind
from chromata_core.sheet.curve_file import write_spectrum
from chromata_core.sheet.sheet_file import COLUMNS, FORMULA, csv_head
from config.errors import Refused
from labs.declared import method_of
from labs.models import Bench
from notebook.handed import sheet_of
from notebook.models import Entry
from notebook.seals import picture_of
from notebook.standing import by_id, standing, superseded
from reports.paper import pdf_of
from reports.shapes import Report

_PLAIN_NUMBER = re.compile(r"[+-]?\d+([.,]\d+)?([eE][+-]?\d{1,3})?")


def readings_csv(bench: Bench, entries: Sequence[Entry]) -> str:
    """The readings that stand, with who and when, under what they were made with; the command line reads it."""
    simulated = bench.session.simulated
    rows: list[Sequence[object]] = [
        *([["# simulated", simulated]] if simulated else []),
        *csv_head(bench.session.method, replace(sheet_of(bench, entries), options=_options(bench, entries))),
        [*COLUMNS, "author", "written_at", "corrected_from", "reason", "device"],
    ]
    written = by_id(entries)
    for entry in standing(entries):
        old = superseded(entry, written)
        rows.append(
            [
                entry.key,
                entry.trial,
                entry.index,
                entry.text,
                entry.author.name,
                entry.written_at.isoformat(),
                old[0].text if old else "",
                entry.reason,
                entry.device,
            ]
        )
    return as_csv(rows)


def _options(bench: Bench, entries: Sequence[Entry]) -> dict[str, str]:
    """What the bench works by, with what it was handed as plain numbers: the file stands for itself."""
    handed = bind(method_of(bench.session), sheet_of(bench, entries)).handed
    return bench.options | {name: text for key, taken in handed.items() for name, text in taken.options(key).items()}


def as_csv(rows: Iterable[Iterable[object]]) -> str:
    """Rows as CSV in which no spreadsheet finds a formula to run."""
    out = io.StringIO()
    csv.writer(out).writerows([_harmless(value) for value in row] for row in rows)
    return out.getvalue()


def _harmless(value: object) -> str:
    """What a spreadsheet would run as a formula is kept a text by an apostrophe; the command line takes it off again.
    Plain numbers such as −0.5 stay as they are.
    """
    text = "" if value is None else str(value)
    return f"'{text}" if FORMULA.match(text) and not _PLAIN_NUMBER.fullmatch(text) else text


def results_csv(report: Report) -> str:
    """The results: value, standard and expanded uncertainty, k, comparison; marked where nobody measured them."""
    marked = ["simulated"] if report.session.simulated else []
    head = ["key", "trial", "result", "value", "u", "U", "k", "unit", "stated", "percent_error", *marked]
    rows: list[list[object]] = [[*head]]
    for r in report.evaluation.results:
        error = f"{r.comparison.percent_error:.4g}" if r.comparison else ""
        figures = [f"{r.value:.10g}", f"{r.u:.4g}", f"{r.expanded:.4g}", f"{r.k:.4g}"]
        rows.append([r.key, r.trial, r.label, *figures, r.unit, r.line, error, *marked])
    return as_csv(rows)


def spectrum_jdx(report: Report) -> str:
    """The spectrum of the bench as JCAMP-DX; Refused where none was recorded."""
    chart = next((chart for chart in report.evaluation.charts if chart.key == "spectrum"), None)
    if chart is None:
        raise Refused("No spectrum was recorded at this bench.", 404)
    simulated = ", simulated" if report.session.simulated else ""
    return write_spectrum(chart.lines[0].points, f"{report.session.title}, bench {report.number}{simulated}")


def data_json(bench: Bench, entries: list[Entry], report: Report) -> str:
    """A sheet file with the results beside it."""
    readings = [{"key": e.key, "trial": e.trial, "index": e.index, "text": e.text} for e in standing(entries)]
    return json.dumps(
        {
            "method": bench.session.method,
            **({"simulated": bench.session.simulated} if bench.session.simulated else {}),
            "options": _options(bench, entries),
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
    """The report on A4 paper, printed once for what it says."""
    number = hashlib.sha256(repr(report).encode()).hexdigest()
    printed: bytes | None = caches["papers"].get(number)
    if printed is not None:
        return printed
    accent = _ACCENTS[report.session.family]
    pictures = [(picture, _inline(picture_of(picture.photo))) for picture in report.photos]
    printed = pdf_of("reports/report.html", {"report": report, "accent": accent, "pictures": pictures})
    caches["papers"].set(number, printed)
    return printed


def _inline(data: bytes | None) -> str:
    """A picture as an address that holds it; empty for one that is gone."""
    return f"data:image/jpeg;base64,{base64.b64encode(data).decode()}" if data else ""
