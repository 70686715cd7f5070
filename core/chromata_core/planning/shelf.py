"""What is there to prepare with: bottles of substances and solutions, glassware, balances.

What nobody counted is taken as there; what was counted as none is not. Where no bottle holds a substance, the usual
form in which it is bought stands in for it, and has to be ordered.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace
from datetime import date
from functools import cached_property

from chromata_core.chemistry.molar_mass import molar_mass
from chromata_core.chemistry.reagents import checked_formula, reagent, same_substance
from chromata_core.errors import ChromataError, ReadingError
from chromata_core.instruments.instrument import Instrument, Kind
from chromata_core.instruments.prep_room import PIECES
from chromata_core.quantity.given import limit_in, read_in
from chromata_core.quantity.typed import parse_reading
from chromata_core.quantity.units import unit
from chromata_core.uncertainty.source import standard

_MOLAR = 1e3  # mol/m³ in one mol/L


@dataclass(frozen=True, slots=True)
class Bottle:
    """A bottle in SI: ``amount`` in m³ of a solution (``liquid``) or kg of a solid; ``holds`` mol/m³, or the part of a
    solid's mass that is the substance; ``u`` its standard uncertainty. ``until`` is the last day on which it is used.

    ``number`` is 0 for what is usually bought and stands on no shelf here. ``percent`` and ``density`` (g/mL) are what
    the label of a concentrated one says. ``promised`` is what others take of it before; ``amount`` is without that.
    """

    number: int
    name: str
    formula: str
    liquid: bool
    holds: float
    u: float
    amount: float
    until: date | None = None
    percent: float = 0.0
    density: float = 0.0
    promised: float = 0.0

    @property
    def strength(self) -> str:
        """How strong it is, as its label would say."""
        if self.percent:
            return f"{self.percent:g} %, {self.density:g} g/mL"
        return f"{self.holds / _MOLAR:.4g} mol/L" if self.liquid else f"{self.holds * 100:.4g} %"

    def past(self, day: date) -> bool:
        """Whether it is past its date on ``day``."""
        return self.until is not None and self.until < day


def bottle(number: int, name: str, fields: Mapping[str, str]) -> Bottle:
    """A bottle as people write it: ``formula``; ``amount`` with g or mL; ``strength``: mol/L, g/L or per cent of mass,
    for a liquid with its ``density`` in g/mL; its ``limit`` (95 %), where none is written that of what is usually
    bought; ``until``, a date. ReadingError says what is wrong.
    """
    formula = checked_formula(fields.get("formula", ""))
    liquid, amount = _amount(fields.get("amount", ""))
    until = _date(fields.get("until", ""))
    strength, limit = fields.get("strength", "").strip(), fields.get("limit", "").strip()
    if not liquid:
        part = _number(strength or "100 %", "%", "its purity")
        if not 0 < part <= 100:
            raise ReadingError(f"A purity of {part:g} % is not possible. Write it as on the label: 99.5 %.")
        u = _limit(limit or _as_bought(formula), part, "%") / 100
        return Bottle(number, name, formula, False, part / 100, u, amount, until)
    if not strength:
        raise ReadingError("Write how concentrated the solution is: 0.5 mol/L, or 37 %.")
    if parse_reading(strength).unit == "%":
        percent = _number(strength, "%", "its strength")
        density = _number(fields.get("density", ""), "g/mL", "its density")
        if not 0 < percent <= 100 or not 0.4 < density < 4:
            raise ReadingError(
                f"{percent:g} % at {density:g} g/mL is not possible. A label says 37 % and 1.18 g/mL, for example."
            )
        holds = _molar(formula, percent, density)
        u = holds * _limit(limit or _as_bought(formula), percent, "%") / percent
        return Bottle(number, name, formula, True, holds, u, amount, until, percent, density)
    holds, asked = _concentration(formula, strength)
    if holds <= 0:
        raise ReadingError("A solution holds more than nothing: write its concentration, or leave the bottle out.")
    return Bottle(number, name, formula, True, holds, _limit(limit, holds, asked, formula), amount, until)


def left_after(fields: Mapping[str, str], taken: str) -> str:
    """The amount of a bottle as its label says it, once ``taken`` (text with a unit) is out of it; never under zero."""
    liquid, amount = _amount(fields["amount"])
    _, gone = _amount(taken)
    symbol = "mL" if liquid else "g"
    left = unit(symbol).from_si(max(amount - gone, 0.0))
    if left >= 1000:  # a gram or a millilitre is still seen to leave
        return f"{left / 1000:.3f} L" if liquid else f"{left:.0f} g"
    return f"{left:.4g} {symbol}"


def usual(formula: str) -> Bottle:
    """``formula`` as it is usually bought; there is none of it here."""
    known = reagent(formula)
    form = known.form
    if form.percent:
        holds = _molar(form.formula, form.percent, form.density)
        u = holds * standard(form.limit, "normal95") / form.percent
        return Bottle(0, known.name, form.formula, True, holds, u, 0.0, None, form.percent, form.density)
    u = standard(form.limit / 100, "normal95")
    return Bottle(0, known.name, form.formula, False, form.purity / 100, u, 0.0)


@dataclass(frozen=True)
class Shelf:
    """``bottles`` and, by slug, how many pieces there are of what was counted; ``day`` is when it is prepared."""

    bottles: Sequence[Bottle] = ()
    counted: Mapping[str, int] = field(default_factory=dict)
    day: date = date.max

    def of(self, kind: Kind) -> list[Instrument]:
        """Pieces of a kind that are there, the smallest first; of two of one size the better."""
        here = [instrument for instrument in self._here if instrument.kind == kind]
        by_volume: dict[float, Instrument] = {}
        for instrument in sorted(here, key=lambda instrument: float(instrument.errors[0].half_width)):
            by_volume.setdefault(float(instrument.high), instrument)
        return [by_volume[high] for high in sorted(by_volume)]

    @cached_property
    def _here(self) -> list[Instrument]:
        return [piece for slug, piece in PIECES.items() if self.counted.get(slug, 1) > 0]

    @property
    def balances(self) -> list[Instrument]:
        """The finest first."""
        return sorted(
            (instrument for instrument in self._here if instrument.kind == "balance"),
            key=lambda instrument: float(instrument.graduation),
        )

    def holding(self, formula: str) -> list[Bottle]:
        """Every bottle with that substance, whatever its water."""
        return [bottle for bottle in self.bottles if same_substance(bottle.formula, formula)]

    def without(self, number: int, taken: str) -> "Shelf":
        """What is left once ``taken`` (text with a unit) of one bottle is promised to somebody else."""
        gone = _amount(taken)[1] if taken else 0.0
        left = [
            replace(bottle, amount=max(bottle.amount - gone, 0.0), promised=bottle.promised + gone)
            if number and bottle.number == number
            else bottle
            for bottle in self.bottles
        ]
        return replace(self, bottles=left)


USUAL = Shelf()


def _as_bought(formula: str) -> str:
    """The ± of what is usually bought, where a label says none: no purity is known exactly."""
    return f"{reagent(formula).form.limit:g} %"


def _amount(text: str) -> tuple[bool, float]:
    """Whether it is a liquid, and how much, in SI."""
    typed = parse_reading(text) if text.strip() else None
    if typed is None or typed.unit == "":
        raise ReadingError("Write how much is in it, with g or mL: 500 g, 2.5 L.")
    for symbol, liquid in (("g", False), ("mL", True)):
        try:
            amount = float(read_in(text, symbol).value)
        except ChromataError:
            continue
        if amount < 0:
            raise ReadingError("There cannot be less than nothing in a bottle.")
        return liquid, unit(symbol).to_si(amount)
    raise ReadingError(f"“{text}” is no mass and no volume. Write how much is in it with g or mL: 500 g, 2.5 L.")


def _number(text: str, symbol: str, what: str) -> float:
    if not text.strip():
        raise ReadingError(f"Write {what}, in {symbol}.")
    return float(read_in(text, symbol).value)


def _concentration(formula: str, text: str) -> tuple[float, str]:
    """mol/m³, and the unit in which it was written."""
    try:
        return unit("mol/L").to_si(float(read_in(text, "mol/L").value)), "mol/L"
    except ChromataError as error:
        try:
            return float(read_in(text, "g/L").value) / molar_mass(formula).value, "g/L"
        except ChromataError:
            raise error from None


def _limit(text: str, value: float, symbol: str, formula: str = "") -> float:
    """The standard uncertainty behind what stands after ±, where ``value`` is what it belongs to."""
    if not text:
        return 0.0
    typed = parse_reading(text)
    if typed.unit == "%" and symbol != "%":
        half = value * float(typed.value) / 100
    elif symbol == "mol/L":
        half = unit("mol/L").to_si(float(read_in(text, "mol/L").value))
    elif symbol == "g/L":
        half = float(read_in(text, "g/L").value) / molar_mass(formula).value
    else:
        half = float(parse_reading(limit_in(text, typed.value, symbol)).value)
    if half < 0:
        raise ReadingError("What stands behind ± cannot be negative.")
    return standard(half, "normal95")


def _molar(formula: str, percent: float, density: float) -> float:
    """mol/m³ of a solution by its mass fraction and density: w·ρ/M."""
    return percent / 100 * unit("g/mL").to_si(density) / molar_mass(formula).value


def _date(text: str) -> date | None:
    if not text.strip():
        return None
    try:
        return date.fromisoformat(text.strip())
    except ValueError:
        raise ReadingError(f"“{text}” is no date. Write it as 2027-03-31.") from None
