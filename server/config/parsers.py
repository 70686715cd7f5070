"""JSON as it comes in: what cannot be read is refused with a sentence, however strange it is."""

from collections.abc import Mapping
from typing import IO, Any

from rest_framework.exceptions import ParseError
from rest_framework.parsers import JSONParser


class Json(JSONParser):
    """DRF's parser lets two oddities through as errors of ours: bytes that are no text, and bottomless nesting."""

    def parse(
        self, stream: IO[Any], media_type: str | None = None, parser_context: Mapping[str, Any] | None = None
    ) -> Any:
        """The parsed body; ParseError with a sentence."""
        try:
            return super().parse(stream, media_type, parser_context)
        except (RecursionError, UnicodeDecodeError) as error:
            raise ParseError("This is not JSON that can be read. Send UTF-8 text without needless nesting.") from error
