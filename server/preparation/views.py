"""The prep room's lists."""

from django.http import Http404
from django.utils import timezone
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from chromata_core.planning.recipe import Recipe
from config.answers import answer, asked, shape
from config.throttles import Trying, Working
from labs.policy import session_for
from people.policy import must_teach, person_of
from preparation.actions import make, tick
from preparation.serializers import DaySerializer, MadeSerializer, ReadySerializer, RecipeSerializer
from preparation.shapes import Preparation, Week
from preparation.standing import preparation_of, recipe_for
from preparation.week import week_of


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
        found = recipe_for(session, **asked(RecipeSerializer, request))
        if found is None:
            raise Http404
        return answer(found)


class SolutionMade(APIView):
    """A solution that was made."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="make_solution", request=MadeSerializer, responses={201: shape(Preparation)})
    def post(self, request: Request, session_id: int) -> Response:
        """Written down; 201. 409 where the plan was changed meanwhile, 422 for what no balance shows."""
        person = person_of(request)
        session = session_for(person, session_id)
        make(session, person, **asked(MadeSerializer, request))
        made = answer(preparation_of(session_for(person, session_id), person))
        made.status_code = 201
        return made


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


class WeekNow(APIView):
    """The week of the prep room."""

    @extend_schema(operation_id="week", parameters=[DaySerializer], responses=shape(Week))
    def get(self, request: Request) -> Response:
        """Sessions from Monday to Sunday with what each still needs; 403 for students."""
        person = person_of(request)
        must_teach(person)
        return answer(week_of(person, asked(DaySerializer, request)["day"] or timezone.localdate()))
