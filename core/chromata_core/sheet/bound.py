"""A bench's sheet: what was given, and what a method makes of it before anything is computed."""

from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from decimal import Decimal
from functools import cached_property

from chromata_core.declaration.names import When
from chromata_core.declaration.option_kinds import (
    HOW_MANY,
    Asked,
    Choice,
    ChoiceOption,
    ListOption,
    NumberOption,
    Planned,
    SubstanceOption,
)
from chromata_core.declaration.options import active, bottles, listed, on_bottle, resolve_options
from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Method, Observation, Quantity, Reading, Series, Step
from chromata_core.errors import ChromataError, ReadingError, SheetError, unknown
from chromata_core.instruments.catalogue import instrument
from chromata_core.instruments.instrument import Instrument
from chromata_core.quantity.given import read_in
from chromata_core.quantity.typed import Typed, parse_reading
from chromata_core.quantity.units import unit
from chromata_core.sentences import with_article

_LONGEST_TEXT = 4000
_MOST_TRIALS = 40
_MOST_TRIES = 3
MOST_ROUNDS = 20
_MOST_LISTED = 24


@dataclass(frozen=True, slots=True)
class Given:
    """One thing that was written: the text as typed, where it belongs, and when (epoch seconds, None if unknown)."""

    key: str
    text: str
    trial: int | None = None
    index: int | None = None
    at: float | None = None

    @property
    def place(self) -> Place:
        """Where it belongs."""
        return Place(self.key, self.trial, self.index)


@dataclass(frozen=True, slots=True)
class Sheet:
    """Options, instruments by role, and what stands on the sheet now (corrections already applied).

    ``stock`` holds instruments beside the catalogue's, by slug: those that were calibrated. ``opened`` is when the
    session began, epoch seconds, None if it did not.
    """

    options: Mapping[str, str] = field(default_factory=dict)
    instruments: Mapping[str, str] = field(default_factory=dict)
    given: tuple[Given, ...] = ()
    stock: Mapping[str, Instrument] = field(default_factory=dict)
    opened: float | None = None


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
    planned: int | None  # how many trials are planned one by one; None where one measures until trials agree

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
            said = [str(here.value)] if here else [] if place else [f"{items[0].value} to {items[-1].value}"]
            planned[option.key] = " ".join((*said, option.unit)).rstrip()
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
        option = next((option for option in self.lists if self.by_trial(option)), None)
        place = self.place(trial)
        return self.items(option)[place - 1] if option and place else None

    def by_trial(self, option: ListOption) -> bool:
        """Whether this list plans trials; else it plans the rows of a series."""
        return option.key == self.method.trials.each

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
        return next(one for one in active(self.method.quantities, self.options) if one.key == key)

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
        found = [(place.row or 0, typed) for place, typed in self.typed.items() if place[:2] == (key, trial)]
        return [typed for _, typed in sorted(found, key=lambda pair: pair[0])]


def bind(method: Method, sheet: Sheet) -> Bound:
    """``sheet`` understood by ``method``; SheetError lists everything that does not belong or cannot be read."""
    options = resolve_options(method, {**sheet.options, **_from_bottles(method, sheet)})
    problems: list[str] = []
    instruments = _instruments(method, sheet, problems)
    readings = active([r for r in method.readings if isinstance(r, Reading)], options)
    observations = active([o for o in method.readings if isinstance(o, Observation)], options)
    bound = Bound(
        method, options, instruments, readings, observations,
        active(method.quantities, options), active(method.steps, options), {}, {}, {}, _words(method, options),
        _units(method, options), sheet.opened, _planned(method, options),
    )  # fmt: skip
    bound = replace(
        bound,
        readings=tuple(_as_shown(bound, reading) for reading in readings),
        quantities=tuple(_in_class_units(bound, quantity) for quantity in bound.quantities),
    )
    typed: dict[Place, Typed] = {}
    texts: dict[Place, str] = {}
    for given in sheet.given:
        try:
            understood = understand(bound, given)
        except ChromataError as error:
            problems.append(f"{given.key}: {error.message}")
            continue
        if isinstance(understood, Typed):
            typed[given.place] = understood
        else:
            texts[given.place] = understood
    if problems:
        raise SheetError(problems)
    times = {given.place: given.at for given in sheet.given if given.at is not None}
    return replace(bound, typed=typed, texts=texts, times=times)


def _from_bottles(method: Method, sheet: Sheet) -> dict[str, str]:
    """What bottles' labels say otherwise than planned."""
    numbers = {option.key for option in bottles(method, resolve_options(method, sheet.options))}
    written = [on_bottle(given.key, given.text) for given in sheet.given if given.key in numbers]
    return {key: text for found in written for key, text in found.items()}


def _planned(method: Method, options: Mapping[str, str]) -> int | None:
    each = next((o for o in method.all_options if o.key == method.trials.each), None)
    if isinstance(each, ListOption):
        return len(listed(each, options[each.key]))
    return int(parse_reading(options[each.key]).value) if each else None


def _as_shown(bound: Bound, reading: Reading) -> Reading:
    """``reading`` in the unit that its instrument shows, its label in the words of the chosen options."""
    return replace(reading, unit=bound.instruments[reading.role].unit, label=bound.worded(reading.label))


def _in_class_units(bound: Bound, quantity: Quantity) -> Quantity:
    symbol, label = bound.units.get(quantity.unit, quantity.unit), bound.worded(quantity.label)
    return (
        quantity if (symbol, label) == (quantity.unit, quantity.label) else replace(quantity, unit=symbol, label=label)
    )


