"""The engine's front door: a sheet in, everything the core has to say of it out."""

from dataclasses import replace
from math import inf, isfinite

from chromata_core.declaration.vocabulary import Method, Observation, Quantity, Reading, Series, Step
from chromata_core.engine.apparatus_school import worst_cases
from chromata_core.engine.context import Context, Place
from chromata_core.engine.figures_school import figures_of
from chromata_core.engine.numeric_pass import compute
from chromata_core.engine.shown import Shown
from chromata_core.formula.mathml import symbol_mathml
from chromata_core.formula.parse import parse_formula
from chromata_core.formula.tree import Name
from chromata_core.judging.find import find
from chromata_core.judging.finding import Finding, Level, gravest
from chromata_core.quantity.report import report
from chromata_core.quantity.rounding import plain, with_figures
from chromata_core.quantity.units import unit
from chromata_core.sheet.bound import Sheet, Slot, bind
from chromata_core.telling.absent import absent
from chromata_core.telling.accepted import Accepted, compared, must_be_accepted, value_of_nature
from chromata_core.telling.chart import Chart, Draws
from chromata_core.telling.diagnose import diagnose
from chromata_core.telling.outcome import (
    BudgetOut,
    Evaluation,
    Hand,
    OwnAnswer,
    QuantityOut,
    ReadingOut,
    ResultOut,
    StepOut,
    TrialOut,
)
from chromata_core.telling.pair_matrix import pair_matrix
from chromata_core.telling.progress import Task, current_task, guided, task_title, tasks
from chromata_core.telling.statistics_told import statistics_of
from chromata_core.uncertainty.budget import Budget, BudgetLine, budget
from chromata_core.uncertainty.columns import contributions_of, value_of
from chromata_core.uncertainty.source import WORDS

_SETTLED = ("identified",)  # good news that is an answer of the work, and not only a step that went well


def context_of(method: Method, sheet: Sheet) -> Context:
    """``sheet`` bound and computed; SheetError lists everything on it that does not belong."""
    bound = bind(method, sheet)
    computed = compute(bound)
    return Context(bound, computed, figures_of(bound, computed))


def evaluate(method: Method, sheet: Sheet, accepted: Accepted | None = None) -> Evaluation:
    """Everything the core says of ``sheet``. ``accepted`` holds accepted values by result key, in the result's unit."""
    must_be_accepted(method, accepted or {})
    at = context_of(method, sheet)
    findings = find(at)
    planned = tasks(at)
    needed = [task.done for task in planned if not task.optional]
    return Evaluation(
        method=method.slug,
        version=method.version,
        trial_noun=method.trials.noun,
        progress=sum(needed) / len(needed) if needed else 0.0,
        hand=_hand(at, current_task(at, planned)),
        tasks=[hand_for(at, task) for task in planned],
        steps=_steps(at, planned),
        bench=_readings(at, None, findings),
        trials=[_trial(at, n, findings) for n in at.trials(valid=False)],
        quantities=_quantities(at, None),
        results=_results_out(at, accepted or {}),
        absent=absent(at),
        statistics=statistics_of(at),
        charts=charts_of(at),
        path=list(method.path),
        agreement=next((f for f in findings if f.code in ("agree", "disagree")), None),
        settled=[f for f in findings if f.level == "keep" and f.code in _SETTLED],
        replicates_pass=_replicates_pass(at),
        findings=[f for f in findings if f.level != "keep"],
        own=_own(at),
        answers=[at.bound.texts.get((f"answer.{n}", None, None), "") for n in range(1, len(method.questions) + 1)],
        matrix=pair_matrix(at, findings),
    )


def held_against(method: Method, found: Evaluation, accepted: Accepted) -> Evaluation:
    """``found`` with its results compared with ``accepted`` values, as if they had been given when it was evaluated."""
    must_be_accepted(method, accepted)
    quantities = {quantity.key: quantity for quantity in method.quantities if quantity.accepted}
    return replace(
        found,
        results=[
            replace(one, comparison=compared(quantities[one.key], one.value, one.expanded, accepted[one.key]))
            if one.key in accepted
            else one
            for one in found.results
        ],
    )


