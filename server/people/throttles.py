"""Guessing at codes, PINs and passwords is held back by address. Only failures count, so a class may arrive at once.

The limits leave room for forty-eight people who mistype; somebody who goes on guessing is slowed down further. Nobody
waits longer than a minute (OWASP on guessing, from memory: slow down rather than lock out, say when to go on).
"""

import time
from collections.abc import Iterable

from axes.models import AccessAttempt
from django.conf import settings
from django.core.cache import caches
from django.utils import timezone
from rest_framework.exceptions import Throttled
from rest_framework.request import Request
from rest_framework.throttling import BaseThrottle

_MINUTE, _HOUR = 60.0, 3600.0
_IN_A_MINUTE, _AFTER_MANY, _MANY = 60, 10, 300  # failures: in a minute; in a minute after so many in an hour


def may_guess(request: Request) -> None:
    """Throttled, with the time to wait, after too many failures from this address."""
    failed, now = _failures(request), time.time()
    most = _AFTER_MANY if len(failed) >= _MANY else _IN_A_MINUTE
    lately = [at for at in failed if at > now - _MINUTE]
    if len(lately) >= most:
        raise Throttled(lately[-most] + _MINUTE - now)


def guessed_wrong(request: Request) -> None:
    """Counts a wrong code, PIN or password."""
    caches["shared"].set(_key(request), [*_failures(request), time.time()], _HOUR)


def kept_out(usernames: Iterable[str]) -> set[str]:
    """Those of them who have to wait after too many wrong PINs, at one address at least."""
    since = timezone.now() - settings.AXES_COOLOFF_TIME
    failed = AccessAttempt.objects.filter(username__in=list(usernames), attempt_time__gte=since)
    return set(failed.filter(failures_since_start__gte=settings.AXES_FAILURE_LIMIT).values_list("username", flat=True))


def _failures(request: Request) -> list[float]:
    since = time.time() - _HOUR
    return [at for at in caches["shared"].get(_key(request), []) if at > since]


def _key(request: Request) -> str:
    return f"failures-{BaseThrottle().get_ident(request)}"
