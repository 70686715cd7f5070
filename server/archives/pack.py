"""Sessions with all that belongs to them as one file: who, what was planned, every entry, every decision, every photo.

No password, no PIN, no code and no key of another program is in it. It is sealed with this installation's secret, so
that it knows its own archives again.
"""

import json
from collections.abc import Collection, Iterator
from typing import Any

from django.utils import timezone

from archives.rows import KINDS, people_in, told
from chromata_core.authoring.as_json import to_json
from chromata_core.methods.registry import methods
from labs.declared import method_of
from labs.instruments import to_freeze
from labs.models import Bench, Session
from labs.seals import sealed
from notebook.models import Photo
from notebook.seals import check_record
from notebook.standing import entries_of
from people.department import department
from people.models import Person, Section

FORM = "chromata-archive-1"
MANIFEST, ROWS = "archive.json", "rows.json"


def photo_name(content: str) -> str:
    """Under which name a photo is in the archive."""
    return f"photos/{content}.jpg"


def with_earlier(sessions: Collection[Session]) -> list[Session]:
    """``sessions`` and those that they go on with, which they take numbers from; earlier ones first."""
    whole: list[Session] = []
    for session in sessions:
        before, latest = [session], session
        while latest.follows is not None and latest.follows not in (*whole, *before):
            latest = latest.follows
            before.append(latest)
        whole += [session for session in reversed(before) if session not in whole]
    return whole


def packed(sessions: Collection[Session], section: Section | None = None) -> Iterator[tuple[str, str | bytes]]:
    """The parts of the archive by name: of ``sessions`` and those they go on with; of a ``section`` all its people."""
    packed_rows = _rows(with_earlier(sessions), section)
    rows = json.dumps(packed_rows, ensure_ascii=False)
    name, _ = department()
    head = {"form": FORM, "made_at": timezone.now().isoformat(timespec="seconds"), "department": name}
    yield MANIFEST, json.dumps({**head, "seal": sealed([head, rows])}, ensure_ascii=False)
    yield ROWS, rows
    for content in sorted({row["photo"] for row in (*packed_rows["entry"], *packed_rows["remark"])} - {""}):
        kept = Photo.objects.filter(pk=content).first()
        if kept is not None:
            yield photo_name(content), bytes(kept.data)


def _rows(sessions: Collection[Session], section: Section | None) -> dict[str, Any]:
    kinds = {kind.name: [told(kind, row) for row in kind.rows_of(sessions)] for kind in KINDS}
    by_key = {str(session.pk): session for session in sessions}
    for row in kinds["session"]:
        row.update(_of_today(by_key[row["id"]]))
    broken = [bench.pk for bench in _begun(sessions) if not _whole(bench)]
    declared = [row for row in kinds["session"] if row["declared"]]
    sections = {every.pk: every for every in (*([section] if section else ()), *(s.section for s in sessions))}
    people = Person.objects.filter(pk__in=people_in(kinds)) | (section.roster if section else Person.objects.none())
    return {
        "sections": [{"id": str(value.pk), "name": value.name, "term": value.term} for value in sections.values()],
        "people": [_person(person) for person in people.order_by("pk")],
        "declarations": {row["declared"]: _declaration(by_key[row["id"]]) for row in declared},
        "broken": [str(key) for key in broken],
        **kinds,
    }


def _of_today(session: Session) -> dict[str, Any]:
    """What a planned session has by a name of this installation: its own instruments, and a method of its own."""
    own = session.declaration_id or ("" if session.method in methods() else f"planned-{session.pk}")
    planned = session.state == Session.State.PLANNED
    return {"declared": own, "stock": to_freeze(session) if planned else session.stock}


def _declaration(session: Session) -> dict[str, Any]:
    return session.declaration.data if session.declaration else to_json(method_of(session))


def _begun(sessions: Collection[Session]) -> Iterator[Bench]:
    """Benches with a record, be it empty."""
    yield from Bench.objects.filter(session__in=[session for session in sessions if session.opened_at is not None])


def _whole(bench: Bench) -> bool:
    """Looked at anew where something was just being written between its end and its entries."""
    fresh = (Bench.objects.select_related("session").get(pk=bench.pk) for _ in range(3))
    return any(check_record(bench, entries_of(bench)).whole for bench in fresh)


def _person(person: Person) -> dict[str, Any]:
    return {
        "id": str(person.pk), "name": person.name, "number": person.number, "role": person.role,
        "active": person.is_active, "section": str(person.section_id or ""),
        "account": person.username if person.teaches else "",
    }  # fmt: skip
