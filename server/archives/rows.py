"""Which rows are in an archive, in the order in which they can be made anew, and what each of them says.

What a row says is read off its model, so that a field that is added there is in the archive too.
"""

from collections.abc import Collection, Iterator, Mapping
from dataclasses import dataclass
from typing import Any

from django.core.exceptions import ValidationError
from django.db.models import Field, ForeignKey, JSONField, ManyToManyField, Model, QuerySet

from labs.models import Bench, Deed, HiddenValue, LeftOut, Remark, Sample, Session
from marking.models import Decision, Marking
from notebook.models import Entry
from people.models import Person
from prelab.models import Answer, LetIn
from preparation.models import Made, Ready
from rehearsals.models import Act


@dataclass(frozen=True, slots=True)
class Kind:
    """Rows of one model: ``path`` leads from them to their session; fields ``without`` are not said, because another
    installation makes them itself.
    """

    model: type[Model]
    path: str
    without: tuple[str, ...] = ()

    @property
    def name(self) -> str:
        """How the archive calls them."""
        return self.model.__name__.lower()

    def rows_of(self, sessions: Collection[Session]) -> "QuerySet[Model]":
        """Those of ``sessions``, in the order in which they were made."""
        keys = [session.pk for session in sessions]
        order = ("bench", "sequence") if self.model is Entry else ("pk",)
        return self.model._default_manager.filter(**{f"{self.path}__in": keys}).order_by(*order)

    @property
    def fields(self) -> "list[Field[Any, Any]]":
        """What is said of each, its key aside."""
        fields = [*self.model._meta.concrete_fields, *self.model._meta.many_to_many]
        return [field for field in fields if not field.primary_key and field.name not in self.without]


# Sections and people are no kinds: another installation gives them codes, keys and PINs of its own.
KINDS = (
    Kind(Session, "pk", ("guests", "declaration", "origin")),
    Kind(Deed, "session"),
    Kind(Remark, "session", ("owner",)),
    Kind(Sample, "session"),
    Kind(HiddenValue, "sample__session"),
    Kind(Bench, "session", ("head", "length", "seal")),
    Kind(LeftOut, "bench__session"),
    Kind(Act, "bench__session"),
    Kind(Answer, "session"),
    Kind(LetIn, "session"),
    Kind(Entry, "bench__session", ("previous_hash", "hash")),
    Kind(Made, "session", ("bottle",)),
    Kind(Ready, "session"),
    Kind(Marking, "session"),
    Kind(Decision, "bench__session"),
)  # fmt: skip


def told(kind: Kind, row: Model) -> dict[str, Any]:
    """What ``row`` says; others by their keys."""
    fields: dict[str, Any] = {"id": str(row.pk)}
    for field in kind.fields:
        if isinstance(field, ManyToManyField):
            fields[field.name] = sorted(getattr(row, field.name).values_list("pk", flat=True))
        else:
            value = field.value_from_object(row)
            plain = isinstance(field, JSONField) or value is None or isinstance(value, bool | int | float)
            fields[field.name] = value if plain else field.value_to_string(row)
    return fields


Known = Mapping[type[Model], Mapping[str, Any]]
# What older archives do not say: it is as it was before there was a choice.
_LATER = frozenset({"simulated", "seed", "turns", "pace", "instead", "device"})


def read(kind: Kind, told: Mapping[str, Any], known: Known) -> Model:
    """A row that says what is ``told``; ``known`` are the new keys of others by their former ones. ValidationError
    where it cannot be one.
    """
    row = kind.model()
    if kind.model is Entry:
        row.pk = kind.model._meta.pk.to_python(told["id"])
    for field in kind.fields:
        if isinstance(field, ManyToManyField):
            continue
        if isinstance(field, ForeignKey):
            setattr(row, field.attname, _other(field, told[field.name], known))
        else:
            value = told[field.name] if field.name not in _LATER else told.get(field.name, field.get_default())
            setattr(row, field.name, value if isinstance(field, JSONField) else field.to_python(value))
    row.clean_fields(exclude=[field.name for field in row._meta.fields if not _looked_at(kind, field, row)])
    return row


def _looked_at(kind: Kind, field: "Field[Any, Any]", row: Model) -> bool:
    """Whether it is looked at by itself: others are looked up, and what is free in form is looked at by its meaning."""
    empty = field.null and getattr(row, field.attname) is None
    return field in kind.fields and not (field.is_relation or isinstance(field, JSONField) or empty)


def _other(field: "ForeignKey[Any, Any]", key: Any, known: Known) -> Any:
    model = field.related_model
    assert isinstance(model, type)
    if model is Entry:
        return field.to_python(key)
    row = known.get(model, {}).get(str(key)) if key is not None else None
    if row is None and not field.null:
        raise ValidationError(f"{field.name} {key} is missing")
    return row


def many(kind: Kind, row: Mapping[str, Any], known: Known) -> Iterator[tuple[str, list[Any]]]:
    """Whom a row is together with, by the field; who is missing is left out."""
    for field in kind.fields:
        if isinstance(field, ManyToManyField):
            there = known.get(field.related_model, {})
            yield field.name, [there[str(key)] for key in row[field.name] if str(key) in there]


def people_in(kinds: Mapping[str, Collection[Mapping[str, Any]]]) -> set[str]:
    """The keys of everybody who is named in the rows."""
    people: set[str] = set()
    for kind in KINDS:
        for field in kind.fields:
            if field.related_model is Person:
                values = [row[field.name] for row in kinds[kind.name]]
                flat = [key for value in values for key in (value if isinstance(value, list) else [value])]
                people |= {str(value) for value in flat if value is not None}
    return people
