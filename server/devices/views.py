"""Which devices there are, and what one shows for a bench."""

from typing import Any

from drf_spectacular.utils import extend_schema
from rest_framework import serializers
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from config.answers import answer, asked, shape
from config.throttles import Working
from devices.line import devices
from devices.taken import FromDevice, taken
from labs.policy import bench_for
from people.policy import person_of


class WhichReadingSerializer(serializers.Serializer[Any]):
    """For which reading."""

    key = serializers.CharField(max_length=60)


class Devices(APIView):
    """The devices of this installation."""

    @extend_schema(operation_id="devices", responses={200: serializers.ListSerializer(child=serializers.CharField())})
    def get(self, request: Request) -> Response:
        """By the kinds of instrument that they can be."""
        return answer(list(devices()))


class TakeReading(APIView):
    """A reading taken from a device."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="take_reading", request=WhichReadingSerializer, responses=shape(FromDevice))
    def post(self, request: Request, bench_id: int) -> Response:
        """To be looked at and kept like a typed one. 409 with a sentence where the device is gone, slow or wrong."""
        bench = bench_for(person_of(request), bench_id)
        return answer(taken(bench, asked(WhichReadingSerializer, request)["key"]))
