"""The elementary inputs of a sheet: every constant and reading in SI, with the independent error sources it feels."""

from collections.abc import Mapping

import numpy as np

from chromata_core.chemistry.molar_mass import molar_mass
from chromata_core.declaration.option_kinds import ListOption, NumberOption, SubstanceOption
from chromata_core.declaration.options import listed
from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Reading, Series
from chromata_core.formula.compute import numeric
from chromata_core.formula.parse import parse_formula
from chromata_core.quantity.units import unit
from chromata_core.sheet.bound import Bound
from chromata_core.uncertainty.source import Input, Source, standard


def inputs_of(bound: Bound, changes: Mapping[str, str]) -> dict[object, Input]:
    """Every elementary input with its sources: constants by option key, readings by place."""
    return {**_constants(bound), **_readings(bound, changes)}


def _constants(bound: Bound) -> dict[object, Input]:
    inputs: dict[object, Input] = {}
    for option in bound.method.all_options:
        if isinstance(option, SubstanceOption):
            inputs[option.key] = molar_mass(bound.options[option.key])
        elif isinstance(option, NumberOption) and option.symbol:
            inputs[option.key] = _number_input(bound, option)
        elif isinstance(option, ListOption):
            scale = unit(option.unit)
            values = [Input(scale.to_si(float(value))) for value in listed(option, bound.options[option.key])]
            if bound.by_trial(option):
                trials = {*range(1, len(values) + 1), *(trial for trial in bound.trial_numbers() if trial)}
                inputs |= {(option.key, trial, None): values[(trial - 1) % len(values)] for trial in trials}
            else:
                inputs |= {(option.key, None, row): value for row, value in enumerate(values, 1)}
    return inputs


def _number_input(bound: Bound, option: NumberOption) -> Input:
    scale = unit(option.unit)
    value = scale.to_si(float(bound.number(option.key)))
    if option.key in bound.handed:
        return Input(value, bound.handed[option.key].sources)
    limit = float(bound.number(f"{option.key}.limit")) * scale.factor
    if not limit:
        return Input(value)
    u = standard(limit, option.limit_distribution)
    label = option.limit_label or option.label
    return Input(value, ((Source(option.key, label, u, option.limit_distribution, unit=option.unit), 1.0),))


def _readings(bound: Bound, changes: Mapping[str, str]) -> dict[object, Input]:
    by_key = {reading.key: reading for reading in bound.readings}
    inputs: dict[object, Input] = {}
    for place, typed in bound.typed.items():
        if (reading := by_key.get(place.key)) is None:
            continue
        value = float(typed.value)
        if reading.key in changes:
            value = float(numeric(parse_formula(changes[reading.key]))({"x": np.array([value])})[0])
        inputs[place] = _reading_input(bound, reading, place, value)
    return inputs


def _reading_input(bound: Bound, reading: Reading, place: Place, value: float) -> Input:
    read_with, known_scatter = bound.instruments[reading.role], bound.covered
    true, sources = read_with.corrected(value), []
    scale = unit(read_with.unit).factor
    for term in read_with.errors:
        told_elsewhere = reading.anew or (known_scatter and reading.scope == "trial")
        if (term.on_delivery and begins_delivery(reading, place)) or (term.scatters and told_elsewhere):
            continue
        half = float(term.half_width) * (1.0 if term.relative else scale)
        piece = term.cause or (f"{_piece(bound, reading)}:{term.label}" if term.shared else "")
        common = piece or (f"{reading.role}:{term.label}:{reading.key}" if term.by_load else "")
        source = Source(
            common or f"{term.label}:{place}", term.label, standard(half, term.distribution), term.distribution,
            unit="%" if term.relative else read_with.unit, lasts="bench" if piece else "",
        )  # fmt: skip
        sources.append((source, true * scale if term.relative else 1.0))
    return Input(unit(reading.unit).to_si(true), tuple(sources))


def _piece(bound: Bound, reading: Reading) -> str:
    """Which piece of equipment a reading is made with: that of its role, or one of its own. A meter or a calibrated
    piece is the same one in whatever role it is chosen; of plain glassware there are more that look alike.
    """
    role, tool = next(role for role in bound.method.roles if role.key == reading.role), bound.instruments[reading.role]
    if role.several:
        return f"{role.key}:{reading.key}"
    return tool.slug if tool.digital or tool.corrections else role.key


def begins_delivery(reading: Reading, place: Place) -> bool:
    """Whether this reading is where a delivery starts; its end carries the calibration's error for both."""
    return bool(reading.zero_of) or (isinstance(reading, Series) and reading.starts and place.row == 1)
