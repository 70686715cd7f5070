"""Methods, instruments, sessions, benches and the floor."""

from collections.abc import Callable, Mapping
from typing import Any

from django.db import transaction
from django.db.models import Case, F, Max, When
from drf_spectacular.utils import extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from chromata_core.choices import CHOICES, ChoiceMade
from chromata_core.engine.handing import Taking
from chromata_core.instruments.catalogue import CATALOGUE
from chromata_core.instruments.instrument import Instrument
from chromata_core.planning.predict import Prediction, predict
from chromata_core.sheet.bound import Sheet
from chromata_core.telling.describe import MethodCard, MethodPage, card, page
from config.answers import answer, asked, shape
from config.errors import Refused
from config.throttles import Working
from experiments.declared import method_named, methods_for, owners_for
from labs import actions
from labs.arrangement import arrange, arrangement_of
from labs.foreseen import foreseen
from labs.models import Session
from labs.parts import to_take
from labs.policy import benches_for, own_session_for, session_for, sessions_for
from labs.remarks import end_remark
from labs.serializers import (
    ArrangementSerializer,
    ChoicesSerializer,
    ComparisonSerializer,
    DealSerializer,
    MinutesSerializer,
    PlanChangeSerializer,
    PlanSerializer,
    PreviewSerializer,
    SamplesSerializer,
    StateSerializer,
    TeamsSerializer,
    TurnsSerializer,
)
from labs.shapes import Arrangement, BenchPlace, Foreseen, SessionLine, SessionPlan
from labs.teams import deal_teams, set_teams
from labs.term import places_of, session_line, session_plan
from labs.turns import solve_turns
from people.models import Person, Section
from people.policy import must_be_instructor, owns, person_of, sections_for
from stock.own import instruments_of


class Methods(APIView):
    """The method book."""

    @extend_schema(operation_id="methods", responses=shape(MethodCard)(many=True))
    def get(self, request: Request) -> Response:
        """What ships, and the own experiments that this person may plan with or work by."""
        return answer([card(method) for method in methods_for(person_of(request))])


class MethodDetail(APIView):
    """One method, whole."""

    @extend_schema(operation_id="method", responses=shape(MethodPage))
    def get(self, request: Request, slug: str) -> Response:
        """With its worked example computed; 422 with near names for one that this person does not know."""
        return answer(page(method_named(slug, owners_for(person_of(request)))))


class Choices(APIView):
    """Choices that change a last digit."""

    @extend_schema(operation_id="choices", responses=shape(ChoiceMade)(many=True))
    def get(self, request: Request) -> Response:
        """What was chosen among several accepted ways, and what the others would change."""
        return answer(list(CHOICES))


class Instruments(APIView):
    """The stockroom."""

    @extend_schema(operation_id="instruments", responses=shape(Instrument)(many=True))
    def get(self, request: Request) -> Response:
        """The calibrated pieces of this person first."""
        return answer([*instruments_of(person_of(request)).values(), *CATALOGUE.values()])


class PlanPreview(APIView):
    """What a plan will give, before it is made."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="predict", request=PreviewSerializer, responses=shape(Prediction))
    def post(self, request: Request) -> Response:
        """Expected uncertainty, supplies and timetable; 422 lists what is wrong with the options."""
        body = asked(PreviewSerializer, request)
        person = person_of(request)
        plan = Sheet(body["options"], body["instruments"], stock=instruments_of(person))
        return answer(
            predict(
                method_named(body["method"], owners_for(person)),
                plan,
                body["benches"],
                body["samples_each"],
                body["minutes"],
            )
        )


class PlanForeseen(APIView):
    """What would make a plan better."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="foresee", request=PreviewSerializer, responses=shape(Foreseen))
    def post(self, request: Request) -> Response:
        """Other choices, ranked; what can be asked before class; for staff how its solutions would be made. 422 lists
        what is wrong with the options.
        """
        body, person = asked(PreviewSerializer, request), person_of(request)
        plan = Sheet(body["options"], body["instruments"], stock=instruments_of(person))
        chosen = method_named(body["method"], owners_for(person))
        return answer(foreseen(person, chosen, plan, body["benches"] * body["samples_each"]))


class Sessions(APIView):
    """The sessions of my sections in the order of the term."""

    @extend_schema(operation_id="sessions", responses=shape(SessionLine)(many=True))
    def get(self, request: Request) -> Response:
        """Those of one’s own sections and of those one assists in; 403 for students."""
        sessions = sessions_for(person_of(request)).select_related("section").order_by("starts_at")
        return answer([session_line(session) for session in sessions])

    @extend_schema(operation_id="plan", request=PlanSerializer, responses={201: shape(SessionPlan)})
    @transaction.atomic
    def post(self, request: Request) -> Response:
        """Plans one, with benches and teams; 201. 403 for who is no instructor, 422 for what does not fit."""
        person = person_of(request)
        must_be_instructor(person)
        body = asked(PlanSerializer, request)
        section, body["guests"] = _open_sections(person, body.pop("section"), body["guests"])
        body["follows"] = _followed(person, body["follows"])
        session = actions.plan_session(section, body.pop("method"), **body)
        actions.note(session, person, "planned it")
        response = answer(session_plan(session, person))
        response.status_code = 201
        return response


