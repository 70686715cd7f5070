"""A bench worked on the screen: what was done at it, one act after the other, leads to what it shows now."""

from collections.abc import Mapping, Sequence
from copy import copy
from dataclasses import dataclass

import numpy as np

from chromata_core.apparatus.drawn import Shape, Words, drawn
from chromata_core.apparatus.scene import WIDTH
from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Method, Reading, Step
from chromata_core.instruments.instrument import Instrument
from chromata_core.sheet.bound import Sheet
from chromata_core.simulation.readings import calibration_of
from chromata_core.workbench.balance_station import Balance
from chromata_core.workbench.burette_station import Burette
from chromata_core.workbench.cell_station import Cell
from chromata_core.workbench.clocks_station import Clock, Stopwatch
from chromata_core.workbench.crucible_station import Crucible
from chromata_core.workbench.gas_station import GasTube
from chromata_core.workbench.glass_station import OneMark, Scale
from chromata_core.workbench.light_station import Photometer
from chromata_core.workbench.meters_station import Ammeter, Electrode, meter
from chromata_core.workbench.station import Control, Station
from chromata_core.workbench.truth import Truth
from chromata_core.workbench.wall_station import Wall
from chromata_core.workbench.warmth_station import Warmth

_KINDS: dict[str, type[Station]] = {
    "balance": Balance, "burette": Burette, "piston burette": Burette, "pipette": OneMark, "flask": OneMark,
    "cylinder": Scale, "graduated pipette": Scale, "adjustable pipette": Scale, "thermometer": Warmth,
    "glass thermometer": Warmth, "spectrophotometer": Photometer, "voltmeter": Electrode, "pH meter": Electrode,
    "ammeter": Ammeter, "gas tube": GasTube, "clock": Clock, "stopwatch": Stopwatch,
}  # fmt: skip
# At steps that read nothing, hands are at an instrument of one of these kinds.
_AT_STEPS = {
    "burette-fill": ("burette", "piston burette"), "burette-run": ("burette", "piston burette"),
    "lamp-on": ("spectrophotometer",), "blank": ("spectrophotometer",), "gas-tube-brim": ("gas tube",),
    "beaker-ready": ("gas tube",), "cell-leads": ("voltmeter",), "crucible": ("balance",),
    "electrolysis-rest": ("ammeter",),
}  # fmt: skip
# Steps at which something is done that only the next weighing shows.
_SCENES: dict[str, type[Station]] = {"crucible": Crucible, "electrolysis-rest": Cell}
MOST_ACTS = 4000


@dataclass(frozen=True, slots=True)
class At:
    """What is in hand: its step, and the place that is written next."""

    step: str
    place: Place


@dataclass(frozen=True, slots=True)
class Act:
    """Something done, while this was in hand."""

    at: At
    do: str


@dataclass(frozen=True, slots=True)
class WorkedView:
    """How the instrument in hand looks and what can be done with it. ``shows`` is where its scale or display stands,
    empty where there is nothing to be read yet, seen from ``eye`` (instruments/parallax.py); ``tool`` is that
    instrument.
    """

    title: str
    width: float
    height: float
    shapes: list[Shape]
    words: list[Words]
    tool: Instrument
    shows: str
    eye: float
    controls: list[Control]
    said: str


class WorkedBench:
    """One bench of ``plan``. The same seed and the same acts always lead to the same bench."""

    def __init__(self, method: Method, plan: Sheet, accepted: Mapping[str, str], seed: int, day: int) -> None:
        self.truth = Truth.of(method, plan, accepted, seed, day)
        self.seed, self.acts = seed, 0
        self.stations: dict[str, Station] = {}
        random = np.random.default_rng([seed, 5])
        roles = sorted(self.truth.bound.instruments.items())
        self.off = {role: calibration_of(tool, random) for role, tool in roles}

    def do(self, acts: Sequence[Act]) -> None:
        """Does them in order. What cannot be done at an instrument as it stands changes nothing."""
        for act in acts:
            self.acts += 1
            station = self._station(act.at)
            if station is not None:
                station.come_to(act.at.place)
                station.acted(act.do, self.acts)

    def in_hand(self, at: At) -> Station | None:
        """The instrument in hand as it stands now, None where hands need none. Looking at it changes nothing."""
        station = self._station(at)
        if station is None:
            return None
        looked = copy(station)
        looked.come_to(at.place)
        return looked

    def _station(self, at: At) -> Station | None:
        reading = self.truth.reading(at.place.key)
        role = reading.role if reading else self._role_of(at)
        if role is None:
            return None
        if reading is None and self._scene_of(at) in _SCENES:
            return self._over_the_flame(self._scene_of(at), role)
        if role not in self.stations:
            tool = self.truth.bound.instruments[role]
            self.stations[role] = self._kind(role, tool)(role, tool, self.truth, self.off[role], self.seed)
        return self.stations[role]

    def _over_the_flame(self, scene: str, role: str) -> Station:
        """A station of a step, not of an instrument; what it leads to is read with the instrument of ``role``."""
        if scene not in self.stations:
            tool = self.truth.bound.instruments[role]
            self.stations[scene] = _SCENES[scene](role, tool, self.truth, 0.0, self.seed)
        return self.stations[scene]

    def _scene_of(self, at: At) -> str:
        return next((step.scene for step in self.truth.bound.steps if step.key == at.step), "")

    def _kind(self, role: str, tool: Instrument) -> type[Station]:
        kind = _KINDS.get(tool.kind, Wall)
        if kind is Electrode:
            return meter(next((reading for reading in self.truth.bound.readings if reading.role == role), None))
        return kind

    def _role_of(self, at: At) -> str | None:
        """At a step that reads nothing, or a look: the instrument that the step is about."""
        step = next((step for step in self.truth.bound.steps if step.key == at.step), None)
        if step is None:
            return None
        read = sorted(self._read_in(step), key=lambda reading: reading.optional)
        return next((reading.role for reading in read), None) or self._by_scene(step)

    def _read_in(self, step: Step) -> list[Reading]:
        readings = [self.truth.reading(key) for key in step.reads]
        return [reading for reading in readings if reading is not None]

    def _by_scene(self, step: Step) -> str | None:
        kinds = _AT_STEPS.get(step.scene, ())
        used = [reading.role for reading in self.truth.bound.readings]
        tools = self.truth.bound.instruments
        return next((role for role in used if tools[role].kind in kinds), None)

    def view(self, at: At) -> WorkedView | None:
        """What is seen now; None where no instrument is in hand."""
        station = self.in_hand(at)
        if station is None:
            return None
        pieces, read = drawn(station.things()), station.reading is not None or station.watched
        return WorkedView(
            station.title, WIDTH, station.high,
            shapes=[piece for piece in pieces if isinstance(piece, Shape)],
            words=[piece for piece in pieces if isinstance(piece, Words)],
            tool=station.tool, shows=station.shows() if read else "", eye=station.eye, controls=station.controls(),
            said=station.said or station.looks(),
        )  # fmt: skip
