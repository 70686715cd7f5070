"""What a scene is made of: vessels with what is in them, and everything around them, as data."""

from dataclasses import dataclass
from typing import Literal

from chromata_core.apparatus.outline import Point
from chromata_core.apparatus.profiles import VesselKind

# What an area is filled with; the page says which ink that is, on paper and in the dark too.
Paint = Literal[
    "", "water", "colour", "deep", "acid", "solid", "metal", "other metal", "flame", "sheet", "skin", "stopper",
    "pink", "magenta", "red", "orange", "yellow", "green", "blue", "violet",
]  # fmt: skip
Pen = Literal["", "line", "fine", "dashed", "accent", "warn", "heavy"]
Tone = Literal["plain", "soft", "accent", "warn", "figure"]


@dataclass(frozen=True, slots=True)
class Vessel:
    """A vessel, its rim's middle at ``at``. ``layers`` are what is in it from the bottom up: to which share of its
    height as it stands, and what. ``turned`` clockwise by degrees about its middle; ``ringed`` marks by their depth.
    """

    kind: VesselKind
    at: Point
    layers: tuple[tuple[float, Paint], ...] = ()
    turned: float = 0.0
    ringed: tuple[float, ...] = ()


@dataclass(frozen=True, slots=True)
class Line:
    """A line through points: tubing, wire, a lead, a rod."""

    points: tuple[Point, ...]
    pen: Pen = "line"


@dataclass(frozen=True, slots=True)
class Area:
    """A closed shape."""

    points: tuple[Point, ...]
    fill: Paint
    pen: Pen = "line"


@dataclass(frozen=True, slots=True)
class Round:
    """A circle: a bubble, a bead, a post, a dial."""

    at: Point
    radius: float
    fill: Paint = ""
    pen: Pen = "line"


@dataclass(frozen=True, slots=True)
class Drops:
    """Drops that fall from ``at``, one below the other."""

    at: Point
    count: int = 1
    fill: Paint = "colour"
    apart: float = 12.0


@dataclass(frozen=True, slots=True)
class Bubbles:
    """Bubbles that rise between two points."""

    low: Point
    high: Point
    count: int = 4


@dataclass(frozen=True, slots=True)
class Flame:
    """A flame whose tip is ``height`` above ``at``."""

    at: Point
    height: float = 26.0


@dataclass(frozen=True, slots=True)
class Arrow:
    """Where something goes; ``bend`` lifts its middle to the left of its way."""

    start: Point
    end: Point
    bend: float = 0.0
    pen: Pen = "accent"


@dataclass(frozen=True, slots=True)
class Display:
    """A box that shows something: a balance, a meter, a clock. Its upper left corner is at ``at``."""

    at: Point
    size: Point
    text: str


@dataclass(frozen=True, slots=True)
class Thermometer:
    """A thermometer with its tip at ``at``, so long, standing or ``turned``."""

    at: Point
    length: float = 70.0
    reads: float = 0.5
    turned: float = 0.0


@dataclass(frozen=True, slots=True)
class Eye:
    """An eye that looks along a line."""

    at: Point
    towards: Point


@dataclass(frozen=True, slots=True)
class Clamp:
    """A stand with an arm to ``to``; its rod stands at ``rod`` down to the bench at ``foot``."""

    rod: float
    to: Point
    top: float = 10.0
    foot: float = 196.0


@dataclass(frozen=True, slots=True)
class Note:
    """Words in the drawing, lines parted by a bar, with a thin line to what they are about."""

    at: Point
    text: str
    tone: Tone = "plain"
    anchor: Literal["start", "middle", "end"] = "start"
    to: Point | None = None


Thing = (
    Vessel | Line | Area | Round | Drops | Bubbles | Flame | Arrow | Display | Thermometer | Eye | Clamp | Note
)  # fmt: skip
