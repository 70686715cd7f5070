"""Units, significant figures, percent error, uncertainties combined by a formula."""

import re
from collections.abc import Set
from math import isfinite

import numpy as np

from chromata_core.desk.calculator import Calculator, FieldOf, Said, WorkedOut, WorkedStep, split_limit
from chromata_core.errors import ReadingError
from chromata_core.formula.dimension import dimension_of
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.propagate import Propagation
from chromata_core.formula.tree import names
from chromata_core.quantity.given import limit_in, read_in, written_in
from chromata_core.quantity.report import report
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.typed import parse_reading
from chromata_core.quantity.units import Dimension, conversion, unit
from chromata_core.uncertainty.source import WORDS, Distribution, Source, standard

_MOST_FIGURES, _MOST_INPUTS = 15, 24
_PLAIN = "1"
_INPUT = re.compile(r"\s*(?P<name>[A-Za-z]\w*)\s*=\s*(?P<text>.+?)\s*")
_KIND = re.compile(r", +[a-z0-9]+\s*$")  # a comma within a number has no space behind it
_DISTRIBUTIONS: dict[str, Distribution] = {"95": "normal95", "rect": "rectangular", "tri": "triangular", "u": "normal"}


def _convert(form: Said) -> WorkedOut:
    typed = parse_reading(form["given"])
    if not typed.unit:
        raise ReadingError("Write the unit behind the number: 760 mmHg.")
    factor, offset = conversion(typed.unit, form["to"])
    value = float(typed.value) * factor + offset
    shown = written_in(form["given"], form["to"])
    steps = [
        WorkedStep(
            "Factor",
            f"1 {typed.unit} is {factor:.10g} {form['to']}" + (f", and {offset:+.10g} for the zero" if offset else ""),
        )
    ]
    steps += [WorkedStep("All digits", f"{value:.10g} {form['to']}")]
    return WorkedOut(f"{shown} {form['to']}", steps, value=shown, unit=form["to"])


def _figures(form: Said) -> WorkedOut:
    typed = parse_reading(form["number"])
    wanted = parse_reading(form["to"])
    if wanted.value != int(wanted.value) or not 1 <= wanted.value <= _MOST_FIGURES:
        raise ReadingError(f"Round to 1 to {_MOST_FIGURES} figures.")
    told = f"{typed.figures} significant figure{'s' if typed.figures != 1 else ''}"
    places = f"{typed.decimals} decimals" if typed.decimals >= 0 else f"rounded to tens of power {-typed.decimals}"
    rounded = with_figures(typed.value, int(wanted.value))
    steps = [
        WorkedStep("Written", f"{typed.text}: {told}, {places}"),
        WorkedStep(
            "Counted", "From the first digit that is not zero to the last that is written; zeros at the end count."
        ),
        WorkedStep("Rounded", f"{rounded}, half to even"),
    ]
    return WorkedOut(f"{told}; {rounded} with {int(wanted.value)}", steps)


def _percent(form: Said) -> WorkedOut:
    accepted = parse_reading(form["accepted"])
    if parse_reading(form["found"]).unit and not accepted.unit:
        raise ReadingError("Write the unit behind the accepted value too, so that the two can be held together.")
    typed = read_in(form["found"], accepted.unit) if accepted.unit else parse_reading(form["found"])
    if not accepted.value:
        raise ReadingError(
            "An accepted value of zero has no percent error: the difference itself is all that can be said."
        )
    off = float(typed.value - accepted.value)
    percent = 100 * off / abs(float(accepted.value))
    figures = max(2, min(typed.figures, accepted.figures))
    steps = [
        WorkedStep("Difference", f"{typed.value:f} − {accepted.value:f} = {off:.6g} {accepted.unit}".rstrip()),
        WorkedStep(
            "Held against the accepted value",
            f"{off:.6g} / {abs(accepted.value):f} = {with_figures(percent, figures)} %",
        ),
    ]
    side = "too high" if off > 0 else "too low" if off < 0 else "no difference"
    return WorkedOut(f"{with_figures(percent, 2)} %, {side}", steps)


