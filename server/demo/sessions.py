"""The demo's sessions: titrations past, running and planned; pasts of other families beside. All invented."""

from datetime import datetime, timedelta
from decimal import Decimal

from django.utils import timezone

from chromata_core.simulation.burette_bench import SimulatedBench, titrate
from demo.before_class import ASKED, prepare
from demo.hours import at_work
from demo.pasts import make_pasts
from demo.writing import Pen
from labs import actions
from labs.declared import method_of
from labs.models import Bench, Session
from notebook.desks import evaluation_of
from notebook.standing import entries_of
from people.models import Person, Section

_SLUG = "acid-base-titration"
_DESCALER = {
    "M_s": "C6H8O7", "c_t": "0.1026", "c_t.limit": "0.0004", "dilution": "10", "dilution.limit": "0.02", "dose": "50",
}  # fmt: skip
_WHEY = {"M_s": "C3H6O3", "c_t": "0.1026", "c_t.limit": "0.0004", "dose": "250"}
_TOOLS = {"burette": "burette-50-b", "pipette": "pipette-20-a"}
_BOTTLES = {"Bottle A": 0.352, "Bottle B": 0.318}
_WHEY_TRUE = 0.0914


def make_sessions(section: Section) -> None:
    """All of them."""
    now = timezone.now().replace(second=0, microsecond=0)
    make_pasts(section, now)
    _past(section, at_work(now, -6, 9))
    _running(section, now - timedelta(minutes=52))
    _planned(section, at_work(now, 7, 13))
    _warm(section, at_work(now, 8, 9))


def _bench_data(session: Session, true: float, seed: int, trials: int) -> SimulatedBench:
    return titrate(method_of(session), session.options, session.instruments, true, seed, trials)


def _pen(bench: Bench, start: datetime, seconds: int = 75) -> Pen:
    author = bench.team.order_by("name").first()
    assert isinstance(author, Person)
    return Pen(bench, author, start, timedelta(seconds=seconds))


def _past(section: Section, start: datetime) -> None:
    samples = [{"name": label, "accepted": {"c_s": f"{true:.3f}"}} for label, true in _BOTTLES.items()]
    session = actions.plan_session(
        section,
        _SLUG,
        "Kettle descaler: two bottles compared",
        room="Room 2",
        starts_at=start,
        minutes=120,
        options=_DESCALER,
        instruments=_TOOLS,
        benches=8,
        samples=samples,
    )
    actions.open_session(session)
    Session.objects.filter(pk=session.pk).update(opened_at=start)
    for bench in session.benches.select_related("session", "sample"):
        assert bench.sample is not None
        _finished(bench, start + timedelta(minutes=8 + bench.number), _BOTTLES[bench.sample.label], 40 + bench.number)
    actions.close_session(session)
    actions.release_session(session)


def _finished(bench: Bench, start: datetime, true: float, seed: int) -> None:
    """A bench from first to last entry; a few have the usual troubles."""
    data = _bench_data(bench.session, true, seed, 3)
    pen = _pen(bench, start)
    pen.setup(data.sample)
    rough, *accurate = data.trials
    pen.trial(0, rough.start, rough.end)
    for number, trial in enumerate(accurate[: 3 if bench.number % 3 == 0 else 2], 1):
        pen.trial(number, trial.start, trial.end)
    if bench.number == 3:
        pen.mark("void", "Flask knocked while swirling", 3)
    if bench.number == 5:
        swapped = accurate[1].end[:-2] + accurate[1].end[:-3:-1]
        pen.mark("V_end", swapped, 2, "Last two digits swapped while writing")
        pen.mark("V_end", accurate[1].end, 2, "No: the first note was right, read again with the card behind")
    if bench.number in (2, 7):
        pen.trial(3, accurate[2].start, _shift(accurate[2].end, "0.35"), "overshot")
    pen.mark("own.c_s", _worked(bench, forgot_dilution=bench.number % 4 == 0))
    pen.mark("answer.1", "The burette: with a class A burette its part would be half.")
    pen.mark("answer.2", "Water changes the concentration in the flask but not the amount that the pipette put there.")
    pen.mark("answer.3", "The titrant would be thinner, more of it would be needed and the result would be too high.")
    pen.mark("step.clean", "done")


