"""What the screens get of the stockroom."""

from dataclasses import dataclass

from chromata_core.instruments.instrument import Instrument
from chromata_core.telling.chart import Chart


@dataclass(frozen=True, slots=True)
class Named:
    """Two texts that belong together: what something is for, and what it is."""

    label: str
    text: str


@dataclass(frozen=True, slots=True)
class CalibrationOut:
    """A calibrated instrument; ``slug`` is how a plan names it, ``points`` say what it really gives, with U (k = 2)."""

    id: int
    slug: str
    name: str
    base: str
    kind: str
    points: list[Named]
    source: str
    found_at: str


@dataclass(frozen=True, slots=True)
class SolutionOut:
    """A standardised solution."""

    id: int
    name: str
    solution: str
    concentration: str
    limit: str
    unit: str
    source: str
    found_at: str


@dataclass(frozen=True, slots=True)
class OwnInstrumentOut:
    """An instrument with a scale of its own, as its owner describes it, and as it is read and drawn."""

    id: int
    base: str
    tool: Instrument


@dataclass(frozen=True, slots=True)
class StockOverTime:
    """A bottle or an instrument that was measured three times or more, on a control chart; ``signals`` in words."""

    name: str
    chart: Chart
    signals: list[str]


@dataclass(frozen=True, slots=True)
class Stock:
    """Everything of its own that a department can choose in a plan; what drifted of it."""

    instruments: list[OwnInstrumentOut]
    calibrations: list[CalibrationOut]
    solutions: list[SolutionOut]
    over_time: list[StockOverTime]


@dataclass(frozen=True, slots=True)
class BottleOut:
    """A bottle on the shelf as its label says it; ``shown`` is its formula as people write it, ``strong`` how strong it
    is, ``past`` whether it is past its date.
    """

    id: int
    name: str
    formula: str
    shown: str
    amount: str
    strength: str
    limit: str
    density: str
    until: str
    place: str
    past: bool
    strong: str


@dataclass(frozen=True, slots=True)
class PieceOut:
    """An instrument that can be counted, with the ``basis`` of its tolerance: ``pieces`` of it are there; None: nobody
    counted, it is taken as there.
    """

    slug: str
    name: str
    kind: str
    basis: str
    pieces: int | None
    place: str


@dataclass(frozen=True, slots=True)
class ShelfOut:
    """What the department has to prepare and to work with; ``known`` substances by formula (label) and name (text)."""

    known: list[Named]
    bottles: list[BottleOut]
    pieces: list[PieceOut]
