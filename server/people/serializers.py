"""What goes in and out about people."""

from typing import Any

from rest_framework import serializers

from config.fields import ShortList
from people.models import Person, Role
from people.roster import MOST


class MeSerializer(serializers.ModelSerializer[Person]):
    """The signed-in person."""

    section_name = serializers.CharField(source="section.name", default="")

    class Meta:
        model = Person
        fields = ("id", "name", "role", "keeper", "section_name")


class RosterNameSerializer(serializers.Serializer[Any]):
    """A name to pick when joining; with its number only where two have the same name."""

    id = serializers.IntegerField()
    name = serializers.CharField()


class RosterSerializer(serializers.Serializer[Any]):
    """A section's roster, for those who know its code."""

    section = serializers.CharField()
    names = RosterNameSerializer(many=True)


class SignInSerializer(serializers.Serializer[Any]):
    """Staff: name and password."""

    username = serializers.CharField(max_length=150)
    password = serializers.CharField(max_length=200, trim_whitespace=False)


class JoinSerializer(serializers.Serializer[Any]):
    """Students: section code, a name of the roster, PIN."""

    code = serializers.CharField(max_length=30)
    person = serializers.IntegerField()
    pin = serializers.CharField(max_length=12)


class DemoAccountSerializer(serializers.Serializer[Any]):
    """A ready account of the demo; only offered in demo mode."""

    username = serializers.CharField()
    name = serializers.CharField()
    role = serializers.CharField()
    says = serializers.CharField()
    password = serializers.CharField()


class DepartmentSerializer(serializers.Serializer[Any]):
    """The department's name and time zone."""

    name = serializers.CharField(max_length=120)
    time_zone = serializers.CharField(max_length=60)


class FollowSerializer(serializers.Serializer[Any]):
    """What somebody writes on the page of a link; not all of it is needed for each kind of link."""

    username = serializers.CharField(max_length=60, allow_blank=True, default="")
    name = serializers.CharField(max_length=120, allow_blank=True, default="")
    password = serializers.CharField(max_length=200, trim_whitespace=False)
    department = serializers.CharField(max_length=120, allow_blank=True, default="")
    time_zone = serializers.CharField(max_length=60, allow_blank=True, default="")


class InviteSerializer(serializers.Serializer[Any]):
    """Whom a link is for; assistants may be asked into a section at once."""

    role = serializers.ChoiceField(choices=[Role.INSTRUCTOR.value, Role.ASSISTANT.value])
    section = serializers.IntegerField(allow_null=True, default=None)


class AccountSerializer(serializers.Serializer[Any]):
    """What to do with an account of the staff."""

    action = serializers.ChoiceField(choices=("end", "take_back", "keep", "no_longer_keep"))


class NewSectionSerializer(serializers.Serializer[Any]):
    """A section's name and term."""

    name = serializers.CharField(max_length=120)
    term = serializers.CharField(max_length=60, allow_blank=True, default="")


class SectionChangeSerializer(NewSectionSerializer):
    """A section as it shall be."""

    archived = serializers.BooleanField(default=False)
    assistants = ShortList(child=serializers.IntegerField(), max_length=50, default=list)


class StudentSerializer(serializers.Serializer[Any]):
    """Somebody to be put on a roster."""

    name = serializers.CharField(max_length=120)
    number = serializers.CharField(max_length=30, allow_blank=True, default="")


class StudentsSerializer(serializers.Serializer[Any]):
    """People to be put on a roster."""

    people = ShortList(child=StudentSerializer(), max_length=MOST)


class StudentChangeSerializer(StudentSerializer):
    """A student as they shall be, and in which section."""

    section = serializers.IntegerField()


class SlipsSerializer(serializers.Serializer[Any]):
    """Whose slips to print; nobody named means everybody without a PIN who never joined."""

    people = ShortList(child=serializers.IntegerField(), max_length=MOST, default=list)


class TokenSerializer(serializers.Serializer[Any]):
    """What a new token is for, in its owner's words."""

    name = serializers.CharField(max_length=60)
