"""Wrong and right answers that an experienced teacher expects from the worked examples, worked by hand.

Written from the readings of the examples alone, before the slips that methods declare were looked at. No number was
changed to fit them; a pattern was widened where the sentence says the same in other words, or where the teacher had
overlooked that two digits changed places. Plain arithmetic, molar masses of the standard atomic weights (IUPAC 2021,
abridged), vapour pressures of water from the usual handbook table, from memory to four figures. The kinds of mistakes
are common practice, no published source.
"""

from dataclasses import dataclass

from chromata_core.quantity.rounding import with_figures


@dataclass(frozen=True, slots=True)
class Answer:
    """What was written for a quantity of a worked example, and what must be said of it: a pattern that the sentence
    holds, or “= kind|kind”. ``earlier`` are the student's own answers before it, by quantity and trial.
    """

    method: str
    key: str
    trial: int | None
    text: str
    wants: str
    earlier: tuple[tuple[str, int | None, str], ...] = ()


Row = tuple[str, int | None, float | str, int | str, str]


def answers(method: str, *rows: Row) -> tuple[Answer, ...]:
    """Rows (quantity, trial, value, figures, what must be said); text as it was written stands in the place of both
    numbers, with a unit as its figures.
    """
    return tuple(
        Answer(method, key, trial, _written(value, figures), wants) for key, trial, value, figures, wants in rows
    )


def _written(value: float | str, figures: int | str) -> str:
    if isinstance(value, str):
        return f"{value} {figures}".strip()
    return with_figures(value, int(figures)).replace("−", "-")
