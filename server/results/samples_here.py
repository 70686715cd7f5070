"""The samples that one place works with, one after the other: what was read for one and holds for the next, and how
their results lie beside each other.
"""

from chromata_core.sheet.bound import Bound
from chromata_core.telling.beside import beside
from chromata_core.telling.outcome import Evaluation
from labs.models import Bench
from notebook.desks import Desk, desks
from notebook.standing import standing
from results.shapes import BesideSample, ReadBefore, SampleHere


def samples_here(bench: Bench) -> list[Desk]:
    """The desks of the place of ``bench`` in turn, its own among them; none where it works with one sample."""
    if not bench.session.all_samples:
        return []
    place = list(Bench.objects.filter(session=bench.session_id, number=bench.number).select_related("sample"))
    for record in place:
        record.session = bench.session
    return desks(place) if len(place) > 1 else []


def tabs(place: list[Desk]) -> list[SampleHere]:
    """The samples as one goes from one to the other."""
    return [SampleHere(desk.bench.pk, label_of(desk.bench), desk.state.progress) for desk in place]


def read_before(bound: Bound, bench: Bench, place: list[Desk]) -> list[ReadBefore]:
    """What was read for another sample of this place and is the same for all: each once, the first that was read."""
    common = {reading.key for reading in bound.readings if reading.common or reading.room}
    before: dict[tuple[str, int | None], ReadBefore] = {}
    for other in place:
        for entry in standing(other.entries) if other.bench.pk != bench.pk else ():
            if entry.key in common and entry.trial is None:
                told = ReadBefore(entry.key, entry.index, entry.text, label_of(other.bench))
                before.setdefault((entry.key, entry.index), told)
    return list(before.values())


def beside_samples(bench: Bench, own: Evaluation, place: list[Desk]) -> list[BesideSample]:
    """The results of ``bench`` beside those of its other samples, as far as both have them."""
    pairs = [(other.bench, beside(own, other.state, label_of(other.bench))) for other in place]
    return [BesideSample(label_of(first), besides) for first, besides in pairs if besides and first.pk != bench.pk]


def label_of(bench: Bench) -> str:
    """What its sample is called, empty where it has none."""
    return bench.sample.label if bench.sample else ""
