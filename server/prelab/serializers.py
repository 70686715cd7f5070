"""What comes in about work before class."""

from typing import Any

from rest_framework import serializers

from chromata_core.prelab.standing import LONGEST_ANSWER


class TaskAnswerSerializer(serializers.Serializer[Any]):
    """An attempt at one task; of a question the key of a choice, with a reason in a few words."""

    task = serializers.CharField(max_length=60)
    text = serializers.CharField(max_length=LONGEST_ANSWER)
    reason = serializers.CharField(max_length=LONGEST_ANSWER, allow_blank=True, default="")


class LetInSerializer(serializers.Serializer[Any]):
    """Whether a student may begin without being ready."""

    student = serializers.IntegerField()
    let_in = serializers.BooleanField()
