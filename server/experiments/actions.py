"""Changes to own experiments: begun, saved, tried, made ready, withdrawn. Nothing that was ready is ever changed.

Each locks the experiment's row first: of two pages open at once the second sees what the first did.
"""

import json
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from functools import lru_cache
from typing import Any

from django.db import transaction
from django.shortcuts import get_object_or_404
from django.utils import timezone
from django.utils.text import slugify

from chromata_core.authoring.as_json import from_json, to_json
from chromata_core.authoring.blank import blank
from chromata_core.authoring.complete import lacks, wishes
from chromata_core.declaration.vocabulary import Method
from chromata_core.errors import ChromataError, SheetError
from chromata_core.loading.load import load, problems_of
from chromata_core.methods.registry import methods
from chromata_core.sheet.binding import bind
from chromata_core.sheet.bound import Given, Sheet
from chromata_core.simulation.rehearse import rehearse
from chromata_core.telling.describe import MethodPage, page
from chromata_core.telling.evaluate import evaluate
from chromata_core.telling.outcome import Evaluation
from config.errors import Refused
from experiments.declared import forget, keep, kept_method, method_named
from experiments.models import Experiment, Version
from experiments.shapes import Row, TrialRun
from people.models import Person

_LARGEST = 400_000  # characters of JSON: ten times the longest method that ships


@transaction.atomic
def begin(owner: Person, copy_of: str, title: str, file: str) -> Experiment:
    """A new draft: from a file, as a copy of a method, or empty. SheetError or Refused says what cannot be."""
    if file.strip():
        data = _from_file(file)
        data["title"] = title.strip() or str(data.get("title", ""))
    elif copy_of:
        source = method_named(copy_of, [owner])
        data = {**to_json(source), "title": title.strip() or f"{source.title}, our way"}
    else:
        data = to_json(blank("", title.strip() or "New experiment"))
    _must_fit(data)
    Person.objects.select_for_update().get(pk=owner.pk)  # two begun at once must not choose the same name
    experiment = Experiment.objects.create(owner=owner, slug=_free_slug(str(data["title"])), copied_from=copy_of)
    _write(experiment, 1, data, "")
    return experiment


def _from_file(text: str) -> dict[str, Any]:
    if len(text) > _LARGEST:
        raise Refused("The file is larger than any method. Is it the right file?", 413)
    try:
        data = json.loads(text)
    except (json.JSONDecodeError, RecursionError) as error:
        raise SheetError([f"The file is not JSON: {error}."]) from error
    from_json(data)  # what cannot be read as a method is no draft either: the file is still there to be mended
    return dict(data)


def _free_slug(title: str) -> str:
    base = slugify(title)[:50] or "experiment"
    taken = {*methods(), *Experiment.objects.filter(slug__startswith=base).values_list("slug", flat=True)}
    return next(slug for n in range(len(taken) + 1) if (slug := f"{base}-{n + 1}" if n else base) not in taken)


def _write(experiment: Experiment, number: int, data: Mapping[str, Any], note: str) -> Version:
    before = list(experiment.versions.filter(number=number).values_list("declaration_id", flat=True))
    named = {**data, "slug": experiment.slug, "version": number}
    version, _ = Version.objects.update_or_create(
        experiment=experiment, number=number, defaults={"declaration": keep(named), "note": note}
    )
    forget(before)
    return version


def _must_fit(data: Mapping[str, Any]) -> None:
    """Refused where a declaration is larger than any method: looked at before it is kept or read."""
    try:
        length = len(json.dumps(data))
    except RecursionError:
        length = _LARGEST + 1
    if length > _LARGEST:
        raise Refused("This declaration is larger than any method can be. Make two of it.", 413)


def _lock(experiment: Experiment) -> None:
    """The experiment's row, nobody else's until the transaction ends; Http404 if it was thrown away meanwhile."""
    get_object_or_404(Experiment.objects.select_for_update(), pk=experiment.pk)


def latest(experiment: Experiment) -> Version:
    """The newest version, draft or ready."""
    return experiment.versions.select_related("declaration").order_by("-number")[0]


@transaction.atomic
def save(experiment: Experiment, data: Mapping[str, Any], note: str) -> None:
    """Keeps a draft as it is, however incomplete. After a ready version a new one begins."""
    _must_fit(data)
    _lock(experiment)
    last = latest(experiment)
    _write(experiment, last.number + 1 if last.ready_at else last.number, data, note)


