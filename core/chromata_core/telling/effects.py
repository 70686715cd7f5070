"""What a slip or a fault does to a method's results: computed on its worked example, never asserted."""

from dataclasses import dataclass
from math import isfinite

from chromata_core.declaration.options import active
from chromata_core.declaration.vocabulary import Quantity, Slip
from chromata_core.engine.numeric_pass import Computed, compute
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.units import unit
from chromata_core.sheet.bound import Bound
from chromata_core.uncertainty.columns import value_of


@dataclass(frozen=True, slots=True)
class Effect:
    """``percent`` is the change, signed, of the first result that changes, ``of``; ``text`` says it, or that none
    does.
    """

    key: str
    says: str
    looks: str
    remedy: str
    percent: float
    text: str
    of: str


def slip_effects(bound: Bound) -> list[Effect]:
    """Each slip with what it does to the results of these readings."""
    straight = compute(bound)
    return [
        Effect(slip.key, slip.says, "", "", *_change(bound, straight, with_slip(bound, slip, straight)))
        for slip in active(bound.method.slips, bound.options)
    ]


def what_if(bound: Bound) -> list[Effect]:
    """Each fault of the method with what it would do to these readings; none while there is no result."""
    straight = compute(bound)
    if not _places(bound, straight):
        return []
    return [
        Effect(
            fault.key, fault.label, fault.looks, fault.remedy,
            *_change(bound, straight, compute(bound, changes=fault.changes)),
        )
        for fault in active(bound.method.faults, bound.options)
    ]  # fmt: skip


def with_slip(bound: Bound, slip: Slip, straight: Computed) -> Computed:
    """The sheet worked with ``slip``; which trials count is as in the ``straight`` pass."""
    formulas = {slip.quantity: slip.formula} if slip.quantity else {}
    return compute(bound, formulas=formulas, with_rough=slip.with_rough, choosing_as=straight)


def _change(bound: Bound, straight: Computed, bent: Computed) -> tuple[float, str, str]:
    """In per cent and in words, and of which: the first result that changes."""
    for quantity, trial in _places(bound, straight):
        column, other = straight.column(quantity.key, trial), bent.column(quantity.key, trial)
        if column is None or other is None:
            continue
        true, wrong = value_of(column), value_of(other)
        percent = (wrong - true) / true * 100 if true and isfinite(wrong) else 0.0
        if abs(percent) > 1e-9:
            return percent, _said(quantity, wrong, percent), quantity.label + (", its sign aside" if true < 0 else "")
    return 0.0, "No change in this example.", ""


def _places(bound: Bound, straight: Computed) -> list[tuple[Quantity, int | None]]:
    """Where each result stands: on the bench, or in the first trial that counts."""
    results = [q for q in bound.quantities if q.result]
    places = [(q, next(iter(straight.counted), None) if q.scope == "trial" else None) for q in results]
    return [(q, trial) for q, trial in places if straight.column(q.key, trial) is not None]


def _said(quantity: Quantity, wrong: float, percent: float) -> str:
    if percent >= 100 or percent <= -50:
        becomes = with_figures(unit(quantity.unit).from_si(wrong), 3)
        return f"{quantity.label} becomes {becomes} {quantity.unit}".rstrip()
    return f"{quantity.label}: {'+' if percent > 0 else '−'}{with_figures(abs(percent), 2)}\u00a0%"
