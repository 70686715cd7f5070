"""Rubrics and marks."""

from django.db import transaction
from django.http import HttpResponse
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from config.answers import answer, asked, shape
from config.throttles import Working
from labs.policy import bench_for, own_session_for
from marking import marks
from marking.rubrics import keep_rubric, rubrics_for
from marking.serializers import ChosenSerializer, DecisionSerializer, ReleasedSerializer, RubricSerializer
from marking.shapes import ClassMarks, OwnMarks, RubricOut
from people.policy import must_be_instructor, person_of
from reports.formats import as_csv


class Rubrics(APIView):
    """What an instructor marks by."""

    @extend_schema(operation_id="rubrics", responses=shape(RubricOut)(many=True))
    def get(self, request: Request) -> Response:
        """The usual one first, then one’s own; 403 for who is no instructor."""
        must_be_instructor(person_of(request))
        return answer(rubrics_for(person_of(request)))

    @extend_schema(operation_id="keep_rubric", request=RubricSerializer, responses=shape(RubricOut)(many=True))
    @transaction.atomic
    def put(self, request: Request) -> Response:
        """Kept under its name; 422 where the points do not add up."""
        person = person_of(request)
        must_be_instructor(person)
        keep_rubric(person, asked(RubricSerializer, request))
        return answer(rubrics_for(person))


class SessionMarks(APIView):
    """The marks of a session, for its own instructor alone."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="marks", responses=shape(ClassMarks))
    def get(self, request: Request, session_id: int) -> Response:
        """As they are proposed, and what was decided."""
        person = person_of(request)
        return answer(marks.class_marks(own_session_for(person, session_id), person))

    @extend_schema(operation_id="mark_by", request=ChosenSerializer, responses=shape(ClassMarks))
    @transaction.atomic
    def put(self, request: Request, session_id: int) -> Response:
        """By another rubric from now on."""
        person = person_of(request)
        session = own_session_for(person, session_id)
        marks.choose(session, person, asked(ChosenSerializer, request)["rubric"])
        return answer(marks.class_marks(session, person))


class MarksReleased(APIView):
    """Whether students see their marks."""

    @extend_schema(operation_id="release_marks", request=ReleasedSerializer, responses=shape(ClassMarks))
    @transaction.atomic
    def put(self, request: Request, session_id: int) -> Response:
        """409 while the session is open, or something is still to be read."""
        person = person_of(request)
        session = own_session_for(person, session_id)
        marks.release(session, person, asked(ReleasedSerializer, request)["released"])
        return answer(marks.class_marks(session, person))


class MarksFile(APIView):
    """The marks for a gradebook."""

    @extend_schema(operation_id="marks_file", responses={(200, "text/csv"): str})
    def get(self, request: Request, session_id: int) -> HttpResponse:
        """As CSV, a line for each student."""
        person = person_of(request)
        text = as_csv(marks.as_rows(own_session_for(person, session_id), person))
        return HttpResponse(
            text, content_type="text/csv; charset=utf-8",
            headers={"Content-Disposition": f'attachment; filename="marks-{session_id}.csv"'},
        )  # fmt: skip


class MarksOfBench(APIView):
    """The marks of one bench."""

    @extend_schema(operation_id="own_marks", responses=shape(OwnMarks))
    def get(self, request: Request, bench_id: int) -> Response:
        """As its students see them, once they are released; 403 for assistants."""
        person = person_of(request)
        bench = bench_for(person, bench_id)
        if person.teaches:
            own_session_for(person, bench.session_id)
        return answer(OwnMarks(marks.own_marks(bench)))

    @extend_schema(operation_id="decide_mark", request=DecisionSerializer, responses=shape(ClassMarks))
    @transaction.atomic
    def put(self, request: Request, bench_id: int) -> Response:
        """One line, by the section’s own instructor; 422 for more points than it has."""
        person = person_of(request)
        bench = bench_for(person, bench_id)
        session = own_session_for(person, bench.session_id)
        body = asked(DecisionSerializer, request)
        marks.decide(bench, person, body["kind"], body["points"], body["note"])
        return answer(marks.class_marks(session, person))
