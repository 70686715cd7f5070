"""What went wrong last time."""

from collections import defaultdict

from labs.models import Session
from labs.remarks import last_held
from notebook.desks import desks
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
    examples: dict[str, str] = {}
    counted: dict[str, set[int]] = defaultdict(set)  # the numbers of the benches at which it was so
    for desk in written:
        found = {one.code: one.what for one in desk.state.findings if one.level in ("repeat", "stop")}
        void = {one.text for one in desk.entries if place(one).kind == "void" and one.text != "no"}
        found |= {f"void {why}": f"Rejected: {why}" for why in sorted(void)}
        for code in found:
            counted[code].add(desk.bench.number)
        examples = found | examples
    places = len({desk.bench.number for desk in written})
    often = sorted(counted, key=lambda code: -len(counted[code]))[:_LESSONS]
    lessons = [Lesson(examples[code], len(counted[code]), places) for code in often]
    return LastTime(held.title, held.starts_at.isoformat(), lessons)