def charts_of(at: Context) -> list[Chart]:
    """Every chart of the method for which there is something to see."""
    drawn = [drawing.draw(at) for drawing in at.bound.method.charts if isinstance(drawing, Draws)]
    return [chart for chart in drawn if chart is not None]


def _replicates_pass(at: Context) -> bool:
    agreed, plan = at.computed.agreement, at.bound.method.trials
    made = {at.bound.place(n) for n in at.computed.counted}
    return len(made) >= (at.bound.planned or plan.minimum) and (agreed is None or agreed.agree)


def result_places(at: Context) -> list[Place]:
    """Every result that can be worked: those of the bench, and those of each trial that counts.

    What is asked comes first: where trials are planned one by one, each has its own; else what they give together.
    """
    places = [(q, n) for q in at.bound.quantities if q.result for n in (at.trials() if q.scope == "trial" else [None])]
    known = [(q, n) for q, n in places if at.computed.column(q.key, n) is not None]
    return known if at.bound.method.trials.each else sorted(known, key=lambda place: place[1] is not None)


def _results_out(at: Context, accepted: Accepted) -> list[ResultOut]:
    found = result_places(at)
    worst = worst_cases(at) if found else {}
    return [
        result_of(
            at,
            place,
            accepted.get(place[0].key) or value_of_nature(at, *place),
            worst.get((place[0].key, place[1]), ""),
        )
        for place in found
    ]


def stated(at: Context, quantity: Quantity, trial: int | None) -> tuple[float, Budget, float]:
    """A result's value (declared unit), its budget (SI), and the factor from SI to the declared unit."""
    column = at.computed.column(quantity.key, trial)
    assert column is not None
    made = budget(at.computed.columns.sources, contributions_of(column))
    scale = unit(quantity.unit)
    return scale.from_si(value_of(column)), made, 1.0 / scale.factor


def result_of(at: Context, place: Place, accepted: str | None, worst: str) -> ResultOut:
    """A result with its uncertainty, budget, advice, and comparison where an accepted value is given."""
    quantity, trial = place
    value, made, factor = stated(at, quantity, trial)
    reported = report(at.decimal(quantity, trial), made.expanded * factor)
    lines = [_budget_line(line, quantity, factor) for line in made.lines]
    return ResultOut(
        key=quantity.key,
        trial=trial,
        trial_name=trial_title(at, trial),
        label=quantity.label,
        symbol=symbol_mathml(quantity.symbol),
        unit=quantity.unit,
        value=value if isfinite(value) else 0.0,
        u=made.u * factor,
        expanded=made.expanded * factor,
        k=made.k,
        dof=None if made.dof == inf or made.dof > 1e6 else made.dof,
        shown=Shown(reported.value, reported.doubtful, quantity.unit),
        uncertainty=reported.uncertainty,
        power=reported.power,
        line=f"{reported.text} {quantity.unit}".rstrip(),
        by_figures=at.figured(quantity, trial),
        worst_case=worst,
        budget=lines,
        advice=_advice(lines),
        comparison=compared(quantity, value, made.expanded * factor, accepted) if accepted else None,
    )


def _budget_line(line: BudgetLine, quantity: Quantity, factor: float) -> BudgetOut:
    scale = unit(line.first.unit)
    several = f"{line.sources} × " if line.sources > 1 else ""
    known = ""  # the spread of trials has no size of its own before it is averaged
    if line.first.u:
        known = f"{several}{with_figures(line.first.u / scale.factor, 2)} {line.first.unit}".rstrip()
    sensitivity = ""
    if line.sensitivity is not None:
        per = "/".join(filter(None, (quantity.unit and f"({quantity.unit})", line.first.unit)))
        sensitivity = f"{with_figures(line.sensitivity * scale.factor * factor, 3)} {per}".rstrip()
    return BudgetOut(line.label, line.u * factor, line.share, WORDS[line.first.distribution], known, sensitivity)


