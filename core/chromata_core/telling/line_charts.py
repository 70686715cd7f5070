"""Charts with a fitted line: a trace drawn back to mixing, a calibration line with its unknowns; a spectrum."""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass

from chromata_core.curves.line import CurveError, Line, line
from chromata_core.declaration.names import ListName, NumberName, QuantityName, SeriesName
from chromata_core.declaration.options import holds
from chromata_core.engine.context import Context
from chromata_core.judging.rules import curve_of
from chromata_core.quantity.rounding import plain, with_figures
from chromata_core.quantity.units import unit
from chromata_core.telling.chart import (
    Chart,
    ChartArea,
    ChartLine,
    ChartMark,
    Draws,
    Statistic,
    axis,
    with_u,
    without_u,
)
from chromata_core.telling.plot import Point


@dataclass(frozen=True, slots=True)
class Trace(Draws):
    """Temperature against time of the trial in hand; under ``drawn_back`` the line after mixing is drawn back to it."""

    key: str
    title: str
    times: SeriesName
    temperatures: SeriesName
    mixed: NumberName
    settled: NumberName
    before: QuantityName
    after: QuantityName
    drawn_back: Mapping[str, str]

    def draw(self, at: Context) -> Chart | None:
        """Drawn from the second pair on, where a trace is recorded."""
        clock, thermometer = at.reading(self.times), at.reading(self.temperatures)
        if clock is None or thermometer is None:
            return None
        begun = [(n, *curve_of(at.bound, self.times, self.temperatures, n)) for n in at.trials()]
        begun = [stamp for stamp in begun if len(stamp[1]) > 1]
        if not begun:
            return None
        trial, times, values = begun[-1]
        before, after = at.value(self.before, trial), at.value(self.after, trial)
        mixed = float(at.number(self.mixed))
        marks = [ChartMark("mixed", x=mixed)]
        marks += [
            ChartMark(word, y=value) for word, value in (("before", before), ("after", after)) if value is not None
        ]
        known = before is not None and after is not None and max(times) > mixed
        sentence = (
            f"{plain(before or 0, 2)} before and {plain(after or 0, 2)} {thermometer.unit} after mixing." if known
            else "the temperature after mixing is not known yet."
        )  # fmt: skip
        name = f"{at.trial_name(trial).capitalize()}, {len(times)} readings"
        measured = ChartLine(thermometer.label, "dots", list(zip(times, values, strict=True)))
        return Chart(
            self.key, self.title, axis(clock.label, clock.unit),
            y_label=axis(thermometer.label, thermometer.unit), sentence=f"{name}: {sentence}",
            lines=[measured, *self._back(at, times, values)], marks=marks, areas=[],
        )  # fmt: skip

    def _back(self, at: Context, times: list[float], values: list[float]) -> list[ChartLine]:
        if not holds(self.drawn_back, at.bound.options):
            return []
        mixed, settled = float(at.number(self.mixed)), float(at.number(self.settled))
        later = [(t, c) for t, c in zip(times, values, strict=True) if t >= settled]
        fitted = _line(later)
        return [_drawn("Back to mixing", fitted, mixed, later[-1][0])] if fitted else []


