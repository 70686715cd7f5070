"""Ways to make a solution from what is there: a solid weighed, a solution diluted in one step or two, a concentrated
one poured into water. Each says what is measured, in order, and by which formula the concentration follows.
"""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, replace
from math import ceil

from chromata_core.chemistry.molar_mass import molar_mass
from chromata_core.formula.propagate import Propagated, Propagation
from chromata_core.instruments.instrument import Instrument, Kind
from chromata_core.planning.measured import Measured, balance_for, pipetted, scaled
from chromata_core.planning.shelf import Bottle, Shelf
from chromata_core.quantity.units import unit
from chromata_core.uncertainty.source import Source, standard

# Glassware is at 20 °C within ±3 °C (95 %), water expands by 2.1e-4 per °C: EURACHEM/CITAC CG4, A1 and A2.
_ROOM = standard(0.00063, "normal95")
_ROUGHLY, _EXACTLY = 0.02, 0.001  # relative standard uncertainty that is good enough where nothing else is asked
_STRONGER = (10.0, 100.0, 1000.0)
_FIRST_STEP = (10.0, 100.0)
_MOST_MADE = 3.0  # times what is wanted: more is poured away
_CONCENTRATED = 0.02
_BY_SCALE: tuple[Kind, ...] = ("graduated pipette", "burette", "cylinder")
_SAME = 0.02  # a solution this near to what is wanted is used as it stands


@dataclass(frozen=True, slots=True)
class Wanted:
    """So much of a solution: ``volume`` m³ at ``concentration`` mol/m³ of ``formula``. ``exact`` ones are made in
    flasks; ``part`` is the relative standard uncertainty that is good enough.
    """

    formula: str
    concentration: float
    volume: float
    exact: bool
    limit: float = 0.0

    @property
    def part(self) -> float:
        """The relative standard uncertainty that is good enough."""
        return self.limit or (_EXACTLY if self.exact else _ROUGHLY)


@dataclass(frozen=True, slots=True)
class Stage:
    """One vessel filled: ``taken`` is weighed or measured into ``made``, ``batches`` times. ``strong`` is what the
    stage gives, in mol/m³ as planned.
    """

    taken: Measured
    made: Measured
    batches: int
    strong: float


@dataclass(frozen=True, slots=True)
class Way:
    """From ``bottle`` through ``stages`` to the solution; no stages: used as it stands."""

    bottle: Bottle
    stages: tuple[Stage, ...]
    wanted: Wanted

    @property
    def last(self) -> Stage:
        """The stage that fills what is used."""
        return self.stages[-1]

    @property
    def needs(self) -> float:
        """How much leaves the bottle: kg or m³."""
        first = self.stages[0] if self.stages else None
        return first.taken.value * first.batches if first else self.wanted.volume

    def result(self, really: Mapping[str, float] | None = None) -> Propagated:
        """The concentration in mol/m³ with its budget, as planned or with what was ``really`` measured (SI)."""
        formula, values, sources = _formula(self)
        return Propagation(formula, sources).at({**values, **(really or {})})


def ways(wanted: Wanted, bottle: Bottle, shelf: Shelf) -> list[Way]:
    """Every way from ``bottle`` to what is wanted, with the pieces that are there; none if it cannot be done."""
    if not bottle.liquid:
        return _weighed(wanted, bottle, shelf)
    ratio = wanted.concentration / bottle.holds
    if abs(ratio - 1) <= _SAME and not bottle.percent:
        return [Way(bottle, (), wanted)]
    if ratio > 1:
        return []
    if bottle.percent:  # by cylinder under the hood: its strength is not known better
        rough = replace(wanted, limit=max(wanted.part, _CONCENTRATED))
        return [Way(bottle, (stage,), wanted) for stage in _diluted(rough, bottle.holds, shelf, 1, ("cylinder",))]
    possible = [Way(bottle, (stage,), wanted) for stage in _diluted(wanted, bottle.holds, shelf, 1)]
    return possible or [
        Way(bottle, (first, second), wanted)
        for times in _FIRST_STEP
        for second in _diluted(wanted, bottle.holds / times, shelf, 2)
        for first in _diluted(_before(wanted, second, bottle.holds / times), bottle.holds, shelf, 1)[:1]
    ]


def _before(wanted: Wanted, second: Stage, strength: float) -> Wanted:
    """What the second of two steps takes, at ``strength``."""
    return Wanted(wanted.formula, strength, second.taken.value * second.batches, wanted.exact, wanted.limit)


def _weighed(wanted: Wanted, bottle: Bottle, shelf: Shelf) -> list[Way]:
    possible: list[Way] = []
    for measured, batches in _vessels(wanted, shelf, 1):
        stage = _weighing(wanted.concentration, wanted, bottle, shelf, measured, batches)
        wasted = batches * measured.value > _MOST_MADE * wanted.volume
        if stage and not wasted and stage.taken.u(stage.taken.value) <= wanted.part * stage.taken.value:
            possible.append(Way(bottle, (stage,), wanted))
    return possible or _weighed_stronger(wanted, bottle, shelf)


