"""Who needs the instructor, and why: findings, calls, and benches at which nothing is written."""

from datetime import timedelta

from django.utils import timezone

from chromata_core.judging.finding import Finding
from chromata_core.telling.outcome import Evaluation
from labs.models import Bench, Session
from notebook.desks import Desk
from notebook.models import Entry
from results.shapes import Need, NeedLevel

_QUIET = timedelta(minutes=9)
_BEHIND, _OVER = 10, 5  # minutes more than the others, and than there are
_URGENCY: dict[NeedLevel, float] = {"look": 1, "repeat": 2, "call": 2.5, "stop": 3}


def needs_of(room: list[Desk], in_hand: set[int]) -> list[Need]:
    """Every reason to walk over that nobody has marked seen. Of a place with several samples only the one ``in_hand``,
    by its id, is quiet when nothing is written.
    """
    return [need for desk in room for need in _needs(desk, desk.bench.pk in in_hand)]


def in_order(needs: list[Need]) -> list[Need]:
    """The most urgent first."""
    return sorted(needs, key=lambda need: (-_URGENCY[need.level], need.since))


def behind(session: Session, benches: list[tuple[Desk, int]], usual: int) -> list[Need]:
    """Benches with clearly more work before them than the others have (``usual``, minutes) and than the session's time
    allows. Where all have too much the plan is too long, and that is no reason to walk over to each of them.
    """
    now = timezone.now()
    time_left = (session.starts_at + timedelta(minutes=session.minutes) - now).total_seconds() / 60
    if now < session.starts_at:
        return []
    late = [(desk, left) for desk, left in benches if left > max(usual + _BEHIND, time_left + _OVER)]
    needs = [(desk, _late(desk, left, usual, max(round(time_left), 0))) for desk, left in late]
    return [need for desk, need in needs if need.id not in {e.text for e in desk.entries if e.key == "seen"}]


def _late(desk: Desk, left: int, usual: int, time_left: int) -> Need:
    text = f"About {left} min of work are left and {time_left} of the session; the others need about {usual}."
    last = max((entry.written_at for entry in desk.entries), default=desk.bench.session.opened_at or timezone.now())
    word = "What can be done while something else waits? Make no further trial."
    return Need(
        f"late:{left // 15}",
        desk.bench.number,
        desk.bench.pk,
        level="look",
        what="may not finish",
        text=text,
        word=word,
        since=last.isoformat(),
        trial=None,
    )


def _needs(desk: Desk, in_hand: bool) -> list[Need]:
    bench, state, entries = desk.bench, desk.state, desk.entries
    seen = {entry.text for entry in entries if entry.key == "seen"}
    needs = [_need_of(bench, finding, finding.level, entries) for finding in state.findings if finding.level != "keep"]
    call = open_call(entries)
    if call is not None:
        what = "calls"
        needs.append(
            Need(
                str(call.id),
                bench.number,
                bench.pk,
                level="call",
                what=what,
                text=f"“{call.text}”",
                word="",
                since=call.written_at.isoformat(),
                trial=None,
            )
        )
    quiet = _quiet(bench, state, entries) if in_hand else []
    return [need for need in needs + quiet if need.id not in seen]


def _need_of(bench: Bench, finding: Finding, level: NeedLevel, entries: list[Entry]) -> Need:
    about = [e.written_at for e in entries if e.key == finding.key and e.trial == finding.trial]
    since = max(about or [e.written_at for e in entries], default=bench.session.opened_at or timezone.now())
    return Need(
        id=f"{finding.code}:{finding.key}:{finding.trial}:{finding.index}:{since.timestamp():.0f}",
        bench=bench.number,
        bench_id=bench.pk,
        level=level,
        what=finding.what,
        text=f"{finding.why} {finding.do}",
        word=finding.word,
        since=since.isoformat(),
        trial=finding.trial,
    )


def _quiet(bench: Bench, state: Evaluation, entries: list[Entry]) -> list[Need]:
    last = max((entry.written_at for entry in entries), default=bench.session.opened_at or timezone.now())
    silence = timezone.now() - last
    if silence < _QUIET or state.hand.kind == "finished":
        return []
    minutes = int(silence.total_seconds() // 60)
    what, busy = f"nothing written for {minutes} min", doing(state)
    identity = f"quiet:{last.timestamp():.0f}"
    word = "How is it going? What are you waiting for?"
    return [
        Need(
            identity,
            bench.number,
            bench.pk,
            level="look",
            what=what,
            text=f"They are at “{busy}”.",
            word=word,
            since=last.isoformat(),
            trial=None,
        )
    ]


def open_call(entries: list[Entry]) -> Entry | None:
    """The last call for help that nobody has marked seen or answered."""
    call = next((entry for entry in reversed(entries) if entry.key == "call"), None)
    if call is None:
        return None
    later = [entry for entry in entries if entry.sequence > call.sequence]
    answered = any(entry.key == "message" or (entry.key, entry.text) == ("seen", str(call.id)) for entry in later)
    return None if answered else call


def doing(state: Evaluation) -> str:
    """What a bench is at, in a few words."""
    hand = state.hand
    if hand.kind == "finished":
        return "Finished"
    step = next((s for s in state.steps if s.state == "now"), None)
    title = step.title if step else hand.title
    return f"{hand.aside}: {title[:1].lower()}{title[1:]}" if hand.aside else title
