"""Checks on absorbances: the instrument's state, the line of the standards, and where an unknown lies on it."""

from collections.abc import Iterator
from dataclasses import dataclass
from math import inf, isfinite

from chromata_core.curves.calibration import dilution, line_tests
from chromata_core.curves.line import CurveError, line
from chromata_core.declaration.names import (
    ChoiceName,
    ListName,
    NumberName,
    ObservationName,
    ReadingName,
    SeriesName,
    StepName,
)
from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Series
from chromata_core.engine.context import Context
from chromata_core.judging.finding import Finding
from chromata_core.judging.rules import Bracketed
from chromata_core.judging.shapes import Looks
from chromata_core.quantity.rounding import with_figures

_MINUTE = 60


@dataclass(frozen=True, slots=True)
class TooEarly(Looks):
    """A reading made before the lamp has warmed up."""

    step: StepName
    readings: tuple[ReadingName, ...]

    def look(self, at: Context) -> Iterator[Finding]:
        """One finding at the first reading that came too early."""
        step = next((s for s in at.bound.steps if s.key == self.step), None)
        if step is None or step.wait is None:
            return
        begun = at.begun(step, None)
        first = _first(at, self.readings)
        if begun is None or first is None:
            return
        place, when = first
        if when < begun + step.wait.seconds:
            left = -(-(begun + step.wait.seconds - when) // _MINUTE)
            yield Finding(
                "not-warm", "look", f"The lamp was {left:.0f} min short of its warm-up.",
                "Until then the zero drifts.", "Read the blank again after the warm-up, then the standards.",
                    key=place.key, trial=place.trial, index=place.row,
                word="When was the instrument switched on?",
            )  # fmt: skip


@dataclass(frozen=True, slots=True)
class BlankStale(Looks):
    """Too long since the blank was last read: after a break the zero is set anew."""

    zero: ObservationName
    again: ObservationName
    readings: tuple[ReadingName, ...]
    minutes: NumberName

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding at every reading that follows the last blank by more than the option's minutes."""
        zeros = sorted(time for place, time in at.bound.times.items() if place.key in (self.zero, self.again))
        for key in self.readings:
            for place, time in at.bound.times.items():
                before = [zero for zero in zeros if zero <= time]
                if place.key == key and before and time - before[-1] > _MINUTE * float(at.number(self.minutes)):
                    yield Finding(
                        "blank-stale", "look", f"{(time - before[-1]) / _MINUTE:.0f} min since the blank.",
                        "The zero drifts during a break.",
                        "Put the blank in, zero again, then read this one again.",
                    key=place.key, trial=place.trial, index=place.row,
                    )  # fmt: skip


def _first(at: Context, keys: tuple[str, ...]) -> tuple[Place, float] | None:
    stamps = [(place, time) for place, time in at.bound.times.items() if place.key in keys]
    return min(stamps, key=lambda pair: pair[1], default=None)


@dataclass(frozen=True, slots=True)
class OverFull(Looks):
    """More than 100 %T: more light than through the blank."""

    readings: tuple[ReadingName, ...]

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding at each such reading."""
        for place, typed in at.bound.typed.items():
            if place.key in self.readings and typed.value > 100:
                yield Finding(
                    "over-full", "stop", f"{typed.text} %T is more light than through the blank.",
                    "The blank was not set, or is darker than the sample.", "Zero on the blank again.",
                    key=place.key, trial=place.trial, index=place.row,
                    word="What does it show with the blank in?",
                )  # fmt: skip


@dataclass(frozen=True, slots=True)
class Pale(Looks):
    """Absorbances that are read badly: under 0.05 almost nothing is absorbed, over 1.0 hardly any light arrives."""

    absorbances: ListName
    signal: SeriesName

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding at each such reading; common practice, no published source."""
        for trial in (None, *at.trials(valid=False)):
            for index, value in enumerate(at.listed(self.absorbances, trial), 1):
                if 0.05 <= value <= 1.0 or not isfinite(value):
                    continue
                if Place(self.signal, trial, index) not in at.bound.typed:
                    continue
                dark = value > 1.0
                why = "Hardly any light comes through." if dark else "Almost nothing is absorbed."
                do = (
                    "Dilute, if there is time."
                    if dark
                    else "Look whether the right cuvette is in; make it stronger if it is."
                )
                what = f"Absorbance {with_figures(value, 3)} is read badly."
                yield Finding("pale", "look", what, why, do, key=self.signal, trial=trial, index=index)


@dataclass(frozen=True, slots=True)
class NotRising(Looks):
    """A standard that absorbs less than a weaker one: two of them, or two cuvettes, were exchanged."""

    concentrations: ListName
    absorbances: ListName
    signal: SeriesName

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding at the first of them."""
        points = list(zip(at.listed(self.concentrations, None), at.listed(self.absorbances, None), strict=False))
        for index in range(1, len(points)):
            (c, a), (c_before, a_before) = points[index], points[index - 1]
            if (c - c_before) * (a - a_before) < 0:
                yield Finding(
                    "not-rising", "stop", f"Standard {index + 1} does not follow the one before.",
                    "What is stronger absorbs more: two standards, or two cuvettes, may be exchanged.",
                    "Look at the labels by colour, read both again.", key=self.signal, trial=None, index=index + 1,
                    word="Hold the two against the light: which is darker?",
                )  # fmt: skip
                return


@dataclass(frozen=True, slots=True)
class Bow(Looks):
    """Residuals that bow: the points do not lie on a line (5 % test of the quadratic term)."""

    concentrations: ListName
    absorbances: ListName
    signal: SeriesName

    def look(self, at: Context) -> Iterator[Finding]:
        """One finding once there are five standards or more; four always bow a little."""
        points = list(zip(at.listed(self.concentrations, None), at.listed(self.absorbances, None), strict=False))
        if len(points) < 5:
            return
        try:
            bent = line_tests([x for x, _ in points], [y for _, y in points]).bent
        except CurveError:
            return
        if bent:
            yield Finding(
                "bow", "look", "The residuals bow.", "The absorbance no longer follows the concentration in a line.",
                "Leave the strongest standards out of the plan next time, or read below 1.0.", key=self.signal, trial=None,
                index=len(points),
            )  # fmt: skip


@dataclass(frozen=True, slots=True)
class ZeroLine(Looks):
    """A line forced through the origin although its own intercept is not zero (5 % test)."""

    option: ChoiceName
    concentrations: ListName
    absorbances: ListName
    signal: SeriesName

    def look(self, at: Context) -> Iterator[Finding]:
        """One finding, where the class draws its line through the origin."""
        points = list(zip(at.listed(self.concentrations, None), at.listed(self.absorbances, None), strict=False))
        if at.bound.options[self.option] != "origin" or len(points) < 3:
            return
        tested = line_tests([x for x, _ in points], [y for _, y in points])
        if tested.intercept_zero < 0.05:
            yield Finding(
                "not-through-zero", "look", "The standards' own line does not go through zero.",
                "Forcing it there bends every result; the blank may not be the standards' solvent.",
                "Use the line with intercept, or look at the blank.", key=self.signal, trial=None, index=len(points),
            )  # fmt: skip


@dataclass(frozen=True, slots=True)
class OffTheLine(Looks):
    """An unknown above or below the standards: what to do, with the factor; and a second reading whose dilution was not
    written down. Of a line that was given only its ``top`` is known.
    """

    signal: SeriesName
    absorbances: ListName
    concentrations: ListName
    standards: ListName
    diluted: ReadingName
    top: NumberName = ""

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding at the last reading of each unknown that lies outside, or that went in again without a word."""
        reading = at.reading(self.signal)
        if not isinstance(reading, Series) or not isinstance(reading.until, Bracketed):
            return
        given = bool(self.top) and at.reading(reading.until.standards) is None
        for trial in at.trials():
            readings = at.bound.series(self.signal, trial)
            values, known = at.listed(self.absorbances, trial), at.listed(self.standards, None)
            if not readings or len(values) < len(readings) or not (known or given):
                continue
            low, high = (-inf, float(at.number(self.top))) if given else (min(known), max(known))
            outside = [not low <= value <= high for value in values]
            if outside[-1] and not given:
                yield self._outside(at, trial, len(readings), values[-1])
            elif any(outside[:-1]) and not outside[-1] and at.typed(self.diluted, trial) is None:
                yield Finding(
                    "dilution-unwritten", "stop", "It was read again and lies inside, but no dilution is written.",
                    "The result is that of the diluted solution.", "Write how much was taken and made up to.",
                    key=self.signal, trial=trial, index=len(readings), word="How much of it did you take, and into which flask?",
                )  # fmt: skip

    def _outside(self, at: Context, trial: int, index: int, value: float) -> Finding:
        xs, ys = at.listed(self.concentrations, None), at.listed(self.standards, None)
        text = with_figures(value, 3)
        if value < min(ys):
            return Finding(
                "below-line", "repeat", f"{text} is below the weakest standard, {with_figures(min(ys), 3)}.",
                "There the line was not measured.", "Make a weaker standard, or take more of the sample.",
                key=self.signal, trial=trial, index=index, word="Is this the right cuvette?",
            )  # fmt: skip
        factor = self._factor(xs, ys, value)
        return Finding(
            "above-line", "repeat", f"{text} is above the strongest standard, {with_figures(max(ys), 3)}.",
            "There the line was not measured.",
            f"Dilute 1 in {factor}: write how much you take and what it is made up to, then read again.",
            key=self.signal, trial=trial, index=index, word=f"Dilute it 1 in {factor} and read again.",
        )  # fmt: skip

    @staticmethod
    def _factor(xs: list[float], ys: list[float], value: float) -> int:
        pairs = list(zip(xs, ys, strict=False))
        try:
            fitted = line([x for x, _ in pairs], [y for _, y in pairs])
            return dilution((value - fitted.intercept) / fitted.slope, max(xs))
        except (CurveError, ZeroDivisionError):
            return dilution(value, max(ys)) if max(ys) > 0 else 2
