"""Whether the cycles of a declaration can be gone through, and end."""

from collections.abc import Iterator
from decimal import Decimal
from itertools import groupby

from chromata_core.declaration.option_kinds import NumberOption
from chromata_core.declaration.vocabulary import Method, Reading, Series
from chromata_core.sheet.bound import MOST_ROUNDS


def cycles_misfit(method: Method) -> Iterator[str]:
    """A cycle is one block of steps; its series is read in it, or its number of rounds has a limit."""
    blocks = [cycle for (_, cycle), _ in groupby(method.steps, lambda step: (step.scope, step.cycle)) if cycle]
    for cycle in dict.fromkeys(blocks):
        if blocks.count(cycle) > 1:
            yield f"The steps of the cycle “{cycle}” must follow each other in one part of the session."
        reads = {key for step in method.steps if step.cycle == cycle for key in step.reads}
        if any(isinstance(part, Series) and part.key == cycle for part in method.readings) and cycle not in reads:
            yield f"No step of the cycle “{cycle}” reads that series, so its rounds would not end."
        once = [
            part.label
            for part in method.readings
            if isinstance(part, Reading) and not isinstance(part, Series) and part.key in reads
        ]
        yield from (f"“{label}” is read in the rounds of “{cycle}”: make it a series." for label in once)
        number = next((option for option in method.options if option.key == cycle), None)
        if isinstance(number, NumberOption) and not _counts(number):
            yield f"The cycle “{cycle}” needs a number of rounds with limits, from 1 to {MOST_ROUNDS} at most."


def _counts(number: NumberOption) -> bool:
    limits = [Decimal(text) for text in (number.low, number.high) if text]
    return len(limits) == 2 and limits[0] >= 1 and limits[1] <= MOST_ROUNDS
