"""What comes in about the stockroom."""

from typing import Any

from rest_framework import serializers


class OwnScaleSerializer(serializers.Serializer[Any]):
    """An instrument of one's own: the catalogue's nearest one, and what is otherwise; empty: as that one."""

    base = serializers.CharField(max_length=60)
    name = serializers.CharField(max_length=60)
    low = serializers.CharField(max_length=24, allow_blank=True, default="")
    high = serializers.CharField(max_length=24, allow_blank=True, default="")
    graduation = serializers.CharField(max_length=24, allow_blank=True, default="")
    decimals = serializers.CharField(max_length=3, allow_blank=True, default="")
    tolerance = serializers.CharField(max_length=24, allow_blank=True, default="")
    basis = serializers.CharField(max_length=120, allow_blank=True, default="")
    numbers_run = serializers.ChoiceField(choices=("", "up", "down"), default="")
    scales = serializers.CharField(max_length=80, allow_blank=True, default="")


class BottleSerializer(serializers.Serializer[Any]):
    """A bottle as its label says it: amount with g or mL, strength as mol/L, g/L or per cent."""

    name = serializers.CharField(max_length=80)
    formula = serializers.CharField(max_length=60)
    amount = serializers.CharField(max_length=24)
    strength = serializers.CharField(max_length=24, allow_blank=True, default="")
    limit = serializers.CharField(max_length=24, allow_blank=True, default="")
    density = serializers.CharField(max_length=24, allow_blank=True, default="")
    until = serializers.CharField(max_length=10, allow_blank=True, default="")
    place = serializers.CharField(max_length=60, allow_blank=True, default="")


class CountSerializer(serializers.Serializer[Any]):
    """How many pieces there are, and where; nothing: nobody counted."""

    pieces = serializers.IntegerField(min_value=0, max_value=10_000, allow_null=True)
    place = serializers.CharField(max_length=60, allow_blank=True, default="")
