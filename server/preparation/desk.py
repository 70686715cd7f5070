"""The desk: small calculators for who teaches."""

from typing import Any

from django.http import Http404
from drf_spectacular.utils import extend_schema
from rest_framework import serializers
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from chromata_core.desk.calculator import FieldOf, WorkedOut
from chromata_core.desk.on_the_desk import DESK
from config.answers import answer, asked, shape
from config.fields import ShortDict
from config.throttles import Trying
from people.policy import must_be_staff, person_of
from preparation.shapes import CalculatorOut, DeskField


class SaidSerializer(serializers.Serializer[Any]):
    """What is written in a calculator's fields; its examples where nothing is."""

    said = ShortDict(child=serializers.CharField(max_length=4000, allow_blank=True), default=dict)


class DeskNow(APIView):
    """The calculators."""

    @extend_schema(operation_id="desk", responses=shape(CalculatorOut)(many=True))
    def get(self, request: Request) -> Response:
        """Each with its fields; 403 for students."""
        must_be_staff(person_of(request))
        return answer(
            [
                CalculatorOut(value.key, value.title, value.lead, [_field(part) for part in value.fields])
                for value in DESK.values()
            ]
        )


def _field(part: FieldOf) -> DeskField:
    return DeskField(part.key, part.label, part.example, part.help, [list(pair) for pair in part.choices], part.long)


class CalculatorWorked(APIView):
    """One calculator."""

    throttle_classes = (Trying,)

    @extend_schema(operation_id="work_on_desk", request=SaidSerializer, responses=shape(WorkedOut))
    def post(self, request: Request, key: str) -> Response:
        """What is worked from its fields; 422 says what cannot be."""
        must_be_staff(person_of(request))
        if key not in DESK:
            raise Http404
        return answer(DESK[key].worked(asked(SaidSerializer, request)["said"]))
