"""Whether the server is alive, and whether it can work: for proxies and whoever watches."""

from django.core.cache import cache
from django.db import DatabaseError, connection
from django.db.migrations.executor import MigrationExecutor
from django.http import HttpRequest, JsonResponse
from django.views.decorators.cache import never_cache

WAITING = "migrations-wait"


@never_cache
def alive(request: HttpRequest) -> JsonResponse:
    """200 as long as this process answers; the database is not asked."""
    return JsonResponse({"alive": True})


@never_cache
def ready(request: HttpRequest) -> JsonResponse:
    """200 where the database answers and is as new as the code; 503 with the reason otherwise."""
    try:
        with connection.cursor() as cursor:
            cursor.execute("select 1")
        waiting = cache.get_or_set(WAITING, _migrations_wait, 10)  # seconds: reading all of them is work
    except DatabaseError:
        return _not_ready("The database does not answer.")
    return _not_ready("The database is older than the code: run migrate.") if waiting else JsonResponse({"ready": True})


def _migrations_wait() -> bool:
    executor = MigrationExecutor(connection)
    return bool(executor.migration_plan(executor.loader.graph.leaf_nodes()))


def _not_ready(reason: str) -> JsonResponse:
    return JsonResponse({"ready": False, "problems": [reason]}, status=503)
