"""A curve that a meter logged, written at a bench as if it had been read: every point an entry of its own."""

from itertools import chain
from uuid import uuid4

from django.db import transaction
from django.utils import timezone

from chromata_core.declaration.vocabulary import Series
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound
from chromata_core.sheet.curve_file import read_curve
from config.errors import Refused
from labs.declared import method_of
from labs.models import Bench
from notebook.actions import Draft, Kept, write
from notebook.handed import sheet_of
from people.models import Person


@transaction.atomic
def write_curve(bench: Bench, author: Person, key: str, trial: int | None, text: str) -> list[Kept]:
    """Appends the pairs of a logged file to the series ``key`` and the one beside it; SheetError or Refused, and then
    nothing is kept.
    """
    bound = bind(method_of(bench.session), sheet_of(bench, bench.entries.order_by("sequence")))
    series, beside = _paired(bound, key)
    pair, begun = (series.key, beside), len(bound.series(series.key, trial))
    points = enumerate(read_curve(text, series.logged), begun + 1)
    now = timezone.now()
    drafts = [
        Draft(uuid4(), key, value, trial=trial, index=index, written_at=now, supersedes=None, reason="")
        for index, key, value in chain.from_iterable(
            ((index, pair[0], number), (index, pair[1], other)) for index, (number, other) in points
        )
    ]
    kept = write(bench, author, drafts)
    problem = next((entry.problem for entry in kept if not entry.kept), "")
    if problem:
        raise Refused(f"The file was not taken over. {problem}", 422)
    return kept


def _paired(bound: Bound, key: str) -> tuple[Series, str]:
    """The series ``key``, which may be taken over from a file, and the one that is read beside it."""
    series = bound.part(key)
    beside = [r.key for r in bound.readings if isinstance(r, Series) and r.beside == key]
    if not isinstance(series, Series) or not series.logged or not beside:
        raise Refused("There is no curve here to which a logged file could belong.", 422)
    return series, beside[0]
