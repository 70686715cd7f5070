"""A gunicorn worker in which waitress reads the requests.

Waitress takes a request whole, head and body, before one of the threads sees it: thousands of connections that send
slowly, or never finish, cost a few kilobytes each and hold up nobody. Gunicorn keeps the processes and replaces
those that died.

A browser stays on its connection, and so with the process that took it. When a class signs in, one process takes most
of them, and works alone for the rest of the session. So a connection is closed now and then: the next one goes to
whoever has time to take it.
"""

import os
from typing import Any

from django.conf import settings
from gunicorn.workers.base import Worker
from waitress import create_server, wasyncore
from waitress.channel import HTTPChannel

_CONNECTIONS = 2000  # in each worker
_SILENCE = 10  # seconds after which a connection that sends nothing is closed; each open one costs at every event
_ANSWERS = 20  # on one connection
_LARGEST = 4_000_000  # bytes of a body; the application refuses more than it can use long before


class Passing(HTTPChannel):
    """A connection that ends after some answers."""

    answered = 0

    def service(self) -> None:
        """The next request; the last one is answered as if its sender had asked to close."""
        self.answered += 1
        if self.answered >= _ANSWERS:
            self.requests[0].headers["CONNECTION"] = "close"
        super().service()


class BufferedWorker(Worker):
    """Serves on the sockets that gunicorn's master opened."""

    def run(self) -> None:
        """Until the master is gone or says stop."""
        proxy: dict[str, Any] = {}
        if settings.PROXY:
            proxy = {"trusted_proxy": settings.PROXY, "trusted_proxy_headers": {"x-forwarded-for", "x-forwarded-proto"}}
        server = create_server(
            self.wsgi,
            sockets=[listener.sock for listener in self.sockets],
            threads=self.cfg.threads,
            connection_limit=_CONNECTIONS,
            channel_timeout=_SILENCE,
            cleanup_interval=5,
            inbuf_overflow=65_536,
            max_request_header_size=32_768,
            max_request_body_size=_LARGEST,
            clear_untrusted_proxy_headers=True,
            ident=None,
            **proxy,
        )
        for listener in server._map.values():
            listener.channel_class = Passing
        while self.alive and os.getppid() == self.ppid:
            self.notify()
            wasyncore.loop(timeout=1, use_poll=True, map=server._map, count=1)
        server.task_dispatcher.shutdown()