def _words(method: Method, options: Mapping[str, str]) -> dict[str, str]:
    return {name: word for choice in _chosen(method, options) for name, word in choice.words.items()}


def _units(method: Method, options: Mapping[str, str]) -> dict[str, str]:
    return {declared: here for choice in _chosen(method, options) for declared, here in choice.units.items()}


def _chosen(method: Method, options: Mapping[str, str]) -> list[Choice]:
    return [
        choice
        for option in method.all_options
        if isinstance(option, ChoiceOption | SubstanceOption)
        for choice in option.choices
        if choice.key == options[option.key]
    ]


def _instruments(method: Method, sheet: Sheet, problems: list[str]) -> dict[str, Instrument]:
    chosen = sheet.instruments
    roles = {role.key: role for role in method.roles}
    problems += [unknown("instrument role", key, list(roles)) for key in chosen if key not in roles]
    found: dict[str, Instrument] = {}
    for role in method.roles:
        try:
            slug = chosen.get(role.key, role.default)
            picked = sheet.stock.get(slug) or instrument(slug)
        except ReadingError as error:
            problems.append(error.message)
            picked = instrument(role.default)
        if picked.kind not in role.kinds:
            fitting = " or ".join(map(with_article, role.kinds))
            problems.append(f"{picked.short} cannot be the {role.label.lower()}. Choose {fitting}.")
        found[role.key] = picked
    return found


def understand(bound: Bound, given: Given) -> Typed | str:
    """What ``given`` means: a typed number for readings and own answers, a text for everything else."""
    text = given.text.strip()
    if len(text) > _LONGEST_TEXT or "\x00" in text:
        raise ReadingError(f"This text is too long or holds unreadable characters. Keep it under {_LONGEST_TEXT}.")
    match bound.part(given.key):
        case Reading() as reading:
            _place(reading.label, reading.scope, isinstance(reading, Series), given, bound)
            return bound.instruments[reading.role].read(text, reading.unit)
        case Observation() as observation:
            again = given.index is not None and bound.in_rounds(given.key)
            if again:
                _round(observation.label, True, given)
            _place(observation.label, observation.scope, again, given, bound)
            keys = [choice.key for choice in observation.choices]
            if text not in keys:
                raise ReadingError(unknown(f"choice for “{observation.label}”", text, keys))
            return text
        case None:
            return _common(bound, given, text)


def _place(label: str, scope: str, series: bool, given: Given, bound: Bound) -> None:
    noun = bound.method.trials.noun.lower()
    if scope == "trial" and given.trial is None:
        raise ReadingError(f"“{label}” belongs to a {noun}; say which.")
    if scope == "bench" and given.trial is not None:
        raise ReadingError(f"“{label}” is read once for the bench, not for each {noun}.")
    _trial_exists(given, bound)
    if series != (given.index is not None):
        raise ReadingError(f"“{label}” {'needs its place in the series' if series else 'is not a series'}.")
    if given.index is not None and not 1 <= given.index <= 100:
        raise ReadingError("A series runs from 1 to 100.")


def _round(label: str, cycled: bool, given: Given) -> None:
    """The first round has no number: what is done once and what is done again begin alike."""
    if given.index is not None and not (cycled and 2 <= given.index <= MOST_ROUNDS):
        raise ReadingError(f"“{label}” has no round {given.index}.")


def _trial_exists(given: Given, bound: Bound) -> None:
    if given.trial is not None and not (0 if bound.rough else 1) <= given.trial <= bound.most_trials:
        raise ReadingError(f"There is no {bound.method.trials.noun.lower()} {given.trial}.")


def _common(bound: Bound, given: Given, text: str) -> Typed | str:
    _trial_exists(given, bound)
    bottle = bound.bottle(given.key)
    if bottle is not None:
        _place(bottle.label, "bench", False, given, bound)
        resolve_options(bound.method, {**bound.options, **on_bottle(given.key, text)})
        return text
    kind, name = given.place.kind, given.place.name
    if kind == "void" and given.trial is not None:
        return text
    step = next((step for step in bound.steps if step.key == name), None)
    if kind in ("tick", "timer") and step is not None:
        _round(step.title, bool(step.cycle), given)
        return text
    results = {q.key: q for q in bound.quantities if q.result and (q.scope == "trial") == (given.trial is not None)}
    if kind == "own" and name in results:
        return read_in(text, results[name].unit)
    if kind == "answer" and name in [str(n) for n, _ in enumerate(bound.method.questions, 1)]:
        return text
    part = next((part for part in bound.method.readings if part.key == given.key), None)
    if part is not None:
        raise ReadingError(f"“{part.label}” is not read here. {_switched_off(bound, part.when)}")
    known = [r.key for r in bound.parts]
    raise ReadingError(unknown("reading", given.key, known))


def _switched_off(bound: Bound, when: When) -> str:
    """Which choices would have to be others for a part to exist."""
    options = {option.key: option for option in bound.method.all_options}
    said = []
    for key, wanted in (when or {}).items():
        option = options[key]
        choices = (wanted,) if isinstance(wanted, str) else wanted
        labels = [c.label for c in getattr(option, "choices", ()) if c.key in choices] or list(choices)
        if bound.options[key] not in choices:
            said.append(f"“{option.label}” were “{' or '.join(labels)}”")
    return f"It would be if {' and '.join(said)}."
