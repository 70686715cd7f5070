"""The API's description: every address may refuse, and always in the same shape."""

from typing import Any

from drf_spectacular.openapi import AutoSchema

from config.refusals import REFUSALS


class WithRefusals(AutoSchema):
    """Adds the refusals to every operation."""

    def _get_response_bodies(self, direction: Any = "response") -> dict[str, Any]:
        bodies: dict[str, Any] = super()._get_response_bodies(direction)
        refusals = {str(status): {"$ref": f"#/components/responses/Refused{status}"} for status in REFUSALS}
        return {**refusals, **bodies}
