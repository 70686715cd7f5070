"""Sections, their rosters and their students' PINs."""

from django.http import Http404
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from config.answers import answer, asked, shape
from config.tables import TableSerializer, file_of
from config.throttles import Working
from people import sections
from people.policy import must_be_instructor, own_section, own_student, person_of, sections_for, student_of
from people.roster import RosterRead, read_roster
from people.serializers import (
    NewSectionSerializer,
    SectionChangeSerializer,
    StudentChangeSerializer,
    StudentsSerializer,
)
from people.shapes import NewPin, SectionLine, SectionPage
from people.telling import section_line, section_page


class Sections(APIView):
    """The sections I teach or assist."""

    @extend_schema(operation_id="sections", responses=shape(SectionLine)(many=True))
    def get(self, request: Request) -> Response:
        """Archived ones last."""
        person = person_of(request)
        return answer([section_line(section, person) for section in sections_for(person).order_by("archived", "name")])

    @extend_schema(operation_id="make_section", request=NewSectionSerializer, responses={201: shape(SectionPage)})
    def post(self, request: Request) -> Response:
        """With a code of its own; 201. 403 for who is no instructor."""
        person = person_of(request)
        must_be_instructor(person)
        response = answer(section_page(sections.make_section(person, **asked(NewSectionSerializer, request)), person))
        response.status_code = 201
        return response


class SectionDetail(APIView):
    """One section."""

    @extend_schema(operation_id="section", responses=shape(SectionPage))
    def get(self, request: Request, section_id: int) -> Response:
        """With its roster; 404 for those of others."""
        person = person_of(request)
        section = sections_for(person).filter(pk=section_id).first()
        if section is None:
            raise Http404
        return answer(section_page(section, person))

    @extend_schema(operation_id="change_section", request=SectionChangeSerializer, responses=shape(SectionPage))
    def put(self, request: Request, section_id: int) -> Response:
        """Only by its instructor: name, term, who assists, archived or not."""
        person = person_of(request)
        section = own_section(person, section_id)
        sections.change_section(section, **asked(SectionChangeSerializer, request))
        return answer(section_page(section, person))


class Code(APIView):
    """Gives a section another code."""

    @extend_schema(operation_id="renew_code", request=None, responses=shape(SectionPage))
    def post(self, request: Request, section_id: int) -> Response:
        """The former one stops working at once; who is signed in stays so."""
        person = person_of(request)
        section = own_section(person, section_id)
        sections.renew_code(section)
        return answer(section_page(section, person))


class RosterPreview(APIView):
    """What a list would add to the roster; nothing is changed."""

    largest_body = 3_000_000
    throttle_classes = (Working,)

    @extend_schema(operation_id="read_roster", request=TableSerializer, responses=shape(RosterRead))
    def post(self, request: Request, section_id: int) -> Response:
        """From pasted text, CSV or XLSX; every line that cannot be taken is named."""
        section, body = own_section(person_of(request), section_id), asked(TableSerializer, request)
        return answer(read_roster(section, body["text"], file_of(body), body["file_name"]))


class RosterPeople(APIView):
    """Puts people on the roster."""

    @extend_schema(operation_id="add_people", request=StudentsSerializer, responses=shape(SectionPage))
    def post(self, request: Request, section_id: int) -> Response:
        """All of them or, with a sentence, none."""
        person = person_of(request)
        section = own_section(person, section_id)
        people = asked(StudentsSerializer, request)["people"]
        sections.add_people(section, [(row["name"].strip(), row["number"].strip()) for row in people])
        return answer(section_page(section, person))


class Student(APIView):
    """A student's place on a roster."""

    @extend_schema(operation_id="change_student", request=StudentChangeSerializer, responses=shape(SectionPage))
    def put(self, request: Request, person_id: int) -> Response:
        """Another name, number or section of the same instructor."""
        person = person_of(request)
        student, body = own_student(person, person_id), asked(StudentChangeSerializer, request)
        section = own_section(person, body["section"])
        sections.change_student(student, body["name"].strip(), body["number"].strip(), section)
        return answer(section_page(section, person))

    @extend_schema(operation_id="take_off", responses={204: None})
    def delete(self, request: Request, person_id: int) -> Response:
        """Their records stay where they were written. 204."""
        sections.take_off(own_student(person_of(request), person_id))
        return Response(status=204)


class Pin(APIView):
    """A new PIN for a student; staff of the section may give it."""

    @extend_schema(operation_id="new_pin", request=None, responses=shape(NewPin))
    def post(self, request: Request, person_id: int) -> Response:
        """Shown this once; only its hash is kept."""
        person = person_of(request)
        student = student_of(person, person_id)
        return answer(NewPin(sections.new_pins([student])[student.pk]))
