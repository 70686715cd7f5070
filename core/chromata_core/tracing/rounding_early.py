"""Numbers rounded on the way: each line of the work, or all of them, to two or three figures."""

from collections.abc import Callable, Iterator

import numpy as np

from chromata_core.declaration.option_kinds import NumberOption, SubstanceOption
from chromata_core.engine.context import Context, ResultPlace
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import names
from chromata_core.quantity.column import Column
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.units import unit
from chromata_core.sentences import counted, first_lower
from chromata_core.tracing.behind import feeding
from chromata_core.tracing.change import Change, Way

_COST = {4: 1.0, 3: 1.0, 2: 2.0}  # by figures


def rounded_ways(at: Context, place: ResultPlace) -> Iterator[Way]:
    """Each way of rounding early."""
    quantity, _ = place
    behind = feeding(at, quantity)
    lines = [
        q for q in at.bound.quantities
        if q.key in behind and q.key != quantity.key and not (q.per or q.aside) and _plain(q.unit)
    ]  # fmt: skip
    for figures in (3, 2):
        changes = [
            Change(
                f"rounded:{q.key}", f"“{first_lower(q.label)}” is rounded to {counted(figures, 'figure')}",
                _COST[figures], q.key, value=_rounding(figures, unit(q.unit).factor),
            )
            for q in lines
        ]  # fmt: skip
        yield from (Way((change,)) for change in changes)
        if len(changes) > 1:
            yield Way(tuple(changes), f"every line is rounded to {counted(figures, 'figure')}")
        for line in (*lines, quantity):
            inside = names(parse_formula(line.formula))
            together = tuple(change for change in changes if change.quantity in inside)
            if len(together) > 1:
                yield Way(together)
    for key, label, size in _constants(at, behind):
        value = float(at.computed.bench[key].real.flat[0])
        for figures in _COST:
            text = with_figures(value / size, figures)
            says = f"{label} is rounded to {text}"
            wrong = float(_rounding(figures, size)(np.array(value)))
            yield Way((Change(f"rounded:{key}", says, _COST[figures], place=key, instead=wrong),))


def _plain(symbol: str) -> bool:
    return not unit(symbol).offset


def _constants(at: Context, behind: frozenset[str]) -> Iterator[tuple[str, str, float]]:
    for option in at.bound.method.all_options:
        if option.key in behind and isinstance(option, SubstanceOption):
            yield option.key, f"the molar mass of “{first_lower(option.label)}”", 1e-3
        elif option.key in behind and isinstance(option, NumberOption) and option.symbol and _plain(option.unit):
            yield option.key, f"“{first_lower(option.label)}”", unit(option.unit).factor


def _rounding(figures: int, size: float) -> Callable[[Column], Column]:
    def rounded(column: Column) -> Column:
        number = np.asarray(column, dtype=float) / size
        with np.errstate(all="ignore"):
            step = 10.0 ** (np.floor(np.log10(np.abs(number))) - figures + 1)
            result: Column = np.where(number == 0, 0.0, np.round(number / step) * step) * size
        return result

    return rounded
