"""Checks on what comes out: a gate that must open, two ways or two runs that must agree, a size and a sign."""

from collections.abc import Iterator
from dataclasses import dataclass

from chromata_core.declaration.names import SeriesName
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
