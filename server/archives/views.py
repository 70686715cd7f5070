"""Archives saved, sent in pieces, looked into and brought in."""

from django.http import Http404, StreamingHttpResponse
from django.utils.text import slugify
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import OpenApiParameter, extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.throttling import BaseThrottle
from rest_framework.views import APIView

from archives.looked_into import look_into
from archives.pack import packed
from archives.read import read_archive
from archives.shapes import ArchiveInside, BroughtIn, PieceKept
from archives.unpack import take_in
from archives.waiting import LARGEST_PIECE, add_piece, drop, waiting
from config.answers import answer, shape
from config.parsers import Raw
from config.throttles import Working, Writing
from config.zipped import zipped
from labs.models import Session
from labs.policy import own_session_for
from people.models import Section
from people.policy import must_be_instructor, own_section, person_of


class SectionArchive(APIView):
    """A section, with its people and all of its sessions."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="section_archive", responses={(200, "application/zip"): OpenApiTypes.BINARY})
    def get(self, request: Request, section_id: int) -> StreamingHttpResponse:
        """Only for its instructor; without passwords, PINs and codes."""
        section = own_section(person_of(request), section_id)
        return _sent(list(section.sessions.select_related("section__owner")), section.name, section)


class SessionArchive(APIView):
    """A session, and those it goes on with."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="session_archive", responses={(200, "application/zip"): OpenApiTypes.BINARY})
    def get(self, request: Request, session_id: int) -> StreamingHttpResponse:
        """Only for its instructor."""
        session = own_session_for(person_of(request), session_id)
        return _sent([session], session.title)


class MethodArchive(APIView):
    """All sessions with a method, of one's own sections."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="method_archive", responses={(200, "application/zip"): OpenApiTypes.BINARY})
    def get(self, request: Request, slug: str) -> StreamingHttpResponse:
        """Only for instructors; 404 where there is none."""
        person = person_of(request)
        must_be_instructor(person)
        sessions = list(Session.objects.filter(section__owner=person, method=slug).select_related("section__owner"))
        if not sessions:
            raise Http404
        return _sent(sessions, slug)


def _sent(sessions: list[Session], name: str, section: Section | None = None) -> StreamingHttpResponse:
    return StreamingHttpResponse(
        zipped(packed(sessions, section)), content_type="application/zip",
        headers={"Content-Disposition": f'attachment; filename="{slugify(name) or "archive"}-archive.zip"'},
    )  # fmt: skip


class ArchivePiece(APIView):
    """An archive on its way in."""

    parser_classes = (Raw,)
    largest_body = LARGEST_PIECE

    def get_throttles(self) -> list[BaseThrottle]:
        """Pieces come often; looking in and bringing in compute."""
        return [Writing() if self.request.method == "PUT" else Working()]

    @extend_schema(
        operation_id="send_archive", responses=shape(PieceKept),
        request={"application/octet-stream": OpenApiTypes.BINARY},
        parameters=[OpenApiParameter("at", int, description="the first byte of this piece; 0 begins a new archive")],
    )  # fmt: skip
    def put(self, request: Request) -> Response:
        """Kept until it is brought in, a day at most. Only for instructors."""
        person = person_of(request)
        must_be_instructor(person)
        at = request.query_params.get("at", "0")
        piece = request.data if isinstance(request.data, bytes) else b""  # nothing at all comes as an empty form
        return answer(PieceKept(add_piece(person, int(at) if at.isdecimal() and len(at) < 12 else 0, piece)))

    @extend_schema(operation_id="archive_inside", responses=shape(ArchiveInside))
    def get(self, request: Request) -> Response:
        """What the archive that was sent would bring. 422 for what is no archive."""
        person = person_of(request)
        must_be_instructor(person)
        return answer(look_into(read_archive(waiting(person)), person))

    @extend_schema(operation_id="bring_in", request=None, responses={201: shape(BroughtIn)})
    def post(self, request: Request) -> Response:
        """All of it as new sections of one's own, or, with a sentence, nothing."""
        person = person_of(request)
        must_be_instructor(person)
        sections = take_in(read_archive(waiting(person)), person)
        drop(person)
        response = answer(BroughtIn([section.pk for section in sections]))
        response.status_code = 201
        return response
