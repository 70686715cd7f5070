"""Numbers that a laboratory quotes beside its result: of its trials, and of every line that is drawn."""

from collections.abc import Iterator

from chromata_core.engine.context import Context
from chromata_core.quantity.rounding import with_figures
from chromata_core.statistics.outliers import Suspect, dixon, grubbs
from chromata_core.statistics.replicates import replicates
from chromata_core.telling.chart import Draws, Statistic, without_u


def statistics_of(at: Context) -> list[Statistic]:
    """All of a sheet, in the order in which they are quoted."""
    statistics = list(_of_trials(at))
    for drawing in at.bound.method.charts:
        statistics += drawing.statistics(at) if isinstance(drawing, Draws) else []
    return statistics


def _of_trials(at: Context) -> Iterator[Statistic]:
    key = at.bound.method.trials.agree
    values = [value for n in at.computed.counted if (value := at.value(key, n)) is not None] if key else []
    if len(values) < 2:
        return
    quantity, spread = at.quantity(key), replicates(values)
    of = f"{quantity.label}, {spread.n} trials"
    yield without_u(of, "Mean", spread.mean, quantity.unit, 6)
    yield without_u(of, "Standard deviation", spread.s, quantity.unit)
    yield without_u(of, "Furthest apart", spread.spread, quantity.unit)
    yield without_u(of, "Relative standard deviation", 100 * spread.rsd, "%")
    yield without_u(of, "Relative average deviation", 100 * spread.rad, "%")
    if spread.n > 2:
        yield from (_of_test(of, grubbs(values)), _of_test(of, dixon(values)))


def _of_test(of: str, suspect: Suspect) -> Statistic:
    name = {"Grubbs": "Grubbs’ G", "Dixon Q": "Dixon’s Q"}[suspect.test]
    text = f"{with_figures(suspect.ratio, 3)}; critical at 95 % {with_figures(suspect.critical, 3)}"
    return Statistic(of, name, suspect.ratio, "", text, critical=suspect.critical)
