"""Benches with what was written at them and what the core says of it, computed again only where something changed."""

from collections.abc import Sequence
from dataclasses import dataclass

from chromata_core.engine.context import Context
from chromata_core.telling.evaluate import held_against
from chromata_core.telling.outcome import Evaluation
from labs.declared import method_of
from labs.models import Bench
from notebook.handed import handed_to
from notebook.looked import Looked, looked_at, looked_now
from notebook.models import Entry
from notebook.remembered import entries_now
from notebook.standing import Handing, given_of


@dataclass(frozen=True, slots=True)
class Desk:
    """A bench, its entries in order, what it is handed, and what the core says of it; without accepted values."""

    bench: Bench
    entries: list[Entry]
    handed: Handing
    looked: Looked
    state: Evaluation

    @property
    def at(self) -> Context:
        """Its sheet, computed."""
        return self.looked.at


def desks(benches: Sequence[Bench]) -> list[Desk]:
    """``benches`` as they stand now; what was written since the last look is read in one query."""
    entries, handed = entries_now(benches), handed_to(benches)
    return [_desk(bench, entries[bench.pk], handed[bench.pk]) for bench in benches]


def _desk(bench: Bench, entries: list[Entry], handed: Handing) -> Desk:
    looked = looked_now(bench, entries, handed)
    return Desk(bench, entries, handed, looked, looked.told)


def evaluation_of(bench: Bench, entries: Sequence[Entry]) -> Evaluation:
    """What the core says of ``entries``, computed once for what stands on the sheet."""
    return looked_at(bench, given_of(entries), handed_to([bench])[bench.pk]).told


def accepted_values(bench: Bench) -> dict[str, str]:
    """The hidden values of the bench's sample. Only call this for people who may see them."""
    return {hidden.key: hidden.text for hidden in bench.sample.hidden.all()} if bench.sample else {}


def with_accepted(bench: Bench, evaluation: Evaluation) -> Evaluation:
    """``evaluation`` beside the hidden values. Only call this for people who may see them."""
    accepted = accepted_values(bench)
    return held_against(method_of(bench.session), evaluation, accepted) if accepted else evaluation
