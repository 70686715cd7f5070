"""Answers written as JSON by orjson, which takes the core's dataclasses as they are."""

from collections.abc import Mapping
from typing import Any

import orjson
from rest_framework.renderers import JSONRenderer
from rest_framework.utils.encoders import JSONEncoder


class Json(JSONRenderer):
    """As the framework's own, without its indentation by request; what is no JSON by itself is told by its encoder."""

    def render(
        self, data: Any, accepted_media_type: str | None = None, renderer_context: Mapping[str, Any] | None = None
    ) -> bytes:
        """``data`` in bytes; nothing at all for None."""
        return b"" if data is None else orjson.dumps(data, default=JSONEncoder().default)
