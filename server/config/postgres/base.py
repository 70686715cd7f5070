"""A database that answers nothing, though its connection stands, is given up after ``DATABASE_PATIENCE`` seconds.

PostgreSQL's own timeouts need a server that runs; a frozen one keeps its sockets open for ever. One that has ended has
hung up, which is seen before each request without asking it anything.
"""

import select
from typing import Any

import psycopg
from django.conf import settings
from django.db.backends.postgresql import base


class DatabaseWrapper(base.DatabaseWrapper):
    """Django's own, with an end to waiting."""

    def get_new_connection(self, conn_params: dict[str, Any]) -> Any:
        connection = super().get_new_connection(conn_params)
        if settings.DATABASE_PATIENCE:
            _hurry(connection, settings.DATABASE_PATIENCE)
        return connection

    def is_usable(self) -> bool:
        """As Django asks at the beginning of a request, and after an error."""
        there = self.connection is not None and not _hung_up(self.connection)
        return there and (not self.errors_occurred or super().is_usable())


def _hung_up(connection: Any) -> bool:
    """Whether its other end has said something unasked, which a server that ends does last."""
    if connection.closed:
        return True
    waiting = select.poll()
    waiting.register(connection.fileno(), select.POLLIN)
    return bool(waiting.poll(0))


def _hurry(connection: Any, seconds: float) -> None:
    wait = connection.wait

    def hurried(generator: Any, *args: Any, **kwargs: Any) -> Any:
        try:
            return wait(generator, *args, **{"timeout": seconds, **kwargs})
        except psycopg.OperationalError:
            if connection.pgconn.transaction_status == psycopg.pq.TransactionStatus.ACTIVE:
                connection.close()  # its answer may still come, and would be taken for another's
            raise

    connection.wait = hurried
