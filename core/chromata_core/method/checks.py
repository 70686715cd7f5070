"""The checks a method can list, and those every sheet gets. Each knows its sentence: what, why, what to do."""

from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from decimal import Decimal
from math import floor

from chromata_core.method.context import Context
from chromata_core.method.finding import Finding, Level
from chromata_core.method.vocabulary import Reading, Series
from chromata_core.quantity.rounding import plain
from chromata_core.quantity.typed import Typed


@dataclass(frozen=True, slots=True)
class Within:
    """A trial quantity should lie between ``low`` and ``high`` (texts in its unit; ``option:key`` takes an option)."""

    quantity: str
    why: str
    do: str
    low: str = ""
    high: str = ""
    level: Level = "look"
    on: str = ""

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding for every trial outside."""
        for trial in (t for t in at.trials() if not _is_rough(at, t)):
            value = at.value(self.quantity, trial)
            if value is None:
                continue
            side = self._side(at, value)
            if side:
                what = f"{at.quantity(self.quantity).label} {at.said(self.quantity, value)} is {side}."
                yield Finding(f"{self.quantity}-range", self.level, what, self.why, self.do, self.on, trial)

    def _side(self, at: Context, value: float) -> str:
        low, high = self._limit(at, self.low), self._limit(at, self.high)
        unit = at.quantity(self.quantity).unit
        if low is not None and value < low:
            return f"less than {low:f} {unit}"
        if high is not None and value > high:
            return f"more than {high:f} {unit}"
        return ""

    @staticmethod
    def _limit(at: Context, text: str) -> Decimal | None:
        if not text:
            return None
        return at.number(text.removeprefix("option:")) if text.startswith("option:") else Decimal(text)


@dataclass(frozen=True, slots=True)
class SameStart:
    """Two trials with the very same start that is not zero: perhaps copied."""

    reading: str

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
                    "Look at the burette again. Keep it if it really does.", self.reading, trial,
                )  # fmt: skip
            seen.setdefault(typed.text, trial)


# Near a whole number both directions read almost the same: an overshoot would explain it as well.
_CLEAR = 4


@dataclass(frozen=True, slots=True)
class UpsideDown:
    """A delivery that disagrees, and would agree if one reading had been taken in the wrong direction.

    On a scale numbered downward, 22.6 read from the wrong side becomes 23.4: mirrored about the whole number.
    """

    quantity: str
    readings: tuple[str, ...]
    limit_option: str

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding on the reading that would mend its trial."""
        values = {t: v for t in at.trials() if (v := at.value(self.quantity, t)) is not None and not _is_rough(at, t)}
        limit = float(at.number(self.limit_option))
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
            shift = float(other_way - typed.value) * (-1 if reading.zero_of else 1)
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
class Rises:
    """A series of weighings that goes up by more than the rule: something was taken up, or it reacted."""

    series: str
    option: str
    why: str
    do: str

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding at each rise."""
        for trial in at.trials():
            masses = at.bound.series(self.series, trial)
            for index in range(1, len(masses)):
                rise = masses[index].value - masses[index - 1].value
                if rise > at.number(self.option):
                    what = f"The mass went up by {plain(rise, masses[index].decimals)} g."
                    yield Finding("mass-rises", "stop", what, self.why, self.do, self.series, trial, index + 1)


@dataclass(frozen=True, slots=True)
class NotYetConstant:
    """Says after each weighing whether the mass is constant."""

    series: str

    def look(self, at: Context) -> Iterator[Finding]:
        """One finding at the last weighing of each trial."""
        series = next(r for r in at.bound.readings if r.key == self.series)
        assert isinstance(series, Series) and series.until is not None
        limit = at.number(series.until.option)
        for trial in at.trials():
            masses = at.bound.series(self.series, trial)
            if not masses:
                continue
            met = series.until.met([m.value for m in masses], limit)
            change = f"{plain(masses[-1].value - masses[-2].value, masses[-1].decimals)} g" if len(masses) > 1 else ""
            what = f"Constant: changed by {change}." if met else self._open(change)
            why = f"The rule is {limit} g between the last two weighings."
            do = "Go on." if met else "Heat again, cool to room temperature, weigh again."
            level: Level = "keep" if met else "repeat"
            yield Finding("constant-mass", level, what, why, do, self.series, trial, len(masses))

    @staticmethod
    def _open(change: str) -> str:
        return (
            f"Not constant yet: changed by {change}."
            if change
            else "One weighing cannot show that the mass is constant."
        )


@dataclass(frozen=True, slots=True)
class Seen:
    """A finding for an observation: what it means when this choice is touched."""

    observation: str
    choice: str
    level: Level
    what: str
    why: str
    do: str

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding on every trial where it was seen."""
        for trial in at.trials(valid=False):
            if at.bound.texts.get((self.observation, trial, None)) == self.choice:
                yield Finding(
                    f"{self.observation}-{self.choice}",
                    self.level,
                    self.what,
                    self.why,
                    self.do,
                    self.observation,
                    trial,
                )


def _is_rough(at: Context, trial: int) -> bool:
    return at.bound.rough and trial == 0


DIGITS = ("missing-digit", "too-many-digits")


