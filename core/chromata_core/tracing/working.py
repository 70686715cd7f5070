"""A result worked in many ways at once: a column for each way, in one pass over the sheet."""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, field

import numpy as np

from chromata_core.curves.line import TooFewPoints
from chromata_core.declaration.option_kinds import ListOption, Option
from chromata_core.declaration.vocabulary import Quantity, Reading
from chromata_core.engine.context import Context, ResultPlace
from chromata_core.engine.inputs import inputs_of
from chromata_core.engine.numeric_pass import ColumnAlgebra, by_rows
from chromata_core.engine.walk import walk_bench, walk_summary, walk_trial
from chromata_core.errors import ChromataError
from chromata_core.formula.compute import numeric
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Node, names
from chromata_core.quantity.column import Column
from chromata_core.quantity.units import unit
from chromata_core.tracing.change import Change, Way
from chromata_core.uncertainty.source import Input

# The student's own values by quantity and trial, in SI.
Own = Mapping[tuple[str, int | None], float]


def worked(at: Context, place: ResultPlace, ways: Sequence[Way], own: Own | None = None) -> list[float]:
    """The quantity in its unit by every way; from the student's ``own`` values where there are some."""
    quantity, trial = place
    algebra = _ManyWays.of(at, ways, own or {})
    with np.errstate(all="ignore"):  # what cannot be worked fits no answer
        bench = walk_bench(at.bound, algebra)
        if trial is not None:
            column = walk_trial(at.bound, algebra, bench, trial).get(quantity.key)
        else:
            column = _of_bench(at, quantity, ways, algebra, bench)
    scale = unit(quantity.unit)
    values = np.full(len(ways), np.nan) if column is None else (algebra.whole(column) - scale.offset) / scale.factor
    return [_finished(way, float(value)) for way, value in zip(ways, values, strict=True)]


def _of_bench(
    at: Context,
    quantity: Quantity,
    ways: Sequence[Way],
    algebra: "_ManyWays",
    bench: Mapping[str, Column],
) -> Column | None:
    """What the trials give together: those that count, or the ones a way takes instead."""
    usual = at.computed.counted
    taken = [next((change.trials for change in way.changes if change.trials), usual) for way in ways]
    trials = {n: walk_trial(at.bound, algebra, bench, n) for n in dict.fromkeys(n for some in taken for n in some)}
    whole: Column | None = None
    for chosen in dict.fromkeys(taken):
        here = walk_summary(at.bound, algebra, bench, [trials[n] for n in chosen]).get(quantity.key)
        if here is not None:
            mask = np.array([trials == chosen for trials in taken])
            before = np.full(len(ways), np.nan) if whole is None else whole
            whole = np.where(mask, algebra.whole(here), before)
    return whole


def _finished(way: Way, value: float) -> float:
    for change in way.changes:
        value = change.after(value) if change.after else value
    return value


