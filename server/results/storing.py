"""What a bench found is kept for later sessions."""

from dataclasses import asdict

from django.db import transaction

from chromata_core.engine.context import context_of
from chromata_core.telling.storing import StoredCalibration, to_store
from config.errors import Refused
from labs.declared import method_of
from labs.models import Bench
from notebook.handed import sheet_of
from people.models import Person
from stock.models import Calibration, Solution


@transaction.atomic
def store(bench: Bench, owner: Person, name: str) -> Calibration | Solution:
    """Keeps the bench's result under ``name``; SheetError where there is nothing to keep, Refused for what nobody has
    measured.
    """
    if bench.session.simulated:
        raise Refused("This bench is simulated: what it found is no real calibration or solution.")
    stored = to_store(context_of(method_of(bench.session), sheet_of(bench, bench.entries.order_by("sequence"))))
    source = f"{bench.session.title}, {bench}, {bench.session.starts_at:%d %B %Y}"
    common = {"owner": owner, "name": name, "bench": bench, "source": source}
    if isinstance(stored, StoredCalibration):
        return Calibration.objects.create(**common, base=stored.base, points=[asdict(point) for point in stored.points])
    return Solution.objects.create(**common, **asdict(stored))
