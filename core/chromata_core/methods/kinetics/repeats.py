"""Words for runs that are repeated until two of them agree."""

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import pairwise

from chromata_core.declaration.names import NumberName, SeriesName
from chromata_core.declaration.vocabulary import Series
from chromata_core.engine.context import Context
from chromata_core.judging.finding import Finding
from chromata_core.judging.shapes import Ends, Looks


@dataclass(frozen=True, slots=True)
class RepeatsAgree(Ends):
    """A run is repeated until two of the series ``of`` lie within an option (per cent) of each other, twice at least
    and no more often than the option ``most``.
    """

    of: SeriesName
    within: NumberName
    most: NumberName
    words: str = "until two runs agree"

    @property
    def options(self) -> tuple[str, ...]:
        """How near, and how often at most."""
        return (self.within, self.most)

    def met(self, at: Context, key: str, trial: int | None) -> bool:
        """Whether two agree, or the last run that is asked for was made."""
        times = [float(typed.value) for typed in at.bound.series(self.of, trial)]
        return len(times) >= at.number(self.most) or self.agree(at, times)

    def agree(self, at: Context, times: list[float]) -> bool:
        """Whether two neighbours in size differ by no more than that share of their mean."""
        near = float(at.number(self.within)) / 200
        ordered = sorted(times)
        return any(b - a <= near * (a + b) for a, b in pairwise(ordered))


@dataclass(frozen=True, slots=True)
class Repeats(Looks):
    """Says of the runs of a trial whether two agree, by the rule of the series ``base``."""

    base: SeriesName

    def look(self, at: Context) -> Iterator[Finding]:
        """A finding at the last run of every trial in which no two agree."""
        base = at.reading(self.base)
        assert isinstance(base, Series) and isinstance(base.until, RepeatsAgree)
        rule = base.until
        for trial in at.trials():
            readings = at.bound.series(rule.of, trial)
            if len(readings) < 2 or rule.agree(at, [float(typed.value) for typed in readings]):
                continue
            over = len(readings) >= at.number(rule.most)
            yield Finding(
                "repeats-apart", "look" if over else "repeat",
                f"{readings[-2].text} and {readings[-1].text} are too far apart.",
                f"Two runs of the same kind must lie within {at.number(rule.within)} %.",
                "Say so in the conclusion." if over else "Make another run.", key=rule.of, trial=trial, index=len(readings),
                word="Were both tubes at the same temperature? Once more.",
            )  # fmt: skip
