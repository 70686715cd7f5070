"""The marks of a session: proposed from its records, decided by its instructor, shown to students by cause."""

from collections.abc import Mapping, Sequence
from dataclasses import replace

from chromata_core.marking.proposal import Kept, propose, total_of
from chromata_core.marking.rubric import Rubric
from config.errors import Refused
from labs.actions import note
from labs.around import around
from labs.declared import method_of
from labs.models import Bench, Session
from marking.models import Decision, Marking
from marking.rubrics import chosen_rubric, rubric_of, rubrics_for
from marking.shapes import BenchMarks, ClassMarks, MarkLine
from notebook.desks import Desk, desks, with_accepted
from people.models import Person
from prelab.asked import prepared
from results.samples_here import label_of


def class_marks(session: Session, person: Person) -> ClassMarks:
    """Every bench at which something was written; only call this for the section's own instructor."""
    marking = Marking.objects.filter(session=session).first()
    rubric = rubric_of(marking)
    room = _room(session) if rubric else []
    decided = _decisions(session)
    surroundings = around(session)
    return ClassMarks(
        surroundings.session,
        rubric,
        rubrics_for(person),
        bool(marking and marking.released),
        [_marks(desk, rubric, decided, surroundings.teams) for desk in room if rubric],
    )


def _room(session: Session) -> list[Desk]:
    benches = list(session.benches.select_related("sample").prefetch_related("sample__hidden"))
    for bench in benches:
        bench.session = session
    return [desk for desk in desks(benches) if desk.entries]


def _decisions(session: Session) -> dict[tuple[int, str], Decision]:
    return {
        (decision.bench_id, decision.kind): decision for decision in Decision.objects.filter(bench__session=session)
    }


def _marks(
    desk: Desk, rubric: Rubric, decided: Mapping[tuple[int, str], Decision], teams: Mapping[int, list[str]]
) -> BenchMarks:
    """Accuracy is held against the hidden value, whoever may see it."""
    bench = desk.bench
    told = with_accepted(bench, desk.state)
    kept = Kept(
        tuple(entry.reason for entry in desk.entries if entry.supersedes_id),
        sum(entry.key == "note" for entry in desk.entries),
        prepared(bench),
    )
    lines = propose(rubric, told, kept)
    decisions = [decided.get((bench.pk, line.kind)) for line in lines]
    points, to_read = total_of(lines, [decision.points if decision else None for decision in decisions])
    return BenchMarks(
        bench.pk,
        bench.number,
        label_of(bench),
        team=teams.get(bench.pk, []),
        lines=[
            MarkLine(
                line.kind,
                line.label,
                line.points,
                decided=decision.points if decision else None,
                most=line.most,
                reasons=line.reasons,
                note=decision.note if decision else "",
            )
            for line, decision in zip(lines, decisions, strict=True)
        ],
        points=points,
        most=rubric.total,
        to_read=to_read,
        answers=_answers(desk),
    )


def _answers(desk: Desk) -> list[str]:
    """Question and answer, for who reads the conclusion."""
    asked = zip(method_of(desk.bench.session).questions, desk.state.answers, strict=True)
    return [f"{question} — {answer}" for question, answer in asked if answer.strip()]


def choose(session: Session, person: Person, which: int) -> None:
    """Marks ``session`` by another rubric from now on; what was decided of lines that are in both stays."""
    Marking.objects.update_or_create(session=session, defaults={"rubric": chosen_rubric(person, which)})
    note(session, person, "chose how it is marked")


def decide(bench: Bench, person: Person, kind: str, points: float | None, why: str) -> None:
    """Decides one line of a bench's marks, or takes that back. Refused beyond what the line is worth."""
    rubric = rubric_of(Marking.objects.filter(session=bench.session_id).first())
    criterion = next((criterion for criterion in rubric.criteria if criterion.kind == kind), None) if rubric else None
    if criterion is None:
        raise Refused("This is not part of the rubric that the session is marked by. Load the marks again.", 422)
    if points is None:
        Decision.objects.filter(bench=bench, kind=kind).delete()
        return
    if points > criterion.points:
        raise Refused(f"This line has {criterion.points:g} points at most.", 422)
    Decision.objects.update_or_create(
        bench=bench, kind=kind, defaults={"points": points, "note": why.strip(), "person": person}
    )


def release(session: Session, person: Person, released: bool) -> None:
    """Shows students their marks, or hides them. Refused while the session is at work, or a line is to be read."""
    marks = class_marks(session, person)
    if released and marks.rubric is None:
        raise Refused("Choose how the session is marked first.", 422)
    if released and session.state != Session.State.CLOSED:
        raise Refused("Close the session first: what is still written would change the marks.", 409)
    waiting = sorted({bench.number for bench in marks.benches if bench.to_read})
    if released and waiting:
        numbers = ", ".join(map(str, waiting))
        raise Refused(f"Something is still to be read at bench{'es' if len(waiting) > 1 else ''} {numbers}.", 409)
    Marking.objects.filter(session=session).update(released=released)
    note(session, person, "released the marks" if released else "took the marks back")


def own_marks(bench: Bench) -> BenchMarks | None:
    """The marks of one bench as its students see them; None until they are released, and while it is worked on. How
    far off its result is would tell the hidden value, so that waits for the release of the results.
    """
    marking = Marking.objects.filter(
        session=bench.session_id, session__state=Session.State.CLOSED, released=True
    ).first()
    rubric = rubric_of(marking)
    [desk] = desks([bench])
    if rubric is None or not desk.entries:
        return None
    marks = _marks(desk, rubric, _decisions(bench.session), around(bench.session).teams)
    return marks if bench.session.released else replace(marks, lines=[_untold(line) for line in marks.lines])


def _untold(line: MarkLine) -> MarkLine:
    return replace(line, reasons=["Told when the results are released."]) if line.kind == "accuracy" else line


def as_rows(session: Session, person: Person) -> list[list[object]]:
    """For a gradebook: a line for each student and record, the columns as the rubric has them."""
    marks = class_marks(session, person)
    kinds = [criterion.kind for criterion in marks.rubric.criteria] if marks.rubric else []
    by_record = {bench.bench: bench for bench in marks.benches}
    rows: list[list[object]] = [["name", "number", "section", "bench", "sample", *kinds, "points", "of", "notes"]]
    teams = Bench.team.through.objects.filter(bench__session=session).order_by("person__name", "bench__number")
    for record, name, number, section in teams.values_list(
        "bench", "person__name", "person__number", "person__section__name"
    ):
        if record in by_record:
            rows.append([name, number, section, *_row(by_record[record])])
    return rows


def _row(marks: BenchMarks) -> Sequence[object]:
    points = [line.decided if line.decided is not None else line.proposed for line in marks.lines]
    notes = "; ".join(f"{line.label}: {line.note}" for line in marks.lines if line.note)
    return [marks.number, marks.sample, *points, marks.points, marks.most, notes]