@dataclass(frozen=True)
class _ManyWays:
    """The algebra of plain values, a column for each way. Only what a way changes is worked again for it."""

    plain: ColumnAlgebra
    size: int
    own: Own
    formulas: Mapping[str, Mapping[Node, list[int]]] = field(default_factory=dict)
    values: Mapping[str, list[tuple[int, Change]]] = field(default_factory=dict)

    @classmethod
    def of(cls, at: Context, ways: Sequence[Way], own: Own) -> "_ManyWays":
        formulas: dict[str, dict[Node, list[int]]] = {}
        values: dict[str, list[tuple[int, Change]]] = {}
        for column, change in ((n, change) for n, way in enumerate(ways) for change in way.changes):
            if change.formula is not None:
                formulas.setdefault(change.quantity, {}).setdefault(change.formula, []).append(column)
            elif change.value is not None:
                values.setdefault(change.quantity, []).append((column, change))
        plain = ColumnAlgebra(at.bound, _Plain(inputs_of(at.bound, {}), ways), {})
        return cls(plain, len(ways), own, formulas, values)

    def whole(self, column: Column) -> Column:
        """``column`` with a value for every way."""
        full: Column = np.asarray(column, dtype=float) + np.zeros(self.size)
        return full

    def constant(self, option: Option) -> Column | None:
        """As it is, or as a way takes it."""
        return self.plain.constant(option)

    def planned(self, option: ListOption, trial: int) -> Column | None:
        """As it is planned."""
        return self.plain.planned(option, trial)

    def reading(self, reading: Reading, trial: int | None) -> Column | None:
        """As it was written, or as a way takes it."""
        return self.plain.reading(reading, trial)

    def together(self, members: Sequence[Column]) -> Column:
        """The trials, one below the other."""
        return self.plain.together(members)

    def worked(self, quantity: Quantity, trial: int | None, known: Mapping[str, Column]) -> Column | None:
        """The student's own value, or by the formula, and in some columns by another or taken otherwise."""
        mine = self.own.get((quantity.key, trial))
        if mine is not None:
            return np.array([mine])
        here = by_rows(quantity, known)
        column = self._by(parse_formula(quantity.formula), here)
        instead, taken = self.formulas.get(quantity.key, {}), self.values.get(quantity.key, ())
        if column is None or not (instead or taken):
            return column
        column = np.array(self.whole(column))
        for formula, places in instead.items():
            changed = self._by(formula, here, np.array(places))
            column[..., places] = np.nan if changed is None else changed
        for n, change in taken:
            if change.value is not None and change.trial in (None, trial):
                column[..., n] = change.value(column[..., n])
        return column

    def _by(self, tree: Node, known: Mapping[str, Column], places: Column | None = None) -> Column | None:
        """By ``tree``, for all ways or only for those at ``places``."""
        needed = names(tree)
        used = {name: known[name] for name in needed if name in known}
        if len(used) < len(needed):
            return None
        if places is not None:
            used = {name: self._cut(column, places) for name, column in used.items()}
        return self._tried(tree, used, self.size if places is None else len(places))

    def _cut(self, column: Column, places: Column) -> Column:
        return column[..., places] if column.shape[-1] == self.size > 1 else column

    def _tried(self, tree: Node, used: Mapping[str, Column], size: int) -> Column | None:
        """A way from whose numbers nothing can be worked must not take the others with it."""
        try:
            return numeric(tree)(used)
        except TooFewPoints:  # by no way there are more of them
            return None
        except ChromataError:
            if size == 1 or all(column.shape[-1] == 1 for column in used.values()):
                return None
        halves = [np.arange(size // 2), np.arange(size // 2, size)]
        parts = []
        for half in halves:
            cut = {name: column[..., half] if column.shape[-1] == size else column for name, column in used.items()}
            tried = self._tried(tree, cut, len(half))
            parts.append((tried, len(half)))
        shapes = [tried.shape[:-1] for tried, _ in parts if tried is not None]
        if not shapes:
            return None
        return np.concatenate(
            [
                np.full((*shapes[0], count), np.nan) if tried is None else np.broadcast_to(tried, (*shapes[0], count))
                for tried, count in parts
            ],
            axis=-1,
        )


class _Plain:
    """Plain inputs, the same in every column but for those that a way takes otherwise."""

    def __init__(self, inputs: Mapping[object, Input], ways: Sequence[Way]) -> None:
        self.index: Mapping[str, int] = {}
        values = {key: np.array([item.value]) for key, item in inputs.items()}
        for column, change in _taken_otherwise(ways):
            if values[change.place].size == 1 < len(ways):
                values[change.place] = values[change.place] + np.zeros(len(ways))
            values[change.place][column] = change.instead
        self.by_key: Mapping[object, Column] = values

    def moved(self, column: Column, source: str, amount: float, relative: bool = False) -> Column:
        """Errors play no part here."""
        return column

    def mean(self, trials: Column, spread: str) -> Column:
        """The plain mean."""
        mean: Column = trials.mean(axis=0)
        return mean

    def defined(self, column: Column) -> bool:
        """A way of working that gives no number fits no answer."""
        return True


def _taken_otherwise(ways: Sequence[Way]) -> Iterator[tuple[int, Change]]:
    for column, way in enumerate(ways):
        yield from ((column, change) for change in way.changes if change.place is not None)
