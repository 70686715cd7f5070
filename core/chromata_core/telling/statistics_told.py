"""Numbers that a laboratory quotes beside its result: of its trials, and of every line that is drawn."""

from collections.abc import Iterator

from chromata_core.curves.line import Line
from chromata_core.engine.context import Context
from chromata_core.judging.cell_checks import rungs
from chromata_core.quantity.report import report
from chromata_core.quantity.rounding import plain, with_figures
from chromata_core.statistics.outliers import Suspect, dixon, grubbs
from chromata_core.statistics.replicates import replicates
from chromata_core.telling.cell_charts import LadderOfHalfCells
from chromata_core.telling.line_charts import AcrossLine, CalibrationLine
from chromata_core.telling.outcome import Statistic


def statistics_of(at: Context) -> list[Statistic]:
    """All of a sheet, in the order in which they are quoted."""
    found = list(_of_trials(at))
    for drawing in at.bound.method.charts:
        if isinstance(drawing, CalibrationLine | AcrossLine) and (fitted := drawing.line(at)) is not None:
            found += _of_line(drawing.title, fitted)
        if isinstance(drawing, LadderOfHalfCells):
            found += _of_ladder(at, drawing)
    return found


def _of_trials(at: Context) -> Iterator[Statistic]:
    key = at.bound.method.trials.agree
    values = [value for n in at.computed.counted if (value := at.value(key, n)) is not None] if key else []
    if len(values) < 2:
        return
    quantity, made = at.quantity(key), replicates(values)
    of = f"{quantity.label}, {made.n} trials"
    yield _plain(of, "Mean", made.mean, quantity.unit, 6)
    yield _plain(of, "Standard deviation", made.s, quantity.unit)
    yield _plain(of, "Furthest apart", made.spread, quantity.unit)
    yield _plain(of, "Relative standard deviation", 100 * made.rsd, "%")
    yield _plain(of, "Relative average deviation", 100 * made.rad, "%")
    if made.n > 2:
        yield from (_of_test(of, grubbs(values)), _of_test(of, dixon(values)))


def _plain(of: str, label: str, value: float, unit: str = "", figures: int = 3) -> Statistic:
    return Statistic(of, label, value, unit, f"{with_figures(value, figures)} {unit}".rstrip())


def _with_u(of: str, label: str, value: float, u: float, unit: str = "") -> Statistic:
    return Statistic(of, label, value, unit, f"{report(value, u).text} {unit}".rstrip() + " (u)", u)


def _of_test(of: str, found: Suspect) -> Statistic:
    name = {"Grubbs": "Grubbs’ G", "Dixon Q": "Dixon’s Q"}[found.test]
    text = f"{with_figures(found.ratio, 3)}; critical at 95 % {with_figures(found.critical, 3)}"
    return Statistic(of, name, found.ratio, "", text, critical=found.critical)


def _of_ladder(at: Context, drawing: LadderOfHalfCells) -> Iterator[Statistic]:
    """Every half-cell against the one at the foot, and what is left over where more pairs than needed were read."""
    found = rungs(at, drawing.reading)
    if found is None:
        return
    foot = at.bound.pairs[-1].minus
    spare = len(found.residuals) - len(found.potentials) + 1
    for metal, volts in sorted(found.potentials.items(), key=lambda rung: -rung[1]):
        label = f"{metal} against {foot}"
        if metal != foot and spare:
            yield _with_u(drawing.title, label, volts, found.u[metal], "V")
        elif metal != foot:
            yield Statistic(drawing.title, label, volts, "V", f"{plain(volts, 3)} V")
    if spare:
        yield _plain(drawing.title, "Residual standard deviation", found.s, "V")
        yield Statistic(drawing.title, "Degrees of freedom", float(spare), "", str(spare))


def _of_line(of: str, found: Line) -> Iterator[Statistic]:
    yield _with_u(of, "Slope", found.slope, found.u_slope)
    if not found.through_origin:
        yield _with_u(of, "Intercept", found.intercept, found.u_intercept)
    yield _plain(of, "Residual standard deviation", found.s)
    yield _plain(of, "r²", found.r2, figures=6)
    yield Statistic(of, "Degrees of freedom", float(found.dof), "", str(found.dof))
