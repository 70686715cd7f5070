"""A bench's result beside that of another product: how far apart, and whether more than both are known to."""

from dataclasses import dataclass
from math import hypot

from chromata_core.quantity.rounding import with_figures
from chromata_core.telling.outcome import Evaluation, ResultOut


@dataclass(frozen=True, slots=True)
class Beside:
    """The same result of two products with their difference (own less other) and its U, in the result's unit."""

    key: str
    label: str
    unit: str
    own: str
    other: str
    difference: float
    expanded: float
    sentence: str


def beside(own: Evaluation, other: Evaluation, other_name: str) -> list[Beside]:
    """Every result of the bench that both have."""
    results = {result.key: result for result in other.results if result.trial is None}
    return [_pair(r, results[r.key], other_name) for r in own.results if r.trial is None and r.key in results]


def _pair(own: ResultOut, other: ResultOut, name: str) -> Beside:
    """The two are taken as independent: a shared instrument would make their difference better known, not worse."""
    difference, u = own.value - other.value, hypot(own.expanded, other.expanded)
    share = abs(difference) / abs(other.value) * 100 if other.value else 0.0
    way = "more" if difference > 0 else "less"
    sentence = f"{_percent(share)} % {way} than {name}: "
    sentence += (
        "further apart than both are known to." if abs(difference) > u else "no further apart than both are known to."
    )
    return Beside(
        own.key,
        own.label,
        own.unit,
        own=_without_unit(own),
        other=_without_unit(other),
        difference=difference,
        expanded=u,
        sentence=sentence,
    )


def _percent(share: float) -> str:
    """Two figures, but never as a power of ten."""
    return f"{share:.0f}" if share >= 10 else with_figures(share, 2)


def _without_unit(result: ResultOut) -> str:
    """“11.035 ± 0.081”: the unit stands once for both."""
    return result.line.removesuffix(result.unit).rstrip()
