"""What the core has to say about a sheet: a verdict with what, why and what to do."""

from dataclasses import dataclass
from typing import Literal

Level = Literal["keep", "look", "repeat", "stop"]
SEVERITY: dict[Level, int] = {"keep": 0, "look": 1, "repeat": 2, "stop": 3}


@dataclass(frozen=True)
class Finding:
    """One judgement. ``key``, ``trial`` and ``index`` point at a reading where there is one.

    ``suggest`` is a reading text to take over in one touch; ``word`` is what an instructor might say.
    """

    code: str
    level: Level
    what: str
    why: str
    do: str
    key: str = ""
    trial: int | None = None
    index: int | None = None
    suggest: str = ""
    word: str = ""


def gravest(findings: list[Finding]) -> Finding | None:
    """The finding to be said first."""
    return max(findings, key=lambda finding: SEVERITY[finding.level], default=None)
