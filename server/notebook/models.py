"""The record. Entries are only ever added; a correction points at what it supersedes and says why."""

from django.db import models

from labs.models import Bench
from people.models import Person


class Photo(models.Model):
    """A picture under the hash of its bytes, which the entry that shows it seals. It names no place and no camera."""

    hash = models.CharField(max_length=64, primary_key=True)
    data = models.BinaryField()

    def __str__(self) -> str:
        return self.hash[:12]


class Entry(models.Model):
    """One thing written at a bench. The id is made by the client, so that sending it twice does no harm.

    ``photo`` is the hash of a picture that belongs to it, empty for none; ``device`` what it was taken from, empty
    where it was typed; ``hash`` its seal (notebook/seals.py).
    """

    id = models.UUIDField(primary_key=True)
    bench = models.ForeignKey(Bench, on_delete=models.CASCADE, related_name="entries")
    sequence = models.PositiveIntegerField()
    key = models.CharField(max_length=60)
    trial = models.IntegerField(null=True)
    index = models.IntegerField(null=True)
    text = models.TextField()
    author = models.ForeignKey(Person, on_delete=models.PROTECT, related_name="entries")
    written_at = models.DateTimeField()
    received_at = models.DateTimeField()
    supersedes = models.ForeignKey("self", null=True, on_delete=models.PROTECT, related_name="+")
    reason = models.CharField(max_length=300, blank=True)
    photo = models.CharField(max_length=64, blank=True)
    device = models.CharField(max_length=80, blank=True)
    previous_hash = models.CharField(max_length=64)
    hash = models.CharField(max_length=64)

    class Meta:
        ordering = ("sequence",)
        constraints = (models.UniqueConstraint(fields=("bench", "sequence"), name="one_entry_a_place"),)

    def __str__(self) -> str:
        return f"{self.key}={self.text}"
