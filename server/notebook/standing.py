"""What stands on a bench's sheet now: the last entry of every place that was not corrected."""

from collections import Counter
from collections.abc import Iterable, Mapping
from uuid import UUID

from chromata_core.declaration.places import Place
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.handed import Handed
from labs.instruments import stock_of
from labs.models import Bench
from labs.own_work import own_work_of
from notebook.models import Entry

# Numbers of a bench's plan by option, as earlier parts of the work found them.
Handing = tuple[tuple[str, Handed], ...]


def entries_of(bench: Bench) -> list[Entry]:
    """Everything that was written at ``bench``, in order, as it is in the database now."""
    return list(bench.entries.select_related("author"))


def place(entry: Entry) -> Place:
    """Where an entry belongs on the sheet."""
    return Place(entry.key, entry.trial, entry.index)


def standing(entries: Iterable[Entry]) -> list[Entry]:
    """The entries that count, in order; later ones take a place over from earlier ones."""
    return list({place(entry): entry for entry in entries if place(entry).kind != "talk"}.values())


def by_id(entries: Iterable[Entry]) -> dict[UUID, Entry]:
    """``entries`` by their ids."""
    return {entry.id: entry for entry in entries}


def superseded(entry: Entry, written: Mapping[UUID, Entry]) -> list[Entry]:
    """What stood in the place of ``entry`` before it and was corrected, the newest first; ``written`` are all of its
    bench, by their ids.

    A correction only ever points back, to the same place of the same bench; whatever points elsewhere ends the chain.
    """
    chain: list[Entry] = []
    latest = entry
    while latest.supersedes_id is not None and (before := written.get(latest.supersedes_id)):
        if before.sequence >= latest.sequence or place(before) != place(entry):
            break
        chain.append(before)
        latest = before
    return chain


def given_of(entries: Iterable[Entry]) -> tuple[Given, ...]:
    """The entries that count, as the core takes them."""
    written = list(entries)
    often = Counter(place(entry) for entry in written)
    return tuple(
        Given(entry.key, entry.text, entry.trial, entry.index, entry.written_at.timestamp(), often[place(entry)])
        for entry in standing(written)
    )


def sheet_with(bench: Bench, given: tuple[Given, ...], handed: Handing = ()) -> Sheet:
    """The bench's sheet with these readings on it, and what earlier parts of the work found for it."""
    opened = bench.session.opened_at
    return Sheet(
        bench.options, bench.session.instruments, given, stock=stock_of(bench.session),
        opened=opened.timestamp() if opened else None, own_work=own_work_of(bench.session), handed=dict(handed),
        pace=bench.session.pace,
    )  # fmt: skip


def begun(entries: Iterable[Entry]) -> bool:
    """Whether a bench itself has read something; what the staff wrote for the room is none of it."""
    return any(place(entry).kind == "part" and not entry.author.teaches for entry in entries)
