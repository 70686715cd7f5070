"""Numbers that a laboratory quotes beside its result: of its trials, and of every line that is drawn."""

from collections.abc import Iterator

from chromata_core.engine.context import Context
from chromata_core.quantity.rounding import with_figures
from chromata_core.statistics.outliers import Suspect, dixon, grubbs
from chromata_core.statistics.replicates import replicates
from chromata_core.telling.chart import Draws, Statistic, without_u


def statistics_of(at: Context) -> list[Statistic]:
    """All of a sheet, in the order in which they are quoted."""
    found = list(_of_trials(at))
    for drawing in at.bound.method.charts:
        found += drawing.statistics(at) if isinstance(drawing, Draws) else []
    return found


def _of_trials(at: Context) -> Iterator[Statistic]:
    key = at.bound.method.trials.agree
    values = [value for n in at.computed.counted if (value := at.value(key, n)) is not None] if key else []
    if len(values) < 2:
        return
    quantity, made = at.quantity(key), replicates(values)
    of = f"{quantity.label}, {made.n} trials"
    yield without_u(of, "Mean", made.mean, quantity.unit, 6)
    yield without_u(of, "Standard deviation", made.s, quantity.unit)
    yield without_u(of, "Furthest apart", made.spread, quantity.unit)
    yield without_u(of, "Relative standard deviation", 100 * made.rsd, "%")
    yield without_u(of, "Relative average deviation", 100 * made.rad, "%")
    if made.n > 2:
        yield from (_of_test(of, grubbs(values)), _of_test(of, dixon(values)))


def _of_test(of: str, found: Suspect) -> Statistic:
    name = {"Grubbs": "Grubbs’ G", "Dixon Q": "Dixon’s Q"}[found.test]
    text = f"{with_figures(found.ratio, 3)}; critical at 95 % {with_figures(found.critical, 3)}"
    return Statistic(of, name, found.ratio, "", text, critical=found.critical)
