"""The worked computation, line by line: formula, numbers with units, result; as mathematics and as plain text."""

from collections.abc import Iterator, Mapping
from html import escape

from chromata_core.chemistry.molar_mass import formula_text
from chromata_core.declaration.option_kinds import ListOption, NumberOption, Option, SubstanceOption
from chromata_core.declaration.options import listed
from chromata_core.declaration.vocabulary import Quantity, Series
from chromata_core.engine.context import Context
from chromata_core.engine.shown import Shown
from chromata_core.engine.stated import stated
from chromata_core.formula.mathml import mathml, plain_text, symbol_mathml
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Binary, Call, Name, Negative, Node, names, without
from chromata_core.quantity.given import written_in
from chromata_core.quantity.report import report
from chromata_core.quantity.rounding import plain, with_figures
from chromata_core.quantity.typed import parse_reading
from chromata_core.quantity.units import unit
from chromata_core.telling.outcome import WorkedLine
from chromata_core.uncertainty.columns import value_of


def explain(at: Context) -> list[WorkedLine]:
    """Every computed quantity as a worked line: first the bench, then each trial, then the summary."""
    lines: list[WorkedLine] = []
    for scope in ("bench", "trial", "summary"):
        wanted = [q for q in at.bound.quantities if q.scope == scope and not q.aside]
        for trial in at.trials() if scope == "trial" else [None]:
            values = at.computed.bench if trial is None else at.computed.trials[trial]
            for quantity in (q for q in wanted if q.key in values and not renames(at, q)):
                rows: list[int | None] = [*range(len(at.figured_rows(quantity, trial)))] if quantity.per else [None]
                lines += [worked_line(at, quantity, trial, row) for row in rows]
    return lines


def factors_of(node: Node) -> Iterator[str]:
    """Names that multiply or divide: a temperature among them is meant from absolute zero."""
    match node:
        case Binary("*" | "/", left, right):
            for side in (left, right):
                yield from (side.key,) if isinstance(side, Name) else factors_of(side)
        case Binary("+" | "-", left, right):
            yield from (key for side in (left, right) if not isinstance(side, Name) for key in factors_of(side))
        case Negative(operand):
            yield from factors_of(operand)
        case Call(_, arguments):
            yield from (key for argument in arguments if not isinstance(argument, Name) for key in factors_of(argument))


def _kelvin(at: Context, key: str, trial: int | None, row: int | None) -> str:
    """``number_text``, a temperature in kelvin."""
    text = number_text(at, key, trial, row)
    written, _, symbol = text.rpartition(" ")
    if symbol != "°C":
        return text
    typed = parse_reading(written)
    return f"{plain(unit(symbol).to_si(float(typed.value)), max(typed.decimals, 2))} K"


def renames(at: Context, quantity: Quantity) -> bool:
    """Whether it only takes something over under the same symbol: m = m is no computation."""
    tree = parse_formula(quantity.formula)
    return isinstance(tree, Name) and at.symbols[tree.key] == quantity.symbol


def worked_line(at: Context, quantity: Quantity, trial: int | None, row: int | None = None) -> WorkedLine:
    """One line: of a quantity, or of one of its rows."""
    tree = without(parse_formula(quantity.formula), at.not_made(trial))
    signs = at.symbols
    answer = _answer(at, quantity, trial) if row is None else at.figured_rows(quantity, trial)[row]
    absolute = set(factors_of(tree))

    def number(key: str) -> str:
        text = _kelvin(at, key, trial, row) if key in absolute else number_text(at, key, trial, row)
        alone = isinstance(tree, Name) or ";" in text
        return f"({text})" if text.startswith("−") and not alone else text

    numbers = mathml(tree, lambda key: f"<mn>{escape(number(key))}</mn>")
    text = plain_text(tree, number)
    unit_text = f" {answer.unit}" if answer.unit else ""
    name = "" if trial is None else at.trial_name(trial).removeprefix("the ")
    name = name if row is None else f"{name} point {row + 1}".strip()
    return WorkedLine(
        quantity.key, quantity.label, trial, trial_name=name, symbol=symbol_mathml(quantity.symbol),
        formula=mathml(tree, lambda key: symbol_mathml(signs[key])), numbers=numbers, answer=answer,
        plain=f"{quantity.symbol} = {plain_text(tree, lambda key: signs[key])} = {text} = {answer.text}{unit_text}",
    )  # fmt: skip


def _answer(at: Context, quantity: Quantity, trial: int | None) -> Shown:
    if quantity.result:
        value, budget, factor = stated(at, quantity, trial)
        reported = report(value, budget.expanded * factor)
        times = f" × {reported.power}" if reported.power else ""
        return Shown(f"{reported.value}{times}", 0 if times else reported.doubtful, quantity.unit)
    return at.figured(quantity, trial)


