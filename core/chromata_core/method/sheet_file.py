"""A sheet as a file: JSON (options, instruments, readings) or CSV (key, trial, index, text). Text in, sheet out."""

import csv
import io
import json
import re
from dataclasses import dataclass, field

from chromata_core.errors import ChromataError, SheetError
from chromata_core.instruments.calibrated import thawed
from chromata_core.instruments.instrument import Instrument
from chromata_core.method.sheet import Given, Sheet

COLUMNS = ("key", "trial", "index", "text")
# What begins so is run by spreadsheets (also in its full-width forms); files of ours put an apostrophe before it.
FORMULA = re.compile(r"[=+\-@\t\r\n＝＋－＠]")
_LARGEST = 400_000  # characters
_MOST_READINGS = 5_000


@dataclass(frozen=True, slots=True)
class SheetFile:
    """What a file said: the sheet, the method it names (empty if none) and accepted values."""

    sheet: Sheet
    method: str = ""
    accepted: dict[str, str] = field(default_factory=dict)


def read_sheet(text: str) -> SheetFile:
    """The sheet in ``text``, JSON if it starts with a brace, else CSV. SheetError says what cannot be read."""
    if len(text) > _LARGEST:
        raise SheetError(["The file is larger than any sheet of readings. Is it the right file?"])
    return _from_json(text) if text.lstrip().startswith("{") else _from_csv(text)


def _from_json(text: str) -> SheetFile:
    try:
        data = json.loads(text)
    except (json.JSONDecodeError, RecursionError) as error:
        raise SheetError([f"The file is not JSON: {error}."]) from error
    problems = [f"“{key}” is not part of a sheet file." for key in data if key not in _KEYS]
    maps: dict[str, dict[str, str]] = {}
    for key in ("options", "instruments", "accepted"):
        value = data.get(key, {})
        if not isinstance(value, dict) or not all(isinstance(v, str) for v in value.values()):
            problems.append(f"“{key}” must pair names with texts in quotes, so that trailing zeros are kept.")
        else:
            maps[key] = value
    rows = data.get("readings", [])
    if not isinstance(rows, list):
        problems.append("“readings” must be a list.")
        rows = []
    if len(rows) > _MOST_READINGS:
        raise SheetError([_too_many(len(rows))])
    given = [g for number, row in enumerate(rows, 1) if (g := _json_row(row, number, problems)) is not None]
    stock = _calibrations(data.get("calibrations", {}), problems)
    if problems:
        raise SheetError(problems)
    sheet = Sheet(maps["options"], maps["instruments"], tuple(given), stock)
    return SheetFile(sheet, str(data.get("method", "")), maps["accepted"])


# “results” are written for people and other programs; they are computed anew, never read.
_KEYS = ("method", "options", "instruments", "accepted", "readings", "calibrations", "results")


def _calibrations(data: object, problems: list[str]) -> dict[str, Instrument]:
    """Calibrated instruments by slug, each with base, name, points and source."""
    try:
        if isinstance(data, dict):
            return {slug: thawed(slug, kept) for slug, kept in data.items()}
        reason: object = "they must pair names with calibrations"
    except (TypeError, ValueError, KeyError, AttributeError, ChromataError) as error:
        reason = error
    problems.append(f"“calibrations” cannot be read: {reason}. Each needs base, name, points and source.")
    return {}


def _too_many(rows: int) -> str:
    return f"The file holds {rows} readings; a sheet has {_MOST_READINGS} at most. Is it the right file?"


def _json_row(row: object, number: int, problems: list[str]) -> Given | None:
    if not isinstance(row, dict) or not isinstance(row.get("key"), str) or not isinstance(row.get("text"), str):
        problems.append(f"Reading {number} needs a “key” and a “text” in quotes, so that trailing zeros are kept.")
        return None
    places = [row.get("trial"), row.get("index")]
    if not all(place is None or (isinstance(place, int) and not isinstance(place, bool)) for place in places):
        problems.append(f"Reading {number}: “trial” and “index” must be whole numbers or left out.")
        return None
    return Given(row["key"], row["text"], places[0], places[1])


def _from_csv(text: str) -> SheetFile:
    reader = csv.DictReader(io.StringIO(text.lstrip("\ufeff")))
    header = [name.strip() for name in reader.fieldnames or []]
    if "key" not in header or "text" not in header:
        raise SheetError([f"A CSV of readings starts with a line naming its columns: {','.join(COLUMNS)}."])
    problems: list[str] = []
    given = []
    try:
        for number, row in enumerate(reader, 2):
            if number > _MOST_READINGS + 1:
                raise SheetError([_too_many(text.count("\n"))])
            found = _csv_row(
                {(k or "").strip(): v or "" for k, v in row.items() if isinstance(v, str)}, number, problems
            )
            given += [found] if found else []
    except csv.Error as error:
        raise SheetError([f"The CSV cannot be read: {error}."]) from error
    if problems:
        raise SheetError(problems)
    return SheetFile(Sheet(given=tuple(given)))


def _csv_row(row: dict[str, str], number: int, problems: list[str]) -> Given | None:
    places: list[int | None] = []
    for name in ("trial", "index"):
        text = row.get(name, "").strip()
        if (text and not text.isascii()) or (text and not text.isdigit()):
            problems.append(f"Line {number}: {name} “{text}” is not a whole number.")
            return None
        places.append(int(text) if text else None)
    return Given(_as_written(row.get("key", "").strip()), _as_written(row.get("text", "")), places[0], places[1])


def _as_written(text: str) -> str:
    return text[1:] if text[:1] == "'" and FORMULA.match(text[1:]) else text
