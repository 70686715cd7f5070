"""A logged curve as a file: two columns of numbers, as a logger or a spreadsheet writes them. Text in, pairs out."""

import csv
import io

from chromata_core.errors import ReadingError, SheetError
from chromata_core.quantity.typed import parse_reading

_LARGEST, _MOST = 200_000, 100


def read_pairs(text: str, most: int = _MOST) -> list[tuple[str, str]]:
    """The pairs in ``text``, each number as it is written; SheetError says which line cannot be read.

    Columns are separated by a semicolon, a tab or a comma (a comma inside a number is a decimal point where another
    separator is there). Lines before the first pair may hold headings; a trailing third column is left aside.
    """
    if len(text) > _LARGEST:
        raise SheetError(["The file is larger than any curve read at a bench. Is it the right file?"])
    separator = next((sign for sign in (";", "\t") if sign in text), ",")
    pairs: list[tuple[str, str]] = []
    for number, row in enumerate(csv.reader(io.StringIO(text.lstrip("\ufeff")), delimiter=separator), 1):
        cells = [cell.strip() for cell in row]
        if not any(cells) or (not pairs and not _numbers(cells)):
            continue
        if not _numbers(cells):
            raise SheetError([f"Line {number} does not hold two numbers. Give both values, one pair a line."])
        pairs.append((cells[0], cells[1]))
    if not pairs:
        raise SheetError(["No pairs of numbers were found. Give both values in two columns, one pair a line."])
    if len(pairs) > most:
        raise SheetError(
            [f"The file holds {len(pairs)} points; a bench takes {most}. Thin it out where little happens."]
        )
    return pairs


def _numbers(cells: list[str]) -> bool:
    try:
        return len(cells) > 1 and all(parse_reading(cell) is not None for cell in cells[:2])
    except ReadingError:
        return False
