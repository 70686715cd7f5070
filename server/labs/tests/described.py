"""A client that takes no answer for granted: the API's description must name it, and it must be shaped as that says."""

from functools import cache
from typing import Any

import requests
import schemathesis
from django.conf import settings
from django.test import Client
from rest_framework.schemas.generators import EndpointEnumerator
from schemathesis.core.transport import Response

_ADDRESSES = EndpointEnumerator(patterns=[])


class Described(Client):
    """Fails where an answer of the API is another one than is promised to whoever writes against it."""

    def request(self, **request: Any) -> Any:
        """The answer, looked at."""
        answer = super().request(**request)
        match = answer.resolver_match
        if match and match.route.startswith("api/") and request["REQUEST_METHOD"] in ("GET", "POST", "PUT", "DELETE"):
            _must_be_described(_ADDRESSES.get_path_from_regex(match.route), request["REQUEST_METHOD"], answer)
        return answer


@cache
def _description() -> Any:
    return schemathesis.openapi.from_path(settings.ROOT / "docs/openapi.yaml")


def _must_be_described(path: str, method: str, answer: Any) -> None:
    try:
        operation = _description()[path][method]
    except LookupError:
        assert answer.status_code in (403, 404, 405), f"{method} {path}: {answer.status_code}, and it is not described"
        return
    named = operation.responses.find_by_status_code(answer.status_code)
    assert named is not None, f"{method} {path} is not said to be answered with {answer.status_code}"
    headers = {name.lower(): [value] for name, value in answer.items()}
    asked = requests.Request(method, f"http://testserver{path}").prepare()
    content = b"" if answer.streaming else answer.content
    if content:
        operation.validate_response(Response(answer.status_code, headers, content, asked, 0.0, False))
