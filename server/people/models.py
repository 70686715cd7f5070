"""People and sections. Nobody needs an e-mail address."""

from django.contrib.auth.models import AbstractUser
from django.db import models


class Department(models.Model):
    """Whose installation this is. There is one, once the first instructor has set it up."""

    name = models.CharField(max_length=120)
    time_zone = models.CharField(max_length=60)

    def __str__(self) -> str:
        return self.name


class Section(models.Model):
    """A class of students under one instructor. ``code`` is what students join by. An ``archived`` one is over: it is
    read, and nobody joins it.
    """

    name = models.CharField(max_length=120)
    term = models.CharField(max_length=60)
    code = models.CharField(max_length=12, unique=True)
    owner = models.ForeignKey("Person", on_delete=models.PROTECT, related_name="sections")
    assistants: "models.ManyToManyField[Person, Person]" = models.ManyToManyField(
        "Person", related_name="assists", blank=True
    )
    archived = models.BooleanField(default=False)

    @property
    def roster(self) -> "models.QuerySet[Person]":
        """Its students, in order of name; not those who were taken off."""
        return self.students.filter(role=Role.STUDENT, is_active=True).order_by("name", "number", "pk")

    def __str__(self) -> str:
        return self.name


class Role(models.TextChoices):
    """What a person is here."""

    INSTRUCTOR = "instructor"
    ASSISTANT = "assistant"
    STUDENT = "student"


class Person(AbstractUser):
    """Somebody who signs in: staff by name and password, students by section, name and PIN (kept as a password).

    A ``keeper`` keeps the department's accounts. Who has left is not active, and stays on every record. ``number``
    tells students of one name apart.
    """

    name = models.CharField(max_length=120)
    number = models.CharField(max_length=30, blank=True)
    keeper = models.BooleanField(default=False)
    role = models.CharField(max_length=12, choices=Role.choices, default=Role.STUDENT)
    section = models.ForeignKey(Section, null=True, blank=True, on_delete=models.CASCADE, related_name="students")

    @property
    def teaches(self) -> bool:
        """Whether this person may see whole sections."""
        return self.role in (Role.INSTRUCTOR, Role.ASSISTANT)

    def __str__(self) -> str:
        return self.name


class Link(models.Model):
    """An address that lets somebody in once, kept as the hash of its secret part.

    It makes an account of ``role`` (as assistant of ``section``, if there is one), or lets ``person`` set a password.
    """

    digest = models.CharField(max_length=64, unique=True)
    role = models.CharField(max_length=12, choices=Role.choices)
    keeper = models.BooleanField(default=False)
    section = models.ForeignKey(Section, null=True, blank=True, on_delete=models.CASCADE, related_name="links")
    person = models.ForeignKey(Person, null=True, blank=True, on_delete=models.CASCADE, related_name="links")
    made_by = models.ForeignKey(Person, null=True, blank=True, on_delete=models.CASCADE, related_name="made_links")
    ends_at = models.DateTimeField()
    used_at = models.DateTimeField(null=True, blank=True)

    def __str__(self) -> str:
        return f"{self.role} until {self.ends_at}"


class Token(models.Model):
    """With what another program reads in somebody's name, kept as its hash."""

    person = models.ForeignKey(Person, on_delete=models.CASCADE, related_name="tokens")
    name = models.CharField(max_length=60)
    digest = models.CharField(max_length=64, unique=True)
    made_at = models.DateTimeField(auto_now_add=True)
    used_at = models.DateTimeField(null=True, blank=True)

    def __str__(self) -> str:
        return self.name
