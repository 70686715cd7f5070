"""A formula worked instead of the right one, and what is known of the names in it."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass

from chromata_core.formula.tree import Node

USUAL, SELDOM, RARE = 1.0, 1.5, 2.5  # what a slip costs: the rarer, the more


@dataclass(frozen=True, slots=True)
class Other:
    """``kind`` is what was done, ``says`` finishes “you get this if …”."""

    kind: str
    says: str
    tree: Node
    cost: float


@dataclass(frozen=True, slots=True)
class Signs:
    """How the parts of a formula are called in a sentence, the size of one of a name's unit in SI, which are
    temperatures on a scale, which are 1 of their unit and change nothing, and what is of a kind with each.
    """

    call: Callable[[Node], str]
    sizes: Mapping[str, float]
    scaled: frozenset[str]
    ones: frozenset[str]
    alike: Mapping[str, tuple[str, ...]]
