"""The rules that end a series: small frozen objects that a method lists as data."""

from dataclasses import dataclass
from decimal import Decimal

from chromata_core.declaration.names import ChoiceName, ListName, NumberName, PlanName, SeriesName
from chromata_core.engine.context import Context
from chromata_core.judging.shapes import Ends
from chromata_core.sheet.bound import Bound


@dataclass(frozen=True, slots=True)
class ConstantMass(Ends):
    """Finished when the last two readings differ by no more than an option's value (same unit); or, if the class dries
    a fixed number of times (option ``school`` at “fixed”), after as many as the option ``times`` says.
    """

    limit: NumberName
    school: ChoiceName
    times: NumberName
    words: str = "until it stays"

    @property
    def options(self) -> tuple[str, ...]:
        """The limit and the number of times."""
        return (self.limit, self.times)

    def at_least(self, at: Context) -> int:
        """One weighing cannot show that a mass is constant."""
        return int(at.number(self.times)) if at.bound.options[self.school] == "fixed" else 2

    def met(self, at: Context, key: str, trial: int | None) -> bool:
        """Whether no further drying is asked for."""
        if at.bound.options[self.school] == "fixed":
            return len(at.bound.series(key, trial)) >= at.number(self.times)
        return self.constant(at, key, trial)

    def constant(self, at: Context, key: str, trial: int | None) -> bool:
        """Whether the last weighing changed nothing."""
        masses = [typed.value for typed in at.bound.series(key, trial)]
        return len(masses) > 1 and abs(masses[-1] - masses[-2]) <= at.number(self.limit)


@dataclass(frozen=True, slots=True)
class Times(Ends):
    """Finished after as many readings as the option says."""

    number: NumberName
    words: str = "as often as planned"

    @property
    def options(self) -> tuple[str, ...]:
        """The number of readings."""
        return (self.number,)

    def at_least(self, at: Context) -> int:
        """As many as planned."""
        return int(at.number(self.number))

    def met(self, at: Context, key: str, trial: int | None) -> bool:
        """Whether they have all been made."""
        return len(at.bound.series(key, trial)) >= at.number(self.number)


@dataclass(frozen=True, slots=True)
class EachOf(Ends):
    """One reading for each value of a list option, which plans the rows of this series."""

    planned: PlanName
    words: str = "one for each planned value"

    @property
    def options(self) -> tuple[str, ...]:
        """The list."""
        return (self.planned,)

    def at_least(self, at: Context) -> int:
        """As many as the list has values."""
        return len(at.bound.options[self.planned].split(";"))

    def met(self, at: Context, key: str, trial: int | None) -> bool:
        """Whether every row has been made."""
        return len(at.bound.series(key, trial)) >= self.at_least(at)


@dataclass(frozen=True, slots=True)
class Bracketed(Ends):
    """An unknown is read as often as the option ``times`` says, and again, diluted, while its last readings lie outside
    those of the standards; where there are none, while what is told of them in ``of`` (their own values if it is
    empty) lies above the option ``top``.
    """

    standards: SeriesName
    times: NumberName
    top: NumberName = ""
    of: ListName = ""
    words: str = "until it lies where the line was measured"

    @property
    def options(self) -> tuple[str, ...]:
        """How many readings."""
        return tuple(filter(None, (self.times, self.top)))

    def met(self, at: Context, key: str, trial: int | None) -> bool:
        """Whether the last readings lie inside."""
        wanted = int(at.number(self.times))
        last = [float(typed.value) for typed in at.bound.series(key, trial)[-wanted:]]
        known = [float(typed.value) for typed in at.bound.series(self.standards, None)]
        if known:
            inside = all(min(known) <= value <= max(known) for value in last)
        elif self.top and at.reading(self.standards) is None:
            told = at.listed(self.of, trial)[-wanted:] if self.of else last
            inside = all(value <= float(at.number(self.top)) for value in told)
        else:
            inside = True
        return len(last) >= wanted and inside


@dataclass(frozen=True, slots=True)
class TraceRead(Ends):
    """A temperature trace is read until as many readings as the option ``after`` says lie behind the option
    ``settled`` (its unit): enough for the line that is drawn back to mixing.
    """

    settled: NumberName
    after: NumberName
    words: str = "until the line back to mixing can be drawn"

    @property
    def options(self) -> tuple[str, ...]:
        """When it has settled, and the number of readings from then on."""
        return (self.settled, self.after)

    def met(self, at: Context, key: str, trial: int | None) -> bool:
        """Whether enough of them have been made."""
        later = [typed for typed in at.bound.series(key, trial) if typed.value >= at.number(self.settled)]
        return len(later) >= at.number(self.after)


@dataclass(frozen=True, slots=True)
class RunsTo(Ends):
    """A clock is read until it has reached the option (its unit), three times or more."""

    end: NumberName
    words: str = "until the time is over"

    @property
    def options(self) -> tuple[str, ...]:
        """The end."""
        return (self.end,)

    def met(self, at: Context, key: str, trial: int | None) -> bool:
        """Whether the last reading stands at the end or past it."""
        readings = at.bound.series(key, trial)
        return len(readings) > 2 and readings[-1].value >= at.number(self.end)


@dataclass(frozen=True, slots=True)
class PeakPassed(Ends):
    """A spectrum is long enough when there are as many points as the option says and the highest is not at an end."""

    value: SeriesName
    least: NumberName
    words: str = "until the peak lies behind"

    @property
    def options(self) -> tuple[str, ...]:
        """The number of points."""
        return (self.least,)

    def met(self, at: Context, key: str, trial: int | None) -> bool:
        """Whether the highest point stands between others."""
        values = [typed.value for typed in at.bound.series(self.value, trial)]
        return len(values) >= at.number(self.least) and values.index(max(values)) not in (0, len(values) - 1)


@dataclass(frozen=True, slots=True)
class PouredOut(Ends):
    """A volume poured out through a smaller vessel: full portions, and at last one that does not fill it."""

    options: tuple[str, ...] = ()
    words: str = "until nothing is left"

    def met(self, at: Context, key: str, trial: int | None) -> bool:
        """Whether the last portion left the vessel unfilled: nothing can have come after it."""
        full = Decimal(at.instrument(key).high)
        poured = at.bound.series(key, trial)
        return bool(poured) and poured[-1].value < full


def curve_of(bound: Bound, volume: str, value: str, trial: int | None) -> tuple[list[float], list[float]]:
    """Two series as pairs: only readings of which both are there."""
    pairs = zip(bound.series(volume, trial), bound.series(value, trial), strict=False)
    points = [(float(v.value), float(e.value)) for v, e in pairs]
    return [v for v, _ in points], [e for _, e in points]
