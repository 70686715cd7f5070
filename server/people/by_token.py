"""Who asks, by a personal token: another program reads with it what its owner may read, and changes nothing."""

from datetime import timedelta
from hashlib import sha256

from django.core.exceptions import PermissionDenied
from django.utils import timezone
from rest_framework.authentication import BaseAuthentication
from rest_framework.request import Request

from people.models import Person, Token

_USED = timedelta(hours=1)  # how finely it is noted when one was used
_READING = ("GET", "HEAD", "OPTIONS")


def digest_of(secret: str) -> str:
    """As what a token is kept."""
    return sha256(secret.encode()).hexdigest()


class ByToken(BaseAuthentication):
    """By “Authorization: Bearer …”; without it others may tell."""

    def authenticate(self, request: Request) -> tuple[Person, Token] | None:
        """PermissionDenied for one that does not hold, and for anything but reading."""
        kind, _, secret = request.headers.get("Authorization", "").partition(" ")
        if kind.lower() != "bearer":
            return None
        token = _token(secret)
        if token is None:
            raise PermissionDenied("This token does not hold any more. Make a new one on the department's page.")
        if request.method not in _READING:
            raise PermissionDenied("A token only reads. Sign in to change something.")
        _used(token)
        return token.person, token


def holder_of(secret: str) -> Person | None:
    """Whose token it is that stands in an address, for programs that can say nothing else; None if it does not hold."""
    token = _token(secret)
    if token is None:
        return None
    _used(token)
    return token.person


def _token(secret: str) -> Token | None:
    token = Token.objects.select_related("person__section").filter(digest=digest_of(secret.strip())).first()
    return token if token and token.person.is_active and token.person.teaches else None


def _used(token: Token) -> None:
    now = timezone.now()
    if token.used_at is None or now - token.used_at > _USED:
        Token.objects.filter(pk=token.pk).update(used_at=now)
