"""Practice: tasks drawn anew for each seed, answers judged, progress counted."""

from typing import Any

from django.http import Http404
from drf_spectacular.utils import OpenApiParameter, extend_schema
from rest_framework import serializers
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from chromata_core.practice.calculation_drill import CalculationTask
from chromata_core.practice.fault_hunt import Hunt
from chromata_core.practice.scale_drill import ScaleTask
from config.answers import AnswerSerializer, answer, asked, shape
from config.errors import Refused
from config.throttles import Practising
from people.policy import must_be_staff, person_of
from practice.drills import DRILLS, Drill
from practice.progress import class_skills, count, skills_of
from practice.shapes import ClassSkills, PracticeVerdict, PracticeView, Practised

_LARGEST = 2**31
_SEED = OpenApiParameter("seed", int, description="which of the endless tasks, from 0")


class TriedSerializer(serializers.Serializer[Any]):
    """An answer to the task of a seed."""

    seed = serializers.IntegerField(min_value=0, max_value=_LARGEST)
    text = serializers.CharField(max_length=80, allow_blank=True)


class Practice(APIView):
    """What there is to practise."""

    @extend_schema(operation_id="practice", responses=shape(PracticeView))
    def get(self, request: Request) -> Response:
        """For everybody who is signed in, with their own progress."""
        named = {kind: [Practised(*item) for item in drill.named().items()] for kind, drill in DRILLS.items()}
        return answer(PracticeView(**named, skills=skills_of(person_of(request))))


class ClassPractice(APIView):
    """Where classes are weak."""

    @extend_schema(operation_id="class_practice", responses=shape(ClassSkills)(many=True))
    def get(self, request: Request) -> Response:
        """By section, for who teaches or assists; without names."""
        person = person_of(request)
        must_be_staff(person)
        return answer(class_skills(person))


def _tasks(kind: str, shown: type[AnswerSerializer], asks: str, answers: str) -> type[APIView]:
    """The tasks of one kind, each ``shown`` so; the names under which the API describes asking and answering."""
    drill = DRILLS[kind]

    class Tasks(APIView):
        """A task of one kind."""

        throttle_classes = (Practising,)

        @extend_schema(operation_id=asks, parameters=[_SEED], responses=shown)
        def get(self, request: Request, slug: str) -> Response:
            """The same for the same seed; 404 for what cannot be practised."""
            _must_be_there(drill, slug)
            return answer(drill.task(slug, _seed(request.query_params.get("seed", "0"))))

        @extend_schema(operation_id=answers, request=TriedSerializer, responses=shape(PracticeVerdict))
        def post(self, request: Request, slug: str) -> Response:
            """Judged, and counted for who asks."""
            _must_be_there(drill, slug)
            body = asked(TriedSerializer, request)
            judged = drill.judge(slug, body["seed"], body["text"])
            skill = count(person_of(request), kind, slug, judged.right)
            fits, shows = getattr(judged, "fits", False), getattr(judged, "answer", "")
            return answer(PracticeVerdict(judged.right, fits, judged.sentence, shows, skill))

    return Tasks


def _must_be_there(drill: Drill, slug: str) -> None:
    if slug not in drill.named():
        raise Http404


def _seed(text: str) -> int:
    if not text.isdecimal() or len(text) > 10 or int(text) > _LARGEST:
        raise Refused(f"A seed is a whole number from 0 to {_LARGEST}.", 422)
    return int(text)


Scales = _tasks("scales", shape(ScaleTask), "scale_task", "read_scale")
Calculations = _tasks("calculations", shape(CalculationTask), "calculation_task", "work_out")
Hunts = _tasks("hunts", shape(Hunt), "hunt", "accuse")
