"""Molar masses that are taken for another: a part of the formula, its neighbour, what stands beside it in the table.

Which mistakes are made is common practice, no published source; the masses are those of ``molar_mass``.
"""

from collections.abc import Iterator

from chromata_core.chemistry.molar_mass import KILO, atoms_of, formula_text, molar_mass
from chromata_core.errors import ReadingError

Mistaken = tuple[float, str]  # kg/mol, and what it is of: “the sum without Ca”


def mistaken_masses(formula: str, beside: tuple[str, ...] = ()) -> list[Mistaken]:
    """What may be taken for the molar mass of ``formula``; ``beside`` are other substances of the same work."""
    right, dry = molar_mass(formula).value, formula.replace("·", ".").partition(".")[0]
    masses = [(_mass(dry), f"that of {formula_text(dry)}, without its water")]
    masses += [(_mass(other), f"that of {formula_text(other)}") for other in beside]
    masses += _of_atoms({symbol: count for (symbol, _, _), count in atoms_of(formula).items()})
    distinct: dict[str, Mistaken] = {}
    for mass, says in masses:
        if mass > 0 and abs(mass / right - 1) > 1e-4:
            distinct.setdefault(f"{mass:.6g}", (mass, says))
    return list(distinct.values())


def _mass(formula: str) -> float:
    """Zero for what was put together here and is no formula."""
    try:
        return molar_mass(formula).value
    except ReadingError:
        return 0.0


def _of_atoms(counts: dict[str, float]) -> Iterator[Mistaken]:
    from periodictable import elements  # slow to import

    weights = {symbol: float(elements.symbol(symbol).mass) * KILO for symbol in counts}
    numbers = {symbol: elements.symbol(symbol).number for symbol in counts}
    whole = sum(weights[symbol] * count for symbol, count in counts.items())
    if len(counts) > 1:
        yield from ((weights[symbol], f"that of {symbol} alone") for symbol in counts)
        for symbol, count in counts.items():
            yield whole - weights[symbol] * count, f"the sum without {symbol}"
    if sum(counts.values()) > len(counts):
        yield sum(weights.values()), "the sum with each element once"
        for symbol, count in counts.items():
            if count > 1:
                yield whole - weights[symbol] * (count - 1), f"the sum with one {symbol} only"
                yield whole - weights[symbol], f"the sum with one {symbol} too few"
    yield sum(numbers[symbol] * count for symbol, count in counts.items()) * KILO, "the atomic number"
    if len(counts) == 1:
        [(symbol, count)] = counts.items()
        for number in (numbers[symbol] - 1, numbers[symbol] + 1):
            if 0 < number <= 103:
                yield float(elements[number].mass) * count * KILO, f"that of {elements[number].symbol}"
        yield whole + float(elements.O.mass) * KILO, "that of its oxide"
