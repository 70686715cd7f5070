"""What in the rows of an archive is free in form, looked at as when it comes in from a page."""

from collections.abc import Mapping
from typing import Any

from rest_framework import serializers

from chromata_core.marking.rubric import rubric_problems
from config.fields import ShortDict
from labs.own_work import chosen_work
from labs.prelab_plan import chosen_prelab
from labs.serializers import ChoicesSerializer, PlannedSerializer
from marking.rubrics import rubric_from
from marking.serializers import RubricSerializer


class KeptPlanSerializer(PlannedSerializer):
    """What a session holds of its plan, with what is frozen with it."""

    stock = ShortDict(child=serializers.DictField(), default=dict)
    comparison = ShortDict(default=dict)


def must_be_a_plan(row: Mapping[str, Any]) -> None:
    """ValidationError for a session whose choices could not have been sent."""
    plan = KeptPlanSerializer().run_validation(dict(row))
    chosen_work(row["own_work"])
    chosen_prelab(row["prelab"])
    if any(plan[name] != row[name] for name in ("options", "instruments", "takes", "questions")):
        raise ValueError("choices that are not as they would be written")


def must_be_choices(choices: Any) -> None:
    """ValidationError or ValueError for what are no options of a sample."""
    if ChoicesSerializer().fields["options"].run_validation(choices) != choices:
        raise ValueError("choices that are not as they would be written")


def must_be_a_rubric(fields: Mapping[str, Any]) -> None:
    """ValidationError or ValueError for a rubric that nobody could have chosen."""
    RubricSerializer().run_validation(dict(fields))
    if rubric_problems(rubric_from(fields)):
        raise ValueError("a rubric that does not add up")
