"""Short ways to write a sheet down in a test."""

from collections.abc import Iterable, Mapping

from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet

TOOLS = {"burette": "burette-50-b", "pipette": "pipette-20-a"}


def titration(
    *trials: tuple[str, str],
    rough: tuple[str, str] | None = ("0.50", "22.9"),
    options: Mapping[str, str] | None = None,
    seen: Mapping[int, str] | None = None,
) -> Sheet:
    """An acid–base titration of 20.00 mL with (start, end) of each accurate trial."""
    given = [*_ticked("acid-base-titration", range(0 if rough else 1, len(trials) + 1)), Given("V_s", "20.00")]
    numbered = [(0, rough)] if rough else []
    for number, pair in [*numbered, *enumerate(trials, 1)]:
        start, end = pair
        given.append(Given("V_start", start, number))
        given.append(Given("end_point", (seen or {}).get(number, "held"), number))
        given.append(Given("V_end", end, number))
    return Sheet({"rough_trial": "yes" if rough else "no", **(options or {})}, TOOLS, tuple(given))


def crucible(*heated: str, options: Mapping[str, str] | None = None, flame: str = "plain") -> Sheet:
    """A hydrate in a crucible of 31.482 g, weighed after each heating."""
    given = [
        *_ticked("hydrate", [1]),
        Given("m_crucible", "31.482", 1),
        Given("m_before", "34.556", 1),
        Given("flame", flame, 1),
    ]
    given += [Given("m_heated", text, 1, index) for index, text in enumerate(heated, 1)]
    return Sheet(options or {}, {}, tuple(given))


def _ticked(slug: str, trials: Iterable[int]) -> list[Given]:
    """Every step that is only ticked, up to the end of the last trial."""
    steps = [step for step in method(slug).steps if not step.reads]
    setup = [Given(f"step.{step.key}", "done") for step in steps if step.scope == "setup"]
    return setup + [Given(f"step.{s.key}", "done", n) for s in steps if s.scope == "trial" for n in trials]
