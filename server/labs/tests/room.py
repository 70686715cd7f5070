"""A small room for tests: one section with staff and three students, another section of somebody else."""

import uuid
from collections.abc import Mapping
from datetime import UTC, datetime
from typing import Any
from unittest.mock import patch

from django.contrib.auth.hashers import make_password
from django.db import connection
from django.test import Client, SimpleTestCase, TestCase
from django.test.utils import CaptureQueriesContext

from chromata_core.methods.registry import method
from chromata_core.sheet.example import example_sheet
from chromata_core.telling.outcome import Evaluation
from config.throttles import PerPerson, Trying, Working, Writing
from labs import actions
from labs.models import Bench, Session
from labs.tests.described import Described
from notebook.desks import evaluation_of, with_accepted
from notebook.seals import RecordCheck, check_record
from notebook.standing import entries_of
from people.models import Person, Role, Section

WHEN = datetime(2026, 3, 2, 9, tzinfo=UTC)
TRUE = "0.3519"  # the hidden value: unlike anything a reading gives
PASSWORD = make_password("secret-word", hasher="md5")


def person(username: str, role: str, section: Section | None = None) -> Person:
    name = username.title()
    return Person.objects.create(username=username, name=name, role=role, section=section, password=PASSWORD)


class Furnished:
    """What ``furnish`` puts into a test case."""

    instructor: Person
    assistant: Person
    stranger: Person
    student: Person
    neighbour: Person
    section: Section
    session: Session
    bench: Bench
    other_bench: Bench


def furnish(room: Any) -> None:
    """Makes the people, the section and an open session of two benches, as attributes of ``room``."""
    room.instructor, room.assistant = person("ines", Role.INSTRUCTOR), person("aldo", Role.ASSISTANT)
    room.section = Section.objects.create(name="Group", term="Spring", code="GREEN4", owner=room.instructor)
    room.section.assistants.add(room.assistant)
    room.stranger = person("otto", Role.INSTRUCTOR)
    room.student = person("sami", Role.STUDENT, room.section)
    room.neighbour = person("tova", Role.STUDENT, room.section)
    room.session = planned(room.section)
    actions.open_session(room.session)
    room.bench, room.other_bench = room.session.benches.order_by("number")


def planned(section: Section) -> Session:
    """A planned titration of two benches with a hidden value."""
    samples = [{"name": "Bottle", "accepted": {"c_s": TRUE}}]
    options = {"c_t": "0.1026", "rough_trial": "no"}
    return actions.plan_session(section, "acid-base-titration", "Bottles", "Room 1", WHEN, 90, options, {}, 2, samples)


def signed_in(who: Person) -> Client:
    """A client of their own."""
    client = Described()
    client.force_login(who, backend="django.contrib.auth.backends.ModelBackend")
    return client


class Room(Furnished, TestCase):
    """Furnished once for each class of tests; ``as_`` signs somebody in."""

    @classmethod
    def setUpTestData(cls) -> None:
        furnish(cls)

    def as_(self, who: Person) -> Client:
        return signed_in(who)


def queries_of(client: Client, address: str) -> list[str]:
    """The queries of the look at ``address`` that takes fewest of three: what a process remembers for seconds is
    forgotten in between on a busy machine.
    """
    looks = []
    for _ in range(3):
        with CaptureQueriesContext(connection) as asked:
            client.get(address)
        looks.append([query["sql"] for query in asked])
    return min(looks, key=len)


def unhurried(case: SimpleTestCase) -> None:
    """Lifts the limits of how often one person may ask, for a test that asks everything."""
    for throttle in (PerPerson, Trying, Working, Writing):
        lifted = patch.object(throttle, "rate", "100000/min")
        lifted.start()
        case.addCleanup(lifted.stop)


def entry(key: str, text: str, trial: int | None = None, **more: Any) -> dict[str, Any]:
    """An entry as a client sends it."""
    now = datetime.now(UTC).isoformat()
    return {"id": str(uuid.uuid4()), "key": key, "text": text, "trial": trial, "written_at": now, **more}


def write(client: Client, bench: Bench, *entries: dict[str, Any]) -> list[dict[str, Any]]:
    """Sends entries; the answers."""
    answer = client.post(f"/api/benches/{bench.pk}/entries", {"entries": list(entries)}, "application/json")
    assert answer.status_code == 200, answer.content
    kept: list[dict[str, Any]] = answer.json()["kept"]
    return kept


def titrate(client: Client, bench: Bench, *trials: tuple[str, str]) -> None:
    """Writes a whole titration."""
    entries = [entry("V_s", "20.00")]
    for number, (start, end) in enumerate(trials, 1):
        entries += [entry("V_start", start, number), entry("end_point", "held", number), entry("V_end", end, number)]
    assert all(kept["kept"] for kept in write(client, bench, *entries))


def evaluated(bench: Bench, accepted: bool = False) -> Evaluation:
    """What the core says of what was written at ``bench``, beside its hidden values if they are wanted."""
    evaluation = evaluation_of(bench, entries_of(bench))
    return with_accepted(bench, evaluation) if accepted else evaluation


def record(bench: Bench) -> RecordCheck:
    """What a verification of the bench's record says now."""
    bench.refresh_from_db()
    return check_record(bench, list(bench.entries.order_by("sequence")))


def filled(section: Section, slug: str, options: Mapping[str, str] | None = None,
           accepted: Mapping[str, str] | None = None, **instruments: str) -> Bench:  # fmt: skip
    """A bench of a session of its own, with the worked example of its method written on it."""
    example = method(slug).example
    chosen, tools = {**example.options, **(options or {})}, {**example.instruments, **instruments}
    samples = [{"name": "Given", "accepted": accepted}] if accepted else []
    session = actions.plan_session(section, slug, slug, "Room 1", WHEN, 90, chosen, tools, 1, samples)
    actions.open_session(session)
    bench = session.benches.get()
    given = example_sheet(method(slug)).given
    entries = [entry(row.key, row.text, row.trial, index=row.index) for row in given]
    assert all(kept["kept"] for kept in write(signed_in(section.owner), bench, *entries))
    bench.refresh_from_db()
    return bench
