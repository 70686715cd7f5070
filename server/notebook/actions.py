"""The one way to write at a bench: checked, in one transaction, chained to what was written before."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from uuid import UUID

from django.db import transaction
from django.utils import timezone

from chromata_core.errors import ChromataError
from chromata_core.method.sheet import Given, Sheet, bind, understand
from labs.declared import method_of
from labs.models import Bench, Session
from notebook.models import Entry
from notebook.photos import keep_picture, picture_problem
from notebook.standing import TALK, sheet_of, standing
from people.models import Person

_STAFF_ONLY = ("message", "seen")
_REWRITABLE = ("step", "timer", "own", "answer")  # these simply begin again; every version stays in the record


@dataclass(frozen=True, slots=True)
class Draft:
    """An entry as a client sends it."""

    id: UUID
    key: str
    text: str
    trial: int | None
    index: int | None
    written_at: datetime
    supersedes: UUID | None
    reason: str
    image: str = ""


@dataclass(frozen=True, slots=True)
class Kept:
    """What became of a draft: kept, or refused with a sentence. A refused draft changed nothing."""

    id: UUID
    kept: bool
    problem: str


@transaction.atomic
def write(bench: Bench, author: Person, drafts: Sequence[Draft]) -> list[Kept]:
    """Writes ``drafts`` in order. One that was kept before is answered as kept and not doubled."""
    Bench.objects.select_for_update().get(pk=bench.pk)
    entries = list(bench.entries.order_by("sequence"))
    known = {entry.id: entry for entry in Entry.objects.filter(id__in=[draft.id for draft in drafts])}
    answers: list[Kept] = []
    for draft in drafts:
        again = known.get(draft.id)
        problem = "" if again and again.bench_id == bench.pk else _problem(bench, author, entries, draft, again)
        if not problem and again is None:
            entry = _append(bench, author, entries[-1] if entries else None, draft)
            entries.append(entry)
            known[entry.id] = entry
        answers.append(Kept(draft.id, not problem, problem))
    if entries:
        Bench.objects.filter(pk=bench.pk).update(head=entries[-1].hash)
    return answers


def _problem(bench: Bench, author: Person, entries: list[Entry], draft: Draft, again: Entry | None) -> str:
    """The sentence that refuses ``draft``, empty if it may be kept."""
    if again is not None:
        return "This entry's id belongs to another bench. Reload the page and write it again."
    if bench.session.state != Session.State.OPEN:
        return "The session is not open, so nothing can be written. Your instructor opens it."
    if draft.key in _STAFF_ONLY and not author.teaches:
        return "Only your instructor can send this."
    if draft.key in TALK:
        said = draft.text.strip() and "\x00" not in draft.text
        picture = picture_problem(draft.image) if draft.key == "photo" else ""
        return picture if said else "Write a word or two first."
    return _sheet_problem(bench, entries, draft) or _place_problem(entries, draft)


def _sheet_problem(bench: Bench, entries: list[Entry], draft: Draft) -> str:
    try:
        sheet = sheet_of(bench, entries)
        bound = bind(method_of(bench.session), Sheet(sheet.options, sheet.instruments, stock=sheet.stock))
        understand(bound, Given(draft.key, draft.text, draft.trial, draft.index))
    except ChromataError as error:
        return error.message
    return ""


def _place_problem(entries: list[Entry], draft: Draft) -> str:
    """A place that is taken is only written again as a correction of what stands there, with a reason."""
    if draft.key.partition(".")[0] in _REWRITABLE:
        return ""
    place = (draft.key, draft.trial, draft.index)
    here = next((entry for entry in standing(entries) if (entry.key, entry.trial, entry.index) == place), None)
    if draft.supersedes is None:
        return f"{here.text} is written there already. Correct it, with a reason, instead." if here else ""
    if here is None or here.id != draft.supersedes:
        return "Somebody corrected this reading in the meantime. Look at it again before you correct it."
    return "" if draft.reason.strip() else "Say in a few words why you correct it; the old value stays readable."


def _append(bench: Bench, author: Person, last: Entry | None, draft: Draft) -> Entry:
    now = timezone.now()
    entry = Entry(
        id=draft.id,
        bench=bench,
        sequence=last.sequence + 1 if last else 1,
        key=draft.key,
        trial=draft.trial,
        index=draft.index,
        text=draft.text.strip(),
        author=author,
        written_at=min(draft.written_at, now),
        received_at=now,
        supersedes_id=draft.supersedes,
        reason=draft.reason.strip(),
        previous_hash=last.hash if last else "",
        photo=keep_picture(draft.image) if draft.key == "photo" else "",
    )
    entry.hash = entry.sealed()
    entry.save(force_insert=True)
    return entry


def broken_link(entries: Sequence[Entry]) -> int | None:
    """The sequence number of the first entry whose seal does not hold, None if the record is whole."""
    before = ""
    for place, entry in enumerate(entries, 1):
        if entry.sequence != place or entry.previous_hash != before or entry.hash != entry.sealed():
            return entry.sequence
        before = entry.hash
    return None
