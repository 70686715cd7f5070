"""An archive as it comes in: judged by its size before it is read, never unpacked onto the disk, never trusted."""

import json
import re
import zipfile
from dataclasses import dataclass
from pathlib import Path
from typing import Any, NoReturn

from archives.pack import FORM, MANIFEST, ROWS, photo_name
from archives.rows import KINDS
from config.errors import Refused
from labs.seals import holds

_LARGEST_ROWS, _LARGEST_HEAD, _LARGEST_PHOTO = 32_000_000, 10_000, 3_000_000  # bytes, unpacked
# Escapes of what no database keeps: zero, and halves of a letter. A backslash that somebody typed is none.
_UNKEEPABLE = re.compile(r"(?<!\\)(?:\\\\)*\\u(?:0000|[dD][89a-fA-F])")
_LATER: dict[str, list[str]] = {"act": [], "made": [], "ready": []}  # what older archives do not have
_LISTS = ("sections", "people", "broken", *(kind.name for kind in KINDS))


@dataclass(frozen=True, slots=True)
class Archive:
    """What is in a ``file``: its rows by kind, where and when it was made, and whether this installation sealed it."""

    file: Path
    rows: dict[str, Any]
    made_at: str
    department: str
    ours: bool

    def photo(self, content: str) -> bytes | None:
        """The bytes that are called by a hash, None where there are none of a possible size."""
        with zipfile.ZipFile(self.file) as parts:
            try:
                return _part(parts, photo_name(content), _LARGEST_PHOTO)
            except KeyError:
                return None


def read_archive(file: Path) -> Archive:
    """What is in ``file``; Refused for anything that is no archive of this application."""
    try:
        with zipfile.ZipFile(file) as parts:
            manifest = _part(parts, MANIFEST, _LARGEST_HEAD).decode()
            head = json.loads(manifest)
            text = _part(parts, ROWS, _LARGEST_ROWS).decode()
        seal = head.pop("seal")
        if head["form"] != FORM or _UNKEEPABLE.search(text) or _UNKEEPABLE.search(manifest):
            no_archive()
        rows = {**_LATER, **json.loads(text, parse_constant=lambda _: no_archive())}
        if not all(isinstance(row, dict | str) for name in _LISTS for row in rows[name]):
            no_archive()
        ours = isinstance(seal, str) and holds(seal, [head, text])
        return Archive(file, rows, str(head["made_at"])[:40], str(head["department"])[:120], ours)
    # An encrypted part is a RuntimeError, a packing that is not known a NotImplementedError.
    except (zipfile.BadZipFile, KeyError, ValueError, TypeError, AttributeError, OSError, RecursionError, EOFError,
            NotImplementedError, RuntimeError):  # fmt: skip
        no_archive()


def no_archive() -> NoReturn:
    """Refuses what cannot be read."""
    raise Refused(
        "This is no archive of sections and sessions, or something in it was changed. Take the file as it was saved; "
        "reports and tables are brought in elsewhere.", 422,
    )  # fmt: skip


def _part(parts: zipfile.ZipFile, name: str, most: int) -> bytes:
    """A part by its very name; whatever else is in the file, under whatever path, is left alone."""
    with parts.open(name) as part:
        body = part.read(most + 1)
    if len(body) > most:
        raise Refused(f"“{name}” in this archive is larger than an honest one can be.", 413)
    return body
