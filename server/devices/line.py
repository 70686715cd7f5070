"""The line protocol (docs/devices.md): one JSON object a line, over TCP. Whatever a device does, it costs two seconds
and ends in a sentence.
"""

import json
import socket
from dataclasses import dataclass
from threading import BoundedSemaphore
from time import monotonic
from typing import Any

from django.conf import settings
from django.core.exceptions import ImproperlyConfigured

from config.errors import Refused
from config.in_turn import aside

_PATIENCE, _LONGEST = 2.0, 500  # seconds for an answer, bytes of a line
_TYPE = "Type the reading, or try again."
_LINES = BoundedSemaphore(4)  # threads of one process that may wait for devices at once


@dataclass(frozen=True, slots=True)
class Shown:
    """What a device shows; ``stable``: it stands."""

    value: str
    unit: str
    stable: bool
    simulated: bool


def devices() -> dict[str, tuple[str, int]]:
    """Where the devices are, by the kind of instrument: as the installation is set up, never as a request says."""
    known = {}
    for line in settings.DEVICES:
        kind, _, place = line.partition("=")
        host, _, port = place.strip().rpartition(":")
        if not host or not port.isdecimal():
            raise ImproperlyConfigured(f"CHROMATA_DEVICES: “{line}” is not written as “balance=127.0.0.1:7700”.")
        known[kind.strip()] = (host, int(port))
    return known


def shown_by(kind: str) -> Shown:
    """What the device of this kind shows now; Refused with a sentence for one that is gone, slow or talks nonsense."""
    place = devices().get(kind)
    if place is None:
        raise Refused(f"No {kind} is connected here. Type the reading.", 409)
    with aside():  # a device that is silent keeps nobody else waiting
        return _understood(kind, _said(kind, place))


def _said(kind: str, place: tuple[str, int]) -> Any:
    if not _LINES.acquire(timeout=_PATIENCE):
        raise Refused(f"Many are asking the devices just now. {_TYPE}", 503)
    try:
        return json.loads(_asked(place))
    except TimeoutError:
        raise Refused(f"The {kind} does not answer. {_TYPE}", 409) from None
    except OSError:
        raise Refused(f"The {kind} is not reached. Is it switched on? {_TYPE}", 409) from None
    except (ValueError, RecursionError):
        raise Refused(f"The {kind} says something that is no reading. {_TYPE}", 409) from None
    finally:
        _LINES.release()


def _understood(kind: str, answer: Any) -> Shown:
    right = isinstance(answer, dict) and isinstance(answer.get("value"), str) and isinstance(answer.get("unit"), str)
    if not right or len(answer["value"]) > 40 or len(answer["unit"]) > 20:
        raise Refused(f"The {kind} says something that is no reading. {_TYPE}", 409)
    return Shown(answer["value"], answer["unit"], answer.get("stable") is True, answer.get("simulated") is True)


def _asked(place: tuple[str, int]) -> bytes:
    """One line for one line; TimeoutError, OSError, or ValueError for a line that does not end."""
    until = monotonic() + _PATIENCE
    with socket.create_connection(place, timeout=_PATIENCE) as line:
        line.sendall(b'{"ask": "reading"}\n')
        got = b""
        while b"\n" not in got:
            line.settimeout(max(until - monotonic(), 0.01))
            piece = line.recv(_LONGEST)
            got += piece
            if monotonic() > until:
                raise TimeoutError
            if not piece:
                raise OSError("it hung up")
            if len(got) > _LONGEST:
                raise ValueError("a line that does not end")
    return got.partition(b"\n")[0]
