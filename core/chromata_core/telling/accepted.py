"""Values that results are compared with: given by whoever prepared the sample, or fixed by nature."""

from collections.abc import Mapping
from math import isfinite

import numpy as np

from chromata_core.declaration.option_kinds import NumberOption
from chromata_core.declaration.vocabulary import Method, Quantity
from chromata_core.engine.context import Context
from chromata_core.errors import ChromataError, SheetError, unknown
from chromata_core.formula.compute import numeric
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import names
from chromata_core.quantity.given import read_in, written_in
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.typed import parse_reading
from chromata_core.quantity.units import unit
from chromata_core.telling.outcome import Comparison

Accepted = Mapping[str, str]


def must_be_accepted(method: Method, accepted: Accepted) -> None:
    """SheetError for accepted values of nothing that can have one, or that are no numbers in its unit."""
    known = {q.key: q for q in method.quantities if q.result and q.accepted}
    problems = []
    for key, text in accepted.items():
        if key not in known:
            problems.append(unknown("result with an accepted value", key, list(known)))
            continue
        try:
            read_in(text, known[key].unit)
        except ChromataError as error:
            problems.append(f"Accepted value of “{known[key].label}”: {error.message}")
    if problems:
        raise SheetError(problems)


def value_of_nature(at: Context, quantity: Quantity, trial: int | None) -> str | None:
    """The value that nature fixes for a result, as text in the class's unit; None if it fixes none."""
    here = at.computed.bench if trial is None else at.computed.trials[trial]
    if not quantity.known:
        return None
    option = next((o for o in at.bound.method.all_options if o.key == quantity.known), None)
    if isinstance(option, NumberOption) and parse_reading(at.bound.options[option.key]).figures < 6:
        return written_in(f"{at.bound.options[option.key]} {option.unit}", quantity.unit)
    tree = parse_formula(quantity.known)
    if any(name not in here for name in names(tree)):
        return None
    with np.errstate(all="ignore"):
        value = float(np.real(numeric(tree)(here)).flat[0])
    if not isfinite(value) or not value:
        return None
    return with_figures(unit(quantity.unit).from_si(value), 5)


def in_class_unit(accepted: str, declared: str, symbol: str) -> str:
    """An accepted value, a number in the ``declared`` unit if none stands behind it, as text in the unit ``symbol``."""
    text = written_in(accepted, declared)
    return text if symbol == declared else written_in(f"{text} {declared}", symbol)


def compared(symbol: str, value: float, expanded: float, accepted: str) -> Comparison | None:
    """``value`` ± ``expanded`` beside an ``accepted`` value, all in the unit ``symbol``; None where that is zero."""
    plain_text = written_in(accepted, symbol)
    typed = read_in(plain_text, symbol)
    true = float(typed.value)
    wording = with_figures(true, typed.figures) if "e" in plain_text.lower() else plain_text.replace("-", "−")
    if true == 0 or not isfinite(value):
        return None
    percent = (value - true) / true * 100
    text = f"{'+' if percent >= 0 else '−'}{with_figures(abs(percent), 2)} %"
    within = abs(value - true) <= expanded
    holds = "holds" if within else "does not hold"
    return Comparison(
        plain_text,
        percent,
        text,
        within,
        f"{text} from {f'{wording} {symbol}'.rstrip()}; the stated interval {holds} it.",
    )
