"""The department, its staff, and the links that let them in."""

from django.conf import settings
from django.contrib.auth import login
from django.http import Http404
from django.utils.decorators import method_decorator
from django.views.decorators.csrf import csrf_protect
from drf_spectacular.utils import extend_schema
from rest_framework.permissions import AllowAny, IsAuthenticatedOrReadOnly
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from config.answers import answer, asked, shape
from config.errors import Refused
from people import links, staff
from people.department import department, set_department
from people.models import Link, Person, Role
from people.policy import must_be_instructor, must_be_staff, must_keep_accounts, own_section, person_of
from people.serializers import (
    AccountSerializer,
    DepartmentSerializer,
    FollowSerializer,
    InviteSerializer,
    MeSerializer,
    TokenSerializer,
)
from people.shapes import DepartmentNow, LinkOpened, StaffLink, StaffMember, TokenMade, TokenOut
from people.telling import staff_members
from people.throttles import guessed_wrong, may_guess
from people.tokens import make_token, tokens_of


class DepartmentView(APIView):
    """Whose installation this is; everybody may know, who keeps the accounts may change it."""

    permission_classes = (IsAuthenticatedOrReadOnly,)

    @extend_schema(operation_id="department", responses=shape(DepartmentNow))
    def get(self, request: Request) -> Response:
        return answer(DepartmentNow(*department(), demo=settings.DEMO))

    @extend_schema(operation_id="set_department", request=DepartmentSerializer, responses=shape(DepartmentNow))
    def put(self, request: Request) -> Response:
        must_keep_accounts(person_of(request))
        set_department(**asked(DepartmentSerializer, request))
        return answer(DepartmentNow(*department(), demo=settings.DEMO))


@method_decorator(csrf_protect, name="dispatch")
class LinkView(APIView):
    """A one-time link: what it is for, and following it."""

    permission_classes = (AllowAny,)

    @extend_schema(operation_id="link", responses=shape(LinkOpened))
    def get(self, request: Request, secret: str) -> Response:
        may_guess(request)
        link = _opened(request, secret)
        name, username = (link.person.name, link.person.username) if link.person else ("", "")
        section = link.section.name if link.section else ""
        return answer(LinkOpened(link.role, name, username, section, department()[0], link.keeper))

    @extend_schema(operation_id="follow_link", request=FollowSerializer, responses=MeSerializer)
    def post(self, request: Request, secret: str) -> Response:
        may_guess(request)
        body = asked(FollowSerializer, request)
        _opened(request, secret)
        person = links.follow(secret, **body)
        login(request._request, person, backend="django.contrib.auth.backends.ModelBackend")
        return Response(MeSerializer(person).data)


def _opened(request: Request, secret: str) -> Link:
    try:
        return links.link_of(secret)
    except Refused:
        guessed_wrong(request)
        raise


class Staff(APIView):
    """Everybody of the staff."""

    @extend_schema(operation_id="staff", responses=shape(StaffMember)(many=True))
    def get(self, request: Request) -> Response:
        must_be_instructor(person_of(request))
        return answer(staff_members())


class Invite(APIView):
    """Makes a one-time link for a colleague. Assistants may be invited by every instructor into their sections."""

    @extend_schema(operation_id="invite", request=InviteSerializer, responses={201: shape(StaffLink)})
    def post(self, request: Request) -> Response:
        person, body = person_of(request), asked(InviteSerializer, request)
        must_be_instructor(person)
        section = own_section(person, body["section"]) if body["section"] is not None else None
        if section is None or body["role"] != Role.ASSISTANT:
            must_keep_accounts(person)
        return _link(links.make_link(body["role"], person, section))


class Reset(APIView):
    """Makes a one-time link with which somebody of the staff sets a new password."""

    @extend_schema(operation_id="reset_password", request=None, responses={201: shape(StaffLink)})
    def post(self, request: Request, person_id: int) -> Response:
        must_keep_accounts(person_of(request))
        return _link(staff.reset(_member(person_id), person_of(request)))


_ACTIONS = {
    "end": staff.end, "take_back": staff.take_back_end, "keep": staff.let_keep, "no_longer_keep": staff.no_longer_keep,
}  # fmt: skip


class Account(APIView):
    """Ends an account or takes that back; says who keeps the accounts."""

    @extend_schema(operation_id="account", request=AccountSerializer, responses=shape(StaffMember)(many=True))
    def post(self, request: Request, person_id: int) -> Response:
        must_keep_accounts(person_of(request))
        _ACTIONS[asked(AccountSerializer, request)["action"]](_member(person_id))
        return answer(staff_members())


class Tokens(APIView):
    """Tokens with which other programs read in one’s name."""

    @extend_schema(operation_id="tokens", responses=shape(TokenOut)(many=True))
    def get(self, request: Request) -> Response:
        """The newest first; 403 for students."""
        must_be_staff(person_of(request))
        return answer(tokens_of(person_of(request)))

    @extend_schema(operation_id="make_token", request=TokenSerializer, responses={201: shape(TokenMade)})
    def post(self, request: Request) -> Response:
        """Told this once; 201."""
        person = person_of(request)
        must_be_staff(person)
        response = answer(make_token(person, asked(TokenSerializer, request)["name"]))
        response.status_code = 201
        return response


class TokenEnd(APIView):
    """Ends a token."""

    @extend_schema(operation_id="end_token", responses={200: shape(TokenOut)(many=True)})
    def delete(self, request: Request, token_id: int) -> Response:
        """At once; 404 for one of somebody else."""
        must_be_staff(person_of(request))
        gone, _ = person_of(request).tokens.filter(pk=token_id).delete()
        if not gone:
            raise Http404
        return answer(tokens_of(person_of(request)))


def _member(person_id: int) -> Person:
    member = Person.objects.exclude(role=Role.STUDENT).filter(pk=person_id).first()
    if member is None:
        raise Http404
    return member


def _link(secret: str) -> Response:
    response = answer(StaffLink(f"/welcome/{secret}", links.DAYS))
    response.status_code = 201
    return response