def _combine(form: Said) -> WorkedOut:
    formula, symbol = form["formula"], "" if form["unit"] == _PLAIN else form["unit"]
    tree = parse_formula(formula)
    wanted = set(names(tree))
    values, sources, units, shown = _inputs(form["inputs"], wanted)
    missing = sorted(wanted - values.keys())
    if missing:
        raise ReadingError(f"Write a line for {missing[0]}: “{missing[0]} = 1.00 ± 0.01 g”.")
    asked = unit(symbol)
    if dimension_of(tree, units) != asked.dimension:
        raise ReadingError(
            f"The formula does not come to {symbol or 'a plain number'} with these units. Look at the units, or choose another for the result."
        )
    with np.errstate(all="ignore"):
        propagated = Propagation(formula, sources).at(values)
    if not (isfinite(propagated.value) and isfinite(propagated.budget.u)):
        raise ReadingError("The formula has no value there: it divides by zero, or takes a root or logarithm of less.")
    budget, scale = propagated.budget, 1 / asked.factor
    value = asked.from_si(propagated.value)
    told = report(value, budget.expanded * scale)
    steps = [
        *(WorkedStep(name, text) for name, text in shown.items()),
        WorkedStep(
            "Combined",
            f"u = {with_figures(budget.u * scale, 2)}, k = {with_figures(budget.k, 3)}, U = {with_figures(budget.expanded * scale, 2)} {symbol} (95 %)",
        ),
        *(
            WorkedStep(
                f"From {line.label}",
                f"{with_figures(line.u * scale, 2)} {symbol}, {100 * line.share:.0f} % of the variance",
            )
            for line in budget.lines
        ),
    ]
    relative = (
        f", ± {with_figures(100 * budget.expanded * scale / abs(value), 2)} %" if value and budget.expanded else ""
    )
    plain = "" if told.power else told.value
    return WorkedOut(
        f"{told.text} {symbol}{relative}", steps, value=plain, limit=told.uncertainty if plain else "", unit=symbol
    )


def _inputs(
    text: str, wanted: Set[str]
) -> tuple[dict[str, float], dict[str, Source], dict[str, Dimension], dict[str, str]]:
    """Each “name = value ± limit unit, kind” in SI, with its standard uncertainty."""
    values: dict[str, float] = {}
    sources: dict[str, Source] = {}
    units: dict[str, Dimension] = {}
    shown: dict[str, str] = {}
    lines = [line for line in text.replace(";", "\n").splitlines() if line.strip()]
    if len(lines) > _MOST_INPUTS:
        raise ReadingError(f"{len(lines)} inputs are too many; {_MOST_INPUTS} at most.")
    for line in lines:
        match = _INPUT.fullmatch(line)
        if match is None or match["name"] not in wanted:
            raise ReadingError(f"“{line.strip()[:40]}” is no input of the formula. Write “m = 0.5012 ± 0.0002 g”.")
        tail, _, kind = match["text"].rpartition(", ") if _KIND.search(match["text"]) else (match["text"], "", "95")
        number, limit = split_limit(tail)
        typed = parse_reading(number)
        scale = unit(typed.unit)
        half = float(parse_reading(limit_in(limit, typed.value, typed.unit)).value) if limit else 0.0
        distribution = _DISTRIBUTIONS.get(kind.strip() or "95")
        if distribution is None or half < 0:
            raise ReadingError(f"“{line.strip()[:40]}”: behind the comma stands 95, rect, tri or u, for what the ± is.")
        name = match["name"]
        values[name], units[name] = scale.to_si(float(typed.value)), scale.dimension
        u = standard(half, distribution) * scale.factor
        sources[name] = Source(name, name, u, distribution)
        shown[name] = (
            f"{tail.strip()}: u = {with_figures(u / scale.factor, 2)} {typed.unit} ({WORDS[distribution]})"
            if half
            else tail.strip()
        )
    return values, sources, units, shown


CONVERT = Calculator(
    "units", "Units", "From one unit to another.", (FieldOf("given", "Given", "760 mmHg"), FieldOf("to", "In", "kPa")), _convert,
)  # fmt: skip
FIGURES = Calculator(
    "figures", "Significant figures", "How many a number has, and the number with fewer.",
    (FieldOf("number", "Number", "0.02050"), FieldOf("to", "Rounded to", "3")), _figures,
)  # fmt: skip
PERCENT = Calculator(
    "percent-error", "Percent error", "With its sign.",
    (FieldOf("found", "Found", "0.0988 mol/L"), FieldOf("accepted", "Accepted", "0.1026 mol/L")), _percent,
)  # fmt: skip
COMBINE = Calculator(
    "uncertainty", "Combine uncertainties", "A formula of inputs with their ±.",
    (
        FieldOf("formula", "Formula", "m / (M * V)"),
        FieldOf("inputs", "Inputs, one on each line", "m = 0.5012 ± 0.0002 g, rect\nM = 204.22 ± 0.01 g/mol\nV = 100.00 ± 0.08 mL, tri",
                "behind the comma what the ± is: 95 (95 %, if nothing stands there), rect, tri, or u", long=True),
        FieldOf("unit", "Result in", "mol/L", "“1” for a plain number"),
    ),
    _combine,
)  # fmt: skip
