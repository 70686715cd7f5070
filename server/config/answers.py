"""What comes in, checked; and core dataclasses as answers, their schema read off, so that no shape stands twice."""

from dataclasses import fields
from functools import lru_cache
from typing import Any

from rest_framework.request import Request
from rest_framework.response import Response
from rest_framework.serializers import Serializer
from rest_framework_dataclasses.serializers import DataclassSerializer


class AnswerSerializer(DataclassSerializer[Any]):
    """Describes a dataclass that is only ever sent: every field is there, defaults or not."""

    @property
    def serializer_dataclass_field(self) -> type[DataclassSerializer[Any]]:
        """Nested dataclasses are answers too."""
        return AnswerSerializer

    def get_extra_kwargs(self) -> dict[str, Any]:
        """Every field is required in the answer."""
        return {field.name: {"required": True} for field in fields(self.dataclass_definition.dataclass_type)}


@lru_cache(maxsize=256)
def shape(dataclass: type[Any]) -> type[AnswerSerializer]:
    """The serializer class that describes ``dataclass`` in the OpenAPI document."""
    meta = type("Meta", (), {"dataclass": dataclass})
    return type(dataclass.__name__, (AnswerSerializer,), {"Meta": meta, "__doc__": dataclass.__doc__})


def asked(serializer: type[Serializer[Any]], request: Request) -> dict[str, Any]:
    """The body of ``request``, of a GET what stands in its address, as ``serializer`` describes it; ValidationError,
    answered with sentences, if it is not like that.
    """
    body = request.query_params if request.method == "GET" else request.data
    return dict(_form(serializer).run_validation(body))


@lru_cache(maxsize=256)
def _form(serializer: type[Serializer[Any]]) -> Serializer[Any]:
    """One of each is enough: it keeps nothing of what it reads, and its fields are copied only once."""
    return serializer()


def answer(value: Any) -> Response:
    """A dataclass, or a list of them: the renderer takes them as they are."""
    return Response(value)
