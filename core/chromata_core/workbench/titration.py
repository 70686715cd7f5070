"""What is in a flask or beaker under a burette, by its chemistry: its indicator’s colour, a potential or a pH."""

from dataclasses import dataclass
from functools import cached_property
from typing import Literal

from chromata_core.chemistry.acid_and_base import BASES, PROTOLYTES, Protolyte, ph_of
from chromata_core.chemistry.indicators import INDICATORS, Chart, Colour, Indicator
from chromata_core.chemistry.redox_curve import iron_potential
from chromata_core.declaration.nature import Titrated
from chromata_core.declaration.option_kinds import NumberOption
from chromata_core.engine.numeric_pass import compute
from chromata_core.planning.solutions import formulas_of
from chromata_core.quantity.units import unit
from chromata_core.sheet.bound import Bound
from chromata_core.uncertainty.columns import value_of

_FLASK = 50.0  # mL of sample and water in a usual flask
_DICHROMATE, _ELECTRONS = "K2Cr2O7", 6
_USUAL = Titrated("HCl", "NaOH", "")
_TENTH = 0.1  # mol/L: of a titrant that nothing is said of
_TRACE = 1e-7  # mol/L
_CHART_END: Colour = "green"


@dataclass(frozen=True, slots=True)
class Seen:
    """What an eye sees in a flask: before the end, at it, or past it."""

    colour: Colour
    where: Literal["before", "end", "past"]
    sentence: str


@dataclass(frozen=True)
class Titration:
    """``substance`` by ``titrant``; ``c`` mol/L of it, ``per`` equivalents in a formula of the substance."""

    substance: str
    titrant: str
    c: float
    per: float
    indicator: Indicator | Chart

    @classmethod
    def of(cls, bound: Bound) -> "Titration":
        """As the method declares it. What no table knows behaves as a strong acid or base."""
        titrated = bound.method.titrated or _USUAL
        titrant = next(iter(formulas_of(bound, titrated.titrant)), "")
        substance = next(iter(formulas_of(bound, titrated.substance)), "")
        if titrant not in PROTOLYTES and titrant != _DICHROMATE:
            titrant = "NaOH"
        if titrant != _DICHROMATE and (substance not in PROTOLYTES or (substance in BASES) == (titrant in BASES)):
            substance = "HCl" if titrant in BASES else "NaOH"
        chosen = bound.options.get(titrated.indicator, "phenolphthalein")
        per = max(float(bound.number(titrated.per)), 0.1) if titrated.per else 1.0
        indicator = INDICATORS.get(chosen, INDICATORS["phenolphthalein"])
        return cls(substance, titrant, _concentration(bound, titrated.concentration), per, indicator)

    @property
    def base_added(self) -> bool:
        """Whether the flask goes from acid to base."""
        return self.titrant in BASES

    @cached_property
    def _each(self) -> float:
        """Equivalents in a formula of the titrant."""
        if self.titrant == _DICHROMATE:
            return _ELECTRONS
        protolyte = PROTOLYTES[self.titrant]
        return float(protolyte.given if self.base_added else len(protolyte.pkas))

    def _both(self, run_in: float, end: float, volume: float) -> tuple[float, float]:
        """Substance and titrant, mol/L, where ``end`` mL would just do."""
        whole = (volume + run_in) / self.c
        return max(end * self._each / self.per / whole, _TRACE), max(run_in, 0.0) / whole

    def ph(self, run_in: float, end: float, volume: float = _FLASK) -> float:
        """After ``run_in`` mL into ``volume`` mL that take ``end`` mL to the end."""
        held, added = self._both(run_in, end, volume)
        parts: list[tuple[Protolyte, float]] = [(PROTOLYTES[self.substance], held), (PROTOLYTES[self.titrant], added)]
        return ph_of(*parts)

    def colour(self, run_in: float, end: float) -> Colour:
        """Of the flask with its indicator."""
        return self.indicator.colour(self.ph(run_in, end))

    def seen(self, run_in: float, end: float) -> Seen:
        """The flask after ``run_in`` mL, of which ``end`` would just do."""
        colour = self.colour(run_in, end)
        stop, beyond = self._colours
        if colour == stop:
            sentence = "The colour has just gone" if stop == "none" else f"{colour.capitalize()}, and it stays"
            return Seen(colour, "end", f"{sentence}: this is the end.")
        if colour in beyond:
            return Seen(colour, "past", f"{colour.capitalize()}, and strongly: this is past it.")
        return Seen(colour, "before", "It has no colour yet." if colour == "none" else f"It is {colour}.")

    @cached_property
    def _colours(self) -> tuple[Colour, tuple[Colour, ...]]:
        """The colour at which one stops, and those that lie beyond."""
        indicator = self.indicator
        if isinstance(indicator, Chart):
            order = [colour for _, colour in indicator.steps]
            place = order.index(_CHART_END)
            return _CHART_END, tuple(order[place + 1 :] if self.base_added else order[:place])
        beyond = indicator.base if self.base_added else indicator.acid
        return ("none", ()) if beyond == "none" else (indicator.between, (beyond,))

    def signal(self, run_in: float, end: float, volume: float, symbol: str) -> float:
        """What an electrode shows: a potential in ``symbol``, or the pH where that is empty."""
        if self.titrant != _DICHROMATE:
            return self.ph(run_in, end, volume)
        return unit(symbol).from_si(iron_potential(*self._both(run_in, end, volume)))


def _concentration(bound: Bound, key: str) -> float:
    number = next((o for o in bound.method.all_options if o.key == key and isinstance(o, NumberOption)), None)
    column = compute(bound).column(key, None) if key and number is None else None
    si = unit(number.unit).to_si(float(bound.number(key))) if number else None if column is None else value_of(column)
    concentration = _TENTH if si is None else unit("mol/L").from_si(si)
    return concentration if concentration > _TRACE else _TENTH
