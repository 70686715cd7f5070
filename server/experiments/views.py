"""Own experiments: begun, changed, tried, made ready; and the vocabulary they are written in."""

from typing import Any

from django.db.models import Count, QuerySet
from django.http import Http404, JsonResponse
from drf_spectacular.types import OpenApiTypes
from drf_spectacular.utils import OpenApiParameter, extend_schema
from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.views import APIView

from chromata_core.apparatus.scene import SceneDrawn
from chromata_core.apparatus.scene_book import SCENES, drawing
from chromata_core.authoring.as_json import to_json
from chromata_core.authoring.form import RecordOut, vocabulary
from config.answers import answer, asked, shape
from config.throttles import Working
from experiments import actions
from experiments.declared import method_named, owners_for
from experiments.models import Experiment, Version
from experiments.serializers import (
    BeginSerializer,
    NoteSerializer,
    SaveSerializer,
    TrialRunSerializer,
    WithdrawnSerializer,
)
from experiments.shapes import ExperimentCard, ExperimentPage, Row, SceneCard, State, TrialRun, VersionOut
from people.models import Person
from people.policy import must_be_instructor, person_of


def _mine(person: Person, slug: str) -> Experiment:
    must_be_instructor(person)
    experiment = Experiment.objects.filter(owner=person, slug=slug).first()
    if experiment is None:
        raise Http404
    return experiment


class Vocabulary(APIView):
    """The words in which an experiment is written, as a form."""

    @extend_schema(operation_id="vocabulary", responses=shape(RecordOut)(many=True))
    def get(self, request: Request) -> Response:
        """The same for everybody who is signed in."""
        return answer(vocabulary())


class Scenes(APIView):
    """Drawings of how hands do something."""

    @extend_schema(operation_id="scenes", responses=shape(SceneCard)(many=True))
    def get(self, request: Request) -> Response:
        """All of them, by key and title, the same for everybody who is signed in."""
        return answer([SceneCard(scene.key, scene.title, len(scene.moves)) for scene in SCENES.values()])


class SceneNow(APIView):
    """One drawing."""

    @extend_schema(operation_id="scene", responses=shape(SceneDrawn))
    def get(self, request: Request, key: str) -> Response:
        """Its moves as shapes and words on a page; 404 for one that does not exist."""
        if key not in SCENES:
            raise Http404
        return answer(drawing(key))


class Experiments(APIView):
    """My own experiments."""

    largest_body = 900_000

    @extend_schema(operation_id="experiments", responses=shape(ExperimentCard)(many=True))
    def get(self, request: Request) -> Response:
        """403 for students and assistants."""
        must_be_instructor(person_of(request))
        return answer([_card(experiment) for experiment in Experiment.objects.filter(owner=person_of(request))])

    @extend_schema(operation_id="begin_experiment", request=BeginSerializer, responses={201: shape(ExperimentPage)})
    def post(self, request: Request) -> Response:
        """From nothing, from a method or from a file; 201."""
        must_be_instructor(person_of(request))
        response = answer(_page(actions.begin(person_of(request), **asked(BeginSerializer, request))))
        response.status_code = 201
        return response


class ExperimentDetail(APIView):
    """One of them, in the hands of its author."""

    largest_body = 900_000

    @extend_schema(operation_id="experiment", responses=shape(ExperimentPage))
    def get(self, request: Request, slug: str) -> Response:
        """With what is wrong with it, and its page as soon as it holds; 404 for those of others."""
        return answer(_page(_mine(person_of(request), slug)))

    @extend_schema(operation_id="save_experiment", request=SaveSerializer, responses=shape(ExperimentPage))
    def put(self, request: Request, slug: str) -> Response:
        """Kept as it is, however incomplete; a ready version is never changed but followed."""
        experiment, body = _mine(person_of(request), slug), asked(SaveSerializer, request)
        actions.save(experiment, body["declaration"], body["note"])
        return answer(_page(experiment))

    @extend_schema(operation_id="discard_draft", request=None, responses={200: shape(ExperimentCard)(many=True)})
    def delete(self, request: Request, slug: str) -> Response:
        """Throws the draft away; 409 where there is none. What is left is answered."""
        actions.discard(_mine(person_of(request), slug))
        return answer([_card(experiment) for experiment in Experiment.objects.filter(owner=person_of(request))])


