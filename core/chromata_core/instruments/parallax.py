"""Parallax: against which mark a level is seen by an eye that does not stand at its height.

The marks are on the glass, the level is read in the tube's middle: an eye above sees it against a higher mark, and
the ring of a mark as an ellipse whose far side lies higher. Only at the level's height the ring is one line.
"""

import numpy as np

from chromata_core.instruments.instrument import Instrument

_HEIGHTS = (-0.9, -0.6, 0.0, 0.6, 0.9)


def eye_at(tool: Instrument, random: np.random.Generator) -> float:
    """Where an eye happens to be: how many divisions higher up the level is seen; 0 for what is not read so."""
    if tool.meniscus != "bottom" or tool.digital or tool.low == tool.high:
        return 0.0
    return float(random.choice(_HEIGHTS))


def seen_by(tool: Instrument, at: float, eye: float) -> float:
    """What is read where the level stands at ``at``, in the instrument's unit."""
    upward = -1 if tool.numbers_run == "down" else 1
    return at + upward * eye * float(tool.graduation)
