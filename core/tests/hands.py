"""Skilled hands at a worked bench: they do the usual thing, and know where a drop is enough."""

from collections.abc import Iterator, Mapping
from dataclasses import replace

from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Method
from chromata_core.engine.context import context_of
from chromata_core.quantity.rounding import plain
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.simulation.follow import in_hand, otherwise
from chromata_core.workbench.bench import Act, At, WorkedBench
from chromata_core.workbench.burette_station import Burette
from chromata_core.workbench.clocks_station import Stopwatch
from chromata_core.workbench.station import Station

_MOST = 500


class Hands:
    """Works ``method`` on drawn instruments, writes what they show, and keeps every act."""

    def __init__(self, method: Method, options: Mapping[str, str], tools: Mapping[str, str], seed: int = 3) -> None:
        self.method, self.seed = method, seed
        self.sheet = Sheet(options, tools)
        self.bench = WorkedBench(method, self.sheet, {}, seed, 1)
        self.acts: list[Act] = []

    def work(self, most: int = _MOST) -> Sheet:
        """The whole bench, or so many entries of it."""
        for _ in range(most):
            context = context_of(self.method, self.sheet)
            if (task := in_hand(context, self.bench.truth.values)) is None:
                break
            at = At(task.step.key, task.place)
            self.prepare(at)
            text = self.read(at) or otherwise(context, task, ["An answer."] * 9)
            assert text, f"{self.method.slug}: nothing to be written at {at}"
            self.write(at.place, text)
        return self.sheet

    def write(self, place: Place, text: str) -> None:
        self.sheet = replace(self.sheet, given=(*self.sheet.given, Given(place.key, text, place.trial, place.row)))

    def prepare(self, at: At) -> None:
        """Everything that is to be done before ``at`` is written."""
        for _ in range(150):
            view, station = self.bench.view(at), self.bench.in_hand(at)
            if view is None or station is None:
                return
            do = next((control.key for control in view.controls if control.usual), "") or next(skilled(station), "")
            if not do:
                return
            self.do(at, do)

    def do(self, at: At, *acts: str) -> None:
        for do in acts:
            self.acts.append(Act(at, do))
            self.bench.do(self.acts[-1:])

    def read(self, at: At) -> str:
        """What is read off the instrument in hand, to its decimals; empty at a look."""
        view = self.bench.view(at)
        if view is None or self.bench.truth.reading(at.place.key) is None:
            return ""
        if view.tool.low == view.tool.high:
            return f"{float(view.tool.high):.{view.tool.decimals}f}"
        return plain(float(view.shows), view.tool.decimals) if view.shows else ""


def skilled(station: Station) -> Iterator[str]:
    """Where nothing is the usual thing: how far a skilled hand goes."""
    if isinstance(station, Stopwatch) and station.seconds is not None and not station.stopped:
        left = station.true - station.seconds
        yield "stop" if left <= 0 else "ten" if left > 12 else "two" if left > 2.5 else "half"
    if isinstance(station, Burette) and not station.empty and not station.filling:
        if station.titrates:
            if station.reading is None and station.past < 0:
                yield _amount(-station.past)
        elif station.reading is not None and (left := station.truth.planned(station.place) - station.level) > 0.04:
            yield _amount(left)
        elif station.place.row and station.place not in station.truth.made:
            yield "drop"


def _amount(left: float) -> str:
    steps = ((8, "much"), (1.6, "stream"), (0.4, "little"), (0.03, "drop"))
    return next((act for more, act in steps if left > more), "half")
