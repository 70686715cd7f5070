"""What comes in about own experiments."""

from typing import Any

from rest_framework import serializers

from config.fields import ShortDict, ShortList


class BeginSerializer(serializers.Serializer[Any]):
    """A new draft: a copy of a method, the content of a file, or neither to begin with an empty one."""

    copy_of = serializers.CharField(max_length=60, allow_blank=True, default="")
    title = serializers.CharField(max_length=120, allow_blank=True, default="")
    file = serializers.CharField(max_length=500_000, allow_blank=True, default="", trim_whitespace=False)


class SaveSerializer(serializers.Serializer[Any]):
    """A draft as it stands; it may still be wrong in any way."""

    declaration = serializers.DictField()
    note = serializers.CharField(max_length=200, allow_blank=True, default="")


class NoteSerializer(serializers.Serializer[Any]):
    """What is new in a version."""

    note = serializers.CharField(max_length=200, allow_blank=True, default="")


class WithdrawnSerializer(serializers.Serializer[Any]):
    """Whether it stands in the method book no longer."""

    withdrawn = serializers.BooleanField()


class RowSerializer(serializers.Serializer[Any]):
    """A reading of a trial run."""

    key = serializers.CharField(max_length=60)
    text = serializers.CharField(max_length=4000, allow_blank=True)
    trial = serializers.IntegerField(allow_null=True, default=None, min_value=0, max_value=1000)
    index = serializers.IntegerField(allow_null=True, default=None, min_value=0, max_value=1000)


class TrialRunSerializer(serializers.Serializer[Any]):
    """A trial run: a seed for simulated readings, with a fault if one is wanted; or readings as typed."""

    seed = serializers.IntegerField(allow_null=True, default=None, min_value=0, max_value=10**9)
    fault = serializers.CharField(max_length=60, allow_blank=True, default="")
    readings = ShortList(child=RowSerializer(), default=list, max_length=2000)
    options = ShortDict(child=serializers.CharField(max_length=200, allow_blank=True), default=dict)
    instruments = ShortDict(child=serializers.CharField(max_length=60), default=dict)
