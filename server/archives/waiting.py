"""Archives that are being sent: in pieces, so that no request is long and one that breaks off is sent again.

Each person has one at most; it waits on the server's disk until it is brought in or another one is begun.
"""

import time
from pathlib import Path

from django.conf import settings

from config.errors import Refused
from people.models import Person

LARGEST_PIECE, _LARGEST = 2_000_000, 100_000_000  # bytes of a piece, of a whole archive
_OLDEST = 24 * 3600  # seconds


def waiting(person: Person) -> Path:
    """The archive that ``person`` has sent; Refused if there is none."""
    file = _place(person)
    if not file.is_file():
        raise Refused("There is no archive of yours here any more. Choose the file again.", 409)
    return file


def add_piece(person: Person, at: int, piece: bytes) -> int:
    """Adds ``piece`` from byte ``at`` on, 0 for a new archive; how many bytes are here now. Refused where it does not
    follow what is here.
    """
    file = _place(person)
    file.parent.mkdir(parents=True, exist_ok=True)
    if at == 0:
        _clear(file.parent)
    here = file.stat().st_size if file.is_file() else 0
    if at > here:
        raise Refused(f"{here} bytes are here, and this piece begins at {at}. Choose the file again.", 409)
    if at + len(piece) > _LARGEST:
        raise Refused(f"An archive has {_LARGEST // 1_000_000} MB at most. Save single sessions instead.", 413)
    with file.open("r+b" if at else "wb") as there:
        there.seek(at)
        there.write(piece)
        there.truncate()
    return at + len(piece)


def drop(person: Person) -> None:
    """It waits no longer."""
    _place(person).unlink(missing_ok=True)


def _place(person: Person) -> Path:
    return Path(settings.VAR) / "archives" / f"{person.pk}.zip"


def _clear(folder: Path) -> None:
    """Those that were sent and never brought in."""
    for file in folder.glob("*.zip"):
        if file.stat().st_mtime < time.time() - _OLDEST:
            file.unlink(missing_ok=True)
