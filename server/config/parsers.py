"""What comes in: judged by its length before it is read, and refused with a sentence however strange it is."""

from collections.abc import Mapping
from io import BytesIO
from typing import IO, Any

from django.core.exceptions import RequestDataTooBig
from rest_framework.exceptions import ParseError
from rest_framework.parsers import BaseParser, JSONParser


class Json(JSONParser):
    """A body of at most ``LARGEST`` bytes, or of ``largest_body`` where the view has one: no honest one is longer.

    DRF reads the stream past Django's own limit, and lets two oddities through as errors of ours: bytes that are no
    text, and bottomless nesting.
    """

    LARGEST = 200_000

    def parse(
        self, stream: IO[Any], media_type: str | None = None, parser_context: Mapping[str, Any] | None = None
    ) -> Any:
        """The parsed body; ParseError or RequestDataTooBig with a sentence."""
        body = _whole(stream, parser_context, self.LARGEST)
        try:
            return super().parse(BytesIO(body), media_type, parser_context)
        except (RecursionError, UnicodeDecodeError) as error:
            raise ParseError("This is not JSON that can be read. Send UTF-8 text without needless nesting.") from error


class Raw(BaseParser):
    """Bytes as they are, at most ``largest_body`` of the view."""

    media_type = "application/octet-stream"

    def parse(
        self, stream: IO[Any], media_type: str | None = None, parser_context: Mapping[str, Any] | None = None
    ) -> Any:
        """The body; RequestDataTooBig for a longer one."""
        return _whole(stream, parser_context, Json.LARGEST)


def _whole(stream: IO[Any], context: Mapping[str, Any] | None, most: int) -> bytes:
    most = getattr((context or {}).get("view"), "largest_body", most)
    body: bytes = stream.read(most + 1)
    if len(body) > most:
        raise RequestDataTooBig
    return body
