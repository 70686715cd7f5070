"""What an earlier part of the work found, for the benches that go on with it: worked from its record at every look, so
that a correction there is followed here.
"""

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass

from django.utils import timezone

from chromata_core.engine.context import Context
from chromata_core.engine.handing import as_number, found_here, mean_of_benches
from chromata_core.errors import SheetError
from chromata_core.sheet.bound import Sheet
from chromata_core.sheet.handed import Handed
from chromata_core.telling.veil import hidden_keys
from chromata_core.uncertainty.source import Input
from labs.declared import method_of
from labs.models import Bench, Session
from labs.own_work import own_work_of
from labs.parts import Take, takes_of
from notebook.looked import Looked, looked_at
from notebook.models import Entry
from notebook.remembered import entries_now
from notebook.standing import Handing, given_of, sheet_with


def sheet_of(bench: Bench, entries: Iterable[Entry]) -> Sheet:
    """The bench's sheet for the core."""
    return sheet_with(bench, given_of(entries), handed_to([bench])[bench.pk])


def handed_to(benches: Sequence[Bench]) -> dict[int, Handing]:
    """What each of ``benches`` is handed, by its id; in as many queries for all of a session as for one."""
    found: dict[int, Handing] = {bench.pk: () for bench in benches}
    sessions = {bench.session_id: bench.session for bench in benches if bench.session.takes}
    for session in sessions.values():
        if session.follows is not None:
            earlier = _Earlier.read(session.follows)
            here = [bench for bench in benches if bench.session_id == session.pk]
            found |= {bench.pk: earlier.handed(session, bench) for bench in here}
    return found


@dataclass(frozen=True)
class _Earlier:
    """An earlier session with what its benches found."""

    session: Session
    found: Mapping[Bench, Context]
    hidden: Mapping[Bench, frozenset[str]]

    @classmethod
    def read(cls, session: Session) -> "_Earlier":
        """As it stands now; nothing while it has not begun."""
        benches = list(session.benches.select_related("sample")) if session.opened_at else []
        for bench in benches:
            bench.session = session
        entries, handed = entries_now(benches), handed_to(benches)
        seen = {bench: looked_at(bench, given_of(entries[bench.pk]), handed[bench.pk]) for bench in benches}
        hidden = {bench: _to_be_worked_out(session, looked) for bench, looked in seen.items()}
        return cls(session, {bench: looked.at for bench, looked in seen.items()}, hidden)

    def handed(self, session: Session, bench: Bench) -> Handing:
        """What ``bench`` of a later ``session`` takes from here."""
        takes = takes_of(session)
        return tuple(
            (option, self._of_class(take, takes) if take.of == "class" else self._of_bench(take, session, bench))
            for option, take in takes.items()
        )

    def _of_bench(self, take: Take, session: Session, bench: Bench) -> Handed:
        places = [one for one in self.found if one.number == bench.number]
        same = next((one for one in places if one.turn == bench.turn), next(iter(places), None))
        origin = f"“{self.session.title}”, {f'bench {bench.number}' if same is None else str(same).lower()}"
        if same is None:
            return Handed(origin, why=self._missing("nobody works there at a bench of this number"))
        if take.key in self.hidden[same]:
            return Handed(origin, why="work it out there first")
        try:
            found = found_here(
                self.found[same], take.key, take.trial, _sheet(same), same_pieces=_one_day(session, self.session)
            )
        except SheetError as error:
            return Handed(origin, why=error.message)
        return as_number(found, take.unit, origin)

    def _of_class(self, take: Take, takes: Mapping[str, Take]) -> Handed:
        """The mean over the benches that found all that is taken so: what belongs together is of the same benches."""
        wanted = [one for one in takes.values() if one.of == "class"]
        found = [all_of for at in self.found.items() if (all_of := _all(*at, wanted)) is not None]
        origin = f"“{self.session.title}”, mean of {len(found)} bench{'' if len(found) == 1 else 'es'}"
        if not found:
            return Handed(origin, why=self._missing("no bench has found it yet"))
        mean = mean_of_benches([one[take] for one in found], f"session {self.session.pk}")
        return as_number(mean, take.unit, origin)

    def _missing(self, otherwise: str) -> str:
        return otherwise if self.found else "it has not begun yet"


def _to_be_worked_out(session: Session, looked: Looked) -> frozenset[str]:
    """What of a sheet its own students are still to work out."""
    asked = own_work_of(session)
    if asked.shows == "at_once" or session.released:
        return frozenset()
    return hidden_keys(looked.told, method_of(session), asked)


def _all(bench: Bench, at: Context, wanted: Sequence[Take]) -> dict[Take, Input] | None:
    """All that is ``wanted`` as one bench found it; None where something is missing."""
    try:
        return {one: found_here(at, one.key, one.trial, _sheet(bench), same_pieces=True) for one in wanted}
    except SheetError:
        return None


def _sheet(bench: Bench) -> str:
    return f"record {bench.pk}"


def _one_day(one: Session, other: Session) -> bool:
    """Whether both are held on one day of the department: then the bench keeps its pieces, and the room its warmth."""
    return timezone.localdate(one.starts_at) == timezone.localdate(other.starts_at)
