"""The pieces that a plan needs at once: at each bench, or a few that benches share."""

from collections.abc import Mapping
from dataclasses import dataclass

from chromata_core.declaration.options import active
from chromata_core.declaration.vocabulary import Reading
from chromata_core.instruments.instrument import Instrument
from chromata_core.instruments.prep_room import EQUIPMENT
from chromata_core.sheet.bound import Bound

# Pieces that a room has few of: benches go to them. Common practice, no published source.
_SHARED = {
    "balance",
    "barometer",
    "pressure sensor",
    "weather report",
    "spectrophotometer",
    "wavelength scale",
    "clock",
}


@dataclass(frozen=True, slots=True)
class PieceNeeded:
    """So many of an instrument. ``shared``: for all benches together."""

    slug: str
    name: str
    needed: int
    shared: bool


def pieces_needed(bound: Bound, benches: int) -> list[PieceNeeded]:
    """Every instrument that is read in this plan, once for each of its roles that different pieces fill."""
    needed: dict[str, int] = {}
    tools: dict[str, Instrument] = {}
    for role in bound.method.roles:
        readings = [r for r in active(_readings(bound), bound.options) if r.role == role.key and not r.optional]
        if readings and benches:
            tool = bound.instruments[role.key]
            tools[tool.slug] = tool
            each = len(readings) if role.several else 1
            needed[tool.slug] = needed.get(tool.slug, 0) + each
    told = _told(bound)
    needs = []
    for slug, each in needed.items():
        kind = tools[slug].kind
        count = min(told.get(kind, 1), benches) if kind in _SHARED else each * benches
        needs.append(PieceNeeded(slug, tools[slug].short, count, kind in _SHARED))
    return needs + _equipment(bound, benches)


def _equipment(bound: Bound, benches: int) -> list[PieceNeeded]:
    """What is shared and not read."""
    shared = [gear for gear in active(bound.method.shared, bound.options) if gear.kind in EQUIPMENT and benches]
    return [
        PieceNeeded(gear.kind, EQUIPMENT[gear.kind], min(int(bound.number(gear.number)), benches), True)
        for gear in shared
    ]


def _readings(bound: Bound) -> tuple[Reading, ...]:
    return tuple(reading for reading in bound.method.readings if isinstance(reading, Reading))


def _told(bound: Bound) -> Mapping[str, int]:
    """How many of what is shared the plan itself counts on, by kind."""
    shared = active(bound.method.shared, bound.options)
    return {gear.kind: int(bound.number(gear.number)) for gear in shared if gear.kind}
