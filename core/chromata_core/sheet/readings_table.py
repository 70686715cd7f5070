"""Readings in a table that people have, recognised: a line for each reading, a row for each trial, or a column for it.

What a head or a first cell says is matched with keys, labels and symbols, whatever its case and blanks; a unit may
stand behind it in brackets or after a comma or a slash.
"""

import re
import unicodedata
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, replace

from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Observation, Reading, Series
from chromata_core.errors import ChromataError
from chromata_core.quantity.given import read_in
from chromata_core.quantity.rounding import plain
from chromata_core.sheet.bound import Bound, Given
from chromata_core.sheet.understanding import understand

# A line of a table with its number, and whether a cell was a bare number of a spreadsheet.
Row = tuple[int, Sequence[str]]
MOST_CELLS = 2000
_LONGEST = 120  # characters of a name: what is longer is none, and patterns would take long over it
_WHAT = ("what", "reading", "key", "quantity", "name")
_VALUE = ("value", "text", "reading as typed", "as typed", "result")
_TRIAL = ("trial", "run", "titration", "portion", "determination", "no", "number")
_ROW = ("row", "index", "place", "point")
_UNIT = ("unit", "units")
_BEHIND = (
    re.compile(r"^(?P<what>.*?)\s*[(\[](?P<unit>[^()\[\]]*)[)\]]\s*$"),
    re.compile(r"^(?P<what>.*)[,/]\s*(?P<unit>[^,/]*)$"),
)
_NUMBERED = re.compile(r"^(?P<noun>\D*?)\s*(?P<number>\d{1,3})$")


@dataclass(frozen=True, slots=True)
class RowRead:
    """One cell as it was understood: of what, in which trial and row, what it says; ``problem`` if it cannot be kept,
    ``known`` if the same stands there already.
    """

    line: int
    key: str
    label: str
    trial: int | None
    index: int | None
    text: str
    problem: str = ""
    known: bool = False


@dataclass(frozen=True, slots=True)
class TableRead:
    """A table as it was understood: ``shape`` in words, what was guessed, and its cells in order."""

    shape: str
    rows: list[RowRead]
    notes: list[str]


def read_table(bound: Bound, rows: Sequence[Row], numbers: bool = False) -> TableRead:
    """``rows`` as readings of ``bound``. ``numbers``: cells were numbers of a spreadsheet, which keeps no zeros at the
    end. ChromataError where nothing is recognised.
    """
    filled = [(line, [cell.strip() for cell in cells]) for line, cells in rows if any(cell.strip() for cell in cells)]
    if not filled:
        raise ChromataError("There is nothing in it. Copy the table with its heads.")
    if sum(len(cells) for _, cells in filled) > 5 * MOST_CELLS:
        raise ChromataError(f"This is far more than a bench reads. Give a table of at most {MOST_CELLS} readings.")
    names, heads = _Names(bound), filled[0][1]
    beyond = [line for line, cells in filled[1:] if any(cells[len(heads) :])]
    if beyond and names.heads(heads):  # which number belongs where could only be guessed
        raise ChromataError(
            f"Line {beyond[0]} has more columns than the heads. Put a number with a decimal comma in quotes, or "
            "part the columns by tabs or semicolons."
        )
    for shape, words in _SHAPES.items():
        cells = list(shape(names, filled))
        if any(cell.key for cell in cells):
            return _judged(bound, words, cells[:MOST_CELLS], numbers)
    known = ", ".join(f"“{reading.label}”" for reading in bound.readings[:4])
    raise ChromataError(f"No reading of this experiment was found in it. Call a column or a line by its name: {known}.")


