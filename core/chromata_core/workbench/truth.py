"""The truth behind a worked bench: what is there to be read, once others chose how much they take."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace
from functools import cached_property
from math import log10

import numpy as np

from chromata_core.curves.line import line
from chromata_core.declaration.places import Place
from chromata_core.declaration.vocabulary import Method, Reading, Series
from chromata_core.engine.differences import differences
from chromata_core.engine.numeric_pass import compute
from chromata_core.quantity.units import unit
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Sheet
from chromata_core.simulation.responses import Values, responses_to, retyped, true_values
from chromata_core.simulation.true_bench import beside_the_trials, true_bench, wanted_of
from chromata_core.uncertainty.columns import value_of
from chromata_core.workbench.titration import Titration

_BEAKER = 100.0  # mL: what an electrode stands in, common practice


@dataclass
class Truth:
    """True readings of a bench. ``made`` are those that hands have made otherwise than planned, such as a portion; the
    responses of that trial then follow (simulation/true_bench.py).
    """

    method: Method
    bound: Bound
    values: Values
    wanted: Mapping[int, tuple[str, float]]
    result: str  # that is worked from what the trials tell and from readings of the bench; empty for none
    made: Values = field(default_factory=dict)
    heated: dict[int | None, tuple[float, float]] = field(default_factory=dict)
    in_solution: dict[int | None, float] = field(default_factory=dict)  # the share that is dissolved, all if not said
    _answers: dict[tuple[object, ...], Values] = field(default_factory=dict)

    @classmethod
    def of(cls, method: Method, plan: Sheet, accepted: Mapping[str, str], seed: int, day: int) -> "Truth":
        """The truth of one bench, the same for the same seed."""
        sheet = true_bench(method, replace(plan, given=()), accepted, seed, day)
        bound = bind(method, sheet)
        return cls(
            method, bound, true_values(bound), wanted_of(method, sheet, accepted), beside_the_trials(bound, accepted)
        )

    def reading(self, key: str) -> Reading | None:
        """The reading called ``key`` under these choices."""
        return next((reading for reading in self.bound.readings if reading.key == key), None)

    def make(self, place: Place, value: float) -> None:
        """Hands have made it so."""
        self.made[place] = value

    def weigh_out(self, trial: int | None, left: float, thrown: float) -> None:
        """After a heating a share ``left`` of the water is still there, and a share of the salt was ``thrown`` out."""
        self.heated[trial] = (left, thrown)

    def planned(self, place: Place) -> float:
        """What was meant: of trials and rows beyond the plan, what the last one was."""
        return self.values.get(self._near(place), 0.0)

    def at(self, place: Place) -> float:
        """What is true at ``place``, in the reading's unit."""
        reading = self.reading(place.key)
        if place in self.made or reading is None or not reading.response:
            return self.made.get(place, self.planned(place))
        beside = reading.beside if isinstance(reading, Series) else ""
        if place.trial in self.heated and not beside:
            return self._heated(place)
        if beside and (at := place._replace(key=beside)) in self.made:
            return self._on_the_curve(place, beside, self.made[at])
        return self._answer(place)

    def _on_the_curve(self, place: Place, beside: str, x: float) -> float:
        """What the response is at ``x`` of the series that it stands beside, between its true points. Both curves begin
        where their delivery does.
        """
        trial = self._near(place).trial
        moved = self._answers_of(place.trial, trial)
        if self.reading(place.key) is not None and self._at_electrode(place.key):
            begun = self.made.get(Place(beside, place.trial, 1), self.values[Place(beside, trial, 1)])
            return self._signal(place.key, beside, trial, moved, x - begun)
        points = sorted(
            (moved.get(along, self.values[along]), moved.get(at, y))
            for at, y in self.values.items()
            if (at.key, at.trial) == (place.key, trial) and (along := Place(beside, trial, at.row)) in self.values
        )
        if not points:
            return 0.0
        xs, ys = zip(*points, strict=True)
        reading = self.reading(place.key)
        if reading is not None and self._kind(reading) == "spectrophotometer" and len(points) > 2:
            return self._by_beer(reading.unit, xs, ys, x)
        begun = self.made.get(Place(beside, place.trial, 1), xs[0]) if self._starts(beside) else xs[0]
        return float(np.interp(x - begun + xs[0], xs, ys))

    @staticmethod
    def _by_beer(symbol: str, xs: Sequence[float], ys: Sequence[float], x: float) -> float:
        """Absorbance grows straight with what is dissolved, whatever the worked example scattered about that."""
        percent = symbol == "%T"
        absorbed = [2 - log10(y) for y in ys] if percent else ys
        fitted = line(xs, absorbed).at(x)
        return 100 * 10**-fitted if percent else fitted

    def _at_electrode(self, key: str) -> bool:
        titrated, reading = self.method.titrated, self.reading(key)
        return (
            bool(titrated and titrated.end) and reading is not None and self._kind(reading) in ("voltmeter", "pH meter")
        )

    def _kind(self, reading: Reading) -> str:
        return self.bound.instruments[reading.role].kind

    def _signal(self, key: str, beside: str, trial: int | None, moved: Values, run_in: float) -> float:
        """What an electrode shows after ``run_in`` mL: its jump lies where the true curve has it."""
        rows = sorted(at.row or 0 for at in self.values if (at.key, at.trial) == (beside, trial))
        first, last = (Place(beside, trial, row) for row in (rows[0], rows[-1]))
        began = self.values[first]
        span = self.values[last] - began
        stretched = (moved.get(last, self.values[last]) - began) / span if span else 1.0
        reading, titrated = self.reading(key), self.method.titrated
        assert reading is not None and titrated is not None
        column = compute(self.bound).column(titrated.end, trial)
        end = 0.0 if column is None else unit(self._unit(beside)).from_si(value_of(column))
        return self.titration.signal(run_in, end * stretched, _BEAKER, reading.unit)

    def _unit(self, key: str) -> str:
        reading = self.reading(key)
        assert reading is not None
        return reading.unit

    @cached_property
    def titration(self) -> Titration:
        """What is in the flask."""
        return Titration.of(self.bound)

    def _heated(self, place: Place) -> float:
        """The dry mass with the water that is still there, less what was thrown out: what stood there before any
        heating is the larger of the two weighings that give the portion.
        """
        left, thrown = self.heated[place.trial]
        rows = [at for at in self.values if at.key == place.key]
        dry = self._answer(place._replace(row=max(at.row or 1 for at in rows)))
        full, empty = next(
            ((place._replace(key=more, row=None), place._replace(key=less, row=None))
             for more, less in differences(self.bound).items()), (place, place),
        )  # fmt: skip
        whole, vessel = self.at(full), self.at(empty)
        return dry + left * (whole - dry) - thrown * (dry - vessel) if full != place else dry

    def _starts(self, key: str) -> bool:
        reading = self.reading(key)
        return isinstance(reading, Series) and reading.starts

    def _answer(self, place: Place) -> float:
        near = self._near(place)
        return self._answers_of(place.trial, near.trial).get(near, self.values.get(near, 0.0))

    def _answers_of(self, trial: int | None, planned: int | None) -> Values:
        """What answers to what hands have made in ``trial``, told in the places of the ``planned`` one."""
        if planned is None or planned not in self.wanted:
            return {}
        drawn = {reading.beside for reading in self.bound.readings if isinstance(reading, Series) and reading.response}
        others = {
            _in_trial(at, planned): x
            for at, x in self.made.items()
            if at.trial in (None, trial) and at.key not in drawn
        }
        known = (planned, *sorted(others.items(), key=str))
        if known not in self._answers:
            key, true = self.wanted[planned]
            values = {**self.values, **{at: x for at, x in others.items() if at in self.values}}
            wanted = {planned: (key, true * self._more(values))}
            self._answers[known] = responses_to(self.bound, values, wanted).get(planned, {})
        return self._answers[known]

    def _more(self, values: Values) -> float:
        """How many times more each trial tells where the bench took more than planned, such as of its sample."""
        if not self.result or not any(at.trial is None and x != self.values[at] for at, x in values.items()):
            return 1.0
        bench = {**self.values, **{at: x for at, x in values.items() if at.trial is None}}
        columns = [compute(retyped(self.bound, values)).column(self.result, None) for values in (self.values, bench)]
        planned, taken = (0.0 if column is None else value_of(column) for column in columns)
        return planned / taken if planned and taken else 1.0

    def _near(self, place: Place) -> Place:
        """The place of the plan that stands for this one."""
        if place in self.values:
            return place
        there = [at for at in self.values if at.key == place.key]
        trials = sorted({at.trial or 0 for at in there})
        trial = place.trial if place.trial in trials else (trials[-1] if trials and place.trial else None)
        rows = sorted(at.row or 0 for at in there if (at.trial or 0) == (trial or 0))
        row = place.row if place.row in rows else (rows[-1] if rows and place.row else None)
        return Place(place.key, trial, row)


def _in_trial(place: Place, trial: int) -> Place:
    """``place`` in another trial; what is of the bench stays there."""
    return place if place.trial is None else place._replace(trial=trial)
