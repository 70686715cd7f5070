"""Everything that may have been done otherwise on the way to a result: from the declaration itself, by kind."""

from collections.abc import Callable, Iterator
from functools import partial
from operator import mul

import numpy as np

from chromata_core.declaration.option_kinds import ListOption, NumberOption, SubstanceOption
from chromata_core.declaration.options import active
from chromata_core.declaration.vocabulary import Quantity, Series
from chromata_core.engine.context import Context, ResultPlace
from chromata_core.engine.numeric_pass import mean_of, with_the_rough
from chromata_core.formula.mathml import plain_text
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Binary, Call, Name, Node, names, without
from chromata_core.quantity.column import Column
from chromata_core.quantity.units import unit
from chromata_core.sentences import first_lower
from chromata_core.tracing.after_the_formula import after_changes
from chromata_core.tracing.behind import feeding
from chromata_core.tracing.change import Change, Way
from chromata_core.tracing.other import Signs
from chromata_core.tracing.shapes_of_slips import otherwise
from chromata_core.tracing.taken_otherwise import copied_everywhere, inputs_taken, swapped_digits

_WORK, _LEAST = 8000, 200  # ways times trials that are worked in one pass; ways at least
_MOST_ALONE = 6  # trials of which each is tried alone
_ZERO_CELSIUS = 273.15
DECLARED = 0.9  # what a method itself expects is a little more usual than what happens every day


def suspects(at: Context, place: ResultPlace) -> list[Way]:
    """One thing done otherwise; a method's own slips before those of the same kind."""
    quantity, _ = place
    behind = feeding(at, quantity)
    changes = [*_declared(at, behind), *_by_formula(at, behind), *_trials(at, place), *inputs_taken(at, behind)]
    changes += [*_copied_lines(at, place, behind), *_another_result(at, place)]
    changes += after_changes(quantity, any(_takes_logarithm(q) for q in _worked_from(at, behind)))
    several = [Way(together, together[0].says) for together in copied_everywhere(at, behind)]
    ways = [*(Way((change,)) for change in _distinct(changes)), *several]
    return sorted(ways, key=lambda way: way.cost)[: at_once(at)]


