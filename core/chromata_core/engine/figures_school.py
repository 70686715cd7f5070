"""How many digits a computed quantity may show before its uncertainty is known: the school of significant figures."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from decimal import Context, Decimal
from math import inf, isfinite, log10

from chromata_core.declaration.option_kinds import ListOption, NumberOption, Option
from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Quantity, Reading
from chromata_core.engine.numeric_pass import Computed
from chromata_core.engine.shown import Shown
from chromata_core.engine.walk import Algebra, by_row, of_places, walk_bench, walk_summary, walk_trial
from chromata_core.errors import ChromataError
from chromata_core.formula.figures import Figured, exact, figured
from chromata_core.formula.parse import parse_formula
from chromata_core.quantity.given import read_in
from chromata_core.quantity.rounding import leading_place, plain, rounded, with_figures
from chromata_core.quantity.typed import Typed, parse_reading
from chromata_core.quantity.units import unit
from chromata_core.sheet.bound import Bound
from chromata_core.uncertainty.columns import value_of

Figures = Figured | list[Figured]
Known = dict[str, Figures]


def figured_typed(typed: Typed, symbol: str) -> Figured:
    """A typed number in SI with its last known place there."""
    scale = unit(symbol)
    value = typed.value * Decimal(repr(scale.factor)) + Decimal(repr(scale.offset))
    return Figured(value, typed.decimals - round(log10(scale.factor)))


def in_si(text: str, symbol: str) -> Figured:
    """What is written in ``text``, a number in ``symbol`` or in the unit behind it."""
    return figured_typed(read_in(text, symbol), symbol)


def figures_of(bound: Bound, computed: Computed) -> dict[int | None, Known]:
    """Everything on a sheet with its last known place, by trial; ``None`` is the bench with the summary."""
    algebra: Algebra[Figures] = _Figures(bound, computed)
    bench = walk_bench(bound, algebra)
    trials = {number: walk_trial(bound, algebra, bench, number) for number in computed.trials}
    summary = walk_summary(bound, algebra, bench, [trials[n] for n in computed.counted])
    known: dict[int | None, Known] = {None: summary}
    return known | trials


@dataclass(frozen=True, slots=True)
class _Figures:
    """The algebra of significant figures; only what the numeric pass could work has any."""

    bound: Bound
    computed: Computed

    def constant(self, option: Option) -> Figures | None:
        """A measured session value keeps its figures; a counted or chosen one, or a molar mass, limits nothing."""
        column = self.computed.bench.get(option.key)
        if column is None:
            return None
        if column.ndim == 2:
            return [exact(value_of(row)) for row in column]
        if isinstance(option, NumberOption) and option.unit and self.bound.number(f"{option.key}.limit"):
            return figured_typed(parse_reading(self.bound.options[option.key]), option.unit)
        return exact(value_of(column))

    def planned(self, option: ListOption, trial: int) -> Figured | None:
        """Chosen, and exact."""
        column = self.computed.column(option.key, trial)
        return None if column is None else exact(value_of(column))

    def reading(self, reading: Reading, trial: int | None) -> Figures | None:
        """The last decimal that was written."""
        zero: Figures = exact(0.0)
        return of_places(self.bound, reading, trial, lambda place: self._read(reading, place), self.together, zero)

    def _read(self, reading: Reading, place: Place) -> Figures:
        return figured_typed(self.bound.typed[place], reading.unit)

    def together(self, members: Sequence[Figures]) -> list[Figured]:
        """A list of them."""
        return [item for item in members if isinstance(item, Figured)]

    def worked(self, quantity: Quantity, trial: int | None, known: Mapping[str, Figures]) -> Figures | None:
        """By the rules for sums, products and functions; row by row where it goes by rows. What a curve gives may
        hang on the last bit of a float: then the value is there, and its figures are not known.
        """
        column = self.computed.column(quantity.key, trial)
        if column is None:
            return None
        tree = parse_formula(quantity.formula)
        try:
            return [figured(tree, row) for row in by_row(known, quantity)] if quantity.per else figured(tree, known)
        except ChromataError:
            return [exact(value_of(row)) for row in column] if column.ndim == 2 else exact(value_of(column))


def shown_in(value: float, item: Figures | None, symbol: str) -> Shown:
    """``value`` (in ``symbol``) to the figures its readings allow, the last of them in doubt."""
    number = as_decimal(value, item, symbol)
    if not isinstance(item, Figured) or item.place == inf:
        return Shown(with_figures(number, 4), 1, symbol)
    place = round(item.place) + round(log10(unit(symbol).factor))
    if place >= 0 and not rounded(number, place):  # zero, but for what a step so tiny leaves behind
        return Shown(plain(0.0, place), 1, symbol)
    if place < 0 or leading_place(number) < -4:
        return Shown(with_figures(number, max(place + leading_place(number) + 1, 1)), 1, symbol)
    return Shown(plain(number, place), 1, symbol)


_SAME = 1e-9  # relative: by both ways the same number, but for what binary floats lose
_CLEAN = Context(prec=18)


def as_decimal(value: float, item: Figures | None, symbol: str) -> Decimal:
    """``value`` (in ``symbol``) as it is worked on paper: the decimal of the significant figures where both agree, else
    ``value`` without the last digits of a float. What is a tie on paper is then a tie here.
    """
    if isinstance(item, Figured):
        scale = unit(symbol)
        worked = _CLEAN.plus((item.value - Decimal(repr(scale.offset))) / Decimal(repr(scale.factor)))
        if abs(float(worked) - value) <= _SAME * abs(value):
            return worked
    return Decimal(f"{value:.12g}") if isfinite(value) else Decimal(0)
