"""What everything is computed on: arrays whose last axis runs over perturbations or draws."""

from typing import Any

from numpy.typing import NDArray

Column = NDArray[Any]