def at_once(at: Context) -> int:
    """How many ways are tried in one pass: of a sheet with very many trials the rarest go untried."""
    return max(_WORK // max(len(at.computed.trials), 1), _LEAST)


def _copied_lines(at: Context, place: ResultPlace, behind: frozenset[str]) -> Iterator[Change]:
    """A line that was worked rightly and copied wrongly into the next."""
    quantity, trial = place
    for line in _worked_from(at, behind - {quantity.key}):
        if line.per or line.aside or (line.scope == "summary" and trial is not None):
            continue
        for n in (trial,) if trial is not None else at.computed.counted if line.scope == "trial" else (None,):
            if at.value(line.key, None if line.scope == "bench" else n) is None:
                continue
            text = at.figured(line, None if line.scope == "bench" else n).text.replace("−", "-")
            for wrong in swapped_digits(text) if text.replace(".", "").replace("-", "").isdigit() else ():
                si = unit(line.unit).to_si(float(wrong))
                says = f"{_named(line)} is taken as {wrong} instead of {text}: two digits changed places"
                yield Change(
                    "transposed", says, 2.5, line.key, value=_always(si), trial=n if line.scope == "trial" else None
                )


def _another_result(at: Context, place: ResultPlace) -> Iterator[Change]:
    """What was worked out for another line, written here."""
    quantity, trial = place
    for other in at.bound.quantities:
        n = trial if other.scope == "trial" else None
        if other.key == quantity.key or other.unit != quantity.unit or other.per or other.aside:
            continue
        value = at.value(other.key, n) if other.scope != "trial" or trial is not None else None
        if value is not None:
            yield Change(
                "other-line", f"{_named(other)} is given instead", 1.5, quantity.key,
                value=_always(unit(other.unit).to_si(value)),
            )  # fmt: skip


def _always(value: float) -> Callable[[Column], Column]:
    return lambda column: np.full_like(column, value)


def _distinct(changes: list[Change]) -> Iterator[Change]:
    """A formula that two kinds of slip would write is tried once, by the first."""
    known = set()
    for change in changes:
        if change.formula is None or (change.quantity, change.formula) not in known:
            known.add((change.quantity, change.formula))
            yield change


def _worked_from(at: Context, behind: frozenset[str]) -> list[Quantity]:
    return [q for q in at.bound.quantities if q.key in behind]


def _declared(at: Context, behind: frozenset[str]) -> Iterator[Change]:
    for slip in active(at.bound.method.slips, at.bound.options):
        if slip.with_rough:
            trials = with_the_rough(at.bound, at.computed.trials, at.computed.counted)
            yield Change(slip.key, slip.says, DECLARED, trials=trials, declared=True)
        elif slip.quantity in behind:
            formula = parse_formula(slip.formula)
            yield Change(slip.key, slip.says, DECLARED, slip.quantity, formula, declared=True)


def _by_formula(at: Context, behind: frozenset[str]) -> Iterator[Change]:
    nowhere = set.intersection(*(at.not_made(trial) for trial in at.computed.trials or [None]))
    for quantity in _worked_from(at, behind):
        tree = without(parse_formula(quantity.formula), nowhere)
        for other in otherwise(tree, _signs(at, quantity)):
            label = f"{other.kind}:{quantity.key}"
            yield Change(label, f"{other.says} ({_named(quantity)})", other.cost, quantity.key, other.tree)
        yield from _values(quantity, tree)


def _values(quantity: Quantity, tree: Node) -> Iterator[Change]:
    """Its number taken otherwise, wherever it is used."""
    scale, name = unit(quantity.unit).factor, _named(quantity)
    if mean_of(quantity) or quantity.per or unit(quantity.unit).offset:
        return
    if isinstance(tree, Binary) and tree.operator == "-" and unit(quantity.unit).dimension == unit("K").dimension:
        says = f"273 is added to {name}, which is a difference"
        yield Change(f"kelvin:{quantity.key}", says, 1.0, quantity.key, value=_with_273)
    if isinstance(tree, Binary) and tree.operator in "*/":
        says = f"{name} is turned over"
        yield Change(f"turned:{quantity.key}", says, 1.5, quantity.key, value=lambda x: scale * scale / x)
    for factor, side in ((1e3, "too large"), (1e-3, "too small")):
        says = f"{name} is a thousand times {side}: look at its units"
        yield Change(f"thousand:{quantity.key}", says, 1.5, quantity.key, value=partial(mul, factor))


def _with_273(difference: Column) -> Column:
    """Who works with a fall of temperature writes it without its sign."""
    column: Column = difference + np.copysign(_ZERO_CELSIUS, difference)
    return column


def _trials(at: Context, place: ResultPlace) -> Iterator[Change]:
    counted = at.computed.counted
    for number in counted[:_MOST_ALONE] if place[1] is None and len(counted) > 1 else ():
        says = f"{at.trial_name(number)} alone is used instead of the mean"
        yield Change("one-trial", says, 1.0, trials=(number,))


def _takes_logarithm(quantity: Quantity) -> bool:
    def within(node: Node) -> bool:
        match node:
            case Call(function, arguments):
                return function in ("ln", "log10") or any(within(argument) for argument in arguments)
            case Binary(_, left, right):
                return within(left) or within(right)
            case _:
                return False

    return within(parse_formula(quantity.formula))


def _signs(at: Context, quantity: Quantity) -> Signs:
    """How everything that may stand in the formula of ``quantity`` is called, and what is of a kind with it."""
    labels, units = dict[str, str](), dict[str, str]()
    here = ("bench",) if quantity.scope == "bench" else ("bench", quantity.scope)
    for option in at.bound.method.all_options:
        if isinstance(option, SubstanceOption):
            labels[option.key], units[option.key] = f"the molar mass of “{first_lower(option.label)}”", "g/mol"
        elif isinstance(option, ListOption) or (isinstance(option, NumberOption) and option.symbol):
            labels[option.key], units[option.key] = f"“{first_lower(at.bound.worded(option.label))}”", option.unit
    known = {
        option.key for option in at.bound.method.all_options
        if (isinstance(option, NumberOption) and option.key in units)
        or (isinstance(option, ListOption) and at.bound.by_trial(option) and quantity.scope == "trial")
    }  # fmt: skip
    for reading in at.bound.readings:
        labels[reading.key], units[reading.key] = f"“{first_lower(reading.label)}”", reading.unit
        read = not isinstance(reading, Series) and any(place.key == reading.key for place in at.bound.typed)
        known |= {reading.key} if read and reading.scope in here else set()
    for other in at.bound.quantities:
        labels[other.key], units[other.key] = _named(other), other.unit
    for other in at.bound.quantities:
        if other.key == quantity.key:
            break
        known |= {other.key} if other.scope in here and not other.per and not other.aside else set()

    def call(node: Node) -> str:
        return labels[node.key] if isinstance(node, Name) else plain_text(node, lambda key: at.symbols[key])

    inside = names(parse_formula(quantity.formula))
    alike = {
        name: tuple(other for other in sorted(known) if other != name and _alike(units[name], units[other]))
        for name in inside
        if name in known
    }
    sizes = {key: unit(symbol).factor for key, symbol in units.items()}
    scaled = frozenset(key for key, symbol in units.items() if unit(symbol).offset)
    return Signs(call, sizes, scaled, frozenset(name for name in inside if _is_one(at, name)), alike)


def _is_one(at: Context, name: str) -> bool:
    options = [o for o in at.bound.method.all_options if o.key == name and isinstance(o, NumberOption)]
    values = [float(at.number(option.key)) for option in options]
    lines = any(quantity.key == name and quantity.is_line for quantity in at.bound.quantities)
    values += [v for trial in (None, *at.computed.trials) if lines and (v := at.value(name, trial)) is not None]
    return bool(values) and all(value == 1 for value in values)


def _alike(first: str, other: str) -> bool:
    return unit(first).dimension == unit(other).dimension and bool(unit(first).dimension)


def _named(quantity: Quantity) -> str:
    return f"“{first_lower(quantity.label)}”"
