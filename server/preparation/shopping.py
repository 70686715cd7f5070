"""What has to be bought: substances that no bottle holds, or too little, for one session or several."""

import io
from collections.abc import Iterable
from dataclasses import dataclass

from openpyxl import Workbook
from openpyxl.styles import Font
from openpyxl.worksheet.worksheet import Worksheet

from chromata_core.chemistry.molar_mass import formula_text
from chromata_core.chemistry.reagents import reagent
from chromata_core.planning.shelf import Shelf
from labs.models import Session
from preparation.needs import day_of, weighed_for
from preparation.standing import to_make
from reports.formats import as_csv

_HEAD = ("What", "Formula", "Needed", "On the shelf", "For", "Session", "Day")


@dataclass(frozen=True, slots=True)
class ToBuy:
    """A line of the list; ``there`` is what a bottle still holds."""

    what: str
    formula: str
    needed: str
    there: str
    used_for: str
    session: str
    day: str


def to_buy(session: Session, there: Shelf | None = None) -> list[ToBuy]:
    """What ``session`` uses and is not ``there``; what is weighed out at the bench nobody counts, so it is all
    there.
    """
    day = day_of(session).isoformat()
    recipes = [line.recipe for line in to_make(session, there) if line.made is None]
    lines = [
        ToBuy(
            reagent(how.substance).name,
            formula_text(how.substance),
            how.needs,
            there=how.there or "none",
            used_for=how.title,
            session=session.title,
            day=day,
        )
        for how in recipes
        if how.short
    ]
    lines += [
        ToBuy(
            supply.label,
            "",
            supply.whole_class,
            there="not counted",
            used_for=supply.note,
            session=session.title,
            day=day,
        )
        for supply in weighed_for(session)
    ]
    return lines


def shopping_csv(lines: Iterable[ToBuy]) -> bytes:
    """The list as CSV, UTF-8 with a mark that spreadsheets look for."""
    return as_csv([_HEAD, *(_cells(line) for line in lines)]).encode("utf-8-sig")


def shopping_xlsx(lines: Iterable[ToBuy]) -> bytes:
    """The list as a workbook."""
    book = Workbook()
    sheet = book.active
    assert isinstance(sheet, Worksheet)
    sheet.title = "Shopping list"
    sheet.append(_HEAD)
    for cell in sheet[1]:
        cell.font = Font(bold=True)
    for line in lines:
        sheet.append(_cells(line))
        for cell in sheet[sheet.max_row]:
            cell.data_type = "s"  # a name that begins with “=” is a name
    for column, width in zip("ABCDEFG", (28, 18, 12, 14, 32, 32, 12), strict=True):
        sheet.column_dimensions[column].width = width
    out = io.BytesIO()
    book.save(out)
    return out.getvalue()


def _cells(line: ToBuy) -> tuple[str, ...]:
    return (line.what, line.formula, line.needed, line.there, line.used_for, line.session, line.day)
