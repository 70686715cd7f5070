"""Molar masses from IUPAC/CIAAW standard atomic weights, with their uncertainty, correlated by element.

Atomic weights and formula parsing: ``periodictable`` (CIAAW 2021; intervals replaced by the abridged value and its
spread). The quoted ± is taken as the half-width of a rectangular distribution (EURACHEM/CITAC CG4, A2), so u = ±/√3.
"""

import re
from collections.abc import Mapping
from functools import lru_cache

from chromata_core.errors import ReadingError
from chromata_core.uncertainty.source import Input, Source, standard

BASIS = (
    "CIAAW 2021 standard atomic weights (abridged where an interval is given), each ± taken as rectangular, "
    "correlated within an element"
)
KILO = 1e-3  # atomic weights are g/mol; the engine works in SI, kg/mol
_WRITTEN = re.compile(r"[A-Za-z0-9().·*\[\] ]{1,60}")  # the parser knows much more: mixtures, densities, sequences
_HEAVIEST = 1000.0  # kg/mol
_WATERS = re.compile(r"[.·*]\s*(?P<count>\d+(?:\.\d+)?)?\s*H2O$")


@lru_cache(maxsize=512)
def molar_mass(formula: str) -> Input:
    """Molar mass of ``formula`` in kg/mol with one error source per element. ``CuSO4.5H2O`` and ``CuSO4·5H2O`` work."""
    sources, mass = [], 0.0
    for (symbol, weight, spread), count in atoms_of(formula).items():
        mass += weight * count * KILO
        if spread > 0:
            u = standard(spread * KILO, "rectangular")
            sources.append(
                (
                    Source(
                        f"atomic weight {symbol}", "Atomic weights", u, "rectangular", unit="g/mol", lasts="everywhere"
                    ),
                    float(count),
                )
            )
    if mass > _HEAVIEST:
        raise ReadingError(f"“{formula}” would weigh {mass:.0f} kg/mol. Check its numbers.", formula=formula)
    return Input(mass, tuple(sources))


def atoms_of(formula: str) -> Mapping[tuple[str, float, float], float]:
    """How many there are of each element: symbol, atomic weight and its ± in g/mol."""
    from periodictable import formula as parse  # slow to import

    if _WRITTEN.fullmatch(formula) is None:
        raise _unknown(formula[:60])
    text = formula.replace("·", ".").replace(" ", "").replace("[", "(").replace("]", ")")
    waters = _WATERS.search(text)
    body = text[: waters.start()] if waters else text
    try:
        atoms = dict(parse(body).atoms)
        for element, count in parse("H2O").atoms.items() if waters else ():
            atoms[element] = atoms.get(element, 0) + count * float(waters["count"] or 1)  # type: ignore[index]
        if not atoms:
            raise ValueError(formula)
        return {(e.symbol, float(e.mass), float(e._mass_unc or 0)): float(n) for e, n in atoms.items()}
    except Exception as error:  # the parser raises many classes for text that is not a formula
        raise _unknown(formula) from error


def without_water(formula: str) -> str:
    """``formula`` less its water of crystallisation; what is water itself stays."""
    written = formula.replace("·", ".").replace(" ", "")
    waters = _WATERS.search(written)
    return written[: waters.start()] if waters and waters.start() else written


def _unknown(formula: str) -> ReadingError:
    return ReadingError(f"“{formula}” is not a chemical formula known here. Write it like CuSO4.5H2O.", formula=formula)


def formula_text(formula: str) -> str:
    """``CuSO4.5H2O`` as people write it: CuSO₄·5H₂O."""
    body = without_water(formula)
    waters = _WATERS.search(formula.replace("·", ".").replace(" ", "")) if body != formula else None
    below = re.sub(r"(?<=[A-Za-z)\]])(\d+)", lambda m: m[1].translate(str.maketrans("0123456789", "₀₁₂₃₄₅₆₇₈₉")), body)
    return f"{below}·{waters['count'] or ''}H₂O" if waters else below
