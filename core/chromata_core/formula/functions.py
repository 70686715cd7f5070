"""The functions of the formula language, one line each: what they do to columns, to units and on paper.

Columns are arrays whose last axis runs over perturbations or draws; a list of readings or trials is the first axis.
Only operations that also hold for complex columns are allowed here: the linear budget is a complex step.
"""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

Column = NDArray[Any]


@dataclass(frozen=True, slots=True)
class Function:
    """``over_list`` takes a list and gives one value; ``plain`` wants a plain number and gives one."""

    apply: Callable[[Column], Column]
    shown: str
    over_list: bool = False
    plain: bool = False
    root: bool = False


FUNCTIONS: dict[str, Function] = {
    "mean": Function(lambda x: x.mean(axis=0), "mean", over_list=True),
    "sum": Function(lambda x: x.sum(axis=0), "sum", over_list=True),
    "last": Function(lambda x: x[-1], "last", over_list=True),
    "first": Function(lambda x: x[0], "first", over_list=True),
    "ln": Function(np.log, "ln", plain=True),
    "log10": Function(np.log10, "log₁₀", plain=True),
    "exp": Function(np.exp, "exp", plain=True),
    "sqrt": Function(np.sqrt, "√", root=True),
}
