"""One numeric pass over a sheet: from elementary inputs with their error sources to every quantity, as columns.

What the columns hold decides what comes out: a complex step gives values and the linear budget (as here); altered
formulas or readings give slips and faults; random columns give the Monte Carlo (``monte_carlo.py``).
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np

from chromata_core.curves.line import CurveError
from chromata_core.declaration.option_kinds import ListOption, Option
from chromata_core.declaration.options import listed
from chromata_core.declaration.places import void
from chromata_core.declaration.vocabulary import OwnError, Quantity, Reading
from chromata_core.engine.inputs import inputs_of
from chromata_core.engine.judgements import error_id, judged, judgements
from chromata_core.engine.walk import Algebra, Item, of_places, walk_bench, walk_summary, walk_trial
from chromata_core.errors import ChromataError
from chromata_core.formula.compute import numeric
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Call, Name, Node, names
from chromata_core.quantity.column import Column
from chromata_core.quantity.units import unit
from chromata_core.sheet.bound import Bound
from chromata_core.statistics.agreement import POLICIES, Agreement, agreement
from chromata_core.statistics.replicates import TooFewError
from chromata_core.uncertainty.columns import Columns, StepColumns, columns_of, value_of
from chromata_core.uncertainty.source import Source

SPREAD = "spread:"
# Other formulas for a quantity, each with the columns it is worked in (None: all of them).
Others = Mapping[str, Sequence[tuple[Node, Column | None]]]


@dataclass(frozen=True, slots=True)
class Computed:
    """Columns of everything that could be computed: for the bench (with the summary) and for each trial."""

    columns: StepColumns
    bench: Mapping[str, Column]
    trials: Mapping[int, Mapping[str, Column]]
    voided: Mapping[int, str]
    counted: tuple[int, ...]
    agreement: Agreement | None

    def column(self, key: str, trial: int | None) -> Column | None:
        """A quantity's column: of the bench and its summary (None), or of a trial."""
        return (self.bench if trial is None else self.trials.get(trial, {})).get(key)


def compute(
    bound: Bound,
    formulas: Mapping[str, str] | None = None,
    changes: Mapping[str, str] | None = None,
    with_rough: bool = False,
    choosing_as: Computed | None = None,
) -> Computed:
    """Every quantity of ``bound``. ``formulas`` replaces quantities' formulas and ``with_rough`` averages the rough
    trial too (slips); ``changes`` replaces readings (a fault). A slip of arithmetic spoils no trial, so that the trials
    that count may be taken from another pass, ``choosing_as``.
    """
    columns = columns_of(inputs_of(bound, changes or {}), reserved(bound))
    algebra = ColumnAlgebra(bound, columns, {key: [(parse_formula(f), None)] for key, f in (formulas or {}).items()})
    bench, trials = trial_by_trial(bound, algebra)
    if choosing_as is None:
        voided = _voided(bound, trials)
        agreed, counted = _choose(bound, trials, voided)
    else:
        voided, agreed, counted = dict(choosing_as.voided), choosing_as.agreement, choosing_as.counted
    counted = with_the_rough(bound, trials, counted) if with_rough else counted
    bench = walk_summary(bound, algebra, bench, [trials[n] for n in counted])
    known = _with_freedom(bound, columns, counted, bench, trials)
    return Computed(known, bench, trials, voided, counted, agreed)


def trial_by_trial(bound: Bound, algebra: Algebra[Item]) -> tuple[dict[str, Item], dict[int, dict[str, Item]]]:
    """What can be computed before trials are averaged: of the bench, and of each trial."""
    bench = walk_bench(bound, algebra)
    return bench, {number: walk_trial(bound, algebra, bench, number) for number in bound.trial_numbers()}


