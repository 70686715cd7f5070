"""Sessions and benches. Nothing here that can be computed from the entries."""

from django.core.validators import MaxValueValidator, MinValueValidator
from django.db import models

from experiments.models import Declaration
from people.models import Person, Role, Section


class Session(models.Model):
    """One laboratory session of a section, to which others of the same instructor may come as ``guests``. Options,
    instruments, calibrations and the method's whole declaration are frozen when it opens. ``revision`` counts how often
    its plan was changed, so that two people do not undo each other.

    ``questions`` are asked at the end instead of the method's own, if there are any.
    ``own_work`` is what students work out themselves, and what shows when; empty: nothing but the method's own steps.
    ``prelab`` is what is asked of them before class; empty: nothing.
    ``comparison`` is another product's sheet (label, instruments, readings): it opens for a bench whose trials agree.
    ``follows`` is the session whose results it goes on with: ``takes`` says which of them stand for which numbers of
    this plan, each bench’s own or the mean of the class.
    ``all_samples``: each bench works with all of its samples, one after the other, instead of with one in turn.
    ``origin`` says of a session that came in an archive from where; empty: it was held here.
    ``simulated``: nobody stood in a room: a made-up ``class`` wrote it, or it is ``worked`` at drawn instruments; their
    truth and all chance follow from its ``seed``, and its clock may run at another ``pace``. Empty: it was held.
    ``turns`` at what benches share, as they were last solved, with their pins (labs/turns.py); empty: never.
    """

    class State(models.TextChoices):
        """Where the session stands."""

        PLANNED = "planned"
        OPEN = "open"
        CLOSED = "closed"
        CANCELLED = "cancelled"

    class Simulated(models.TextChoices):
        """What is made instead of measured."""

        CLASS = "class"
        WORKED = "worked"

    section = models.ForeignKey(Section, on_delete=models.CASCADE, related_name="sessions")
    method = models.CharField(max_length=60)
    method_version = models.PositiveIntegerField()
    declaration = models.ForeignKey(
        Declaration, null=True, blank=True, on_delete=models.PROTECT, related_name="sessions"
    )
    title = models.CharField(max_length=120)
    room = models.CharField(max_length=60, blank=True)
    starts_at = models.DateTimeField()
    minutes = models.PositiveIntegerField(default=120)
    state = models.CharField(max_length=12, choices=State.choices, default=State.PLANNED)
    options = models.JSONField(default=dict)
    instruments = models.JSONField(default=dict)
    stock = models.JSONField(default=dict)
    comparison = models.JSONField(default=dict)
    all_samples = models.BooleanField(default=False)
    follows = models.ForeignKey("self", null=True, blank=True, on_delete=models.RESTRICT, related_name="followed_by")
    takes = models.JSONField(default=dict)
    questions = models.JSONField(default=list)
    own_work = models.JSONField(default=dict)
    prelab = models.JSONField(default=dict)
    released = models.BooleanField(default=False)
    revision = models.PositiveIntegerField(default=0)
    origin = models.CharField(max_length=200, blank=True)
    pace = models.PositiveSmallIntegerField(default=1, validators=[MinValueValidator(1), MaxValueValidator(60)])
    simulated = models.CharField(max_length=8, choices=Simulated.choices, blank=True)
    seed = models.PositiveIntegerField(default=0)
    turns = models.JSONField(default=dict)
    guests: "models.ManyToManyField[Section, Section]" = models.ManyToManyField(
        Section, related_name="joint_sessions", blank=True
    )
    absent: "models.ManyToManyField[Person, Person]" = models.ManyToManyField(Person, related_name="missed", blank=True)
    opened_at = models.DateTimeField(null=True, blank=True)
    closed_at = models.DateTimeField(null=True, blank=True)

    class Meta:
        ordering = ("starts_at",)

    def __str__(self) -> str:
        return self.title

    @property
    def roster(self) -> "models.QuerySet[Person]":
        """Who is expected: the students of its section and of those that come with it, in order of name."""
        attending = Person.objects.filter(section__in=[self.section_id, *self.guests.values_list("pk", flat=True)])
        return attending.filter(role=Role.STUDENT, is_active=True).order_by("name", "number", "pk")


class RoomPlan(models.Model):
    """How the benches of a room stand, seen from its front: rows of bench numbers, 0 for a gap. Known by its name."""

    room = models.CharField(max_length=60, unique=True)
    rows = models.JSONField(default=list)

    def __str__(self) -> str:
        return self.room


