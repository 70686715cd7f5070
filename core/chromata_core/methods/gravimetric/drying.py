"""Drying to constant mass, written once: heat, cool, weigh, until two weighings agree."""

from chromata_core.declaration import cautions
from chromata_core.declaration.option_kinds import Choice, ChoiceOption, NumberOption, Option
from chromata_core.declaration.parts import Check
from chromata_core.declaration.vocabulary import Series, Step, Wait
from chromata_core.judging.checks import NotYetConstant
from chromata_core.judging.rules import ConstantMass
from chromata_core.judging.whenever import Whenever
from chromata_core.telling.charts import SeriesChart

LIMIT, SCHOOL, TIMES = "constant", "drying", "dryings"


def options(limit: str = "0.005") -> tuple[Option, ...]:
    """The class's rule. 0.005 g on a 0.001 g balance, 0.02 g on 0.01 g: common practice, no published source."""
    return (
        ChoiceOption(
            SCHOOL, "How is it dried?",
            (Choice("constant", "To constant mass"), Choice("fixed", "A fixed number of times: not shown constant")),
            "constant",
        ),
        NumberOption(LIMIT, "Constant mass: last two within", limit, "g",
                     help="0.005 g on a 0.001 g balance, 0.02 g on a 0.01 g balance. Common practice."),
        NumberOption(TIMES, "How many times", "2", low="1", high="10", when={SCHOOL: "fixed"}),
    )  # fmt: skip


def weighed_dry(key: str, label: str, hint: str, echo: str = "") -> Series:
    """Weighings after each drying, until the mass stays."""
    return Series(
        key, label, "g", "balance", key, until=ConstantMass(LIMIT, SCHOOL, TIMES), hint=hint, echo=echo, response=True
    )


def weigh_step(series: str, cooling: int, then: str, detail: str, scene: str) -> Step:
    """Cool for so many seconds and weigh; ``then`` says how to go on until it is constant."""
    return Step(
        "weigh", "Cool and weigh", "Let it cool to room temperature, then weigh;", then, detail,
        reads=(series,), wait=Wait("Cooling", cooling), cautions=(cautions.HOT_CRUCIBLE,), cycle=series, scene=scene,
    )  # fmt: skip


def checks(series: str, why: str, do: str) -> tuple[Check, ...]:
    """What is said after each weighing."""
    rise = f"{series} - before({series})"
    what = f"The mass went up by {{{rise}:g}}."
    return (
        NotYetConstant(series),
        Whenever("mass-rises", f"{rise} > {LIMIT}", what, why, do, "stop", series, series),
    )


def chart(series: str) -> SeriesChart:
    """The mass from weighing to weighing."""
    return SeriesChart("mass", "Mass after each drying", series, LIMIT)
