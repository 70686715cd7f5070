"""Seals of the record, made with a secret of the server: who can only write to the database cannot make them.

An entry's seal covers all it says and the seal before it. The bench's own seal covers how many entries there are and
the last of their seals, so that an end that was cut off shows. ``settings.SEAL_KEYS`` are the secrets: the first one
seals, any of them verifies.
"""

import hashlib
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any

from labs.models import Bench
from labs.seals import end_of, holds, sealed
from notebook.models import Entry, Photo

BROKEN = "-"  # stands for the seal before an entry that was written behind an end that did not hold


def seal_entry(entry: Entry) -> None:
    """Seals an entry that is about to be kept."""
    entry.hash = sealed(_said(entry))


def end_holds(bench: Bench, last: Entry | None) -> bool:
    """Whether ``last`` is the entry with which the record was last sealed."""
    at = (last.sequence, last.hash) if last else (0, "")
    return at == (bench.length, bench.head) and holds(bench.seal, end_of(bench))


@dataclass(frozen=True, slots=True)
class RecordCheck:
    """What was verified of a bench's record, and what came of it. ``number`` names its last seal."""

    whole: bool
    entries: int
    photos: int
    number: str
    sentence: str


def check_record(bench: Bench, entries: Sequence[Entry]) -> RecordCheck:
    """Verifies every entry, the end, and the bytes of every photo. ``entries`` are all of ``bench``, in order."""
    photos = [entry for entry in entries if entry.photo]
    problem = _broken_entry(entries) or _broken_end(bench, entries) or _broken_photo(photos)
    sentence = problem or _all_well(bench, entries, photos)
    return RecordCheck(not problem, len(entries), len(photos), bench.head[:12], sentence)


def picture_of(content: str) -> bytes | None:
    """The bytes of a photo if they are still those that were sealed, else None."""
    kept = Photo.objects.filter(pk=content).first()
    data = bytes(kept.data) if kept else b""
    return data if hashlib.sha256(data).hexdigest() == content else None


def _broken_entry(entries: Sequence[Entry]) -> str:
    before = ""
    for place, entry in enumerate(entries, 1):
        if entry.sequence != place or entry.previous_hash != before:
            return f"Before entry {entry.sequence} something was taken out of the record, or put into it."
        if not holds(entry.hash, _said(entry)):
            return f"Entry {entry.sequence} is not as it was sealed: it was changed after it was written."
        before = entry.hash
    return ""


def _broken_end(bench: Bench, entries: Sequence[Entry]) -> str:
    if end_holds(bench, entries[-1] if entries else None):
        return ""
    if len(entries) < bench.length:
        return f"{bench.length} entries were sealed, but {len(entries)} are there: the end of the record is missing."
    return "The seal of the record's end does not hold: something was taken out or put in behind the application."


def _broken_photo(photos: Sequence[Entry]) -> str:
    for entry in photos:
        if picture_of(entry.photo) is None:
            return f"The photo of entry {entry.sequence} is missing, or not the one that was sealed."
    return ""


def _all_well(bench: Bench, entries: Sequence[Entry], photos: Sequence[Entry]) -> str:
    if not entries:
        return "Nothing was written yet."
    single = len(entries) == 1
    count = "The only entry stands as it was" if single else f"All {len(entries)} entries stand as they were"
    pictures = f", and the bytes of {len(photos)} {'photo' if len(photos) == 1 else 'photos'}" if photos else ""
    came = f" They came here in an archive, {bench.session.origin}." if bench.session.origin else ""
    return f"{count} sealed, from the first to the last{pictures}; none is missing at the end.{came}"


def _said(entry: Entry) -> list[Any]:
    return [
        str(entry.id), entry.bench_id, entry.sequence, entry.key, entry.trial, entry.index, entry.text, entry.author_id,
        _instant(entry.written_at), _instant(entry.received_at), str(entry.supersedes_id or ""), entry.reason,
        entry.previous_hash, entry.photo, *filter(None, [entry.device]),
    ]  # fmt: skip


def _instant(moment: datetime) -> str:
    return f"{moment.timestamp():.3f}"
