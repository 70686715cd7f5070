"""What one sheet found, handed to another: the value with its contributions, source by source.

Sources that both sheets share keep their name, so that the second sheet's columns hold them once (GUM 5.2: covariance);
all others are the first sheet's own. The mean over benches carries, besides, what their spread shows beyond the errors
that are known: along one direction for each bench, so that a slope and an intercept keep what they have in common.
"""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from math import isfinite, isinf, sqrt

import numpy as np

from chromata_core.declaration.option_kinds import NumberOption
from chromata_core.declaration.options import active
from chromata_core.declaration.vocabulary import Quantity
from chromata_core.engine.context import Context
from chromata_core.errors import SheetError
from chromata_core.quantity.column import Column
from chromata_core.quantity.report import report
from chromata_core.quantity.rounding import plain
from chromata_core.quantity.units import NO_DIMENSION, unit
from chromata_core.sheet.bound import Bound
from chromata_core.sheet.handed import Handed
from chromata_core.uncertainty.budget import budget
from chromata_core.uncertainty.columns import contributions_of, value_of
from chromata_core.uncertainty.source import Input, Source
from chromata_core.uncertainty.spread import spread_of

_NOTHING = 1e-12  # of the largest contribution


@dataclass(frozen=True, slots=True)
class HandedResult:
    """A quantity that can be handed on: of the bench, or of one of its planned trials."""

    key: str
    trial: int | None
    label: str
    unit: str


@dataclass(frozen=True, slots=True)
class Taking:
    """A number of a plan and what it can be taken from; ``usual`` is the one that is made for it, if there is one."""

    option: str
    label: str
    unit: str
    offered: list[HandedResult]
    usual: str


def takings(giver: Bound, taker: Bound) -> list[Taking]:
    """The numbers of ``taker``'s plan that ``giver`` can find."""
    results = [q for q in giver.quantities if q.hands or q.result]
    numbers = [o for o in taker.method.all_options if isinstance(o, NumberOption) and not (o.fixed or o.planning)]
    takings = []
    for option in active(numbers, taker.options):
        fitting = [q for q in results if _fits(q, option) and _offered(giver, q)]
        usual = next((q.key for q in fitting if q.hands == option.key), "")
        if fitting:
            offered = [handed_result for q in fitting for handed_result in _offered(giver, q)]
            takings.append(Taking(option.key, option.label, option.unit, offered, usual))
    return takings


def _offered(giver: Bound, quantity: Quantity) -> list[HandedResult]:
    """Once, or for each trial that is planned by itself; where one measures until trials agree, none of them stands
    for all.
    """
    if quantity.scope != "trial":
        return [HandedResult(quantity.key, None, quantity.label, quantity.unit)]
    noun, planned = giver.method.trials.noun.lower(), giver.planned or (1 if giver.method.trials.maximum == 1 else 0)
    return [
        HandedResult(quantity.key, n, f"{quantity.label}, {noun} {n}" if planned > 1 else quantity.label, quantity.unit)
        for n in range(1, planned + 1)
    ]


def _fits(quantity: Quantity, option: NumberOption) -> bool:
    if quantity.hands:
        return quantity.hands == option.key
    wanted = unit(option.unit).dimension
    return bool(option.symbol) and wanted != NO_DIMENSION and unit(quantity.unit).dimension == wanted


def found_here(at: Context, key: str, trial: int | None, sheet: str, same_pieces: bool) -> Input:
    """What this sheet found for ``key``, of a planned ``trial`` in its last try that counts; its own sources bear the
    name of the ``sheet``. SheetError says why there is nothing yet. ``same_pieces``: whoever takes it
    works with the very same equipment.
    """
    quantity = next((q for q in at.bound.quantities if q.key == key), None)
    if quantity is None:
        raise SheetError(["nothing of that name is worked out there"])
    last = at.last_try(trial) if trial is not None else None
    column = None if last in at.computed.voided else at.computed.column(key, last)
    if column is None:
        raise SheetError([f"“{quantity.label}” is not found yet"])
    if trial is None and at.computed.agreement is not None and not at.computed.agreement.agree:
        raise SheetError([f"the {at.bound.method.trials.noun.lower()}s there do not agree yet"])
    return as_input(at, column, sheet, same_pieces, one_scatter=bool(quantity.hands))


