"""Why a result is not there: a reading is missing, or the readings that are there cannot be worked."""

from collections.abc import Iterator

import numpy as np

from chromata_core.engine.context import Context
from chromata_core.engine.numeric_pass import by_rows, mean_of
from chromata_core.errors import ChromataError
from chromata_core.formula.compute import numeric
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import names
from chromata_core.telling.progress import task_title, tasks

_MOST_TOLD = 4


def absent(at: Context) -> list[str]:
    """A sentence for what every result that cannot be worked waits for, each once; empty when all are there."""
    missing = [q for q in at.bound.quantities if q.result and not _there(at, q.key, q.scope == "trial")]
    if not missing:
        return []
    reasons = list(dict.fromkeys(reason for q in missing for reason in _reasons(at, q.key, set())))
    waiting = [
        task_title(at, task) for task in tasks(at) if not (task.done or task.optional) and at.bound.part(task.place[0])
    ]
    if waiting:
        more = f" and {len(waiting) - _MOST_TOLD} more" if len(waiting) > _MOST_TOLD else ""
        reasons.append(f"Still to be written: {'; '.join(waiting[:_MOST_TOLD])}{more}.")
    return reasons


def _there(at: Context, key: str, of_trials: bool) -> bool:
    return any(at.computed.column(key, n) is not None for n in (at.trials() if of_trials else [None]))


def _reasons(at: Context, key: str, seen: set[str]) -> Iterator[str]:
    """What the computation itself says of ``key`` or of what it is worked from."""
    quantity = next((q for q in at.bound.quantities if q.key == key), None)
    if quantity is None or key in seen:
        return
    seen.add(key)
    for place in at.trials() if quantity.scope == "trial" else [None]:
        known = by_rows(quantity, at.computed.bench if place is None else at.computed.trials[place])
        tree = parse_formula(quantity.formula)
        lacking = [name for name in names(tree) if name not in known]
        if quantity.key in known or mean_of(quantity) or lacking:
            continue
        try:
            with np.errstate(all="ignore"):
                numeric(tree)(known)
        except ChromataError as error:
            where = f", {at.trial_name(place)}" if place is not None else ""
            yield f"{quantity.label}{where}: {error.message}"
    for name in names(parse_formula(quantity.formula)):
        yield from _reasons(at, name, seen)
