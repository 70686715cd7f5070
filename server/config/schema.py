"""The API's description: every address may refuse, and always in the same shape."""

from inspect import getdoc
from typing import Any

from drf_spectacular.authentication import SessionScheme
from drf_spectacular.extensions import OpenApiAuthenticationExtension
from drf_spectacular.openapi import AutoSchema

from config.refusals import REFUSALS


class WithRefusals(AutoSchema):
    """Adds the refusals to every operation, and says of it what its view says, then what it says itself."""

    def get_description(self, path: str = "", method: str = "") -> str:
        """The docstrings of the view and of its method."""
        action = getattr(self.view, self.method.lower(), None)
        return " ".join(filter(None, (getdoc(type(self.view)), getdoc(action))))

    def _get_response_bodies(self, direction: Any = "response") -> dict[str, Any]:
        bodies: dict[str, Any] = super()._get_response_bodies(direction)
        refusals = {str(status): {"$ref": f"#/components/responses/Refused{status}"} for status in REFUSALS}
        return {**refusals, **bodies}


class ByTokenDescribed(OpenApiAuthenticationExtension):  # found by drf-spectacular
    """How the description tells of personal tokens."""

    target_class = "people.by_token.ByToken"
    name = "token"

    def get_security_definition(self, auto_schema: AutoSchema) -> dict[str, str]:
        """In HTTP's own words."""
        return {"type": "http", "scheme": "bearer"}


class OftenHereDescribed(SessionScheme):  # found by drf-spectacular
    """By the cookie, as everywhere."""

    target_class = "people.remembered.OftenHere"
    name = "cookieOftenHere"
