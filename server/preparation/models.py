"""What was done in the prep room: solutions made, with what was really weighed, and ticks of the list."""

from django.db import models

from labs.models import Session
from people.models import Person
from stock.models import Bottle


class Made(models.Model):
    """A solution that was made for a session: only ever added; the latest of its ``key`` is the one in use.

    ``measured`` are the texts of what was really weighed or measured, ``result`` the concentration that follows from
    them with its ±, ``value`` and ``limit`` the same for the plan's number. ``lead`` says by which recipe.
    """

    session = models.ForeignKey(Session, on_delete=models.CASCADE, related_name="made")
    key = models.CharField(max_length=200)
    title = models.CharField(max_length=200)
    lead = models.CharField(max_length=300)
    bottle = models.ForeignKey(Bottle, null=True, on_delete=models.SET_NULL, related_name="made")
    measured = models.JSONField(default=dict)
    result = models.CharField(max_length=60)
    value = models.CharField(max_length=24, blank=True)
    limit = models.CharField(max_length=24, blank=True)
    by = models.ForeignKey(Person, on_delete=models.PROTECT, related_name="made_solutions")
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ("pk",)

    def __str__(self) -> str:
        return self.title


class Ready(models.Model):
    """A line of a session's list that is ticked off."""

    session = models.ForeignKey(Session, on_delete=models.CASCADE, related_name="ready")
    key = models.CharField(max_length=200)
    by = models.ForeignKey(Person, on_delete=models.PROTECT, related_name="ticks")
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        constraints = (models.UniqueConstraint(fields=("session", "key"), name="one_tick_a_line"),)

    def __str__(self) -> str:
        return self.key