def _advice(lines: list[BudgetOut]) -> str:
    if not lines:
        return ""
    top = lines[0]
    least = f" {lines[-1].label} hardly matters." if len(lines) > 1 and lines[-1].share < 0.05 else ""
    return f"{top.label} makes {top.share:.0%} of the uncertainty.{least}"


def _level_at(findings: list[Finding], slot: Slot) -> Level:
    here = [f for f in findings if (f.key, f.trial, f.index) == slot]
    worst = gravest(here)
    return worst.level if worst else "keep"


def _readings(at: Context, trial: int | None, findings: list[Finding]) -> list[ReadingOut]:
    """Readings and observations of one trial (or of the bench) in the order the method names them, pairs together."""
    order = {bottle.key: -1 for bottle in at.bound.bottles}
    order |= {part.key: place for place, part in enumerate(at.bound.method.readings) if at.bound.part(part.key)}
    slots = [s for s in (*at.bound.typed, *at.bound.texts) if s[1] == trial and s[0] in order]
    pairs = {r.key: r.beside for r in at.bound.readings if isinstance(r, Series) and r.beside}
    slots.sort(key=lambda slot: (order[pairs.get(slot[0], slot[0])], slot[2] or 0, order[slot[0]]))
    return [_reading(at, slot, findings) for slot in slots]


def _reading(at: Context, slot: Slot, findings: list[Finding]) -> ReadingOut:
    bottle, part = at.bound.bottle(slot[0]), at.bound.part(slot[0])
    if bottle is not None:
        said = Shown(at.bound.label_of(bottle), 0, bottle.unit)
        return ReadingOut(bottle.key, bottle.label, None, None, said, "keep")
    assert part is not None
    if isinstance(part, Observation):
        label = next(c.label for c in part.choices if c.key == at.bound.texts[slot])
        shown = Shown(label, 0, "")
    else:
        typed = at.bound.typed[slot]
        shown = Shown(plain(typed.value, typed.decimals), 1, part.unit)
    beside = part.beside if isinstance(part, Series) else ""
    return ReadingOut(part.key, part.label, slot[1], slot[2], shown, _level_at(findings, slot), beside)


def _quantities(at: Context, trial: int | None) -> list[QuantityOut]:
    values = at.computed.bench if trial is None else at.computed.trials[trial]
    wanted = [q for q in at.bound.quantities if (q.scope == "trial") == (trial is not None) and q.key in values]
    return [
        QuantityOut(q.key, q.label, symbol_mathml(q.symbol), at.value(q.key, trial) or 0.0,
                    at.figured(q, trial))
        for q in wanted if not (q.per or q.aside or (q.result and trial is None) or _as_read(at, q))
    ]  # fmt: skip


def _as_read(at: Context, quantity: Quantity) -> bool:
    """Whether it only takes a reading over, in the same unit: it stands among the readings already."""
    tree = parse_formula(quantity.formula)
    reading = at.reading(tree.key) if isinstance(tree, Name) else None
    return reading is not None and reading.unit == quantity.unit


def _short(at: Context, number: int) -> str:
    """What stands above the column of a trial: “rough”, “2”, “Cu–Zn”."""
    pair = at.bound.pair(number)
    if at.is_rough(number):
        return "rough"
    return (f"{pair.plus}–{pair.minus}" if pair else f"{at.bound.place(number)}") + at.again(number)


def _trial(at: Context, number: int, findings: list[Finding]) -> TrialOut:
    computed = at.computed
    name = _short(at, number)
    complete = all(q.key in computed.trials[number] for q in at.bound.quantities if q.scope == "trial")
    if number in computed.voided:
        state, why = "void", computed.voided[number]
    elif at.bound.rough and number == 0:
        state, why = "rough", "The rough trial is never averaged."
    elif not complete:
        state, why = "open", ""
    elif number in computed.counted:
        state, why = "counted", ""
    else:
        state, why = "set aside", "It does not agree with the others."
    return TrialOut(number, name, state, why, _readings(at, number, findings), _quantities(at, number))


