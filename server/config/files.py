"""Django's cache in files, for what is written often and read soon."""

import pickle
from pathlib import Path
from random import randrange
from typing import Any, BinaryIO

from django.core.cache.backends.filebased import FileBasedCache

_SELDOM = 30


class Files(FileBasedCache):
    """Django lists all of its files before each one that it writes: with those of 500 benches that takes longer than
    the writing, and thirty too many do no harm. It packs each, which takes longer than all the rest.
    """

    def _cull(self) -> None:
        django: Any = super()
        if randrange(_SELDOM) == 0:
            django._cull()

    def _write_content(self, file: BinaryIO, timeout: float | None, value: Any) -> None:
        until: Any = self
        pickle.dump(until.get_backend_timeout(timeout), file, until.pickle_protocol)
        pickle.dump(value, file, until.pickle_protocol)

    def get(self, key: str, default: Any = None, version: int | None = None) -> Any:
        """As Django's, of what is not packed."""
        django: Any = self
        try:
            with Path(django._key_to_file(key, version)).open("rb") as file:
                return default if django._is_expired(file) else pickle.load(file)
        except FileNotFoundError:
            return default
