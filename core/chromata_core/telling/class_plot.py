"""The results of a class laid out on one axis: numbered dots with their intervals, stacked so that none hides another.

As other plots it is plain data, for screen and paper alike; y runs downward.
"""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from statistics import median
from typing import Literal

from chromata_core.statistics.class_comparison import BenchResult, ClassComparison, Product
from chromata_core.statistics.robust import MAD_FACTOR
from chromata_core.telling.axes import Axis, axis_of, tick_text

WIDTH = 640.0
RADIUS = 10.0
_EDGE = 16.0  # left and right of the axis
_ROW, _HEAD, _FOOT = 23.0, 40.0, 30.0
_APART = 2 * RADIUS + 3
_FAR = 8.0  # scaled MADs from the middle: from here on a dot stands at the edge, and the others keep the room

Standing = Literal["counts", "apart", "left out"]


@dataclass(frozen=True, slots=True)
class ClassDot:
    """A bench's result at its place, its interval from ``left`` to ``right``. ``beyond``: it lies further out than the
    edge where it is drawn.
    """

    bench: int
    x: float
    y: float
    left: float
    right: float
    standing: Standing
    beyond: bool


@dataclass(frozen=True, slots=True)
class Strip:
    """The benches of one product between ``top`` and ``base``; where their mean is, and the accepted value."""

    label: str
    top: float
    base: float
    dots: list[ClassDot]
    mean: float
    accepted: float | None


@dataclass(frozen=True, slots=True)
class ClassTick:
    """A place on the axis with its number."""

    x: float
    text: str


@dataclass(frozen=True, slots=True)
class ClassPlot:
    """Strips one below the other over one axis."""

    width: float
    height: float
    strips: list[Strip]
    ticks: list[ClassTick]


def class_plot(comparison: ClassComparison) -> ClassPlot:
    """``comparison`` on a page 640 wide, as high as it has to be."""
    axis = _axis(comparison)
    strips: list[Strip] = []
    for product in comparison.products:
        strips.append(_strip(product, axis, strips[-1].base if strips else 0.0))
    return ClassPlot(
        WIDTH, strips[-1].base + _FOOT, strips, [ClassTick(axis.at(tick), tick_text(tick)) for tick in axis.ticks]
    )


def _axis(comparison: ClassComparison) -> Axis:
    results = [result for product in comparison.products for result in product.results]
    near = [bench_result for product in comparison.products for bench_result in _near(product.results)]
    ends = [
        end
        for bench_result in near or results
        for end in (bench_result.value - bench_result.expanded, bench_result.value + bench_result.expanded)
    ]
    accepted = [product.accepted for product in comparison.products if product.accepted is not None]
    return axis_of([*ends, *accepted], _EDGE, WIDTH - _EDGE)


def _near(results: Sequence[BenchResult]) -> Iterator[BenchResult]:
    """Those that make the axis; a few that lie far off would make it too long for all others."""
    middle = median(result.value for result in results)
    spread = MAD_FACTOR * median(abs(result.value - middle) for result in results)
    reach = max(_FAR * spread, 4 * median(result.expanded for result in results))
    yield from (result for result in results if abs(result.value - middle) <= reach)


def _strip(product: Product, axis: Axis, top: float) -> Strip:
    rows: list[float] = []  # where the last dot of each stands
    places: list[tuple[BenchResult, float, int]] = []
    for result in sorted(product.results, key=lambda result: result.value):
        x = min(max(axis.at(result.value), RADIUS), WIDTH - RADIUS)
        row = next((n for n, last in enumerate(rows) if x - last >= _APART), len(rows))
        rows[row : row + 1] = [x]
        places.append((result, x, row))
    base = top + _HEAD + _ROW * len(rows)
    dots = [_dot(result, product, axis, x, base - _ROW * (row + 0.5)) for result, x, row in places]
    accepted = None if product.accepted is None else axis.at(product.accepted)
    return Strip(product.label, top, base, dots, axis.at(product.mean), accepted)


def _dot(result: BenchResult, product: Product, axis: Axis, x: float, y: float) -> ClassDot:
    standing: Standing = "left out" if result.left_out else "apart" if result.bench in product.suspects else "counts"
    left, right = (axis.at(result.value + side * result.expanded) for side in (-1, 1))
    beyond = abs(axis.at(result.value) - x) > RADIUS
    ends = (x, x) if beyond else (max(left, 0.0), min(right, WIDTH))
    return ClassDot(result.bench, x, y, *ends, standing, beyond)
