"""What students work out themselves in a session, when the computed lines show beside it, and how much a hint tells."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal, get_args

from chromata_core.declaration.places import own
from chromata_core.declaration.vocabulary import Method, Quantity, Step
from chromata_core.errors import unknown
from chromata_core.sentences import first_lower

Shows = Literal["at_once", "after_line", "after_own", "after_release"]
Hints = Literal["none", "verdict", "place", "slip", "line"]
MOST_LINES = 24
WORKSHEET = "worksheet"  # the key of its step


@dataclass(frozen=True, slots=True)
class OwnWork:
    """``lines`` are keys of quantities, those of trials in the first that counts. Computed lines show at once, each
    after the student's own, all after all own ones, or after the release. A hint tells nothing, whether it is right,
    where it differs, which slip gives it, or the line itself; after so many ``tries`` it tells the line, never for 0.
    """

    shows: Shows = "at_once"
    hints: Hints = "slip"
    tries: int = 3
    lines: tuple[str, ...] = ()


def percent_error_of(result: str) -> str:
    """The key of the line in which the percent error of ``result`` is worked out."""
    return f"{result}_off"


def percent_errors(method: Method) -> tuple[Quantity, ...]:
    """How far off each result is that nature fixes: a line that students may work out, and nothing else shows."""
    return tuple(
        Quantity(
            percent_error_of(quantity.key), f"Percent error of {first_lower(quantity.label)}, its sign aside",
            f"size(({quantity.key} - ({quantity.known})) / ({quantity.known}))", "%", "off", quantity.scope,
            when=quantity.when,
        )
        for quantity in method.quantities
        if quantity.result and quantity.known and quantity.scope != "trial"
    )  # fmt: skip


def own_work_problems(method: Method, asked: OwnWork) -> Iterator[str]:
    """A sentence for everything in ``asked`` that cannot be asked for."""
    known = [quantity.key for quantity in (*method.quantities, *percent_errors(method)) if quantity.is_line]
    yield from (unknown("line of the work", key, known) for key in asked.lines if key not in known)
    if asked.shows not in get_args(Shows) or asked.hints not in get_args(Hints):
        yield "What shows when, and what a hint tells, are chosen from lists."
    if len(asked.lines) > MOST_LINES or len(set(asked.lines)) < len(asked.lines):
        yield f"At most {MOST_LINES} lines are worked out, each of them once."
    if not 0 <= asked.tries <= 9:
        yield "The line is told after one to nine tries, or never (0)."
    if asked.shows in ("after_line", "after_own") and not asked.lines:
        yield "Choose the lines that students work out; without any nothing would ever show."


def worksheet(asked: OwnWork) -> Step:
    """The step in which the lines are worked out, after the trials."""
    return Step(
        WORKSHEET, "Work it out", "Work it out yourselves,", "line by line.",
        "Any unit that fits may be typed behind the number.", "closing", tuple(own(key).key for key in asked.lines),
    )  # fmt: skip
