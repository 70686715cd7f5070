"""Past sessions of the other families: simulated benches that follow their method. All invented."""

from collections.abc import Mapping, Sequence
from datetime import datetime, timedelta

from chromata_core.instruments.catalogue import instrument
from chromata_core.methods.registry import method
from chromata_core.sheet.bound import Sheet
from chromata_core.simulation.cell_bench import pairs
from chromata_core.simulation.cross_bench import warm
from chromata_core.simulation.crucible_bench import heat
from chromata_core.simulation.cup_bench import melt
from chromata_core.simulation.follow import follow
from chromata_core.simulation.gas_bench import collect
from chromata_core.simulation.light_bench import absorb
from chromata_core.simulation.readings import Written
from chromata_core.simulation.tablet_bench import neutralise
from chromata_core.simulation.weighed_deliveries import deliver
from demo.hours import at_work
from demo.writing import Pen
from labs import actions
from labs.declared import method_of
from labs.models import Bench, Session
from people.models import Person, Section
from results.storing import store

_SALT = {"M_salt": "MgSO4"}
_LIME = {"c_a": "0.1012", "c_b": "0.0987", "q_expected": "9.5"}
_PELLETS = {"Pellet K": (1.38, 9.42), "Pellet T": (1.21, 11.05)}
_NICKEL = {"c_stock": "0.2000", "c_stock.limit": "0.0010", "V_plan": "2.00; 4.00; 6.00; 8.00", "wavelength": "395"}
_BATHS = {"Rinse tank": 0.0874, "Bath A": 0.3160}
_METALS = "Ag; Cu; Pb; Zn"
_WARMTH = (22, 38, 52, 65)
_PIPETTES = ((-0.0041, 0.0021), (0.0008, 0.0015), (0.0012, 0.0061), (-0.0003, 0.0012))


def make_pasts(section: Section, now: datetime) -> None:
    """All of them."""
    _hydrate(section, at_work(now, -13, 9))
    _pipettes(section, at_work(now, -20, 13))
    _lime(section, at_work(now, -9, 10))
    _tubes(section, at_work(now, -27, 14))
    _ice(section, at_work(now, -34, 9))
    _nickel_bath(section, at_work(now, -41, 13))
    _cells(section, at_work(now, -48, 10))
    _cross(section, at_work(now, -55, 9))


def _opened(section: Section, slug: str, title: str, start: datetime, options: dict[str, str], benches: int,
            samples: Sequence[Mapping[str, object]]) -> Session:  # fmt: skip
    session = actions.plan_session(
        section,
        slug,
        title,
        room="Room 2",
        starts_at=start,
        minutes=120,
        options=options,
        instruments={},
        benches=benches,
        samples=samples,
    )
    actions.open_session(session)
    Session.objects.filter(pk=session.pk).update(opened_at=start)
    return session


def _wrote(bench: Bench, start: datetime, written: list[Written], answers: Sequence[str]) -> Pen:
    author = bench.team.order_by("name").first()
    assert isinstance(author, Person)
    pen = Pen(bench, author, start, timedelta(seconds=70))
    pen.marks(follow(method_of(bench.session), Sheet(bench.options), written, answers))
    return pen


def _closed(session: Session) -> None:
    actions.close_session(session)
    actions.release_session(session)


def _hydrate(section: Section, start: datetime) -> None:
    samples = [{"name": "White crystals", "accepted": {"x": "7", "w": "51.17"}}]
    session = _opened(
        section, "hydrate", "White crystals: how much water?", start=start, options=_SALT, benches=8, samples=samples
    )
    balance = instrument("balance-0.001")
    answers = (
        "Two weighings after heating differed by less than 0.005 g.",
        "Too large: a warm crucible reads low, so more water would seem to have gone.",
    )
    for bench in session.benches.select_related("session"):
        waters = 6.62 if bench.number == 6 else 7  # bench 6 had a salt that had already lost some of its water
        pen = _wrote(bench, start + timedelta(minutes=6), heat("MgSO4", waters, balance, 300 + bench.number), answers)
        if bench.number == 6:
            pen.mark("note", "Crystals were dull and dusty on top when we opened the jar.")
    _closed(session)


def _pipettes(section: Section, start: datetime) -> None:
    session = _opened(
        section, "volumetric-calibration", "Are our pipettes right?", start=start, options={}, benches=4, samples=[]
    )
    answers = (
        "Yes: ours gives 0.4 % too little every time but hardly scatters.",
        "Air lifts the water a little more than the steel weights, and water is lighter than 1 g/mL.",
        "The display would creep down and later masses would be smaller.",
    )
    for bench, (off, scatter) in zip(session.benches.select_related("session"), _PIPETTES, strict=True):
        written = deliver((0.5, 1.0, 3.0), off, scatter, instrument("balance-0.0001"), 21.3, 500 + bench.number)
        _wrote(bench, start + timedelta(minutes=9), written, answers)
    _closed(session)
    store(session.benches.get(number=1), section.owner, "Pipette 3, blue ring")


