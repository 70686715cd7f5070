"""The one way to write at a bench: checked, in one transaction, chained to what was written before."""

import logging
from collections import Counter
from collections.abc import Collection, Sequence
from dataclasses import dataclass
from datetime import UTC, datetime
from functools import cached_property, partial
from uuid import UUID

from django.db import IntegrityError, transaction
from django.utils import timezone

from chromata_core.declaration.places import REWRITABLE, TALK, Place
from chromata_core.errors import ChromataError
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Bound, Given, Sheet
from chromata_core.sheet.understanding import understand
from labs.declared import method_of
from labs.models import Bench, Session
from labs.seals import seal_end
from notebook.models import Entry
from notebook.photos import keep_picture, picture_problem
from notebook.remembered import entries_at, remember
from notebook.seals import BROKEN, end_holds, seal_entry
from notebook.slips import device_on
from notebook.standing import begun, place, sheet_with, standing
from people.models import Person
from prelab.asked import waiting_sentence, waits_for

log = logging.getLogger(__name__)

_STAFF_ONLY = ("message", "seen")
# Far more than an honest session needs, few enough that every answer stays small.
_MOST_ENTRIES, _MOST_SAID, _MOST_PHOTOS, _LONGEST_SAID = 4000, 200, 40, 1000
_ELSEWHERE = "This entry's id belongs to something else that was written. Write it again."


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
    slip: str = ""

    @property
    def place(self) -> Place:
        """Where it belongs."""
        return Place(self.key, self.trial, self.index)


@dataclass(frozen=True, slots=True)
class Kept:
    """What became of a draft: kept, or refused with a sentence. A refused draft changed nothing."""

    id: str
    kept: bool
    problem: str


def write(bench: Bench, author: Person, drafts: Sequence[Draft]) -> list[Kept]:
    """Writes ``drafts`` in order, and brings ``bench`` to its new end. One that was kept before is answered as kept and
    not doubled.
    """
    try:
        return _write(bench, author, drafts)
    except IntegrityError:  # another bench took one of the ids at this very moment: now that is seen
        return _write(bench, author, drafts)


@transaction.atomic
def _write(bench: Bench, author: Person, drafts: Sequence[Draft]) -> list[Kept]:
    """The bench is locked first and everything is looked at under the lock: closing a session waits for it too."""
    end = Bench.objects.select_for_update().values_list("length", "head", "seal")
    bench.length, bench.head, bench.seal = end.get(pk=bench.pk)
    bench.session.state = Session.objects.values_list("state", flat=True).get(pk=bench.session_id)  # as it is by now
    record = _Record(bench, author, [draft.id for draft in drafts])
    known = {entry.id: entry for entry in record.entries}
    answers: list[Kept] = []
    for draft in drafts:
        again = known.get(draft.id)
        if again is not None:
            problem = "" if _same(again, draft) else _ELSEWHERE
        else:
            problem = record.problem(draft)
            if not problem:
                known[draft.id] = record.append(draft)
        answers.append(Kept(str(draft.id), not problem, problem))
    record.end()
    return answers


def _same(entry: Entry, draft: Draft) -> bool:
    """Whether ``draft`` is ``entry``, sent again."""
    sent = (draft.place, draft.text.strip(), draft.supersedes, draft.reason.strip())
    return sent == (place(entry), entry.text, entry.supersedes_id, entry.reason)


