"""Who asks, remembered for a moment: at a bench and on the floor the same person asks again every few seconds, and to
find out who it is took an eighth of the work of a room.

A process forgets everybody when it signs somebody out or changes one of them; another one may still know somebody as
they were so long.
"""

from threading import Lock
from typing import Any

from cachetools import TTLCache
from django.conf import settings
from django.contrib.auth.signals import user_logged_out
from django.db.models.signals import post_save
from django.dispatch import receiver
from rest_framework.authentication import SessionAuthentication
from rest_framework.request import Request

from people.by_token import ByToken
from people.models import Person

_SECONDS, _MOST = 5, 2000

_known: TTLCache[str, Person] = TTLCache(_MOST, _SECONDS)  # by the key of their session in the browser
_lock = Lock()


class OftenHere(SessionAuthentication):
    """By the session in the browser, as everywhere, without asking for it again each time."""

    def authenticate(self, request: Request) -> tuple[Person, None] | None:
        """As the framework's own; only who is signed in is remembered."""
        asked: Any = request._request
        key = request.COOKIES.get(settings.SESSION_COOKIE_NAME, "")
        with _lock:
            if (known := _known.get(key)) is not None:
                asked._cached_user = known  # where Django keeps it
        asker: tuple[Person, None] | None = super().authenticate(request)
        if asker is not None and known is None:
            with _lock:
                _known[key] = getattr(asker[0], "_wrapped", asker[0])
        return asker


OFTEN = (ByToken, OftenHere)


@receiver([user_logged_out, post_save])
def _forget(sender: object, **_: object) -> None:
    if isinstance(sender, type) and issubclass(sender, Person):
        with _lock:
            _known.clear()
