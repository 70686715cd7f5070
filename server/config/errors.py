"""Every refusal is one JSON shape: ``{"problems": ["a sentence", …]}``. No request is answered with a traceback."""

import logging
import sys
from typing import Any

from django.core.exceptions import PermissionDenied, RequestDataTooBig
from django.db import InterfaceError, OperationalError
from django.http import Http404, HttpRequest, JsonResponse
from rest_framework import exceptions
from rest_framework.response import Response
from rest_framework.views import set_rollback

from chromata_core.errors import ChromataError, SheetError

log = logging.getLogger("chromata")

_AWAY = (OperationalError, InterfaceError)
_AGAIN = {"Retry-After": "5"}  # seconds


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
        case exceptions.Throttled():
            seconds = max(1, round(getattr(error, "wait", None) or 1))
            problem = f"That was more than one person can need. Wait {seconds} s, then go on."
            return Response({"problems": [problem]}, status=429, headers={"Retry-After": str(seconds)})
        case OperationalError() | InterfaceError():
            return Response({"problems": [_away(error, context["request"])]}, status=503, headers=_AGAIN)
        case exceptions.ValidationError():
            return Response({"problems": _flat(error.detail)}, status=400)
        case exceptions.APIException():
            headers = _AGAIN if error.status_code == 503 else None
            return Response({"problems": _flat(error.detail)}, status=error.status_code, headers=headers)
    return None


def _away(error: BaseException, request: Any) -> str:
    """Says in one line of the log what the matter is with the database; the sentence for the person."""
    log.error("database: %s (%s %s)", " ".join(str(error).split())[:200], request.method, request.path)
    return "The database does not answer. Nothing was changed by this; try again in a few seconds."


_FORGED = "This page is too old to be believed. Load it again and repeat what you did."


def forged(request: HttpRequest, reason: str = "") -> JsonResponse:
    """A form that does not come from a page of ours, or from one opened before signing in."""
    return JsonResponse({"problems": [_FORGED]}, status=403)


def _denied(error: Exception) -> str:
    text = str(error)
    if text.startswith("CSRF"):
        return _FORGED
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
    """Somebody guessed too often at this account from this address."""
    wait = "Too many tries with this name: wait a minute, or ask your instructor to let you in."
    return JsonResponse({"problems": [wait]}, status=429, headers={"Retry-After": "60"})


def failed(request: HttpRequest) -> JsonResponse:
    """The last net: the log has the traceback, the person a sentence."""
    error = sys.exc_info()[1]
    if isinstance(error, _AWAY):  # met outside the API's own handler, by a middleware
        return JsonResponse({"problems": [_away(error, request)]}, status=503, headers=_AGAIN)
    return JsonResponse({"problems": ["Something broke on our side, and was not done. Try again."]}, status=500)
