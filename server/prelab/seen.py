"""Work before class as it is seen: by a student their own, by the staff everybody's."""

from chromata_core.prelab.standing import hazards_of, standing
from chromata_core.prelab.state import PrelabState, TaskState
from labs.models import Bench, Session
from labs.prelab_plan import prelab_of
from labs.term import session_card
from people.models import Person
from prelab.answering import sessions_to_prepare, takes_answers
from prelab.asked import asked_at, places, states, waits_for
from prelab.models import LetIn
from prelab.shapes import BenchWaits, InWords, PrelabLine, PrelabView, RoomReady, StudentReady


def own_view(session: Session, person: Person) -> PrelabView:
    """The tasks with one's own answers; for the staff as nobody has answered them."""
    state = standing(asked_at(session, None), {}) if person.teaches else states(session, [person])[person.pk]
    return PrelabView(
        session_card(session), state.tasks, state.done, prelab_of(session).needed, takes_answers(session),
        hazards_of(asked_at(session, None)),
    )  # fmt: skip


def own_lines(person: Person) -> list[PrelabLine]:
    """What is ahead of a student; nothing for the staff."""
    if person.teaches:
        return []
    lines = [(session, states(session, [person])[person.pk]) for session in sessions_to_prepare(person)]
    return [PrelabLine(session_card(session), state.done, len(state.tasks)) for session, state in lines]


def room_ready(session: Session) -> RoomReady:
    """Who is ready, in order of name, without who is absent."""
    asked = prelab_of(session)
    if not asked.asks:
        return RoomReady(False, [])
    absent = set(session.absent.values_list("pk", flat=True))
    people = [person for person in session.roster if person.pk not in absent]
    let_in = set(LetIn.objects.filter(session=session).values_list("person_id", flat=True))
    at, standing = places(session), states(session, people)
    return RoomReady(
        asked.needed,
        [_line(person, at.get(person.pk), standing[person.pk], person.pk in let_in) for person in people],
    )


def _line(person: Person, bench: Bench | None, state: PrelabState, let_in: bool) -> StudentReady:
    return StudentReady(
        person.pk,
        person.name,
        bench.number if bench else None,
        done=state.done,
        of=len(state.tasks),
        let_in=let_in,
        stuck=[task.text for task in state.tasks if task.agrees is False],
        words=list(filter(None, map(_words, state.tasks))),
    )


def _words(task: TaskState) -> InWords | None:
    text = task.answer if task.kind == "own" else task.reason
    return InWords(task.text, text) if text else None


def bench_waits(bench: Bench, person: Person) -> BenchWaits | None:
    """What a bench is told that may not read yet; None where it may."""
    people = waits_for(bench)
    return BenchWaits([person.name for person in people], person in people) if people else None
