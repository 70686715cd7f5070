"""What an earlier part of the work found, for the benches that go on with it: worked from its record at every look, so
that a correction there is followed here.
"""

from collections.abc import Collection, Iterable, Mapping, Sequence
from dataclasses import dataclass

from django.utils import timezone

from chromata_core.engine.handing import as_number, found_here, mean_of_benches
from chromata_core.errors import SheetError
from chromata_core.sheet.bound import Sheet
from chromata_core.sheet.handed import Handed
from chromata_core.telling.veil import hidden_keys
from chromata_core.uncertainty.source import Input
from labs.declared import method_of
from labs.models import Bench, LeftOut, Session
from labs.own_work import own_work_of
from labs.parts import Take, takes_of
from notebook.looked import Looked, end_of, looked_now
from notebook.models import Entry
from notebook.remembered import MOST, entries_now
from notebook.standing import Handing, given_of, sheet_with


def sheet_of(bench: Bench, entries: Iterable[Entry]) -> Sheet:
    """The bench's sheet for the core."""
    return sheet_with(bench, given_of(entries), handed_to([bench])[bench.pk])


def handed_to(benches: Sequence[Bench]) -> dict[int, Handing]:
    """What each of ``benches`` is handed, by its id; in as many queries for all of a session as for one."""
    handing: dict[int, Handing] = {bench.pk: () for bench in benches}
    sessions = {bench.session_id: bench.session for bench in benches if bench.session.takes}
    for session in sessions.values():
        if session.follows is not None:
            here = [bench for bench in benches if bench.session_id == session.pk]
            handing |= _handed_in(session, session.follows, here)
    return handing


def _handed_in(session: Session, earlier: Session, benches: Sequence[Bench]) -> dict[int, Handing]:
    takes = takes_of(session)
    of_class = {option: take for option, take in takes.items() if take.of == "class"}
    read = _Earlier.read(earlier, None if of_class else {bench.number for bench in benches})
    mean = read.of_class(session, of_class)
    return {
        bench.pk: tuple(
            (option, mean[option] if option in mean else read.of_bench(take, session, bench))
            for option, take in takes.items()
        )
        for bench in benches
    }


_means: dict[int, tuple[object, dict[str, Handed]]] = {}  # of a session, under the ends of the records behind them


@dataclass(frozen=True)
class _Earlier:
    """An earlier session with what its benches found; ``ends`` name what stands on their records. Those ``left_out``
    do not count in its mean.
    """

    session: Session
    found: Mapping[Bench, Looked]
    ends: tuple[object, ...]
    left_out: frozenset[int]

    @classmethod
    def read(cls, session: Session, numbers: Collection[int] | None) -> "_Earlier":
        """As it stands now, at the places of these ``numbers`` or at all; nothing while it has not begun."""
        places = session.benches.select_related("sample")
        places = places if numbers is None else places.filter(number__in=numbers)
        benches = list(places) if session.opened_at else []
        for bench in benches:
            bench.session = session
        entries, handed = entries_now(benches), handed_to(benches)
        looked = {bench: looked_now(bench, entries[bench.pk], handed[bench.pk]) for bench in benches}
        out = LeftOut.objects.filter(bench__session=session).values_list("bench", flat=True) if numbers is None else ()
        ends = tuple((bench.pk, end_of(entries[bench.pk]), handed[bench.pk]) for bench in benches)
        return cls(session, looked, ends, frozenset(out))

    def of_bench(self, take: Take, session: Session, bench: Bench) -> Handed:
        """What the same place found there, if it may be told yet."""
        places = [before for before in self.found if before.number == bench.number]
        same = next((place for place in places if place.turn == bench.turn), next(iter(places), None))
        origin = f"“{self.session.title}”, {f'bench {bench.number}' if same is None else str(same).lower()}"
        if same is None:
            return Handed(origin, why=self._missing("nobody works there at a bench of this number"))
        if take.key in _to_be_worked_out(self.session, self.found[same]):
            return Handed(origin, why="work it out there first")
        at, one_day = self.found[same].at, _one_day(session, self.session)
        try:
            return as_number(found_here(at, take.key, take.trial, _sheet(same), one_day), take.unit, origin)
        except SheetError as error:
            return Handed(origin, why=error.message)

    def of_class(self, session: Session, takes: Mapping[str, Take]) -> dict[str, Handed]:
        """The means over the benches that found all that is taken so: what belongs together is of the same benches."""
        under = (self.session.title, self.ends, self.left_out, tuple(takes.items()))
        kept = _means.get(session.pk)
        if kept is None or kept[0] != under:
            if len(_means) >= MOST:
                _means.clear()
            _means[session.pk] = kept = (under, self._means_of(takes))
        return kept[1]

    def _means_of(self, takes: Mapping[str, Take]) -> dict[str, Handed]:
        counting = [(bench, looked) for bench, looked in self.found.items() if bench.pk not in self.left_out]
        whole = [inputs for at in counting if (inputs := _all(*at, [*takes.values()])) is not None]
        origin = f"“{self.session.title}”, mean of {len(whole)} bench{'' if len(whole) == 1 else 'es'}"
        if not whole:
            return {option: Handed(origin, why=self._missing("no bench has found it yet")) for option in takes}
        name = f"session {self.session.pk}"
        return {
            option: _number(mean_of_benches([inputs[take] for inputs in whole], name), take, origin)
            for option, take in takes.items()
        }

    def _missing(self, otherwise: str) -> str:
        return otherwise if self.found else "it has not begun yet"


def _to_be_worked_out(session: Session, looked: Looked) -> frozenset[str]:
    """What of a sheet its own students are still to work out."""
    asked = own_work_of(session)
    if asked.shows == "at_once" or session.released:
        return frozenset()
    return hidden_keys(looked.told, method_of(session), asked)


def _number(input_: Input, take: Take, origin: str) -> Handed:
    try:
        return as_number(input_, take.unit, origin)
    except SheetError as error:
        return Handed(origin, why=error.message)


def _all(bench: Bench, looked: Looked, wanted: Sequence[Take]) -> dict[Take, Input] | None:
    """All that is ``wanted`` as one bench found it; None where something is missing."""
    try:
        return {take: found_here(looked.at, take.key, take.trial, _sheet(bench), same_pieces=True) for take in wanted}
    except SheetError:
        return None


def _sheet(bench: Bench) -> str:
    return f"record {bench.pk}"


def _one_day(session: Session, other: Session) -> bool:
    """Whether both are held on one day of the department: then the bench keeps its pieces, and the room its warmth."""
    return timezone.localdate(session.starts_at) == timezone.localdate(other.starts_at)
