"""Benches and rooms as they stand: asked, or answered to who writes."""

from typing import Any

from django.http.response import HttpResponseBase
from django.utils.cache import get_conditional_response
from drf_spectacular.utils import OpenApiParameter, extend_schema
from rest_framework import serializers
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from config.answers import answer, asked, shape
from config.errors import Refused
from config.throttles import Working, Writing
from labs.policy import bench_for, own_session_for, session_for
from notebook.actions import Draft, Kept, write
from notebook.serializers import BatchSerializer, EntrySerializer
from people.policy import person_of
from results.bench import bench_view
from results.floor import floor, floor_stamp
from results.lessons import last_time
from results.shapes import BenchView, Floor, LastTime, Written
from results.storing import store
from stock.shapes import Stock
from stock.views import stock_now


class NameSerializer(serializers.Serializer[Any]):
    """What the thing will be called in plans."""

    name = serializers.CharField(max_length=60)


class BenchNow(APIView):
    """A bench as it is now."""

    @extend_schema(operation_id="bench", responses=shape(BenchView))
    def get(self, request: Request, bench_id: int) -> Response:
        person = person_of(request)
        return answer(bench_view(bench_for(person, bench_id), person))


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


class FloorNow(APIView):
    """The room as it is now; 304 while nothing has changed."""

    @extend_schema(operation_id="floor", parameters=[OpenApiParameter("projector", bool)], responses=shape(Floor))
    def get(self, request: Request, session_id: int) -> HttpResponseBase:
        person, projector = person_of(request), request.query_params.get("projector") == "true"
        session = session_for(person, session_id)
        stamp = floor_stamp(session, person, projector)
        unchanged = get_conditional_response(request._request, etag=stamp)
        answered = unchanged or answer(floor(session, person, projector))
        answered.headers["ETag"] = stamp
        answered.headers["Cache-Control"] = "private, no-cache"
        return answered


class Last(APIView):
    """What went wrong most when this method was held last."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="last_time", responses=shape(LastTime))
    def get(self, request: Request, session_id: int) -> Response:
        return answer(last_time(session_for(person_of(request), session_id)))


class StoreResult(APIView):
    """Keeps what a bench found."""

    @extend_schema(operation_id="store", request=NameSerializer, responses=shape(Stock))
    def post(self, request: Request, bench_id: int) -> Response:
        bench = bench_for(person_of(request), bench_id)
        own_session_for(person_of(request), bench.session_id)
        store(bench, person_of(request), asked(NameSerializer, request)["name"])
        return answer(stock_now(person_of(request)))
