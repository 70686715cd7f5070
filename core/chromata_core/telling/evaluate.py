"""The engine's front door: a sheet in, everything the core has to say of it out."""

from dataclasses import replace

from chromata_core.declaration.places import answer
from chromata_core.declaration.vocabulary import Method
from chromata_core.engine.context import Context, context_of
from chromata_core.judging.find import find
from chromata_core.sheet.bound import Sheet
from chromata_core.telling.absent import absent
from chromata_core.telling.accepted import Accepted, compared, in_class_unit, must_be_accepted
from chromata_core.telling.chart import Chart, Draws
from chromata_core.telling.lay_out import lay_out
from chromata_core.telling.lines_of_work import own_answers
from chromata_core.telling.outcome import Comparison, Evaluation, ResultOut
from chromata_core.telling.progress import another, current_task, tasks
from chromata_core.telling.results import results_of
from chromata_core.telling.statistics_told import statistics_of
from chromata_core.telling.steps import hand_for, hand_of, steps_of
from chromata_core.telling.taken_over import handed_of
from chromata_core.telling.written import quantities_of, readings_of, trial_of

_SETTLED = ("identified",)  # good news that is an answer of the work, and not only a step that went well


def evaluate(method: Method, sheet: Sheet, accepted: Accepted | None = None) -> Evaluation:
    """Everything the core says of ``sheet``. ``accepted`` holds accepted values by result key, in the result's unit."""
    must_be_accepted(method, accepted or {})
    return told_of(context_of(method, sheet), accepted or {})


def told_of(at: Context, accepted: Accepted) -> Evaluation:
    """Everything the core says of a sheet that is computed already."""
    method = at.bound.method
    findings = find(at)
    planned = tasks(at)
    needed = [task.done for task in planned if not task.optional]
    return Evaluation(
        method=method.slug,
        version=method.version,
        trial_noun=method.trials.noun,
        progress=sum(needed) / len(needed) if needed else 0.0,
        hand=hand_of(at, current_task(at, planned)),
        tasks=[hand_for(at, task) for task in planned],
        another=hand_for(at, more[0]) if (more := another(at)) else None,
        steps=steps_of(at, planned),
        bench=readings_of(at, None, findings),
        trials=[trial_of(at, n, findings) for n in at.trials(valid=False)],
        quantities=quantities_of(at, None),
        results=results_of(at, accepted),
        absent=absent(at),
        statistics=statistics_of(at),
        charts=charts_of(at),
        path=list(method.path),
        agreement=next((f for f in findings if f.code in ("agree", "disagree")), None),
        settled=[f for f in findings if f.level == "keep" and f.code in _SETTLED],
        replicates_pass=_replicates_pass(at),
        findings=[f for f in findings if f.level != "keep"],
        own=own_answers(at),
        handed=handed_of(at),
        answers=[at.bound.texts.get(answer(n), "") for n in range(1, len(method.questions) + 1)],
    )


def held_against(method: Method, evaluation: Evaluation, accepted: Accepted) -> Evaluation:
    """``evaluation`` with its results compared with ``accepted`` values, as if these had been given to ``evaluate``."""
    must_be_accepted(method, accepted)
    units = {quantity.key: quantity.unit for quantity in method.quantities if quantity.accepted}
    return replace(
        evaluation,
        results=[
            replace(
                result, comparison=_beside(result, in_class_unit(accepted[result.key], units[result.key], result.unit))
            )
            if result.key in accepted
            else result
            for result in evaluation.results
        ],
    )


def _beside(result: ResultOut, accepted: str) -> Comparison | None:
    return compared(result.unit, result.value, result.expanded, accepted)


def charts_of(at: Context) -> list[Chart]:
    """Every chart of the method for which there is something to see."""
    drawn = [drawing.draw(at) for drawing in at.bound.method.charts if isinstance(drawing, Draws)]
    charts = [chart for chart in drawn if chart is not None]
    return [chart if chart.square else replace(chart, plot=lay_out(chart)) for chart in charts]


def _replicates_pass(at: Context) -> bool:
    agreed, asked = at.computed.agreement, at.bound.asked
    places = {at.bound.place(n) for n in at.computed.counted}
    return len(places) >= (at.bound.planned or asked.least) and (agreed is None or agreed.agree)
