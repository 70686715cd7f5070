"""Checks on cells: over range, reversed leads, and one pair that contradicts all the others."""

from collections.abc import Iterator
from dataclasses import dataclass

from chromata_core.chemistry.standard_potentials import METALS, MetalPair
from chromata_core.curves.ladder import Ladder, ladder
from chromata_core.curves.line import CurveError
from chromata_core.declaration.names import PlanName, ReadingName
from chromata_core.engine.context import Context
from chromata_core.judging.finding import Finding
from chromata_core.judging.shapes import Looks
from chromata_core.methods.electrochemistry.pairs_option import pairs_of
from chromata_core.quantity.rounding import plain

_SURE = 0.05  # V; below it metal and solution decide the sign, not the leads; common practice


@dataclass(frozen=True, slots=True)
class OverRange(Looks):
    """A voltmeter past its range shows a 1 alone at the left."""

    reading: ReadingName

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding at every such reading."""
        for place, typed in at.bound.typed.items():
            if place.key == self.reading and typed.text.strip().rstrip(".") in ("1", "-1"):
                yield Finding(
                    "over-range", "stop", "A 1 alone means over range.", "It is no potential of 1 V.",
                    "Turn the meter to the next larger range and read again.",
                    key=place.key, trial=place.trial, index=place.row, word="Which range is it on?",
                )  # fmt: skip


@dataclass(frozen=True, slots=True)
class ReversedLeads(Looks):
    """A cell potential with the other sign than the series of potentials says."""

    reading: ReadingName
    planned: PlanName

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding at every such pair."""
        for trial in at.trials():
            typed, expected = at.typed(self.reading, trial), float(at.planned(self.planned, trial))
            pair = pairs_of(at)[(at.bound.place(trial) or 1) - 1]
            if typed is None or abs(expected) < _SURE or float(typed.value) * expected >= 0:
                continue
            plus, minus = METALS[pair.plus], METALS[pair.minus]
            yield Finding(
                "reversed", "look", f"{typed.text} {at.instrument(self.reading).unit} has the other sign than {plus} against {minus} should.",
                "The leads are reversed, or a metal is not the one its label says.",
                f"Red lead to {plus}, black to {minus}; look at both metals, then read again.", key=self.reading, trial=trial,
                word=f"Where is your red lead? And is that really {plus}?",
            )  # fmt: skip


@dataclass(frozen=True, slots=True)
class BadContact(Looks):
    """One pair that disagrees with the path through all the others (A–C = A–B + B–C)."""

    reading: ReadingName

    def look(self, at: Context) -> Iterator[Finding]:
        """At most one finding: a single contact stands out, two hide each other."""
        ladder = rungs(at, self.reading)
        if ladder is None or ladder.suspect is None:
            return
        plus, minus = ladder.suspect
        pairs = enumerate(pairs_of(at), 1)
        trial = at.last_try(next(n for n, pair in pairs if (pair.plus, pair.minus) == ladder.suspect))
        off = ladder.residuals[ladder.suspect]
        yield Finding(
            "bad-contact", "repeat", f"{METALS[plus].capitalize()}–{METALS[minus]} disagrees with all the other pairs.",
            f"The path through the others leads elsewhere; it stands {plain(off, 3)} V off the ladder.",
            "Sand both metals, renew the bridge, clips clear of the liquid; read again.", key=self.reading, trial=trial,
            word="Show me how the clip holds the metal.",
        )  # fmt: skip


def measured(at: Context, reading: str) -> list[tuple[int, MetalPair, float]]:
    """Every pair that was measured, with its number in the plan and what its last try that counts shows, V."""
    tries = [(n, pair, at.last_try(n)) for n, pair in enumerate(pairs_of(at), 1)]
    return [
        (n, pair, volts)
        for n, pair, trial in tries
        if trial not in at.computed.voided and (volts := at.read_in("V", reading, trial)) is not None
    ]


def rungs(at: Context, reading: str) -> Ladder | None:
    """The ladder of half-cells from every pair measured so far; None while the metals are not connected."""
    known = {(pair.plus, pair.minus): volts for _, pair, volts in measured(at, reading)}
    try:
        return ladder(known, pairs_of(at)[-1].minus)
    except (CurveError, IndexError):
        return None
