"""The same measured again and again: how the last time lies beside those before, and a control chart of all of them."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from statistics import fmean

from chromata_core.quantity.rounding import with_figures
from chromata_core.statistics.comparing import welch
from chromata_core.statistics.control import LEAST, control
from chromata_core.statistics.replicates import replicates
from chromata_core.telling.chart import Chart, ChartLine, ChartMark, axis
from chromata_core.telling.lay_out import lay_out

_CHANCE = 0.05
_ROUGH = 20  # values: the limits of fewer move with each that comes; common practice, no published source


@dataclass(frozen=True, slots=True)
class Held:
    """One time it was measured: ``when`` in a few letters, the values that count, and what is accepted, if known."""

    when: str
    product: str
    values: tuple[float, ...]
    accepted: float | None = None


@dataclass(frozen=True, slots=True)
class HeldTold:
    """The same in numbers as they are shown; ``away`` is from the accepted value."""

    when: str
    product: str
    n: int
    mean: str
    s: str
    away: str


@dataclass(frozen=True, slots=True)
class OverTime:
    """Every time in order; a ``sentence`` on the last beside those before; ``chart`` where three or more can be held
    against each other, with what it ``signals``.
    """

    times: list[HeldTold]
    sentence: str
    chart: Chart | None
    signals: list[str]


def over_time(label: str, unit: str, held: Sequence[Held]) -> OverTime:
    """What can be said of ``held``, in order of time, each with one value or more."""
    alike, shown = _comparable(held)
    chart, signals = drawn(label, shown or unit, [(occasion.when, fmean(occasion.values)) for occasion in alike])
    return OverTime([_told(occasion, unit) for occasion in held], _beside(alike, shown or unit), chart, signals)


def _comparable(held: Sequence[Held]) -> tuple[list[Held], str]:
    """What may be held against each other: as per cent of what is accepted, or of one product as it is."""
    known = [occasion for occasion in held if occasion.accepted]
    if len(known) > 1:
        scaled = [
            replace(occasion, values=tuple(value / occasion.accepted * 100 for value in occasion.values))
            for occasion in known
            if occasion.accepted
        ]
        return scaled, "% of the accepted value"
    last = held[-1].product if held else ""
    return [occasion for occasion in held if occasion.product == last], ""


def _told(occasion: Held, unit: str) -> HeldTold:
    summary = replicates(occasion.values)
    away = (summary.mean / occasion.accepted - 1) * 100 if occasion.accepted else None
    return HeldTold(
        occasion.when,
        occasion.product,
        summary.n,
        f"{with_figures(summary.mean, 4)} {unit}".rstrip(),
        with_figures(summary.s, 2) if summary.n > 1 else "",
        "" if away is None else f"{'+' if away > 0 else '−' if away < 0 else ''}{with_figures(abs(away), 2)} %",
    )


def _beside(alike: Sequence[Held], unit: str) -> str:
    if len(alike) < 2:
        return "Nothing like it was held before." if alike else ""
    now, before = alike[-1].values, [value for occasion in alike[:-1] for value in occasion.values]
    here, there = (with_figures(fmean(values), 4) for values in (now, before))
    sentence = f"This time {here}, before {there} {unit}".rstrip()
    if min(len(now), len(before)) < 2:
        return f"{sentence}; with one bench chance cannot be told."
    p = welch(now, before).p
    chance = f"p = {with_figures(p, 2)}" if p >= 0.0001 else "p < 0.0001"
    if p >= _CHANCE:
        return f"{sentence}: chance makes such a difference (Welch t, {chance})."
    way = "higher" if fmean(now) > fmean(before) else "lower"
    return f"{sentence}: {way} than chance makes it (Welch t, {chance}). What was changed since then?"


def drawn(label: str, unit: str, means: Sequence[tuple[str, float]]) -> tuple[Chart | None, list[str]]:
    """The control chart of ``means`` by when they were found, with what it signals; none of fewer than three."""
    if len(means) < LEAST:
        return None, []
    charted = control([value for _, value in means])
    signals = [f"{means[signal.place][0]}: {signal.rule}." for signal in charted.signals]
    sentence = f"{len(means)} times, in the middle {with_figures(charted.centre, 4)} {unit}".rstrip()
    sentence += f", three sigma {with_figures(3 * charted.sigma, 2)}. " + (
        f"{len(signals)} signal{'s' if len(signals) > 1 else ''}." if signals else "Nothing signals."
    )
    rough = "" if len(means) >= _ROUGH else f" The limits are rough: they come from {len(means)} values."
    marks = [ChartMark("middle", y=charted.centre), ChartMark("3σ", y=charted.upper), ChartMark("3σ", y=charted.lower)]
    chart = Chart(
        "over-time",
        f"{label} over time",
        "",
        y_label=axis("Mean", unit),
        sentence=sentence + rough,
        lines=[ChartLine(label, "line", [(float(n), value) for n, (_, value) in enumerate(means, 1)])],
        marks=marks,
        areas=[],
        ticks=[when for when, _ in means],
    )
    return replace(chart, plot=lay_out(chart)), signals
