"""What the tracer says to the teacher's answers, as they stand on a sheet one after the other."""

import re
from collections.abc import Iterator
from dataclasses import replace
from functools import cache
from importlib import import_module

from chromata_core.declaration.places import own
from chromata_core.engine.context import context_of
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.lines_of_work import own_answers
from chromata_core.telling.outcome import OwnAnswer
from tests.teacher import Answer

FAMILIES = ("solutions", "titrations", "weighing", "gases", "heats", "light", "cells_and_rates", "carried")


def everything() -> Iterator[tuple[Answer, OwnAnswer]]:
    """Every answer with what is said of it."""
    for family in FAMILIES:
        for answer in import_module(f"tests.teacher.{family}").ANSWERS:
            yield answer, said(answer)


@cache
def _example(slug: str) -> Sheet:
    return example_sheet(method(slug))


def said(answer: Answer) -> OwnAnswer:
    """What is said of one answer."""
    example = _example(answer.method)
    lines = (*answer.earlier, (answer.key, answer.trial, answer.text))
    written = tuple(Given(own(key, trial).key, text, trial) for key, trial, text in lines)
    at = context_of(method(answer.method), replace(example, given=(*example.given, *written)))
    return next(
        own_answer for own_answer in own_answers(at) if (own_answer.key, own_answer.trial) == (answer.key, answer.trial)
    )


def as_wanted(answer: Answer, own_answer: OwnAnswer) -> bool:
    """Whether it is what the teacher wants to hear."""
    kinds = answer.wants.removeprefix("= ").split("|") if answer.wants.startswith("= ") else ()
    if kinds:
        return own_answer.kind in [kind.removeprefix("= ") for kind in kinds]
    return (
        own_answer.kind not in ("right", "carried")
        and re.search(answer.wants, own_answer.sentence, re.IGNORECASE) is not None
    )