@dataclass(frozen=True, slots=True)
class ColumnAlgebra:
    """Columns: complex steps, random draws or variants, whatever ``columns`` hold. ``others`` stand in for formulas."""

    bound: Bound
    columns: Columns
    others: Others

    def constant(self, option: Option) -> Column | None:
        """A number or molar mass; the rows of a list that plans a series, one below the other."""
        if isinstance(option, ListOption):
            rows = range(1, len(listed(option, self.bound.options[option.key])) + 1)
            return np.stack([self.columns.by_key[(option.key, None, row)] for row in rows])
        return self.columns.by_key.get(option.key)

    def planned(self, option: ListOption, trial: int) -> Column | None:
        """The planned value; none for the rough trial."""
        return self.columns.by_key.get((option.key, trial, None))

    def reading(self, reading: Reading, trial: int | None) -> Column | None:
        """The reading's column; of a series one below the other."""
        return of_places(self.bound, reading, trial, self.columns.by_key.__getitem__, np.stack, np.array([0.0]))

    def together(self, members: Sequence[Column]) -> Column:
        """The trials, one below the other."""
        return np.stack(np.broadcast_arrays(*members))

    def worked(self, quantity: Quantity, trial: int | None, known: Mapping[str, Column]) -> Column | None:
        """By its formula, or by others where they stand in, with its errors of judgement."""
        column = self._by_formula(quantity, trial, by_rows(quantity, known))
        if column is None:
            return None
        for error in judgements(self.bound, quantity):
            amount = judged(self.bound, error, known)
            column = self.columns.moved(column, error_id(quantity, error, trial), amount, relative=error.relative)
        return column

    def _by_formula(self, quantity: Quantity, trial: int | None, known: Mapping[str, Column]) -> Column | None:
        instead = self.others.get(quantity.key, ())
        tree = next((formula for formula, where in instead if where is None), parse_formula(quantity.formula))
        if any(name not in known for name in names(tree)):
            return None
        averaged = mean_of(quantity)
        if averaged and not instead:
            return self.columns.mean(known[averaged], spread_id(quantity, trial))
        try:
            with np.errstate(all="ignore"):
                column = numeric(tree)(known)
                for formula, where in instead:
                    if where is not None and all(name in known for name in names(formula)):
                        column = np.where(where, numeric(formula)(known), column)
        except ChromataError:  # too few readings for a curve or a spread, or a value no formula holds for
            return None
        return column if self.columns.defined(column) else None


def reserved(bound: Bound) -> list[Source]:
    """Sources that enter during the computation: judgement at each trial, and the spread of each mean."""
    sources: list[Source] = []
    for quantity in bound.quantities:
        for error in judgements(bound, quantity):
            u = judged(bound, error, {})
            symbol = "%" if error.relative else quantity.unit
            sources += [
                Source(
                    error_id(quantity, error, place),
                    error.label,
                    u,
                    error.distribution,
                    unit=symbol,
                    estimate=_estimate(bound, error, place),
                )
                for place in places_of(bound, quantity)
            ]
        if mean_of(quantity):
            label = "Spread of the trials" if quantity.scope == "summary" else "Spread of the readings"
            sources += [
                Source(spread_id(quantity, trial), label, 0.0, "normal", unit=quantity.unit)
                for trial in places_of(bound, quantity)
            ]
    return sources


def places_of(bound: Bound, quantity: Quantity) -> list[int | None]:
    """Where ``quantity`` is worked: in each trial, or once."""
    return [*bound.trial_numbers()] if quantity.scope == "trial" else [None]


def _estimate(bound: Bound, error: OwnError, trial: int | None) -> str:
    """What tells errors apart that were judged from one scatter: that of the bench, or of this trial."""
    scope = next((q.scope for q in bound.quantities if q.key == error.freedom), "")
    return f"{error.freedom}:{trial}" if scope == "trial" else error.freedom


def spread_id(quantity: Quantity, trial: int | None) -> str:
    """The source along which the spread of what ``quantity`` averages goes."""
    return f"{SPREAD}{quantity.key}:{trial}"


def judged_amounts(bound: Bound, computed: Computed) -> dict[str, float]:
    """The standard size of every error of judgement by its source, as it was in ``computed``."""
    return {
        error_id(quantity, error, place): judged(
            bound, error, computed.bench if place is None else computed.trials[place]
        )
        for quantity in bound.quantities
        for error in judgements(bound, quantity)
        for place in places_of(bound, quantity)
    }


def _with_freedom(
    bound: Bound,
    columns: StepColumns,
    counted: Sequence[int],
    bench: Mapping[str, Column],
    trials: Mapping[int, Mapping[str, Column]],
) -> StepColumns:
    """The spread of n values has n − 1 degrees of freedom; of trials n is only known once they are chosen."""
    members = {
        spread_id(quantity, trial): averaged
        for quantity in bound.quantities
        if mean_of(quantity)
        for trial in places_of(bound, quantity)
        if (averaged := members_of(quantity, trial, counted, bench, trials)) is not None
    }

    def freed(source: Source) -> Source:
        if source.id in members:
            averaged = members[source.id]
            return replace(source, dof=float(max(len(averaged) - 1, 1)), part=columns.spread(averaged).part)
        told = estimated(source.estimate, bench, trials)
        return replace(source, dof=told) if told else source

    return replace(columns, sources=tuple(map(freed, columns.sources)))


