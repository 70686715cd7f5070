"""Records that come in: every entry looked at as when it is written, sealed with the secret of this installation."""

import hashlib
from collections.abc import Collection, Sequence

from archives.read import Archive
from archives.serializers import must_be_choices
from chromata_core.declaration.places import TALK
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Given, Sheet
from chromata_core.sheet.understanding import understand
from labs.declared import method_of
from labs.instruments import stock_of
from labs.models import Bench
from labs.seals import seal_end
from notebook.models import Entry, Photo
from notebook.photos import picture_data_problem
from notebook.seals import BROKEN, seal_entry

_MOST = 4000  # entries of one bench


def keep_record(bench: Bench, entries: Sequence[Entry], whole: bool) -> None:
    """Keeps ``entries`` as the record of ``bench``, whose end is sealed but not saved. A record that was not ``whole``
    stays so. ValueError or ChromataError for what could not have been written there.
    """
    _must_follow(entries)
    bound = _bound(bench)
    before = "" if whole else BROKEN
    for entry in entries:
        if entry.key not in TALK:
            understand(bound, Given(entry.key, entry.text, entry.trial, entry.index))
        entry.previous_hash = before
        seal_entry(entry)
        before = entry.hash
    Entry.objects.bulk_create(entries)
    bench.length, bench.head = len(entries), before if entries else ""
    if bench.session.opened_at is not None:
        seal_end(bench)


def _must_follow(entries: Sequence[Entry]) -> None:
    if [entry.sequence for entry in entries] != list(range(1, len(entries) + 1)) or len(entries) > _MOST:
        raise ValueError("entries that do not follow each other")
    here = {None, *(entry.pk for entry in entries)}
    if any(entry.supersedes_id not in here for entry in entries):
        raise ValueError("a correction of something elsewhere")


def _bound(bench: Bench) -> Bound:
    session = bench.session
    must_be_choices(bench.own_options)
    return bind(method_of(session), Sheet(bench.options, session.instruments, stock=stock_of(session)))


def keep_photos(archive: Archive, contents: Collection[str]) -> None:
    """Those that are what they are called by; a missing one is missed by the check of its record."""
    for content in contents:
        data = archive.photo(content)
        if data is not None and hashlib.sha256(data).hexdigest() == content and not picture_data_problem(data):
            Photo.objects.get_or_create(hash=content, defaults={"data": data})
