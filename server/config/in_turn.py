"""How many requests a process works on at once: threads that share an interpreter wait for each other at every step, so
more than two only make all of them later. Who waits for something else meanwhile, such as the printer or a device,
steps aside.
"""

from collections.abc import Callable, Iterator
from contextlib import contextmanager
from threading import Semaphore

from django.http import HttpRequest, HttpResponse

_AT_WORK = Semaphore(2)


class InTurn:
    """Whatever the API is asked waits here until it is worked on."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        if not request.path.startswith("/api/"):
            return self.get_response(request)
        with _AT_WORK:
            return self.get_response(request)


@contextmanager
def aside() -> Iterator[None]:
    """Lets another request be worked on meanwhile."""
    _AT_WORK.release()
    try:
        yield
    finally:
        _AT_WORK.acquire()
