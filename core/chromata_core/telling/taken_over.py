"""The numbers of a plan that were found on another sheet, as its bench is told of them."""

from chromata_core.declaration.option_kinds import NumberOption
from chromata_core.engine.context import Context
from chromata_core.telling.outcome import HandedOut


def handed_of(at: Context) -> list[HandedOut]:
    """Those that enter under these options, in the order of the plan."""
    return [_told(at, option) for option in at.bound.hand_ins]


def _told(at: Context, option: NumberOption) -> HandedOut:
    handed = at.bound.handed.get(option.key) or at.bound.awaited[option.key]
    text = f"{at.bound.label_of(option)} {option.unit}".rstrip()
    return HandedOut(option.key, option.label, text, handed.origin, handed.why)
