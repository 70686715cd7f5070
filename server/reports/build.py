"""A bench's report, put together from its record on request; nothing of it is stored."""

from collections.abc import Iterable
from dataclasses import dataclass
from functools import lru_cache

from chromata_core.chemistry.molar_mass import BASIS
from chromata_core.declaration.option_kinds import SubstanceOption
from chromata_core.declaration.places import Kind, answer
from chromata_core.declaration.vocabulary import Method
from chromata_core.engine.shown import Shown
from chromata_core.sheet.bound import Bound, Given
from chromata_core.telling.drawn_results import DrawnResult, draw_results
from chromata_core.telling.effects import Effect, what_if
from chromata_core.telling.explain import constants, explain
from chromata_core.telling.outcome import WorkedLine
from labs.comparison import comparison_view
from labs.declared import method_of
from labs.models import Bench
from labs.own_work import as_seen
from labs.policy import may_see_accepted
from labs.term import session_card
from notebook.desks import evaluation_of, with_accepted
from notebook.handed import handed_to
from notebook.looked import looked_at
from notebook.models import Entry
from notebook.seals import check_record
from notebook.standing import Handing, by_id, entries_of, given_of, place, standing, superseded
from people.models import Person
from reports.shapes import Answered, Correction, InstrumentUsed, Member, Picture, Report
from results.samples_here import beside_samples, label_of, samples_here

_DRAWS = 20_000


def report_of(bench: Bench, person: Person) -> Report:
    """The report as ``person`` may see it."""
    entries = entries_of(bench)
    chosen, written = method_of(bench.session), by_id(entries)
    worked = _worked(bench.pk, bench.session.state, given_of(entries), handed_to([bench])[bench.pk])
    evaluation = evaluation_of(bench, entries)
    if may_see_accepted(person, bench.session):
        evaluation = with_accepted(bench, evaluation)
    evaluation = as_seen(evaluation, bench.session, person)
    whole, team = not evaluation.veil, list(bench.team.order_by("name"))
    wrote = {place(entry): entry.author.name for entry in entries}
    return Report(
        bench_id=bench.pk,
        number=bench.number,
        sample=label_of(bench),
        team=[member.name for member in team],
        session=session_card(bench.session),
        aim=chosen.question,
        reaction=chosen.reaction,
        evaluation=evaluation,
        known=worked.known,
        instruments=_instruments(worked.bound),
        lines=worked.lines if whole else [],
        draws=worked.draws if whole else [],
        what_if=worked.what_if if whole else [],
        corrections=[_correction(worked.bound, e, old[0].text) for e in entries if (old := superseded(e, written))],
        taken=_taken(worked.bound, standing(entries)),
        answers=[
            Answered(question, text, wrote.get(answer(number), ""))
            for number, (question, text) in enumerate(zip(chosen.questions, evaluation.answers, strict=True), 1)
        ],
        notes=[f"{entry.author.name}: {entry.text}" for entry in entries if entry.key == "note"],
        photos=[Picture(e.photo, e.text, e.author.name, e.written_at.isoformat()) for e in entries if e.photo],
        record=check_record(bench, entries),
        stores=_stores(chosen),
        comparison=comparison_view(bench.session, evaluation, person),
        beside=beside_samples(bench, evaluation, samples_here(bench)),
        each=[Member(member.pk, member.name) for member in team if person.teaches or member.pk == person.pk],
    )


@dataclass(frozen=True, slots=True)
class _Worked:
    """What takes long to work out of a sheet."""

    bound: Bound
    known: list[Shown]
    lines: list[WorkedLine]
    draws: list[DrawnResult]
    what_if: list[Effect]


@lru_cache(maxsize=256)
def _worked(bench_id: int, state: str, given: tuple[Given, ...], handed: Handing) -> _Worked:
    """Worked once for what stands on a sheet; asking again and again costs next to nothing."""
    bench = Bench.objects.select_related("session__section").get(pk=bench_id)
    at = looked_at(bench, given, handed).at
    return _Worked(at.bound, constants(at), explain(at), draw_results(at, _DRAWS, most=1), what_if(at.bound))


def _stores(chosen: Method) -> str:
    """What later sessions could use of this result: a calibration, a solution, or nothing."""
    return "" if chosen.stores is None else "calibration" if chosen.stores.role else "solution"


def _instruments(bound: Bound) -> list[InstrumentUsed]:
    roles = {role.key: role.label for role in bound.method.roles}
    weights = [InstrumentUsed("Molar masses", "Molar masses", [BASIS])]
    by_weight = any(isinstance(option, SubstanceOption) for option in bound.method.options)
    return (weights if by_weight else []) + [
        InstrumentUsed(roles[key], tool.short, [f"{term.label}: {term.basis}" for term in tool.errors if term.basis])
        for key, tool in bound.instruments.items()
    ]


# What is corrected, where it is no part of the method.
_WORDS: dict[Kind, str] = {
    "part": "Reading", "tick": "Step", "timer": "Wait", "own": "Own result", "answer": "Closing question",
    "void": "Rejected", "talk": "Said",
}  # fmt: skip


def _called(bound: Bound, entry: Entry) -> str:
    part = bound.part(entry.key) or bound.bottle(entry.key)
    label = part.label if part else _WORDS[place(entry).kind]
    trial = f", {bound.method.trials.noun.lower()} {entry.trial}" if entry.trial is not None else ""
    return f"{label}{trial}"


def _taken(bound: Bound, entries: Iterable[Entry]) -> list[str]:
    """For each device, which of the readings that stand were taken from it."""
    by_device: dict[str, dict[str, None]] = {}
    for entry in entries:
        if entry.device:
            by_device.setdefault(entry.device, {})[_called(bound, entry)] = None
    return [f"Taken from the {device}: {'; '.join(called)}." for device, called in by_device.items()]


def _correction(bound: Bound, entry: Entry, old: str) -> Correction:
    label, at = _called(bound, entry), entry.written_at.isoformat()
    return Correction(label, old, entry.text, entry.reason, entry.author.name, at)
