"""What the server does, for whoever watches it: a line of log for each request, and numbers for Prometheus.

Counted over all workers by prometheus-client's files in the folder PROMETHEUS_MULTIPROC_DIR (config/gunicorn.py).
"""

import hmac
import json
import logging
import os
import re
import time
import uuid
from collections.abc import Callable

from django.conf import settings
from django.http import HttpRequest, HttpResponse
from prometheus_client import CONTENT_TYPE_LATEST, REGISTRY, CollectorRegistry, Counter, Histogram, generate_latest
from prometheus_client import multiprocess as several

log = logging.getLogger("chromata.requests")

_NAMED = ("address", "method", "status")
_REQUESTS = Counter("chromata_requests_total", "Requests answered.", _NAMED)
_SECONDS = Histogram(
    "chromata_request_seconds", "Time to an answer.", ("address", "method"),
    buckets=(0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10),
)  # fmt: skip
_ID = re.compile(r"[\w-]{8,64}")


class Watched:
    """Gives each request an id, tells it in the answer and the log, and counts it under its address as declared."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        given, begun = request.headers.get("X-Request-Id", ""), time.perf_counter()
        number = given if _ID.fullmatch(given) else uuid.uuid4().hex
        response = self.get_response(request)
        response.headers["X-Request-Id"] = number
        if request.path.startswith("/api/"):
            self._tell(request, response, number, time.perf_counter() - begun)
        return response

    def _tell(self, request: HttpRequest, response: HttpResponse, number: str, seconds: float) -> None:
        address = request.resolver_match.route if request.resolver_match else "none"
        method = request.method if request.method in ("GET", "POST", "PUT", "DELETE") else "other"
        _REQUESTS.labels(address, method, str(response.status_code)).inc()
        _SECONDS.labels(address, method).observe(seconds)
        # As declared, with numbers only: addresses of links hold secrets. Who it was, if that was asked anyway.
        ids = {key: value for key, value in getattr(request.resolver_match, "kwargs", {}).items() if type(value) is int}
        who = getattr(getattr(request, "_cached_user", None), "pk", None)
        line = {"id": number, "method": method, "address": address, **ids, "status": response.status_code}
        log.info(json.dumps({**line, "ms": round(seconds * 1000, 1), "person": who}))


def metrics(request: HttpRequest) -> HttpResponse:
    """The numbers in Prometheus' text form, for who brings the token; there are none where no token is set."""
    given = request.headers.get("Authorization", "").removeprefix("Bearer ")
    if not settings.METRICS_TOKEN or not hmac.compare_digest(given.encode(), settings.METRICS_TOKEN.encode()):
        return HttpResponse("There is nothing here without the token.\n", status=404, content_type="text/plain")
    registry = REGISTRY
    if "PROMETHEUS_MULTIPROC_DIR" in os.environ:
        registry = CollectorRegistry()
        several.MultiProcessCollector(registry)
    return HttpResponse(generate_latest(registry), content_type=CONTENT_TYPE_LATEST)
