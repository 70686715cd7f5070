"""A bench as a spreadsheet: its results, the worked computation as live formulas, its readings as they were typed."""

import io
from collections.abc import Iterable, Sequence

from openpyxl import Workbook
from openpyxl.cell.cell import ILLEGAL_CHARACTERS_RE
from openpyxl.styles import Alignment, Font, PatternFill
from openpyxl.worksheet.worksheet import Worksheet

from chromata_core.engine.context import context_of
from chromata_core.telling.workbook import HEAD, SI, VALUE, Line, computation
from labs.declared import method_of
from labs.models import Bench
from notebook.handed import sheet_of
from notebook.models import Entry
from notebook.standing import standing
from reports.shapes import Report

_BOLD, _SOFT = Font(bold=True), Font(color="566071")
_TYPED = PatternFill("solid", start_color="F6F4EF")  # what may be changed to see what follows
_FIRST = 2


def workbook(bench: Bench, entries: Sequence[Entry], report: Report) -> bytes:
    """The file. Of a bench whose lines students still work out it holds what was read, and no computation."""
    book = Workbook()
    book.calculation.fullCalcOnLoad = True
    results = book.active
    assert isinstance(results, Worksheet)
    results.title = "Results"
    lines = computation(context_of(method_of(bench.session), sheet_of(bench, entries))) if report.lines else []
    _results(results, report, lines)
    if lines:
        _computation(book.create_sheet("Computation"), lines)
    _readings(book.create_sheet("Readings"), entries)
    out = io.BytesIO()
    book.save(out)
    return out.getvalue()


def _results(sheet: Worksheet, report: Report, lines: Sequence[Line]) -> None:
    _put(sheet, [report.session.title])
    simulated = "simulated: nobody measured this" if report.session.simulated else ""
    _put(sheet, [f"Bench {report.number}", report.sample, ", ".join(report.team), simulated])
    _put(sheet, [report.aim])
    _put(sheet, [])
    _head(sheet, ("Result", "Where", "Value", "Unit", "U (95 %)", "u", "k", "As stated"))
    cells = {(line.key, line.trial): f"=Computation!{VALUE}{n}" for n, line in enumerate(lines, _FIRST) if line.key}
    for result in report.evaluation.results:
        value = cells.get((result.key, result.trial), result.value)
        _put(
            sheet,
            [result.label, result.trial_name, value, result.unit, result.expanded, result.u, result.k, result.line],
            formulas=(3,),
        )
    _wide(sheet, (40, 16, 16, 12, 14, 14, 8, 40))


def _computation(sheet: Worksheet, lines: Sequence[Line]) -> None:
    _head(sheet, HEAD)
    for number, line in enumerate(lines, _FIRST):
        told = [line.label, line.where, line.value, line.unit, line.si, line.how]
        _put(sheet, told, formulas=(3, 5))
        shown = sheet[f"{VALUE}{number}"]
        shown.number_format = "0.0000E+00" if line.shown is None else f"0.{'0' * line.shown}".rstrip(".")
        if not line.key and line.value != "":
            shown.fill = _TYPED
        sheet[f"{SI}{number}"].font = _SOFT
    _wide(sheet, (44, 18, 16, 12, 18, 70))


def _readings(sheet: Worksheet, entries: Sequence[Entry]) -> None:
    _head(sheet, ("What", "Trial", "Row", "As typed", "By", "At"))
    for entry in standing(entries):
        _put(sheet, [entry.key, entry.trial, entry.index, entry.text, entry.author.name, entry.written_at.isoformat()])
    _wide(sheet, (24, 8, 8, 30, 24, 32))


def _head(sheet: Worksheet, names: Iterable[str]) -> None:
    _put(sheet, list(names))
    for cell in sheet[sheet.max_row]:
        cell.font, cell.alignment = _BOLD, Alignment(wrap_text=True)
    sheet.freeze_panes = f"A{sheet.max_row + 1}"


def _put(sheet: Worksheet, values: Sequence[object], formulas: Sequence[int] = ()) -> None:
    """A row. A text is a formula only in columns of ``formulas`` (from 1); what people wrote is never run."""
    row = sheet.max_row + 1 if sheet.max_row > 1 or sheet["A1"].value is not None else 1
    for column, value in enumerate(values, 1):
        cell = sheet.cell(row, column, ILLEGAL_CHARACTERS_RE.sub("", value) if isinstance(value, str) else value)
        if isinstance(value, str) and column not in formulas:
            cell.data_type = "s"
    if not values:
        sheet.cell(row, 1, " ")


def _wide(sheet: Worksheet, widths: Sequence[int]) -> None:
    for cell, width in zip(sheet[sheet.max_row], widths, strict=False):
        sheet.column_dimensions[cell.column_letter].width = width
