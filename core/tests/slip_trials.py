"""Slips put into random realistic data on purpose, and random wrong numbers: how often is the answer traced rightly?

Used by the tests with a small sample and by ``bench/diagnosis.py`` with a large one.
"""

import random
from collections.abc import Iterator
from dataclasses import dataclass, field, replace
from math import isfinite, nan

from chromata_core.declaration.vocabulary import Method, Quantity, Slip
from chromata_core.engine.context import Context, ResultPlace, context_of
from chromata_core.engine.numeric_pass import Computed
from chromata_core.errors import ChromataError
from chromata_core.quantity.rounding import with_figures
from chromata_core.quantity.typed import Typed, parse_reading
from chromata_core.quantity.units import unit
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.effects import with_slip
from chromata_core.telling.results import result_places
from chromata_core.tracing.diagnose import diagnose
from chromata_core.uncertainty.columns import value_of

_SET = ("clock", "wavelength scale")
FIGURES = (3, 4, 4, 4, 4, 5)  # how students write a result, by weight; common practice, no published source


@dataclass
class Tally:
    """What became of the trials. ``missed`` names slips that were not traced, with an example of each."""

    injected: int = 0
    named: int = 0
    random: int = 0
    explained: int = 0
    missed: dict[str, str] = field(default_factory=dict)

    @property
    def share_named(self) -> float:
        return self.named / self.injected if self.injected else 0.0

    @property
    def share_explained(self) -> float:
        return self.explained / self.random if self.random else 0.0


def measure(method: Method, rounds: int, seed: int) -> Tally:
    """``rounds`` times every declared slip, each on data of its own, and as many random wrong numbers."""
    chance, tally = random.Random(seed), Tally()
    for _ in range(rounds):
        for slip in method.slips:
            at = _context(method, chance)
            _inject(at, slip, chance, tally)
            _random_number(at, chance, tally)
    return tally


def _context(method: Method, chance: random.Random) -> Context:
    """The worked example with every amount changed together, and each reading by a little of its own."""
    while True:
        try:
            at = context_of(method, _shaken(method, chance))
        except ChromataError:
            continue
        if _results(at):
            return at


def _shaken(method: Method, chance: random.Random) -> Sheet:
    sheet = example_sheet(method)
    bound = bind(method, sheet)
    # one mark holds one volume, and a clock and a wavelength are set
    fixed = [tool for tool in bound.instruments.values() if tool.low == tool.high or tool.kind in _SET]
    readings = {r.key: r for r in bound.readings if bound.instruments[r.role] not in fixed}
    amount = chance.uniform(0.75, 1.25)
    given = []
    for item in sheet.given:
        reading = readings.get(item.key)
        if reading is None or reading.scope == "bench":
            given.append(item)
            continue
        typed = parse_reading(item.text)
        value = float(typed.value) * amount + chance.gauss(0, 2) * 10**-typed.decimals
        given.append(replace(item, text=f"{max(value, 0):.{typed.decimals}f}"))
    return Sheet(sheet.options, sheet.instruments, tuple(given))


def _inject(at: Context, slip: Slip, chance: random.Random, tally: Tally) -> None:
    wrong = with_slip(at.bound, slip, at.computed)
    for quantity, trial in _results(at):
        value, true = _value(wrong, quantity, trial), _value(at.computed, quantity, trial)
        answer = _written(value, chance)
        if answer is None or abs(value / true - 1) < 0.002 or abs(float(answer.value) / true - 1) < 0.002:
            continue  # the slip does not show in this result, or drowns in the rounding
        tally.injected += 1
        diagnosis = diagnose(at, quantity, answer, trial=trial)
        if slip.key in diagnosis.slips:
            tally.named += 1
        else:
            tally.missed.setdefault(slip.key, f"{quantity.key} = {answer.text} (true {true:.6g}): {diagnosis.sentence}")


def _random_number(at: Context, chance: random.Random, tally: Tally) -> None:
    quantity, trial = chance.choice(_results(at))
    true = _value(at.computed, quantity, trial)
    answer = _written(true * 10 ** chance.uniform(-1.5, 1.5), chance)
    if answer is None or abs(float(answer.value) / true - 1) < 0.01:
        return
    tally.random += 1
    tally.explained += diagnose(at, quantity, answer, trial=trial).kind != "unexplained"


def _results(at: Context) -> list[ResultPlace]:
    """Each result once; those of trials in the first trial that has one."""
    return list({quantity.key: (quantity, trial) for quantity, trial in reversed(result_places(at))}.values())


def _value(computed: Computed, quantity: Quantity, trial: int | None) -> float:
    column = computed.column(quantity.key, trial)
    return nan if column is None else unit(quantity.unit).from_si(value_of(column))


def _written(value: float, chance: random.Random) -> Typed | None:
    """As a student writes it: five figures carried on the way in a third of the cases, three to five in the end."""
    if not isfinite(value) or not value:
        return None
    if chance.random() < 1 / 3:
        value *= 1 + chance.uniform(-3e-5, 3e-5)
    return parse_reading(with_figures(value, chance.choice(FIGURES)))


def everything(rounds: int, seed: int, methods: dict[str, Method]) -> Iterator[tuple[str, Tally]]:
    """Each method with its tally."""
    for slug, method in methods.items():
        yield slug, measure(method, rounds, seed)
