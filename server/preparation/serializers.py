"""What comes in from the prep room."""

from typing import Any

from rest_framework import serializers

from config.fields import ShortDict


class RecipeSerializer(serializers.Serializer[Any]):
    """A solution of the plan, from the bottle that is chosen (0: one that is bought; nothing: the best there is), with
    what was measured so far, by what it is asked under.
    """

    key = serializers.CharField(max_length=200)
    bottle = serializers.IntegerField(min_value=0, allow_null=True, default=None)
    measured = ShortDict(child=serializers.CharField(max_length=24, allow_blank=True), default=dict)


class MadeSerializer(RecipeSerializer):
    """A solution that was made, by the recipe whose ``lead`` was looked at. ``into_plan``: its number counts for the
    session; ``keep``: it stands on the shelf.
    """

    lead = serializers.CharField(max_length=600, allow_blank=True, default="")
    into_plan = serializers.BooleanField(default=False)
    keep = serializers.BooleanField(default=False)


class ReadySerializer(serializers.Serializer[Any]):
    """A line of the list, ticked or not."""

    key = serializers.CharField(max_length=200)
    ready = serializers.BooleanField()


class DaySerializer(serializers.Serializer[Any]):
    """A day of the week that is looked at; nothing: that of the next session."""

    day = serializers.DateField(default=None, allow_null=True)