@dataclass(frozen=True, slots=True)
class Looked:
    """A draft's method once it holds; its contradictions, what it lacks, and what may wait."""

    method: Method | None
    problems: list[str]
    lacks: list[str]
    wishes: list[str]


@lru_cache(maxsize=64)
def looked_at(content: str) -> Looked:
    """What is to be said of a draft. ``content`` is the hash of the declaration, so that one that was looked at before
    is not worked again.
    """
    try:
        declared = kept_method(content)
    except SheetError as error:
        return Looked(None, error.problems, [], [])
    try:
        problems = problems_of(declared)
        if problems:
            return Looked(None, problems, [], [])
        return Looked(declared, [], lacks(declared), wishes(declared))
    except Exception as error:  # a draft can be wrong in ways nobody foresaw; it is shown all the same, to be mended
        sentence = f"This draft cannot be judged: {type(error).__name__}, {error}. Undo the last change."
        return Looked(None, [sentence], [], [])


def preview(declared: Method) -> MethodPage | None:
    """The page of the method book that this draft would have; None where it cannot be worked so far."""
    try:
        return page(declared)
    except Exception:  # what is wrong is told among the lacks; the editor must open all the same
        return None


def try_out(experiment: Experiment, seed: int | None, fault: str, rows: Sequence[Row], options: Mapping[str, str],
            instruments: Mapping[str, str]) -> TrialRun:  # fmt: skip
    """A trial run of the draft: on simulated readings if there is a ``seed``, else on those that were typed."""
    version = latest(experiment)
    declared = load(kept_method(version.declaration_id))
    try:
        if seed is not None:
            sheet = rehearse(declared, seed, options or None, fault)
        else:
            sheet = Sheet(options, instruments, tuple(Given(r.key, r.text, r.trial, r.index) for r in rows))
        outcome = evaluate(declared, sheet)
    except ChromataError:
        raise
    except Exception as error:  # a declaration can be wrong in ways nobody foresaw; here it harms nobody
        raise SheetError([f"This draft cannot be worked: {type(error).__name__}, {error}."]) from error
    missing = _missing(declared, sheet, outcome)
    passed = not missing and not any(finding.level == "stop" for finding in outcome.findings)
    if passed and not fault:  # of the very draft that was run: it may have been saved anew meanwhile
        tried = experiment.versions.filter(pk=version.pk, declaration=version.declaration_id)
        tried.update(tried=version.declaration_id)
    return TrialRun([Row(g.key, g.trial, g.index, g.text) for g in sheet.given], outcome, passed, missing)


def _missing(declared: Method, sheet: Sheet, outcome: Evaluation) -> list[str]:
    there = {result.key for result in outcome.results}
    return [q.label for q in bind(declared, sheet).quantities if q.result and q.key not in there]


@transaction.atomic
def make_ready(experiment: Experiment, note: str) -> None:
    """Lets sessions be planned with the draft: only if it holds, is complete, and this very draft was tried."""
    _lock(experiment)
    version = latest(experiment)
    if version.ready_at:
        raise Refused("This version is ready already. Change something, and a new version begins.")
    looked = looked_at(version.declaration_id)
    if looked.problems or looked.lacks:
        raise SheetError([*looked.problems, *looked.lacks])
    if version.tried != version.declaration_id:
        raise Refused("Try it out first, on simulated or typed readings: this draft has not been run yet.")
    version.ready_at, version.note = timezone.now(), note.strip() or version.note
    version.save(update_fields=["ready_at", "note", "saved_at"])


@transaction.atomic
def withdraw(experiment: Experiment, withdrawn: bool) -> None:
    """Takes it out of the method book, or puts it back. Sessions that were opened with it keep it."""
    _lock(experiment)
    if withdrawn and _planned(experiment):
        raise Refused("A session is planned with it. Open that session first, or plan it with another method.")
    experiment.withdrawn = withdrawn
    experiment.save(update_fields=["withdrawn"])


@transaction.atomic
def discard(experiment: Experiment) -> None:
    """Throws the draft away: back to the last ready version, or all of it where there is none."""
    _lock(experiment)
    last = latest(experiment)
    if last.ready_at:
        raise Refused("There is no draft to throw away: the last version is ready, and ready versions are kept.")
    last.delete()
    forget([last.declaration_id])
    if not experiment.versions.exists():
        experiment.delete()


def _planned(experiment: Experiment) -> bool:
    plans = experiment.owner.sections.filter(sessions__method=experiment.slug, sessions__state="planned")
    return plans.exists()
