"""A sheet as a file: JSON (options, instruments, readings) or CSV (key, trial, index, text). Text in, sheet out."""

import csv
import io
import json
import re
from collections.abc import Iterator
from dataclasses import dataclass, field

from chromata_core.declaration.places import Place
from chromata_core.errors import ChromataError, SheetError
from chromata_core.instruments.calibrated import thawed
from chromata_core.instruments.instrument import Instrument
from chromata_core.sheet.bound import Given, Sheet

COLUMNS = ("key", "trial", "index", "text")
# What begins so is run by spreadsheets (also in its full-width forms); files of ours put an apostrophe before it.
FORMULA = re.compile(r"[=+\-@\t\r\n＝＋－＠]")
_LARGEST = 400_000  # characters
_MOST_READINGS = 5_000
_MOST_CALIBRATIONS = 50


@dataclass(frozen=True, slots=True)
class SheetFile:
    """What a file said: the sheet, the method it names (empty if none), accepted values, calibrations as data."""

    sheet: Sheet
    method: str = ""
    accepted: dict[str, str] = field(default_factory=dict)
    calibrations: dict[str, object] = field(default_factory=dict)


def read_sheet(text: str) -> SheetFile:
    """The sheet in ``text``, JSON if it starts with a brace, else CSV. SheetError says what cannot be read."""
    if len(text) > _LARGEST:
        raise SheetError(["The file is larger than any sheet of readings. Is it the right file?"])
    text = text.removeprefix("\ufeff")
    return (
        _from_json(text)
        if text.lstrip()[:1] in ("{", "[") or text.strip() in ("null", "true", "false")
        else _from_csv(text)
    )


def _from_json(text: str) -> SheetFile:
    try:
        data = json.loads(text, object_pairs_hook=_once)
    except (ValueError, RecursionError) as error:
        raise SheetError([f"The file is not JSON: {error}."]) from error
    if not isinstance(data, dict):
        raise SheetError(["A sheet file in JSON is an object with “readings”. Export one to see how it looks."])
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
    numbered = [(n, given) for n, row in enumerate(rows, 1) if (given := _json_row(row, n, problems)) is not None]
    problems += _doubles("Readings", numbered)
    stock = _calibrations(data.get("calibrations", {}), problems)
    if problems:
        raise SheetError(problems)
    sheet = Sheet(maps["options"], maps["instruments"], tuple(given for _, given in numbered), stock)
    return SheetFile(sheet, str(data.get("method", "")), maps["accepted"], data.get("calibrations", {}))


def _once(pairs: list[tuple[str, object]]) -> dict[str, object]:
    """An object in which a name stands twice says two things; the last one must not win in silence."""
    record = dict(pairs)
    if len(record) < len(pairs):
        names = [name for name, _ in pairs]
        twice = next(name for name in names if names.count(name) > 1)
        raise ValueError(f"“{twice:.40}” stands twice in one object")
    return record


# “results” and “simulated” are written for people and other programs; results are computed anew, neither is read.
_KEYS = ("method", "options", "instruments", "accepted", "readings", "calibrations", "results", "simulated")


def _calibrations(data: object, problems: list[str]) -> dict[str, Instrument]:
    """Calibrated instruments by slug, each with base, name, points and source."""
    try:
        if isinstance(data, dict) and len(data) <= _MOST_CALIBRATIONS:
            named = [slug for slug in data if not slug.startswith("own-")]
            if not named:
                return {slug: thawed(slug, kept) for slug, kept in data.items()}
            raise SheetError([f"“{named[0]:.40}” must begin with “own-”, so that it is no instrument of the catalogue"])
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
    problems: list[str] = []
    try:
        rows = list(_csv_rows(text.lstrip("\ufeff")))
    except csv.Error as error:
        raise SheetError([f"The CSV cannot be read: {error}."]) from error
    about = _head([(number, row) for number, row in rows if row[0].startswith("#")], problems)
    body = [(number, row) for number, row in rows if not row[0].startswith("#")]
    header = [name.strip() for name in body[0][1]] if body else []
    if "key" not in header or "text" not in header:
        raise SheetError([f"A CSV of readings starts with a line naming its columns: {','.join(COLUMNS)}."])
    if len(body) > _MOST_READINGS + 1:
        raise SheetError([_too_many(len(body) - 1)])
    numbered = []
    for number, row in body[1:]:
        if len(row) != len(header):
            problems.append(
                f"Line {number} has {len(row)} columns and the head {len(header)}. "
                "Put a number with a decimal comma in quotes, or write a point."
            )
        elif (given := _csv_row(dict(zip(header, row, strict=True)), number, problems)) is not None:
            numbered.append((number, given))
    problems += _doubles("Lines", numbered)
    if problems:
        raise SheetError(problems)
    sheet = Sheet(about["option"], about["instrument"], tuple(given for _, given in numbered))
    return SheetFile(sheet, about["method"].get("", ""), about["accepted"])


