"""People and sections. Nobody needs an e-mail address."""

from django.contrib.auth.models import AbstractUser
from django.db import models


class Section(models.Model):
    """A class of students under one instructor. ``code`` is what students join by."""

    name = models.CharField(max_length=120)
    term = models.CharField(max_length=60)
    code = models.CharField(max_length=12, unique=True)
    owner = models.ForeignKey("Person", on_delete=models.PROTECT, related_name="sections")
    assistants: "models.ManyToManyField[Person, Person]" = models.ManyToManyField(
        "Person", related_name="assists", blank=True
    )

    def __str__(self) -> str:
        return self.name


class Role(models.TextChoices):
    """What a person is here."""

    INSTRUCTOR = "instructor"
    ASSISTANT = "assistant"
    STUDENT = "student"


class Person(AbstractUser):
    """Somebody who signs in: staff by name and password, students by section, name and PIN (kept as a password)."""

    name = models.CharField(max_length=120)
    role = models.CharField(max_length=12, choices=Role.choices, default=Role.STUDENT)
    section = models.ForeignKey(Section, null=True, blank=True, on_delete=models.CASCADE, related_name="students")

    @property
    def teaches(self) -> bool:
        """Whether this person may see whole sections."""
        return self.role in (Role.INSTRUCTOR, Role.ASSISTANT)

    def __str__(self) -> str:
        return self.name
