"""Checks on what comes out: a gate that must open, two ways or two runs that must agree, a size and a sign."""

from collections.abc import Iterator
from dataclasses import dataclass

from chromata_core.declaration.names import EntryName, NumberName, QuantityName, SeriesName
from chromata_core.declaration.vocabulary import Series
from chromata_core.engine.context import Context
from chromata_core.judging.finding import Finding
from chromata_core.judging.rules import ComesOut, RepeatsAgree
from chromata_core.judging.shapes import Looks


@dataclass(frozen=True, slots=True)
class GateOpen(Looks):
    """The series that must come out before the work may go on: says so, each time and at the end."""

    last: SeriesName
    why: str
    do: str

    def look(self, at: Context) -> Iterator[Finding]:
        """One finding at the last row, while the gate is shut or was opened without success."""
        reading = at.reading(self.last)
        assert isinstance(reading, Series)
        gate = at.reading(reading.beside)
        assert isinstance(gate, Series) and isinstance(gate.until, ComesOut)
        made, value = at.bound.series(self.last, None), at.value(gate.until.quantity, None)
        if not made or value is None:
            return
        said = at.said(gate.until.quantity, value)
        if gate.until.good(at, None):
            yield Finding("gate", "keep", f"{said}: as predicted. Go on.", "", "", self.last, None, len(made))
            return
        over = gate.until.met(at, gate.key, None)
        do = "The plan goes on: say in the conclusion that it never came out." if over else self.do
        yield Finding(
            "gate", "look" if over else "repeat", f"{said} of what was predicted.",
            f"{self.why} {at.number(gate.until.low)} to {at.number(gate.until.high)} % is asked for.", do,
            self.last, None, len(made), word="Show me the joints, and the clamp.",
        )  # fmt: skip


@dataclass(frozen=True, slots=True)
class Apart(Looks):
    """Two ways to measure the same should agree within an option."""

    one: QuantityName
    other: QuantityName
    within: NumberName
    why: str
    do: str
    on: EntryName

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding wherever they differ by more; silent where only one way is taken."""
        if not any(q.key == self.other for q in at.bound.quantities):
            return
        for trial in at.trials():
            one, other = at.value(self.one, trial), at.value(self.other, trial)
            if one is not None and other is not None and abs(one - other) > at.number(self.within):
                label, second = at.quantity(self.one).label, at.quantity(self.other).label
                yield Finding(
                    f"{self.one}-apart", "look",
                    f"{label} {at.said(self.one, one)} and {second.lower()} {at.said(self.other, other)} differ.",
                    self.why, self.do, self.on, trial,
                )  # fmt: skip


@dataclass(frozen=True, slots=True)
class TooSmall(Looks):
    """A quantity whose size, whatever its sign, should be at least ``least`` (text, its unit)."""

    quantity: QuantityName
    least: str
    why: str
    do: str
    on: EntryName

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding for every trial in which it is smaller."""
        label = at.quantity(self.quantity).label
        for trial in at.trials():
            value = at.value(self.quantity, trial)
            if value is not None and abs(value) < float(self.least):
                what = f"{label} {at.said(self.quantity, value)} is small."
                yield Finding(f"{self.quantity}-small", "look", what, self.why, self.do, self.on, trial)


@dataclass(frozen=True, slots=True)
class SignOf(Looks):
    """A quantity should have the sign of an option's value."""

    quantity: QuantityName
    option: NumberName
    why: str
    do: str
    on: EntryName

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding for every trial with the other sign."""
        expected = at.number(self.option)
        for trial in at.trials():
            value = at.value(self.quantity, trial)
            if value is not None and value * float(expected) < 0:
                what = f"{at.quantity(self.quantity).label} {at.said(self.quantity, value)} has the other sign."
                yield Finding(f"{self.quantity}-sign", "stop", what, self.why, self.do, self.on, trial)


@dataclass(frozen=True, slots=True)
class Repeats(Looks):
    """Says of the runs of a trial whether two agree, by the rule of the series ``base``."""

    base: SeriesName

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding at the last run of every trial in which no two agree."""
        base = at.reading(self.base)
        assert isinstance(base, Series) and isinstance(base.until, RepeatsAgree)
        rule = base.until
        for trial in at.trials():
            made = at.bound.series(rule.of, trial)
            if len(made) < 2 or rule.agree(at, [float(typed.value) for typed in made]):
                continue
            over = len(made) >= at.number(rule.most)
            yield Finding(
                "repeats-apart", "look" if over else "repeat",
                f"{made[-2].text} and {made[-1].text} are too far apart.",
                f"Two runs of the same kind must lie within {at.number(rule.within)} %.",
                "Say so in the conclusion." if over else "Make another run.", rule.of, trial, len(made),
                word="Were both tubes at the same temperature? Once more.",
            )  # fmt: skip
