"""A bench's sheet: what was given, and what a method makes of it before anything is computed."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from decimal import Decimal
from functools import cached_property

from chromata_core.declaration.option_kinds import (
    HOW_MANY,
    Asked,
    ListOption,
    NumberOption,
    Planned,
)
from chromata_core.declaration.options import active, bottles
from chromata_core.declaration.own_work import OwnWork
from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Method, Observation, Quantity, Reading, Step
from chromata_core.instruments.instrument import Instrument
from chromata_core.quantity.typed import Typed, parse_reading
from chromata_core.quantity.units import unit
from chromata_core.sheet.handed import Handed

_MOST_TRIALS = 40
_MOST_TRIES = 3
MOST_ROUNDS = 20
_MOST_LISTED = 24


@dataclass(frozen=True, slots=True)
class Given:
    """One thing that was written: the text as typed, where it belongs, when (epoch seconds, None if unknown), and how
    often that place was written by now.
    """

    key: str
    text: str
    trial: int | None = None
    index: int | None = None
    at: float | None = None
    tries: int = 1

    @property
    def place(self) -> Place:
        """Where it belongs."""
        return Place(self.key, self.trial, self.index)


@dataclass(frozen=True, slots=True)
class Sheet:
    """Options, instruments by role, and what stands on the sheet now (corrections already applied).

    ``stock`` holds instruments beside the catalogue's, by slug: those that were calibrated. ``opened`` is when the
    session began, epoch seconds, None if it did not. ``own_work`` is what students work out themselves, ``handed``
    numbers of the plan that are taken from another sheet, by their option. ``pace``: how many times as fast time runs,
    at a bench worked on the screen.
    """

    options: Mapping[str, str] = field(default_factory=dict)
    instruments: Mapping[str, str] = field(default_factory=dict)
    given: tuple[Given, ...] = ()
    stock: Mapping[str, Instrument] = field(default_factory=dict)
    opened: float | None = None
    own_work: OwnWork = field(default_factory=OwnWork)
    handed: Mapping[str, Handed] = field(default_factory=dict)
    pace: int = 1

    def passed(self, real: float) -> float:
        """What the clock of this bench says at ``real``, epoch seconds."""
        return real if self.opened is None else self.opened + (real - self.opened) * self.pace


@dataclass(frozen=True)
class Bound:
    """A sheet that fits its method: options resolved, readings understood, the parts that exist under these options."""

    method: Method
    options: Mapping[str, str]
    instruments: Mapping[str, Instrument]
    readings: tuple[Reading, ...]
    observations: tuple[Observation, ...]
    quantities: tuple[Quantity, ...]
    steps: tuple[Step, ...]
    typed: Mapping[Place, Typed]
    texts: Mapping[Place, str]
    times: Mapping[Place, float]
    words: Mapping[str, str]
    units: Mapping[str, str]  # the class's, by the declared ones
    opened: float | None
    pace: int
    planned: int | None  # how many trials are planned one by one; None where one measures until trials agree
    own_work: OwnWork
    written: Mapping[Place, int]  # how often each place was written by now
    handed: Mapping[str, Handed]  # numbers of the plan that were found on another sheet, by their option
    awaited: Mapping[str, Handed]  # those that could not be taken over from there: the plan's own stand

    @property
    def rough(self) -> bool:
        """Whether trial 0, the rough one, is part of the plan."""
        return self.options.get(self.method.trials.rough) == "yes"

    def worded(self, text: str, trial: int | None = None, row: int | None = None) -> str:
        """``text`` with the chosen options' words and values put in where it has braces: of planned lists what is meant
        for ``trial``, or for this ``row`` of a series.
        """
        if "{" in text:
            for name, word in {**self.words, **self._numbers, **self._planned(trial, row)}.items():
                text = text.replace(f"{{{name}}}", word)
        return text

    @cached_property
    def _numbers(self) -> dict[str, str]:
        numbers = [option for option in self.method.all_options if isinstance(option, NumberOption)]
        return {option.key: f"{self.options[option.key]} {option.unit}".rstrip() for option in numbers}

    def _planned(self, trial: int | None, row: int | None) -> dict[str, str]:
        planned: dict[str, str] = {}
        for option in self.lists:
            items = self.items(option)
            place = self.place(trial) if self.by_trial(option) else row
            here = items[place - 1] if place and place <= len(items) else None
            texts = [str(here.value)] if here else [] if place else [f"{items[0].value} to {items[-1].value}"]
            planned[option.key] = " ".join((*texts, option.unit)).rstrip()
            planned |= here.words if here else option.words
        return planned

    def items(self, option: ListOption) -> list[Planned]:
        """What a list plans, in its order."""
        return self._items[option.key]

    @cached_property
    def _items(self) -> dict[str, list[Planned]]:
        return {option.key: option.planned(self.options[option.key]) for option in self.lists}

    def planned_for(self, trial: int) -> Planned | None:
        """What the list that plans trials plans for this one; None for methods without, and for the rough trial."""
        option = next((option for option in self.lists if option.key == self.method.trials.each), None)
        place = self.place(trial)
        return self.items(option)[place - 1] if option and place else None

    def by_trial(self, option: ListOption) -> bool:
        """Whether this list plans trials; else it plans the rows of a series."""
        return self.method.trials.planned_by(option)

    @cached_property
    def lists(self) -> tuple[ListOption, ...]:
        """The options that plan a value for each trial."""
        return tuple(option for option in self.method.all_options if isinstance(option, ListOption))

    @property
    def covered(self) -> bool:
        """Whether a known repeatability of the whole method stands for the scatter of single readings."""
        return any(error.covers and self.number(error.limit) for q in self.quantities for error in q.errors)

    @property
    def asked(self) -> Asked:
        """How many trials this plan asks for."""
        return self.method.trials.asked(self.options.get(HOW_MANY, ""))

    @property
    def most_trials(self) -> int:
        """The highest number of a trial."""
        return _MOST_TRIALS if self.planned is None else self.planned * _MOST_TRIES

    def place(self, trial: int | None) -> int | None:
        """Which planned trial ``trial`` makes: of five, trial 7 is the second try of the second."""
        return (trial - 1) % self.planned + 1 if trial and self.planned else trial

    def tries(self, trial: int) -> int:
        """The how manieth try ``trial`` is of what it makes."""
        return (trial - 1) // self.planned + 1 if self.planned and trial else 1

    def next_try(self, trial: int) -> int | None:
        """The trial that makes a planned one again, None after the last try."""
        again = trial + (self.planned or 0)
        return again if trial < again <= self.most_trials else None

    @cached_property
    def parts(self) -> tuple[Reading | Observation, ...]:
        """Everything that is read or observed."""
        return (*self.readings, *self.observations)

    @cached_property
    def _by_key(self) -> dict[str, Reading | Observation]:
        return {part.key: part for part in self.parts}

    def in_rounds(self, key: str) -> bool:
        """Whether this observation is made anew in each round of a cycle."""
        return any(step.cycle and key in step.reads for step in self.steps)

    def looks(self, observation: str, trial: int | None) -> list[Place]:
        """Where ``observation`` was looked at, round by round."""
        return sorted((p for p in self.texts if p[:2] == (observation, trial)), key=lambda place: place.row or 0)

    def wanted(self, reading: Reading, trial: int | None) -> bool:
        """Whether ``reading`` has to be made: always, or for an optional one, once the one it follows was made."""
        return not reading.optional or (reading.follows, trial, None) in self.typed

    @cached_property
    def hand_ins(self) -> tuple[NumberOption, ...]:
        """The numbers of this plan that another sheet finds, or should."""
        numbers = [option for option in self.method.all_options if isinstance(option, NumberOption)]
        return active([o for o in numbers if o.key in {*self.handed, *self.awaited}], self.options)

    @cached_property
    def bottles(self) -> tuple[NumberOption, ...]:
        """What stands on bottles and may be written for the room."""
        return bottles(self.method, self.options)

    def bottle(self, key: str) -> NumberOption | None:
        """The bottle whose label is the option ``key``."""
        return next((bottle for bottle in self.bottles if bottle.key == key), None)

    def label_of(self, bottle: NumberOption) -> str:
        """What stands on it, “0.1012 ± 0.0003”."""
        limit = self.number(f"{bottle.key}.limit")
        return f"{self.options[bottle.key]} ± {limit:f}" if limit else self.options[bottle.key]

    def part(self, key: str) -> Reading | Observation | None:
        """The reading or observation called ``key``."""
        return self._by_key.get(key)

    def declared(self, key: str) -> Quantity:
        """The quantity ``key`` as it is declared: in the unit in which limits and accepted values are given."""
        return self._declared[key]

    @cached_property
    def _declared(self) -> dict[str, Quantity]:
        return {quantity.key: quantity for quantity in active(self.method.quantities, self.options)}

    def number_text(self, option: NumberOption) -> str:
        """A number option with its unit, as it stands in the class's worked lines."""
        text, symbol = self.options[option.key], self.units.get(option.unit, option.unit)
        if symbol != option.unit:
            text = f"{unit(symbol).from_si(unit(option.unit).to_si(float(parse_reading(text).value))):.10g}"
        return f"{text} {symbol}".rstrip()

    def number(self, option: str) -> Decimal:
        """The value of a number option, in its unit."""
        return parse_reading(self.options[option]).value

    def trial_numbers(self) -> list[int]:
        """Every trial on the sheet, in the order of the plan; 0 is the rough one."""
        numbers = {place.trial for place in (*self.typed, *self.texts) if place.trial is not None}
        return sorted(numbers, key=lambda n: (self.place(n) or 0, n))

    def series(self, key: str, trial: int | None) -> list[Typed]:
        """The readings of a series in order."""
        rows = [(place.row or 0, typed) for place, typed in self.typed.items() if place[:2] == (key, trial)]
        return [typed for _, typed in sorted(rows, key=lambda pair: pair[0])]
