"""Every refusal is one JSON shape: ``{"problems": ["a sentence", …]}``. No request is answered with a traceback."""

from typing import Any

from django.core.exceptions import PermissionDenied, RequestDataTooBig
from django.http import Http404, HttpRequest, JsonResponse
from rest_framework import exceptions
from rest_framework.response import Response
from rest_framework.views import set_rollback

from chromata_core.errors import ChromataError, SheetError


class Refused(exceptions.APIException):
    """A request that fits the form but not the facts. ``sentence`` says what is wrong and what to do."""

    status_code = 409

    def __init__(self, sentence: str, status: int = 409) -> None:
        super().__init__(sentence)
        self.status_code = status


def sentence(error: Exception, context: dict[str, Any]) -> Response | None:
    """The exception handler of the API."""
    set_rollback()
    match error:
        case SheetError():
            return Response({"problems": error.problems}, status=422)
        case ChromataError():
            return Response({"problems": [error.message]}, status=422)
        case Http404():
            return Response({"problems": ["There is nothing here under that address."]}, status=404)
        case RequestDataTooBig():
            return Response({"problems": ["This is too much for one request. Send it in smaller parts."]}, status=413)
        case PermissionDenied() | exceptions.PermissionDenied():
            return Response({"problems": [_denied(error)]}, status=403)
        case exceptions.NotAuthenticated() | exceptions.AuthenticationFailed():
            return Response({"problems": ["Sign in first."]}, status=403)
        case exceptions.ValidationError():
            return Response({"problems": _flat(error.detail)}, status=400)
        case exceptions.APIException():
            return Response({"problems": _flat(error.detail)}, status=error.status_code)
    return None


def _denied(error: Exception) -> str:
    text = str(error)
    return text if text.endswith(".") and "credentials" not in text and "permission" not in text else (
        "This belongs to somebody else. Ask your instructor if you need it."
    )  # fmt: skip


def _flat(detail: Any, field: str = "") -> list[str]:
    if isinstance(detail, dict):
        return [line for key, value in detail.items() for line in _flat(value, "" if key == "detail" else str(key))]
    if isinstance(detail, list):
        return [line for value in detail for line in _flat(value, field)]
    return [f"{field}: {detail}" if field and field != "non_field_errors" else str(detail)]


def not_found(request: HttpRequest, *args: object) -> JsonResponse:
    """An address under /api/ that does not exist."""
    return JsonResponse({"problems": ["There is nothing here under that address."]}, status=404)


def locked_out(request: HttpRequest, *args: object, **kwargs: object) -> JsonResponse:
    """Somebody guessed too often at this account."""
    wait = "Too many tries: wait six minutes, or ask your instructor for a new PIN."
    return JsonResponse({"problems": [wait]}, status=429)


def failed(request: HttpRequest) -> JsonResponse:
    """The last net: the log has the traceback, the person a sentence."""
    return JsonResponse({"problems": ["Something broke on our side. What you wrote is kept; try again."]}, status=500)
