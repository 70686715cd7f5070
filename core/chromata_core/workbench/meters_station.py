"""Meters: of voltage between two leads, of an electrode in a solution, of a current that has to be held."""

from dataclasses import dataclass

from chromata_core.apparatus.scene import FLOOR, TABLE
from chromata_core.apparatus.things import Area, Bubbles, Display, Line, Note, Thing, Vessel
from chromata_core.declaration.vocabulary import Series
from chromata_core.workbench.cell_station import FLOATS
from chromata_core.workbench.station import Control, Station

_POOR = (0.06, 0.18)  # V lost at a corroded or loosely held contact
_WANDERS, _STEP = 0.06, 0.04  # shares of a current: how it wanders in a minute, and what a touch of the knob changes


@dataclass
class Voltmeter(Station):
    """Two leads at two metals: which is which is not written on them, and a loose clip loses voltage."""

    leads: int = 0  # 1: red at the first named, −1: the other way, 0: off
    held: bool = False
    sanded: bool = False
    loss: float = 0.0

    def begin(self) -> None:
        self.leads, self.held, self.sanded = 0, False, False
        self.loss = float(self.random.uniform(*_POOR))

    def controls(self) -> list[Control]:
        sand = [] if self.sanded else [Control("sand", "Sand the metals", usual=not self.leads)]
        if not self.leads:
            return [*sand, Control("leads", "Leads on", usual=self.sanded)]
        hold = [] if self.held else [Control("hold", "Hold the clips tight", usual=True)]
        return [*sand, *hold, Control("swap", "Exchange the leads", usual=self.held and self.leads < 0)]

    def do(self, act: str) -> None:
        match act:
            case "sand":
                self.sanded = True
            case "leads":
                self.leads = 1 if self.random.random() < 0.5 else -1
            case "swap" if self.leads:
                self.leads, self.held = -self.leads, False
            case "hold" if self.leads:
                self.held = True
            case _:
                pass
        self.said = "It wanders." if self.leads and not self.held else ""

    def seen(self) -> str:
        if not self.leads:
            return self.on_display(0.0)
        lost = (0.0 if self.sanded else self.loss / 2) + (0.0 if self.held else self.loss)
        scale = 1000.0 if self.tool.unit == "mV" else 1.0
        value = self.leads * (self.true - (lost if self.true > 0 else -lost) * scale)
        return self.on_display(value + self.off + self.scatter(1.0 if self.held else 4.0))

    def things(self) -> tuple[Thing, ...]:
        wires: tuple[Thing, ...] = ()
        if self.leads:
            left, right = (52, 128) if self.leads > 0 else (128, 52)
            wires = (
                Line(((86, 66), (86, 84), (left, 96), (left, 124)), "warn"),
                Line(((114, 66), (114, 84), (right, 96), (right, 124)), "heavy"),
            )
        return (
            Display((58, 24), (84, 40), self.shows()), Vessel("beaker", (52, 134), ((0.6, "water"),)),
            Vessel("beaker", (128, 134), ((0.6, "colour"),)),
            Area(((46, 122), (58, 122), (58, 180), (46, 180)), "metal"),
            Area(((122, 122), (134, 122), (134, 180), (122, 180)), "other metal"),
            Line(((66, 150), (74, 128), (106, 128), (114, 150)), "dashed"), *wires, TABLE,
        )  # fmt: skip


@dataclass
class Electrode(Station):
    """An electrode in a stirred solution: it needs time wherever its reading changes fast."""

    away: float = 0.0
    last: float | None = None

    def begin(self) -> None:
        new = self.true
        self.away = 0.0 if self.last is None else (self.last - new) * 0.6
        self.last = new

    def controls(self) -> list[Control]:
        return [Control("wait", "Wait 5 s", usual=abs(self.away) > 10.0**-self.tool.decimals)]

    def do(self, act: str) -> None:
        if act == "wait":
            self.away *= 0.25
        self.said = "It stands." if abs(self.away) < 10.0**-self.tool.decimals else "It still runs."

    def seen(self) -> str:
        return self.on_display(self.true + self.away + self.off + self.scatter())

    def things(self) -> tuple[Thing, ...]:
        return (
            Display((104, 40), (80, 34), f"{self.shows()}"), Line(((120, 74), (96, 92)), "line"),
            Vessel("beaker", (80, 134), ((0.6, "colour"),)),
            Area(((90, 84), (98, 84), (98, 182), (90, 182)), "sheet"),
            Area(((66, FLOOR - 5), (84, FLOOR - 5), (84, FLOOR - 1), (66, FLOOR - 1)), "metal"), TABLE,
        )  # fmt: skip


@dataclass
class Ammeter(Station):
    """A current that wanders while it runs: the needle is held on its mark by a knob."""

    now: float = 0.0

    def begin(self) -> None:
        if self.now:
            self.now *= 1 + float(self.random.normal(0, _WANDERS))

    @property
    def _meant(self) -> float:
        return abs(self.truth.planned(self.place)) if self.reading else 0.0

    def controls(self) -> list[Control]:
        if not self.now:
            return [Control("on", "Current on, clock too", usual=True)]
        less, more = self.now > self._meant * 1.02, 0 < self.now < self._meant * 0.98
        return [
            Control("less", "A little less", usual=less), Control("more", "A little more", usual=more),
            Control("off", "Current off"),
        ]  # fmt: skip

    def do(self, act: str) -> None:
        if act == "on":
            self.now = (self._meant or 0.1) * float(self.random.uniform(0.8, 1.2))
            self.truth.in_solution[self.place.trial] = 1 - FLOATS
        elif act in ("more", "less"):
            self.now *= 1 + (_STEP if act == "more" else -_STEP) * float(self.random.uniform(0.6, 1.2))
        elif act == "off":
            self.now = 0.0
        if self.reading is not None:
            self.truth.make(self.place, self.now)

    def seen(self) -> str:
        return self.on_scale(self.now + self.off)

    def things(self) -> tuple[Thing, ...]:
        gas = (Bubbles((110, 170), (110, 130), 5), Note((40, 120), "brown", "soft")) if self.now else ()
        return (
            Vessel("wide beaker", (80, 126), ((0.7, "acid" if self.now else "water"),)),
            Line(((50, 60), (50, 178)), "heavy"), Line(((110, 60), (110, 178)), "heavy"),
            Line(((50, 60), (50, 40), (150, 40)), "warn"), Line(((110, 60), (110, 52), (150, 52)), "line"), *gas, TABLE,
        )  # fmt: skip


def meter(station_reading: object) -> type[Station]:
    """Which of them reads it: a series beside a burette is an electrode's."""
    return Electrode if isinstance(station_reading, Series) else Voltmeter
