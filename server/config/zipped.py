"""An archive that is written while it is sent, so that nothing of it waits in memory."""

import zipfile
from collections.abc import Iterable, Iterator


class _Sent:
    """What was written and is not sent yet; it cannot be gone back in."""

    def __init__(self) -> None:
        self.waiting = bytearray()

    def write(self, data: bytes, /) -> int:
        self.waiting += data
        return len(data)

    def flush(self) -> None:
        """Nothing is held back."""

    def close(self) -> None:
        """What is written last is still to be sent."""

    def taken(self) -> bytes:
        """What is to be sent by now."""
        data = bytes(self.waiting)
        self.waiting.clear()
        return data


def zipped(parts: Iterable[tuple[str, str | bytes]]) -> Iterator[bytes]:
    """The bytes of an archive of ``parts``, each a name and what stands under it, as far as they are there."""
    sent = _Sent()
    with zipfile.ZipFile(sent, "w", zipfile.ZIP_DEFLATED) as file:
        for name, body in parts:
            file.writestr(name, body)
            yield sent.taken()
    yield sent.taken()