def _weighed_stronger(wanted: Wanted, bottle: Bottle, shelf: Shelf) -> list[Way]:
    """Too little to be weighed well: a stronger solution is made, and diluted. As it is, if that cannot be done."""
    for times in _STRONGER:
        strong = wanted.concentration * times
        for second in _diluted(wanted, strong, shelf, 2):
            for measured, batches in _vessels(_before(wanted, second, strong), shelf, 1):
                stage = _weighing(strong, wanted, bottle, shelf, measured, batches)
                if stage and stage.taken.u(stage.taken.value) <= wanted.part * stage.taken.value:
                    return [Way(bottle, (stage, second), wanted)]
    plain = (_weighing(wanted.concentration, wanted, bottle, shelf, *vessel) for vessel in _vessels(wanted, shelf, 1))
    return [Way(bottle, (stage,), wanted) for stage in plain if stage]


def _weighing(
    strength: float, wanted: Wanted, bottle: Bottle, shelf: Shelf, measured: Measured, batches: int
) -> Stage | None:
    mass = strength * measured.value * molar_mass(bottle.formula).value / bottle.holds
    balance = balance_for(shelf.balances, mass, wanted.part / 3)
    if balance is None:
        return None
    return Stage(Measured("m_1", "Mass", mass, (balance,)), measured, batches, strength)


def _vessels(wanted: Wanted, shelf: Shelf, step: int) -> Iterator[tuple[Measured, int]]:
    """What it can be made in, the fewest times first: flasks, or cylinders where it need not be exact."""
    here = shelf.of("flask") if wanted.exact else shelf.of("cylinder")
    for vessel in sorted(here, key=lambda instrument: (_times(instrument, wanted.volume), float(instrument.high))):
        yield _made(vessel, wanted, step), _times(vessel, wanted.volume)


def _times(vessel: Instrument, volume: float) -> int:
    return max(1, ceil(volume / unit(vessel.unit).to_si(float(vessel.high)) - 1e-9))


def _made(vessel: Instrument, wanted: Wanted, step: int) -> Measured:
    """A flask to its mark; a cylinder to what is wanted, rounded up to its marks."""
    full = unit(vessel.unit).to_si(float(vessel.high))
    if vessel.kind != "flask":
        each = unit(vessel.unit).to_si(float(vessel.graduation))
        full = min(full, ceil(wanted.volume / _times(vessel, wanted.volume) / each - 1e-9) * each)
    return Measured(f"V_{step}", "Made up to", full, (vessel,))


def _diluted(wanted: Wanted, strength: float, shelf: Shelf, step: int, by: tuple[Kind, ...] = _BY_SCALE) -> list[Stage]:
    """Ways to take of a solution of ``strength`` (mol/m³), the surest of the least work first."""
    ratio, stages = wanted.concentration / strength, []
    if ratio >= 1:
        return []
    for measured, batches in _vessels(wanted, shelf, step):
        taken = _taken(ratio * measured.value, wanted.exact and by == _BY_SCALE, shelf, step, by)
        if taken is not None and taken.u(taken.value) <= 2 * wanted.part * taken.value:
            stages.append(Stage(taken, measured, batches, strength * taken.value / measured.value))
    return sorted(stages, key=lambda stage: (_off(stage, wanted), stage.batches * len(stage.taken.pieces)))


def _off(stage: Stage, wanted: Wanted) -> bool:
    """Whether what it gives is further from what is wanted than its uncertainty."""
    return abs(stage.strong / wanted.concentration - 1) > 2 * wanted.part


def _taken(volume: float, by_marks: bool, shelf: Shelf, step: int, by: tuple[Kind, ...]) -> Measured | None:
    key, label = f"A_{step}", "Taken"
    if by_marks and (pieces := pipetted(shelf.of("pipette"), volume)):
        return Measured(key, label, sum(unit("mL").to_si(float(piece.high)) for piece in pieces), pieces)
    for kind in by if by_marks else ("cylinder",):
        if set_to := scaled(shelf.of(kind), volume):
            piece, value = set_to
            return Measured(key, label, value, (piece,))
    return None


def _formula(way: Way) -> tuple[str, dict[str, float], dict[str, Source]]:
    """The formula of the concentration, its values in SI, and what each is uncertain by."""
    bottle, at = way.bottle, ""
    values, sources = {"c_0": bottle.holds}, {"c_0": Source("c_0", _bottle_label(bottle), bottle.u, "normal")}
    if not bottle.liquid:
        mass = molar_mass(bottle.formula)
        values["M"] = mass.value
        u = sum((source.u * size) ** 2 for source, size in mass.sources) ** 0.5
        sources["M"] = Source("M", "Molar mass", u, "rectangular")
        values["g"], sources["g"] = 1.0, Source("g", "Temperature of the flask", _ROOM, "normal95")
        at = "m_1 * c_0 / (M * V_1 * g)"
    elif way.stages:
        at = "c_0 * A_1 / V_1"
    else:
        at = "c_0 * 1"
    for number, stage in enumerate(way.stages, 1):
        at += f" * A_{number} / V_{number}" if number > 1 else ""
        for measured in (stage.taken, stage.made):
            values[measured.key] = measured.value
            label = f"{measured.label}: {measured.by}"
            sources[measured.key] = Source(measured.key, label, measured.u(measured.value), "normal")
    return at, values, sources


def _bottle_label(bottle: Bottle) -> str:
    return "Strength of the bottle" if bottle.liquid else "Purity"
