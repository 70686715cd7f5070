"""Benches with what was written at them and what the core says of it, computed again only where something changed."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache

from chromata_core.sheet.bound import Given
from chromata_core.telling.evaluate import evaluate, held_against
from chromata_core.telling.outcome import Evaluation
from labs.declared import method_of
from labs.models import Bench, Session
from notebook.handed import handed_to
from notebook.models import Entry
from notebook.remembered import MOST, entries_now
from notebook.standing import Handing, given_of, sheet_with

_said: dict[int, tuple[tuple[object, ...], Evaluation]] = {}  # under its end, its length, the session's state


@dataclass(frozen=True, slots=True)
class Desk:
    """A bench, its entries in order, what it is handed, and what the core says of it; without accepted values."""

    bench: Bench
    entries: list[Entry]
    handed: Handing
    state: Evaluation


def desks(benches: Sequence[Bench]) -> list[Desk]:
    """``benches`` as they stand now; what was written since the last look is read in one query."""
    found, handed = entries_now(benches), handed_to(benches)
    return [_desk(bench, found[bench.pk], handed[bench.pk]) for bench in benches]


def _desk(bench: Bench, entries: list[Entry], handed: Handing) -> Desk:
    return Desk(bench, entries, handed, _state(bench, entries, handed))


def _state(bench: Bench, entries: list[Entry], handed: Handing) -> Evaluation:
    """What the core says, remembered under the head; but a plan may still change, and with it what its empty sheets
    are worth.
    """
    if bench.session.state == Session.State.PLANNED:
        return _evaluated.__wrapped__(bench, bench.session.state, given_of(entries), handed)
    under = (entries[-1].hash if entries else "", len(entries), bench.session.state, handed)
    kept = _said.get(bench.pk)
    if kept is None or kept[0] != under:
        if len(_said) >= MOST:
            _said.clear()
        found = _evaluated(bench, bench.session.state, given_of(entries), handed)
        _said[bench.pk] = kept = (under, found)
    return kept[1]


def evaluation_of(bench: Bench, entries: Sequence[Entry]) -> Evaluation:
    """What the core says of ``entries``, computed once for what stands on the sheet."""
    evaluated = _evaluated.__wrapped__ if bench.session.state == Session.State.PLANNED else _evaluated
    return evaluated(bench, bench.session.state, given_of(entries), handed_to([bench])[bench.pk])


@lru_cache(maxsize=MOST)
def _evaluated(bench: Bench, state: str, given: tuple[Given, ...], handed: Handing) -> Evaluation:
    return evaluate(method_of(bench.session), sheet_with(bench, given, handed))


def accepted_values(bench: Bench) -> dict[str, str]:
    """The hidden values of the bench's sample. Only call this for people who may see them."""
    return {hidden.key: hidden.text for hidden in bench.sample.hidden.all()} if bench.sample else {}


def with_accepted(bench: Bench, found: Evaluation) -> Evaluation:
    """``found`` beside the hidden values. Only call this for people who may see them."""
    accepted = accepted_values(bench)
    return held_against(method_of(bench.session), found, accepted) if accepted else found
