"""Benches with what was written at them and what the core says of it, read again only where something was written.

A bench's ``head`` is the seal of its last entry, so it names all its entries: what one process has read and computed
under a head stays true. Records are verified and reported from the database itself, never from here.
"""

from collections import defaultdict
from collections.abc import Collection, Sequence
from dataclasses import dataclass
from functools import lru_cache, reduce
from operator import or_
from uuid import UUID

from django.db.models import Count, Q

from chromata_core.sheet.bound import Given
from chromata_core.telling.evaluate import evaluate, held_against
from chromata_core.telling.outcome import Evaluation
from labs.declared import method_of
from labs.models import Bench, Session
from notebook.models import Entry
from notebook.standing import given_of, sheet_with

_MOST = 500  # benches that a process remembers: some 50 kB each

_read: dict[int, list[Entry]] = {}
_said: dict[int, tuple[tuple[object, ...], Evaluation]] = {}  # under its end, its length, the session's state


@dataclass(frozen=True, slots=True)
class Desk:
    """A bench, its entries in order, and what the core says of them; without accepted values."""

    bench: Bench
    entries: list[Entry]
    state: Evaluation


def desks(benches: Sequence[Bench]) -> list[Desk]:
    """``benches`` as they stand now; what was written since the last look is read in one query."""
    found = entries_now(benches)
    return [Desk(bench, found[bench.pk], _state(bench, found[bench.pk])) for bench in benches]


def entries_now(benches: Sequence[Bench]) -> dict[int, list[Entry]]:
    """The entries of each of ``benches``, by its id, in order."""
    known = {bench.pk: kept for bench in benches if _end(kept := _before(bench)) == bench.head}
    behind = [bench for bench in benches if bench.pk not in known]
    found = _added(behind)
    return known | {bench.pk: remember(bench, _joined(bench, found[bench.pk])) for bench in behind}


def entries_at(bench: Bench, ids: Collection[UUID]) -> tuple[list[Entry], set[UUID]]:
    """What was written at ``bench``, whose row is locked, for who adds to it, its end from the database itself; and
    which of ``ids`` belong to entries of other benches.
    """
    found = _added([bench], Q(pk__in=ids))
    here = _joined(bench, found.pop(bench.pk, []))
    return here, {entry.id for others in found.values() for entry in others}


def remember(bench: Bench, entries: list[Entry]) -> list[Entry]:
    """Keeps ``entries``, which are all of ``bench``, until more is written. They are named by their own end: something
    may have been written after the bench itself was read.
    """
    if len(_read) >= _MOST:
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
    wanted = [Q(bench=bench, sequence__gte=_last(_before(bench))) for bench in benches] + list(also)
    found: dict[int, list[Entry]] = defaultdict(list)
    for entry in Entry.objects.filter(reduce(or_, wanted)).select_related("author") if wanted else ():
        found[entry.bench_id].append(entry)
    return found


def _last(entries: Sequence[Entry]) -> int:
    return entries[-1].sequence if entries else 0


def _joined(bench: Bench, found: list[Entry]) -> list[Entry]:
    """All entries; read again where what is remembered is not what stands before those that were found."""
    before = _before(bench)
    added = [entry for entry in found if entry.sequence >= _last(before)]
    if not before:
        return added
    if added and added[0].hash == before[-1].hash:
        return [*before[:-1], *added]
    return list(Entry.objects.filter(bench=bench).select_related("author"))


def _state(bench: Bench, entries: list[Entry]) -> Evaluation:
    """What the core says, remembered under the head; but a plan may still change, and with it what its empty sheets
    are worth.
    """
    if bench.session.state == Session.State.PLANNED:
        return evaluation_of(bench, entries)
    under = (_end(entries), len(entries), bench.session.state)
    kept = _said.get(bench.pk)
    if kept is None or kept[0] != under:
        if len(_said) >= _MOST:
            _said.clear()
        _said[bench.pk] = kept = (under, evaluation_of(bench, entries))
    return kept[1]


def evaluation_of(bench: Bench, entries: Sequence[Entry]) -> Evaluation:
    """What the core says of ``entries``, computed once for what stands on the sheet."""
    evaluated = _evaluated.__wrapped__ if bench.session.state == Session.State.PLANNED else _evaluated
    return evaluated(bench, bench.session.state, given_of(entries))


@lru_cache(maxsize=_MOST)
def _evaluated(bench: Bench, state: str, given: tuple[Given, ...]) -> Evaluation:
    return evaluate(method_of(bench.session), sheet_with(bench, given))


def accepted_values(bench: Bench) -> dict[str, str]:
    """The hidden values of the bench's sample. Only call this for people who may see them."""
    return {hidden.key: hidden.text for hidden in bench.sample.hidden.all()} if bench.sample else {}


def with_accepted(bench: Bench, found: Evaluation) -> Evaluation:
    """``found`` beside the hidden values. Only call this for people who may see them."""
    accepted = accepted_values(bench)
    return held_against(method_of(bench.session), found, accepted) if accepted else found
