"""What went wrong last time, and over the years."""

from collections import defaultdict
from collections.abc import Sequence

from labs.models import Session
from labs.remarks import last_held
from notebook.desks import Desk, desks
from notebook.standing import place
from results.shapes import LastTime, Lesson

_LESSONS = 5


def last_time(session: Session) -> LastTime:
    """What went wrong at most benches when its instructor held this method last, each with an example."""
    held = last_held(session)
    if held is None:
        return LastTime("", "", [])
    benches = held.benches.select_related("session__section", "sample")
    written = [desk for desk in desks(list(benches)) if desk.entries]
    return LastTime(held.title, held.starts_at.isoformat(), lessons_of(written))


def lessons_of(written: Sequence[Desk]) -> list[Lesson]:
    """What went wrong at most places of ``written``, of one session or of several."""
    examples: dict[str, str] = {}
    counted: dict[str, set[tuple[int, int]]] = defaultdict(set)  # the places at which it was so
    for desk in written:
        faults = {finding.code: finding.what for finding in desk.state.findings if finding.level in ("repeat", "stop")}
        void = {entry.text for entry in desk.entries if place(entry).kind == "void" and entry.text != "no"}
        faults |= {f"void {why}": f"Rejected: {why}" for why in sorted(void)}
        for code in faults:
            counted[code].add(_place(desk))
        examples = faults | examples
    places = len(set(map(_place, written)))
    often = sorted(counted, key=lambda code: -len(counted[code]))[:_LESSONS]
    return [Lesson(examples[code], len(counted[code]), places) for code in often]


def _place(desk: Desk) -> tuple[int, int]:
    return desk.bench.session_id, desk.bench.number
