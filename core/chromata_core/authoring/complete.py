"""What a declaration that holds still lacks before a class may work by it: told by working it, not by reading it. And
what it is wished besides, without which a class can work all the same.

The test suite holds every method of the registry to both; an instructor's own method is held to what it lacks before
its first use.
"""

from collections.abc import Iterator
from math import isfinite

from chromata_core.declaration.names import When
from chromata_core.declaration.option_kinds import ChoiceOption
from chromata_core.declaration.vocabulary import Fault, Method, Slip
from chromata_core.errors import ChromataError
from chromata_core.sheet.binding import bind
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.describe import page, wished
from chromata_core.telling.effects import slip_effects, what_if
from chromata_core.telling.evaluate import evaluate


def lacks(method: Method) -> list[str]:
    """A sentence for everything that is missing, each with what to do; none if the method is complete.

    ``method`` must hold: problems_of() is asked before. Anything that breaks while it is worked is told as a lack.
    """
    gaps = list(_missing(method))
    if gaps:  # there is nothing to work yet
        return gaps
    try:
        return list(_example(method)) or list(_under_each_choice(method))
    except Exception as error:  # whatever breaks here would break at a bench
        return [f"The worked example cannot be worked: {_said(error)}"]


def wishes(method: Method) -> list[str]:
    """What may wait: nothing of it could make a result wrong. ``method`` must hold."""
    try:
        return [*wished(method), *_without_effect(method)]
    except Exception:  # what breaks here is among what it lacks
        return wished(method)


def _said(error: Exception) -> str:
    return error.message if isinstance(error, ChromataError) else f"{type(error).__name__}, {error}."


def _missing(method: Method) -> Iterator[str]:
    for text, name in ((method.title, "title"), (method.question, "question that it answers")):
        if not text.strip():
            yield f"It has no {name}. Write one line."
    if not any(step.scope == "trial" for step in method.steps) or len(method.steps) < 2:
        yield "It has no steps that lead a bench. Write what is done, in order."
    if not any(quantity.result for quantity in method.quantities):
        yield "It has no result. Mark the quantity that is reported."
    if not method.hazards or not (method.steps and method.steps[0].cautions):
        yield "It has no cautions. Say what can hurt, above all at the first step, and that local rules decide."
    if not method.waste.strip():
        yield "It does not say where the waste goes."
    if not method.example.readings:
        yield "It has no worked example. Type the readings of a run, or simulate one."


def _example(method: Method) -> Iterator[str]:
    sheet = example_sheet(method)
    outcome, bound = evaluate(method, sheet), bind(method, sheet)
    there = {result.key for result in outcome.results}
    for quantity in bound.quantities:
        if quantity.result and quantity.key not in there:
            yield f"The worked example does not come to “{quantity.label}”. Type the readings it still needs."
    for result in outcome.results:
        if not isfinite(result.value) or result.expanded <= 0:
            yield f"“{result.label}” comes out without a value or without an uncertainty."
    for finding in outcome.findings:
        yield f"The worked example is not in order: {finding.what} {finding.why}".strip()
    page(method)


def _under_each_choice(method: Method) -> Iterator[str]:
    """Every choice must give a result, from the example or from one that was made for it."""
    for option in (option for option in method.options if isinstance(option, ChoiceOption)):
        for choice in option.choices:
            options = {**method.example.options, option.key: choice.key}
            done = evaluate(method, example_sheet(method, options)).results
            if not done:
                yield f"With “{option.label}” at “{choice.label}” the example gives no result. Add what it then needs."


def _without_effect(method: Method) -> Iterator[str]:
    """A slip or fault that changes nothing could never be told. Each is looked at under the choices it exists under."""
    parts: tuple[Slip | Fault, ...] = (*method.slips, *method.faults)
    for part in parts:
        bound = bind(method, example_sheet(method, {**method.example.options, **_chosen(part.when)}))
        effects = slip_effects(bound) if isinstance(part, Slip) else what_if(bound)
        if next(effect for effect in effects if effect.key == part.key).percent == 0.0:
            yield f"“{part.says if isinstance(part, Slip) else part.label}” changes no result of the worked example."


def _chosen(when: When) -> dict[str, str]:
    return {key: choice if isinstance(choice, str) else choice[0] for key, choice in (when or {}).items()}
