"""What a class found, product by product: means, spread, and whether two products differ by more than chance.

Two products are told apart by Welch's t test, which does not assume equal spreads.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from math import isclose

from chromata_core.quantity.rounding import with_figures
from chromata_core.sentences import joined
from chromata_core.statistics.comparing import welch
from chromata_core.statistics.outliers import grubbs
from chromata_core.statistics.replicates import replicates

_CHANCE = 0.05


@dataclass(frozen=True, slots=True)
class BenchResult:
    """One bench's result: value and expanded uncertainty in the result's unit; ``accepted`` where it may be seen."""

    bench: int
    product: str
    value: float
    expanded: float
    accepted: float | None = None


@dataclass(frozen=True, slots=True)
class Product:
    """All benches with one product. ``s`` has n − 1; 0 for a single bench. ``suspect`` is a bench far from the others
    (Grubbs, 95 %): marked and looked at, never dropped by itself.
    """

    label: str
    results: list[BenchResult]
    mean: float
    s: float
    accepted: float | None
    suspect: int | None


@dataclass(frozen=True, slots=True)
class ClassComparison:
    """Products, the greatest mean first, the axis they share, and what can be said of them in one sentence."""

    label: str
    unit: str
    low: float
    high: float
    products: list[Product]
    sentence: str


def class_comparison(label: str, unit: str, results: Sequence[BenchResult]) -> ClassComparison | None:
    """The comparison of ``results``; None while there are none."""
    if not results:
        return None
    names = dict.fromkeys(result.product for result in results)
    products = [_product(name, [r for r in results if r.product == name]) for name in names]
    products.sort(key=lambda product: -product.mean)
    low, high = _axis(results)
    return ClassComparison(label, unit, low, high, products, _sentence(products, unit))


def _product(name: str, results: list[BenchResult]) -> Product:
    summary = replicates([result.value for result in results])
    return Product(name, results, summary.mean, summary.s, results[0].accepted, _suspect(results))


def _suspect(results: list[BenchResult]) -> int | None:
    if len(results) < 3:
        return None
    found = grubbs([result.value for result in results])
    return results[found.index].bench if found.outlier else None


def _axis(results: Sequence[BenchResult]) -> tuple[float, float]:
    """From the lowest to the highest interval; one bench that is far off does not squeeze the others to a point."""
    values = [result.value for result in results] + [r.accepted for r in results if r.accepted is not None]
    spread = sorted(result.expanded for result in results)[len(results) // 2]
    margin = max(spread, (max(values) - min(values)) * 0.06) * 1.2 or abs(values[0]) * 0.01 or 1.0
    return min(values) - margin, max(values) + margin


def _sentence(products: list[Product], unit: str) -> str:
    suspects = [f"Bench {p.suspect} lies far from the others; look at its record." for p in products if p.suspect]
    closest = [said for product in products if (said := _closest(product, len(products) > 1))]
    return " ".join([_found(products, unit), *suspects, *closest])


def _closest(product: Product, named: bool) -> str:
    """Who came nearest to the accepted value, several where they came equally near; empty without one, or alone."""
    if product.accepted is None or len(product.results) < 2:
        return ""
    accepted = product.accepted
    away = {result.bench: abs(result.value - accepted) for result in product.results}
    least = min(away.values())
    benches = sorted(bench for bench, distance in away.items() if isclose(distance, least, rel_tol=1e-9, abs_tol=1e-12))
    who = f"bench {benches[0]}" if len(benches) == 1 else f"benches {joined(map(str, benches))}"
    off = f", {with_figures(least / abs(accepted) * 100, 2)} % from the accepted value" if accepted else ""
    return f"Closest{f' with {product.label}' if named else ''}: {who}{off}."


def _found(products: list[Product], unit: str) -> str:
    if len(products) == 1:
        only = products[0]
        n = len(only.results)
        spread = f", s = {with_figures(only.s, 2)} {unit}".rstrip() if n > 1 else ""
        return f"Mean of {n} bench{'es' if n > 1 else ''}: {with_figures(only.mean, 4)} {unit}".rstrip() + f"{spread}."
    order = "; ".join(f"{p.label} {with_figures(p.mean, 3)} {unit}".rstrip() for p in products)
    return f"{order}. {_difference(products[0], products[1])}"


def _difference(first: Product, second: Product) -> str:
    if min(len(first.results), len(second.results)) < 2:
        return "At least two benches with each are needed to tell them apart."
    p = welch(*([r.value for r in product.results] for product in (first, second))).p
    said = f"p = {with_figures(p, 2)}" if p >= 0.0001 else "p < 0.0001"
    if p < _CHANCE:
        return f"{first.label} holds more than {second.label}; chance alone hardly does that (Welch t, {said})."
    return f"{first.label} and {second.label} cannot be told apart by these results (Welch t, {said})."