class _Record:
    """A locked bench with what stands on its record, while something is added to it."""

    def __init__(self, bench: Bench, author: Person, ids: Collection[UUID]) -> None:
        self.bench, self.author = bench, author
        entries, self.elsewhere = entries_at(bench, ids)
        self.entries = list(entries)
        self.here = {place(entry): entry for entry in standing(self.entries)}
        self.said = Counter(entry.key for entry in self.entries if entry.key in TALK)
        self.added: list[Entry] = []
        self.bound: Bound | None = None

    def problem(self, draft: Draft) -> str:
        """The sentence that refuses ``draft``, empty if it may be kept."""
        if self.bench.session.state != Session.State.OPEN:
            return "The session is not open, so nothing can be written. Your instructor opens it."
        if draft.id in self.elsewhere:
            return _ELSEWHERE
        if draft.key in _STAFF_ONLY and not self.author.teaches:
            return "Only your instructor can send this."
        return (
            self._full(draft)
            or self._not_ready(draft)
            or (
                self._talk_problem(draft)
                if draft.key in TALK
                else self._sheet_problem(draft) or self._place_problem(draft)
            )
        )

    def _full(self, draft: Draft) -> str:
        """A limit for each bench: nobody's notes make the others wait. The staff can always still write."""
        if self.author.teaches:
            return ""
        if len(self.entries) >= _MOST_ENTRIES:
            return f"This bench's record holds {_MOST_ENTRIES} entries and is full. Ask your instructor."
        if draft.key == "photo" and self.said["photo"] >= _MOST_PHOTOS:
            return f"This bench has {_MOST_PHOTOS} photos, and more are not kept. Choose what shows most."
        if draft.key in TALK and self.said.total() >= _MOST_SAID:
            return f"This bench has {_MOST_SAID} notes and calls, and more are not kept. Tell your instructor by word."
        return ""

    def _not_ready(self, draft: Draft) -> str:
        """Before its first reading a bench may have to wait for the work before class; steps and safety never do."""
        if self.author.teaches or draft.place.kind != "part" or begun(self.entries):
            return ""
        return waiting_sentence(self.waits)

    @cached_property
    def waits(self) -> list[Person]:
        """Whom of the team the first reading waits for."""
        return waits_for(self.bench)

    def _talk_problem(self, draft: Draft) -> str:
        if draft.supersedes is not None:
            return "What was said is not corrected. Say it anew."
        if not draft.text.strip() or "\x00" in draft.text:
            return "Write a word or two first."
        if len(draft.text) > _LONGEST_SAID:
            return f"This is longer than {_LONGEST_SAID} characters. Say it in fewer words, or in two notes."
        return picture_problem(draft.image) if draft.key == "photo" else ""

    def _sheet_problem(self, draft: Draft) -> str:
        try:
            if self.bound is None:
                bare = sheet_with(self.bench, ())
                self.bound = bind(
                    method_of(self.bench.session), Sheet(bare.options, bare.instruments, stock=bare.stock)
                )
            understand(self.bound, Given(draft.key, draft.text, draft.trial, draft.index))
        except ChromataError as error:
            return error.message
        return "" if "\x00" not in draft.reason else "The reason holds characters that cannot be kept."

    def _place_problem(self, draft: Draft) -> str:
        """What is corrected is what stands in that very place now; only some places are written again without."""
        here = self.here.get(draft.place)
        if draft.supersedes is not None:
            if here is None or here.id != draft.supersedes:
                return "Somebody corrected this reading in the meantime. Look at it again before you correct it."
            return (
                "" if draft.reason.strip() else "Say in a few words why you correct it; the old value stays readable."
            )
        if here is None and self.bound is not None and self.bound.bottle(draft.key) and not self.author.teaches:
            return "What stands on a bottle is written by your instructor. Tell them what yours says."
        if here is None or draft.place.kind in REWRITABLE:
            return ""
        return f"{here.text} is written there already. Correct it, with a reason, instead."

    def append(self, draft: Draft) -> Entry:
        """``draft`` added to the record; kept with all others at its end."""
        last, now = self.entries[-1] if self.entries else None, timezone.now()
        entry = Entry(
            id=draft.id,
            bench=self.bench,
            sequence=last.sequence + 1 if last else 1,
            key=draft.key,
            trial=draft.trial,
            index=draft.index,
            text=draft.text.strip(),
            author=self.author,
            written_at=min(draft.written_at, now).astimezone(UTC),
            received_at=now,
            supersedes_id=draft.supersedes,
            reason=draft.reason.strip(),
            previous_hash=self._before(last),
            photo=keep_picture(draft.image) if draft.key == "photo" else "",
            device=device_on(draft.slip, self.bench, draft.key, draft.text.strip()),
        )
        seal_entry(entry)
        self.entries.append(entry)
        self.added.append(entry)
        if entry.key in TALK:
            self.said[entry.key] += 1
        else:
            self.here[place(entry)] = entry
        return entry

    def _before(self, last: Entry | None) -> str:
        """The seal to build on. Behind an end that does not hold the break stays in the record for good."""
        if self.added or end_holds(self.bench, last):
            return last.hash if last else ""
        log.error("bench %s: the end of its record is not as it was sealed", self.bench.pk)
        return BROKEN

    def end(self) -> None:
        """Keeps what was added and seals the new end."""
        if self.added:
            Entry.objects.bulk_create(self.added)
            self.bench.length, self.bench.head = self.entries[-1].sequence, self.entries[-1].hash
            seal_end(self.bench)
            self.bench.save(update_fields=["length", "head", "seal"])
            transaction.on_commit(partial(remember, self.bench, self.entries))
