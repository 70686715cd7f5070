"""Django's cache in files, which counts them at every thirtieth writing only."""

from random import randrange
from typing import Any

from django.core.cache.backends.filebased import FileBasedCache

_SELDOM = 30


class Files(FileBasedCache):
    """Django lists all of its files before each one that it writes: with those of 500 benches that takes longer than
    the writing, and thirty too many do no harm.
    """

    def _cull(self) -> None:
        django: Any = super()
        if randrange(_SELDOM) == 0:
            django._cull()
