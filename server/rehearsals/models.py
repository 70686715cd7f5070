"""What was done at drawn instruments: only ever added, as a record is; what they show follows from it."""

from django.db import models

from labs.models import Bench


class Act(models.Model):
    """One thing done at a bench: ``number`` counts from 1. ``step``, ``key``, ``trial`` and ``index`` are what was in
    hand then, ``do`` which of the controls.
    """

    bench = models.ForeignKey(Bench, on_delete=models.CASCADE, related_name="acts")
    number = models.PositiveIntegerField()
    step = models.CharField(max_length=60)
    key = models.CharField(max_length=60)
    trial = models.IntegerField(null=True)
    index = models.IntegerField(null=True)
    do = models.CharField(max_length=20)

    class Meta:
        ordering = ("number",)
        constraints = (models.UniqueConstraint(fields=("bench", "number"), name="one_act_a_number"),)

    def __str__(self) -> str:
        return f"{self.do} at {self.key}"
