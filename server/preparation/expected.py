"""What an instructor can expect to read: readings without any error that lead to each sample's accepted values."""

from dataclasses import dataclass

from chromata_core.errors import ChromataError
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Sheet
from chromata_core.simulation.true_bench import true_bench
from chromata_core.telling.evaluate import evaluate
from labs.declared import method_of
from labs.instruments import stock_of
from labs.models import Session

_SEED = 1  # of portions and of the day: one of those that may be


@dataclass(frozen=True, slots=True)
class ExpectedReading:
    """A reading with what it will be near: one for each trial."""

    label: str
    unit: str
    values: list[str]


@dataclass(frozen=True, slots=True)
class Expected:
    """A sample: its benches, what it holds, what is read and what comes out of it; ``problem`` where nothing can be
    foretold.
    """

    sample: str
    benches: list[int]
    accepted: list[str]
    readings: list[ExpectedReading]
    results: list[str]
    problem: str


def expected_of(session: Session) -> list[Expected]:
    """For each sample; for the worked example where there is none. Only call this for who may see accepted values."""
    samples = session.samples.prefetch_related("hidden", "benches")
    if not samples:
        return [_expected(session, "", sorted({bench.number for bench in session.benches.all()}), {}, {})]
    return [
        _expected(
            session, sample.label, sorted({bench.number for bench in sample.benches.all()}),
            {hidden.key: hidden.text for hidden in sample.hidden.all()}, sample.options,
        )
        for sample in samples
    ]  # fmt: skip


def _expected(
    session: Session, sample: str, benches: list[int], accepted: dict[str, str], options: dict[str, str]
) -> Expected:
    method = method_of(session)
    plan = Sheet({**session.options, **options}, session.instruments, stock=stock_of(session))
    labels = {quantity.key: (quantity.label, quantity.unit) for quantity in method.quantities}
    told = [f"{labels[key][0]} {text} {labels[key][1]}".strip() for key, text in accepted.items() if key in labels]
    try:
        true = true_bench(method, plan, accepted, _SEED)
        results = [f"{result.label}: {result.line}" for result in evaluate(method, true).results]
    except ChromataError as error:
        return Expected(sample, benches, told, [], [], error.message)
    return Expected(sample, benches, told, _readings(bind(method, true)), results, "")


def _readings(bound: Bound) -> list[ExpectedReading]:
    """As finely as they are written at the bench."""
    by_key = {reading.key: reading for reading in bound.readings}
    readings: dict[str, list[str]] = {}
    for place, typed in bound.typed.items():
        if place.key in by_key:
            fine = bound.instruments[by_key[place.key].role].decimals
            readings.setdefault(place.key, []).append(f"{typed.value:.{fine}f}")
    return [ExpectedReading(by_key[key].label, by_key[key].unit, values) for key, values in readings.items()]
