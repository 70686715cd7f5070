"""What is answered to who writes."""

from dataclasses import dataclass

from labs.shapes import BenchView
from notebook.actions import Kept


@dataclass(frozen=True, slots=True)
class Written:
    """What became of each entry that was sent, and the bench as it then stands."""

    kept: list[Kept]
    bench: BenchView
