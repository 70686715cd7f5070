"""What students answered before class. What an answer is worth is worked from the plan at every look."""

from django.db import models

from labs.models import Session
from people.models import Person


class Answer(models.Model):
    """One attempt of a student at one task; only ever added, the last one counts."""

    session = models.ForeignKey(Session, on_delete=models.CASCADE, related_name="prelab_answers")
    person = models.ForeignKey(Person, on_delete=models.CASCADE, related_name="prelab_answers")
    task = models.CharField(max_length=60)
    text = models.CharField(max_length=600)
    reason = models.CharField(max_length=600, blank=True)
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ("at", "pk")
        indexes = (models.Index(fields=("session", "person")),)

    def __str__(self) -> str:
        return f"{self.task}: {self.text}"


class LetIn(models.Model):
    """A student who may begin without being ready, and who allowed it."""

    session = models.ForeignKey(Session, on_delete=models.CASCADE, related_name="let_in")
    person = models.ForeignKey(Person, on_delete=models.CASCADE, related_name="let_in")
    by = models.ForeignKey(Person, on_delete=models.PROTECT, related_name="+")
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        constraints = (models.UniqueConstraint(fields=("session", "person"), name="let_in_once"),)

    def __str__(self) -> str:
        return str(self.person_id)
