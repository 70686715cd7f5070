"""The stockroom: what is there, what benches add to it, what is taken out."""

from django.db import transaction
from django.http import Http404
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from chromata_core.instruments.calibrated import thawed
from chromata_core.instruments.catalogue import instrument
from chromata_core.instruments.instrument import Instrument
from chromata_core.instruments.own import own_instrument, own_scale
from chromata_core.quantity.report import report
from config.answers import answer, asked, shape
from config.errors import Refused
from config.throttles import Trying, Working
from people.models import Person
from people.policy import must_be_instructor, must_be_staff, person_of
from stock.models import Bottle, Calibration, OwnInstrument, Solution
from stock.over_time import drifts
from stock.own import frozen, slug_of
from stock.serializers import BottleSerializer, CountSerializer, OwnScaleSerializer
from stock.shapes import CalibrationOut, Named, OwnInstrumentOut, ShelfOut, SolutionOut, Stock
from stock.shelf import count, put_on_shelf, shelf_now, write_label


class StockNow(APIView):
    """My department's own instruments and solutions."""

    @extend_schema(operation_id="stock", responses=shape(Stock))
    def get(self, request: Request) -> Response:
        must_be_staff(person_of(request))
        return answer(stock_now(person_of(request)))


class OwnInstruments(APIView):
    """Instruments of one's own, with a scale that the catalogue does not have."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="add_instrument", request=OwnScaleSerializer, responses={201: shape(Stock)})
    @transaction.atomic
    def post(self, request: Request) -> Response:
        """Puts one into the stockroom; 201. 422 says what no instrument can be, 409 that the stockroom is full."""
        person = person_of(request)
        must_be_instructor(person)
        body = asked(OwnScaleSerializer, request)
        own_instrument("new", own_scale(body))
        if person.own_instruments.count() >= _MOST_OWN:
            raise Refused(f"The stockroom holds {_MOST_OWN} instruments of your own. Take out what is not used.")
        OwnInstrument.objects.create(owner=person, said=body)
        response = answer(stock_now(person))
        response.status_code = 201
        return response


class OwnInstrumentTried(APIView):
    """An instrument of one's own before it is kept."""

    throttle_classes = (Trying,)

    @extend_schema(operation_id="try_instrument", request=OwnScaleSerializer, responses=shape(Instrument))
    def post(self, request: Request) -> Response:
        """As it would be read and drawn; 422 says what no instrument can be."""
        must_be_instructor(person_of(request))
        return answer(own_instrument("new", own_scale(asked(OwnScaleSerializer, request))))


class StockItem(APIView):
    """Takes something out of the stockroom; sessions that were opened with it keep what they used."""

    @extend_schema(operation_id="retire", request=None, responses={200: shape(Stock)})
    def delete(self, request: Request, kind: str, item: int) -> Response:
        must_be_instructor(person_of(request))
        gone, _ = _KINDS[kind].objects.filter(owner=person_of(request), pk=item).delete()
        if not gone:
            raise Http404
        return answer(stock_now(person_of(request)))


class ShelfNow(APIView):
    """The department's bottles and pieces."""

    @extend_schema(operation_id="shelf", responses=shape(ShelfOut))
    def get(self, request: Request) -> Response:
        """For everybody who teaches; 403 for students."""
        must_be_staff(person_of(request))
        return answer(shelf_now())


class Bottles(APIView):
    """Bottles on the shelf."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="add_bottle", request=BottleSerializer, responses={201: shape(ShelfOut)})
    def post(self, request: Request) -> Response:
        """Puts one there; 201. 422 for a label that cannot be."""
        must_be_staff(person_of(request))
        put_on_shelf(asked(BottleSerializer, request))
        response = answer(shelf_now())
        response.status_code = 201
        return response


class BottleOnShelf(APIView):
    """One bottle."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="change_bottle", request=BottleSerializer, responses=shape(ShelfOut))
    def put(self, request: Request, bottle: int) -> Response:
        """Its label as it is from now on; 422 for one that cannot be."""
        must_be_staff(person_of(request))
        if not write_label(bottle, asked(BottleSerializer, request)):
            raise Http404
        return answer(shelf_now())

    @extend_schema(operation_id="take_bottle", responses={200: shape(ShelfOut)})
    def delete(self, request: Request, bottle: int) -> Response:
        """It is gone."""
        must_be_staff(person_of(request))
        if not Bottle.objects.filter(pk=bottle).delete()[0]:
            raise Http404
        return answer(shelf_now())


class PieceCount(APIView):
    """How many there are of an instrument."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="count_pieces", request=CountSerializer, responses=shape(ShelfOut))
    def put(self, request: Request, slug: str) -> Response:
        """Counted; nothing: nobody knows any more, and they are taken as there."""
        must_be_staff(person_of(request))
        count(slug, **asked(CountSerializer, request))
        return answer(shelf_now())


_MOST_OWN = 200
_KINDS: dict[str, type[Calibration | Solution | OwnInstrument]] = {
    "calibrations": Calibration, "solutions": Solution, "instruments": OwnInstrument,
}  # fmt: skip


def stock_now(person: Person) -> Stock:
    """Everything that ``person`` has in stock."""
    return Stock(
        [_own(own_instrument) for own_instrument in OwnInstrument.objects.filter(owner=person)],
        [_calibration(calibration) for calibration in Calibration.objects.filter(owner=person)],
        [_solution(solution) for solution in Solution.objects.filter(owner=person)],
        drifts(person),
    )


def _own(own_instrument: OwnInstrument) -> OwnInstrumentOut:
    tool = thawed(slug_of(own_instrument), frozen(own_instrument))
    return OwnInstrumentOut(own_instrument.pk, instrument(own_instrument.said["base"]).short, tool)


def _calibration(calibration: Calibration) -> CalibrationOut:
    base = instrument(calibration.base)
    points = [
        Named(f"set to {p['nominal']:g}", f"{report(p['actual'], 2 * p['u']).text} {base.unit}")
        for p in calibration.points
    ]
    return CalibrationOut(
        calibration.pk,
        slug_of(calibration),
        calibration.name,
        base=base.short,
        kind=base.kind,
        points=points,
        source=calibration.source,
        found_at=calibration.found_at.isoformat(),
    )


def _solution(solution: Solution) -> SolutionOut:
    return SolutionOut(
        solution.pk,
        solution.name,
        solution.solution,
        concentration=solution.concentration,
        limit=solution.limit,
        unit=solution.unit,
        source=solution.source,
        found_at=solution.found_at.isoformat(),
    )
