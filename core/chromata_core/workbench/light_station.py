"""A spectrophotometer: its lamp, its zero, what stands in its light.

What it shows of an absorbance A with a share s of stray light is A' = −log₁₀((10⁻ᴬ + s)/(1 + s)), the usual model
(standard textbook optics, from memory), so that dark solutions read too low.
"""

from dataclasses import dataclass
from math import log10

from chromata_core.apparatus.scene import FLOOR, TABLE
from chromata_core.apparatus.things import Area, Arrow, Display, Line, Paint, Thing, Vessel
from chromata_core.workbench.station import Control, Station

_STRAY = 0.0005
# Absorbance: how far a cold lamp wanders, what a fingerprint adds, and a cuvette the other way round.
_COLD, _SMEAR, _TURNED = 0.03, 0.03, 0.012
_CARELESS = 0.35  # how often it goes in with its arrow aside


def apparent(absorbance: float, stray: float = _STRAY) -> float:
    """The absorbance that an instrument with this share of stray light finds."""
    return -log10((10**-absorbance + stray) / (1 + stray))


@dataclass
class Photometer(Station):
    """``zero`` is what counts as nothing; ``inside``: blank, solution, or empty."""

    warm: bool = False
    zero: float = 0.0
    base: float | None = None
    inside: str = ""
    wiped: bool = False
    aside: bool = False

    def begin(self) -> None:
        self.inside = "" if self.inside == "solution" else self.inside
        if self.base is None:
            self.base = float(self.random.uniform(0.05, 0.19))

    def controls(self) -> list[Control]:
        reads = self.reading is not None
        controls = [] if self.warm else [Control("warm", "Switch it on, wait 20 min", usual=True)]
        if self.inside != "blank":
            controls.append(Control("blank", "Blank in", usual=self.warm and (not self.zero or not reads)))
        if self.inside:
            ready = self.wiped and not self.aside
            controls += [] if self.wiped else [Control("wipe", "Wipe its clear faces", usual=True)]
            controls += [Control("turn", "Turn its arrow to the light", usual=self.wiped)] if self.aside else []
            zero = Control("zero", "Zero", usual=self.inside == "blank" and ready and not self.zero)
            controls += [zero, Control("out", "Take it out")]
        if reads and self.inside != "solution":
            controls.append(Control("in", "This solution in", usual=bool(self.zero)))
        return controls

    def do(self, act: str) -> None:
        self.said = ""
        match act:
            case "warm":
                self.warm = True
            case "blank" | "in":
                self.inside, self.wiped = ("blank" if act == "blank" else "solution"), False
                self.aside = float(self.random.random()) < _CARELESS
                self.said = "There is a fingerprint on it."
            case "turn" if self.inside:
                self.aside = False
            case "wipe" if self.inside:
                self.wiped = True
            case "out":
                self.inside = ""
            case "zero" if self.inside:
                self.zero = self._absorbance()
                if self.inside == "solution":
                    self.said = "Now the solution itself counts as nothing."
            case _:
                pass

    def _absorbance(self) -> float:
        """What the light loses on its way."""
        true = 0.0
        if self.inside == "solution" and self.reading is not None:
            true = self.true
            if self.tool.unit == "%T":
                true = -log10(max(true, 1e-3) / 100)
            true *= self.truth.in_solution.get(self.place.trial, 1.0)
        smear = _SMEAR if self.inside and not self.wiped else 0.0
        turned = _TURNED if self.inside and self.aside else 0.0
        cold = 0.0 if self.warm else float(self.random.normal(0, _COLD))
        return (self.base or 0.0) + apparent(max(true, 0.0)) + smear + turned + cold

    def seen(self) -> str:
        net = self._absorbance() - self.zero
        if self.tool.unit == "%T":
            return self.on_display(100 * 10**-net + self.scatter())
        return self.on_display(net + self.scatter()) if net <= float(self.tool.high) else ""

    def things(self) -> tuple[Thing, ...]:
        paint: Paint = "water" if self.inside == "blank" else "colour"
        inside: tuple[Thing, ...] = ()
        if self.inside:
            # the mark that is etched into it: against the light, or aside
            mark = Arrow((140, 104), (158, 104)) if not self.aside else Arrow((140, 112), (140, 92))
            inside = (Vessel("cuvette", (140, 66), ((0.8, paint),)), mark)
        return (
            Area(((30, 120), (170, 120), (176, FLOOR), (24, FLOOR)), "sheet"),
            Display((40, 146), (72, 30), self.shows() or "over"), Line(((124, 120), (156, 120)), "heavy"),
            *inside, TABLE,
        )  # fmt: skip