def _lime(section: Section, start: datetime) -> None:
    samples = [{"name": name, "accepted": {"q_mean": f"{power:.2f}"}} for name, (_, power) in _PELLETS.items()]
    session = _opened(
        section,
        "back-titration",
        "Garden lime: which pellet takes more acid?",
        start=start,
        options=_LIME,
        benches=6,
        samples=samples,
    )
    answers = (
        "It dissolves too slowly: the end point would come again and again.",
        "It would take base too, so the pellet would seem to neutralise less.",
        "The two concentrations; standardising both better would help most.",
    )
    declared = method("back-titration")
    for bench in session.benches.select_related("session", "sample"):
        assert bench.sample is not None
        pellet, power = _PELLETS[bench.sample.label]
        written = neutralise(declared, session.options, pellet, power, 700 + bench.number, 3)
        _wrote(bench, start + timedelta(minutes=12), written, answers)
    other = neutralise(declared, session.options, 1.30, 8.15, 777, 2)
    actions.set_comparison(session, "Crushed shell, own mill", _as_csv(other))
    _closed(session)


def _tubes(section: Section, start: datetime) -> None:
    session = _opened(
        section, "gas-eudometer", "One constant for all gases", start=start, options={}, benches=8, samples=[]
    )
    answers = (
        "The vapour comes from the water in the tube, so its temperature decides.",
        "Trapped air makes R too large; oxide weighs and gives no gas, so R comes out too small.",
        "Else the water column hangs on the gas and its pressure is not that of the air.",
        "The balance: 0.1 mg of 35 mg. A longer ribbon in a larger tube would help.",
    )
    for bench in session.benches.select_related("session"):
        oxide, trapped = (0.035, 0.0) if bench.number == 3 else (0.0, 0.9) if bench.number == 7 else (0.0, 0.0)
        written = collect(1006.4, 900 + bench.number, oxide=oxide, trapped=trapped)
        pen = _wrote(bench, start + timedelta(minutes=8), written, answers)
        if bench.number == 3:
            pen.mark("note", "The ribbon was grey; we sanded one side only.")
    _closed(session)


def _ice(section: Section, start: datetime) -> None:
    session = _opened(
        section,
        "heat-of-fusion",
        "What does ice take to melt?",
        start=start,
        options={"peak": "trace"},
        benches=8,
        samples=[],
    )
    answers = (
        "It counts warming the melt water as melting; about an eighth too much.",
        "It weighs as ice and takes no heat: the value comes out too small.",
        "Heat leaks out first and in later, and the two nearly cancel.",
    )
    for bench in session.benches.select_related("session"):
        written = [written for trial in (1, 2) for written in melt(6.007, 1000 + 10 * bench.number + trial, trial)]
        _wrote(bench, start + timedelta(minutes=7), written, answers)
    _closed(session)


def _nickel_bath(section: Section, start: datetime) -> None:
    samples = [{"name": name, "accepted": {"c": f"{c:.5f}"}} for name, c in _BATHS.items()]
    session = _opened(
        section,
        "beer-lambert",
        "How strong is the nickel bath?",
        start=start,
        options=_NICKEL,
        benches=8,
        samples=samples,
    )
    answers = (
        "Beyond the last standard nobody has shown that the line goes on.",
        "It is near zero: the blank was the right one.",
        "The scatter about the line; more standards would help.",
    )
    volumes = [float(text) for text in _NICKEL["V_plan"].split(";")]
    for bench in session.benches.select_related("session", "sample"):
        assert bench.sample is not None
        written = absorb(_BATHS[bench.sample.label], 0.2, 5.1, volumes, 1200 + bench.number)
        _wrote(bench, start + timedelta(minutes=21), written, answers)
    _closed(session)


def _cells(section: Section, start: datetime) -> None:
    session = _opened(
        section,
        "voltaic-cells",
        "Which metal gives, which takes?",
        start=start,
        options={"cells": _METALS},
        benches=6,
        samples=[],
    )
    answers = (
        "Zinc: it gives its electrons to each of the others.",
        "By adding the two on the way; ours agrees within 10 mV.",
        "At 0.1 mol/L silver lies lower, and our metals were not all bright.",
    )
    for bench in session.benches.select_related("session"):
        bad = ("Cu", "Pb") if bench.number == 4 else None  # bench 4 had a torn bridge in one place
        pen = _wrote(bench, start + timedelta(minutes=9), pairs(_METALS, 0.1, 1400 + bench.number, bad), answers)
        if bench.number == 4:
            pen.mark("note", "The strip between copper and lead was torn; we saw it while cleaning up.")
    _closed(session)


def _cross(section: Section, start: datetime) -> None:
    plan = "; ".join(str(celsius) for celsius in _WARMTH)
    samples = [{"name": "Thiosulfate and acid", "accepted": {"E_a": "47"}}]
    session = _opened(
        section,
        "rate-temperature",
        "How much faster when warm?",
        start=start,
        options={"T_plan": plan},
        benches=6,
        samples=samples,
    )
    answers = (
        "A thermometer that is carried over brings a drop along, and the tube clouds before it is poured.",
        "Warm tubes are colder than their bath; with the bath's number the energy comes out too small.",
        "Near room temperature it is 1.9; it falls as it gets warmer.",
    )
    for bench in session.benches.select_related("session"):
        late = 3.5 if bench.number == 2 else 0.0  # bench 2 stopped late: too small an energy
        order = [float(celsius) for celsius in bench.options["T_plan"].split(";")]
        _wrote(bench, start + timedelta(minutes=11), warm(47.0, order, 1600 + bench.number, late=late), answers)
    _closed(session)


def _as_csv(written: list[Written]) -> str:
    rows = [f"{reading.key},{'' if reading.trial is None else reading.trial},,{reading.text}" for reading in written]
    return "\n".join(("key,trial,index,text", *rows))
