"""Instructors' own experiments: declarations as data, every version kept."""

from django.db import models

from people.models import Person


class Declaration(models.Model):
    """A declaration as it was saved, under the hash of its content; never changed. Drafts may hold anything."""

    hash = models.CharField(max_length=64, primary_key=True)
    data = models.JSONField()

    def __str__(self) -> str:
        return self.hash[:12]


class Experiment(models.Model):
    """An experiment of an instructor's own; ``copied_from`` is the method it began as, empty if none."""

    owner = models.ForeignKey(Person, on_delete=models.CASCADE, related_name="experiments")
    slug = models.SlugField(max_length=60, unique=True)
    copied_from = models.CharField(max_length=60, blank=True)
    withdrawn = models.BooleanField(default=False)

    class Meta:
        ordering = ("slug",)

    def __str__(self) -> str:
        return self.slug


class Version(models.Model):
    """One version. Without ``ready_at`` it is a draft, and changes; once it is ready it stays as it is.

    ``tried`` is the hash of the declaration that came through a trial run.
    """

    experiment = models.ForeignKey(Experiment, on_delete=models.CASCADE, related_name="versions")
    number = models.PositiveIntegerField()
    declaration = models.ForeignKey(Declaration, on_delete=models.PROTECT, related_name="versions")
    note = models.CharField(max_length=200, blank=True)
    saved_at = models.DateTimeField(auto_now=True)
    ready_at = models.DateTimeField(null=True, blank=True)
    tried = models.CharField(max_length=64, blank=True)

    class Meta:
        ordering = ("-number",)
        constraints = (models.UniqueConstraint(fields=("experiment", "number"), name="one_version_a_number"),)

    def __str__(self) -> str:
        return f"{self.experiment} {self.number}"
