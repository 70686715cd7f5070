"""The charts a method can list. Each turns a sheet into points, marks and a sentence that says what they show."""

from dataclasses import dataclass

from chromata_core.declaration.names import NumberName, PlanName, QuantityName, SeriesName
from chromata_core.declaration.option_kinds import ListOption
from chromata_core.engine.context import Context
from chromata_core.judging.rules import curve_of
from chromata_core.quantity.rounding import plain
from chromata_core.statistics.replicates import replicates
from chromata_core.telling.chart import Chart, ChartArea, ChartLine, ChartMark, Draws, axis


@dataclass(frozen=True, slots=True)
class AcrossTrials(Draws):
    """A quantity of each trial against the value that was planned for it."""

    key: str
    title: str
    planned: PlanName
    quantity: QuantityName

    def draw(self, at: Context) -> Chart | None:
        """Drawn as soon as one trial is there."""
        option = next(o for o in at.bound.method.all_options if o.key == self.planned)
        assert isinstance(option, ListOption)
        quantity = at.quantity(self.quantity)
        points = [
            (float(at.planned(self.planned, n)), v)
            for n in at.trials()
            if (v := at.value(self.quantity, n)) is not None
        ]
        if not points:
            return None
        noun = at.bound.method.trials.noun.lower()
        return Chart(
            self.key,
            self.title,
            axis(option.label, option.unit),
            y_label=axis(quantity.label, quantity.unit),
            sentence=(
                f"{len(points)} {noun}{'s' if len(points) > 1 else ''}: {quantity.label.lower()} against the plan."
            ),
            lines=[ChartLine(quantity.label, "dots", points)],
            marks=[],
            areas=[],
        )


@dataclass(frozen=True, slots=True)
class SeriesChart(Draws):
    """A series in the order it was read, a line for each trial; ``limit`` is the option for how little may change."""

    key: str
    title: str
    series: SeriesName
    limit: NumberName = ""

    def draw(self, at: Context) -> Chart | None:
        """Drawn from the second reading on."""
        reading = at.reading(self.series)
        lines = [
            ChartLine(at.trial_name(n).capitalize(), "line", list(enumerate((float(t.value) for t in readings), 1)))
            for n in at.trials() if (readings := at.bound.series(self.series, n))
        ]  # fmt: skip
        if reading is None or not any(len(line.points) > 1 for line in lines):
            return None
        last = max(lines, key=lambda line: len(line.points)).points
        change = plain(last[-1][1] - last[-2][1], at.instrument(self.series).decimals)
        areas = [self._within(at, line.points) for line in lines] if self.limit else []
        return Chart(
            self.key,
            self.title,
            "Reading",
            y_label=axis(reading.label, reading.unit),
            sentence=f"{len(last)} readings; the last changed by {change} {reading.unit}.",
            lines=lines,
            marks=[],
            areas=areas,
        )

    def _within(self, at: Context, points: list[tuple[float, float]]) -> ChartArea:
        """Where the next reading must lie to be the same."""
        (x, y), limit = points[-1], float(at.number(self.limit))
        return ChartArea("no change", (x - 0.5, x + 1), (y - limit, y + limit))


@dataclass(frozen=True, slots=True)
class Pairs(Draws):
    """Two series read in turn, one against the other, in the trial in hand, with the mean of the second."""

    key: str
    title: str
    across: SeriesName
    up: SeriesName
    mean: QuantityName

    def draw(self, at: Context) -> Chart | None:
        """Drawn from the second pair on."""
        begun = [(n, list(zip(*curve_of(at.bound, self.across, self.up, n), strict=True))) for n in at.trials()]
        begun = [(n, points) for n, points in begun if len(points) > 1]
        across, up = at.reading(self.across), at.reading(self.up)
        if not begun or across is None or up is None:
            return None
        trial, points = begun[-1]
        mean = at.value(self.mean, trial)
        sentence = f"mean {at.said(self.mean, mean)}." if mean is not None else "no mean yet."
        return Chart(
            self.key,
            self.title,
            axis(across.label, across.unit),
            y_label=axis(up.label, up.unit),
            sentence=f"{at.trial_name(trial).capitalize()}, {len(points)} readings, {sentence}",
            lines=[ChartLine(up.label, "line", points)],
            marks=[ChartMark("mean", y=mean)] if mean is not None else [],
            areas=[],
        )


@dataclass(frozen=True, slots=True)
class Deliveries(Draws):
    """The deliveries of the trial in hand in their order, with the running mean."""

    key: str
    title: str
    series: SeriesName

    def draw(self, at: Context) -> Chart | None:
        """Drawn from the second delivery on."""
        begun = [n for n in at.trials() if len(at.bound.series(self.series, n)) > 1]
        reading = at.reading(self.series)
        if not begun or reading is None:
            return None
        values = [float(typed.value) for typed in at.bound.series(self.series, begun[-1])]
        means = [(float(n), sum(values[:n]) / n) for n in range(1, len(values) + 1)]
        summary = replicates(values)
        mean, deviation = summary.mean, summary.s
        places = at.instrument(self.series).decimals + 1
        name = at.trial_name(begun[-1])
        return Chart(
            self.key, self.title, "Delivery", y_label=axis(reading.label, reading.unit),
            sentence=f"{name.capitalize()}, {len(values)} deliveries: mean {plain(mean, places)}, "
            f"s {plain(deviation, places)} {reading.unit}.",
            lines=[
                ChartLine("Delivery", "dots", [(float(n), v) for n, v in enumerate(values, 1)]),
                ChartLine("Running mean", "line", means),
            ],
            marks=[], areas=[ChartArea("mean ± s", (0.5, len(values) + 0.5), (mean - deviation, mean + deviation))],
        )  # fmt: skip


@dataclass(frozen=True, slots=True)
class AccuracyPrecision(Draws):
    """Accuracy across, precision up: how far off the mean is, how much values scatter, and what is permitted."""

    key: str
    title: str
    error: QuantityName
    scatter: QuantityName
    most_error: NumberName
    most_scatter: NumberName

    def draw(self, at: Context) -> Chart | None:
        """A point for each trial of which both are known."""
        aims = [(n, at.value(self.error, n), at.value(self.scatter, n)) for n in at.trials()]
        points = [(n, e, s) for n, e, s in aims if e is not None and s is not None]
        if not points:
            return None
        error, scatter = at.quantity(self.error), at.quantity(self.scatter)
        wide, high = float(at.number(self.most_error)), float(at.number(self.most_scatter))
        within = [n for n, e, s in points if abs(e) <= wide and s <= high]
        outside = [at.trial_name(n) for n, _, _ in points if n not in within]
        sentence = (
            "All within what is permitted." if not outside else f"Outside what is permitted: {', '.join(outside)}."
        )
        lines = [ChartLine(at.trial_name(n).capitalize(), "dots", [(e, s)]) for n, e, s in points]
        return Chart(
            self.key,
            self.title,
            axis(error.label, error.unit),
            y_label=axis(scatter.label, scatter.unit),
            sentence=sentence,
            lines=lines,
            marks=[ChartMark("as stated", x=0.0)],
            areas=[ChartArea("permitted", (-wide, wide), (0.0, high))],
        )
