"""Benches and rooms as they stand: asked, or answered to who writes."""

from typing import Any

from django.db import transaction
from django.http.response import HttpResponseBase
from django.utils.cache import get_conditional_response
from drf_spectacular.utils import OpenApiParameter, OpenApiResponse, extend_schema
from rest_framework import serializers
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from config.answers import answer, asked, shape
from config.errors import Refused
from config.throttles import Working, Writing
from labs.around import bench_now
from labs.policy import bench_for, own_session_for, session_for
from notebook.actions import Draft, Kept, write
from notebook.serializers import BatchSerializer, EntrySerializer
from people.policy import must_be_staff, person_of
from people.remembered import OFTEN
from results.bench import bench_view
from results.class_view import class_page
from results.floor import floor, look
from results.history import method_history
from results.leaving_out import leave_out
from results.lessons import last_time
from results.shapes import BenchView, ClassPage, Floor, LastTime, MethodHistory, Written
from results.storing import store
from stock.shapes import Stock
from stock.views import stock_now


class History(APIView):
    """A method over the years."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="history", responses=shape(MethodHistory))
    def get(self, request: Request, slug: str) -> Response:
        """Of one’s own sessions and of those one assists in; 403 for students, 422 with near names for no method."""
        person = person_of(request)
        must_be_staff(person)
        return answer(method_history(slug, person))


class NameSerializer(serializers.Serializer[Any]):
    """What the thing will be called in plans."""

    name = serializers.CharField(max_length=60)


class ReasonSerializer(serializers.Serializer[Any]):
    """Why a bench does not count; empty: it counts."""

    reason = serializers.CharField(max_length=200, allow_blank=True)


class BenchNow(APIView):
    """A bench as it is now."""

    authentication_classes = OFTEN

    @extend_schema(operation_id="bench", responses=shape(BenchView))
    def get(self, request: Request, bench_id: int) -> Response:
        """With accepted values for who may see them; 404 for benches of others."""
        person = person_of(request)
        return answer(bench_view(bench_now(person, bench_id), person))


class Entries(APIView):
    """The bench's record."""

    authentication_classes = OFTEN
    throttle_classes = (Writing,)
    largest_body = 2_500_000  # a photo in base64, and some readings beside it

    @extend_schema(operation_id="entries", responses=EntrySerializer(many=True))
    def get(self, request: Request, bench_id: int) -> Response:
        """All of them in order, corrected ones too."""
        bench = bench_for(person_of(request), bench_id)
        entries = bench.entries.select_related("author").order_by("sequence")
        return Response(EntrySerializer(entries, many=True).data)

    @extend_schema(operation_id="write", request=BatchSerializer, responses=shape(Written))
    def post(self, request: Request, bench_id: int) -> Response:
        """Each entry is kept or refused by itself; one that was kept before is not doubled. The bench as it then
        stands is answered.
        """
        bench = bench_now(person_of(request), bench_id)
        body = asked(BatchSerializer, request)
        if body["person"] not in (None, person_of(request).pk):
            raise Refused("Somebody else is signed in on this device now. These wait until their author signs in here.")
        judged = body["entries"]
        kept = iter(write(bench, person_of(request), [Draft(**row.said) for row in judged if row.said]))
        answers = [next(kept) if row.said else Kept(row.id, False, row.problem) for row in judged]
        return answer(Written(answers, bench_view(bench, person_of(request))))


class FloorNow(APIView):
    """The room as it is now; 304 while nothing has changed."""

    authentication_classes = OFTEN

    @extend_schema(
        operation_id="floor",
        parameters=[OpenApiParameter("projector", bool)],
        responses={200: shape(Floor), 304: OpenApiResponse(description="As it was told under this ETag.")},
    )
    def get(self, request: Request, session_id: int) -> HttpResponseBase:
        """On a projector without names, calls and hidden values; 403 for students."""
        person, projector = person_of(request), request.query_params.get("projector") == "true"
        at = look(session_for(person, session_id), person, projector)
        stamp = at.stamp
        unchanged = get_conditional_response(request._request, etag=stamp)
        answered = unchanged or answer(floor(at))
        answered.headers["ETag"] = stamp
        answered.headers["Cache-Control"] = "private, no-cache"
        return answered


class ClassNow(APIView):
    """A class after its session."""

    throttle_classes = (Working,)

    @extend_schema(
        operation_id="class_page", parameters=[OpenApiParameter("projector", bool)], responses=shape(ClassPage)
    )
    def get(self, request: Request, session_id: int) -> Response:
        """On a projector without names and hidden values; 403 for students."""
        person, projector = person_of(request), request.query_params.get("projector") == "true"
        return answer(class_page(session_for(person, session_id), person, projector))


class LeavingOut(APIView):
    """Whether a bench counts in the class's means."""

    @extend_schema(operation_id="leave_out", request=ReasonSerializer, responses=shape(ClassPage))
    @transaction.atomic
    def put(self, request: Request, bench_id: int) -> Response:
        """Left out with a reason; counts again without one. Only by the section’s instructor."""
        person = person_of(request)
        bench = bench_for(person, bench_id)
        session = own_session_for(person, bench.session_id)
        leave_out(bench, person, asked(ReasonSerializer, request)["reason"])
        return answer(class_page(session, person, projector=False))


class Last(APIView):
    """What went wrong most when this method was held last."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="last_time", responses=shape(LastTime))
    def get(self, request: Request, session_id: int) -> Response:
        """Empty where it was never held."""
        return answer(last_time(session_for(person_of(request), session_id)))


class StoreResult(APIView):
    """Keeps what a bench found."""

    @extend_schema(operation_id="store", request=NameSerializer, responses=shape(Stock))
    def post(self, request: Request, bench_id: int) -> Response:
        """As a calibration or a solution; only by the section’s instructor, 422 while there is nothing to keep."""
        bench = bench_for(person_of(request), bench_id)
        own_session_for(person_of(request), bench.session_id)
        store(bench, person_of(request), asked(NameSerializer, request)["name"])
        return answer(stock_now(person_of(request)))
