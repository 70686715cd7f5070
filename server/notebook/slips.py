"""Slips: what a device showed for a bench, signed, so that the record can say where a reading comes from."""

from django.core import signing

from labs.models import Bench

_SALT = "device"
_GOOD_FOR = 3600  # seconds until what was shown is no news


def slip_for(bench: Bench, key: str, text: str, device: str) -> str:
    """A slip on which ``device`` showed ``text`` for the reading ``key``; the client sends it with the reading."""
    return signing.dumps([bench.pk, key, text, device], salt=_SALT)


def device_on(slip: str, bench: Bench, key: str, text: str) -> str:
    """The device a reading was taken from. Empty for a slip that is old, of another number, or none of ours."""
    try:
        *shown, device = signing.loads(slip, salt=_SALT, max_age=_GOOD_FOR) if slip else ("",)
    except signing.BadSignature:
        return ""
    return str(device) if shown == [bench.pk, key, text] else ""
