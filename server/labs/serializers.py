"""What comes in about sessions."""

from typing import Any, get_args

from rest_framework import serializers

from chromata_core.declaration.own_work import MOST_LINES, Hints, Shows
from chromata_core.declaration.prelab import LONGEST_OWN, MOST_OWN, MOST_TASKS
from chromata_core.declaration.questions import LONGEST_QUESTION, MOST_QUESTIONS
from config.fields import ShortDict, ShortList
from labs.shapes import Of


class SampleSerializer(serializers.Serializer[Any]):
    """What some benches are given, with its accepted results (never shown to students before release), and what is
    chosen otherwise for it than for the session.
    """

    name = serializers.CharField(max_length=60)
    accepted = ShortDict(child=serializers.CharField(max_length=40, allow_blank=True), default=dict)
    options = ShortDict(child=serializers.CharField(max_length=200, allow_blank=True), default=dict)


class ChoicesSerializer(serializers.Serializer[Any]):
    """Method, options and instruments of a plan."""

    method = serializers.CharField(max_length=60)
    options = ShortDict(child=serializers.CharField(max_length=200, allow_blank=True), default=dict)
    instruments = ShortDict(child=serializers.CharField(max_length=60), default=dict)


class PreviewSerializer(ChoicesSerializer):
    """A plan to be previewed: for how many benches, how many samples each of them works with, how long (0: any)."""

    benches = serializers.IntegerField(min_value=1, max_value=48, default=1)
    samples_each = serializers.IntegerField(min_value=1, max_value=12, default=1)
    minutes = serializers.IntegerField(min_value=0, max_value=600, default=0)


class PinSerializer(serializers.Serializer[Any]):
    """A bench's turn that stays where it was put: equipment and piece by their places, minutes from the beginning."""

    bench = serializers.IntegerField(min_value=1, max_value=48)
    equipment = serializers.IntegerField(min_value=0, max_value=20)
    value = serializers.CharField(max_length=40)
    piece = serializers.IntegerField(min_value=-1, max_value=48)
    start = serializers.IntegerField(min_value=0, max_value=1440)


class TurnsSerializer(serializers.Serializer[Any]):
    """Turns to be solved around these pins, for benches that come in groups, so many minutes apart."""

    pins = ShortList(child=PinSerializer(), default=list, max_length=400)
    groups = serializers.IntegerField(min_value=1, max_value=6, default=1)
    apart = serializers.IntegerField(min_value=0, max_value=240, default=0)


class ComparisonSerializer(serializers.Serializer[Any]):
    """Another product's data: its name, and a sheet file as text; an empty file takes it away."""

    name = serializers.CharField(max_length=60)
    file = serializers.CharField(max_length=400_000, allow_blank=True, trim_whitespace=False)


class OwnWorkSerializer(serializers.Serializer[Any]):
    """Which lines students work out, what shows when, and how much a hint tells."""

    shows = serializers.ChoiceField(choices=get_args(Shows), default="at_once")
    hints = serializers.ChoiceField(choices=get_args(Hints), default="slip")
    tries = serializers.IntegerField(min_value=0, max_value=9, default=3)
    lines = ShortList(child=serializers.CharField(max_length=40), default=list, max_length=MOST_LINES)


class PrelabSerializer(serializers.Serializer[Any]):
    """What is asked of students before class, and whether benches wait for it."""

    tasks = ShortList(child=serializers.CharField(max_length=60), default=list, max_length=MOST_TASKS)
    questions = ShortList(child=serializers.CharField(max_length=LONGEST_OWN), default=list, max_length=MOST_OWN)
    needed = serializers.BooleanField(default=False)
    tries = serializers.IntegerField(min_value=0, max_value=9, default=3)


class TakeSerializer(serializers.Serializer[Any]):
    """A result of an earlier session that stands for a number of this plan: each bench's own, or the class's mean; of
    a planned trial, or of the whole bench.
    """

    key = serializers.CharField(max_length=40)
    trial = serializers.IntegerField(allow_null=True, default=None)
    of = serializers.ChoiceField(choices=get_args(Of))


class PlannedSerializer(ChoicesSerializer):
    """What a session itself holds of its plan."""

    title = serializers.CharField(max_length=120)
    room = serializers.CharField(max_length=60, allow_blank=True, default="")
    starts_at = serializers.DateTimeField()
    minutes = serializers.IntegerField(min_value=10, max_value=600, default=120)
    all_samples = serializers.BooleanField(default=False)
    takes = ShortDict(child=TakeSerializer(), default=dict)
    own_work = OwnWorkSerializer(default=dict)
    prelab = PrelabSerializer(default=dict)
    questions = ShortList(
        child=serializers.CharField(max_length=LONGEST_QUESTION), default=list, max_length=MOST_QUESTIONS
    )


class PlanSerializer(PlannedSerializer):
    """A session to be planned."""

    section = serializers.IntegerField()
    guests = ShortList(child=serializers.IntegerField(), max_length=8, default=list)
    benches = serializers.IntegerField(min_value=1, max_value=48)
    samples = ShortList(child=SampleSerializer(), default=list, max_length=12)
    follows = serializers.IntegerField(allow_null=True, default=None)


class PlanChangeSerializer(PlanSerializer):
    """A planned session as it shall be, with the revision that was looked at."""

    revision = serializers.IntegerField(min_value=0)


class MinutesSerializer(serializers.Serializer[Any]):
    """How long a session is, in minutes from its start."""

    minutes = serializers.IntegerField(min_value=10, max_value=600)


class DealSerializer(serializers.Serializer[Any]):
    """How the roster is spread over the benches, and how many there shall be at each; no size: over all benches."""

    how = serializers.ChoiceField(choices=("names", "lot", "last"))
    size = serializers.IntegerField(min_value=1, max_value=8, allow_null=True, default=None)


class RemarkSerializer(serializers.Serializer[Any]):
    """A remark on a step: for this session, or from now on; with a picture (base64 of a JPEG or PNG), if wanted, beside
    the drawing or instead of it.
    """

    step = serializers.CharField(max_length=60)
    text = serializers.CharField(max_length=300)
    always = serializers.BooleanField(default=False)
    image = serializers.CharField(max_length=2_400_000, allow_blank=True, default="")
    instead = serializers.BooleanField(default=False)


class ArrangementSerializer(serializers.Serializer[Any]):
    """How a room is arranged: a line for each row from the front, bench numbers and dots."""

    text = serializers.CharField(max_length=2000, allow_blank=True, trim_whitespace=False)


class SamplesSerializer(serializers.Serializer[Any]):
    """All samples of a session, and whether each bench works with all of them."""

    samples = ShortList(child=SampleSerializer(), max_length=12)
    all_samples = serializers.BooleanField(default=False)


class PlaceSerializer(serializers.Serializer[Any]):
    """Where a student stands: a bench number, or none, and then whether they are absent."""

    person = serializers.IntegerField()
    bench = serializers.IntegerField(allow_null=True)
    absent = serializers.BooleanField(default=False)


class TeamsSerializer(serializers.Serializer[Any]):
    """Who stands where; people who are not named stay where they are."""

    places = ShortList(child=PlaceSerializer(), max_length=400)


class StateSerializer(serializers.Serializer[Any]):
    """What to do with a session."""

    action = serializers.ChoiceField(choices=("open", "close", "reopen", "release", "take_back", "cancel", "take_up"))
