"""Writing at a bench, and reading its notebook."""

from django.http import Http404, HttpResponse
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from chromata_core.method.judge import judge
from chromata_core.method.outcome import Verdict
from chromata_core.method.sheet import Given
from config.answers import answer, asked, shape
from labs.declared import method_of
from labs.policy import bench_for
from notebook.actions import Draft, write
from notebook.logged import write_curve
from notebook.models import Photo
from notebook.serializers import (
    BatchSerializer,
    CurveSerializer,
    EntrySerializer,
    KeptSerializer,
    TrySerializer,
)
from notebook.standing import sheet_of
from people.policy import person_of


class Entries(APIView):
    """The bench's record."""

    @extend_schema(operation_id="entries", responses=EntrySerializer(many=True))
    def get(self, request: Request, bench_id: int) -> Response:
        bench = bench_for(person_of(request), bench_id)
        entries = bench.entries.select_related("author").order_by("sequence")
        return Response(EntrySerializer(entries, many=True).data)

    @extend_schema(operation_id="write", request=BatchSerializer, responses=KeptSerializer(many=True))
    def post(self, request: Request, bench_id: int) -> Response:
        bench = bench_for(person_of(request), bench_id)
        drafts = [Draft(**entry) for entry in asked(BatchSerializer, request)["entries"]]
        return Response(KeptSerializer(write(bench, person_of(request), drafts), many=True).data)


class Curve(APIView):
    """A logged curve, taken over from a file."""

    @extend_schema(operation_id="write_curve", request=CurveSerializer, responses=KeptSerializer(many=True))
    def post(self, request: Request, bench_id: int) -> Response:
        bench = bench_for(person_of(request), bench_id)
        said = asked(CurveSerializer, request)
        kept = write_curve(bench, person_of(request), said["key"], said["trial"], said["file"])
        return Response(KeptSerializer(kept, many=True).data)


class PhotoFile(APIView):
    """A picture of the bench's record."""

    @extend_schema(operation_id="photo", responses={(200, "image/jpeg"): OpenApiTypes.BINARY})
    def get(self, request: Request, bench_id: int, content: str) -> HttpResponse:
        bench = bench_for(person_of(request), bench_id)
        if not content or not bench.entries.filter(photo=content).exists():
            raise Http404
        data = Photo.objects.get(pk=content).data
        kept = {"Cache-Control": "private, max-age=31536000, immutable", "X-Content-Type-Options": "nosniff"}
        return HttpResponse(bytes(data), content_type="image/jpeg", headers=kept)


class Try(APIView):
    """What a reading would be worth, before it is kept. Writes nothing."""

    @extend_schema(operation_id="try_reading", request=TrySerializer, responses=shape(Verdict))
    def post(self, request: Request, bench_id: int) -> Response:
        bench = bench_for(person_of(request), bench_id)
        draft = Given(**asked(TrySerializer, request))
        sheet = sheet_of(bench, bench.entries.order_by("sequence"))
        return answer(judge(method_of(bench.session), sheet, draft))
