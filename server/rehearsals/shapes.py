"""What is told of simulated benches."""

from dataclasses import dataclass

from chromata_core.workbench.bench import WorkedView


@dataclass(frozen=True, slots=True)
class Played:
    """How many entries were written."""

    written: int


@dataclass(frozen=True, slots=True)
class Worked:
    """A bench worked on the screen: how many things were ``done``, and what is seen; None where no instrument is in
    hand.
    """

    done: int
    view: WorkedView | None
