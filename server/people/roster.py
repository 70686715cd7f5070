"""Who is in a section: read from what people have (a list, a CSV or XLSX file), shown first, kept when confirmed."""

import re
import unicodedata
from collections.abc import Sequence
from dataclasses import dataclass, replace

from config.errors import Refused
from config.tables import decoded, is_workbook, split, workbook_rows
from people.models import Section

MOST = 400  # people in one section
_LONGEST = 120
_SPACE = re.compile(r"\s+")

# What the heads of columns are called, folded: no accents, no case.
_HEADS = {
    "name": ("name", "full name", "student", "student name", "display name"),
    "family": ("surname", "last name", "lastname", "family name", "family"),
    "given": ("first name", "firstname", "given name", "given names", "forename", "forenames", "given"),
    "number": ("number", "student number", "student id", "id", "matriculation number", "student no", "no"),
}


@dataclass(frozen=True, slots=True)
class Listed:
    """One person on a list that is being read: in which line, and what is the matter if something is.

    ``known``: on the roster already, so that nothing is to be done.
    """

    line: int
    name: str
    number: str
    problem: str
    known: bool


@dataclass(frozen=True, slots=True)
class RosterRead:
    """A list as it was understood: which column is what (empty for a list without heads), and its people.

    ``notes`` say what was guessed.
    """

    columns: list[str]
    people: list[Listed]
    notes: list[str]


def read_roster(section: Section, text: str, file: bytes, file_name: str) -> RosterRead:
    """What a pasted ``text`` or a ``file`` would add to ``section``; Refused where it cannot be read at all."""
    notes: list[str] = []
    if file:
        rows = workbook_rows(file, MOST * 20, 20) if is_workbook(file, file_name) else _table(decoded(file, notes))
    else:
        rows = _table(text)
    rows = [(line, [_tidy(cell) for cell in cells]) for line, cells in rows]
    rows = [(line, cells) for line, cells in rows if any(cells)]
    if not rows:
        raise Refused("There is no name in it. Paste one name a line, or give a CSV or XLSX file.", 422)
    if len(rows) > MOST + 1:
        raise Refused(f"{len(rows)} lines are more than a section holds ({MOST}). Give the list of this section.", 422)
    columns = _columns(rows[0][1])
    if columns:
        people = [_by_columns(line, cells, columns) for line, cells in rows[1:]]
    else:
        people = [_by_guess(line, cells) for line, cells in rows]
        if any(len(cells) > 1 for _, cells in rows):
            notes.append("No heads of columns were found. Two columns were taken as surname and given name.")
    return RosterRead([f"{head}: {part}" for head, part in columns.values()], _judged(section, people), notes)


def _judged(section: Section, people: Sequence[Listed]) -> list[Listed]:
    here = {_same(person.name, person.number) for person in section.roster}
    seen: dict[tuple[str, str], int] = {}
    judged = []
    for person in people:
        key, problem = _same(person.name, person.number), person.problem or problem_of(person.name, person.number)
        if not problem and key in seen:
            problem = f"The same as line {seen[key]}. If they are two people, give them numbers."
        seen.setdefault(key, person.line)
        judged.append(replace(person, problem=problem, known=not problem and key in here))
    return judged


def problem_of(name: str, number: str) -> str:
    """Why this cannot be somebody on a roster, empty if it can."""
    if not name:
        return "There is no name in this line."
    if name[0] in "=+-@" or number[:1] in tuple("=+@"):
        return "This looks like a formula, not a name."
    if not any(letter.isalpha() for letter in name):
        return "There is no letter in this name."
    if len(name) > _LONGEST or len(number) > 30:
        return f"This is longer than a name can be ({_LONGEST} characters; a number 30)."
    if any(unicodedata.category(letter) in ("Cc", "Cs", "Co") for letter in name + number) or "\ufffd" in name:
        return "This holds characters that cannot be read. Look at the file's encoding."
    return ""


def _same(name: str, number: str) -> tuple[str, str]:
    return (unicodedata.normalize("NFC", name).casefold(), number.casefold())


def _tidy(cell: object) -> str:
    return unicodedata.normalize("NFC", _SPACE.sub(" ", str(cell if cell is not None else "")).strip())


def _fold(text: str) -> str:
    plain = unicodedata.normalize("NFD", text.casefold())
    return "".join(letter for letter in plain if not unicodedata.combining(letter)).replace("_", " ").strip(" :.")


def _columns(heads: Sequence[str]) -> dict[int, tuple[str, str]]:
    """Which column holds what, by its head; empty where the first row is no row of heads."""
    columns: dict[int, tuple[str, str]] = {}
    for place, head in enumerate(heads):
        part = next((part for part, names in _HEADS.items() if _fold(head) in names), None)
        if part is not None and part not in {known for _, known in columns.values()}:
            columns[place] = (head, part)
    named = {part for _, part in columns.values()}
    return columns if "name" in named or {"family", "given"} <= named or "family" in named else {}


def _by_columns(line: int, cells: Sequence[str], columns: dict[int, tuple[str, str]]) -> Listed:
    parts = {part: cells[place] if place < len(cells) else "" for place, (_, part) in columns.items()}
    name = parts.get("name", "") or " ".join(filter(None, (parts.get("given", ""), parts.get("family", ""))))
    return Listed(line, _straight(name), parts.get("number", ""), "", False)


def _by_guess(line: int, cells: Sequence[str]) -> Listed:
    filled = [cell for cell in cells if cell]
    number = next((cell for cell in filled if cell[0].isdigit()), "")
    names = [cell for cell in filled if cell is not number]
    if len(names) == 2:
        return Listed(line, f"{names[1]} {names[0]}", number, "", False)
    return Listed(line, _straight(" ".join(names)), number, "", False)


def _straight(name: str) -> str:
    """“Okafor, Ada” as one says it."""
    family, comma, given = name.partition(",")
    return f"{given.strip()} {family.strip()}".strip() if comma else name


def _table(text: str) -> list[tuple[int, list[str]]]:
    lines = [line for line in text.splitlines()[: MOST * 20] if line.strip()]
    commas = [line.count(",") for line in lines]
    # One comma in a line is a name turned round, “Okafor, Ada”; heads or more commas make it a table.
    table = bool(lines) and (max(commas) > 1 or bool(_columns([_tidy(cell) for cell in lines[0].split(",")])))
    return split(text, commas=table, most=MOST * 20)
