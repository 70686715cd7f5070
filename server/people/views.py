"""Signing in, joining, and who I am."""

from collections import Counter
from typing import Any

from axes.utils import reset as unlock
from django.conf import settings
from django.contrib.auth import authenticate, login, logout
from django.utils.decorators import method_decorator
from django.views.decorators.csrf import csrf_protect
from drf_spectacular.utils import extend_schema
from rest_framework.permissions import AllowAny
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from config.answers import asked
from config.errors import Refused
from people.demo_accounts import DEMO_ACCOUNTS
from people.models import Person, Section
from people.policy import person_of, student_of
from people.serializers import (
    DemoAccountSerializer,
    JoinSerializer,
    MeSerializer,
    RosterSerializer,
    SignInSerializer,
)
from people.throttles import guessed_wrong, may_guess


class Me(APIView):
    """Who is signed in; 204 when nobody is."""

    permission_classes = (AllowAny,)

    @extend_schema(operation_id="me", responses={200: MeSerializer, 204: None})
    def get(self, request: Request) -> Response:
        if not request.user.is_authenticated:
            return Response(status=204)
        return Response(MeSerializer(person_of(request)).data)


@method_decorator(csrf_protect, name="dispatch")
class SignIn(APIView):
    """Staff sign in by name and password."""

    permission_classes = (AllowAny,)

    @extend_schema(operation_id="sign_in", request=SignInSerializer, responses=MeSerializer)
    def post(self, request: Request) -> Response:
        body = asked(SignInSerializer, request)
        may_guess(request)
        return _enter(request, body["username"], body["password"])


@method_decorator(csrf_protect, name="dispatch")
class Join(APIView):
    """Students sign in by section, name and PIN."""

    permission_classes = (AllowAny,)

    @extend_schema(operation_id="join", request=JoinSerializer, responses=MeSerializer)
    def post(self, request: Request) -> Response:
        body = asked(JoinSerializer, request)
        may_guess(request)
        section = _section(request, body["code"])
        person = section.roster.filter(pk=body["person"]).first()
        if person is None:
            raise Refused("That name is not on this section's roster. Pick yours from the list.", 422)
        return _enter(request, person.username, body["pin"])


class Roster(APIView):
    """The names of a section, for those who know its code."""

    permission_classes = (AllowAny,)

    @extend_schema(operation_id="roster", responses=RosterSerializer)
    def get(self, request: Request, code: str) -> Response:
        may_guess(request)
        section = _section(request, code)
        people = list(section.roster)
        twice = {name for name, times in Counter(person.name for person in people).items() if times > 1}
        names = [
            {"id": person.pk, "name": _told_apart(person) if person.name in twice else person.name} for person in people
        ]
        return Response({"section": section.name, "names": names})


def _told_apart(person: Person) -> str:
    return f"{person.name} ({person.number or 'no number'})"


class SignOut(APIView):
    """Ends the sign-in."""

    @extend_schema(operation_id="sign_out", request=None, responses={204: None})
    def post(self, request: Request) -> Response:
        logout(request)
        return Response(status=204)


class DemoAccounts(APIView):
    """The ready accounts of the demo; there are none outside demo mode."""

    permission_classes = (AllowAny,)

    @extend_schema(operation_id="demo_accounts", responses=DemoAccountSerializer(many=True))
    def get(self, request: Request) -> Response:
        return Response(DEMO_ACCOUNTS if settings.DEMO else [])


class Unlock(APIView):
    """Lets a student try again at once, after too many wrong PINs."""

    @extend_schema(operation_id="unlock", request=None, responses={204: None})
    def post(self, request: Request, person_id: int) -> Response:
        unlock(username=student_of(person_of(request), person_id).username)
        return Response(status=204)


def _section(request: Request, code: str) -> Section:
    plain = "".join(letter for letter in code if letter.isalnum())  # as people type it: amber 7, AMBER-7
    section = Section.objects.filter(code__iexact=plain, archived=False).first()
    if section is None:
        guessed_wrong(request)
        raise Refused("No section has this code. Copy it from the board, or ask your instructor.", 404)
    return section


def _enter(request: Request, username: str, password: str) -> Response:
    person: Any = authenticate(request._request, username=username, password=password)
    if not isinstance(person, Person):
        guessed_wrong(request)
        raise Refused("Name and PIN or password do not match. Try again.", 422)
    login(request._request, person)
    return Response(MeSerializer(person).data)
