"""Where the benches of a room stand: written once as people see it, rows of numbers from the front, dots for gaps."""

from config.errors import Refused
from labs.models import RoomPlan, Session
from labs.shapes import Arrangement, Standing

_LONGEST = 16  # places in a row
_MOST = 20  # rows


def arrangement_of(session: Session) -> Arrangement:
    """How the room of ``session`` is arranged; no places where it was never said."""
    plan = RoomPlan.objects.filter(room__iexact=session.room.strip()).first() if session.room.strip() else None
    rows: list[list[int]] = plan.rows if plan else []
    places = [
        Standing(number, row, column)
        for row, numbers in enumerate(rows, 1)
        for column, number in enumerate(numbers, 1)
        if number
    ]
    text = "\n".join(" ".join(str(number or ".") for number in numbers) for numbers in rows)
    return Arrangement(text, max(map(len, rows), default=0), places)


def arrange(session: Session, text: str) -> None:
    """Keeps how the room stands; empty text forgets it. Refused where it cannot be read."""
    room = session.room.strip()
    if not room:
        raise Refused("Give the session a room first: the arrangement is kept by the room's name.", 422)
    rows = [[_place(word) for word in line.split()] for line in text.splitlines() if line.strip()]
    numbers = [number for row in rows for number in row if number]
    if len(rows) > _MOST or any(len(row) > _LONGEST for row in rows):
        raise Refused(f"A room has at most {_MOST} rows of {_LONGEST} places.", 422)
    if len(set(numbers)) < len(numbers):
        twice = next(number for number in numbers if numbers.count(number) > 1)
        raise Refused(f"Bench {twice} stands at two places. Each bench has one.", 422)
    RoomPlan.objects.filter(room__iexact=room).delete()
    if rows:
        RoomPlan.objects.create(room=room, rows=rows)


def _place(word: str) -> int:
    if word == ".":
        return 0
    if not word.isascii() or not word.isdigit() or not 1 <= int(word[:4]) <= 48:
        raise Refused(f"“{word[:20]}” is no place. Write bench numbers from 1 to 48, and a dot for a gap.", 422)
    return int(word)
