"""The checks a method can list. Each knows its sentence: what, why, what to do."""

from collections.abc import Iterator
from dataclasses import dataclass
from decimal import Decimal
from math import floor

from chromata_core.declaration.names import (
    EntryName,
    LimitText,
    NumberName,
    ObservationName,
    QuantityName,
    ReadingName,
    SeriesName,
)
from chromata_core.declaration.option_kinds import NumberOption
from chromata_core.declaration.options import active
from chromata_core.declaration.vocabulary import Series
from chromata_core.engine.context import Context
from chromata_core.judging.finding import Finding, Level
from chromata_core.judging.rules import ConstantMass
from chromata_core.judging.shapes import Looks
from chromata_core.quantity.rounding import plain, with_figures


@dataclass(frozen=True, slots=True)
class Within(Looks):
    """A quantity should lie between ``low`` and ``high``, texts in its declared unit: a number, ``option:key`` for an
    option, ``-option:key`` for its negative, ``quantity:key`` for another quantity, ``scale:key`` for the last mark of
    the instrument with which the reading ``key`` is made.
    """

    quantity: QuantityName
    why: str
    do: str
    low: LimitText = ""
    high: LimitText = ""
    level: Level = "look"
    on: EntryName = ""

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding wherever it lies outside: in a trial, or on the bench."""
        quantity = next((q for q in at.bound.quantities if q.key == self.quantity), None)
        if quantity is None:
            return
        places = [t for t in at.trials() if not at.is_rough(t)] if quantity.scope == "trial" else [None]
        for trial in places:
            value = at.value(self.quantity, trial)
            if value is None:
                continue
            side = self._side(at, value, trial)
            if side:
                what = f"{at.quantity(self.quantity).label} {at.said(self.quantity, value)} is {side}."
                yield Finding(f"{self.quantity}-range", self.level, what, self.why, self.do, key=self.on, trial=trial)

    def _side(self, at: Context, value: float, trial: int | None) -> str:
        low, high = self._limit(at, self.low, trial), self._limit(at, self.high, trial)
        unit = at.quantity(self.quantity).unit
        if low is not None and value < low:
            return f"less than {self._said(low)} {unit}".rstrip()
        if high is not None and value > high:
            return f"more than {self._said(high)} {unit}".rstrip()
        return ""

    @staticmethod
    def _said(limit: Decimal | float) -> str:
        return f"{limit:f}".replace("-", "−") if isinstance(limit, Decimal) else with_figures(limit, 3)

    @staticmethod
    def _applies(at: Context, key: str) -> bool:
        """Whether a limit is asked for under what is chosen."""
        numbers = [option for option in at.bound.method.all_options if isinstance(option, NumberOption)]
        return key in {option.key for option in active(numbers, at.bound.options)}

    def _limit(self, at: Context, text: str, trial: int | None) -> Decimal | float | None:
        kind, _, key = text.partition(":")
        match kind:
            case "":
                return None
            case "quantity":
                return at.value(key, trial)
            case "option" | "-option":
                if not self._applies(at, key):
                    return None
                given = (-1 if kind[0] == "-" else 1) * at.number(key)
            case "scale":
                given = Decimal(at.instrument(key).high)
            case _:
                given = Decimal(text)
        return at.as_shown(self.quantity, given)


@dataclass(frozen=True, slots=True)
class SameStart(Looks):
    """Two trials with the very same start that is not zero: perhaps copied."""

    reading: ReadingName

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding for the later of the two."""
        seen: dict[str, int] = {}
        for trial in at.trials():
            typed = at.typed(self.reading, trial)
            if typed is None or not typed.value:
                continue
            if typed.text in seen:
                yield Finding(
                    "same-start", "look", f"Same start as {at.trial_name(seen[typed.text])}: {typed.text}.",
                    "The level rarely stands at the very same mark twice.",
                    "Look at the burette again. Keep it if it really does.", key=self.reading, trial=trial,
                )  # fmt: skip
            seen.setdefault(typed.text, trial)


# Near a whole number both directions read almost the same: an overshoot would explain it as well.
_CLEAR = 4


