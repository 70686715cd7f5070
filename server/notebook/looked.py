"""A sheet with all that the core says of it, computed once for what stands on it."""

import logging
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from functools import cached_property, lru_cache

from django.core.cache import caches

from chromata_core.engine.context import Context, context_of
from chromata_core.sheet.bound import Given
from chromata_core.telling.evaluate import told_of
from chromata_core.telling.outcome import Evaluation
from labs.declared import method_of
from labs.models import Bench, Session
from notebook.models import Entry
from notebook.remembered import MOST
from notebook.standing import Handing, given_of, sheet_with

log = logging.getLogger(__name__)


@dataclass(frozen=True)
class Looked:
    """What is told of a bench's sheet, and the sheet as it is computed, which few ask for."""

    told: Evaluation
    compute: Callable[[], Context]

    @cached_property
    def at(self) -> Context:
        """The computed sheet."""
        return self.compute()


_kept: dict[int, tuple[tuple[object, ...], Looked]] = {}  # under its end, its length, the session's state
_told = caches["told"]  # what one process has found of a bench the others need not compute again


def looked_now(bench: Bench, entries: Sequence[Entry], handed: Handing) -> Looked:
    """The sheet of ``bench`` with its ``entries``, remembered under their end: that costs less than reading what stands
    on the sheet.
    """
    under = (end_of(entries), bench.session.state, handed)
    kept = _kept.get(bench.pk)
    if kept is None or kept[0] != under or bench.session.state == Session.State.PLANNED:
        if len(_kept) >= MOST:
            _kept.clear()
        _kept[bench.pk] = kept = (under, _looked_by_any(bench, entries, handed, under))
    return kept[1]


def _looked_by_any(bench: Bench, entries: Sequence[Entry], handed: Handing, under: tuple[object, ...]) -> Looked:
    """As another process may have told it already. What nothing is written on is not shared: its plan may change."""
    if not entries or bench.session.state == Session.State.PLANNED:
        return looked_at(bench, given_of(entries), handed)
    if (told := _told_by_others(_name(bench, entries), under)) is not None:
        return Looked(told, lambda: _context(bench, given_of(entries), handed))
    looked = looked_at(bench, given_of(entries), handed)
    try:
        _told.set(_name(bench, entries), (under, looked.told))
    except Exception as error:  # a full disk costs time, not the answer to what is written already
        log.warning("what bench %s says could not be kept for other processes: %s", bench.pk, error)
    return looked


def _name(bench: Bench, entries: Sequence[Entry]) -> str:
    """Under what it is shared: what was told of an earlier end is not even read."""
    return f"{bench.pk}-{entries[-1].hash}"


def _told_by_others(name: str, under: tuple[object, ...]) -> Evaluation | None:
    try:
        stands, told = _told.get(name, (None, None))
    except Exception:  # a damaged file is none; unpickling it may raise anything
        return None
    return told if stands == under else None


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
    at = _context(bench, given, handed)
    return Looked(told_of(at, {}), lambda: at)


def _context(bench: Bench, given: tuple[Given, ...], handed: Handing) -> Context:
    return context_of(method_of(bench.session), sheet_with(bench, given, handed))