def as_input(at: Context, column: Column, sheet: str, same_pieces: bool, one_scatter: bool = False) -> Input:
    """A column of one sheet as an input of another; ``one_scatter``: the other goes on with the same scatter, and names
    its estimate alike.
    """
    sources = at.computed.columns.sources
    contributions = contributions_of(column + np.zeros(max(len(sources), 1)))[: len(sources)]
    least = _NOTHING * max(np.abs(contributions), default=0.0)
    return Input(
        value_of(column),
        tuple(
            _handed(source, float(amount), sheet, same_pieces, one_scatter)
            for source, amount in zip(sources, contributions, strict=True)
            if abs(amount) > least
        ),
    )


def _handed(source: Source, amount: float, sheet: str, same_pieces: bool, one_scatter: bool) -> tuple[Source, float]:
    if source.lasts == "everywhere" or (same_pieces and source.lasts == "bench"):
        return source, amount / source.u
    named = source.estimate if one_scatter and source.estimate else f"{sheet}: {source.estimate or source.id}"
    estimate = "" if isinf(source.dof) else named
    own = replace(source, id=f"{sheet}: {source.id}", u=abs(amount), estimate=estimate)
    return own, 1.0 if amount > 0 else -1.0


def mean_of_benches(inputs: Sequence[Input], session: str) -> Input:
    """The mean over benches of what each of them found in ``session``; equipment of one kind counts as one piece for
    all of them. Of several numbers of the same benches, in the same order, all covariances are kept.
    """
    n = len(inputs)
    values = np.array([input_.value for input_ in inputs])
    sources: dict[str, Source] = {}
    known = [_contributions(input_, f"{session}, {n}", sources) for n, input_ in enumerate(inputs, 1)]
    table = np.array([[row.get(name, 0.0) for name in sources] for row in known]).reshape(n, len(sources))
    members = [
        (replace(source, u=abs(amount)), 1.0 if amount > 0 else -1.0)
        if source.lasts != "everywhere"
        else (source, amount / source.u)
        for source, amount in zip(sources.values(), table.mean(axis=0), strict=True)
        if amount
    ]
    spread = spread_of(values, table)
    away = values - values.mean()
    size = sqrt(float((away**2).sum()))
    beyond = [
        (
            Source(f"{session}: bench {number}", "Spread of the benches", abs(part), "normal", float(n - 1),
                   spread.part, estimate=f"{session}: spread"),
            1.0 if part > 0 else -1.0,
        )
        for number, part in enumerate(away / size * spread.excess if size else away)
        if part
    ]  # fmt: skip
    return Input(float(values.mean()), (*members, *beyond))


def _contributions(input_: Input, bench: str, sources: dict[str, Source]) -> dict[str, float]:
    """By the name that a source has in the mean: that of the bench for its own, none for pieces that all have alike."""
    shares: dict[str, float] = {}
    for source, effect in input_.sources:
        shared = source.lasts == "everywhere"
        name = source.id if shared else f"all benches: {source.id}"
        estimate = f"{bench}: {source.estimate}" if source.estimate else ""
        sources.setdefault(name, source if shared else replace(source, id=name, lasts="", estimate=estimate))
        shares[name] = shares.get(name, 0.0) + source.u * effect
    return shares


def as_number(input_: Input, symbol: str, origin: str) -> Handed:
    """``input_`` as it stands in a plan, in ``symbol``; its own sources are one line of a budget, the ``origin``.
    SheetError where it is no number that could be written down.
    """
    scale = unit(symbol)
    sources = tuple(
        (source if source.lasts else replace(source, label=origin), effect) for source, effect in input_.sources
    )
    combined = budget([source for source, _ in sources], np.array([source.u * effect for source, effect in sources]))
    value, limit = scale.from_si(input_.value), combined.expanded / scale.factor
    if not (isfinite(value) and isfinite(limit)):
        raise SheetError(["what is found there is no number to work with"])
    shown = report(value, limit)
    if not limit or shown.power:
        return Handed(origin, f"{value:.4g}" if not limit else repr(value), repr(limit), sources)
    decimals = len(shown.value.partition(".")[2])
    return Handed(origin, plain(value, decimals), plain(limit, decimals), sources)
