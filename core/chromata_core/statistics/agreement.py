"""Rules by which a class decides that trials agree. Each is a policy with a name; the instructor chooses one.

Common practice, no published source: two titres within 0.10 mL; relative average deviation of 5 % at most.
"""

from collections import Counter
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from math import inf

from chromata_core.statistics.replicates import Replicates, replicates


@dataclass(frozen=True, slots=True)
class Policy:
    """A named rule: ``measure`` of a set must not exceed the limit. ``relative`` limits are fractions."""

    key: str
    label: str
    measure: Callable[[Replicates], float]
    relative: bool


@dataclass(frozen=True, slots=True)
class Agreement:
    """Which values agree (positions), how well, and whether the rule is met by at least ``needed`` of them."""

    agree: bool
    members: tuple[int, ...]
    measure: float


POLICIES: Mapping[str, Policy] = {
    policy.key: policy
    for policy in (
        Policy("range", "Furthest apart", lambda r: r.spread, relative=False),
        Policy("rad", "Relative average deviation", lambda r: r.rad, relative=True),
        Policy("rsd", "Relative standard deviation", lambda r: r.rsd, relative=True),
    )
}


def agreement(values: Sequence[float], policy: Policy, limit: float, needed: int = 2) -> Agreement:
    """The largest set of ``values`` that meets the rule, the tightest of equals, of equal values the earliest.

    Only values that are neighbours in size are tried: with one between them left out, a set is never tighter. So the
    work grows with the square of how many there are, not with 2ⁿ. When no ``needed`` values agree, every value is a
    member and ``agree`` is False.
    """
    order = sorted(range(len(values)), key=lambda place: (values[place], place))
    for size in range(len(values), max(needed, 1) - 1, -1):
        windows = [order[start : start + size] for start in range(len(values) - size + 1)]
        measures = [policy.measure(replicates([values[place] for place in chosen])) for chosen in windows]
        tightest = min(measures, default=inf)
        if tightest <= limit * (1 + 1e-9):  # 21.61 − 21.51 is 0.10 on paper, a hair more in binary
            equals = [chosen for chosen, measure in zip(windows, measures, strict=True) if measure == tightest]
            return Agreement(True, min(_earliest(values, chosen) for chosen in equals), tightest)
    return Agreement(False, tuple(range(len(values))), policy.measure(replicates(values)) if values else 0.0)


def _earliest(values: Sequence[float], chosen: Sequence[int]) -> tuple[int, ...]:
    """As many of each value as are ``chosen``, the first that were measured."""
    wanted = Counter(values[place] for place in chosen)
    members = []
    for place, value in enumerate(values):
        if wanted[value]:
            wanted[value] -= 1
            members.append(place)
    return tuple(members)
