"""How fast a plan answers, and how good turns are: bin/bench planning.

A plan's own answer (goal 150 ms, solver aside) and what would help most, which comes after it; turns at once and solved
for 8, 24 and 48 benches, with what no order can undercut; and around pins.
"""

from collections.abc import Callable
from dataclasses import replace
from statistics import median
from time import perf_counter

from chromata_core.methods.registry import method, methods
from chromata_core.planning.foresight import foresee
from chromata_core.planning.predict import predict
from chromata_core.planning.solve_turns import solve
from chromata_core.planning.timetable import solved_at_once
from chromata_core.planning.turns import Pin, Problem, Solved, problem_of
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet

SIZES, SECONDS, AGAIN = (8, 24, 48), 5.0, 3
SHARING = ("rate-temperature", "beer-lambert", "solubility-product")


def timed(work: Callable[[], object]) -> float:
    """Milliseconds, the middle of several."""
    times = []
    for _ in range(AGAIN):
        begun = perf_counter()
        work()
        times.append((perf_counter() - begun) * 1000)
    return median(times)


def main() -> None:
    """Prints a table of plans, and one of turns."""
    print(f"{'plan for 8 benches':<28} answer, ms   helps most, ms")
    for slug, declared in methods().items():
        answer = timed(lambda declared=declared: predict(declared, Sheet(), 8, 1, 120))
        print(f"{slug:<28} {answer:10.0f} {timed(lambda declared=declared: foresee(declared, Sheet())):16.0f}")
    print(f"\n{'turns':<40} benches  minutes   least   gap    ms")
    for slug in SHARING:
        for benches in SIZES:
            problem = problem_of(bind(method(slug), Sheet()), benches)
            told(f"{slug}, at once", problem, lambda problem=problem: solved_at_once(problem))
            told(f"{slug}, solved", problem, lambda problem=problem: solve(problem, SECONDS))
    for benches in SIZES:
        problem = problem_of(bind(method("rate-temperature"), Sheet()), benches)
        pins = tuple(Pin(bench, 0, "70", 1, 24) for bench in (1, 2))
        pinned = replace(problem, pins=pins)
        told("rate-temperature, two benches pinned", pinned, lambda pinned=pinned: solve(pinned, SECONDS))


def told(name: str, problem: Problem, work: Callable[[], Solved]) -> None:
    """A line of the table of turns."""
    begun = perf_counter()
    result = work()
    took = (perf_counter() - begun) * 1000
    gap = (result.minutes - result.least) / result.minutes
    print(f"{name:<40} {len(problem.benches):7} {result.minutes:8} {result.least:7} {gap:6.1%} {took:6.0f}")


if __name__ == "__main__":
    main()
