"""An instrument as data: how it is read, drawn and how sure it is. Everything a screen draws comes from here."""

from dataclasses import dataclass
from decimal import Decimal
from typing import Literal

import numpy as np

from chromata_core.errors import ReadingError
from chromata_core.quantity.given import read_in
from chromata_core.quantity.typed import Typed
from chromata_core.sentences import first_upper
from chromata_core.uncertainty.source import Distribution

# Readability and repeatability scatter from reading to reading; a repeatability known for a whole method contains them.
Cause = Literal["tolerance", "readability", "repeatability", "temperature"]
Kind = Literal[
    "burette", "piston burette", "pipette", "adjustable pipette", "cylinder", "flask", "balance", "thermometer",
    "voltmeter", "pH meter", "graduated pipette", "gas tube", "glass thermometer", "barometer", "pressure sensor",
    "weather report", "ruler", "clock", "spectrophotometer", "wavelength scale", "ammeter", "stopwatch",
]  # fmt: skip


@dataclass(frozen=True, slots=True)
class ErrorTerm:
    """One cause of error. ``half_width`` is a limit (or resolution) in the instrument's unit, or a fraction of the
    reading when ``relative`` (of degrees Celsius: counted from 0 °C).

    ``shared``: one cause for every reading with this instrument, so repeating does not average it away.
    ``by_load``: one cause for the same reading in every trial, where the same load stands on the balance.
    ``cause``: shared by every instrument in the room that names the same cause (the laboratory's temperature).
    ``on_delivery``: belongs to the volume delivered, so the starting reading does not carry it a second time.
    """

    label: str
    kind: Cause
    half_width: str
    distribution: Distribution
    shared: bool = False
    by_load: bool = False
    relative: bool = False
    on_delivery: bool = False
    cause: str = ""
    basis: str = ""

    @property
    def scatters(self) -> bool:
        """Whether it is another one at every reading."""
        return self.kind in ("readability", "repeatability")


@dataclass(frozen=True, slots=True)
class Instrument:
    """``low`` to ``high`` is the scale; ``graduation`` the smallest mark or display step; ``decimals`` what to record.

    ``numbers_run`` says where numbers grow as the instrument stands; ``meniscus`` where a water-like liquid is read.
    ``corrections`` are (reading, what to add) pairs of a calibration, in rising order. ``scales`` are the full swings
    of every scale it has, where it has several; ``high`` is the one in use.
    """

    slug: str
    kind: Kind
    label: str
    short: str
    unit: str
    low: str
    high: str
    graduation: str
    decimals: int
    how: str
    errors: tuple[ErrorTerm, ...]
    digital: bool = False
    numbers_run: Literal["down", "up", ""] = ""
    meniscus: Literal["bottom", "top", ""] = ""
    basis: str = ""
    corrections: tuple[tuple[float, float], ...] = ()
    scales: tuple[str, ...] = ()

    def corrected(self, value: float) -> float:
        """``value`` as its calibration says it really is: the corrections, interpolated between their points."""
        if not self.corrections:
            return value
        at, by = zip(*self.corrections, strict=True)
        return value + float(np.interp(value, at, by))

    def read(self, text: str, unit: str) -> Typed:
        """``text`` as a reading of this instrument in ``unit``; ReadingError with a sentence if it cannot show that."""
        typed = read_in(text, unit)
        low, high = Decimal(self.low), Decimal(self.high)
        if low == high != typed.value:
            raise ReadingError(
                f"{first_upper(self.label)} {self._gives()} {self.high} {self.unit} and nothing else. "
                f"Write {high:.{self.decimals}f}, or ask your instructor if yours is another one."
            )
        if typed.value < low:
            raise ReadingError(
                f"{typed.text} is below the first mark of {self.label}, {self.low} {self.unit}. Read it again."
            )
        if typed.value > high:
            raise ReadingError(
                f"{typed.text} is past the last mark of {self.label}, {self.high} {self.unit}. "
                + self._past_the_end(typed.value)
            )
        return typed

    def _gives(self) -> str:
        return "contains" if self.kind == "flask" else "delivers"

    def _past_the_end(self, value: Decimal) -> str:
        other = next((scale for scale in self.scales if value <= Decimal(scale)), "")
        if other:
            stands = value * Decimal(self.high) / Decimal(other)
            return (
                f"Was it read from the {other} {self.unit} scale? On that of the terminal in use the needle stands at "
                f"{stands:.{self.decimals}f}."
            )
        if self.kind == "balance":
            return "Take the load off and weigh a smaller portion."
        return "Read it again; if the liquid ran past the mark, this trial cannot be used."