def every_sheet(at: Context) -> Iterable[Finding]:
    """The checks that need no declaring: digits, impossible values, agreement."""
    yield from _digits(at)
    yield from _spoiled(at)
    yield from _impossible(at)
    yield from _agreement(at)


def _digits(at: Context) -> Iterator[Finding]:
    readings = {reading.key: reading for reading in at.bound.readings}
    for (key, trial, index), typed in at.bound.typed.items():
        if key in readings:
            finding = digits_finding(at, readings[key], typed, trial, index)
            if finding:
                yield finding


def digits_finding(at: Context, reading: Reading, typed: Typed, trial: int | None, index: int | None) -> Finding | None:
    """Too few or too many decimals for the instrument; None if they are right."""
    tool = at.instrument(reading.key)
    missing = tool.decimals - typed.decimals
    if missing == 0 or (_is_rough(at, trial) if trial is not None else False):
        return None
    name = tool.kind
    if missing > 0:
        full = plain(typed.value, tool.decimals)
        do = "Copy every digit of the display, zeros too." if tool.digital else "Judge one digit between the marks."
        return Finding(
            "missing-digit", "look", f"{typed.text} on a {name}: {full}?", f"{_article(name)} {name} tells "
            f"{tool.decimals} decimals; {typed.text} claims fewer.", do, reading.key, trial, index, suggest=full,
            word=f"What is the next digit? A {name} tells {tool.decimals} decimals.",
        )  # fmt: skip
    return Finding(
        "too-many-digits", "look", f"{typed.text} has more decimals than a {name} can tell.",
        f"Its smallest {'step' if tool.digital else 'mark'} is {tool.graduation} {tool.unit}.",
        f"Write {tool.decimals} decimals.", reading.key, trial, index, suggest=plain(typed.value, tool.decimals),
    )  # fmt: skip


def _spoiled(at: Context) -> Iterator[Finding]:
    """A trial that was seen to go wrong: void, but kept on the record; silent once enough others agree."""
    agreed = at.computed.agreement is None or at.computed.agreement.agree
    if agreed and len(at.computed.counted) >= at.bound.method.trials.minimum:
        return
    for trial in at.trials(valid=False):
        for part in at.bound.observations:
            seen = at.bound.texts.get((part.key, trial, None))
            if seen in part.voids and not _is_rough(at, trial):
                label = next(choice.label for choice in part.choices if choice.key == seen)
                name = at.trial_name(trial)
                yield Finding(
                    "spoiled", "repeat", f"{label}.", f"{name.capitalize()} stays on the record but is not averaged.",
                    f"Do another {at.bound.method.trials.noun.lower()}.", part.key, trial,
                )  # fmt: skip


def _article(noun: str) -> str:
    return "An" if noun[0] in "aeiou" else "A"


def _impossible(at: Context) -> Iterator[Finding]:
    for trial, reason in at.computed.voided.items():
        quantity = next((q for q in at.bound.quantities if q.positive == reason), None)
        if quantity is None:
            continue
        on = _last_reading(at, trial)
        yield Finding(
            f"{quantity.key}-impossible", "stop", reason,
            f"{quantity.label} would be {at.said(quantity.key, at.value(quantity.key, trial) or 0.0)}.",
            "Look at both readings again and correct the wrong one.", on, trial,
            word="Read me both numbers from the instrument, aloud.",
        )  # fmt: skip


def _last_reading(at: Context, trial: int) -> str:
    made = [r.key for r in at.bound.readings if at.typed(r.key, trial) is not None]
    return made[-1] if made else ""


def _agreement(at: Context) -> Iterator[Finding]:
    found, plan = at.computed.agreement, at.bound.method.trials
    if found is None:
        return
    rule = agreement_rule(at)
    size = (
        f"{found.measure * 100:.2f} %"
        if at.bound.options["agreement"] != "range"
        else at.said(plan.agree, found.measure)
    )
    if found.agree:
        count = {2: "Two", 3: "Three", 4: "Four"}.get(len(found.members), str(len(found.members)))
        yield Finding("agree", "keep", f"{count} within {size}.", f"The class rule is {rule}.", "Go on.")
        return
    numbers = [n for n in at.trials() if not _is_rough(at, n) and at.value(plan.agree, n) is not None]
    names = " and ".join([", ".join(map(str, numbers[:-1])), str(numbers[-1])])
    spare = len(numbers) < plan.maximum
    yield Finding(
        "disagree", "repeat", f"{plan.noun}s {names} differ by {size}.", f"The class rule is {rule}.",
        f"Do {plan.noun.lower()} {max(at.trials(valid=False)) + 1}." if spare else
        "Ask your instructor before another: this is the most the plan allows.",
        trial=numbers[-1], word="What did you do differently in the last one? Do one more, slowly at the end.",
    )  # fmt: skip


def agreement_rule(at: Context) -> str:
    """The class rule in words."""
    if at.bound.options["agreement"] == "range":
        unit = at.quantity(at.bound.method.trials.agree).unit
        return f"{at.bound.options['agreement_limit']} {unit}"
    name = "relative average deviation" if at.bound.options["agreement"] == "rad" else "relative standard deviation"
    return f"{at.bound.options['agreement_relative']} % {name}"
