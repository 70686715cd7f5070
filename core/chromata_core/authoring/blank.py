"""An empty method to begin with: it holds, and says what it still lacks."""

from chromata_core.declaration.cautions import DEFER, GOGGLES
from chromata_core.declaration.option_kinds import Trials
from chromata_core.declaration.vocabulary import SOLUTIONS, Example, Method, Quantity, Reading, Role, Step


def blank(slug: str, title: str) -> Method:
    """One mass, read in every trial, and its mean: a place to write from."""
    return Method(
        slug=slug,
        version=1,
        family=SOLUTIONS,
        title=title,
        question="",
        reaction="",
        options=(),
        roles=(Role("balance", "Balance", ("balance",), "balance-0.01"),),
        readings=(Reading("m", "Mass", "g", "balance", "m"),),
        quantities=(
            Quantity("m_t", "Mass in this trial", "m", "g", "m"),
            Quantity("m_mean", "Mass, mean", "mean(m_t)", "g", "m̄", "summary", result=True),
        ),
        steps=(
            Step(
                "begin", "Goggles", "Put goggles on", "and read the whole page first.", "", "setup",
                cautions=(GOGGLES, DEFER),
            ),
            Step("weigh", "Weigh", "Weigh it", "and copy every digit.", reads=("m",)),
        ),
        hazards=(GOGGLES, DEFER),
        checks=(),
        questions=(),
        example=Example((), source="invented by its author"),
        trials=Trials("Trial", 1, 6),
    )  # fmt: skip
