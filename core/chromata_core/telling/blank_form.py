"""An experiment as a form to be filled in by hand: what is done, a blank for everything that is read or worked out."""

from dataclasses import dataclass

from chromata_core.apparatus.scene import SceneDrawn
from chromata_core.apparatus.scene_book import drawing
from chromata_core.declaration.vocabulary import Observation, Reading, Series
from chromata_core.sentences import first_upper
from chromata_core.sheet.bound import Bound

_OPEN = 3  # trials, where as many are made as time allows
_ROWS = 12  # of a series: as many as a page takes beside the rest


@dataclass(frozen=True, slots=True)
class Blank:
    """Something to be written: a number in ``unit``, as finely as ``fine`` says; or one of the ``choices``."""

    label: str
    unit: str
    fine: str = ""
    choices: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class BlankRows:
    """Readings made again and again, side by side, in so many ``rows``."""

    title: str
    columns: list[Blank]
    rows: list[int]


@dataclass(frozen=True, slots=True)
class FormStep:
    """What is done, with its cautions."""

    title: str
    text: str
    cautions: list[str]


@dataclass(frozen=True, slots=True)
class BlankForm:
    """The whole form: ``once`` is written once, ``each`` for each of the ``trials``; ``scenes`` show how it is done."""

    aim: str
    reaction: str
    hazards: list[str]
    steps: list[FormStep]
    once: list[Blank]
    trials: list[str]
    each: list[Blank]
    series: list[BlankRows]
    lines: list[Blank]
    questions: list[str]
    scenes: list[SceneDrawn]


def blank_form(bound: Bound) -> BlankForm:
    """The form of ``bound``, a sheet on which nothing is written."""
    method, singles = bound.method, [part for part in bound.parts if not isinstance(part, Series)]
    wanted = bound.own_work.lines or tuple(quantity.key for quantity in bound.quantities if quantity.result)
    return BlankForm(
        method.question,
        method.reaction,
        [bound.worded(hazard) for hazard in method.hazards],
        steps=[_step(bound, n) for n, step in enumerate(bound.steps) if step.scope != "closing"],
        once=[_blank(bound, part) for part in singles if part.scope == "bench"],
        trials=_trials(bound),
        each=[_blank(bound, part) for part in singles if part.scope == "trial"],
        series=[_rows(bound, part, name) for part in bound.readings if _leads(part) for name in _where(bound, part)],
        lines=[Blank(q.label, q.unit) for q in bound.quantities if q.key in wanted],
        questions=list(method.questions),
        scenes=[
            drawing(key) for key in dict.fromkeys(step.scene for step in bound.steps if step.scope != "closing") if key
        ],
    )


def _step(bound: Bound, number: int) -> FormStep:
    step = bound.steps[number]
    sentence = " ".join(filter(None, (step.lead, step.then, step.detail)))
    return FormStep(
        bound.worded(step.title), bound.worded(sentence), [bound.worded(caution) for caution in step.cautions]
    )


def _blank(bound: Bound, part: Reading | Observation) -> Blank:
    label = bound.worded(part.label)
    if isinstance(part, Observation):
        return Blank(label, "", "", tuple(bound.worded(choice.label) for choice in part.choices))
    tool = bound.instruments[part.role]
    fine = f"to {10.0**-tool.decimals:.{tool.decimals}f} {tool.unit}"
    return Blank(label, part.unit, fine)


def _trials(bound: Bound) -> list[str]:
    noun = bound.method.trials.noun
    many = bound.planned or (_OPEN if bound.asked.goes_on else bound.asked.least)
    rough = [f"Rough {noun.lower()}"] if bound.rough else []
    return [*rough, *(f"{first_upper(noun)} {number}" for number in range(1, many + 1))]


def _leads(part: Reading) -> bool:
    """The first of the series that are read in turn."""
    return isinstance(part, Series) and not part.beside


def _where(bound: Bound, part: Reading) -> list[str]:
    return [""] if part.scope == "bench" else _trials(bound)


def _rows(bound: Bound, part: Reading, where: str) -> BlankRows:
    beside = [r for r in bound.readings if isinstance(r, Series) and r.beside == part.key]
    title = ", ".join(filter(None, (bound.worded(part.label), where.lower())))
    return BlankRows(title, [_blank(bound, reading) for reading in (part, *beside)], list(range(1, _ROWS + 1)))
