"""Simulated sessions."""

from collections.abc import Mapping
from typing import Any

from drf_spectacular.utils import extend_schema
from rest_framework import serializers
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from chromata_core.declaration.places import Place
from config.answers import answer, asked, shape
from config.fields import ShortList
from config.throttles import Practising, Trying, Working
from labs.policy import bench_for, own_session_for
from labs.shapes import SessionPlan
from labs.term import session_plan
from people.policy import person_of
from rehearsals.actions import play, rehearse_class, throw_away, work_simulated
from rehearsals.shapes import Played, Worked
from rehearsals.working import act, must_be_worked, worked


class RehearsedSerializer(serializers.Serializer[Any]):
    """A made-up class: at how many benches, and for how many minutes it has been at work."""

    benches = serializers.IntegerField(min_value=1, max_value=48)
    minutes = serializers.IntegerField(min_value=1, max_value=600)


class WorkedSerializer(serializers.Serializer[Any]):
    """Who works at drawn instruments; nobody: a dry run of the instructor's own. How many times as fast waits pass."""

    students = ShortList(child=serializers.IntegerField(), default=list, max_length=48)
    pace = serializers.ChoiceField(choices=(1, 10, 60), default=1)


class InHandSerializer(serializers.Serializer[Any]):
    """What is in hand at a bench; what comes next there, where it is none of its tasks."""

    key = serializers.CharField(max_length=60, default="")
    trial = serializers.IntegerField(min_value=0, max_value=1000, default=None, allow_null=True)
    index = serializers.IntegerField(min_value=0, max_value=1000, default=None, allow_null=True)


class ActSerializer(InHandSerializer):
    """Something done at a drawn instrument: the how manieth thing at this bench, and which."""

    number = serializers.IntegerField(min_value=1, max_value=100_000)
    do = serializers.CharField(max_length=20)


class RehearsedClass(APIView):
    """A session rehearsed with a made-up class."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="rehearse_class", request=RehearsedSerializer, responses={201: shape(SessionPlan)})
    def post(self, request: Request, session_id: int) -> Response:
        """A new session, marked so; its benches are empty until each is played. Only by its instructor."""
        person = person_of(request)
        session, body = own_session_for(person, session_id), asked(RehearsedSerializer, request)
        return _made(session_plan(rehearse_class(session, person, **body), person))


class WorkedSimulated(APIView):
    """A session worked at drawn instruments."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="work_simulated", request=WorkedSerializer, responses={201: shape(SessionPlan)})
    def post(self, request: Request, session_id: int) -> Response:
        """A new session, marked so, for students who missed this one, or as a dry run. Only by its instructor."""
        person = person_of(request)
        session, body = own_session_for(person, session_id), asked(WorkedSerializer, request)
        return _made(session_plan(work_simulated(session, person, **body), person))


def _made(plan: SessionPlan) -> Response:
    response = answer(plan)
    response.status_code = 201
    return response


class SimulatedSession(APIView):
    """A simulated session."""

    @extend_schema(operation_id="throw_away", responses={204: None})
    def delete(self, request: Request, session_id: int) -> Response:
        """Thrown away; 409 for one that was held, or that a student has worked at. Only by its instructor."""
        throw_away(own_session_for(person_of(request), session_id))
        return Response(status=204)


class WorkedNow(APIView):
    """A bench worked on the screen."""

    throttle_classes = (Trying,)

    @extend_schema(operation_id="worked", parameters=[InHandSerializer], responses=shape(Worked))
    def get(self, request: Request, bench_id: int) -> Response:
        """What is seen there now; 409 for a bench at which people stand."""
        bench = bench_for(person_of(request), bench_id)
        must_be_worked(bench)
        return answer(worked(bench, _place(asked(InHandSerializer, request))))

    @extend_schema(operation_id="act", request=ActSerializer, responses=shape(Worked))
    def post(self, request: Request, bench_id: int) -> Response:
        """Does one thing more, and shows what comes of it; 409 where somebody else was faster."""
        bench = bench_for(person_of(request), bench_id)
        must_be_worked(bench)
        body = asked(ActSerializer, request)
        return answer(act(bench, _place(body), body["number"], body["do"]))


def _place(fields: Mapping[str, Any]) -> Place:
    return Place(fields["key"], fields["trial"], fields["index"])


class PlayedBench(APIView):
    """A bench of a made-up class."""

    throttle_classes = (Practising,)

    @extend_schema(operation_id="play_bench", request=None, responses=shape(Played))
    def post(self, request: Request, bench_id: int) -> Response:
        """Writes what its team has come to by now, with all of its samples; asked again, what came since. 409 where
        people work.
        """
        person = person_of(request)
        bench = bench_for(person, bench_id)
        own_session_for(person, bench.session_id)
        place = bench.session.benches.filter(number=bench.number).select_related("session", "sample")
        return answer(Played(sum(play(bench) for bench in place)))
