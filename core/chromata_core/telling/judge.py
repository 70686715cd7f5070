"""A reading that is about to be kept: what it would be worth on its sheet, in one line."""

from dataclasses import replace

from chromata_core.declaration.vocabulary import Method
from chromata_core.engine.context import Context, context_of
from chromata_core.errors import ChromataError
from chromata_core.judging.every_sheet import DIGITS
from chromata_core.judging.find import find
from chromata_core.judging.finding import gravest
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.understanding import understand
from chromata_core.telling.outcome import Verdict

_FIRST = ("over-range", *DIGITS)  # what the display itself says, before what follows from it


def judge(method: Method, sheet: Sheet, draft: Given) -> Verdict:
    """What ``draft`` would be worth on this sheet, in one line, before it is kept. A refused draft changes nothing."""
    try:
        bound = bind(method, sheet)
        understand(bound, draft)
    except ChromataError as error:
        return Verdict("stop", "Cannot be kept.", error.message, refused=True)
    others = tuple(given for given in sheet.given if given.place != draft.place)
    at = context_of(method, replace(sheet, given=(*others, draft)))
    here = [
        f for f in find(at) if f.trial == draft.trial and f.key in (draft.key, "") and f.index in (draft.index, None)
    ]
    # How the number is written comes first: with its last digit it may deserve another word.
    worst = next((f for f in here if f.code in _FIRST), None) or gravest([f for f in here if f.level != "keep"])
    if worst is not None:
        lead = {"look": "Look again.", "repeat": "Repeat.", "stop": "Stop.", "keep": "Keep."}[worst.level]
        return Verdict(worst.level, lead, f"{worst.what} {worst.why} {worst.do}", worst.suggest)
    finding = gravest([f for f in here if f.key == draft.key])
    return Verdict("keep", "Keep.", " ".join(filter(None, (finding.what if finding else "", _echo(at, draft)))))


def _echo(at: Context, draft: Given) -> str:
    reading = at.reading(draft.key)
    if reading is None:
        return ""
    tool = at.instrument(draft.key)
    looks = f"Does your {tool.kind} look like the drawing?"
    told = reading.echo and at.bound.own_work.shows == "at_once"
    value = at.value(reading.echo, draft.trial) if told else None
    if value is None:
        return looks
    quantity = at.quantity(reading.echo)
    return f"{quantity.label} {at.figured(quantity, draft.trial).text} {quantity.unit}. {looks}"