class _Names:
    """Which part a word means."""

    def __init__(self, bound: Bound) -> None:
        self.bound = bound
        self.parts: dict[str, Reading | Observation] = {}
        for part in reversed(bound.parts):
            symbol = part.symbol if isinstance(part, Reading) else ""
            self.parts |= {_fold(name): part for name in (symbol, bound.worded(part.label), part.key) if name}

    def heads(self, cells: Sequence[str]) -> bool:
        """Whether these are heads, and not a reading with what was read."""
        first, *others = (self.part(cell)[0] is not None for cell in cells)
        return not first or not others or any(others)

    def part(self, name: str) -> tuple[Reading | Observation | None, str]:
        """The part that ``name`` means, and a unit behind it; None for no part."""
        if len(name) > _LONGEST:
            return None, ""
        if (part := self.parts.get(_fold(name))) is not None:
            return part, ""
        for behind in (pattern.match(name) for pattern in _BEHIND):
            if behind and (part := self.parts.get(_fold(behind["what"]))) is not None:
                return part, behind["unit"].strip()
        return None, ""


def _fold(text: str) -> str:
    plain_text = unicodedata.normalize("NFKD", text.casefold())
    return re.sub(r"[\s_.,:;'’–-]+", " ", plain_text).strip()


def _long(names: _Names, rows: Sequence[Row]) -> Iterator[RowRead]:
    """Heads that name what, value, and if need be trial, row and unit."""
    heads = [_fold(cell) for cell in rows[0][1]]
    what, value = _head(heads, _WHAT), _head(heads, _VALUE)
    if what is None or value is None:
        return
    trial, index, symbol = (_head(heads, kind) for kind in (_TRIAL, _ROW, _UNIT))
    last = ""
    for line, cells in rows[1:]:
        typed = _cell(cells, what) or last  # merged cells have a word in the first of them alone
        last = typed
        part, behind = names.part(typed)
        text = _cell(cells, value)
        if text or part is None:
            unit = _cell(cells, symbol) or behind
            yield _row(line, part, typed, _number(_cell(cells, trial)), _number(_cell(cells, index)), text, unit)


def _wide(names: _Names, rows: Sequence[Row]) -> Iterator[RowRead]:
    """Heads that name readings; each line is a trial, or of a series a row."""
    heads = rows[0][1]
    columns = {place: names.part(head) for place, head in enumerate(heads)}
    known = {place: (part, unit) for place, (part, unit) in columns.items() if part is not None}
    if not known or not names.heads(heads):
        return
    trial = _head([_fold(head) for head in heads], _TRIAL)
    row = _head([_fold(head) for head in heads], _ROW)
    rough = 0 if names.bound.rough and trial is None else 1
    for place, head in enumerate(heads):
        if head and place not in (*known, trial, row):
            yield _row(rows[0][0], None, head, None, None, "", "")
    at: int | None = None
    for number, (line, cells) in enumerate(rows[1:]):
        if typed := _cell(cells, trial):  # a merged cell says it in the first of its lines alone
            at = _number(typed)
        for place, (part, unit) in known.items():
            if text := _cell(cells, place):
                series = isinstance(part, Series)
                nth = _number(_cell(cells, row)) or number + 1
                here = at if trial is not None else 1 if series else number + rough
                yield _row(line, part, heads[place], here, nth if series else None, text, unit)


def _tall(names: _Names, rows: Sequence[Row]) -> Iterator[RowRead]:
    """First cells that name readings; each further column is a trial."""
    heads = rows[0][1]
    trials = {place: _number(head) for place, head in enumerate(heads) if place}
    headed = names.part(heads[0])[0] is None
    rough = 0 if names.bound.rough and not any(n is not None for n in trials.values()) else 1
    for line, cells in rows[1 if headed else 0 :]:
        part, unit = names.part(cells[0])
        if part is None:
            yield _row(line, None, cells[0], None, None, "", "")
            continue
        for place, text in enumerate(cells[1:], 1):
            if text:
                named = trials.get(place) if headed else None
                number = place - 1 + rough if named is None else named
                series = isinstance(part, Series)
                yield _row(line, part, cells[0], 1 if series else number, number if series else None, text, unit)


_SHAPES = {_long: "a reading on each line", _wide: "a trial on each line", _tall: "a trial in each column"}


