"""A sheet and its method brought together: options resolved, instruments found, everything written understood."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace
from functools import lru_cache

from chromata_core.declaration.option_kinds import (
    Choice,
    ChoiceOption,
    ListOption,
    SubstanceOption,
)
from chromata_core.declaration.options import active, bottles, listed, on_bottle, resolve_options
from chromata_core.declaration.own_work import OwnWork, own_work_problems, percent_errors, worksheet
from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Method, Observation, Quantity, Reading, Step
from chromata_core.errors import ChromataError, ReadingError, SheetError, unknown
from chromata_core.instruments.catalogue import instrument
from chromata_core.instruments.instrument import Instrument
from chromata_core.quantity.typed import Typed, parse_reading
from chromata_core.sentences import with_article
from chromata_core.sheet.bound import Bound, Sheet
from chromata_core.sheet.handed import Handed
from chromata_core.sheet.understanding import understand

_MOST = 500  # plans that are remembered: a room has one, or one for each sample and each bench that is handed something


def bind(method: Method, sheet: Sheet) -> Bound:
    """``sheet`` understood by ``method``; SheetError lists everything that does not belong or cannot be read."""
    bound, faults = _planned_out(_plan_of(method, sheet))
    problems, typed, texts = list(faults), dict[Place, Typed](), dict[Place, str]()
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
    times = {given.place: sheet.passed(given.at) for given in sheet.given if given.at is not None}
    written = {given.place: given.tries for given in sheet.given}
    return replace(bound, typed=typed, texts=texts, times=times, written=written)


@dataclass(frozen=True, slots=True)
class _Plan:
    """A sheet with what bottles say, before anything else is written on it. Equal to another one that says the same of
    the very same method.
    """

    said: tuple[object, ...]
    method: Method = field(compare=False)
    sheet: Sheet = field(compare=False)
    labels: Mapping[str, str] = field(compare=False)


def _plan_of(method: Method, sheet: Sheet) -> _Plan:
    labels = _from_bottles(method, sheet)
    named = (sheet.options, sheet.instruments, sheet.stock, sheet.handed, labels)
    said = (id(method), sheet.own_work, sheet.opened, sheet.pace, *(tuple(names.items()) for names in named))
    return _Plan(said, method, replace(sheet, given=()), labels)


@lru_cache(_MOST)
def _planned_out(plan: _Plan) -> tuple[Bound, tuple[str, ...]]:
    """What is there before anything is written, and what does not belong."""
    method, sheet, labels = plan.method, plan.sheet, plan.labels
    handed, awaited = _handed_over(method, sheet, labels)
    by_name = {name: text for key, taken in handed.items() for name, text in taken.options(key).items()}
    options = resolve_options(method, {**sheet.options, **by_name, **labels})
    problems: list[str] = []
    instruments = _instruments(method, sheet, problems)
    readings = active([r for r in method.readings if isinstance(r, Reading)], options)
    observations = active([o for o in method.readings if isinstance(o, Observation)], options)
    bound = Bound(
        method,
        options,
        instruments,
        readings=readings,
        observations=observations,
        quantities=active(_with_lines(method, sheet.own_work), options),
        steps=active(method.steps, options),
        typed={},
        texts={},
        times={},
        words=_words(method, options),
        units=_units(method, options),
        opened=sheet.opened,
        pace=sheet.pace,
        planned=_planned(method, options),
        own_work=sheet.own_work,
        written={},
        handed=handed,
        awaited=awaited,
    )
    problems += own_work_problems(method, sheet.own_work)
    bound = replace(
        _with_worksheet(bound),
        readings=tuple(_as_shown(bound, reading) for reading in readings),
        quantities=tuple(_in_class_units(bound, quantity) for quantity in bound.quantities),
    )
    return bound, tuple(problems)


def _with_lines(method: Method, asked: OwnWork) -> tuple[Quantity, ...]:
    """What the method works out, and the percent errors that students are asked for."""
    return (
        *method.quantities,
        *(percent_error for percent_error in percent_errors(method) if percent_error.key in asked.lines),
    )


def _with_worksheet(bound: Bound) -> Bound:
    """The lines that are worked out under these options stand in a step of their own, before the bench is put in
    order.
    """
    asked = replace(bound.own_work, lines=tuple(q.key for q in bound.quantities if q.key in bound.own_work.lines))
    if not asked.lines:
        return bound
    sheet = worksheet(asked)
    before = [step for step in bound.steps if step.scope != "closing"]
    closing = [_without(step, sheet.reads) for step in bound.steps[len(before) :]]
    return replace(bound, own_work=asked, steps=(*before, sheet, *(step for step in closing if step is not None)))


def _without(step: Step, reads: Sequence[str]) -> Step | None:
    """``step`` without what is asked elsewhere already; none where nothing else is done in it."""
    left = tuple(key for key in step.reads if key not in reads)
    return step if left == step.reads else replace(step, reads=left) if left else None


def _from_bottles(method: Method, sheet: Sheet) -> dict[str, str]:
    """What bottles' labels say otherwise than planned."""
    if not {given.key for given in sheet.given} & {option.key for option in method.all_options}:
        return {}
    numbers = {option.key for option in bottles(method, resolve_options(method, sheet.options))}
    written = [on_bottle(given.key, given.text) for given in sheet.given if given.key in numbers]
    return {key: text for bottle in written for key, text in bottle.items()}


def _handed_over(
    method: Method, sheet: Sheet, labels: Mapping[str, str]
) -> tuple[dict[str, Handed], dict[str, Handed]]:
    """What another sheet found, unless a bottle's label says otherwise; and what it did not find, or nothing that this
    method could work with: the plan's number stands then, and the bench is told.
    """
    taken, awaited = dict[str, Handed](), dict[str, Handed]()
    for key, handed in sheet.handed.items():
        if key in labels:
            continue
        try:
            if handed.text:
                resolve_options(method, {**sheet.options, **handed.options(key)})
        except SheetError as error:
            handed = replace(handed, text="", why=" ".join(error.problems))
        (taken if handed.text else awaited)[key] = handed
    return taken, awaited


def _planned(method: Method, options: Mapping[str, str]) -> int | None:
    each = next((o for o in method.all_options if o.key == method.trials.each), None)
    if isinstance(each, ListOption):
        return len(listed(each, options[each.key]))
    return int(parse_reading(options[each.key]).value) if each else None


def _as_shown(bound: Bound, reading: Reading) -> Reading:
    """``reading`` in the unit that its instrument shows, its label in the words of the chosen options."""
    return replace(reading, unit=bound.instruments[reading.role].unit, label=bound.worded(reading.label))


def _in_class_units(bound: Bound, quantity: Quantity) -> Quantity:
    symbol = quantity.unit if quantity.as_read else bound.units.get(quantity.unit, quantity.unit)
    label = bound.worded(quantity.label)
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
    instruments: dict[str, Instrument] = {}
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
        instruments[role.key] = picked
    return instruments
