"""Rubrics, and what a person decided of marks. What is proposed is worked from the record at every look."""

from django.db import models

from labs.models import Bench, Session
from people.models import Person


class KeptRubric(models.Model):
    """A rubric of an instructor's own: ``total`` points for ``criteria`` (kind, points, by, full, none)."""

    owner = models.ForeignKey(Person, on_delete=models.CASCADE, related_name="rubrics")
    name = models.CharField(max_length=60)
    total = models.FloatField()
    criteria = models.JSONField(default=list)

    class Meta:
        ordering = ("name", "pk")
        constraints = (models.UniqueConstraint(fields=("owner", "name"), name="one_rubric_a_name"),)

    def __str__(self) -> str:
        return self.name


class Marking(models.Model):
    """By which rubric a session is marked, as it was when it was chosen, and whether students see their marks."""

    session = models.OneToOneField(Session, on_delete=models.CASCADE, related_name="marking")
    rubric = models.JSONField(default=dict)
    released = models.BooleanField(default=False)

    def __str__(self) -> str:
        return str(self.rubric.get("name", ""))


class Decision(models.Model):
    """What somebody decided of one line of a bench's marks, instead of what is proposed, with a ``note``."""

    bench = models.ForeignKey(Bench, on_delete=models.CASCADE, related_name="decisions")
    kind = models.CharField(max_length=20)
    points = models.FloatField()
    note = models.CharField(max_length=300, blank=True)
    person = models.ForeignKey(Person, on_delete=models.PROTECT, related_name="decisions")
    at = models.DateTimeField(auto_now=True)

    class Meta:
        constraints = (models.UniqueConstraint(fields=("bench", "kind"), name="one_decision_a_line"),)

    def __str__(self) -> str:
        return f"{self.kind}: {self.points}"
