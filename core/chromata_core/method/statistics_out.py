"""Numbers that a laboratory quotes beside its result: of its trials, and of every line that is drawn."""

from collections.abc import Iterator

from chromata_core.curves.line import Line
from chromata_core.method.context import Context
from chromata_core.method.line_charts import AcrossLine, CalibrationLine
from chromata_core.method.outcome import Statistic
from chromata_core.statistics.outliers import Suspect, dixon, grubbs
from chromata_core.statistics.replicates import replicates


def statistics_of(at: Context) -> list[Statistic]:
    """All of a sheet, in the order in which they are quoted."""
    found = list(_of_trials(at))
    for drawing in at.bound.method.charts:
        if isinstance(drawing, CalibrationLine | AcrossLine) and (fitted := drawing.line(at)) is not None:
            found += _of_line(drawing.title, fitted)
    return found


def _of_trials(at: Context) -> Iterator[Statistic]:
    key = at.bound.method.trials.agree
    values = [value for n in at.computed.counted if (value := at.value(key, n)) is not None] if key else []
    if len(values) < 2:
        return
    quantity, made = at.quantity(key), replicates(values)
    of = f"{quantity.label}, {made.n} trials"
    yield Statistic(of, "Mean", made.mean, quantity.unit)
    yield Statistic(of, "Standard deviation", made.s, quantity.unit)
    yield Statistic(of, "Furthest apart", made.spread, quantity.unit)
    yield Statistic(of, "Relative standard deviation", 100 * made.rsd, "%")
    yield Statistic(of, "Relative average deviation", 100 * made.rad, "%")
    if made.n > 2:
        yield from (_of_test(of, grubbs(values)), _of_test(of, dixon(values)))


def _of_test(of: str, found: Suspect) -> Statistic:
    name = {"Grubbs": "Grubbs’ G", "Dixon Q": "Dixon’s Q"}[found.test]
    return Statistic(of, name, found.ratio, "", critical=found.critical)


def _of_line(of: str, found: Line) -> Iterator[Statistic]:
    yield Statistic(of, "Slope", found.slope, "", found.u_slope)
    if not found.through_origin:
        yield Statistic(of, "Intercept", found.intercept, "", found.u_intercept)
    yield Statistic(of, "Residual standard deviation", found.s, "")
    yield Statistic(of, "r²", found.r2, "")
    yield Statistic(of, "Degrees of freedom", float(found.dof), "")
