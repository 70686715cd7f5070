"""The one walk over a sheet: the bench, its trials, what all of them give together.

The walk knows scopes, planned lists, readings not needed and trials that count; an ``Algebra`` says what a constant, a
reading, a list and a formula are. Columns with their uncertainty, random draws, significant figures, apparatus errors
and dimensions are five algebras; a further school of uncertainty is another.
"""

from collections.abc import Callable, Iterable, Mapping, Sequence
from typing import Protocol, TypeVar

from chromata_core.declaration.option_kinds import ListOption, Option
from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Method, Quantity, Reading, Series
from chromata_core.sheet.bound import Bound

Item = TypeVar("Item")


class Walked(Protocol):
    """What is walked over: a bound sheet, or a method under a set of options."""

    @property
    def method(self) -> Method:
        """Whose formulas are walked."""

    @property
    def readings(self) -> Sequence[Reading]:
        """Those that these options have."""

    @property
    def quantities(self) -> Sequence[Quantity]:
        """Those that these options have."""


class Algebra(Protocol[Item]):
    """What an answer of one kind makes of the parts of a sheet. None: there is nothing (yet) to work with."""

    def constant(self, option: Option) -> Item | None:
        """The value of an option that may stand in formulas; of a list that plans rows, its rows."""
        ...

    def planned(self, option: ListOption, trial: int) -> Item | None:
        """What a list that plans trials plans for this one."""
        ...

    def reading(self, reading: Reading, trial: int | None) -> Item | None:
        """A reading, or a series of them; zero for one that is not needed."""
        ...

    def together(self, members: Sequence[Item]) -> Item:
        """The values of the trials that count, as a list."""
        ...

    def worked(self, quantity: Quantity, trial: int | None, known: Mapping[str, Item]) -> Item | None:
        """A quantity from what is known before it."""
        ...


def walk_bench(over: Walked, algebra: Algebra[Item]) -> dict[str, Item]:
    """Everything that is there once: constants, readings of the bench, quantities worked from them."""
    known: dict[str, Item] = {}
    for option in over.method.all_options:
        if not by_trial(over, option):
            _put(known, option.key, algebra.constant(option))
    return _scope(over, algebra, "bench", None, known)


def walk_trial(over: Walked, algebra: Algebra[Item], bench: Mapping[str, Item], trial: int) -> dict[str, Item]:
    """What is known in ``trial``: the bench's, and its own."""
    known = dict(bench)
    for option in over.method.all_options:
        if isinstance(option, ListOption) and by_trial(over, option):
            _put(known, option.key, algebra.planned(option, trial))
    return _scope(over, algebra, "trial", trial, known)


def walk_summary(
    over: Walked, algebra: Algebra[Item], bench: Mapping[str, Item], counted: Sequence[Mapping[str, Item]]
) -> dict[str, Item]:
    """The bench's, and what the trials that count give together; without any, the bench's alone."""
    lists = {
        quantity.key: algebra.together([trial[quantity.key] for trial in counted])
        for quantity in over.quantities
        if quantity.scope == "trial" and not quantity.per and counted and _in_all(quantity.key, counted)
    }
    known = {**bench, **lists}
    values = dict(bench)
    for quantity in over.quantities if counted else ():
        if quantity.scope == "summary":
            item = algebra.worked(quantity, None, known)
            _put(known, quantity.key, item)
            _put(values, quantity.key, item)
    return values


def _scope(
    over: Walked, algebra: Algebra[Item], scope: str, trial: int | None, known: dict[str, Item]
) -> dict[str, Item]:
    for reading in over.readings:
        if reading.scope == scope:
            _put(known, reading.key, algebra.reading(reading, trial))
    for quantity in over.quantities:
        if quantity.scope == scope:
            _put(known, quantity.key, algebra.worked(quantity, trial, known))
    return known


def _put(known: dict[str, Item], key: str, item: Item | None) -> None:
    if item is not None:
        known[key] = item


def by_trial(over: Walked, option: Option) -> bool:
    """Whether this option plans a value for each trial."""
    return isinstance(option, ListOption) and over.method.trials.planned_by(option)


def _in_all(key: str, counted: Iterable[Mapping[str, object]]) -> bool:
    return all(key in trial for trial in counted)


def of_places(
    bound: Bound,
    reading: Reading,
    trial: int | None,
    item: Callable[[Place], Item],
    together: Callable[[Sequence[Item]], Item],
    zero: Item,
) -> Item | None:
    """A reading from its ``item``, a series from its items in order; ``zero`` for a reading that is not needed."""
    if isinstance(reading, Series):
        places = sorted((place for place in bound.typed if place[:2] == (reading.key, trial)), key=lambda s: s.row or 0)
        return together([item(place) for place in places]) if places else None
    place = Place(reading.key, trial)
    if place in bound.typed:
        return item(place)
    return None if bound.wanted(reading, trial) else zero


def by_row(known: Mapping[str, Item | list[Item]], quantity: Quantity) -> list[dict[str, Item | list[Item]]]:
    """What each row of ``quantity`` is worked from: of lists that row's member, of everything else the same."""
    series = known[quantity.per]
    assert isinstance(series, list)
    return [
        {key: item[at] if isinstance(item, list) and at < len(item) else item for key, item in known.items()}
        for at in range(len(series))
    ]