def _row(
    line: int,
    part: Reading | Observation | None,
    typed: str,
    trial: int | None,
    index: int | None,
    text: str,
    unit: str,
) -> RowRead:
    if part is None:
        return RowRead(
            line,
            "",
            typed[:_LONGEST],
            trial=trial,
            index=index,
            text="",
            problem="No reading of this experiment is called so.",
        )
    if len(text) > _LONGEST:
        return RowRead(
            line, "", part.label, trial=trial, index=index, text="", problem="This is far longer than one reading."
        )
    once = part.scope == "bench"
    written = (
        _choice(part, text) if isinstance(part, Observation) else text if _UNITED.search(text) else f"{text} {unit}"
    )
    return RowRead(line, part.key, part.label, None if once else trial, index, written.strip())


_UNITED = re.compile(r"[^\d\s.,+\-−eE]")  # a number with its unit behind it already


def _choice(part: Observation, text: str) -> str:
    """The key of the choice that is called so; the text itself where none is."""
    return next(
        (choice.key for choice in part.choices if _fold(text) in (_fold(choice.label), _fold(choice.key))), text
    )


def _head(heads: Sequence[str], names: Sequence[str]) -> int | None:
    return next((place for place, head in enumerate(heads) if head in names), None)


def _cell(cells: Sequence[str], place: int | None) -> str:
    return cells[place] if place is not None and place < len(cells) else ""


def _number(text: str) -> int | None:
    """“2”, “Trial 2” or “2.0”; rough is 0."""
    if len(text) > _LONGEST:
        return None
    if _fold(text).startswith("rough"):
        return 0
    match = _NUMBERED.match(text.strip().removesuffix(".0"))
    return int(match["number"]) if match else None


def _judged(bound: Bound, shape: str, cells: Sequence[RowRead], numbers: bool) -> TableRead:
    """Every cell as it would be kept: understood, not twice, not over what stands."""
    seen: dict[Place, int] = {}
    read: list[RowRead] = []
    notes: list[str] = []
    for cell in cells:
        if not cell.key:
            read.append(cell)
            continue
        padded = _padded(bound, cell) if numbers else cell
        if padded.text != cell.text and not notes:
            notes.append("A spreadsheet keeps no zeros at the end; they were added as the instrument shows them.")
        place = Place(padded.key, padded.trial, padded.index)
        problem = _problem(bound, padded, place, seen)
        seen.setdefault(place, padded.line)
        known = not problem and _stands(bound, place) == _standing_text(bound, padded)
        read.append(replace(padded, problem=problem, known=known))
    return TableRead(shape, read, notes)


def _problem(bound: Bound, cell: RowRead, place: Place, seen: Mapping[Place, int]) -> str:
    if place in seen:
        return f"The same place as in line {seen[place]}. Keep one of them."
    try:
        understand(bound, Given(cell.key, cell.text, cell.trial, cell.index))
    except ChromataError as error:
        return error.message
    here = _stands(bound, place)
    if here is not None and here != _standing_text(bound, cell):
        return f"{_written(bound, place)} is written there already. Correct it at the bench, with a reason."
    return ""


def _stands(bound: Bound, place: Place) -> object:
    return bound.typed[place].value if place in bound.typed else bound.texts.get(place)


def _written(bound: Bound, place: Place) -> str:
    return bound.typed[place].text if place in bound.typed else bound.texts[place]


def _standing_text(bound: Bound, cell: RowRead) -> object:
    part = bound.part(cell.key)
    return read_in(cell.text, part.unit).value if isinstance(part, Reading) else cell.text


def _padded(bound: Bound, cell: RowRead) -> RowRead:
    """With the zeros that a spreadsheet took from the end of a bare number."""
    part = bound.part(cell.key)
    if not isinstance(part, Reading):
        return cell
    try:
        typed = read_in(cell.text, part.unit)
    except ChromataError:
        return cell
    decimals = bound.instruments[part.role].decimals
    bare = not re.search(r"[^\d.,\-−]", cell.text)
    return replace(cell, text=plain(typed.value, decimals)) if bare and typed.decimals < decimals else cell
