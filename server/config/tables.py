"""Tables that people bring: pasted text, CSV, XLSX, as lines of cells with their numbers."""

import base64
import csv
import io
import zipfile
from collections.abc import Iterable
from typing import Any

from openpyxl import load_workbook
from openpyxl.utils.exceptions import InvalidFileException
from rest_framework import serializers

from config.errors import Refused

Line = tuple[int, list[str]]
_LARGEST = 20_000_000  # bytes, unpacked
# What the library says of a file that is none, or is broken inside: it has no family of errors of its own.
_UNREADABLE = (
    InvalidFileException, zipfile.BadZipFile, KeyError, ValueError, IndexError, EOFError, OSError, SyntaxError,
    TypeError, AttributeError,
)  # fmt: skip


class TableSerializer(serializers.Serializer[Any]):
    """A table as it comes: pasted text, or a file in base64 with its name."""

    text = serializers.CharField(max_length=400_000, allow_blank=True, default="", trim_whitespace=False)
    file = serializers.CharField(max_length=2_400_000, allow_blank=True, default="")
    file_name = serializers.CharField(max_length=200, allow_blank=True, default="")


def file_of(row: dict[str, Any]) -> bytes:
    """The file that was sent; Refused for one that did not arrive whole."""
    try:
        return base64.b64decode(row["file"], validate=True)
    except ValueError as error:
        raise Refused("The file did not arrive whole. Choose it again.", 422) from error


def is_workbook(file: bytes, name: str) -> bool:
    """Whether this is an XLSX file, or calls itself one."""
    return file[:2] == b"PK" or name.lower().endswith(".xlsx")


def decoded(file: bytes, notes: list[str]) -> str:
    """The text of a file; what had to be guessed goes into ``notes``. Refused for what is no text."""
    for encoding in ("utf-16" if file[:2] in (b"\xff\xfe", b"\xfe\xff") else "utf-8-sig", "cp1252"):
        try:
            text = file.decode(encoding)
        except UnicodeDecodeError:
            continue
        if encoding == "cp1252":
            notes.append("The file is not in UTF-8 and was read as Windows text. Look at the names with accents.")
        return text
    raise Refused("The file's characters cannot be read. Save it as CSV in UTF-8, or as XLSX.", 422)


def split(text: str, commas: bool, most: int) -> list[Line]:
    """Lines of cells, parted by tabs or semicolons where the first line has any, else by ``commas``, else whole."""
    lines = text.splitlines()[:most]
    head = next((line for line in lines if line.strip()), "")
    mark = next((mark for mark in ("\t", ";") if mark in head), "," if commas else "")
    if not mark:
        return [(number, [line]) for number, line in enumerate(lines, 1)]
    try:
        return list(enumerate(csv.reader(io.StringIO("\n".join(lines)), delimiter=mark), 1))
    except csv.Error as error:
        raise Refused(f"This is no table that can be read ({error}). Save it as CSV or XLSX again.", 422) from error


def workbook_rows(file: bytes, most: int, columns: int, worked: bool = False) -> list[Line]:
    """The first sheet of an XLSX file; Refused for anything else. Of formulas what is written, or if ``worked`` the
    value that was kept with them, where there is one.
    """
    try:
        if sum(part.file_size for part in zipfile.ZipFile(io.BytesIO(file)).infolist()) > _LARGEST:
            raise Refused("This workbook is far larger than what is asked for. Give the one table alone.", 422)
        written = _cells(file, most, columns, values=False)
        values = _cells(file, most, columns, values=True) if worked else written
    except _UNREADABLE as error:
        raise Refused("This is no XLSX file that can be read. Save it again, or as CSV.", 422) from error
    rows = ([value or text for value, text in zip(*pair, strict=True)] for pair in zip(values, written, strict=True))
    return list(enumerate(rows, 1))


def _cells(file: bytes, most: int, columns: int, values: bool) -> list[list[str]]:
    sheet = load_workbook(io.BytesIO(file), read_only=True, data_only=values).worksheets[0]
    rows: Iterable[tuple[object, ...]] = sheet.iter_rows(max_row=most, max_col=columns, values_only=True)
    return [[_text(cell) for cell in row] for row in rows]


def _text(cell: object) -> str:
    """A cell as a person sees it: 36.2 − 18.1 is 18.1 there, and not 18.100000000000001."""
    if isinstance(cell, float):
        return f"{cell:.12g}"
    return "" if cell is None else str(cell)
