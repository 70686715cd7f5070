"""The prep room's lists."""

from collections.abc import Callable
from datetime import timedelta

from django.core.exceptions import PermissionDenied
from django.http import Http404, HttpResponse
from django.utils import timezone
from django.utils.text import slugify
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import OpenApiParameter, extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from chromata_core.planning.recipe import Recipe
from config.answers import answer, asked, shape
from config.throttles import Trying, Working
from labs.models import Session
from labs.policy import may_see_accepted, session_for, sessions_for
from people.by_token import holder_of
from people.policy import must_be_staff, person_of
from preparation.actions import make, tick
from preparation.calendar import calendar_of
from preparation.needs import why_not
from preparation.papers import crib_pdf, labels_pdf, prep_sheet_pdf
from preparation.promised import shelves_until
from preparation.serializers import DaySerializer, MadeSerializer, ReadySerializer, RecipeSerializer
from preparation.shapes import Preparation, Week
from preparation.shopping import shopping_csv, shopping_xlsx, to_buy
from preparation.standing import preparation_of, recipe_for
from preparation.week import day_ahead, sessions_in, week_of
from reports.form import bench_sheets_pdf

_CSV, _ICS = "text/csv", "text/calendar; charset=utf-8"
_XLSX = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"
_PDF = "application/pdf"
_KINDS = (_PDF, _CSV, _XLSX, _ICS)
_MOST = 500  # events
_PAPERS: dict[str, Callable[[Session, str, bool], tuple[bytes, str]]] = {
    "prep-sheet.pdf": lambda session, address, each: (prep_sheet_pdf(session), _PDF),
    "labels.pdf": lambda session, address, each: (labels_pdf(session, address, each), _PDF),
    "bench-sheets.pdf": lambda session, address, each: (bench_sheets_pdf(session, address), _PDF),
    "crib.pdf": lambda session, address, each: (crib_pdf(session), _PDF),
    "shopping.csv": lambda session, address, each: (shopping_csv(to_buy(session)), _CSV),
    "shopping.xlsx": lambda session, address, each: (shopping_xlsx(to_buy(session)), _XLSX),
    "session.ics": lambda session, address, each: (calendar_of([session], address), _ICS),
}


class PreparationNow(APIView):
    """What is made and set out for a session."""

    @extend_schema(operation_id="preparation", responses=shape(Preparation))
    def get(self, request: Request, session_id: int) -> Response:
        """Recipes, pieces, what is ticked; 403 for students."""
        person = person_of(request)
        return answer(preparation_of(session_for(person, session_id), person))


class RecipeTried(APIView):
    """A recipe from another bottle, or with what was really measured."""

    throttle_classes = (Trying,)

    @extend_schema(operation_id="try_recipe", request=RecipeSerializer, responses=shape(Recipe))
    def post(self, request: Request, session_id: int) -> Response:
        """What would result; nothing is kept. 404 for a solution that the plan does not need."""
        session = session_for(person_of(request), session_id)
        recipe = recipe_for(session, **asked(RecipeSerializer, request))
        if recipe is None:
            raise Http404
        return answer(recipe)


class SolutionMade(APIView):
    """A solution that was made."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="make_solution", request=MadeSerializer, responses={201: shape(Preparation)})
    def post(self, request: Request, session_id: int) -> Response:
        """Written down; 201. 409 where the plan was changed meanwhile, 422 for what no balance shows."""
        person = person_of(request)
        session = session_for(person, session_id)
        make(session, person, **asked(MadeSerializer, request))
        response = answer(preparation_of(session_for(person, session_id), person))
        response.status_code = 201
        return response


class LineReady(APIView):
    """A tick on the list."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="tick_ready", request=ReadySerializer, responses=shape(Preparation))
    def post(self, request: Request, session_id: int) -> Response:
        """Set or taken away; 409 for a line that is not there any more."""
        person = person_of(request)
        session = session_for(person, session_id)
        tick(session, person, **asked(ReadySerializer, request))
        return answer(preparation_of(session, person))


class PreparationPaper(APIView):
    """What the prep room has on paper and in files: prep-sheet.pdf, labels.pdf (``each=1``: for every bench too),
    bench-sheets.pdf, crib.pdf (only for who may see accepted values), shopping.csv, shopping.xlsx, session.ics.
    """

    throttle_classes = (Working,)

    @extend_schema(
        operation_id="preparation_paper", responses={(200, kind): OpenApiTypes.BINARY for kind in _KINDS},
        parameters=[OpenApiParameter("each", bool, description="labels.pdf: for a bottle at each bench too")],
    )  # fmt: skip
    def get(self, request: Request, session_id: int, name: str) -> HttpResponse:
        """As a file; 403 for students, and for the crib where accepted values are hidden."""
        person = person_of(request)
        session = session_for(person, session_id)
        address = request.build_absolute_uri("/").rstrip("/")
        each = request.query_params.get("each") in ("1", "true")
        if name == "crib.pdf" and not may_see_accepted(person, session):
            raise PermissionDenied("The crib tells the accepted values: only the section's instructor has it.")
        body, kind = _PAPERS[name](session, address, each)
        answered = HttpResponse(body, content_type=kind)
        stem, _, ending = name.rpartition(".")
        answered["Content-Disposition"] = f'inline; filename="{slugify(session.title) or "session"}-{stem}.{ending}"'
        return answered


class CalendarFeed(APIView):
    """Sessions for another program that shows a calendar, by the secret of a token in its address."""

    authentication_classes = ()
    permission_classes = ()
    throttle_classes = (Working,)

    @extend_schema(operation_id="calendar", responses={(200, _ICS): OpenApiTypes.BINARY})
    def get(self, request: Request, secret: str) -> HttpResponse:
        """From four weeks ago on; 404 for a token that does not hold any more."""
        person = holder_of(secret)
        if person is None:
            raise Http404
        since = timezone.now() - timedelta(weeks=4)
        sessions = sessions_for(person).filter(starts_at__gte=since, simulated="").select_related("section__owner")
        body = calendar_of(list(sessions.order_by("starts_at")[:_MOST]), request.build_absolute_uri("/").rstrip("/"))
        return HttpResponse(body, content_type=_ICS)


class WeekPaper(APIView):
    """The week's shopping list: shopping.csv or shopping.xlsx."""

    throttle_classes = (Working,)

    @extend_schema(
        operation_id="week_paper", parameters=[DaySerializer],
        responses={(200, kind): OpenApiTypes.BINARY for kind in (_CSV, _XLSX)},
    )  # fmt: skip
    def get(self, request: Request, name: str) -> HttpResponse:
        """All that the week's sessions use and the shelf does not have; 403 for students."""
        person = person_of(request)
        must_be_staff(person)
        sessions = sessions_in(person, asked(DaySerializer, request)["day"] or day_ahead(person))
        ahead = [session for session in sessions if session.state != Session.State.CLOSED and not why_not(session)]
        shelves = shelves_until(ahead[-1]) if ahead else {}
        lines = [line for session in ahead for line in to_buy(session, shelves.get(session.pk))]
        xlsx = name.endswith(".xlsx")
        return HttpResponse(shopping_xlsx(lines) if xlsx else shopping_csv(lines), content_type=_XLSX if xlsx else _CSV)


class WeekNow(APIView):
    """The week of the prep room."""

    @extend_schema(operation_id="week", parameters=[DaySerializer], responses=shape(Week))
    def get(self, request: Request) -> Response:
        """Sessions from Monday to Sunday with what each still needs; 403 for students."""
        person = person_of(request)
        must_be_staff(person)
        return answer(week_of(person, asked(DaySerializer, request)["day"] or day_ahead(person)))
