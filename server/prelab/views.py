"""Work before class: one's own, and who is ready."""

from django.db import transaction
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from config.answers import answer, asked, shape
from config.throttles import Writing
from labs.policy import session_for
from people.policy import person_of, student_of
from prelab.answering import answer_task, let_in, session_to_prepare
from prelab.seen import own_lines, own_view, room_ready
from prelab.serializers import LetInSerializer, TaskAnswerSerializer
from prelab.shapes import PrelabLine, PrelabView, RoomReady


class MyPrelabs(APIView):
    """Sessions before which I have something to do."""

    @extend_schema(operation_id="my_prelabs", responses=shape(PrelabLine)(many=True))
    def get(self, request: Request) -> Response:
        """The next one first; empty for the staff."""
        return answer(own_lines(person_of(request)))


class SessionPrelab(APIView):
    """What a session asks before class."""

    throttle_classes = (Writing,)

    @extend_schema(operation_id="prelab", responses=shape(PrelabView))
    def get(self, request: Request, session_id: int) -> Response:
        """With one’s own answers; 404 where nothing is asked."""
        person = person_of(request)
        return answer(own_view(session_to_prepare(person, session_id), person))

    @extend_schema(operation_id="answer_prelab", request=TaskAnswerSerializer, responses=shape(PrelabView))
    def post(self, request: Request, session_id: int) -> Response:
        """Keeps an attempt; 409 once the session is closed or the answer is right, 422 for what cannot be read."""
        person = person_of(request)
        session, body = session_to_prepare(person, session_id), asked(TaskAnswerSerializer, request)
        answer_task(session, person, body["task"], body["text"], body["reason"])
        return answer(own_view(session, person))


class RoomPrelab(APIView):
    """Who is ready, for the staff."""

    @extend_schema(operation_id="room_ready", responses=shape(RoomReady))
    def get(self, request: Request, session_id: int) -> Response:
        """Everybody who is expected; nobody where nothing is asked."""
        return answer(room_ready(session_for(person_of(request), session_id)))

    @extend_schema(operation_id="let_in", request=LetInSerializer, responses=shape(RoomReady))
    @transaction.atomic
    def put(self, request: Request, session_id: int) -> Response:
        """Lets a student begin all the same, or takes that back."""
        person = person_of(request)
        session, body = session_for(person, session_id), asked(LetInSerializer, request)
        let_in(session, person, student_of(person, body["student"]), body["let_in"])
        return answer(room_ready(session))