class Deed(models.Model):
    """Who did what with a session, as a sentence without its subject: “opened it”. It outlives a deleted plan."""

    section = models.ForeignKey(Section, on_delete=models.CASCADE, related_name="deeds")
    session = models.ForeignKey(Session, null=True, on_delete=models.SET_NULL, related_name="deeds")
    person = models.ForeignKey(Person, on_delete=models.PROTECT, related_name="deeds")
    what = models.CharField(max_length=300)
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ("at", "pk")

    def __str__(self) -> str:
        return self.what


class Remark(models.Model):
    """What an instructor adds to a step of a method: for one session, or (no session) from now on in all sessions of
    their sections. ``photo`` is the hash of its picture, if it has one; it stands beside the step's drawing, or
    ``instead`` of it. A remark that ``ended`` is shown no more.
    """

    owner = models.ForeignKey(Person, on_delete=models.CASCADE, related_name="remarks")
    session = models.ForeignKey(Session, null=True, blank=True, on_delete=models.CASCADE, related_name="remarks")
    method = models.CharField(max_length=60)
    step = models.CharField(max_length=60)
    text = models.CharField(max_length=300)
    photo = models.CharField(max_length=64, blank=True)
    instead = models.BooleanField(default=False)
    ended = models.BooleanField(default=False)

    class Meta:
        ordering = ("pk",)

    def __str__(self) -> str:
        return self.text


class Sample(models.Model):
    """What benches are given: one unknown or product. Its true values live in HiddenValue, out of reach.

    ``options`` are chosen otherwise for it than for the session: another salt, another temperature, a smaller portion.
    """

    session = models.ForeignKey(Session, on_delete=models.CASCADE, related_name="samples")
    label = models.CharField(max_length=60)
    options = models.JSONField(default=dict)

    class Meta:
        ordering = ("pk",)

    def __str__(self) -> str:
        return self.label


class HiddenValue(models.Model):
    """An accepted value of a sample's result, text with unit of the result. Shown to students only on release."""

    sample = models.ForeignKey(Sample, on_delete=models.CASCADE, related_name="hidden")
    key = models.CharField(max_length=40)
    text = models.CharField(max_length=40)

    class Meta:
        constraints = (models.UniqueConstraint(fields=("sample", "key"), name="one_hidden_value_a_result"),)

    def __str__(self) -> str:
        return self.key


class Bench(models.Model):
    """A place of work with its team. Where all work with all samples a place, known by its ``number``, has one of these
    for each sample, in ``turn``: a record and a report of its own.

    ``head`` is the seal of its last entry, so that a change is seen cheaply; ``length`` how many entries were sealed,
    ``seal`` the seal over both (notebook/seals.py). ``own_options`` differ from the session's: those of its sample, and
    the order in which this bench takes what is shared, set when it opens.
    """

    session = models.ForeignKey(Session, on_delete=models.CASCADE, related_name="benches")
    number = models.PositiveIntegerField()
    turn = models.PositiveIntegerField(default=1)
    sample = models.ForeignKey(Sample, null=True, blank=True, on_delete=models.SET_NULL, related_name="benches")
    team = models.ManyToManyField(Person, related_name="benches", blank=True)
    head = models.CharField(max_length=64, blank=True)
    length = models.PositiveIntegerField(default=0)
    seal = models.CharField(max_length=64, blank=True)
    own_options = models.JSONField(default=dict)

    class Meta:
        ordering = ("number", "turn")
        constraints = (models.UniqueConstraint(fields=("session", "number", "turn"), name="one_bench_a_turn"),)

    def __str__(self) -> str:
        return f"Bench {self.number}" if self.turn == 1 else f"Bench {self.number}, sample {self.turn}"

    @property
    def options(self) -> dict[str, str]:
        """What this bench works by."""
        return {**self.session.options, **self.own_options}


class LeftOut(models.Model):
    """A bench's record that does not count in the class's means, with the reason; its results are still drawn."""

    bench = models.OneToOneField(Bench, on_delete=models.CASCADE, related_name="left_out")
    person = models.ForeignKey(Person, on_delete=models.PROTECT, related_name="left_out")
    reason = models.CharField(max_length=200)
    at = models.DateTimeField(auto_now_add=True)

    def __str__(self) -> str:
        return self.reason
