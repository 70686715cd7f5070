"""What goes in and out about people."""

from typing import Any

from rest_framework import serializers

from people.models import Person, Section


class MeSerializer(serializers.ModelSerializer[Person]):
    """The signed-in person."""

    section_name = serializers.CharField(source="section.name", default="")

    class Meta:
        model = Person
        fields = ("id", "name", "role", "section_name")


class SectionSerializer(serializers.ModelSerializer[Section]):
    """A section, with how many are on its roster."""

    students = serializers.IntegerField(source="students.count", read_only=True)

    class Meta:
        model = Section
        fields = ("id", "name", "term", "code", "students")


class RosterNameSerializer(serializers.ModelSerializer[Person]):
    """A name to pick when joining."""

    class Meta:
        model = Person
        fields = ("id", "name")


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

    code = serializers.CharField(max_length=12)
    person = serializers.IntegerField()
    pin = serializers.CharField(max_length=12)


class DemoAccountSerializer(serializers.Serializer[Any]):
    """A ready account of the demo; only offered in demo mode."""

    username = serializers.CharField()
    name = serializers.CharField()
    role = serializers.CharField()
    says = serializers.CharField()
    password = serializers.CharField()
