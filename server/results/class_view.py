"""A class after its session: every result beside the others, what made the errors, one picture of all benches."""

from collections.abc import Mapping, Sequence
from dataclasses import replace

from chromata_core.declaration.option_kinds import ListOption
from chromata_core.engine.pooled import pooled_results
from chromata_core.quantity.report import report
from chromata_core.quantity.typed import parse_reading
from chromata_core.sentences import joined
from chromata_core.statistics.class_comparison import BenchResult, class_comparison
from chromata_core.telling.chart import Draws
from chromata_core.telling.class_causes import (
    BenchTold,
    fault_causes,
    misses,
    own_causes,
    own_results,
    reading_causes,
    without,
)
from chromata_core.telling.class_plot import class_plot
from chromata_core.telling.effects import what_if
from chromata_core.telling.lay_out import lay_out
from chromata_core.telling.outcome import ResultOut
from labs.around import around
from labs.models import Bench, LeftOut, Session
from labs.policy import may_see_accepted
from notebook.desks import Desk, desks, with_accepted
from people.models import Person
from results.samples_here import label_of
from results.shapes import ClassBench, ClassPage, ClassPooled, ClassResult


def class_page(session: Session, person: Person, projector: bool) -> ClassPage:
    """The class as ``person`` may see it; on a projector without names, and without what is not released."""
    surroundings, room = around(session), _room(session, person, projector)
    left_out = {left_out.bench_id: left_out.reason for left_out in LeftOut.objects.filter(bench__session=session)}
    places, sections = places_of_results(room), _sections(session)
    told = (
        _told(room, *places[0], left_out)
        if places
        else [BenchTold(desk.bench.number, desk.state, None) for desk in room]
    )
    return ClassPage(
        session=surroundings.session,
        together=surroundings.together,
        benches=[
            ClassBench(
                desk.bench.pk,
                desk.bench.number,
                label_of(desk.bench),
                [] if projector else surroundings.teams.get(desk.bench.pk, []),
                left_out.get(desk.bench.pk, ""),
            )
            for desk in room
        ],
        results=[_result(room, place, left_out, sections) for place in places],
        causes=[*reading_causes(told), *own_causes(told)],
        pooled=_pooled([desk for desk in room if desk.bench.pk not in left_out]),
    )


def _room(session: Session, person: Person, projector: bool) -> list[Desk]:
    """The benches at which something was written, beside accepted values where they may be seen."""
    benches = list(session.benches.select_related("sample").prefetch_related("sample__hidden"))
    for bench in benches:
        bench.session = session
    room = [desk for desk in desks(benches) if desk.entries]
    if may_see_accepted(person, session) and (session.released or not projector):
        return [replace(desk, state=with_accepted(desk.bench, desk.state)) for desk in room]
    return room


def places_of_results(room: Sequence[Desk]) -> list[tuple[str, int | None]]:
    """The results that some bench has, in the order of the method: of all trials together, or of a planned one."""
    return list(
        dict.fromkeys(
            (result.key, result.trial)
            for desk in room
            for result in desk.state.results
            if _compared(desk, result.trial)
        )
    )


def _compared(desk: Desk, trial: int | None) -> bool:
    """A trial has fellows at other benches only where trials are planned one by one."""
    return trial is None or (bool(desk.at.bound.planned) and desk.at.bound.place(trial) == trial)


def _told(room: Sequence[Desk], key: str, trial: int | None, left_out: Mapping[int, str]) -> list[BenchTold]:
    """The room with one of its results."""
    return [BenchTold(desk.bench.number, desk.state, _found(desk, key, trial, left_out)) for desk in room]


def _found(desk: Desk, key: str, trial: int | None, left_out: Mapping[int, str]) -> BenchResult | None:
    result = result_at(desk, (key, trial))
    if result is None:
        return None
    accepted = float(parse_reading(result.comparison.accepted).value) if result.comparison else None
    return BenchResult(
        desk.bench.number,
        label_of(desk.bench),
        result.value,
        result.expanded,
        accepted,
        left_out.get(desk.bench.pk, ""),
    )


