"""An archive taken in: a section of one's own for each of its sections, with people, plans, records and decisions.

Everything is looked at as if a stranger had sent it. All of it is kept, or nothing.
"""

import logging
from collections import defaultdict
from collections.abc import Mapping
from typing import Any

from django.core.exceptions import ValidationError
from django.db import DataError, IntegrityError, transaction
from django.utils import timezone
from rest_framework.exceptions import ValidationError as Unfit

from archives.read import Archive, no_archive
from archives.records import keep_photos, keep_record
from archives.rows import KINDS, Kind, many, read
from archives.serializers import must_be_a_plan, must_be_a_rubric
from chromata_core.errors import ChromataError
from chromata_core.instruments.calibrated import thawed
from chromata_core.methods.registry import methods
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Sheet
from config.errors import Refused
from experiments.declared import keep, kept_method, own_methods
from labs.actions import note
from labs.comparison import compared
from labs.declared import method_of
from labs.instruments import stock_of
from labs.models import Bench, Remark, Session
from marking.models import Marking
from notebook.models import Entry
from people.models import Person, Role, Section
from people.roster import problem_of
from people.sections import make_section, new_username
from stock.models import Calibration, OwnInstrument
from stock.own import all_of, frozen, slug_of

log = logging.getLogger("chromata.archives")
_MOST = {"sections": 60, "people": 6000, "session": 400, "bench": 10_000}  # rows of one archive


def take_in(archive: Archive, owner: Person) -> list[Section]:
    """The new sections of ``owner``. Refused where something cannot be read, or is here already."""
    try:
        with transaction.atomic():
            Person.objects.select_for_update().get(pk=owner.pk)  # of two tabs the second sees what the first brought in
            must_be_new(archive, owner)
            return _Taken(archive, owner).all()
    except (ChromataError, ValidationError, Unfit, KeyError, TypeError, ValueError, AttributeError, DataError,
            IntegrityError, RecursionError) as error:  # fmt: skip
        log.info("an archive that cannot be brought in: %r", error)
        no_archive()


def must_be_new(archive: Archive, owner: Person) -> None:
    """Refused for what is here already: its entries, or a session of the same name and time of the same owner."""
    twin = "These sessions are here already. Nothing was brought in twice."
    rows = archive.rows
    for name, most in _MOST.items():
        if len(rows[name]) > most:
            raise Refused(f"{len(rows[name])} rows of “{name}” are more than one archive brings in ({most}).", 422)
    try:
        if Entry.objects.filter(pk__in=[row["id"] for row in rows["entry"]]).exists():
            raise Refused(twin)
        mine = Session.objects.filter(section__owner=owner)
        for row in rows["session"]:
            if mine.filter(title=row["title"], starts_at=row["starts_at"]).exists():
                raise Refused(twin)
    except (ValidationError, KeyError, TypeError, ValueError):
        no_archive()


