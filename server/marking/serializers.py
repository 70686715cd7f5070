"""What comes in about marks."""

from typing import Any, get_args

from rest_framework import serializers

from chromata_core.marking.rubric import LABELS, MOST_POINTS, By
from config.fields import Finite, ShortList


class CriterionSerializer(serializers.Serializer[Any]):
    """So many points for one thing; of accuracy also from where to where, in per cent or standard uncertainties."""

    kind = serializers.ChoiceField(choices=tuple(LABELS))
    points = Finite(min_value=0, max_value=MOST_POINTS)
    by = serializers.ChoiceField(choices=get_args(By), default="percent")
    full = Finite(min_value=0, max_value=1e6, default=1.0)
    none = Finite(min_value=0, max_value=1e6, default=5.0)


class RubricSerializer(serializers.Serializer[Any]):
    """A rubric: its name, the whole, and what counts."""

    name = serializers.CharField(max_length=60)
    total = Finite(min_value=0, max_value=MOST_POINTS)
    criteria = ShortList(child=CriterionSerializer(), max_length=len(LABELS))


class ChosenSerializer(serializers.Serializer[Any]):
    """Which rubric a session is marked by; 0 is the usual one."""

    rubric = serializers.IntegerField(min_value=0)


class DecisionSerializer(serializers.Serializer[Any]):
    """What somebody decides of one line; no points: what is proposed stands again."""

    kind = serializers.ChoiceField(choices=tuple(LABELS))
    points = Finite(allow_null=True, min_value=0, max_value=MOST_POINTS)
    note = serializers.CharField(max_length=300, allow_blank=True, default="")


class ReleasedSerializer(serializers.Serializer[Any]):
    """Whether students see their marks."""

    released = serializers.BooleanField()
