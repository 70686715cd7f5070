"""What a drawn instrument is to who works at it: what can be done, what it shows, how it looks."""

from abc import ABC, abstractmethod
from dataclasses import dataclass, field
from typing import ClassVar
from zlib import crc32

import numpy as np

from chromata_core.apparatus.scene import HEIGHT
from chromata_core.apparatus.things import Thing
from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Reading
from chromata_core.instruments.instrument import Instrument
from chromata_core.instruments.parallax import eye_at
from chromata_core.quantity.rounding import plain
from chromata_core.workbench.truth import Truth


@dataclass(frozen=True, slots=True)
class Control:
    """Something that can be done: its key, and what stands on the button. ``usual``: what one does next."""

    key: str
    label: str
    usual: bool = False


@dataclass
class Station(ABC):
    """One instrument in its role. It keeps what was done with it. Every chance comes from ``random``, which begins anew
    with each act, each reading in hand and each look, from the bench's ``seed``: the same acts always lead to the same
    bench, however often it was looked at.
    """

    role: str
    tool: Instrument
    truth: Truth
    off: float  # what this piece reads too much, in its unit
    seed: int
    random: np.random.Generator = field(default_factory=lambda: np.random.default_rng(0))
    acts: int = 0
    said: str = ""
    high: ClassVar[float] = HEIGHT  # of the page on which it is drawn
    watched: ClassVar[bool] = False  # it shows something at a look and a step, too
    place: Place = field(default_factory=lambda: Place(""))

    def come_to(self, place: Place) -> None:
        """Another reading is in hand."""
        if place != self.place:
            self.place, self.said = place, ""
            self._draw(8)
            self.begin()

    def acted(self, act: str, number: int) -> None:
        """Does ``act``, the ``number``-th of the bench, if it can be done."""
        if act in [control.key for control in self.controls()]:
            self.acts = number
            self._draw(6)
            self.do(act)

    def _draw(self, why: int) -> None:
        self.random = np.random.default_rng([self.seed, why, self.acts, self._here])

    @property
    def _here(self) -> int:
        return crc32(repr((self.role, self.place)).encode())

    def begin(self) -> None:  # noqa: B027  for most nothing changes
        """Another reading is in hand now."""

    @property
    def title(self) -> str:
        """What it is."""
        return self.tool.label

    @property
    def reading(self) -> Reading | None:
        """The reading in hand, None at a step or a look."""
        return self.truth.reading(self.place.key)

    @property
    def true(self) -> float:
        """What is true of the reading in hand, in its unit."""
        return self.truth.at(self.place)

    @property
    def eye(self) -> float:
        """Where the eye is when this reading is taken in hand (instruments/parallax.py)."""
        return eye_at(self.tool, np.random.default_rng([self.seed, 10, self._here]))

    @abstractmethod
    def controls(self) -> list[Control]:
        """What can be done now."""

    @abstractmethod
    def do(self, act: str) -> None:
        """Does it. What is not among the controls does nothing."""

    @abstractmethod
    def things(self) -> tuple[Thing, ...]:
        """How it looks, on a page of a scene's size."""

    def shows(self) -> str:
        """What stands on its scale or display, empty where nothing does yet; finer than it can be read, on a scale."""
        self._draw(9)
        return self.seen()

    def seen(self) -> str:
        """What stands there, with a scatter drawn for this look."""
        return ""

    def looks(self) -> str:
        """What an eye sees, in a sentence; empty for nothing that the drawing does not say."""
        return ""

    def on_display(self, value: float) -> str:
        """``value`` as a display writes it."""
        return plain(min(max(value, float(self.tool.low)), float(self.tool.high)), self.tool.decimals)

    def on_scale(self, value: float) -> str:
        """Where a scale stands, between its marks too."""
        return f"{min(max(value, float(self.tool.low)), float(self.tool.high)):.{self.tool.decimals + 2}f}"

    def scatter(self, share: float = 1.0) -> float:
        """The error of one reading of a display: its repeatability."""
        terms = [float(t.half_width) for t in self.tool.errors if t.kind == "repeatability" and not t.relative]
        return float(self.random.normal(0, share * sum(terms)))
