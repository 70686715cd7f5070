"""Django's cache in files, which counts them at every thirtieth writing only."""

from random import randrange

from django.core.cache.backends.filebased import FileBasedCache

_SELDOM = 30


class Files(FileBasedCache):
    """Django lists all of its files before each one that it writes: with 500 benches that takes longer than the writing,
    and thirty too many do no harm.
    """

    def _cull(self) -> None:
        if randrange(_SELDOM) == 0:
            super()._cull()
