"""What a simulated bench writes: places and texts, as a student would."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from chromata_core.instruments.instrument import Instrument
from chromata_core.quantity.rounding import plain
from chromata_core.uncertainty.source import standard


@dataclass(frozen=True, slots=True)
class Written:
    """One reading: key, trial and place in its series (None where there is none), and its text."""

    key: str
    text: str
    trial: int | None = None
    index: int | None = None


def read(tool: Instrument, value: float, random: np.random.Generator) -> str:
    """``value`` (in the instrument's unit) as it is read once: its own scatter, on a scale that of the eye as well, and
    its own decimals. Nothing is read below the first mark or past the last.
    """
    causes = ("repeatability",) if tool.digital else ("repeatability", "readability")
    scatter = [standard(float(t.half_width), t.distribution) for t in tool.errors if t.kind in causes]
    shown = value + float(random.normal(0, sum(scatter)))
    return plain(min(max(shown, float(tool.low)), float(tool.high)), tool.decimals)


def calibration_of(tool: Instrument, random: np.random.Generator) -> float:
    """The error that this one instrument has at every reading, in its unit."""
    limits = [standard(float(t.half_width), t.distribution) for t in tool.errors if t.shared and not t.relative]
    return float(random.normal(0, sum(limits)))


def series(key: str, trial: int | None, texts: Sequence[str]) -> list[Written]:
    """The readings of a series, numbered from 1."""
    return [Written(key, text, trial, index) for index, text in enumerate(texts, 1)]