def number_text(at: Context, key: str, trial: int | None, row: int | None = None) -> str:
    """The number that stands for ``key`` in a worked line, with its unit; of a list that of ``row``, or all of them."""
    for option in at.bound.method.all_options:
        if option.key == key and isinstance(option, NumberOption):
            return at.bound.number_text(option)
        if option.key == key and isinstance(option, ListOption):
            values = [str(value) for value in listed(option, at.bound.options[key])]
            if at.bound.by_trial(option) and trial:
                row = (at.bound.place(trial) or 1) - 1
            return f"{_row(values) if row is None else values[row]} {option.unit}".rstrip()
        if option.key == key and isinstance(option, SubstanceOption):
            return f"{with_figures(value_of(at.computed.bench[key]) * 1000, 6)} g/mol"
    reading = at.reading(key)
    if reading is not None:
        return _reading_text(at, reading.key, trial if reading.scope == "trial" else None, reading.unit, row)
    quantity = at.quantity(key)
    if quantity.per:
        texts = [shown.text for shown in at.figured_rows(quantity, trial if quantity.scope == "trial" else None)]
        return f"{_row(texts) if row is None else texts[row]} {quantity.unit}".rstrip()
    if quantity.scope == "trial" and trial is None:  # inside mean(…): the values that were averaged
        texts = [at.figured(quantity, n).text for n in at.computed.counted]
        return f"{_row(texts)} {quantity.unit}".rstrip()
    shown = _answer(at, quantity, trial if quantity.scope == "trial" else None)
    return f"{shown.text} {shown.unit}".rstrip()


_MOST_SHOWN = 5


def _row(texts: list[str]) -> str:
    """Values one after the other; of many the first two and the last."""
    if len(texts) > _MOST_SHOWN:
        texts = [*texts[:2], "…", f"{texts[-1]} ({len(texts)} values)"]
    return "; ".join(texts)


def _reading_text(at: Context, key: str, trial: int | None, symbol: str, row: int | None) -> str:
    reading, here = at.reading(key), at.bound.units.get(symbol, symbol)
    if isinstance(reading, Series):
        readings_here = at.bound.series(key, trial)
        readings_here = readings_here if row is None else readings_here[row : row + 1]
        return f"{_row([_worked(plain(t.value, t.decimals), symbol, here) for t in readings_here])} {here}".rstrip()
    typed = at.typed(key, trial)
    if typed is None:
        return f"0 {here}".rstrip()
    corrected = at.instrument(key).corrected(float(typed.value))
    text = plain(typed.value, typed.decimals)
    if corrected != float(typed.value):  # one digit more than was read, as its calibration is known better
        text = plain(corrected, typed.decimals + 1)
    return f"{_worked(text, symbol, here)} {here}".rstrip()


def _worked(text: str, symbol: str, here: str) -> str:
    """A reading in the unit in which the class works."""
    return text if symbol == here else written_in(f"{text.replace('−', '-')} {symbol}", here)


def constants(at: Context) -> list[Shown]:
    """What was taken as known: session values and molar masses, each as a line of text with its unit. What another
    sheet found is told by itself.
    """
    constants = []
    used = {name for quantity in at.bound.quantities for name in names(parse_formula(quantity.formula))}
    for option in (o for o in at.bound.method.all_options if o.key in used and o not in at.bound.hand_ins):
        if isinstance(option, SubstanceOption):
            mass = number_text(at, option.key, None)
            constants.append(Shown(f"M({formula_text(at.bound.options[option.key])}) = {mass}", 0, ""))
        elif isinstance(option, NumberOption) and option.symbol:
            text = option_text(option, at.bound.options) if option.limit_label else at.bound.number_text(option)
            constants.append(Shown(f"{at.bound.worded(option.label)}: {text}", 0, ""))
    return constants


def option_text(option: Option, options: Mapping[str, str]) -> str:
    """An option as it is set in words: “0.1026 ± 0.0004 mol/L”, “Malic acid, C₄H₆O₅”, or the choice's label."""
    text = options[option.key]
    if isinstance(option, NumberOption):
        limit = options[f"{option.key}.limit"]
        spread = f" ± {limit}" if parse_reading(limit).value else ""
        return f"{text}{spread} {option.unit}".rstrip()
    if isinstance(option, ListOption):
        return f"{text} {option.unit}".rstrip()
    label = next((choice.label for choice in option.choices if choice.key == text), "")
    formula = formula_text(text) if isinstance(option, SubstanceOption) else ""
    return ", ".join(filter(None, (label, formula)))