def result_at(desk: Desk, place: tuple[str, int | None]) -> ResultOut | None:
    """A bench's result: of all trials together, or of a planned one; None while there is none."""
    return next((result for result in desk.state.results if (result.key, result.trial) == place), None)


def _sections(session: Session) -> dict[int, str]:
    """By record, the section of its team, where several came together; of a mixed team that of the first by name."""
    if not session.guests.exists():
        return {}
    teams = Bench.team.through.objects.filter(bench__session=session).order_by("-person__name")
    return {bench: section for bench, section in teams.values_list("bench", "person__section__name") if section}


def _by_section(
    room: Sequence[Desk], told: Sequence[BenchTold], sections: Mapping[int, str], label: str, unit: str
) -> str:
    """How the sections lie beside each other, of one product alone: two products differ by themselves."""
    results = [
        replace(bench.result, product=sections[desk.bench.pk], accepted=None)
        for desk, bench in zip(room, told, strict=True)
        if bench.result and desk.bench.pk in sections and not bench.result.left_out
    ]
    products = {bench.result.product for bench in told if bench.result}
    comparison = class_comparison(label, unit, results)
    if comparison is None or len(products) > 1 or len(comparison.products) < 2:
        return ""
    return comparison.sentence


def _result(
    room: Sequence[Desk], place: tuple[str, int | None], left_out: Mapping[int, str], sections: Mapping[int, str]
) -> ClassResult:
    key, trial = place
    told = _told(room, key, trial, left_out)
    results = [bench.result for bench in told if bench.result]
    example, out = next((desk, result) for desk in room if (result := result_at(desk, place)))
    comparison = class_comparison(out.label, out.unit, results)
    assert comparison is not None, "a result that some bench has"
    effects = what_if(example.at.bound) if trial is None and any(map(misses, results)) else []
    faults = fault_causes(told, effects)
    return ClassResult(
        key,
        trial,
        out.trial_name if trial is not None else "",
        comparison=comparison,
        plot=class_plot(comparison),
        faults=faults,
        without=without(told, [*faults, *reading_causes(told)], out.unit),
        own=own_results(told, key),
        sections=_by_section(room, told, sections, out.label, out.unit),
    )


def _pooled(room: Sequence[Desk]) -> list[ClassPooled]:
    """Every picture of the method that a whole class can have, with the results of all trials together beside it: one
    for all that work alike, for a line through two salts says nothing of either.
    """
    alike: dict[tuple[tuple[str, str], ...], list[Desk]] = {}
    for desk in room:
        alike.setdefault(_way(desk), []).append(desk)
    return [
        class_pooled
        for desks_alike in alike.values()
        for class_pooled in _together(desks_alike, several=len(alike) > 1)
    ]


def _way(desk: Desk) -> tuple[tuple[str, str], ...]:
    """What a bench does otherwise than the session; planned values may well differ, and lie on one line."""
    planned = {option.key for option in desk.at.bound.method.all_options if isinstance(option, ListOption)}
    return tuple(sorted((key, text) for key, text in desk.bench.own_options.items() if key not in planned))


def _together(room: Sequence[Desk], several: bool) -> list[ClassPooled]:
    benches = {f"record {desk.bench.pk}": desk.at for desk in room}
    if len(benches) < 2:
        return []
    charts = [drawing.pooled(benches) for drawing in room[0].at.bound.method.charts if isinstance(drawing, Draws)]
    drawn = [replace(chart, plot=lay_out(chart)) for chart in charts if chart is not None]
    if not drawn:
        return []
    lines = []
    for pooled_result in pooled_results(benches):
        shown = report(pooled_result.value, pooled_result.made.expanded * pooled_result.factor)
        lines.append(f"{pooled_result.quantity.label}: {shown.text} {pooled_result.quantity.unit}".rstrip())
    labels = list(dict.fromkeys(filter(None, (label_of(desk.bench) for desk in room))))
    title = joined(labels) if several and labels else ""
    return [ClassPooled(title, chart, lines if chart is drawn[0] else []) for chart in drawn]
