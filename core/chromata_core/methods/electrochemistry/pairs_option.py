"""A plan of cells: every pair of some metals, in the order in which they are measured."""

from collections.abc import Mapping
from dataclasses import dataclass
from decimal import Decimal

from chromata_core.chemistry.standard_potentials import METALS, MetalPair, gives, metal_pairs, takes
from chromata_core.declaration.option_kinds import ListOption, Planned
from chromata_core.engine.context import Context


@dataclass(frozen=True, slots=True)
class PairsOption(ListOption):
    """Metals, written one after the other: “Ag; Cu; Zn”. It plans a trial for each pair of them, or for the pairs that
    are written, “Cu/Zn; Ag/Cu”, red lead first: in formulas it stands for the standard potential of that pair (V), in
    texts ``{plus}`` and ``{minus}`` for its two metals, ``{plus gives}`` and ``{plus takes}`` for what happens where
    that metal is anode or cathode.
    """

    def planned(self, text: str) -> list[Planned]:
        """Each pair with its standard potential; ChromataError for metals that are not known, or too few."""
        return [Planned(Decimal(str(pair.potential)), _words(pair), named(pair)) for pair in metal_pairs(text)]

    def in_units(self, text: str) -> str:
        """Metals have no unit."""
        return text

    @property
    def words(self) -> Mapping[str, str]:
        """In texts that are of no pair."""
        return {
            "plus": "one metal", "minus": "the other", "plus gives": "the one gives electrons", "plus takes": "its ion takes electrons",
            "minus gives": "the other gives electrons", "minus takes": "its ion takes electrons",
        }  # fmt: skip


def _words(pair: MetalPair) -> dict[str, str]:
    sides = {"plus": pair.plus, "minus": pair.minus}
    halves = {f"{side} gives": gives(metal) for side, metal in sides.items()}
    halves |= {f"{side} takes": takes(metal) for side, metal in sides.items()}
    return {side: METALS[metal] for side, metal in sides.items()} | halves


def named(pair: MetalPair) -> str:
    """“Cu–Zn”."""
    return f"{pair.plus}–{pair.minus}"


def pairs_of(at: Context) -> list[MetalPair]:
    """The pairs that are planned, in the order of their trials."""
    option = next((option for option in at.bound.lists if isinstance(option, PairsOption)), None)
    return metal_pairs(at.bound.options[option.key]) if option else []
