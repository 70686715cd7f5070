"""The stockroom: what is there, what benches add to it, what is taken out."""

from django.http import Http404
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from chromata_core.instruments.catalogue import instrument
from chromata_core.quantity.report import report
from config.answers import answer, shape
from people.models import Person
from people.policy import must_own, must_teach, person_of
from stock.models import Calibration, Solution
from stock.own import slug_of
from stock.shapes import CalibrationOut, Named, SolutionOut, Stock


class StockNow(APIView):
    """My department's own instruments and solutions."""

    @extend_schema(operation_id="stock", responses=shape(Stock))
    def get(self, request: Request) -> Response:
        must_teach(person_of(request))
        return answer(stock_now(person_of(request)))


class StockItem(APIView):
    """Takes something out of the stockroom; sessions that were opened with it keep what they used."""

    @extend_schema(operation_id="retire", request=None, responses={200: shape(Stock)})
    def delete(self, request: Request, kind: str, item: int) -> Response:
        must_own(person_of(request))
        mine = person_of(request).calibrations if kind == "calibrations" else person_of(request).solutions
        gone, _ = mine.filter(pk=item).delete()
        if not gone:
            raise Http404
        return answer(stock_now(person_of(request)))


def stock_now(person: Person) -> Stock:
    """Everything that ``person`` has in stock."""
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