def _worked(bench: Bench, forgot_dilution: bool) -> str:
    """The team's own answer: what its readings give, or the same with the dilution left out."""
    bench.refresh_from_db()
    result = evaluation_of(bench, entries_of(bench)).results[0]
    value = result.value / 10 if forgot_dilution else result.value
    return f"{value:.4g}"


def _shift(text: str, by: str) -> str:
    return str(Decimal(text) + Decimal(by))


_OWN = {"shows": "at_once", "hints": "slip", "tries": 3, "lines": ["V_mean", "c_s", "gamma"]}


def _running(section: Section, start: datetime) -> None:
    samples = [{"name": "Whey, tank 3", "accepted": {"c_s": f"{_WHEY_TRUE:.4f}"}}]
    session = actions.plan_session(
        section,
        _SLUG,
        "Lactic acid in dairy whey",
        room="Room 2",
        starts_at=start,
        minutes=90,
        options=_WHEY,
        instruments=_TOOLS,
        benches=8,
        samples=samples,
        own_work=_OWN,
    )
    actions.open_session(session)
    Session.objects.filter(pk=session.pk).update(opened_at=start)
    for bench in session.benches.select_related("session", "sample"):
        _under_way(bench, start + timedelta(minutes=4, seconds=20 * bench.number))


def _under_way(bench: Bench, start: datetime) -> None:
    """Eight benches, eight states."""
    data = _bench_data(bench.session, _WHEY_TRUE, 70 + bench.number, 3)
    rough, first, second, third = data.trials
    pen = _pen(bench, start, 130)
    pen.setup(data.sample)
    if bench.number == 8:
        return  # long silence
    pen.trial(0, rough.start, rough.end)
    pen.trial(1, first.start, first.end)
    match bench.number:
        case 1:
            pen.mark("step.portion", "done", 2)
            pen.mark("V_start", second.start, 2)
        case 2:
            pen.mark("step.portion", "done", 2)
            pen.mark("V_start", second.start, 2)
            pen.now = timezone.now() - timedelta(minutes=2)
            pen.mark("call", "The pink went away again. Keep going?")
        case 3:
            pen.step = timedelta(seconds=95)
            pen.trial(2, second.start, second.end)
            pen.trial(3, third.start, third.end)
            pen.mark("own.c_s", "0.0914")
        case 4:
            pen.mark("step.portion", "done", 2)
            pen.mark("V_start", second.start, 2)
            pen.mark("timer.run", "begun", 2)
            pen.mark("end_point", "held", 2)
        case 5:
            pen.trial(2, second.start, _shift(second.end, "0.24"))
        case 6:
            pen.trial(2, second.start, _mirrored(second.end))
        case 7:
            pen.trial(2, second.start, _shift(second.end, "0.41"), "overshot")


def _mirrored(text: str) -> str:
    """The reading of somebody who reads upward on a burette numbered downward: 22.64 as 23.36."""
    value = Decimal(text)
    return str(2 * int(value) + 2 - value) if value % 1 else text


def _planned(section: Section, start: datetime) -> None:
    options = {"M_p": "Na2CO3", "weighing": "difference"}
    tools = {"balance": "balance-0.0001", "burette": "burette-50-a"}
    title = "Standardising hydrochloric acid"
    session = actions.plan_session(
        section,
        "standardisation",
        title,
        room="Room 4",
        starts_at=start,
        minutes=120,
        options=options,
        instruments=tools,
        benches=8,
        samples=[],
        prelab=ASKED,
    )
    prepare(session)
    last = session.benches.order_by("-number").first()
    if last is not None:
        last.team.clear()
    _second_part(section, session, start + timedelta(minutes=120))


def _second_part(section: Section, standardised: Session, start: datetime) -> None:
    """What the acid is for: each bench works with the concentration that it found itself."""
    takes = {"c_a": {"key": "c_mean", "trial": None, "of": "bench"}}
    actions.plan_session(
        section,
        "back-titration",
        "Egg shells, with our own acid",
        room="Room 4",
        starts_at=start,
        minutes=90,
        options={},
        instruments={},
        benches=8,
        samples=[],
        follows=standardised,
        takes=takes,
    )


def _warm(section: Section, start: datetime) -> None:
    """Benches that take turns at two baths, with a solution that is past its date."""
    title = "How much faster when warm?"
    actions.plan_session(
        section,
        "rate-temperature",
        title,
        room="Room 4",
        starts_at=start,
        minutes=120,
        options={},
        instruments={},
        benches=8,
        samples=[],
    )
