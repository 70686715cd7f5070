"""Methods, sheets and texts that a command names."""

import json
import sys
from pathlib import Path

from chromata_core.authoring.as_json import from_json
from chromata_core.declaration.vocabulary import Method
from chromata_core.errors import SheetError
from chromata_core.loading.load import load
from chromata_core.methods.registry import method
from chromata_core.sheet.sheet_file import SheetFile, read_sheet

Said = tuple[str, object]  # text for people, data for --json


def method_of(name: str) -> Method:
    """A method that ships, by its slug, or one's own, by its file."""
    if not name.endswith(".json"):
        return method(name)
    try:
        data = json.loads(text_of(name))
    except (ValueError, RecursionError) as error:
        raise SheetError([f"{name} is not JSON: {error}."]) from error
    return load(from_json(data))


def sheet_of(name: str, chosen: Method) -> SheetFile:
    """The sheet in a file; SheetError if it names another method."""
    file = read_sheet(text_of(name))
    if file.method and file.method != chosen.slug:
        raise SheetError([f"{name} is for “{file.method}”, not for “{chosen.slug}”."])
    return file


def text_of(name: str) -> str:
    """What stands in a file, or on standard input for “-”; SheetError says why it cannot be read."""
    try:
        return sys.stdin.read() if name == "-" else Path(name).read_text(encoding="utf-8-sig")
    except (OSError, UnicodeDecodeError, ValueError) as error:
        reason = error.strerror if isinstance(error, OSError) else "it is not text"
        raise SheetError([f"{name} cannot be read: {reason}."]) from error


def pairs_of(texts: list[str], flag: str) -> dict[str, str]:
    """``KEY=TEXT`` of a flag that may be repeated."""
    pairs = [text.partition("=") for text in texts]
    wrong = next((key for key, equals, _ in pairs if not equals), None)
    if wrong is not None:
        raise SheetError([f"--{flag} {wrong} needs a value: --{flag} KEY=TEXT."])
    return {key.strip(): text.strip() for key, _, text in pairs}
