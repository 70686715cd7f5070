"""The end of a record, sealed with a secret of the server. Of ``settings.SEAL_KEYS`` the first seals, any verifies."""

import json
from typing import Any

from django.conf import settings
from django.utils.crypto import constant_time_compare, salted_hmac

from labs.models import Bench


def seal_end(bench: Bench) -> None:
    """Seals a record's end as ``bench`` states it by ``length`` and ``head``."""
    bench.seal = sealed(end_of(bench))


def end_of(bench: Bench) -> list[Any]:
    """What the seal of the end covers: whose it is, how many entries there are, and the last of their seals."""
    return [bench.pk, bench.length, bench.head]


def sealed(content: list[Any], key: str = "") -> str:
    """The seal of ``content``."""
    return salted_hmac(
        "chromata.record",
        json.dumps(content, ensure_ascii=False),
        secret=key or settings.SEAL_KEYS[0],
        algorithm="sha256",
    ).hexdigest()


def holds(seal: str, content: list[Any]) -> bool:
    """Whether ``seal`` was made of ``content`` with a secret of this server."""
    return any(constant_time_compare(seal, sealed(content, key)) for key in settings.SEAL_KEYS)
