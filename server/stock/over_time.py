"""How what is in the stockroom drifts: bottles and instruments of one name, each time they were measured."""

from collections.abc import Iterator
from itertools import groupby

from django.utils import timezone

from chromata_core.instruments.catalogue import instrument
from chromata_core.quantity.typed import parse_reading
from chromata_core.telling.over_time import drawn
from people.models import Person
from stock.models import Calibration, Solution
from stock.shapes import StockOverTime

# What was measured: its name with the point of its scale, what it is, the unit, when, and the value.
_Measured = tuple[str, str, str, str, float]


def drifts(person: Person) -> list[StockOverTime]:
    """Everything of ``person`` that was measured often enough to see it drift."""
    drifts = []
    rows = sorted((*_solutions(person), *_calibrations(person)), key=lambda row: row[:3])
    for (name, _, symbol), same in groupby(rows, key=lambda row: row[:3]):
        chart, signals = drawn(name, symbol, [(when, value) for *_, when, value in same])
        if chart is not None:
            drifts.append(StockOverTime(name, chart, signals))
    return drifts


def _solutions(person: Person) -> Iterator[_Measured]:
    for solution in Solution.objects.filter(owner=person).order_by("found_at", "pk"):
        yield (
            solution.name,
            solution.solution,
            solution.unit,
            _day(solution),
            float(parse_reading(solution.concentration).value),
        )


def _calibrations(person: Person) -> Iterator[_Measured]:
    for calibration in Calibration.objects.filter(owner=person).order_by("found_at", "pk"):
        for point in calibration.points:
            name = f"{calibration.name}, set to {point['nominal']:g}"
            yield name, calibration.base, instrument(calibration.base).unit, _day(calibration), float(point["actual"])


def _day(row: Solution | Calibration) -> str:
    return f"{timezone.localtime(row.found_at):%d %b %y}"
