"""Addresses: the API under /api/, everything else is the single-page application."""

from django.conf import settings
from django.http import FileResponse, HttpRequest, HttpResponse, HttpResponseBase
from django.template.response import TemplateResponse
from django.urls import include, path, re_path
from django.views.decorators.cache import never_cache
from django.views.decorators.csrf import ensure_csrf_cookie

from config.errors import not_found
from config.health import alive, ready
from config.watching import metrics

handler500 = "config.errors.failed"


@never_cache
@ensure_csrf_cookie
def application(request: HttpRequest) -> HttpResponse:
    """The page that holds the application; it finds its own view from the address."""
    return TemplateResponse(request, "index.html", {"demo": settings.DEMO})


@never_cache
def service_worker(request: HttpRequest) -> HttpResponseBase:
    """What keeps the page on a device; it is served here because it may only keep what lies below it."""
    return FileResponse((settings.ROOT / "web/dist/sw.js").open("rb"), content_type="text/javascript")


urlpatterns = [
    path("health", alive),
    path("ready", ready),
    path("metrics", metrics),
    path("sw.js", service_worker),
    path("api/", include("people.urls")),
    path("api/", include("experiments.urls")),
    path("api/", include("labs.urls")),
    path("api/", include("prelab.urls")),
    path("api/", include("notebook.urls")),
    path("api/", include("rehearsals.urls")),
    path("api/", include("stock.urls")),
    path("api/", include("marking.urls")),
    path("api/", include("results.urls")),
    path("api/", include("reports.urls")),
    path("api/", include("preparation.urls")),
    path("api/", include("archives.urls")),
    path("api/", include("practice.urls")),
    path("api/", include("devices.urls")),
    re_path(r"^api/.*", not_found),
    re_path(r"^(?!static/).*", application),
]
