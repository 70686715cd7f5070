"""Which method a name means, to whom: one that ships, or the latest ready version of an instructor's own."""

import hashlib
import json
from collections.abc import Iterable
from functools import lru_cache
from typing import Any

from chromata_core.authoring.as_json import from_json
from chromata_core.declaration.vocabulary import Method
from chromata_core.errors import SheetError
from chromata_core.methods.registry import method, methods
from config.errors import Refused
from experiments.models import Declaration, Version
from people.models import Person, Section


def keep(data: dict[str, Any]) -> Declaration:
    """``data`` as a kept declaration; the same content is kept once. Refused if no database could hold it."""
    try:
        text = json.dumps(data, ensure_ascii=False, sort_keys=True)
        unreadable = "\\u0000" in text or not text.encode()
    except (RecursionError, UnicodeEncodeError, TypeError):
        unreadable = True
    if unreadable:
        raise Refused("The declaration holds characters or nesting that cannot be kept. Write plain text.", 422)
    kept, _ = Declaration.objects.get_or_create(hash=hashlib.sha256(text.encode()).hexdigest(), defaults={"data": data})
    return kept


def forget(contents: Iterable[str]) -> None:
    """Drops declarations that no version and no session names any more: a draft leaves one at every pause."""
    Declaration.objects.filter(pk__in=contents, versions=None, sessions=None).delete()


@lru_cache(maxsize=256)
def kept_method(content: str) -> Method:
    """The method of a kept declaration, by its hash."""
    return from_json(Declaration.objects.get(pk=content).data)


def owners_for(person: Person) -> Iterable[Person]:
    """Whose own experiments this person may see: their own, and those of the instructors they work with."""
    sections = Section.objects.filter(assistants=person) if person.teaches else Section.objects.filter(students=person)
    return {person, *(section.owner for section in sections.select_related("owner"))}


def own_methods(owners: Iterable[Person]) -> dict[str, Method]:
    """The latest ready version of every experiment of these people, by slug. One that uses a word which a later release
    no longer knows is left out: its author sees why on its page.
    """
    ready = Version.objects.filter(experiment__owner__in=owners, ready_at__isnull=False, experiment__withdrawn=False)
    latest: dict[str, Method] = {}
    for version in ready.select_related("experiment").order_by("number"):
        try:
            latest[version.experiment.slug] = kept_method(version.declaration_id)
        except SheetError:
            latest.pop(version.experiment.slug, None)
    return latest


def methods_for(person: Person) -> list[Method]:
    """The method book: every method that ships, and one's own."""
    return [*methods().values(), *own_methods(owners_for(person)).values()]


def method_named(slug: str, owners: Iterable[Person]) -> Method:
    """The method called ``slug`` as these people know it; SheetError with near names if there is none."""
    return (None if slug in methods() else own_methods(owners).get(slug)) or method(slug)
