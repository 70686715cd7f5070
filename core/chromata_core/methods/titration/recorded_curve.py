"""Words for a titration that is recorded point by point: its jump ahead and behind, its doubts, its picture."""

from collections.abc import Iterator
from dataclasses import dataclass

from chromata_core.curves.end_point import by_second_derivative, derivatives
from chromata_core.curves.line import CurveError
from chromata_core.declaration.names import NumberName, QuantityName, SeriesName
from chromata_core.engine.context import Context
from chromata_core.judging.finding import Finding
from chromata_core.judging.rules import curve_of
from chromata_core.judging.shapes import Ends, Guides, Looks
from chromata_core.quantity.rounding import plain, with_figures
from chromata_core.telling.chart import Chart, ChartLine, ChartMark, Draws, axis

_STEEP = 4.0  # a jump is so much steeper than the curve's middle slope
_BEGINNING = 3  # the first intervals are steep without being the jump
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


@dataclass(frozen=True, slots=True)
class JumpPassed(Ends):
    """A titration curve is finished when the jump lies behind by as many readings as the option says."""

    volume: SeriesName
    value: SeriesName
    after: NumberName
    words: str = "until the jump lies behind"

    @property
    def options(self) -> tuple[str, ...]:
        """The number of readings behind the jump."""
        return (self.after,)

    def met(self, at: Context, key: str, trial: int | None) -> bool:
        """Whether the curve has a jump and goes on beyond it."""
        volumes, values = curve_of(at.bound, self.volume, self.value, trial)
        end = jump(volumes, values)
        return end is not None and sum(v > end for v in volumes) >= at.number(self.after)


@dataclass(frozen=True, slots=True)
class AgainstTheTrend(Looks):
    """A reading that falls while the curve rises (or the other way) by more than it can drift."""

    volume: SeriesName
    value: SeriesName
    allowed: str

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding at each such point behind the first three."""
        for trial in at.trials():
            _, values = curve_of(at.bound, self.volume, self.value, trial)
            if len(values) < 5:
                continue
            rising = 1.0 if values[-1] >= values[0] else -1.0
            for place in range(3, len(values)):
                back = rising * (values[place - 1] - values[place])
                if back > float(self.allowed):
                    yield Finding(
                        f"{self.value}-trend", "look", f"This reading goes back by {with_figures(back, 2)}.",
                        "The curve goes one way only; it may not have settled, or a digit is wrong.",
                        "Wait until it stands still and read again.", key=self.value, trial=trial, index=place + 1,
                    )  # fmt: skip


@dataclass(frozen=True, slots=True)
class CoarseAtJump(Looks):
    """The end point is only known to ``half_step``: says so when the steps at the jump were too large."""

    half_step: QuantityName
    volume: SeriesName
    value: SeriesName
    fine_step: NumberName

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding once the jump is passed."""
        fine = float(at.number(self.fine_step))
        for trial in at.trials():
            half = at.value(self.half_step, trial, "mL")
            volumes, values = curve_of(at.bound, self.volume, self.value, trial)
            if half is None or 2 * half <= 2.5 * fine or jump(volumes, values) is None:
                continue
            yield Finding(
                "coarse-jump", "look", f"The step at the jump was {plain(2 * half, 2)} mL.",
                f"The end point is only known to ± {plain(half, 2)} mL, half a step.",
                f"In the next one go over to {plain(fine, 2)} mL as soon as the slope rises.", key=self.volume, trial=trial,
            )  # fmt: skip


@dataclass(frozen=True, slots=True)
class TitrationCurve(Draws):
    """The curve of the trial in hand with its slope, and the end point once the jump is passed."""

    key: str
    title: str
    volume: SeriesName
    value: SeriesName
    end: QuantityName

    def draw(self, at: Context) -> Chart | None:
        """Drawn from the second pair on."""
        curves = [(n, *curve_of(at.bound, self.volume, self.value, n)) for n in at.trials()]
        curves = [curve for curve in curves if len(curve[1]) > 1]
        signal = at.reading(self.value)
        if not curves or signal is None:
            return None
        trial, volumes, values = curves[-1]
        end = at.value(self.end, trial, "mL")
        marks = [ChartMark("end point", x=end)] if end is not None else []
        sentence = f"end point at {plain(end, 2)} mL." if end is not None else "the jump is not passed yet."
        slope = self._slope(volumes, values)
        return Chart(
            self.key, self.title, "Burette, mL", y_label=axis(signal.label, signal.unit),
            sentence=f"{at.trial_name(trial).capitalize()}, {len(volumes)} points; {sentence}",
            lines=[ChartLine(signal.label, "line", list(zip(volumes, values, strict=True))), *slope], marks=marks, areas=[],
            right_label=f"Slope, {signal.unit or 'pH'}/mL" if slope else "",
        )  # fmt: skip

    @staticmethod
    def _slope(volumes: list[float], values: list[float]) -> list[ChartLine]:
        try:
            derived = derivatives(volumes, values)
        except CurveError:
            return []
        points = list(zip(derived.volumes[:, 0].tolist(), derived.first[:, 0].tolist(), strict=True))
        return [ChartLine("Slope", "bars", points, right=True)]


def jump(volumes: list[float], values: list[float]) -> float | None:
    """The volume of the jump once it is passed, None before. The steep beginning of a curve is not taken for it."""
    if len(volumes) < _BEGINNING + 4:
        return None
    slopes = slopes_of(volumes, values)
    later = slopes[_BEGINNING:]
    if max(later) < _STEEP * sorted(slopes)[len(slopes) // 2]:
        return None
    try:
        return float(by_second_derivative(volumes[_BEGINNING - 1 :], values[_BEGINNING - 1 :])[0])
    except CurveError:
        return None


def slopes_of(volumes: list[float], values: list[float]) -> list[float]:
    """The size of the slope of each interval; 0 where the volume did not grow."""
    return [
        abs((values[i + 1] - values[i]) / (volumes[i + 1] - volumes[i])) if volumes[i + 1] > volumes[i] else 0.0
        for i in range(len(volumes) - 1)
    ]
