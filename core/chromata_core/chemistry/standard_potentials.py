"""Standard electrode potentials at 25 °C, V against the standard hydrogen electrode.

Values of the usual compilation (P. Vanýsek, "Electrochemical series", CRC Handbook of Chemistry and Physics), from
memory. Where compilations differ by more than 10 mV the ``note`` says so.
"""

from dataclasses import dataclass
from itertools import combinations

from chromata_core.errors import ChromataError, unknown


@dataclass(frozen=True, slots=True)
class HalfCell:
    """Oxidised + n e⁻ → reduced, with its standard potential in volts."""

    key: str
    reaction: str
    electrons: int
    potential: float
    note: str = ""


SERIES: dict[str, HalfCell] = {
    cell.key: cell
    for cell in (
        HalfCell("Mg2+/Mg", "Mg²⁺ + 2 e⁻ → Mg", 2, -2.372),
        HalfCell("Al3+/Al", "Al³⁺ + 3 e⁻ → Al", 3, -1.662, "Its oxide keeps aluminium far from this value in class."),
        HalfCell("Zn2+/Zn", "Zn²⁺ + 2 e⁻ → Zn", 2, -0.7618),
        HalfCell("Fe2+/Fe", "Fe²⁺ + 2 e⁻ → Fe", 2, -0.447, "Compilations give −0.409 to −0.474 V."),
        HalfCell("Ni2+/Ni", "Ni²⁺ + 2 e⁻ → Ni", 2, -0.257),
        HalfCell("Sn2+/Sn", "Sn²⁺ + 2 e⁻ → Sn", 2, -0.1375),
        HalfCell("Pb2+/Pb", "Pb²⁺ + 2 e⁻ → Pb", 2, -0.1262),
        HalfCell("H+/H2", "2 H⁺ + 2 e⁻ → H₂", 2, 0.0),
        HalfCell("Cu2+/Cu", "Cu²⁺ + 2 e⁻ → Cu", 2, 0.3419),
        HalfCell("I2/I-", "I₂ + 2 e⁻ → 2 I⁻", 2, 0.5355),
        HalfCell("Fe3+/Fe2+", "Fe³⁺ + e⁻ → Fe²⁺", 1, 0.771),
        HalfCell("Ag+/Ag", "Ag⁺ + e⁻ → Ag", 1, 0.7996),
        HalfCell("IO3-/I2", "2 IO₃⁻ + 12 H⁺ + 10 e⁻ → I₂ + 6 H₂O", 10, 1.195),
        HalfCell("Cr2O7/Cr3+", "Cr₂O₇²⁻ + 14 H⁺ + 6 e⁻ → 2 Cr³⁺ + 7 H₂O", 6, 1.36, "Compilations give 1.23 to 1.36 V."),
    )
}


METALS = {
    "Mg": "magnesium", "Al": "aluminium", "Zn": "zinc", "Fe": "iron", "Ni": "nickel", "Sn": "tin", "Pb": "lead",
    "Cu": "copper", "Ag": "silver",
}  # fmt: skip
_FEWEST, _MOST = 2, 6


@dataclass(frozen=True, slots=True)
class MetalPair:
    """Two metals in their ions' solutions; ``potential`` is E°(plus) − E°(minus) in volts."""

    plus: str
    minus: str
    potential: float


def metal_potential(metal: str) -> float:
    """Standard potential of ``metal`` in the solution of its ion, V."""
    return next(cell.potential for key, cell in SERIES.items() if key.endswith(f"/{metal}"))


def gives(metal: str) -> str:
    """The half-equation of ``metal`` as an anode: “Zn → Zn²⁺ + 2 e⁻”."""
    before, after = takes(metal).split(" → ")
    return f"{after} → {before}"


def takes(metal: str) -> str:
    """The half-equation of ``metal`` as a cathode: “Zn²⁺ + 2 e⁻ → Zn”."""
    return next(cell.reaction for key, cell in SERIES.items() if key.endswith(f"/{metal}"))


def metal_pairs(text: str) -> list[MetalPair]:
    """Every pair of the metals in “Ag; Cu; Zn”, in that order, or those of “Cu/Zn; Ag/Cu” alone, the red lead at the
    first of each; an error with a sentence for anything else.
    """
    parts = [[metal.strip() for metal in part.split("/")] for part in text.split(";")]
    for metal in (metal for part in parts for metal in part):
        if metal not in METALS:
            raise ChromataError(unknown("metal", metal, list(METALS)), code="metal")
    pairs = _told_pairs(parts) if any(len(part) > 1 for part in parts) else _all_pairs([part[0] for part in parts])
    return [MetalPair(a, b, round(metal_potential(a) - metal_potential(b), 4)) for a, b in pairs]


def _all_pairs(metals: list[str]) -> list[tuple[str, str]]:
    if not _FEWEST <= len(metals) <= _MOST or len(set(metals)) < len(metals):
        raise ChromataError(
            f"Give {_FEWEST} to {_MOST} different metals, with semicolons between them: Ag; Cu; Zn.", code="metal"
        )
    return list(combinations(metals, 2))


def _told_pairs(parts: list[list[str]]) -> list[tuple[str, str]]:
    metals, pairs = {metal for part in parts for metal in part}, {frozenset(part) for part in parts}
    if any(len(part) != 2 or part[0] == part[1] for part in parts) or len(pairs) < len(parts) or len(metals) > _MOST:
        raise ChromataError(
            f"Give pairs of two different metals, each pair once, of {_MOST} metals at most: Cu/Zn; Ag/Cu.",
            code="metal",
        )
    return [(part[0], part[1]) for part in parts]
