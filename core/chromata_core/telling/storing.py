"""What a sheet found that later sessions can use: an instrument's calibration, or the concentration of a solution."""

from dataclasses import dataclass

from chromata_core.engine.context import Context
from chromata_core.engine.stated import stated
from chromata_core.errors import SheetError
from chromata_core.instruments.calibrated import CalibrationPoint
from chromata_core.quantity.report import report
from chromata_core.quantity.rounding import plain
from chromata_core.uncertainty.source import DIVISORS


@dataclass(frozen=True, slots=True)
class StoredCalibration:
    """The instrument that was calibrated, and its points in its unit."""

    base: str
    unit: str
    points: list[CalibrationPoint]


@dataclass(frozen=True, slots=True)
class StoredSolution:
    """A solution with its concentration and the ± that holds 95 %, as texts in ``unit``."""

    solution: str
    concentration: str
    limit: str
    unit: str


def to_store(at: Context) -> StoredCalibration | StoredSolution:
    """What this sheet is worth to later sessions; SheetError where its method stores nothing or it is not finished."""
    stores = at.bound.method.stores
    if stores is None:
        raise SheetError([f"“{at.bound.method.title}” finds nothing that later sessions could use."])
    return _calibration(at) if stores.role else _solution(at)


def _calibration(at: Context) -> StoredCalibration:
    stores = at.bound.method.stores
    assert stores is not None
    quantity, tool = at.quantity(stores.result), at.bound.instruments[stores.role]
    points = []
    for trial in at.computed.counted:
        if trial != at.last_try(at.bound.place(trial) or trial):
            continue
        value, budget, factor = stated(at, quantity, trial)
        points.append(CalibrationPoint(float(at.planned(stores.nominal, trial)), value, budget.u * factor))
    if not points:
        raise SheetError(["There is no result yet. Finish at least one volume before you store the calibration."])
    return StoredCalibration(tool.slug, quantity.unit, points)


def _solution(at: Context) -> StoredSolution:
    stores = at.bound.method.stores
    assert stores is not None
    quantity = at.quantity(stores.result)
    agreed = at.computed.agreement is not None and at.computed.agreement.agree
    if at.computed.column(quantity.key, None) is None or not agreed:
        raise SheetError(["The trials do not agree yet. A concentration is stored only once they do."])
    value, budget, factor = stated(at, quantity, None)
    limit = max(budget.expanded * factor, DIVISORS["normal95"] * budget.u * factor)  # few trials: k is larger than 1.96
    shown = report(value, limit)
    text = plain(value, len(shown.value.partition(".")[2])) if not shown.power else repr(value)
    return StoredSolution(
        at.bound.worded(stores.solution), text, plain(limit, len(text.partition(".")[2])), quantity.unit
    )
