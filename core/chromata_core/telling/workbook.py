"""The worked computation as a spreadsheet: every reading in a cell, every quantity a live formula over them.

It is one more algebra of the walk: what stands for a number is the address of its cell. Cells are worked in SI, and
stand beside the value in the unit in which people read it.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field

from chromata_core.declaration.option_kinds import ListOption, NumberOption, Option, SubstanceOption
from chromata_core.declaration.options import listed
from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Quantity, Reading
from chromata_core.engine.context import Context
from chromata_core.engine.inputs import inputs_of
from chromata_core.engine.numeric_pass import trial_by_trial
from chromata_core.engine.walk import by_row, of_places, walk_summary
from chromata_core.formula.mathml import plain_text
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Node, names
from chromata_core.quantity.units import unit
from chromata_core.telling.in_cells import Cells, NotInCells, NotTogether, in_cells
from chromata_core.uncertainty.columns import value_of

HEAD = ("What", "Where", "Value", "Unit", "In SI", "How")
VALUE, SI = "C", "E"
_FIRST = 2  # the row below the heads


@dataclass(frozen=True, slots=True)
class Line:
    """A row; of a quantity with its ``key`` and ``trial``. What is typed in is a number and its ``si`` a formula over
    it; what is worked is the other way round. A formula begins with “=”. ``shown`` are the decimals of the value, None
    for a power of ten.
    """

    key: str
    trial: int | None
    label: str
    where: str
    value: float | str
    unit: str
    si: float | str
    how: str
    shown: int | None


def computation(at: Context) -> list[Line]:
    """Everything that can be worked by now, readings first where they are needed."""
    algebra = _InCells(at, {place: input_.value for place, input_ in inputs_of(at.bound, {}).items()})
    bench, trials = trial_by_trial(at.bound, algebra)
    walk_summary(at.bound, algebra, bench, [trials[n] for n in at.computed.counted])
    return algebra.lines


@dataclass(frozen=True)
class _InCells:
    """The algebra of cells. ``inputs`` are the elementary numbers in SI; ``values`` those of every cell by address."""

    at: Context
    inputs: Mapping[object, float]
    lines: list[Line] = field(default_factory=list)
    values: dict[str, float] = field(default_factory=dict)

    def constant(self, option: Option) -> Cells | None:
        """A session's number or a molar mass; of a list that plans rows, each of them."""
        if isinstance(option, ListOption):
            rows = range(1, len(listed(option, self.at.bound.options[option.key])) + 1)
            return [self._typed(option.label, f"row {n}", option.unit, (option.key, None, n)) for n in rows]
        if not self._used(option.key) or option.key not in self.inputs:
            return None
        if isinstance(option, SubstanceOption):
            return self._typed(f"Molar mass: {option.label}", "", "g/mol", option.key)
        assert isinstance(option, NumberOption)
        return self._typed(self.at.bound.worded(option.label), "", option.unit, option.key)

    def _used(self, key: str) -> bool:
        return any(
            key in names(parse_formula(quantity.formula)) for quantity in self.at.bound.quantities if not quantity.aside
        )

    def planned(self, option: ListOption, trial: int) -> Cells | None:
        """The planned value of a trial."""
        place = (option.key, trial, None)
        return self._typed(option.label, self._where(trial), option.unit, place) if place in self.inputs else None

    def reading(self, reading: Reading, trial: int | None) -> Cells | None:
        """A reading as its instrument shows it, corrected where that is calibrated; zero where none was needed."""

        def cell(place: Place) -> Cells:
            where = self._where(place.trial, place.row)
            return self._typed(reading.label, where, reading.unit, place)

        zero: Cells = "0"
        return of_places(self.at.bound, reading, trial, cell, self.together, zero)

    def together(self, members: Sequence[Cells]) -> Cells:
        """The cells of the trials that count."""
        return [member for member in members if isinstance(member, str)]

    def worked(self, quantity: Quantity, trial: int | None, known: Mapping[str, Cells]) -> Cells | None:
        """A formula over the cells before it, for each of its rows; the number itself where a spreadsheet has none."""
        column = self.at.computed.column(quantity.key, trial)
        if quantity.aside and not self._used(quantity.key):
            return None
        if column is None or any(name not in known for name in names(parse_formula(quantity.formula))):
            return None
        if quantity.per:
            rows = enumerate(by_row(known, quantity))
            return [self._formula(quantity, trial, here, value_of(column[n]), n + 1) for n, here in rows]
        return self._formula(quantity, trial, known, value_of(column))

    def _formula(
        self, quantity: Quantity, trial: int | None, known: Mapping[str, Cells], value: float, row: int | None = None
    ) -> str:
        tree = parse_formula(quantity.formula)
        how = f"{quantity.symbol} = {plain_text(tree, lambda key: self.at.symbols[key])}"
        try:
            si: float | str = f"={self._written(tree, known)}"
        except NotInCells:
            si, how = value, f"{how}; found by Chromata, a spreadsheet has no such function"
        scale = unit(quantity.unit)
        decimals = _decimals(self.at.figured(quantity, trial).text) if row is None else None
        address = f"{SI}{_FIRST + len(self.lines)}"
        plain = (scale.factor, scale.offset) == (1.0, 0.0)
        shown = f"={address}" if plain else f"=({address}-{scale.offset!r})/{scale.factor!r}"
        self.lines.append(
            Line(quantity.key, trial, quantity.label, self._where(trial, row), shown, quantity.unit, si, how, decimals)
        )
        self.values[address] = value
        return address

    def _written(self, tree: Node, known: Mapping[str, Cells]) -> str:
        try:
            return in_cells(tree, known, self.values)
        except NotTogether:
            lists = {key: self._gathered(key, cells) for key in names(tree) if isinstance(cells := known[key], list)}
            return in_cells(tree, {**known, **lists}, self.values)

    def _gathered(self, key: str, cells: list[str]) -> list[str]:
        """The same cells once more, below each other."""
        label = self.at.quantity(key).label if key in self.at.symbols and self.at.reading(key) is None else key
        gathered = []
        for place, cell in enumerate(cells, 1):
            address = f"{SI}{_FIRST + len(self.lines)}"
            self.lines.append(
                Line("", None, f"{label}, those that count", f"row {place}", "", "", f"={cell}", "", None)
            )
            self.values[address] = self.values[cell]
            gathered.append(address)
        return gathered

    def _typed(self, label: str, where: str, symbol: str, key: object) -> str:
        """A number as it was written, and the same in SI."""
        scale, si = unit(symbol), self.inputs[key]
        row = _FIRST + len(self.lines)
        value = float(f"{scale.from_si(si):.12g}")
        formula = f"={VALUE}{row}*{scale.factor!r}+{scale.offset!r}"
        decimals = self.at.bound.typed[key].decimals if isinstance(key, Place) else None
        self.lines.append(Line("", None, label, where, value, symbol, formula, "", decimals))
        self.values[f"{SI}{row}"] = si
        return f"{SI}{row}"

    def _where(self, trial: int | None, row: int | None = None) -> str:
        name = "" if trial is None else self.at.trial_name(trial).removeprefix("the ")
        return ", ".join(filter(None, (name, f"row {row}" if row else "")))


def _decimals(text: str) -> int | None:
    """How many decimals a number shows, None where it has a power of ten."""
    return None if "×" in text else len(text.partition(".")[2])
