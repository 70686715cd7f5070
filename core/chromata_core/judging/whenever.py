"""The check that any experiment can write: a condition, and what is said where it holds."""

import re
from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass, field

from chromata_core.declaration.names import Condition, EntryName, ListName, Sentence
from chromata_core.declaration.option_kinds import ListOption, NumberOption, SubstanceOption
from chromata_core.engine.context import Context
from chromata_core.engine.figures_school import Known, in_si, shown_in
from chromata_core.formula.condition import before, condition_names, holds, parse_condition, parse_expression, value_of
from chromata_core.formula.figures import Figured, exact
from chromata_core.formula.tree import Name
from chromata_core.judging.finding import Finding, Level
from chromata_core.judging.shapes import Looks
from chromata_core.quantity.typed import parse_reading
from chromata_core.quantity.units import unit

PLACEHOLDER = re.compile(r"\{([^{}:]+)(?::([^{}]*))?\}")
ROW = "row"


@dataclass(frozen=True, slots=True)
class Whenever(Looks):
    """Says something wherever a condition holds: in each trial, or on the bench where nothing in it belongs to a trial.
    With ``each`` in every row of that series, where ``before(x)`` is the row before and ``row`` its number.

    ``condition`` compares formulas over readings, quantities, number and list options, and ``limits``: numbers with
    their unit, by name. In the sentences ``{x}`` is what was written or chosen, or the value of a quantity with its
    unit; ``{formula:unit}`` is worked out in that unit. ``on`` is where it is shown.
    """

    code: str
    condition: Condition
    what: Sentence
    why: Sentence
    do: Sentence
    level: Level = "look"
    on: EntryName = ""
    each: ListName = ""
    word: Sentence = ""
    limits: Mapping[str, str] = field(default_factory=dict)

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding at every place where it holds."""
        condition = parse_condition(self.condition)
        needed = condition_names(condition)
        session, limits = at.session_numbers, self._limits()
        for trial in self._places(at, {self.each, *needed}):
            known = {**session, **at.figures.get(trial, {}), **limits}
            for row in self._rows(known):
                if holds(condition, _in_row(known, needed, row)):
                    here = _in_row(known, known, row)
                    what, why, do, word = (
                        filled(at, text, here, trial, row, self.limits)
                        for text in (self.what, self.why, self.do, self.word)
                    )
                    yield Finding(self.code, self.level, what, why, do, key=self.on, trial=trial, index=row, word=word)

    def _limits(self) -> Known:
        return {name: in_si(text, parse_reading(text).unit) for name, text in self.limits.items()}

    @staticmethod
    def _places(at: Context, needed: set[str]) -> list[int | None]:
        bound = at.bound
        of_trials = {reading.key for reading in bound.readings if reading.scope == "trial"}
        of_trials |= {quantity.key for quantity in bound.quantities if quantity.scope == "trial"}
        of_trials |= {option.key for option in bound.lists if bound.by_trial(option)}
        return [*at.trials_not_rejected()] if of_trials & needed else [None]

    def _rows(self, known: Known) -> Iterable[int | None]:
        """The rows of the series, or the place itself where there are none."""
        series = known.get(self.each)
        return range(1, len(series) + 1) if isinstance(series, list) else () if self.each else (None,)


def _in_row(known: Known, names: Iterable[str], row: int | None) -> Known:
    """What is known of ``names`` in that row: of lists its member and the one before, of everything else the same."""
    here: Known = {} if row is None else {ROW: exact(row)}
    for key in names:
        value = known.get(key)
        if value is None:
            continue
        if row is None or not isinstance(value, list):
            here[key] = value
        elif len(value) >= row:
            here[key] = value[row - 1]
            here |= {before(key): value[row - 2]} if row > 1 else {}
    return here


OPEN = "–"  # stands in a sentence for what is not known yet


def filled(at: Context, text: str, known: Known, trial: int | None, row: int | None, limits: Mapping[str, str]) -> str:
    """``text`` with what stands in braces put in."""
    return PLACEHOLDER.sub(
        lambda match: _put(at, match[1].strip(), match[2], known=known, trial=trial, row=row, limits=limits), text
    )


def _put(
    at: Context, text: str, symbol: str | None, known: Known, trial: int | None, row: int | None,
    limits: Mapping[str, str],
) -> str:  # fmt: skip
    tree = parse_expression(text)
    if symbol is None and isinstance(tree, Name):
        return limits.get(tree.key) or _written(at, tree.key, known, trial, row) or OPEN
    item = value_of(tree, known)
    return OPEN if item is None else _in(item, at.bound.units.get(symbol or "", symbol or ""))


def _in(item: Figured, symbol: str) -> str:
    shown = shown_in(unit(symbol).from_si(float(item.value)), item, symbol)
    return f"{shown.text} {shown.unit}".rstrip()


def _written(at: Context, key: str, known: Known, trial: int | None, row: int | None) -> str:
    """What people read for a name alone: a reading as typed, an option as chosen, a quantity with its unit."""
    name, place = (key.removesuffix(before("")), (row or 0) - 1) if key.endswith(before("")) else (key, row)
    if at.reading(name) is not None:
        places = [(trial, place), (trial, None), (None, place), (None, None)]
        return next((typed.text for where in places if (typed := at.typed(name, *where)) is not None), "")
    option = next((option for option in at.bound.method.all_options if option.key == name), None)
    if isinstance(option, ListOption) and trial is not None and at.bound.by_trial(option):
        return str(at.planned(name, trial))
    if isinstance(option, NumberOption):
        return str(at.number(name))
    quantity = next((quantity for quantity in at.bound.quantities if quantity.key == name), None)
    if quantity is not None and not quantity.per and key == name:
        value = at.value(name, trial)
        value = at.value(name, None) if value is None else value
        return "" if value is None else at.said(name, value)
    item = known.get(key)
    symbol = (
        quantity.unit if quantity else "g/mol" if isinstance(option, SubstanceOption) else getattr(option, "unit", "")
    )
    return _in(item, symbol) if isinstance(item, Figured) else ""
