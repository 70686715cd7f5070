"""The stockroom: what is there, what benches add to it, what is taken out."""

from typing import Any

from django.http import Http404
from drf_spectacular.utils import extend_schema
from rest_framework import serializers
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from chromata_core.instruments.catalogue import instrument
from chromata_core.quantity.report import report
from config.answers import answer, asked, shape
from labs.policy import bench_for, own_session_for
from labs.shapes import Named
from people.models import Person
from people.policy import must_own, must_teach, person_of
from stock.actions import store
from stock.models import Calibration, Solution
from stock.own import slug_of
from stock.shapes import CalibrationOut, SolutionOut, Stock


class NameSerializer(serializers.Serializer[Any]):
    """What the thing will be called in plans."""

    name = serializers.CharField(max_length=60)


class StockNow(APIView):
    """My department's own instruments and solutions."""

    @extend_schema(operation_id="stock", responses=shape(Stock))
    def get(self, request: Request) -> Response:
        must_teach(person_of(request))
        return answer(_stock(person_of(request)))


class StoreResult(APIView):
    """Keeps what a bench found."""

    @extend_schema(operation_id="store", request=NameSerializer, responses=shape(Stock))
    def post(self, request: Request, bench_id: int) -> Response:
        bench = bench_for(person_of(request), bench_id)
        own_session_for(person_of(request), bench.session_id)
        store(bench, person_of(request), asked(NameSerializer, request)["name"])
        return answer(_stock(person_of(request)))


class StockItem(APIView):
    """Takes something out of the stockroom; sessions that were opened with it keep what they used."""

    @extend_schema(operation_id="retire", request=None, responses={200: shape(Stock)})
    def delete(self, request: Request, kind: str, item: int) -> Response:
        must_own(person_of(request))
        mine = person_of(request).calibrations if kind == "calibrations" else person_of(request).solutions
        gone, _ = mine.filter(pk=item).delete()
        if not gone:
            raise Http404
        return answer(_stock(person_of(request)))


def _stock(person: Person) -> Stock:
    return Stock(
        [_calibration(found) for found in Calibration.objects.filter(owner=person)],
        [_solution(found) for found in Solution.objects.filter(owner=person)],
    )


def _calibration(found: Calibration) -> CalibrationOut:
    base = instrument(found.base)
    points = [
        Named(f"set to {p['nominal']:g}", f"{report(p['actual'], 2 * p['u']).text} {base.unit}") for p in found.points
    ]
    return CalibrationOut(
        found.pk, slug_of(found), found.name, base.short, base.kind, points, found.source, found.found_at.isoformat()
    )


def _solution(found: Solution) -> SolutionOut:
    return SolutionOut(
        found.pk, found.name, found.solution, found.concentration, found.limit, found.unit, found.source,
        found.found_at.isoformat(),
    )  # fmt: skip