@dataclass(frozen=True, slots=True)
class UpsideDown(Looks):
    """A delivery that disagrees, and would agree if one reading had been taken in the wrong direction.

    On a scale numbered downward, 22.6 read from the wrong side becomes 23.4: mirrored about the whole number.
    """

    quantity: QuantityName
    readings: tuple[ReadingName, ...]
    limit_option: NumberName

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding on the reading that would mend its trial."""
        values = {t: v for t in at.trials() if (v := at.value(self.quantity, t)) is not None and not at.is_rough(t)}
        limit = float(at.as_shown(self.quantity, at.number(self.limit_option)))
        for trial, value in values.items():
            others = [v for t, v in values.items() if t != trial]
            if not others or min(abs(value - other) for other in others) <= limit:
                continue
            yield from self._mended(at, trial, value, others, limit)

    def _mended(self, at: Context, trial: int, value: float, others: list[float], limit: float) -> Iterator[Finding]:
        for key in self.readings:
            reading, typed = at.reading(key), at.typed(key, trial)
            if reading is None or typed is None or typed.value == int(typed.value):
                continue
            other_way = 2 * floor(typed.value) - typed.value
            turned = (other_way - typed.value) * (-1 if reading.zero_of else 1)
            shift = float(at.as_shown(self.quantity, turned))
            clear = abs(shift) >= _CLEAR * limit
            if clear and other_way >= 0 and min(abs(value + shift - other) for other in others) <= limit:
                text = plain(other_way, typed.decimals)
                yield Finding(
                    code="upside-down",
                    level="stop",
                    what=f"{typed.text} may be read upside down: {text}?",
                    why=f"Then {at.trial_name(trial)} gives {at.said(self.quantity, value + shift)}, as the others do.",
                    do="Numbers run downward. Look at the mark just above the liquid and read on from it.",
                    key=key,
                    trial=trial,
                    suggest=text,
                    word="Show me the mark just above the liquid. Which way do the numbers run?",
                )


@dataclass(frozen=True, slots=True)
class NotYetConstant(Looks):
    """Says after each weighing whether the mass is constant; where a class stops after a fixed number, that it was
    not shown to be.
    """

    series: SeriesName

    def look(self, at: Context) -> Iterator[Finding]:
        """One finding at the last weighing of each trial."""
        series = at.reading(self.series)
        assert isinstance(series, Series) and isinstance(series.until, ConstantMass)
        rule = series.until
        for trial in at.trials():
            masses = at.bound.series(self.series, trial)
            if not masses:
                continue
            met, over = (look(at, self.series, trial) for look in (rule.constant, rule.met))
            change = f"{plain(masses[-1].value - masses[-2].value, masses[-1].decimals)} g" if len(masses) > 1 else ""
            what = f"Constant: changed by {change}." if met else self._open(change)
            why = f"The rule is {at.number(rule.limit)} g between the last two weighings."
            do = "Go on." if met else "Heat again, cool to room temperature, weigh again."
            if over and not met:
                do = "The plan ends here: say in the conclusion that the mass was not shown to be constant."
            level: Level = "keep" if met else "look" if over else "repeat"
            yield Finding("constant-mass", level, what, why, do, key=self.series, trial=trial, index=len(masses))

    @staticmethod
    def _open(change: str) -> str:
        return (
            f"Not constant yet: changed by {change}."
            if change
            else "One weighing cannot show that the mass is constant."
        )


@dataclass(frozen=True, slots=True)
class Seen(Looks):
    """A finding for an observation: what it means when this choice is touched."""

    observation: ObservationName
    choice: str
    level: Level
    what: str
    why: str
    do: str

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding on every trial where it was seen; where one looks in every round, in the last."""
        for trial in at.trials(valid=False):
            looked = at.bound.looks(self.observation, trial)
            if looked and at.bound.texts[looked[-1]] == self.choice:
                yield Finding(
                    f"{self.observation}-{self.choice}",
                    self.level,
                    self.what,
                    self.why,
                    self.do,
                    *looked[-1],
                )