class Withdrawn(APIView):
    """Takes it out of the method book, or puts it back."""

    @extend_schema(operation_id="withdraw_experiment", request=WithdrawnSerializer, responses=shape(ExperimentPage))
    def put(self, request: Request, slug: str) -> Response:
        """409 while a session is planned with it."""
        experiment = _mine(person_of(request), slug)
        actions.withdraw(experiment, asked(WithdrawnSerializer, request)["withdrawn"])
        return answer(_page(experiment))


class Try(APIView):
    """A trial run of the draft."""

    largest_body = 900_000
    throttle_classes = (Working,)

    @extend_schema(operation_id="try_experiment", request=TrialRunSerializer, responses=shape(TrialRun))
    def post(self, request: Request, slug: str) -> Response:
        """On simulated readings where a seed is given, else on those that were sent. Writes nothing."""
        experiment, body = _mine(person_of(request), slug), asked(TrialRunSerializer, request)
        rows = [Row(**row) for row in body.pop("readings")]
        return answer(actions.try_out(experiment, rows=rows, **body))


class Ready(APIView):
    """Lets sessions be planned with it."""

    @extend_schema(operation_id="ready_experiment", request=NoteSerializer, responses=shape(ExperimentPage))
    def post(self, request: Request, slug: str) -> Response:
        """422 lists what is wrong or missing; 409 if this very draft was not tried."""
        experiment = _mine(person_of(request), slug)
        actions.make_ready(experiment, asked(NoteSerializer, request)["note"])
        return answer(_page(experiment))


class MethodFile(APIView):
    """A method as a file: one that ships, or the ready version of one's own."""

    @extend_schema(operation_id="method_file", responses={(200, "application/json"): OpenApiTypes.OBJECT})
    def get(self, request: Request, slug: str) -> JsonResponse:
        """422 with near names for one that this person does not know."""
        return _file(slug, to_json(method_named(slug, owners_for(person_of(request)))))


class ExperimentFile(APIView):
    """Any version of an own experiment as a file, drafts as they are."""

    @extend_schema(
        operation_id="experiment_file",
        parameters=[OpenApiParameter("version", int)],
        responses={(200, "application/json"): OpenApiTypes.OBJECT},
    )
    def get(self, request: Request, slug: str) -> JsonResponse:
        """The newest where no version is named; 404 for one that is not there."""
        versions = _mine(person_of(request), slug).versions.select_related("declaration")
        wanted = request.query_params.get("version", "")
        version = versions.filter(number=int(wanted)).first() if wanted.isdecimal() else versions.first()
        if version is None:
            raise Http404
        return _file(f"{slug}-{version.number}", version.declaration.data)


def _file(name: str, data: dict[str, Any]) -> JsonResponse:
    response = JsonResponse(data, json_dumps_params={"ensure_ascii": False, "indent": 2})
    response.headers["Content-Disposition"] = f'attachment; filename="{name}.json"'
    return response


def _page(experiment: Experiment) -> ExperimentPage:
    version = actions.latest(experiment)
    looked = actions.looked_at(version.declaration_id)
    return ExperimentPage(
        card=_card(experiment),
        number=version.number,
        ready=version.ready_at is not None,
        note=version.note,
        declaration=version.declaration.data,
        problems=looked.problems,
        lacks=looked.lacks,
        wishes=looked.wishes,
        tried=version.tried == version.declaration_id,
        versions=[_version(version) for version in _versions(experiment)],
        page=actions.preview(looked.method) if looked.method else None,
    )


def _versions(experiment: Experiment) -> "QuerySet[Version]":
    """The newest first, each with the number of its sessions."""
    counted = experiment.versions.select_related("declaration").annotate(used=Count("declaration__sessions"))
    return counted.order_by("-number")


def _version(version: Version) -> VersionOut:
    used: int = getattr(version, "used", 0)
    return VersionOut(version.number, version.note, version.saved_at.isoformat(), version.ready_at is not None, used)


def _card(experiment: Experiment) -> ExperimentCard:
    versions = list(_versions(experiment))
    ready = next((version for version in versions if version.ready_at), None)
    data = versions[0].declaration.data
    state: State = "withdrawn" if experiment.withdrawn else "ready" if ready else "draft"
    return ExperimentCard(
        slug=experiment.slug,
        title=str(data.get("title", "")),
        family=str(data.get("family", "")),
        copied_from=experiment.copied_from,
        state=state,
        changed=ready is not None and ready.number < versions[0].number,
        version=(ready or versions[0]).number,
        sessions=sum(_version(version).sessions for version in versions),
    )
