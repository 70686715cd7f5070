"""What goes in and out about entries."""

from dataclasses import dataclass
from typing import Any

from drf_spectacular.utils import extend_schema_field
from rest_framework import serializers
from rest_framework.exceptions import ValidationError
from rest_framework.serializers import as_serializer_error

from config.fields import ShortList
from config.tables import TableSerializer
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
    slip = serializers.CharField(max_length=500, allow_blank=True, default="", help_text="what a device gave with it")


@dataclass(frozen=True, slots=True)
class Judged:
    """One entry of a batch: its id as it was sent, and what was read of it, or the sentence that refuses it."""

    id: str
    said: dict[str, Any] | None
    problem: str


@extend_schema_field(DraftSerializer(many=True))
class Drafts(ShortList):
    """Entries, each judged alone: a malformed one does not take the others with it."""

    def run_child_validation(self, data: list[Any]) -> list[Judged]:
        form = DraftSerializer()
        return [_judged(form, entry) for entry in data]


def _judged(form: DraftSerializer, entry: Any) -> Judged:
    sent = str(entry.get("id", ""))[:40] if isinstance(entry, dict) else ""
    try:
        return Judged(sent, dict(form.run_validation(entry)), "")
    except ValidationError as error:
        errors = as_serializer_error(error)
    faults = [f"{field}: {fault}" for field, error in errors.items() for fault in error]
    return Judged(sent, None, f"This entry cannot be read ({'; '.join(faults)[:300]}). Write it again.")


class BatchSerializer(serializers.Serializer[Any]):
    """Several entries in the order written, as a queue sends them after a time without network. ``person`` wrote them:
    on a shared device nobody else may send them.
    """

    person = serializers.IntegerField(allow_null=True, default=None)
    entries = Drafts(max_length=_LONGEST_BATCH)


class BoardSerializer(serializers.Serializer[Any]):
    """A reading for the whole room."""

    key = serializers.CharField(max_length=40)
    text = serializers.CharField(max_length=40)


class MessageSerializer(serializers.Serializer[Any]):
    """A word to the whole room."""

    text = serializers.CharField(max_length=300)


class CurveSerializer(serializers.Serializer[Any]):
    """A logged curve: the series and trial it belongs to (none: the bench), and the file as text."""

    key = serializers.CharField(max_length=60)
    trial = serializers.IntegerField(min_value=1, max_value=1000, allow_null=True)
    file = serializers.CharField(max_length=200_000, trim_whitespace=False)


class BroughtSerializer(TableSerializer):
    """Readings in a table; they are only shown, or with ``keep`` written."""

    keep = serializers.BooleanField(default=False)


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
            "written_at", "received_at", "supersedes", "reason", "photo", "device", "hash",
        )  # fmt: skip
