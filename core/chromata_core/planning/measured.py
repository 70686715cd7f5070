"""A mass or a volume that hands measure while preparing: with which pieces, and how sure it then is."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations_with_replacement
from math import sqrt

from chromata_core.errors import ReadingError
from chromata_core.instruments.instrument import Instrument
from chromata_core.quantity.given import read_in
from chromata_core.quantity.units import unit
from chromata_core.uncertainty.source import standard

_MOST_DELIVERIES = 4
_SAME = 1e-4  # a sum of pipettes as good as the volume that is wanted
# A burette or scaled pipette is used from a tenth of its scale on, and set to half a division.
_LEAST_PART = 0.1


@dataclass(frozen=True, slots=True)
class Measured:
    """``value`` in SI, measured with these ``pieces`` one after the other; ``key`` is its name in the formula.

    ``stands`` ones are marks, a flask's or pipettes': nothing is written of them.
    """

    key: str
    label: str
    value: float
    pieces: tuple[Instrument, ...]

    @property
    def stands(self) -> bool:
        """Whether its value is that of one-mark glassware."""
        return all(piece.low == piece.high for piece in self.pieces)

    @property
    def unit(self) -> str:
        """The unit that its pieces show."""
        return self.pieces[0].unit

    @property
    def text(self) -> str:
        """What is wanted, with the decimals that its piece shows."""
        value = unit(self.unit).from_si(self.value)
        return f"{value:.{self.pieces[0].decimals}f} {self.unit}"

    @property
    def by(self) -> str:
        """The pieces, one after the other: “100 mL pipette and 25 mL pipette”."""
        names = [short_of(piece) for piece in self.pieces]
        counted = [(name, names.count(name)) for name in dict.fromkeys(names)]
        return " and ".join(f"{count} × {name}" if count > 1 else name for name, count in counted)

    def u(self, value: float) -> float:
        """The standard uncertainty of ``value`` (SI) measured so, but for the laboratory's temperature, which vessels
        that stand in one formula share.
        """
        variance = 0.0
        shared: dict[tuple[str, str], float] = {}
        for piece in self.pieces:
            scale = unit(piece.unit).factor
            twice = 2.0 if piece.kind in ("balance", "burette") else 1.0  # read before and after
            for term in (term for term in piece.errors if term.kind != "temperature"):
                part = standard(float(term.half_width), term.distribution) * (value if term.relative else scale)
                if term.scatters or piece.kind == "balance":
                    variance += twice * part * part
                else:
                    shared[piece.slug, term.label] = shared.get((piece.slug, term.label), 0.0) + part
        return sqrt(variance + sum(part * part for part in shared.values()))

    def read(self, text: str) -> float:
        """What was really measured, SI; ReadingError with a sentence for what its piece cannot show."""
        if len(self.pieces) == 1:
            value = float(self.pieces[0].read(text, self.unit).value)
        else:
            value = float(read_in(text, self.unit).value)
        if value <= 0:
            raise ReadingError(f"{self.label} was more than nothing: write what {self.by} showed.")
        return unit(self.unit).to_si(value)


def short_of(piece: Instrument) -> str:
    """How a piece is called within a sentence: “balance, 0.001 g”, “500 mL flask”."""
    return piece.label.split(", class")[0].removeprefix("the ")


def pipetted(pipettes: Sequence[Instrument], volume: float) -> tuple[Instrument, ...]:
    """The fewest one-mark pipettes that together deliver ``volume`` (m³), each maybe several times; none if none do."""
    wanted = unit("mL").from_si(volume)
    for count in range(1, _MOST_DELIVERIES + 1):
        for chosen in combinations_with_replacement(list(reversed(pipettes)), count):
            if abs(sum(float(instrument.high) for instrument in chosen) - wanted) <= _SAME * wanted:
                return chosen
    return ()


def scaled(pieces: Sequence[Instrument], volume: float) -> tuple[Instrument, float] | None:
    """The smallest piece with a scale that holds ``volume`` (m³), and the volume as near as half a division sets it."""
    wanted = unit("mL").from_si(volume)
    fits = [piece for piece in pieces if _LEAST_PART * float(piece.high) <= wanted <= float(piece.high)]
    if not fits:
        return None
    piece = min(fits, key=lambda piece: float(piece.high))
    step = float(piece.graduation) / 2
    return piece, unit("mL").to_si(max(round(wanted / step), 1) * step)


def balance_for(balances: Sequence[Instrument], mass: float, part: float) -> Instrument | None:
    """The quickest balance that tells ``mass`` (kg) to ``part`` of it at 68 %, else the finest that carries it; None if
    none does. ``balances`` begin with the finest.
    """
    carrying = [balance for balance in balances if unit(balance.unit).to_si(float(balance.high)) >= mass]
    telling = [instrument for instrument in carrying if Measured("m", "", mass, (instrument,)).u(mass) <= part * mass]
    return telling[-1] if telling else carrying[0] if carrying else None
