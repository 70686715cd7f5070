"""Errors of judgement of a computed quantity: which are counted, how large each is, and the source it goes along."""

from collections.abc import Iterator, Mapping

import numpy as np

from chromata_core.declaration.option_kinds import NumberOption
from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import OwnError, Quantity
from chromata_core.quantity.column import Column
from chromata_core.quantity.units import unit
from chromata_core.sheet.bound import Bound
from chromata_core.uncertainty.source import standard


def judgements(bound: Bound, quantity: Quantity) -> list[OwnError]:
    """The errors of judgement of ``quantity`` that are counted, and how vessels filled anew at each trial scatter."""
    return [error for error in (*quantity.errors, *_fillings(bound, quantity)) if error.covers or not bound.covered]


def _fillings(bound: Bound, quantity: Quantity) -> Iterator[OwnError]:
    for reading in bound.readings:
        if reading.anew != quantity.key or quantity.per:
            continue
        typed = bound.typed.get(Place(reading.key))
        if typed is None or not typed.value:
            continue
        for term in bound.instruments[reading.role].errors:
            if term.scatters:
                share = float(term.half_width) / (1.0 if term.relative else abs(float(typed.value)))
                yield OwnError(term.label, repr(share), term.distribution, relative=True)


def error_id(quantity: Quantity, error: OwnError, trial: int | None) -> str:
    """The source along which this error of ``quantity`` goes."""
    return f"{quantity.key}:{error.label}" if error.shared else f"{quantity.key}:{error.label}:{trial}"


def judged(bound: Bound, error: OwnError, known: Mapping[str, Column]) -> float:
    """Standard uncertainty of a judgement: in SI, or a fraction of the value when it is relative.

    Zero where its limit is a quantity that is not known yet.
    """
    if error.limit[0].isdigit():  # a filling: its size is known from the vessel
        return standard(float(error.limit), error.distribution)
    option = next((o for o in bound.method.all_options if o.key == error.limit), None)
    if option is None:
        limit = float(np.real(known[error.limit]).mean()) if error.limit in known else 0.0
        return standard(limit, error.distribution)
    factor = unit(option.unit).factor if isinstance(option, NumberOption) else 1.0
    return standard(float(bound.number(error.limit)), error.distribution) * factor
