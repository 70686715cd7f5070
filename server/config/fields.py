"""Lists and maps whose length is looked at before anything in them is; numbers that are numbers."""

from math import isfinite
from typing import Any

from rest_framework import serializers


class ShortList(serializers.ListField):
    """A list of at most ``max_length`` items; a longer one is refused unread."""

    def to_internal_value(self, data: Any) -> list[Any]:
        if isinstance(data, list) and self.max_length is not None and len(data) > self.max_length:
            raise serializers.ValidationError(
                f"{len(data)} items are too many; send at most {self.max_length} at once."
            )
        return list(super().to_internal_value(data))


class ShortDict(serializers.DictField):
    """A map of at most ``most`` names; a larger one is refused unread."""

    most = 100

    def to_internal_value(self, data: Any) -> dict[Any, Any]:
        if isinstance(data, dict) and len(data) > self.most:
            raise serializers.ValidationError(f"{len(data)} names are too many; send at most {self.most}.")
        return dict(super().to_internal_value(data))


class Finite(serializers.FloatField):
    """A number that is one: “nan” is below no limit, and above none."""

    def to_internal_value(self, data: Any) -> float:
        number = float(super().to_internal_value(data))
        if not isfinite(number):
            raise serializers.ValidationError("Give a number.")
        return number