@dataclass(frozen=True, slots=True)
class CalibrationLine(Draws):
    """The standards with their line, each unknown where it lies on it, and the bracket in which one may read it off.

    ``given`` names the options of a line that was not measured here: its slope, its intercept, and where it ends.
    """

    key: str
    title: str
    concentrations: ListName
    signals: ListName
    unknown: ListName
    found: QuantityName
    up: str
    given: tuple[NumberName, ...] = ()

    def draw(self, at: Context) -> Chart | None:
        """Drawn from the second standard on; a given line from the beginning."""
        points = self._standards(at)
        unknowns = [
            (n, x, y) for n in at.trials(valid=False)
            if (x := at.value(self.found, n)) is not None and (y := at.value(self.unknown, n)) is not None
        ]  # fmt: skip
        if self.given and self.concentrations not in [quantity.key for quantity in at.bound.quantities]:
            return self._given(at, unknowns)
        if len(points) < 2:
            return None
        xs, ys = [x for x, _ in points], [y for _, y in points]
        fitted, amount = self.line(at), at.quantity(self.found)
        lines = [ChartLine("Standards", "dots", points)]
        if fitted:
            lines.append(_drawn("Line", fitted, min(0.0, *xs), max([*xs, *(x for _, x, _ in unknowns)])))
        lines += [ChartLine(at.trial_name(n).capitalize(), "dots", [(x, y)]) for n, x, y in unknowns]
        marks = [ChartMark(at.trial_name(n), x=x) for n, x, _ in unknowns[-1:]]
        return Chart(
            self.key, self.title, axis("Concentration", amount.unit), y_label=self.up,
            sentence=self._sentence(at, fitted, unknowns), lines=lines, marks=marks,
            areas=[ChartArea("between the standards", (min(xs), max(xs)), (min(ys), max(ys)))],
        )  # fmt: skip

    def _given(self, at: Context, unknowns: list[tuple[int, float, float]]) -> Chart | None:
        """The line of an equation, from nothing to where it ends, with the unknowns on it; None if it does not rise."""
        slope, intercept, top = (at.si(name) for name in self.given)
        if slope <= 0:
            return None
        scale = unit(at.quantity(self.found).unit)
        ends = [(0.0, intercept), (scale.from_si((top - intercept) / slope), top)]
        dots = [ChartLine(at.trial_name(n).capitalize(), "dots", [(x, y)]) for n, x, y in unknowns]
        return Chart(
            self.key,
            self.title,
            axis("Concentration", at.quantity(self.found).unit),
            y_label=self.up,
            sentence="The line was given." + self._read_off(at, unknowns),
            lines=[ChartLine("Given line", "path", ends), *dots],
            marks=[ChartMark(at.trial_name(n), x=x) for n, x, _ in unknowns[-1:]],
            areas=[],
        )

    def line(self, at: Context) -> Line | None:
        """The line through the standards, as it is chosen; None while there are too few."""
        return _line(self._standards(at), at.bound.options.get("fit") == "origin")

    def pooled(self, benches: Mapping[str, Context]) -> Chart | None:
        """The standards of all benches, and one line through them."""
        points = [point for at in benches.values() for point in self._standards(at)]
        fitted = _line(points)
        if fitted is None:
            return None
        at = next(iter(benches.values()))
        xs = [x for x, _ in points]
        return Chart(
            self.key,
            f"{self.title}, all benches",
            axis("Concentration", at.quantity(self.found).unit),
            y_label=self.up,
            sentence=(
                f"{len(points)} standards of all benches; they scatter by s = {with_figures(fitted.s, 2)} about one "
                "line."
            ),
            lines=[ChartLine("Standards", "dots", points), _drawn("Line", fitted, min(0.0, *xs), max(xs))],
            marks=[],
            areas=[],
        )

    def _standards(self, at: Context) -> list[Point]:
        if self.concentrations not in [quantity.key for quantity in at.bound.quantities]:  # the line is given
            return []
        return list(zip(at.listed(self.concentrations, None), at.listed(self.signals, None), strict=False))

    def _sentence(self, at: Context, fitted: Line | None, unknowns: list[tuple[int, float, float]]) -> str:
        if fitted is None:
            return "Two standards: a line with its uncertainty needs a third."
        sentence = f"{fitted.n} standards; they scatter by s = {with_figures(fitted.s, 2)} about their line."
        return sentence + self._read_off(at, unknowns)

    def _read_off(self, at: Context, unknowns: list[tuple[int, float, float]]) -> str:
        return "".join(f" {at.trial_name(n).capitalize()}: {at.said(self.found, x)}." for n, x, _ in unknowns)

    def statistics(self, at: Context) -> list[Statistic]:
        """Slope, intercept and what is left over."""
        return [*_told(self.title, self.line(at))]


@dataclass(frozen=True, slots=True)
class Residuals(Draws):
    """What is left over at each standard: scatter is chance, a bow is not a line."""

    key: str
    title: str
    concentrations: ListName
    signals: ListName

    def draw(self, at: Context) -> Chart | None:
        """Drawn from the third standard on."""
        xs, ys = at.listed(self.concentrations, None), at.listed(self.signals, None)
        points = list(zip(xs, ys, strict=False))
        fitted = _line(points)
        if fitted is None:
            return None
        amount = at.quantity(self.concentrations)
        left = [(x, r) for (x, _), r in zip(points, fitted.residuals, strict=True)]
        largest = max(left, key=lambda point: abs(point[1]))
        return Chart(
            self.key, self.title, axis("Concentration", amount.unit), y_label="Reading − line",
            sentence=f"The largest is {with_figures(largest[1], 2)}, at {with_figures(largest[0], 3)} {amount.unit}.",
            lines=[ChartLine("Residual", "bars", left)], marks=[ChartMark("line", y=0.0)], areas=[],
        )  # fmt: skip


