"""What is told of simulated benches."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Played:
    """How many entries were written."""

    written: int
