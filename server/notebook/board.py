"""The board: what one person reads for the whole room, written at every bench under that person's name.

It is an ordinary entry of each record, sealed and timed; a bench overrules it by an ordinary correction, with a reason.
"""

from dataclasses import replace
from uuid import uuid4

from django.db import transaction
from django.utils import timezone

from chromata_core.sheet.binding import bind
from config.errors import Refused
from labs.declared import method_of
from labs.models import Bench, Session
from labs.shapes import BoardLine
from notebook.actions import Draft, write
from notebook.models import Entry
from notebook.standing import sheet_with, standing
from people.models import Person


def of_the_room(bench: Bench) -> list[BoardLine]:
    """What may be written for the whole room under the options of ``bench``: readings, and labels of bottles with what
    was planned of them. Nothing is posted on these lines.
    """
    bound = bind(method_of(bench.session), sheet_with(bench, ()))
    read = [BoardLine(reading.key, reading.label, reading.unit) for reading in bound.readings if reading.room]
    return read + [BoardLine(bottle.key, bottle.label, bottle.unit, bound.label_of(bottle)) for bottle in bound.bottles]


@transaction.atomic
def write_on_board(session: Session, author: Person, key: str, text: str) -> str:
    """Writes it at every bench that has not read for itself, over what stood on the board before; what it is called,
    empty if it stood there already.

    Refused, and written nowhere, where it cannot be read or is not the room's.
    """
    benches = list(session.benches.select_for_update().order_by("pk"))
    line = (
        next((board_line for board_line in of_the_room(benches[0]) if board_line.key == key), None) if benches else None
    )
    if line is None:
        raise Refused("This is read by each bench for itself.", 422)
    written = ""
    for bench in benches:
        here = next((entry for entry in standing(bench.entries.order_by("sequence")) if entry.key == key), None)
        if here is not None and (not of_room(here) or here.text == text.strip()):
            continue
        [kept] = write(bench, author, [_draft(key, text, here)])
        if not kept.kept:
            raise Refused(kept.problem, 422)
        written = line.label
    return written


def _draft(key: str, text: str, before: Entry | None) -> Draft:
    reason = "Corrected on the board" if before else ""
    return Draft(
        uuid4(),
        key,
        text,
        trial=None,
        index=None,
        written_at=timezone.now(),
        supersedes=before.pk if before else None,
        reason=reason,
    )


def of_room(entry: Entry) -> bool:
    """Whether it came from the board, or from the staff at that bench, which comes to the same."""
    return entry.author.teaches


def board_lines(written: list[tuple[Bench, list[Entry]]]) -> list[BoardLine]:
    """What stands on the board now, and which benches read for themselves, from what was written at each."""
    lines = of_the_room(written[0][0]) if written else []
    keys = {line.key for line in lines}
    standing_lines = [
        (bench, entry) for bench, all_of in written for entry in standing(e for e in all_of if e.key in keys)
    ]
    return [
        _posted(line, [(bench, entry) for bench, entry in standing_lines if entry.key == line.key]) for line in lines
    ]


def _posted(line: BoardLine, here: list[tuple[Bench, Entry]]) -> BoardLine:
    own = sorted({bench.number for bench, entry in here if not of_room(entry)})
    posted = max((entry for _, entry in here if of_room(entry)), key=lambda entry: entry.written_at, default=None)
    if posted is None:
        return replace(line, own=own)
    return replace(line, text=posted.text, author=posted.author.name, at=posted.written_at.isoformat(), own=own)
