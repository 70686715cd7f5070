"""What stands on a sheet, as people see it: readings and quantities of the bench and of each trial."""

from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Observation, Quantity, Series
from chromata_core.engine.context import Context
from chromata_core.engine.shown import Shown
from chromata_core.formula.mathml import symbol_mathml
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Name
from chromata_core.judging.finding import Finding, Level, gravest
from chromata_core.quantity.rounding import plain
from chromata_core.telling.outcome import (
    QuantityOut,
    ReadingOut,
    TrialOut,
)


def _level_at(findings: list[Finding], place: Place) -> Level:
    here = [f for f in findings if (f.key, f.trial, f.index) == place]
    worst = gravest(here)
    return worst.level if worst else "keep"


def readings_of(at: Context, trial: int | None, findings: list[Finding]) -> list[ReadingOut]:
    """Readings and observations of one trial (or of the bench) in the order the method names them, pairs together."""
    order = {bottle.key: -1 for bottle in at.bound.bottles}
    order |= {part.key: place for place, part in enumerate(at.bound.method.readings) if at.bound.part(part.key)}
    places = [s for s in (*at.bound.typed, *at.bound.texts) if s[1] == trial and s[0] in order]
    pairs = {r.key: r.beside for r in at.bound.readings if isinstance(r, Series) and r.beside}
    places.sort(key=lambda place: (order[pairs.get(place.key, place.key)], place.row or 0, order[place.key]))
    return [_reading(at, place, findings) for place in places]


def _reading(at: Context, place: Place, findings: list[Finding]) -> ReadingOut:
    bottle, part = at.bound.bottle(place.key), at.bound.part(place.key)
    if bottle is not None:
        value = Shown(at.bound.label_of(bottle), 0, bottle.unit)
        return ReadingOut(bottle.key, bottle.label, None, None, value, "keep")
    assert part is not None
    if isinstance(part, Observation):
        label = next(c.label for c in part.choices if c.key == at.bound.texts[place])
        shown = Shown(at.bound.worded(label, place.trial), 0, "")
    else:
        typed = at.bound.typed[place]
        shown = Shown(plain(typed.value, typed.decimals), 1, part.unit)
    beside = part.beside if isinstance(part, Series) else ""
    return ReadingOut(
        part.key, part.label, place.trial, index=place.row, shown=shown, level=_level_at(findings, place), beside=beside
    )


def quantities_of(at: Context, trial: int | None) -> list[QuantityOut]:
    """What is computed in one trial (or on the bench) and stands in no other list, as rows and results do."""
    values = at.computed.bench if trial is None else at.computed.trials[trial]
    wanted = [q for q in at.bound.quantities if (q.scope == "trial") == (trial is not None) and q.key in values]
    return [
        QuantityOut(q.key, q.label, symbol_mathml(q.symbol), at.value(q.key, trial) or 0.0,
                    at.figured(q, trial))
        for q in wanted if not (q.per or q.aside or (q.result and trial is None) or _as_read(at, q))
    ]  # fmt: skip


def _as_read(at: Context, quantity: Quantity) -> bool:
    """Whether it only takes a reading over, in the same unit: it stands among the readings already."""
    tree = parse_formula(quantity.formula)
    reading = at.reading(tree.key) if isinstance(tree, Name) else None
    return reading is not None and reading.unit == quantity.unit


def trial_title(at: Context, trial: int | None) -> str:
    """“Rough trial”, “Trial 2”, empty for the bench."""
    return at.trial_name(trial).removeprefix("the ").capitalize() if trial is not None else ""


def short_name(at: Context, number: int) -> str:
    """What stands above the column of a trial: “rough”, “2”, “Cu–Zn”."""
    planned = at.bound.planned_for(number)
    if at.is_rough(number):
        return "rough"
    return (planned.short if planned and planned.short else f"{at.bound.place(number)}") + at.again(number)


def trial_of(at: Context, number: int, findings: list[Finding]) -> TrialOut:
    """One trial with its state: void, rough, open, counted or set aside, and why."""
    computed = at.computed
    name = short_name(at, number)
    complete = all(q.key in computed.trials[number] for q in at.bound.quantities if q.scope == "trial")
    if number in computed.voided:
        state, why = "void", computed.voided[number]
    elif at.bound.rough and number == 0:
        state, why = "rough", "The rough trial is never averaged."
    elif not complete:
        state, why = "open", ""
    elif number in computed.counted:
        state, why = "counted", ""
    else:
        state, why = "set aside", "It does not agree with the others."
    return TrialOut(number, name, state, why, readings_of(at, number, findings), quantities_of(at, number))
