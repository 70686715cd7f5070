"""A number that one sheet found and another one works with: with all that makes its uncertainty, so that what both
sheets have in common (a burette, an atomic weight) is counted once and may cancel.
"""

from dataclasses import dataclass

from chromata_core.uncertainty.source import Source


@dataclass(frozen=True, slots=True)
class Handed:
    """``text`` and the ``limit`` that holds 95 % of it, in the unit of the number that it stands for; ``sources`` with
    the size of their effect in SI. ``origin`` says where it was found, ``why`` it was not, where there is no ``text``.
    """

    origin: str
    text: str = ""
    limit: str = "0"
    sources: tuple[tuple[Source, float], ...] = ()
    why: str = ""

    def options(self, key: str) -> dict[str, str]:
        """What it sets of a plan, standing for the number ``key``."""
        return {key: self.text, f"{key}.limit": self.limit}
