"""pH of an acid or a base while another one is run into it, by the balance of charges at 25 °C.

Every solution is neutral: [H⁺] − [OH⁻] + what the other ions carry = 0, with pK_w = 14.00. Activities are taken as
concentrations, so that a pH is known to some hundredths. pKₐ values of the usual tables at 25 °C, from memory.
"""

from collections.abc import Mapping
from dataclasses import dataclass

from scipy.optimize import brentq

_WATER = 1.0e-14
_STRONG = -3.0  # pKₐ of what gives all of its H⁺ at any concentration used here


@dataclass(frozen=True, slots=True)
class Protolyte:
    """What takes up or gives H⁺. ``pkas`` from its most protonated form down, which carries the charge ``full``; as it
    is dissolved it has already given ``given`` of them, and ions beside it make it neutral.
    """

    pkas: tuple[float, ...]
    full: int = 0
    given: int = 0

    def charge(self, ph: float) -> float:
        """The mean charge of one of it, in e."""
        weight, total, charges = 1.0, 1.0, float(self.full)
        for n, pka in enumerate(self.pkas, 1):
            weight *= 10.0 ** (ph - pka)
            total += weight
            charges += weight * (self.full - n)
        return charges / total

    @property
    def beside(self) -> int:
        """The charge of the ions that came with one of it."""
        return self.given - self.full


# Of a strong base only its metal's ions count beside the water's own: its hydroxide is the water's.
PROTOLYTES: Mapping[str, Protolyte] = {
    "HCl": Protolyte((_STRONG,)), "HNO3": Protolyte((_STRONG,)), "H2SO4": Protolyte((_STRONG, 1.99)),
    "CH3COOH": Protolyte((4.756,)), "C3H6O3": Protolyte((3.86,)), "C4H6O5": Protolyte((3.40, 5.11)),
    "C6H8O7": Protolyte((3.13, 4.76, 6.40)), "C7H6O2": Protolyte((4.20,)), "KHC8H4O4": Protolyte((2.95, 5.41), given=1),
    "H2C2O4.2H2O": Protolyte((1.25, 4.27)), "H3PO4": Protolyte((2.16, 7.21, 12.32)),
    "NH3": Protolyte((9.25,), full=1, given=1), "Na2CO3": Protolyte((6.35, 10.33), given=2),
    "NaHCO3": Protolyte((6.35, 10.33), given=1), "NaOH": Protolyte((), given=1),
    "KOH": Protolyte((), given=1), "Ca(OH)2": Protolyte((), given=2),
}  # fmt: skip
BASES = frozenset({"NH3", "Na2CO3", "NaHCO3", "NaOH", "KOH", "Ca(OH)2"})


def charge_left(ph: float, *parts: tuple[Protolyte, float]) -> float:
    """What is left over of all charges at ``ph``, mol/L of e: zero in a solution. ``parts`` with their mol/L."""
    h = 10.0**-ph
    return float(h - _WATER / h + sum(c * (protolyte.charge(ph) + protolyte.beside) for protolyte, c in parts))


def ph_of(*parts: tuple[Protolyte, float]) -> float:
    """The pH of a solution of ``parts`` with their concentrations in mol/L."""
    return float(brentq(charge_left, -8.0, 22.0, args=parts, xtol=1e-10))
