"""A method's worked example as a sheet."""

from collections.abc import Mapping
from dataclasses import replace

from chromata_core.declaration.option_kinds import ChoiceOption
from chromata_core.declaration.options import active
from chromata_core.declaration.vocabulary import Example, Method, Reading
from chromata_core.quantity.rounding import plain
from chromata_core.quantity.typed import parse_reading
from chromata_core.quantity.units import conversion
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Given, Sheet


def example_sheet(method: Method, options: Mapping[str, str] | None = None) -> Sheet:
    """The worked example as a sheet, under its own options or others: the readings that these ask for."""
    example = method.example if options is None else example_under(method, options)
    sheet = Sheet(example.options if options is None else options, example.instruments)
    bound = bind(method, sheet)
    last = bound.planned or (bound.most_trials if bound.asked.goes_on else bound.asked.most)
    given = tuple(
        Given(key, text, trial, index)
        for key, trial, index, text in example.readings
        if bound.part(key) is not None and not (trial == 0 and not bound.rough) and (trial or 0) <= last
    )
    return replace(sheet, given=given)


def example_as_planned(bound: Bound, plan: Sheet) -> Sheet:
    """The worked example under the choices of ``plan``, as its instruments would show it."""
    there = active(bound.method.readings, bound.options)
    readings = {reading.key: reading for reading in there if isinstance(reading, Reading)}
    example = example_sheet(bound.method, bound.options).given
    given = [replace(given, text=_as_read(bound, readings.get(given.key), given.text)) for given in example]
    return replace(plan, given=tuple(given))


def _as_read(bound: Bound, reading: Reading | None, text: str) -> str:
    """The example’s reading as this instrument would show it: in its unit; a one-mark pipette has its own volume."""
    if reading is None:
        return text
    tool = bound.instruments[reading.role]
    if tool.low == tool.high:
        return f"{float(tool.low):.{tool.decimals}f}"
    if tool.unit == reading.unit:
        return text
    factor, offset = conversion(reading.unit, tool.unit)
    return plain(float(parse_reading(text).value) * factor + offset, tool.decimals)


def example_under(method: Method, options: Mapping[str, str]) -> Example:
    """The example that was made for these choices; the first where none was."""
    choices = {option.key for option in method.all_options if isinstance(option, ChoiceOption)}
    made_for = (
        example
        for example in method.more_examples
        if all(options.get(key) == choice for key, choice in example.options.items() if key in choices)
    )
    return next(made_for, method.example)
