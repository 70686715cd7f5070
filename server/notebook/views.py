"""Writing at a bench, and reading its notebook."""

from django.db import transaction
from django.http import Http404, HttpResponse
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from chromata_core.sheet.bound import Given
from chromata_core.telling.judge import judge
from chromata_core.telling.outcome import Verdict
from config.answers import answer, asked, shape
from config.errors import Refused
from config.tables import file_of
from config.throttles import Trying, Writing
from labs.actions import note
from labs.around import bench_now
from labs.declared import method_of
from labs.policy import bench_for, own_session_for, session_for
from labs.remarks import remarks_on
from labs.serializers import RemarkSerializer
from labs.shapes import SessionPlan
from labs.views import changed
from notebook.actions import Kept
from notebook.board import write_on_board
from notebook.handed import sheet_of
from notebook.imported import Brought, bring
from notebook.logged import write_curve
from notebook.remarks import remark
from notebook.remembered import entries_now
from notebook.seals import picture_of
from notebook.serializers import (
    BoardSerializer,
    BroughtSerializer,
    CurveSerializer,
    MessageSerializer,
    TrySerializer,
)
from notebook.to_all import say_to_all
from people.policy import person_of
from people.remembered import OFTEN


class Board(APIView):
    """What one person reads for the whole room; the staff writes it."""

    @extend_schema(operation_id="write_on_board", request=BoardSerializer, responses={204: None})
    @transaction.atomic
    def post(self, request: Request, session_id: int) -> Response:
        """At every bench that has not read for itself; 422, and written nowhere, where it cannot be read. 204."""
        person = person_of(request)
        session, body = session_for(person, session_id), asked(BoardSerializer, request)
        if label := write_on_board(session, person, body["key"], body["text"]):
            note(session, person, f"wrote on the board: {label} {body['text'].strip()}")
        return Response(status=204)


class ToAll(APIView):
    """One word of the staff to the whole room."""

    throttle_classes = (Writing,)

    @extend_schema(operation_id="say_to_all", request=MessageSerializer, responses={204: None})
    def post(self, request: Request, session_id: int) -> Response:
        """At every bench and each of its samples; 422, and said nowhere, where one cannot take it. 204."""
        person = person_of(request)
        say_to_all(session_for(person, session_id), person, asked(MessageSerializer, request)["text"])
        return Response(status=204)


class Curve(APIView):
    """A logged curve, taken over from a file."""

    throttle_classes = (Writing,)
    largest_body = 450_000

    @extend_schema(operation_id="write_curve", request=CurveSerializer, responses=shape(Kept)(many=True))
    def post(self, request: Request, bench_id: int) -> Response:
        """All of its points or, with a sentence, none."""
        bench = bench_for(person_of(request), bench_id)
        body = asked(CurveSerializer, request)
        kept = write_curve(bench, person_of(request), body["key"], body["trial"], body["file"])
        return answer(kept)


class Readings(APIView):
    """Readings brought from a table."""

    throttle_classes = (Writing,)
    largest_body = 3_000_000

    @extend_schema(operation_id="bring_readings", request=BroughtSerializer, responses=shape(Brought))
    def post(self, request: Request, bench_id: int) -> Response:
        """As they are understood, each with what is the matter; with ``keep`` those that fit are written."""
        person = person_of(request)
        bench, body = bench_for(person, bench_id), asked(BroughtSerializer, request)
        return answer(bring(bench, person, body["text"], file_of(body), body["file_name"], body["keep"]))


class PhotoFile(APIView):
    """A picture of the bench's record, or of a remark that it reads."""

    @extend_schema(operation_id="photo", responses={(200, "image/jpeg"): OpenApiTypes.BINARY})
    def get(self, request: Request, bench_id: int, content: str) -> HttpResponse:
        """404 for a picture of another bench, 409 for one that is not what was sealed."""
        bench = bench_for(person_of(request), bench_id)
        remarked = content in [remark.photo for remark in remarks_on(bench.session)]
        if not remarked and not bench.entries.filter(photo=content).exists():
            raise Http404
        data = picture_of(content)
        if data is None:
            raise Refused("This photo is missing, or not the one that was sealed. Tell your instructor.", 409)
        kept = {"Cache-Control": "private, max-age=31536000, immutable", "X-Content-Type-Options": "nosniff"}
        return HttpResponse(data, content_type="image/jpeg", headers=kept)


class Try(APIView):
    """What a reading would be worth, before it is kept. Writes nothing."""

    authentication_classes = OFTEN
    throttle_classes = (Trying,)

    @extend_schema(operation_id="try_reading", request=TrySerializer, responses=shape(Verdict))
    def post(self, request: Request, bench_id: int) -> Response:
        """A reading that cannot be kept is answered with its sentence too, and 200."""
        bench = bench_now(person_of(request), bench_id)
        draft = Given(**asked(TrySerializer, request))
        sheet = sheet_of(bench, entries_now([bench])[bench.pk])
        return answer(judge(method_of(bench.session), sheet, draft))


class Remarks(APIView):
    """Remarks on the steps of a session."""

    largest_body = 2_500_000  # with a picture

    @extend_schema(operation_id="remark", request=RemarkSerializer, responses=shape(SessionPlan))
    @transaction.atomic
    def post(self, request: Request, session_id: int) -> Response:
        """Only by the section’s instructor; 422 for a step that the session has not."""
        person = person_of(request)
        session, body = own_session_for(person, session_id), asked(RemarkSerializer, request)
        remark(session, person, **body)
        return changed(session, person, f"remarked on a step: {body['text'].strip()}")
