"""Benches with what was written at them and what the core says of it, read again only where something was written.

A bench's ``head`` is the seal of its last entry, so it names all its entries: what one process has read and computed
under a head stays true as long as they are there, which is counted. Records are verified and reported from the database
itself, never from here.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache, reduce
from operator import or_

from django.db.models import Count, Q

from chromata_core.sheet.bound import Given
from chromata_core.telling.evaluate import evaluate, held_against
from chromata_core.telling.outcome import Evaluation
from labs.declared import method_of
from labs.models import Bench, Session
from notebook.models import Entry
from notebook.standing import given_of, sheet_with

_MOST = 500  # benches that a process remembers: some 50 kB each


@dataclass(frozen=True, slots=True)
class _Kept:
    head: str
    session_state: str
    entries: list[Entry]
    state: Evaluation


_seen: dict[int, _Kept] = {}


@dataclass(frozen=True, slots=True)
class Desk:
    """A bench, its entries in order, and what the core says of them; without accepted values."""

    bench: Bench
    entries: list[Entry]
    state: Evaluation


def desks(benches: Sequence[Bench]) -> list[Desk]:
    """``benches`` as they stand now; what was written since the last look is read in one query."""
    there = dict(Entry.objects.filter(bench__in=benches).order_by().values_list("bench").annotate(Count("pk")))
    known = {
        bench.pk: kept
        for bench in benches
        if (kept := _seen.get(bench.pk)) and _holds(bench, kept) and there.get(bench.pk, 0) == len(kept.entries)
    }
    stale = [bench for bench in benches if bench.pk not in known]
    written = _written(stale)
    for bench in stale:
        entries = written[bench.pk]
        # Fewer than were remembered: something is gone from the middle of the record.
        whole = entries if len(entries) == there.get(bench.pk, 0) else _all_of(bench.pk)
        known[bench.pk] = _remember(bench, whole)
    return [Desk(bench, known[bench.pk].entries, known[bench.pk].state) for bench in benches]


def entries_at(bench: Bench) -> list[Entry]:
    """What was written at ``bench``, whose row is locked, for who adds to it. Its end is the database's own."""
    return _written([bench])[bench.pk]


def _written(benches: Sequence[Bench]) -> dict[int, list[Entry]]:
    """The entries of ``benches``: those remembered, and what was added behind them. All are read again where what is
    remembered is not what stands before that.
    """
    before = {bench.pk: kept.entries if (kept := _seen.get(bench.pk)) else [] for bench in benches}
    # The last one remembered is read too: it must still be there as it was.
    wanted = [Q(bench=key, sequence__gte=entries[-1].sequence if entries else 0) for key, entries in before.items()]
    added: dict[int, list[Entry]] = {bench.pk: [] for bench in benches}
    found = Entry.objects.filter(reduce(or_, wanted)).select_related("author") if wanted else ()
    for entry in found:
        added[entry.bench_id].append(entry)
    return {key: _joined(key, entries, added[key]) for key, entries in before.items()}


def _joined(bench_id: int, before: list[Entry], added: list[Entry]) -> list[Entry]:
    if not before:
        return added
    if added and added[0].hash == before[-1].hash:
        return [*before[:-1], *added]
    return _all_of(bench_id)


def _all_of(bench_id: int) -> list[Entry]:
    return list(Entry.objects.filter(bench=bench_id).select_related("author"))


def _holds(bench: Bench, kept: _Kept) -> bool:
    # A plan may still change, and with it what its empty sheets are worth.
    open_or_over = bench.session.state != Session.State.PLANNED
    return open_or_over and (kept.head, kept.session_state) == (bench.head, bench.session.state)


def _remember(bench: Bench, entries: list[Entry]) -> _Kept:
    if len(_seen) >= _MOST:
        _seen.clear()
    # Named by what was read: something may have been written after the bench itself was.
    head = entries[-1].hash if entries else ""
    _seen[bench.pk] = kept = _Kept(head, bench.session.state, entries, evaluation_of(bench, entries))
    return kept


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
