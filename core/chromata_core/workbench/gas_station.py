"""A gas tube: acid, water to the brim, over, reaction, bubbles loose, levels one."""

from dataclasses import dataclass
from math import exp

from chromata_core.apparatus.scene import FLOOR, TABLE
from chromata_core.apparatus.things import Area, Bubbles, Line, Note, Paint, Thing, Vessel
from chromata_core.workbench.station import Control, Station

_SLOW = 1.0  # min: how fast a ribbon dissolves
_DONE = 7  # min: nothing rises any more
_AIR, _CLING = (0.4, 1.6), (0.1, 0.5)  # mL left at the top of a tube not full to its brim; of bubbles at its wall
_APART = (-0.012, 0.012)  # share of the volume while the levels differ by some centimetres of water
_LONG, _DEEP = 152.0, 70.0  # of the drawn tube and of its beaker
_BEFORE = ("acid", "water", "brim", "over")


@dataclass
class GasTube(Station):
    """``done`` are the moves so far; ``minutes`` since it was turned over."""

    done: tuple[str, ...] = ()
    minutes: float = 0.0
    trial: int | None = None
    air: float = 0.0
    cling: float = 0.0
    apart: float = 0.0

    def begin(self) -> None:
        if self.place.trial != self.trial:
            self.trial, self.done, self.minutes = self.place.trial, (), 0.0

    def controls(self) -> list[Control]:
        if "over" not in self.done:
            labels = {
                "acid": "Acid in",
                "water": "Water slowly on top",
                "brim": "To the very brim",
                "over": "Stopper on, turn over",
            }
            following = next((key for key in _BEFORE if key not in self.done), "")
            ready = {
                "acid": True,
                "water": "acid" in self.done,
                "brim": "water" in self.done,
                "over": "water" in self.done,
            }
            return [
                Control(key, label, usual=key == following)
                for key, label in labels.items()
                if key not in self.done and ready[key]
            ]
        left = [("wait", "Wait a minute", self.minutes < _DONE)]
        left += [("tap", "Tap bubbles loose", self.minutes >= _DONE)] if "tap" not in self.done else []
        left += (
            [("level", "Levels together", self.minutes >= _DONE and "tap" in self.done)]
            if "level" not in self.done
            else []
        )
        return [Control(*step) for step in left]

    def do(self, act: str) -> None:
        if act not in [control.key for control in self.controls()]:
            return
        self.said = ""
        if act == "over":
            self.air = 0.0 if "brim" in self.done else float(self.random.uniform(*_AIR))
            self.cling, self.apart = float(self.random.uniform(*_CLING)), float(self.random.uniform(*_APART))
            self.said = "A bubble of air stands at the top." if self.air else "No bubble stands at the top."
        if act == "wait":
            self.minutes += 1
            self.done = tuple(key for key in self.done if key != "level")
            self.said = "It bubbles." if self.minutes < _DONE else "No bubble rises any more."
        else:
            self.done = (*self.done, act)

    @property
    def volume(self) -> float:
        """mL in the tube as it stands."""
        if self.reading is None or "over" not in self.done:
            return 0.0
        gas = self.true * (1 - exp(-self.minutes / _SLOW)) if self.minutes < _DONE else self.true
        gas += self.air - (0.0 if "tap" in self.done else self.cling)
        return max(gas * (1 if "level" in self.done else 1 + self.apart), 0.0)

    def seen(self) -> str:
        return self.on_scale(self.volume + self.off) if self.volume else ""

    def things(self) -> tuple[Thing, ...]:
        if "over" not in self.done:
            layers: tuple[tuple[float, Paint], ...] = ((0.25, "acid"),) if "acid" in self.done else ()
            full = 0.999 if "brim" in self.done else 0.96
            layers += ((full, "water"),) if "water" in self.done else ()
            return (Vessel("gas tube", (80, 30), layers), TABLE)
        gone = min(max((self.volume / float(self.tool.high)) * 0.85 + self.air * 0.01, 0.02), 0.95)
        rising = (Bubbles((80, 150), (80, 90), 5),) if 0 < self.minutes < 5 else ()
        top, outside = 30.0, 0.6
        if "level" in self.done:  # lowered until the water stands alike within and without
            top = FLOOR - _LONG
            outside = min(max((FLOOR - top - _LONG * gone) / _DEEP, 0.1), 0.97)
        tube = Vessel("gas tube", (80, top), ((1 - gone, "water"),), turned=180)
        beaker = Vessel("wide beaker", (80, FLOOR - _DEEP), ((outside, "water"),))
        surface = FLOOR - outside * _DEEP
        level = (Line(((20, surface), (140, surface)), "dashed"),) if "level" in self.done else ()
        words = f"{self.minutes:.0f} min" if self.minutes else ""
        foot = top + _LONG
        stopper = Area(((72, foot - 6), (88, foot - 6), (86, foot + 4), (74, foot + 4)), "stopper")
        return (beaker, tube, stopper, *rising, *level, *((Note((140, 60), words, "soft"),) if words else ()), TABLE)
