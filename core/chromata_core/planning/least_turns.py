"""How long turns take at least, whoever comes first: what no order of benches can undercut."""

from collections.abc import Mapping
from math import ceil

import numpy as np

from chromata_core.planning.turns import Equipment, Problem

_SECONDS = 0.4


def least_minutes(problem: Problem) -> int:
    """No turns are through earlier: every piece has its waves and its settings to do, every bench its own turns."""
    least = problem.now
    for place, equipment in enumerate(problem.equipment):
        open_ = [(bench, value) for bench, at, value in problem.wanted() if at == place]
        first = min((max(problem.begins[bench] + equipment.after, problem.now) for bench, _ in open_), default=0)
        free = equipment.minutes if any(value == equipment.free for _, value in open_) else 0
        waves = {
            v: ceil(sum(problem.size(at) for at, value in open_ if value == v) / equipment.places)
            for v in equipment.at_pieces
        }
        least = max(least, first + free + _least_at_pieces(equipment, waves))
    for bench in problem.benches:
        own = [problem.equipment[place] for at, place, _ in problem.wanted() if at == bench]
        if own:
            begins = max(problem.begins[bench] + min(equipment.after for equipment in own), problem.now)
            least = max(least, begins + sum(equipment.minutes for equipment in own))
    return least


def _least_at_pieces(equipment: Equipment, waves: Mapping[str, int]) -> int:
    """The shortest in which ``pieces`` do so many ``waves`` of each value, each set anew between two values: an integer
    program over how many waves of which value each piece does.
    """
    from scipy.optimize import Bounds, LinearConstraint, milp  # slow to import

    wanted = {value: count for value, count in waves.items() if count}
    if not wanted:
        return 0
    if len(wanted) == 1:
        return ceil(sum(wanted.values()) / equipment.pieces) * equipment.minutes
    pieces, values = equipment.pieces, list(wanted)
    cells = pieces * len(values)
    # Unknowns: waves of each value at each piece, whether it stands there at all, and the time of the longest.
    size = 2 * cells + 1
    rows, low, high = [], [], []

    def row(entries: Mapping[int, float], least: float, most: float) -> None:
        line = np.zeros(size)
        line[list(entries)] = list(entries.values())
        rows.append(line)
        low.append(least)
        high.append(most)

    for at, value in enumerate(values):
        row({piece * len(values) + at: 1.0 for piece in range(pieces)}, wanted[value], np.inf)
        for piece in range(pieces):
            cell = piece * len(values) + at
            row({cell: 1.0, cells + cell: -float(wanted[value])}, -np.inf, 0.0)
    for piece in range(pieces):
        mine = range(piece * len(values), (piece + 1) * len(values))
        times = {cell: -float(equipment.minutes) for cell in mine} | {
            cells + cell: -float(equipment.change) for cell in mine
        }
        row({**times, 2 * cells: 1.0}, -float(equipment.change), np.inf)
    upper = np.array([*(wanted[value] for _ in range(pieces) for value in values), *([1] * cells), np.inf])
    optimum = milp(
        c=np.eye(size)[-1], integrality=np.ones(size), bounds=Bounds(np.zeros(size), upper),
        constraints=LinearConstraint(np.array(rows), low, high), options={"time_limit": _SECONDS},
    )  # fmt: skip
    bound = optimum.get("mip_dual_bound")  # what it has proven, also where the time was too short
    return ceil(bound - 1e-6) if bound is not None and np.isfinite(bound) else 0
