"""What a class found, product by product: means, spread, and whether two products differ by more than chance.

Two products are told apart by Welch's t test, which does not assume equal spreads.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from math import isclose

from chromata_core.quantity.rounding import with_figures
from chromata_core.sentences import joined
from chromata_core.statistics.comparing import against, welch
from chromata_core.statistics.outliers import apart
from chromata_core.statistics.replicates import replicates
from chromata_core.statistics.robust import robust

_CHANCE = 0.05
_MOST_APART = 6  # one in so many values may be told to stand apart


@dataclass(frozen=True, slots=True)
class BenchResult:
    """One bench's result: value and expanded uncertainty in the result's unit; ``accepted`` where it may be seen.
    ``left_out`` says why it does not count, where somebody decided so.
    """

    bench: int
    product: str
    value: float
    expanded: float
    accepted: float | None = None
    left_out: str = ""


@dataclass(frozen=True, slots=True)
class Product:
    """All benches with one product. Mean, ``s`` (n − 1; 0 for a single bench) and ``robust`` mean (Huber's, of three
    and more) are of those ``n`` that count. ``suspects`` stand apart from the others (generalised ESD, 95 %): marked
    and looked at, never dropped by themselves.
    """

    label: str
    results: list[BenchResult]
    n: int
    mean: float
    s: float
    robust: float | None
    accepted: float | None
    suspects: list[int]


@dataclass(frozen=True, slots=True)
class ClassComparison:
    """Products, the greatest mean first, and what can be said of them in one sentence."""

    label: str
    unit: str
    products: list[Product]
    sentence: str


def class_comparison(label: str, unit: str, results: Sequence[BenchResult]) -> ClassComparison | None:
    """The comparison of ``results``; None while there are none."""
    if not results:
        return None
    names = dict.fromkeys(result.product for result in results)
    products = [_product(name, [r for r in results if r.product == name]) for name in names]
    products.sort(key=lambda product: -product.mean)
    return ClassComparison(label, unit, products, _sentence(products, unit))


def _counting(results: list[BenchResult]) -> list[BenchResult]:
    """Where nobody counts, all do: there is always something to draw them about."""
    return [result for result in results if not result.left_out] or results


def _product(name: str, results: list[BenchResult]) -> Product:
    counting = _counting(results)
    values = [result.value for result in counting]
    summary = replicates(values)
    middle = robust(values).huber_mean if len(values) >= 3 else None
    suspects = [counting[i].bench for i in apart(values, max(len(values) // _MOST_APART, 1))]
    return Product(
        name,
        results,
        summary.n,
        mean=summary.mean,
        s=summary.s,
        robust=middle,
        accepted=results[0].accepted,
        suspects=sorted(suspects),
    )


def _sentence(products: list[Product], unit: str) -> str:
    several = len(products) > 1
    apart_ones = [sentence for product in products if (sentence := _apart(product))]
    biased = [sentence for product in products if (sentence := _bias(product, several))]
    closest = [sentence for product in products if (sentence := _closest(product, several))]
    return " ".join([_found(products, unit), *biased, *apart_ones, *closest])


def _apart(product: Product) -> str:
    if not product.suspects:
        return ""
    single = len(product.suspects) == 1
    who = f"Bench{'' if single else 'es'} {joined([str(bench) for bench in product.suspects])}"
    lie, records = ("lies", "its record") if single else ("lie", "their records")
    return f"{who} {lie} far from the others; look at {records}."


def _bias(product: Product, named: bool) -> str:
    """How far the mean is from the accepted value, and whether chance does that (Student's t)."""
    if not product.accepted or product.n < 3 or not product.s:
        return ""
    away = (product.mean / product.accepted - 1) * 100
    p = against([r.value for r in _counting(product.results)], product.accepted).p
    who = f"With {product.label} the class" if named else "The class"
    sentence = f"{who} reads {with_figures(abs(away), 2)} % {'high' if away > 0 else 'low'}"
    return (
        f"{sentence}, more than chance does (t, {_p(p)})."
        if p < _CHANCE
        else f"{sentence}, within chance (t, {_p(p)})."
    )


def _p(p: float) -> str:
    return f"p = {with_figures(p, 2)}" if p >= 0.0001 else "p < 0.0001"


def _closest(product: Product, named: bool) -> str:
    """Who came nearest to the accepted value, several where they came equally near; empty without one, or alone."""
    if product.accepted is None or product.n < 2:
        return ""
    accepted = product.accepted
    away = {result.bench: abs(result.value - accepted) for result in _counting(product.results)}
    least = min(away.values())
    benches = sorted(bench for bench, distance in away.items() if isclose(distance, least, rel_tol=1e-9, abs_tol=1e-12))
    who = f"bench {benches[0]}" if len(benches) == 1 else f"benches {joined(map(str, benches))}"
    off = f", {with_figures(least / abs(accepted) * 100, 2)} % from the accepted value" if accepted else ""
    return f"Closest{f' with {product.label}' if named else ''}: {who}{off}."


def _found(products: list[Product], unit: str) -> str:
    if len(products) == 1:
        only = products[0]
        n = only.n
        spread = f", s = {with_figures(only.s, 2)} {unit}".rstrip() if n > 1 else ""
        return f"Mean of {n} bench{'es' if n > 1 else ''}: {with_figures(only.mean, 4)} {unit}".rstrip() + f"{spread}."
    order = "; ".join(f"{p.label} {with_figures(p.mean, 3)} {unit}".rstrip() for p in products)
    return f"{order}. {_difference(products[0], products[1])}"


def _difference(first: Product, second: Product) -> str:
    if min(first.n, second.n) < 2:
        return "At least two benches with each are needed to tell them apart."
    p = welch(*([r.value for r in _counting(product.results)] for product in (first, second))).p
    text = _p(p)
    if p < _CHANCE:
        return f"{first.label} lies above {second.label}; chance alone hardly does that (Welch t, {text})."
    return f"{first.label} and {second.label} cannot be told apart by these results (Welch t, {text})."
