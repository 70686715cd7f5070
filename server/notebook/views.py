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
from config.throttles import Trying, Writing
from labs.actions import note
from labs.declared import method_of
from labs.live import bench_view
from labs.policy import bench_for, session_for
from labs.remarks import remarks_on
from notebook.actions import Draft, Kept, write
from notebook.board import write_on_board
from notebook.logged import write_curve
from notebook.seals import picture_of
from notebook.serializers import (
    BatchSerializer,
    BoardSerializer,
    CurveSerializer,
    EntrySerializer,
    TrySerializer,
)
from notebook.shapes import Written
from notebook.standing import sheet_of
from people.policy import person_of


class Entries(APIView):
    """The bench's record."""

    throttle_classes = (Writing,)
    largest_body = 2_500_000  # a photo in base64, and some readings beside it

    @extend_schema(operation_id="entries", responses=EntrySerializer(many=True))
    def get(self, request: Request, bench_id: int) -> Response:
        bench = bench_for(person_of(request), bench_id)
        entries = bench.entries.select_related("author").order_by("sequence")
        return Response(EntrySerializer(entries, many=True).data)

    @extend_schema(operation_id="write", request=BatchSerializer, responses=shape(Written))
    def post(self, request: Request, bench_id: int) -> Response:
        bench = bench_for(person_of(request), bench_id)
        said = asked(BatchSerializer, request)
        if said["person"] not in (None, person_of(request).pk):
            raise Refused("Somebody else is signed in on this device now. These wait until their author signs in here.")
        judged = said["entries"]
        kept = iter(write(bench, person_of(request), [Draft(**one.said) for one in judged if one.said]))
        answers = [next(kept) if one.said else Kept(one.id, False, one.problem) for one in judged]
        bench.refresh_from_db(fields=["head"])
        return answer(Written(answers, bench_view(bench, person_of(request))))


class Board(APIView):
    """What one person reads for the whole room; the staff writes it."""

    @extend_schema(operation_id="write_on_board", request=BoardSerializer, responses={204: None})
    @transaction.atomic
    def post(self, request: Request, session_id: int) -> Response:
        person = person_of(request)
        session, said = session_for(person, session_id), asked(BoardSerializer, request)
        if label := write_on_board(session, person, said["key"], said["text"]):
            note(session, person, f"wrote on the board: {label} {said['text'].strip()}")
        return Response(status=204)


class Curve(APIView):
    """A logged curve, taken over from a file."""

    throttle_classes = (Writing,)
    largest_body = 450_000

    @extend_schema(operation_id="write_curve", request=CurveSerializer, responses=shape(Kept)(many=True))
    def post(self, request: Request, bench_id: int) -> Response:
        bench = bench_for(person_of(request), bench_id)
        said = asked(CurveSerializer, request)
        kept = write_curve(bench, person_of(request), said["key"], said["trial"], said["file"])
        return answer(kept)


class PhotoFile(APIView):
    """A picture of the bench's record, or of a remark that it reads."""

    @extend_schema(operation_id="photo", responses={(200, "image/jpeg"): OpenApiTypes.BINARY})
    def get(self, request: Request, bench_id: int, content: str) -> HttpResponse:
        bench = bench_for(person_of(request), bench_id)
        remarked = content in [one.photo for one in remarks_on(bench.session)]
        if not remarked and not bench.entries.filter(photo=content).exists():
            raise Http404
        data = picture_of(content)
        if data is None:
            raise Refused("This photo is missing, or not the one that was sealed. Tell your instructor.", 409)
        kept = {"Cache-Control": "private, max-age=31536000, immutable", "X-Content-Type-Options": "nosniff"}
        return HttpResponse(data, content_type="image/jpeg", headers=kept)


class Try(APIView):
    """What a reading would be worth, before it is kept. Writes nothing."""

    throttle_classes = (Trying,)

    @extend_schema(operation_id="try_reading", request=TrySerializer, responses=shape(Verdict))
    def post(self, request: Request, bench_id: int) -> Response:
        bench = bench_for(person_of(request), bench_id)
        draft = Given(**asked(TrySerializer, request))
        sheet = sheet_of(bench, bench.entries.order_by("sequence"))
        return answer(judge(method_of(bench.session), sheet, draft))
