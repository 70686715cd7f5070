"""Checks on recorded curves and on long series of the same reading."""

from collections.abc import Iterator
from dataclasses import dataclass

from chromata_core.curves.line import line
from chromata_core.declaration.names import NumberName, SeriesName
from chromata_core.engine.context import Context
from chromata_core.judging.finding import Finding
from chromata_core.judging.shapes import Looks
from chromata_core.quantity.rounding import plain
from chromata_core.statistics.outliers import grubbs

_OTHER_SCALE = 0.15  # so near to a scale's ratio a reading is taken for one from that scale


@dataclass(frozen=True, slots=True)
class NeedleScale(Looks):
    """A reading that would be the planned one if it had been read from another scale of the same meter."""

    series: SeriesName
    planned: NumberName

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding at each such reading, with the value of the scale in use."""
        if at.reading(self.series) is None or not (tool := at.instrument(self.series)).scales:
            return
        plan = float(at.number(self.planned))
        for place, typed in at.bound.typed.items():
            if place.key != self.series or not typed.value or not plan:
                continue
            for scale in (s for s in tool.scales if s != tool.high):
                meant = float(typed.value) * float(tool.high) / float(scale)
                off = abs(float(typed.value) / plan - 1)
                if abs(meant / plan - 1) < _OTHER_SCALE < off:
                    text = plain(meant, tool.decimals)
                    yield Finding(
                        "other-scale",
                        "stop",
                        f"{typed.text} {tool.unit}: read from the {scale} {tool.unit} scale?",
                        f"The {tool.high} {tool.unit} terminal is in use; on its scale the needle stands at {text}.",
                        "Read the scale that belongs to the terminal.",
                        key=place.key,
                        trial=place.trial,
                        index=place.row,
                        suggest=text,
                        word="Which terminal is your lead in?",
                    )


@dataclass(frozen=True, slots=True)
class Trend(Looks):
    """Readings of the same thing that drift with time: evaporation, a warming balance."""

    series: SeriesName
    least: int = 6

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding where the slope over the readings is hardly chance: |t| beyond Student's 99 %."""
        from scipy.special import stdtrit

        for trial in at.trials():
            values = [float(typed.value) for typed in at.bound.series(self.series, trial)]
            if len(values) < self.least:
                continue
            fitted = line(range(len(values)), values)
            t = fitted.slope / fitted.u_slope if fitted.u_slope else 0.0
            if abs(t) > float(stdtrit(len(values) - 2, 0.995)):
                way = "up" if t > 0 else "down"
                yield Finding(
                    f"{self.series}-trend",
                    "look",
                    f"The readings go {way} from first to last.",
                    "Chance would hardly order them so: water evaporates, or the balance drifts.",
                    "Shield it from draughts, tare before each delivery, work at an even pace.",
                    key=self.series,
                    trial=trial,
                )


@dataclass(frozen=True, slots=True)
class Suspect(Looks):
    """One value far from the others of its series (Grubbs, 95 %): marked, never taken out."""

    series: SeriesName

    def look(self, at: Context) -> Iterator[Finding]:
        """At most one finding for each trial."""
        for trial in at.trials():
            values = [float(typed.value) for typed in at.bound.series(self.series, trial)]
            if len(values) < 4:
                continue
            suspect = grubbs(values)
            if suspect.outlier:
                text = at.bound.series(self.series, trial)[suspect.index].text
                yield Finding(
                    f"{self.series}-suspect", "look", f"{text} stands apart from the others.",
                    "Values of one pipette hardly scatter so (Grubbs, 95 %). It stays on the record and counts.",
                    "If you know what went wrong there, correct it with that reason.", key=self.series, trial=trial,
                    index=suspect.index + 1,
                )  # fmt: skip
