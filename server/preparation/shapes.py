"""What the screens get of preparation."""

from dataclasses import dataclass

from chromata_core.planning.recipe import Recipe
from chromata_core.planning.supplies import SupplyOut
from labs.shapes import SessionCard


@dataclass(frozen=True, slots=True)
class MadeOut:
    """A solution as it was really made: what was measured in words, and what it came to."""

    lead: str
    measured: str
    result: str
    by: str
    at: str


@dataclass(frozen=True, slots=True)
class ToMake:
    """A solution to be made; ``made`` once it was. ``by_label``: its number is written in the plan or on the board."""

    recipe: Recipe
    made: MadeOut | None
    ready: bool


@dataclass(frozen=True, slots=True)
class ToSetOut:
    """Pieces to be set out. ``there`` is how many were counted, None where nobody did; ``short`` says what is lacking
    and what to do.
    """

    key: str
    name: str
    needed: int
    shared: bool
    there: int | None
    short: str
    ready: bool


@dataclass(frozen=True, slots=True)
class ToSwitchOn:
    """What has to be warm in time; ``at`` is when it is switched on."""

    key: str
    text: str
    at: str
    ready: bool


@dataclass(frozen=True, slots=True)
class Preparation:
    """All that is made and set out for one session. ``weighed`` is what is used up and not dissolved."""

    session: SessionCard
    benches: int
    spare_percent: int
    solutions: list[ToMake]
    pieces: list[ToSetOut]
    weighed: list[SupplyOut]
    switched_on: list[ToSwitchOn]
    waste: str
    may_change: bool


@dataclass(frozen=True, slots=True)
class WeekLine:
    """A line of the week's list. ``earliest`` is the day before which it would not keep; empty where it may be made
    today."""

    key: str
    title: str
    amount: str
    lead: str
    earliest: str
    ready: bool
    made: bool
    lacks: list[str]


@dataclass(frozen=True, slots=True)
class WeekSession:
    """A session with what has to be ready when it begins."""

    card: SessionCard
    benches: int
    lines: list[WeekLine]


@dataclass(frozen=True, slots=True)
class Together:
    """A solution that several sessions use, with how much each."""

    title: str
    amounts: list[str]


@dataclass(frozen=True, slots=True)
class Week:
    """Monday to Sunday, its sessions in order."""

    begins: str
    ends: str
    sessions: list[WeekSession]
    together: list[Together]


@dataclass(frozen=True, slots=True)
class DeskField:
    """A field of a calculator; ``choices`` are keys with their words."""

    key: str
    label: str
    example: str
    help: str
    choices: list[list[str]]
    long: bool


@dataclass(frozen=True, slots=True)
class CalculatorOut:
    """A calculator on the desk."""

    key: str
    title: str
    lead: str
    fields: list[DeskField]
