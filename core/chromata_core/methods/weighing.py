"""Weighing, written once for every method: by difference out of a vessel, or into a tared one."""

from chromata_core.declaration.names import When
from chromata_core.declaration.vocabulary import Quantity, Reading, Scope


def by_difference(vessel: str, hint: str = "", scope: Scope = "trial", when: When = None) -> tuple[Reading, Reading]:
    """The ``vessel`` before and after some was tipped out, on the balance."""
    return (
        Reading("m_before", f"{vessel} before", "g", "balance", "m_before", scope, when=when),
        Reading("m_after", f"{vessel} after", "g", "balance", "m_after", scope, hint=hint, echo="m", when=when),
    )


def difference(label: str, vessel: str, scope: Scope = "trial", when: When = None) -> Quantity:
    """What was tipped out."""
    return Quantity(
        "m", label, "m_before - m_after", "g", "m", scope, when=when,
        positive=f"The {vessel.lower()} did not get lighter; were the two weighings swapped?",
    )  # fmt: skip


def tared(key: str, label: str, symbol: str, hint: str, scope: Scope = "trial", when: When = None) -> Reading:
    """What is put into a tared vessel."""
    return Reading(key, label, "g", "balance", symbol, scope, hint=hint, when=when)
