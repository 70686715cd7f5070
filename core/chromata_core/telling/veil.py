"""What of an evaluation shows before the students' own work stands, and how much is told of that."""

from dataclasses import replace

from chromata_core.declaration.own_work import WORKSHEET, OwnWork, percent_error_of, percent_errors
from chromata_core.declaration.vocabulary import Method
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import names
from chromata_core.telling.chart import Chart
from chromata_core.telling.lay_out import lay_out
from chromata_core.telling.outcome import Evaluation, OwnAnswer, ResultOut

_UNTIL = {
    "after_line": "Each computed line shows when your own stands.",
    "after_own": "The computed lines and the result show when all of your own stand.",
    "after_release": "The computed lines and the result show when your instructor releases them.",
}


def veiled(evaluation: Evaluation, method: Method, asked: OwnWork, released: bool) -> Evaluation:
    """``evaluation`` as students see it. ``released``: nothing is held back any more."""
    if released:
        return evaluation
    hidden = hidden_keys(evaluation, method, asked)
    told = replace(
        evaluation, own=[replace(_hinted(evaluation, answer, asked), says="", away=None) for answer in evaluation.own]
    )
    if not hidden:
        return told
    return replace(
        told,
        results=[_uncompared(result, hidden) for result in evaluation.results if result.key not in hidden],
        quantities=[quantity for quantity in evaluation.quantities if quantity.key not in hidden],
        trials=[
            replace(trial, quantities=[quantity for quantity in trial.quantities if quantity.key not in hidden])
            for trial in evaluation.trials
        ],
        statistics=[],
        settled=[],
        charts=[_as_measured(chart) for chart in evaluation.charts if not _tells(chart, method, hidden)],
        veil=_UNTIL[asked.shows],
    )


def hidden_keys(evaluation: Evaluation, method: Method, asked: OwnWork) -> frozenset[str]:
    """Quantities that do not show yet: lines that are still to be worked out, and whatever is worked from them."""
    quantities = (*method.quantities, *percent_errors(method))
    every = [quantity.key for quantity in quantities]
    # under the choices of a sample some lines may not be there
    lines = [task.name for task in evaluation.tasks if task.step == WORKSHEET]
    open_lines = [key for key in lines if not _stands(evaluation, key, asked)]
    if asked.shows == "after_release" or (asked.shows == "after_own" and open_lines):
        return frozenset(every)
    hidden = set(open_lines) if asked.shows == "after_line" else set[str]()
    for quantity in quantities:  # in the order of the work: what is needed stands before
        if hidden & set(names(parse_formula(quantity.formula))):
            hidden.add(quantity.key)
    return frozenset(hidden)


def _uncompared(result: ResultOut, hidden: frozenset[str]) -> ResultOut:
    """How far off it is stands beside it, unless that is still to be worked out."""
    return replace(result, comparison=None) if percent_error_of(result.key) in hidden else result


def _stands(evaluation: Evaluation, key: str, asked: OwnWork) -> bool:
    """Whether the student's own line agrees by now, or was tried often enough."""
    return any(
        own_answer.key == key and (own_answer.agrees or _given_up(own_answer, asked)) for own_answer in evaluation.own
    )


def _given_up(answer: OwnAnswer, asked: OwnWork) -> bool:
    return 0 < asked.tries <= answer.tries


def _hinted(evaluation: Evaluation, answer: OwnAnswer, asked: OwnWork) -> OwnAnswer:
    """As much of it as a hint may tell."""
    if answer.agrees and asked.hints != "none":
        return replace(answer, line="", sentence="Right." if asked.hints == "verdict" else answer.sentence)
    if _given_up(answer, asked) or asked.hints == "line":
        return answer
    match asked.hints:
        case "none":
            return replace(answer, agrees=True, kind="kept", sentence="Kept.", line="")
        case "verdict":
            return replace(answer, kind="unexplained", sentence="Not yet.", line="")
        case "place":
            before = [
                own_answer for own_answer in evaluation.own[: evaluation.own.index(answer)] if not own_answer.agrees
            ]
            where = f"“{before[0].label}” differs first." if before else "What differs was done in this line."
            return replace(answer, kind="unexplained", sentence=f"Not yet. {where}", line="")
    return replace(answer, line="")


def _tells(chart: Chart, method: Method, hidden: frozenset[str]) -> bool:
    """Whether something hidden could be read off it: it stands at an axis, or as a bar."""
    words = (chart.x_label, chart.y_label, *chart.ticks, *(line.label for line in chart.lines))
    # what stands in braces is another word in each session
    labels = [quantity.label.partition("{")[0].strip() for quantity in method.quantities if quantity.key in hidden]
    return any(label and label in word for word in words for label in labels)


def _as_measured(chart: Chart) -> Chart:
    """The points alone: no line through them, no mark, no words on what they come to."""
    if chart.square:
        return chart
    points = [line for line in chart.lines if line.style != "path"]
    bare = replace(chart, lines=points, marks=[], areas=[], sentence=f"{chart.title}: what was measured.")
    return replace(bare, plot=lay_out(bare))
