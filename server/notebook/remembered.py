"""What was written at benches, read again only where something was added.

A bench's ``head`` is the seal of its last entry, so it names all its entries: what one process has read under a head
stays true. Records are verified and reported from the database itself, never from here.
"""

from collections import defaultdict
from collections.abc import Collection, Sequence
from functools import reduce
from operator import or_
from uuid import UUID

from django.db.models import Count, Q

from labs.models import Bench
from notebook.models import Entry

MOST = 500  # benches that a process remembers: some 50 kB each

_read: dict[int, list[Entry]] = {}


def entries_now(benches: Sequence[Bench]) -> dict[int, list[Entry]]:
    """The entries of each of ``benches``, by its id, in order."""
    known = {bench.pk: kept for bench in benches if _end(kept := _before(bench)) == bench.head}
    behind = [bench for bench in benches if bench.pk not in known]
    entries = _added(behind)
    return known | {bench.pk: remember(bench, _joined(bench, entries[bench.pk])) for bench in behind}


def entries_at(bench: Bench, ids: Collection[UUID]) -> tuple[list[Entry], set[UUID]]:
    """What was written at ``bench``, whose row is locked, for who adds to it, its end from the database itself; and
    which of ``ids`` belong to entries of other benches.
    """
    if (known := _before(bench)) and _end(known) == bench.head:  # nothing was added: is the last still as it was?
        asked = Entry.objects.filter(pk__in=[known[-1].pk, *ids]).order_by()
        there = {pk: (where, seal) for pk, where, seal in asked.values_list("pk", "bench", "hash")}
        if there.get(known[-1].pk) == (bench.pk, bench.head):
            return known, {pk for pk, (where, _) in there.items() if where != bench.pk}
    entries = _added([bench], Q(pk__in=ids))
    here = _joined(bench, entries.pop(bench.pk, []))
    return here, {entry.id for others in entries.values() for entry in others}


def remember(bench: Bench, entries: list[Entry]) -> list[Entry]:
    """Keeps ``entries``, which are all of ``bench``, until more is written. They are named by their own end: something
    may have been written after the bench itself was read.
    """
    if len(_read) >= MOST:
        _read.clear()
    _read[bench.pk] = entries
    return entries


def how_many(benches: Sequence[Bench]) -> dict[int, int]:
    """How much is written at each. Where more was remembered something is gone from the record: all is forgotten."""
    there = dict(Entry.objects.filter(bench__in=benches).order_by().values_list("bench").annotate(Count("pk")))
    for bench in benches:
        if there.get(bench.pk, 0) < len(_before(bench)):
            _read.pop(bench.pk, None)
    return there


def _before(bench: Bench) -> list[Entry]:
    return _read.get(bench.pk) or []


def _end(entries: Sequence[Entry]) -> str:
    return entries[-1].hash if entries else ""


def _added(benches: Sequence[Bench], *also: Q) -> dict[int, list[Entry]]:
    """By bench, what stands behind what is remembered, and its last one too: it must still be there as it was."""
    by_last: dict[int, list[Bench]] = defaultdict(list)  # a database is long over a condition for each of many benches
    for bench in benches:
        by_last[_last(_before(bench))].append(bench)
    wanted = [Q(bench__in=here, sequence__gte=last) for last, here in by_last.items()] + list(also)
    entries: dict[int, list[Entry]] = defaultdict(list)
    for entry in Entry.objects.filter(reduce(or_, wanted)).select_related("author") if wanted else ():
        entries[entry.bench_id].append(entry)
    return entries


def _last(entries: Sequence[Entry]) -> int:
    return entries[-1].sequence if entries else 0


def _joined(bench: Bench, entries: list[Entry]) -> list[Entry]:
    """All entries; read again where what is remembered is not what stands before those that were found."""
    before = _before(bench)
    added = [entry for entry in entries if entry.sequence >= _last(before)]
    if not before:
        return added
    if added and added[0].hash == before[-1].hash:
        return [*before[:-1], *added]
    return list(Entry.objects.filter(bench=bench).select_related("author"))