@dataclass(frozen=True, slots=True)
class AcrossLine(Draws):
    """One trial quantity against another, with the line through the trials that count."""

    key: str
    title: str
    across: QuantityName
    up: QuantityName

    def draw(self, at: Context) -> Chart | None:
        """Drawn as soon as one trial is there."""
        return self._drawn(at, self._points(at), self.title)

    def pooled(self, benches: Mapping[str, Context]) -> Chart | None:
        """All trials of all benches, and one line through them."""
        points = [point for at in benches.values() for point in self._points(at)]
        return self._drawn(next(iter(benches.values())), points, f"{self.title}, all benches") if benches else None

    def _drawn(self, at: Context, points: list[Point], title: str) -> Chart | None:
        if not points:
            return None
        across, up, fitted = at.quantity(self.across), at.quantity(self.up), _line(points)
        lines = [ChartLine(up.label, "dots", points)]
        sentence = "A line needs three points."
        if fitted:
            lines.append(_drawn("Line", fitted, min(x for x, _ in points), max(x for x, _ in points)))
            s, slope = with_figures(fitted.s, 2), with_figures(fitted.slope, 3)
            sentence = f"They scatter by s = {s} about their line, slope {slope}."
        return Chart(
            self.key,
            title,
            axis(across.label, across.unit),
            y_label=axis(up.label, up.unit),
            sentence=f"{len(points)} point{'s' if len(points) > 1 else ''}. {sentence}",
            lines=lines,
            marks=[],
            areas=[],
        )

    def line(self, at: Context) -> Line | None:
        """The line through the trials; None while there are too few."""
        return _line(self._points(at))

    def _points(self, at: Context) -> list[Point]:
        points = [(at.value(self.across, n), at.value(self.up, n)) for n in at.trials()]
        return [(x, y) for x, y in points if x is not None and y is not None]

    def statistics(self, at: Context) -> list[Statistic]:
        """Slope, intercept and what is left over."""
        return [*_told(self.title, self.line(at))]


@dataclass(frozen=True, slots=True)
class Spectrum(Draws):
    """Absorbance against wavelength with its peak."""

    key: str
    title: str
    wavelengths: SeriesName
    absorbances: SeriesName
    peak: QuantityName

    def draw(self, at: Context) -> Chart | None:
        """Drawn from the second point on."""
        across, up = at.reading(self.wavelengths), at.reading(self.absorbances)
        if across is None or up is None:
            return None
        points = sorted(zip(*curve_of(at.bound, self.wavelengths, self.absorbances, None), strict=True))
        if len(points) < 2:
            return None
        peak = at.value(self.peak, None)
        sentence = (
            f"The peak stands at {plain(peak, 0)} {across.unit}." if peak is not None else "The peak is not passed yet."
        )
        return Chart(
            self.key,
            self.title,
            axis(across.label, across.unit),
            y_label=axis(up.label, up.unit),
            sentence=f"{len(points)} points. {sentence}",
            lines=[ChartLine(up.label, "line", points)],
            marks=[ChartMark("peak", x=peak)] if peak is not None else [],
            areas=[],
        )


def _line(points: list[Point], through_origin: bool = False) -> Line | None:
    try:
        return line([x for x, _ in points], [y for _, y in points], through_origin=through_origin)
    except CurveError:
        return None


def _drawn(label: str, fitted: Line, low: float, high: float) -> ChartLine:
    return ChartLine(label, "path", [(x, fitted.at(x)) for x in (low, high)])


def _told(of: str, fitted: Line | None) -> Iterator[Statistic]:
    """What is quoted of a line."""
    if fitted is None:
        return
    yield with_u(of, "Slope", fitted.slope, fitted.u_slope)
    if not fitted.through_origin:
        yield with_u(of, "Intercept", fitted.intercept, fitted.u_intercept)
    yield without_u(of, "Residual standard deviation", fitted.s)
    yield without_u(of, "r²", fitted.r2, figures=6)
    yield Statistic(of, "Degrees of freedom", float(fitted.dof), "", str(fitted.dof))
