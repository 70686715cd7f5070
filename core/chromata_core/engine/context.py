"""What a check may look at: readings, quantities and options of one evaluated sheet, in the units that people see."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from decimal import Decimal
from functools import cached_property, lru_cache

from chromata_core.declaration.option_kinds import ListOption, NumberOption, SubstanceOption
from chromata_core.declaration.options import listed
from chromata_core.declaration.places import Place, timer, void
from chromata_core.declaration.vocabulary import Method, Quantity, Reading, Step
from chromata_core.engine.figures_school import Known, as_decimal, figures_of, in_si, shown_in
from chromata_core.engine.numeric_pass import Computed, compute
from chromata_core.engine.shown import Shown
from chromata_core.instruments.instrument import Instrument
from chromata_core.quantity.rounding import plain, with_figures
from chromata_core.quantity.typed import Typed
from chromata_core.quantity.units import unit
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Sheet
from chromata_core.uncertainty.columns import value_of

# A computed quantity and where it stands: in a trial, or (None) on the bench.
ResultPlace = tuple[Quantity, int | None]

_MOST = 64  # sheets whose numbers are remembered: what was tried at a bench is written there a moment later


@dataclass(frozen=True)
class Context:
    """One sheet, bound and computed."""

    bound: Bound
    computed: Computed
    figures: Mapping[int | None, Known]

    def trials(self, valid: bool = True) -> list[int]:
        """Trial numbers in order; only those not void unless asked otherwise."""
        return [n for n in self.computed.trials if not (valid and n in self.computed.voided)]

    def trials_not_rejected(self) -> list[int]:
        """Trials that nobody rejected: also those that cannot be so, of which there is something to say."""
        return [n for n in self.computed.trials if self.bound.texts.get(void(n), "no") == "no"]

    def trial_name(self, number: int | None) -> str:
        """“the rough trial”, “trial 2”, or “the bench”."""
        if number is None:
            return "the bench"
        if number not in self._names:
            self._names[number] = self._name_of(number)
        return self._names[number]

    @cached_property
    def _names(self) -> dict[int, str]:
        return {}  # of trials, as they are asked for: each is named in every line of it

    def _name_of(self, number: int) -> str:
        noun = self.bound.method.trials.noun.lower()
        if self.bound.rough and number == 0:
            return f"the rough {noun}"
        return f"{noun} {self.bound.place(number)}{self.again(number)}"

    def again(self, number: int) -> str:
        """“, try 2” behind the name of a planned trial that is made again."""
        tries = self.bound.tries(number)
        return f", try {tries}" if tries > 1 else ""

    def last_try(self, planned: int) -> int:
        """The trial that stands for a planned one: its last that counts, or its last."""
        tries = [n for n in self.computed.trials if self.bound.place(n) == planned]
        return max([n for n in tries if n not in self.computed.voided] or tries, default=planned)

    def not_made(self, trial: int | None) -> set[str]:
        """Optional readings that were not made in ``trial``: they count as zero, and no formula shows them."""
        return {
            r.key for r in self.bound.readings if self.typed(r.key, trial) is None and not self.bound.wanted(r, trial)
        }

    def is_rough(self, trial: int | None) -> bool:
        """Whether ``trial`` is the rough one, which is never judged nor averaged."""
        return self.bound.rough and trial == 0

    def reading(self, key: str) -> Reading | None:
        """The reading called ``key``, None if these options have no such reading."""
        part = self.bound.part(key)
        return part if isinstance(part, Reading) else None

    def quantity(self, key: str) -> Quantity:
        """The quantity called ``key``."""
        return self._quantities[key]

    @cached_property
    def _quantities(self) -> dict[str, Quantity]:
        return {quantity.key: quantity for quantity in self.bound.quantities}

    def instrument(self, key: str) -> Instrument:
        """The instrument that the reading ``key`` is made with."""
        reading = self.reading(key)
        assert reading is not None
        return self.bound.instruments[reading.role]

    @cached_property
    def symbols(self) -> dict[str, str]:
        """The symbol of everything that may stand in a formula."""
        options = self.bound.method.all_options
        symbols = {o.key: o.symbol for o in options if isinstance(o, NumberOption | SubstanceOption | ListOption)}
        symbols |= {reading.key: reading.symbol for reading in self.bound.readings}
        return symbols | {quantity.key: quantity.symbol for quantity in self.bound.quantities}

    def typed(self, key: str, trial: int | None, index: int | None = None) -> Typed | None:
        """What was typed, if anything was."""
        return self.bound.typed.get(Place(key, trial, index))

    def read_in(self, symbol: str, key: str, trial: int | None) -> float | None:
        """What was read, in the unit ``symbol``: instruments of one kind may show volts or millivolts."""
        typed, reading = self.typed(key, trial), self.reading(key)
        if typed is None or reading is None:
            return None
        return unit(symbol).from_si(unit(reading.unit).to_si(float(typed.value)))

    def value(self, key: str, trial: int | None, symbol: str | None = None) -> float | None:
        """A computed quantity in the class's unit or in ``symbol``, None if it cannot be computed yet."""
        column = self.computed.column(key, trial)
        if column is None or key not in self._quantities:
            return None
        return unit(self.quantity(key).unit if symbol is None else symbol).from_si(value_of(column))

    def as_shown(self, key: str, value: Decimal | float) -> Decimal | float:
        """``value``, given in the declared unit of the quantity ``key``, in the unit in which the class sees it."""
        declared, here = self.bound.declared(key).unit, self.quantity(key).unit
        return value if declared == here else unit(here).from_si(unit(declared).to_si(float(value)))

    def planned(self, option: str, trial: int) -> Decimal:
        """What a list option plans for ``trial``, in its unit."""
        planned = next(listing for listing in self.bound.lists if listing.key == option)
        place = self.bound.place(trial)
        assert place is not None
        return listed(planned, self.bound.options[option])[place - 1]

    @cached_property
    def session_numbers(self) -> Known:
        """Every number option, also one that stands in no formula, with its figures."""
        numbers = [option for option in self.bound.method.all_options if isinstance(option, NumberOption)]
        return {option.key: in_si(self.bound.options[option.key], option.unit) for option in numbers}

    def number(self, option: str) -> Decimal:
        """A number option in its unit."""
        return self.bound.number(option)

    def si(self, option: str) -> float:
        """A number option in SI."""
        value = self.session_numbers[option]
        assert not isinstance(value, list), "an option is one number"
        return float(value.value)

    def decimal(self, quantity: Quantity, trial: int | None) -> Decimal:
        """A computed quantity in its unit as it is worked on paper, so that what is a tie there is one here."""
        value = self.value(quantity.key, trial)
        return as_decimal(0.0 if value is None else value, self.figures[trial].get(quantity.key), quantity.unit)

    def figured(self, quantity: Quantity, trial: int | None) -> Shown:
        """A computed quantity to the figures its readings allow."""
        value = self.value(quantity.key, trial)
        return shown_in(0.0 if value is None else value, self.figures[trial].get(quantity.key), quantity.unit)

    def figured_rows(self, quantity: Quantity, trial: int | None) -> list[Shown]:
        """The rows of a quantity that is worked row by row, each to the figures its readings allow."""
        column, known = self.computed.column(quantity.key, trial), self.figures[trial].get(quantity.key)
        if column is None or not isinstance(known, list):
            return []
        scale = unit(quantity.unit)
        return [
            shown_in(scale.from_si(value_of(row)), item, quantity.unit) for row, item in zip(column, known, strict=True)
        ]

    def listed(self, key: str, trial: int | None) -> list[float]:
        """The values of a list, a series or a quantity worked row by row, in its unit; empty while there are none."""
        reading = self.reading(key)
        if reading is not None:
            return [float(typed.value) for typed in self.bound.series(key, None if reading.scope == "bench" else trial)]
        column = self.computed.column(key, trial)
        return [] if column is None else [unit(self.quantity(key).unit).from_si(value_of(row)) for row in column]

    def begun(self, step: Step, trial: int | None, turn: int | None = None) -> float | None:
        """When the wait of ``step`` began, in this round of its cycle: as it was started here, or before the session by
        whoever prepared it.
        """
        started = self.bound.times.get(timer(step.key, trial, turn))
        if started is None and step.wait and step.wait.before and self.bound.opened is not None:
            return self.bound.opened - 60 * float(self.number(step.wait.before))
        return started

    def said(self, key: str, value: float) -> str:
        """A quantity's value as said in a sentence: as many decimals as its readings carry, with the unit."""
        quantity = self.quantity(key)
        decimals = [self.bound.instruments[r.role].decimals for r in self.bound.readings if r.unit == quantity.unit]
        text = plain(value, max(decimals)) if decimals else with_figures(value, 3)
        return f"{text} {quantity.unit}".rstrip()


def context_of(method: Method, sheet: Sheet) -> Context:
    """``sheet`` bound and computed; SheetError lists everything on it that does not belong."""
    bound = bind(method, sheet)
    return Context(bound, *_worked(_Numbers(_numbers_of(bound), bound)))


@dataclass(frozen=True, slots=True)
class _Numbers:
    """All that numbers are worked from. When it was written, and how often, is no part of that."""

    said: tuple[object, ...]
    bound: Bound = field(compare=False)


def _numbers_of(bound: Bound) -> tuple[object, ...]:
    named = (bound.options, bound.instruments, bound.handed, bound.typed, bound.texts)
    return (id(bound.method), bound.own_work, *(tuple(names.items()) for names in named))


@lru_cache(_MOST)
def _worked(numbers: _Numbers) -> tuple[Computed, Mapping[int | None, Known]]:
    computed = compute(numbers.bound)
    return computed, figures_of(numbers.bound, computed)
