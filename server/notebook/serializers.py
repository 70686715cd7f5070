"""What goes in and out about entries."""

from typing import Any

from rest_framework import serializers

from notebook.models import Entry

_LONGEST_BATCH = 500


class DraftSerializer(serializers.Serializer[Any]):
    """An entry to be written. ``id`` is made by the client; ``supersedes`` and ``reason`` make it a correction."""

    id = serializers.UUIDField()
    key = serializers.CharField(max_length=60)
    text = serializers.CharField(max_length=4000, allow_blank=True, trim_whitespace=False)
    trial = serializers.IntegerField(allow_null=True, default=None, min_value=0, max_value=1000)
    index = serializers.IntegerField(allow_null=True, default=None, min_value=0, max_value=1000)
    written_at = serializers.DateTimeField()
    supersedes = serializers.UUIDField(allow_null=True, default=None)
    reason = serializers.CharField(max_length=300, allow_blank=True, default="")
    image = serializers.CharField(max_length=2_000_000, allow_blank=True, default="", help_text="base64 of a photo")


class BatchSerializer(serializers.Serializer[Any]):
    """Several entries in the order written, as a queue sends them after a time without network."""

    entries = serializers.ListField(child=DraftSerializer(), max_length=_LONGEST_BATCH)


class KeptSerializer(serializers.Serializer[Any]):
    """What became of one entry."""

    id = serializers.UUIDField()
    kept = serializers.BooleanField()
    problem = serializers.CharField(allow_blank=True)


class CurveSerializer(serializers.Serializer[Any]):
    """A logged curve: the series and trial it belongs to (none: the bench), and the file as text."""

    key = serializers.CharField(max_length=60)
    trial = serializers.IntegerField(min_value=1, max_value=1000, allow_null=True)
    file = serializers.CharField(max_length=200_000, trim_whitespace=False)


class TrySerializer(serializers.Serializer[Any]):
    """A reading that is being typed."""

    key = serializers.CharField(max_length=60)
    text = serializers.CharField(max_length=4000, allow_blank=True)
    trial = serializers.IntegerField(allow_null=True, default=None, min_value=0, max_value=1000)
    index = serializers.IntegerField(allow_null=True, default=None, min_value=0, max_value=1000)


class EntrySerializer(serializers.ModelSerializer[Entry]):
    """An entry of the notebook."""

    author = serializers.CharField(source="author.name")
    by_staff = serializers.BooleanField(source="author.teaches")

    class Meta:
        model = Entry
        fields = (
            "id", "sequence", "key", "trial", "index", "text", "author", "by_staff",
            "written_at", "received_at", "supersedes", "reason", "photo", "hash",
        )  # fmt: skip
