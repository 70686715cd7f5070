"""How the work behind a class's view grows with its benches.

    bin/bench class_view        prints a table: milliseconds for 48 to 480 benches, and the power with which they grow

Each bench is a simulated one with a seed of its own. Timed is what the view does once the benches are evaluated (the
server keeps evaluations): comparison, causes, the means without them, the picture; for the last method also the line
that all benches give together.
"""

from __future__ import annotations

from math import log
from time import perf_counter

from chromata_core.engine.context import Context, context_of
from chromata_core.engine.pooled import pooled_results
from chromata_core.methods.registry import method
from chromata_core.simulation.rehearse import rehearse
from chromata_core.statistics.class_comparison import BenchResult, class_comparison
from chromata_core.telling.chart import Draws
from chromata_core.telling.class_causes import BenchTold, fault_causes, reading_causes, without
from chromata_core.telling.class_plot import class_plot
from chromata_core.telling.effects import what_if
from chromata_core.telling.evaluate import told_of
from chromata_core.telling.lay_out import lay_out

COUNTS = (48, 96, 240, 480)
SLUGS = ("acid-base-titration", "gas-eudometer", "beer-lambert")
DIFFERENT = 48  # benches that are really simulated; the room is filled with them again and again


def benches(slug: str) -> list[tuple[Context, BenchTold]]:
    """Evaluated benches of one class."""
    chosen = method(slug)
    benches = []
    for seed in range(DIFFERENT):
        at = context_of(chosen, rehearse(chosen, seed))
        state = told_of(at, {})
        mean = state.results[0]
        result = BenchResult(seed + 1, "", mean.value, mean.expanded, mean.value * 1.03)
        benches.append((at, BenchTold(seed + 1, state, result)))
    return benches


def view(room: list[tuple[Context, BenchTold]]) -> None:
    """What the server does for one look at the class."""
    told = [bench for _, bench in room]
    at = room[0][0]
    result = told[0].state.results[0]
    comparison = class_comparison(result.label, result.unit, [bench.result for bench in told if bench.result])
    assert comparison is not None
    class_plot(comparison)
    faults = fault_causes(told, what_if(at.bound))
    without(told, [*faults, *reading_causes(told)], result.unit)
    together = {f"record {number}": other for number, (other, _) in enumerate(room)}
    for chart in [drawing.pooled(together) for drawing in at.bound.method.charts if isinstance(drawing, Draws)]:
        if chart is not None:
            lay_out(chart)
    pooled_results(together)


for slug in SLUGS:
    some, times = benches(slug), []
    for count in COUNTS:
        room = [some[number % DIFFERENT] for number in range(count)]
        view(room)
        begun = perf_counter()
        view(room)
        times.append(perf_counter() - begun)
    grows = log(times[-1] / times[0]) / log(COUNTS[-1] / COUNTS[0])
    row = "".join(f"{count:5}: {t * 1000:6.1f} ms" for count, t in zip(COUNTS, times, strict=True))
    print(f"{slug:24}{row}   n^{grows:.2f}")