def _open_sections(person: Person, section_id: int, guests: list[int]) -> tuple[Section, list[Section]]:
    """The section of a plan, and those that come with it, once each."""
    section = _open_section(person, section_id)
    others = [_open_section(person, section) for section in sorted(set(guests) - {section_id})]
    if any(other.owner_id != section.owner_id for other in others):
        raise Refused("Sections of one session have one instructor.", 422)
    return section, others


def _open_section(person: Person, section_id: int) -> Section:
    section = sections_for(person).filter(pk=section_id, archived=False).first()
    if section is None or not owns(person, section):
        raise Refused("Choose one of your own sections.", 422)
    return section


def _followed(person: Person, earlier: int | None) -> Session | None:
    """The session that a plan goes on with: one of one's own."""
    if earlier is None:
        return None
    session = sessions_for(person).filter(pk=earlier, simulated="").select_related("section__owner").first()
    if session is None or not owns(person, session.section):
        raise Refused("Choose one of your own sessions to go on with; simulated ones found nothing real.", 422)
    return session


def changed(session: Session, person: Person, what: str) -> Response:
    """The plan as it now stands, once the log says what was done."""
    actions.note(session, person, what)
    return answer(session_plan(session, person))


class SessionDetail(APIView):
    """One session's plan."""

    @extend_schema(operation_id="session", responses=shape(SessionPlan))
    def get(self, request: Request, session_id: int) -> Response:
        """With accepted values for who may see them; 403 for students, 404 for sections of others."""
        person = person_of(request)
        return answer(session_plan(session_for(person, session_id), person))

    @extend_schema(operation_id="change_plan", request=PlanChangeSerializer, responses=shape(SessionPlan))
    @transaction.atomic
    def put(self, request: Request, session_id: int) -> Response:
        """As long as it is planned; 409 if somebody changed it since ``revision``."""
        person = person_of(request)
        session, body = own_session_for(person, session_id), asked(PlanChangeSerializer, request)
        section, body["guests"] = _open_sections(person, body.pop("section"), body["guests"])
        body["follows"] = _followed(person, body["follows"])
        actions.change_plan(session, body.pop("revision"), section, body.pop("method"), **body)
        return changed(session, person, "changed the plan")

    @extend_schema(operation_id="delete_plan", responses={204: None})
    @transaction.atomic
    def delete(self, request: Request, session_id: int) -> Response:
        """As long as it was never opened; the log keeps that it was there. 204."""
        person = person_of(request)
        session = own_session_for(person, session_id)
        actions.note(session, person, f"deleted the plan “{session.title}”")
        actions.delete_plan(session)
        return Response(status=204)


class Takings(APIView):
    """What a later session could take from this one."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="takings", request=ChoicesSerializer, responses=shape(Taking)(many=True))
    def post(self, request: Request, session_id: int) -> Response:
        """By the method and the choices of the later one; 422 lists what is wrong with them."""
        person = person_of(request)
        earlier, body = own_session_for(person, session_id), asked(ChoicesSerializer, request)
        return answer(to_take(earlier, method_named(body["method"], owners_for(person)), body["options"]))


class RemarkEnd(APIView):
    """A remark that is shown no more."""

    @extend_schema(operation_id="end_remark", responses={200: shape(SessionPlan)})
    @transaction.atomic
    def delete(self, request: Request, session_id: int, remark_id: int) -> Response:
        """404 for a remark that this session does not show."""
        person = person_of(request)
        session = own_session_for(person, session_id)
        end_remark(session, remark_id)
        return changed(session, person, "ended a remark")


class RoomView(APIView):
    """How the session's room is arranged, for all sessions in it."""

    @extend_schema(operation_id="arrange_room", request=ArrangementSerializer, responses=shape(Arrangement))
    @transaction.atomic
    def put(self, request: Request, session_id: int) -> Response:
        """Empty text forgets it; 422 where it cannot be read."""
        session = session_for(person_of(request), session_id)
        arrange(session, asked(ArrangementSerializer, request)["text"])
        return answer(arrangement_of(session))


class Minutes(APIView):
    """How long a session is."""

    @extend_schema(operation_id="set_minutes", request=MinutesSerializer, responses=shape(SessionLine))
    @transaction.atomic
    def put(self, request: Request, session_id: int) -> Response:
        """Another length, from its start; 409 once it is over."""
        person = person_of(request)
        session, minutes = own_session_for(person, session_id), asked(MinutesSerializer, request)["minutes"]
        actions.extend_session(session, minutes)
        actions.note(session, person, f"made it {minutes} minutes long")
        return answer(session_line(session))


