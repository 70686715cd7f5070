"""Personal tokens: made, told once, listed."""

import secrets

from config.errors import Refused
from people.by_token import digest_of
from people.models import Person, Token
from people.shapes import TokenMade, TokenOut

_MOST = 10
_MARK = "ct_"  # so that one is known for what it is where it was left lying


def tokens_of(person: Person) -> list[TokenOut]:
    """Those of ``person``, the newest first; what they are is never told again."""
    tokens = person.tokens.order_by("-made_at", "-pk")
    return [TokenOut(t.pk, t.name, t.made_at.isoformat(), t.used_at.isoformat() if t.used_at else None) for t in tokens]


def make_token(person: Person, name: str) -> TokenMade:
    """A new one for ``person``; only its hash is kept. Refused where there are many already."""
    if person.tokens.count() >= _MOST:
        raise Refused(f"You have {_MOST} tokens. End one that is not used any more.")
    secret = _MARK + secrets.token_urlsafe(32)
    Token.objects.create(person=person, name=name.strip(), digest=digest_of(secret))
    return TokenMade(secret, tokens_of(person))
