"""A sheet with all that the core says of it, computed once for what stands on it."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache

from chromata_core.engine.context import Context, context_of
from chromata_core.sheet.bound import Given
from chromata_core.telling.evaluate import told_of
from chromata_core.telling.outcome import Evaluation
from labs.declared import method_of
from labs.models import Bench, Session
from notebook.models import Entry
from notebook.remembered import MOST
from notebook.standing import Handing, given_of, sheet_with


@dataclass(frozen=True, slots=True)
class Looked:
    """A bench's sheet as it is computed, and what is told of it."""

    at: Context
    told: Evaluation


_kept: dict[int, tuple[tuple[object, ...], Looked]] = {}  # under its end, its length, the session's state


def looked_now(bench: Bench, entries: Sequence[Entry], handed: Handing) -> Looked:
    """The sheet of ``bench`` with its ``entries``, remembered under their end: that costs less than reading what stands
    on the sheet.
    """
    under = (end_of(entries), bench.session.state, handed)
    kept = _kept.get(bench.pk)
    if kept is None or kept[0] != under or bench.session.state == Session.State.PLANNED:
        if len(_kept) >= MOST:
            _kept.clear()
        _kept[bench.pk] = kept = (under, looked_at(bench, given_of(entries), handed))
    return kept[1]


def end_of(entries: Sequence[Entry]) -> tuple[str, int]:
    """What names all of them: the seal of the last, and how many there are."""
    return (entries[-1].hash if entries else "", len(entries))


def looked_at(bench: Bench, given: tuple[Given, ...], handed: Handing) -> Looked:
    """The sheet of ``bench`` with these readings on it; a plan may still change, so what is planned is not kept."""
    if bench.session.state == Session.State.PLANNED:
        return _looked.__wrapped__(bench, bench.session.state, given, handed)
    return _looked(bench, bench.session.state, given, handed)


@lru_cache(maxsize=MOST)
def _looked(bench: Bench, state: str, given: tuple[Given, ...], handed: Handing) -> Looked:
    at = context_of(method_of(bench.session), sheet_with(bench, given, handed))
    return Looked(at, told_of(at, {}))
