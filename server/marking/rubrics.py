"""Rubrics of an instructor: kept, changed, chosen for a session."""

from collections.abc import Mapping
from typing import Any

from chromata_core.marking.rubric import USUAL, Criterion, Rubric, rubric_problems
from config.errors import Refused
from marking.models import KeptRubric, Marking
from marking.shapes import RubricOut
from people.models import Person

_MOST = 40  # rubrics of one person


def rubric_from(fields: Mapping[str, Any]) -> Rubric:
    """As it was written."""
    return Rubric(fields["name"], fields["total"], tuple(Criterion(**row) for row in fields["criteria"]))


def rubrics_for(person: Person) -> list[RubricOut]:
    """The usual one, and this person's own."""
    own = [RubricOut(kept_rubric.pk, rubric_from(_said(kept_rubric))) for kept_rubric in person.rubrics.all()]
    return [RubricOut(0, USUAL), *own]


def _said(kept: KeptRubric) -> dict[str, Any]:
    return {"name": kept.name, "total": kept.total, "criteria": kept.criteria}


def keep_rubric(person: Person, fields: Mapping[str, Any]) -> None:
    """Keeps a rubric under its name, over what stood there; Refused with all that is wrong with it."""
    rubric = rubric_from(fields)
    if problems := rubric_problems(rubric):
        raise Refused(" ".join(problems), 422)
    if person.rubrics.exclude(name=rubric.name).count() >= _MOST:
        raise Refused(f"{_MOST} rubrics are kept already. Write over one of them.", 422)
    told = {"total": rubric.total, "criteria": [dict(row) for row in fields["criteria"]]}
    KeptRubric.objects.update_or_create(owner=person, name=rubric.name, defaults=told)


def rubric_of(marking: Marking | None) -> Rubric | None:
    """The rubric that a session is marked by, as it was when it was chosen."""
    return rubric_from(marking.rubric) if marking else None


def chosen_rubric(person: Person, which: int) -> dict[str, Any]:
    """A rubric as a session keeps it; Refused for one that is not this person's."""
    rubric = next((rubric.rubric for rubric in rubrics_for(person) if rubric.id == which), None)
    if rubric is None:
        raise Refused("Choose one of your own rubrics.", 422)
    criteria = [
        {"kind": c.kind, "points": c.points, "by": c.by, "full": c.full, "none": c.none} for c in rubric.criteria
    ]
    return {"name": rubric.name, "total": rubric.total, "criteria": criteria}
