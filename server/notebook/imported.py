"""Readings brought from a table or a sheet file: understood, shown, and written once that is confirmed."""

from dataclasses import dataclass
from uuid import uuid4

from django.db import transaction
from django.utils import timezone

from chromata_core.errors import ChromataError
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound
from chromata_core.sheet.readings_table import RowRead, TableRead, read_table
from chromata_core.sheet.sheet_file import COLUMNS, read_sheet
from config.errors import Refused
from config.tables import Line, decoded, is_workbook, split, workbook_rows
from labs.declared import method_of
from labs.models import Bench
from notebook.actions import Draft, write
from notebook.handed import sheet_of
from notebook.standing import entries_of
from people.models import Person

_ROWS, _CELLS = 2000, 60


@dataclass(frozen=True, slots=True)
class Brought:
    """What a table was understood as, and how many of its readings were written."""

    shape: str
    rows: list[RowRead]
    notes: list[str]
    kept: int


def bring(bench: Bench, author: Person, text: str, file: bytes, file_name: str, keep: bool) -> Brought:
    """The readings of a pasted ``text`` or a ``file`` at ``bench``; with ``keep`` those that can be are written, and
    what stands already is left. Refused where nothing is recognised.
    """
    notes: list[str] = []
    rows, numbers = _lines(text, file, file_name, notes)
    try:
        table = read_table(_as_it_stands(bench), rows, numbers)
    except ChromataError as error:
        raise Refused(error.message, 422) from error
    kept = _kept(bench, author, table) if keep else 0
    if keep:
        table = read_table(_as_it_stands(bench), rows, numbers)
    return Brought(table.shape, table.rows, notes + table.notes, kept)


def _as_it_stands(bench: Bench) -> Bound:
    return bind(method_of(bench.session), sheet_of(bench, entries_of(bench)))


@transaction.atomic
def _kept(bench: Bench, author: Person, table: TableRead) -> int:
    now = timezone.now()
    drafts = [
        Draft(uuid4(), row.key, row.text, trial=row.trial, index=row.index, written_at=now, supersedes=None, reason="")
        for row in table.rows
        if not (row.problem or row.known)
    ]
    if not drafts:
        raise Refused("There is no new reading in it that can be kept.", 422)
    answers = write(bench, author, drafts)
    problem = next((answer.problem for answer in answers if not answer.kept), "")
    if problem:
        raise Refused(f"Nothing was kept. {problem}", 422)
    return len(drafts)


def _lines(text: str, file: bytes, file_name: str, notes: list[str]) -> tuple[list[Line], bool]:
    """The table's lines, and whether its cells were numbers of a spreadsheet."""
    if file and is_workbook(file, file_name):
        return workbook_rows(file, _ROWS, _CELLS, worked=True), True
    content = decoded(file, notes) if file else text
    if content.lstrip()[:1] in ("{", "["):
        return _of_sheet_file(content), False
    lines = "\n".join("" if line.startswith("#") else line for line in content.splitlines())  # numbers of lines stay
    return split(lines, commas=True, most=_ROWS), False


def _of_sheet_file(text: str) -> list[Line]:
    """A sheet file of ours as a table; of the rest of it, the plan, nothing is taken."""
    given = read_sheet(text).sheet.given
    rows = [[row.key, *("" if n is None else str(n) for n in (row.trial, row.index)), row.text] for row in given]
    return list(enumerate([list(COLUMNS), *rows]))
