"""Finds every method: a module under ``methods/`` with a ``METHOD``. Nothing is listed by hand."""

import importlib
import pkgutil
from functools import lru_cache

import chromata_core.methods
from chromata_core.declaration.vocabulary import FAMILIES, Method
from chromata_core.errors import SheetError, unknown
from chromata_core.loading.load import load


@lru_cache(maxsize=1)
def methods() -> dict[str, Method]:
    """All methods by slug in the order of the method book, each checked as it is loaded."""
    by_slug: dict[str, Method] = {}
    for module in pkgutil.walk_packages(chromata_core.methods.__path__, "chromata_core.methods."):
        if not module.ispkg and module.name != __name__:
            declared = getattr(importlib.import_module(module.name), "METHOD", None)
            if isinstance(declared, Method):
                by_slug[declared.slug] = load(declared)
    return dict(sorted(by_slug.items(), key=lambda pair: (FAMILIES.index(pair[1].family), pair[0])))


def method(slug: str) -> Method:
    """The method called ``slug``; SheetError with near names if there is none."""
    if slug not in methods():
        raise SheetError([unknown("method", slug, list(methods()))])
    return methods()[slug]
