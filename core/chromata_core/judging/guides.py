"""Guides: what to say within a step from the readings so far."""

from dataclasses import dataclass

from chromata_core.declaration.names import NumberName, QuantityName, ReadingName, SeriesName
from chromata_core.engine.context import Context
from chromata_core.judging.rules import curve_of, jump, slopes_of
from chromata_core.judging.shapes import Guides
from chromata_core.quantity.rounding import plain


@dataclass(frozen=True, slots=True)
class RunIn(Guides):
    """How far to run in before going slowly: the mean of the other trials' ``delivered`` from where this one began."""

    start: ReadingName
    delivered: QuantityName

    def say(self, at: Context, trial: int) -> str:
        """Empty before the trial has begun and while there is no other."""
        begun = at.typed(self.start, trial)
        done = [v for t in at.trials() if t != trial and (v := at.value(self.delivered, t)) is not None]
        if begun is None or not done:
            return ""
        mark = float(begun.value) + sum(done) / len(done) - 1
        unit = at.quantity(self.delivered).unit
        return f"Run in to about {plain(mark, 0)} {unit}, then drop by drop, swirling." if mark > 0 else ""


_RISING = 2.0  # the slope has doubled against the curve's middle slope: the jump is near


@dataclass(frozen=True, slots=True)
class JumpAhead(Guides):
    """Sees the jump of a titration curve coming and says which step to take."""

    volume: SeriesName
    value: SeriesName
    step: NumberName
    fine_step: NumberName
    after: NumberName

    def say(self, at: Context, trial: int) -> str:
        """The step to take now, and whether to wait for the reading."""
        volumes, values = curve_of(at.bound, self.volume, self.value, trial)
        step, fine = at.number(self.step), at.number(self.fine_step)
        if not volumes:
            return "Read before any titrant is in: 0.00 belongs to the curve."
        passed = jump(volumes, values)
        if passed is not None:
            left = int(at.number(self.after)) - sum(v > passed for v in volumes)
            more = f"{left} more readings of {step} mL each." if left > 1 else "One more reading."
            return f"The jump lies behind, near {plain(passed, 1)} mL. {more}" if left > 0 else ""
        if self._near(volumes, values):
            return f"The jump is coming: only {fine} mL now. Wait until the reading stops drifting, minutes if need be."
        return f"Add about {step} mL, count to five, read both."

    @staticmethod
    def _near(volumes: list[float], values: list[float]) -> bool:
        slopes = slopes_of(volumes, values)
        if len(slopes) < 6:
            return False
        usual = sorted(slopes)[len(slopes) // 2]
        return usual > 0 and max(slopes[-2:]) > _RISING * usual and slopes[-1] >= 0.8 * slopes[-2]
