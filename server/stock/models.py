"""Calibrations and solutions of a department, each with the bench that found it."""

from django.db import models

from people.models import Person


class Found(models.Model):
    """What both kinds share: a name, whose it is, and where it comes from."""

    owner = models.ForeignKey(Person, on_delete=models.CASCADE, related_name="%(class)ss")
    name = models.CharField(max_length=60)
    bench = models.ForeignKey("labs.Bench", null=True, blank=True, on_delete=models.SET_NULL, related_name="%(class)ss")
    source = models.CharField(max_length=200)
    found_at = models.DateTimeField(auto_now_add=True)

    class Meta:
        abstract = True
        ordering = ("-found_at",)

    def __str__(self) -> str:
        return self.name


class Calibration(Found):
    """An instrument of the catalogue's kind ``base`` with what its calibration found: nominal, actual, u."""

    base = models.CharField(max_length=60)
    points = models.JSONField(default=list)


class OwnInstrument(models.Model):
    """An instrument of the catalogue's kind with a scale of its own: what its owner says of it (``said``, texts)."""

    owner = models.ForeignKey(Person, on_delete=models.CASCADE, related_name="own_instruments")
    said = models.JSONField(default=dict)

    class Meta:
        ordering = ("-pk",)

    def __str__(self) -> str:
        return str(self.said.get("name", ""))


class Solution(Found):
    """A solution's concentration with the ± that holds 95 %, as texts in ``unit``."""

    solution = models.CharField(max_length=80)
    concentration = models.CharField(max_length=40)
    limit = models.CharField(max_length=40)
    unit = models.CharField(max_length=20)


class Bottle(models.Model):
    """A bottle on the department's shelf, as its label says it: texts that the core reads (planning/shelf.py)."""

    name = models.CharField(max_length=80)
    formula = models.CharField(max_length=60)
    amount = models.CharField(max_length=24)
    strength = models.CharField(max_length=24, blank=True)
    limit = models.CharField(max_length=24, blank=True)
    density = models.CharField(max_length=24, blank=True)
    until = models.DateField(null=True, blank=True)
    place = models.CharField(max_length=60, blank=True)

    class Meta:
        ordering = ("name", "pk")

    def __str__(self) -> str:
        return self.name


class Counted(models.Model):
    """How many pieces of an instrument the department has, and where; what nobody counted has no row."""

    slug = models.CharField(max_length=60, unique=True)
    pieces = models.PositiveIntegerField()
    place = models.CharField(max_length=60, blank=True)

    class Meta:
        ordering = ("slug",)

    def __str__(self) -> str:
        return f"{self.pieces} × {self.slug}"