def _steps(at: Context, planned: list[Task]) -> list[StepOut]:
    now = current_task(at, planned)
    grouped: dict[tuple[str, int | None], list[Task]] = {}
    for task in planned:
        grouped.setdefault((task.step.key, task.trial), []).append(task)
    found = []
    for (key, trial), group in grouped.items():
        step = group[0].step
        done = all(task.done or task.optional for task in group)
        begun = at.begun(step, trial)
        state = "void" if trial in at.computed.voided else "done" if done else "ahead"
        state = "now" if now is not None and (now.step.key, now.trial) == (key, trial) else state
        found.append(_step(at, step, trial, state, begun))
    return found


def _step(at: Context, step: Step, trial: int | None, state: str, begun: float | None) -> StepOut:
    def worded(text: str) -> str:
        return at.bound.worded(text, trial)

    return StepOut(
        key=step.key,
        title=worded(step.title),
        detail=guided(at, step, trial) or worded(step.detail),
        scope=step.scope,
        trial=trial,
        trial_name=trial_title(at, trial),
        trial_short="" if trial is None else _short(at, trial),
        state=state,
        wait_label=worded(step.wait.label) if step.wait else "",
        wait_seconds=step.wait.seconds if step.wait else 0,
        begun=begun,
        meanwhile=step.meanwhile,
        cautions=[worded(caution) for caution in step.cautions],
        photo=worded(step.photo),
    )


def trial_title(at: Context, trial: int | None) -> str:
    """“Rough trial”, “Trial 2”, empty for the bench."""
    return at.trial_name(trial).removeprefix("the ").capitalize() if trial is not None else ""


def _hand(at: Context, task: Task | None) -> Hand:
    if task is None:
        return Hand(
            "finished",
            "",
            None,
            None,
            "",
            "Finished",
            "All done.",
            "Read the report with your team.",
            "",
            "",
            done=True,
            optional=False,
        )
    return hand_for(at, task)


def hand_for(at: Context, task: Task) -> Hand:
    """The reading (or observation, or step) in hand, with its words."""
    key, trial, index = task.slot
    part, bottle = at.bound.part(key), at.bound.bottle(key)
    kind = "reading" if isinstance(part, Reading) else "observation" if part else key.partition(".")[0]
    kind = "tick" if kind == "step" else "bottle" if bottle else kind
    hint = part.hint if part else bottle.help if bottle else ""
    how = at.bound.instruments[part.role].how if isinstance(part, Reading) else ""
    step = task.step
    ahead = "" if task.done else guided(at, step, trial)
    said = (hint, how if isinstance(part, Reading) else "")

    def worded(text: str) -> str:
        return at.bound.worded(text, trial, index)

    detail = worded(" ".join(filter(None, said)) or step.detail)
    lead, then = (ahead, "") if ahead else (worded(step.lead), worded(step.then))
    title = worded(task_title(at, task))
    aside = trial_title(at, trial)
    return Hand(kind, key, trial, index, step.key, title, lead, then, aside, detail, task.done, task.optional)


def _own(at: Context) -> list[OwnAnswer]:
    """The student's own answers, each traced; one may rightly follow from another that was wrong."""
    places = result_places(at)
    given = {(q.key, n): typed for q, n in places if (typed := at.bound.typed.get((f"own.{q.key}", n, None)))}
    found = []
    for quantity, trial in places:
        typed = given.get((quantity.key, trial))
        if typed is None:
            continue
        earlier = {key: answer for (key, n), answer in given.items() if key != quantity.key and n == trial}
        traced = diagnose(at, quantity, typed, earlier, trial)
        agrees = traced.kind in ("right", "rounded", "carried")
        label = f"{quantity.label}, {at.trial_name(trial)}" if trial is not None else quantity.label
        found.append(
            OwnAnswer(quantity.key, trial, label, typed.text, quantity.unit, agrees, traced.kind, traced.sentence)
        )
    return found