def _csv_rows(text: str) -> Iterator[tuple[int, list[str]]]:
    """Each line that is not empty, with its number; columns parted by semicolons where the first line has them."""
    first = next((line for line in text.splitlines() if line.strip() and not line.startswith("#")), "")
    reader = csv.reader(io.StringIO(text), delimiter=";" if ";" in first and "," not in first else ",")
    for row in reader:
        if any(cell.strip() for cell in row):
            yield reader.line_num, row


# What a CSV says of its sheet before the readings: “# option,c_t,0.1026”; “# method,hydrate”.
HEAD = ("method", "option", "instrument", "accepted", "simulated")
_ALONE = ("method", "simulated")  # of which there is one, without a name of its own


def _head(rows: list[tuple[int, list[str]]], problems: list[str]) -> dict[str, dict[str, str]]:
    head: dict[str, dict[str, str]] = {kind: {} for kind in HEAD}
    for number, row in rows:
        kind, *rest = (cell.strip() for cell in row)
        kind = kind.lstrip("# ")
        key, values = ("", rest[:1]) if kind in _ALONE else (rest[0] if rest else "", rest[1:])
        if kind not in HEAD or len(values) != 1:
            problems.append(f"Line {number}: a line with # names one of {', '.join(HEAD)}: # option,c_t,0.1026.")
        elif key in head[kind]:
            problems.append(f"Line {number}: “{key or kind}” is said twice.")
        else:
            head[kind][key] = _as_written(values[0])
    return head


def csv_head(method: str, sheet: Sheet) -> list[list[str]]:
    """What a CSV says of ``sheet`` before its readings; calibrated instruments go with JSON alone."""
    about = [("option", sheet.options), ("instrument", sheet.instruments)]
    return [["# method", method], *([f"# {kind}", key, text] for kind, fields in about for key, text in fields.items())]


def write_csv(method: str, sheet: Sheet) -> list[list[str]]:
    """A sheet as rows of a CSV that reads back the same."""
    places = (("" if place is None else str(place) for place in (g.trial, g.index)) for g in sheet.given)
    rows = ([g.key, *at, g.text] for g, at in zip(sheet.given, places, strict=True))
    return [*csv_head(method, sheet), list(COLUMNS), *rows]


def _doubles(what: str, numbered: list[tuple[int, Given]]) -> list[str]:
    """A sentence for every place that is written twice: which of the two counts nobody could know."""
    first: dict[Place, int] = {}
    problems = []
    for number, given in numbered:
        if given.place in first:
            trial = f", trial {given.trial}" if given.trial is not None else ""
            index = f", place {given.index}" if given.index is not None else ""
            problems.append(
                f"{what} {first[given.place]} and {number} are both of “{given.key}”{trial}{index}. Keep one."
            )
        first.setdefault(given.place, number)
    return problems


def _csv_row(row: dict[str, str], number: int, problems: list[str]) -> Given | None:
    places: list[int | None] = []
    for name in ("trial", "index"):
        text = row.get(name, "").strip()
        if text and not (text.isascii() and text.isdigit() and len(text) < 6):
            problems.append(f"Line {number}: {name} “{text:.20}” is not a whole number.")
            return None
        places.append(int(text) if text else None)
    return Given(_as_written(row.get("key", "").strip()), _as_written(row.get("text", "")), places[0], places[1])


def _as_written(text: str) -> str:
    return text[1:] if text[:1] == "'" and FORMULA.match(text[1:]) else text
