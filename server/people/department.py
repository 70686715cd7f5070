"""Whose installation this is, and in which time zone its people live."""

import zoneinfo
from collections.abc import Callable

from django.conf import settings
from django.core.cache import cache
from django.http import HttpRequest, HttpResponse
from django.utils import timezone

from config.errors import Refused
from people.models import Department

_KEY, _SECONDS = "department", 5  # so long another worker may still tell the former name and zone


def department() -> tuple[str, str]:
    """Its name, empty before it was set up, and its time zone."""
    known: tuple[str, str] | None = cache.get(_KEY)
    if known is None:
        department = Department.objects.first()
        known = (department.name, department.time_zone) if department else ("", settings.TIME_ZONE)
        cache.set(_KEY, known, _SECONDS)
    return known


def set_department(name: str, time_zone: str) -> None:
    """Names it; Refused for a zone that does not exist."""
    if time_zone not in zoneinfo.available_timezones():
        raise Refused(f"“{time_zone}” is no time zone. Write it as continent and city: Europe/Helsinki.", 422)
    department = Department.objects.first() or Department()
    department.name, department.time_zone = name.strip(), time_zone
    department.save()
    cache.delete(_KEY)


class InItsTime:
    """Everything that is answered stands in the department's time."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        if not request.path.startswith("/api/"):
            return self.get_response(request)
        with timezone.override(department()[1]):
            return self.get_response(request)
