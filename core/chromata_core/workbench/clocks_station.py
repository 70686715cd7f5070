"""Clocks: one that goes on in equal steps, and a stopwatch over a cross that disappears."""

from dataclasses import dataclass

from chromata_core.apparatus.scene import TABLE
from chromata_core.apparatus.things import Display, Line, Paint, Pen, Thing, Vessel
from chromata_core.workbench.station import Control, Station

_STEPS = {"ten": ("10 s", 10.0), "two": ("2 s", 2.0), "half": ("0.5 s", 0.5)}
# From which share of its time on a cross is drawn how; gone when it is gone.
_HAZE: tuple[tuple[float, Pen], ...] = ((0.0, "heavy"), (0.55, "line"), (0.8, "fine"), (0.93, "dashed"))
_EYE = 0.02  # of the time: when an eye calls it gone; common practice, no published source


@dataclass
class Clock(Station):
    """It is waited for until it shows the next time."""

    high = 84.0
    waited: bool = False

    def begin(self) -> None:
        self.waited = False

    def controls(self) -> list[Control]:
        return [] if self.waited else [Control("wait", "Wait until the next time", usual=True)]

    def do(self, act: str) -> None:
        self.waited = self.waited or act == "wait"

    def seen(self) -> str:
        return self.on_display(self.true) if self.waited else ""

    def things(self) -> tuple[Thing, ...]:
        return (Display((30, 16), (140, 52), self.shows() or "· · ·"),)


@dataclass
class Stopwatch(Station):
    """Started when both are together; the cross below fades; stopped by who looks."""

    seconds: float | None = None
    stopped: bool = False
    gone: float = 0.0

    def begin(self) -> None:
        self.seconds, self.stopped = None, False
        self.gone = 1 + float(self.random.normal(0, _EYE))

    @property
    def _share(self) -> float:
        if self.seconds is None or self.reading is None:
            return 0.0
        return self.seconds / max(self.true * self.gone, 0.1)

    def controls(self) -> list[Control]:
        if self.seconds is None:
            return [Control("start", "Acid in, start", usual=True)]
        if self.stopped:
            return []
        steps = [Control(key, f"Watch {label}") for key, (label, _) in _STEPS.items()]
        return [*steps, Control("stop", "Stop: it is gone")]

    def do(self, act: str) -> None:
        if act == "start" and self.seconds is None:
            self.seconds = 0.0
        elif self.seconds is not None and not self.stopped:
            if act in _STEPS:
                self.seconds += _STEPS[act][1]
            self.stopped = act == "stop"

    def seen(self) -> str:
        return self.on_display(self.seconds + self.off) if self.seconds is not None else ""

    def things(self) -> tuple[Thing, ...]:
        pen: Pen = next((pen for share, pen in reversed(_HAZE) if self._share >= share), "heavy")
        cross: tuple[Thing, ...] = ()
        if self._share < 1:
            cross = (Line(((62, 144), (98, 180)), pen), Line(((98, 144), (62, 180)), pen))
        cloud: Paint = "solid" if self._share > 0.55 else "water"
        return (
            Vessel("wide beaker", (80, 126), ((0.7, cloud),)),
            *cross,
            Display((112, 30), (76, 36), self.shows() or "0.0"),
            TABLE,
        )