class _Taken:
    """What is being made of an archive; ``known`` are the new keys of everything by model and former key."""

    def __init__(self, archive: Archive, owner: Person) -> None:
        self.archive, self.owner, self.rows = archive, owner, archive.rows
        self.known: dict[type[Any], dict[str, Any]] = defaultdict(dict)
        self.made: dict[type[Any], list[tuple[Mapping[str, Any], Any]]] = defaultdict(list)

    def all(self) -> list[Section]:
        """Everything, in the order in which one needs the other."""
        sections = [self._section(row) for row in self.rows["sections"]]
        for row in self.rows["people"]:
            self.known[Person][row["id"]] = self._person(row).pk
        for kind in KINDS:
            self._rows(kind)
        self._records()
        for session in self._of(Session):
            note(session, self.owner, f"brought it in, {session.origin}")
        return sections

    def _section(self, row: Mapping[str, Any]) -> Section:
        name, term = str(row["name"])[:100], str(row["term"])[:60]
        here = Section.objects.filter(owner=self.owner, name=name, term=term).exists()
        section = make_section(self.owner, f"{name} (brought in)" if here else name, term)
        self.known[Section][row["id"]] = section.pk
        return section

    def _person(self, row: Mapping[str, Any]) -> Person:
        """A student of the section without a PIN; the staff of elsewhere as people who have left."""
        if row["account"] and (row["account"], row["name"]) == (self.owner.username, self.owner.name):
            return self.owner
        if problem := problem_of(str(row["name"]), str(row["number"])):
            raise ValueError(problem)
        student = row["role"] == Role.STUDENT
        there = self.known[Section].get(row["section"])
        person = Person(
            username=new_username(), name=row["name"], number=row["number"],
            role=Role.STUDENT if student else Role.ASSISTANT, is_active=student and bool(row["active"]) and bool(there),
            section_id=(there or min(self.known[Section].values())) if student else None,
        )  # fmt: skip
        person.set_unusable_password()
        person.save()
        return person

    def _rows(self, kind: Kind) -> None:
        for row in self._in_order(kind):
            thing = read(kind, row, self.known)
            if isinstance(thing, Session):
                self._plan(thing, row)
            elif isinstance(thing, Remark):
                thing.owner = self.owner
            elif isinstance(thing, Marking):
                must_be_a_rubric(thing.rubric)
            self.made[kind.model].append((row, thing))
            if kind.model is Session:
                thing.save()
                self.known[Session][row["id"]] = thing.pk
        things = self._of(kind.model)
        if kind.model is Entry:
            return
        if kind.model is not Session:
            kind.model._default_manager.bulk_create(things)
        self.known[kind.model] = {row["id"]: thing.pk for row, thing in self.made[kind.model]}
        self._dates(kind, things)
        for row, thing in self.made[kind.model]:
            for name, others in many(kind, row, self.known):
                getattr(thing, name).set(others)

    def _in_order(self, kind: Kind) -> list[Mapping[str, Any]]:
        """Sessions after those that they go on with; the rest as they are written."""
        rows: list[Mapping[str, Any]] = list(self.rows[kind.name])
        if kind.model is not Session:
            return rows
        placed: list[Mapping[str, Any]] = []
        while rows:
            waiting = {row["id"] for row in rows}
            ready = [row for row in rows if str(row["follows"]) not in waiting]
            if not ready:
                raise ValueError("sessions that go on with each other")
            placed += ready
            rows = [row for row in rows if row not in ready]
        return placed

    def _dates(self, kind: Kind, things: list[Any]) -> None:
        """When something was said is told by the archive, not by this moment."""
        for field in [field for field in kind.fields if field.name == "at"]:
            for row, thing in self.made[kind.model]:
                thing.at = field.to_python(row["at"])
            kind.model._default_manager.bulk_update(things, ["at"])

    def _of(self, model: type[Any]) -> list[Any]:
        return [thing for _, thing in self.made[model]]

    def _plan(self, session: Session, row: Mapping[str, Any]) -> None:
        must_be_a_plan(row)
        session.origin = self._origin()
        if session.state == Session.State.OPEN:
            session.state, session.closed_at = Session.State.CLOSED, timezone.now()
        renamed = {slug: self._instrument(slug, data) for slug, data in session.stock.items()}
        session.stock = {renamed[slug]: data for slug, data in session.stock.items()}
        session.instruments = {role: renamed.get(slug, slug) for role, slug in session.instruments.items()}
        here = {*methods(), *own_methods([self.owner])}
        if row["declared"] and not (session.state == Session.State.PLANNED and session.method in here):
            session.declaration = keep(self.rows["declarations"][row["declared"]])
            kept_method(session.declaration.pk)
        bind(method_of(session), Sheet(session.options, session.instruments, stock=stock_of(session)))
        if session.comparison:
            compared(session, session.comparison)

    def _origin(self) -> str:
        there = self.archive.department or "another installation"
        of = "as this installation sealed it" if self.archive.ours else f"made in “{there}”: nobody here vouches for it"
        return f"{of}, {self.archive.made_at[:10]}"[:200]

    def _instrument(self, slug: str, data: Any) -> str:
        """How an instrument of the archive is called here: the same one, if the owner has it, or a new one."""
        thawed(slug, data)
        same = next((kept for kept in all_of(self.owner) if frozen(kept) == data), None)
        if same is not None:
            return slug_of(same)
        if "own" in data:
            return slug_of(OwnInstrument.objects.create(owner=self.owner, said=data["own"]))
        calibration = Calibration(
            owner=self.owner, **{name: data[name] for name in ("base", "name", "points", "source")}
        )
        calibration.clean_fields(exclude=["owner", "bench"])
        calibration.save()
        return slug_of(calibration)

    def _records(self) -> None:
        """What was written at each bench, and the photos that belong to it."""
        written: dict[int, list[Entry]] = defaultdict(list)
        for entry in self._of(Entry):
            written[entry.bench_id].append(entry)
        broken = {self.known[Bench].get(key) for key in self.rows["broken"]}
        for bench in self._of(Bench):
            keep_record(bench, sorted(written[bench.pk], key=lambda entry: entry.sequence), bench.pk not in broken)
        Bench.objects.bulk_update(self._of(Bench), ["length", "head", "seal"])
        keep_photos(self.archive, {row.photo for row in (*self._of(Entry), *self._of(Remark))} - {""})
