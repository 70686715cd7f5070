"""Guides: what to say within a step from the readings so far."""

from dataclasses import dataclass

from chromata_core.declaration.names import QuantityName, ReadingName, Sentence
from chromata_core.engine.context import Context
from chromata_core.judging.shapes import Guides
from chromata_core.judging.whenever import OPEN, PLACEHOLDER, filled
from chromata_core.quantity.rounding import plain


@dataclass(frozen=True, slots=True)
class RunIn(Guides):
    """How far to run in before going slowly: the mean of the other trials' ``delivered`` from where this one began, or
    from zero where no ``start`` is read.
    """

    start: ReadingName
    delivered: QuantityName

    def say(self, at: Context, trial: int) -> str:
        """Empty before the trial has begun and while there is no other."""
        unit = at.bound.declared(self.delivered).unit
        begun = at.read_in(unit, self.start, trial) if at.reading(self.start) else 0.0
        done = [v for t in at.trials() if t != trial and (v := at.value(self.delivered, t, unit)) is not None]
        if begun is None or not done:
            return ""
        mark = begun + sum(done) / len(done) - 1
        return f"Run in to about {plain(mark, 0)} {unit}, then drop by drop, swirling." if mark > 0 else ""


@dataclass(frozen=True, slots=True)
class Told(Guides):
    """A sentence with numbers worked from what this bench has written: ``{x}`` and ``{formula:unit}`` as in a check
    that is written as a condition.
    """

    sentence: Sentence

    def say(self, at: Context, trial: int) -> str:
        """Empty while one of its numbers is not known."""
        known = {**at.session_numbers, **at.figures.get(trial, {})}
        parts = [filled(at, match[0], known, trial, None, {}) for match in PLACEHOLDER.finditer(self.sentence)]
        return "" if OPEN in parts else filled(at, self.sentence, known, trial, None, {})