def members_of(
    quantity: Quantity,
    trial: int | None,
    counted: Sequence[int],
    bench: Mapping[str, Column],
    trials: Mapping[int, Mapping[str, Column]],
) -> Column | None:
    """What ``quantity`` is the mean of, one below the other: trials that count, or the readings of a series."""
    key = mean_of(quantity)
    if quantity.scope != "summary":
        return (bench if trial is None else trials[trial]).get(key)
    columns = [trials[n][key] for n in counted if key in trials[n]]
    return np.stack(np.broadcast_arrays(*columns)) if columns and len(columns) == len(counted) else None


def estimated(estimate: str, bench: Mapping[str, Column], trials: Mapping[int, Mapping[str, Column]]) -> float | None:
    """The degrees of freedom that a quantity tells, less than one for a small excess; 1 where it tells none."""
    key, _, trial = estimate.partition(":")
    known = trials.get(int(trial), {}) if trial.isdigit() else bench
    told = value_of(known[key]) if key in known else None
    return told if told is None or told > 0 else 1.0


def mean_of(quantity: Quantity) -> str:
    """What this is the mean of, a trial quantity or a series; empty if it is no mean."""
    match parse_formula(quantity.formula):
        case Call("mean", (Name(key),)):
            return key
        case _:
            return ""


def by_rows(quantity: Quantity, known: Mapping[str, Column]) -> Mapping[str, Column]:
    """What ``quantity`` is worked from. Row by row: lists (columns of two axes) no longer than the series it goes by,
    and none that are shorter.
    """
    if not quantity.per:
        return known
    rows = len(known.get(quantity.per, ()))
    fitting = {key: column[:rows] for key, column in known.items() if column.ndim == 2 and len(column) >= rows > 0}
    return {key: column for key, column in known.items() if column.ndim < 2} | fitting


def _voided(bound: Bound, trials: Mapping[int, Mapping[str, Column]]) -> dict[int, str]:
    """Trials that do not count, with the reason: said so, seen so, or physically impossible."""
    reasons: dict[int, str] = {}
    for number, values in trials.items():
        text = bound.texts.get(void(number), "no")
        rough = bound.rough and number == 0  # going too far is what a rough trial is for
        seen = (
            []
            if rough
            else [
                choice.label
                for observation in bound.observations
                for choice in observation.choices
                if choice.key in observation.voids
                and any(bound.texts[place] == choice.key for place in bound.looks(observation.key, number))
            ]
        )
        impossible = [
            quantity.positive
            for quantity in bound.quantities
            if quantity.positive and quantity.key in values and not value_of(values[quantity.key]) > 0
        ] + [problem for q in bound.quantities if q.scope == "trial" and (problem := undefined(q, values))]
        if text != "no":
            reasons[number] = text
        elif seen or impossible:
            reasons[number] = (seen + impossible)[0]
    return reasons


def undefined(quantity: Quantity, known: Mapping[str, Column]) -> str:
    """Why ``quantity`` cannot be worked although everything it needs is ``known``; empty if it can, or will be."""
    tree, known = parse_formula(quantity.formula), by_rows(quantity, known)
    if quantity.key in known or any(name not in known for name in names(tree)):
        return ""
    try:
        with np.errstate(all="ignore"):
            numeric(tree)(known)
    except (CurveError, TooFewError):
        return ""  # further readings will do
    except ChromataError as error:
        return error.message
    return f"{quantity.label} cannot be worked out: these readings leave nothing to divide by."


def with_the_rough(
    bound: Bound, trials: Mapping[int, Mapping[str, Column]], counted: tuple[int, ...]
) -> tuple[int, ...]:
    """The trials of a mean into which the rough one slipped, if it was finished."""
    return (0, *counted) if 0 in trials and _complete(bound, trials[0]) else counted


def _choose(
    bound: Bound, trials: Mapping[int, Mapping[str, Column]], voided: Mapping[int, str]
) -> tuple[Agreement | None, tuple[int, ...]]:
    """The trials to be averaged: never the rough one, never a void one, and of the rest those that agree."""
    plan = bound.method.trials
    usable = [n for n in trials if n >= 1 and n not in voided and _complete(bound, trials[n])]
    if not plan.agree or len(usable) < 2:
        return None, tuple(usable)
    quantity = bound.declared(plan.agree)  # the limit's unit
    values = [unit(quantity.unit).from_si(value_of(trials[n][plan.agree])) for n in usable]
    policy = POLICIES[bound.options["agreement"]]
    limit = (
        float(bound.number("agreement_relative")) / 100 if policy.relative else float(bound.number("agreement_limit"))
    )
    agreed = agreement(values, policy, limit, needed=max(2, min(bound.asked.least, plan.minimum)))
    return agreed, tuple(usable[i] for i in agreed.members)


def _complete(bound: Bound, values: Mapping[str, Column]) -> bool:
    return all(q.key in values for q in bound.quantities if q.scope == "trial")
