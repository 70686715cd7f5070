"""What stands on a bench's sheet now: the last entry of every place that was not corrected."""

from collections.abc import Iterable

from chromata_core.method.sheet import Given, Sheet
from labs.models import Bench
from notebook.models import Entry
from stock.own import stock_of

# Entries that are said between people, not about the sheet.
TALK = ("call", "message", "seen", "note", "photo")


def standing(entries: Iterable[Entry]) -> list[Entry]:
    """The entries that count, in order; later ones take a place over from earlier ones."""
    current: dict[tuple[str, int | None, int | None], Entry] = {}
    for entry in entries:
        if entry.key not in TALK:
            current[(entry.key, entry.trial, entry.index)] = entry
    return list(current.values())


def sheet_of(bench: Bench, entries: Iterable[Entry]) -> Sheet:
    """The bench's sheet for the core."""
    given = tuple(
        Given(entry.key, entry.text, entry.trial, entry.index, entry.written_at.timestamp())
        for entry in standing(entries)
    )
    opened = bench.session.opened_at
    return Sheet(
        bench.options, bench.session.instruments, given, stock_of(bench.session),
        opened.timestamp() if opened else None,
    )  # fmt: skip