class Teams(APIView):
    """Who stands at which bench."""

    @extend_schema(operation_id="set_teams", request=TeamsSerializer, responses=shape(SessionPlan))
    @transaction.atomic
    def put(self, request: Request, session_id: int) -> Response:
        """By whoever teaches or assists; 409 once the session is closed."""
        person = person_of(request)
        session, places = session_for(person, session_id), asked(TeamsSerializer, request)["places"]
        set_teams(session, [(place["person"], place["bench"], place["absent"]) for place in places])
        names = {person.pk: person.name for person in session.roster}
        for place in places:
            actions.note(session, person, f"{_put(place)} {names[place['person']]}")
        return answer(session_plan(session, person))


def _put(place: Mapping[str, Any]) -> str:
    if place["bench"] is not None:
        return f"put at bench {place['bench']}:"
    return "marked absent:" if place["absent"] else "took off every bench:"


_DEALT = {"names": "in order of names", "lot": "by lot", "last": "as last time"}


class Deal(APIView):
    """Spreads the roster over the benches."""

    @extend_schema(operation_id="deal_teams", request=DealSerializer, responses=shape(SessionPlan))
    @transaction.atomic
    def post(self, request: Request, session_id: int) -> Response:
        """By name, by lot or as last time; 409 once it has begun."""
        person = person_of(request)
        session, body = session_for(person, session_id), asked(DealSerializer, request)
        deal_teams(session, **body)
        at_each = f", {body['size']} at a bench" if body["size"] else ""
        return changed(session, person, f"spread the teams {_DEALT[body['how']]}{at_each}")


class Turns(APIView):
    """Turns at what the benches share."""

    throttle_classes = (Working,)

    @extend_schema(operation_id="solve_turns", request=TurnsSerializer, responses=shape(SessionPlan))
    def put(self, request: Request, session_id: int) -> Response:
        """Solved anew around what is pinned; 409 once it has begun, 422 where pins contradict each other, 503 while
        another is being solved.
        """
        person = person_of(request)
        session = session_for(person, session_id)
        solve_turns(session, **asked(TurnsSerializer, request))
        session.refresh_from_db()
        return changed(session, person, "had the turns solved anew")


class Samples(APIView):
    """What the benches are given, with the accepted values."""

    @extend_schema(operation_id="set_samples", request=SamplesSerializer, responses=shape(SessionPlan))
    @transaction.atomic
    def put(self, request: Request, session_id: int) -> Response:
        """Only by the section’s instructor."""
        person = person_of(request)
        session = own_session_for(person, session_id)
        actions.set_samples(session, **asked(SamplesSerializer, request))
        return changed(session, person, "changed samples and accepted values")


class Comparison(APIView):
    """Another product's data, for benches whose trials agree."""

    largest_body = 900_000

    @extend_schema(operation_id="set_comparison", request=ComparisonSerializer, responses=shape(SessionPlan))
    @transaction.atomic
    def put(self, request: Request, session_id: int) -> Response:
        """From a sheet file of the same method; 422 where it gives no result."""
        person = person_of(request)
        session = own_session_for(person, session_id)
        actions.set_comparison(session, **asked(ComparisonSerializer, request))
        return changed(session, person, "changed the data of another product")


_ACTIONS: dict[str, tuple[Callable[[Session], None], str]] = {
    "open": (actions.open_session, "opened it"),
    "close": (actions.close_session, "closed it"),
    "reopen": (actions.reopen_session, "opened it again"),
    "release": (actions.release_session, "released the accepted values"),
    "take_back": (actions.take_back_release, "took the release back"),
    "cancel": (actions.cancel_session, "cancelled it"),
    "take_up": (actions.take_up_session, "planned it after all"),
}


class SessionState(APIView):
    """Opens, closes, reopens or cancels a session, releases its results or takes that back."""

    @extend_schema(operation_id="set_state", request=StateSerializer, responses=shape(SessionLine))
    @transaction.atomic
    def post(self, request: Request, session_id: int) -> Response:
        """409 with a sentence where the session’s state does not allow it."""
        person = person_of(request)
        session = own_session_for(person, session_id)
        act, what = _ACTIONS[asked(StateSerializer, request)["action"]]
        act(session)
        actions.note(session, person, what)
        return answer(session_line(session))


class MyBenches(APIView):
    """The benches I work at, the running one first; of its samples the one that was written on last."""

    @extend_schema(operation_id="my_benches", responses=shape(BenchPlace)(many=True))
    def get(self, request: Request) -> Response:
        """Empty for who is on no team."""
        person = person_of(request)
        mine = benches_for(person).filter(team=person).prefetch_related("team")
        open_first = Case(When(session__state=Session.State.OPEN, then=0), default=1)
        held_first = Case(When(session__simulated="", then=0), default=1)
        last = F("last").desc(nulls_last=True)
        ordered = mine.annotate(last=Max("entries__received_at")).order_by(
            open_first, held_first, "-session__starts_at", last, "pk"
        )
        return answer(places_of(list(ordered)))
