"""Answers written as JSON by orjson, which takes the core's dataclasses as they are."""

import json
from collections.abc import Mapping
from dataclasses import fields, is_dataclass
from typing import Any

import orjson
from rest_framework.renderers import JSONRenderer
from rest_framework.utils.encoders import JSONEncoder


class Json(JSONRenderer):
    """As the framework's own, without its indentation by request; what is no JSON by itself is told by its encoder."""

    def render(
        self, data: Any, accepted_media_type: str | None = None, renderer_context: Mapping[str, Any] | None = None
    ) -> bytes:
        """``data`` in bytes; nothing at all for None. A draft may hold numbers beyond 64 bits, which orjson refuses."""
        if data is None:
            return b""
        try:
            return orjson.dumps(data, default=JSONEncoder().default)
        except orjson.JSONEncodeError:
            return json.dumps(data, default=_plain, allow_nan=False).encode()


def _plain(value: Any) -> Any:
    if is_dataclass(value):
        return {field.name: getattr(value, field.name) for field in fields(value)}
    return JSONEncoder().default(value)
