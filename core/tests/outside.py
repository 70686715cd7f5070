"""Which test checks a method against something outside the project, and what that is."""

import importlib
import pkgutil
from collections.abc import Callable
from typing import TypeVar

import tests

CHECKED: dict[str, list[str]] = {}
Test = TypeVar("Test", bound=Callable[..., None])


def outside(*slugs: str, by: str) -> Callable[[Test], Test]:
    """Marks a test as an outside check of these methods, ``by`` a table, standard, example or library."""

    def mark(test: Test) -> Test:
        for slug in slugs:
            CHECKED.setdefault(slug, []).append(by)
        return test

    return mark


def checked() -> dict[str, list[str]]:
    """What every test of this package says it checks."""
    for module in pkgutil.iter_modules(tests.__path__, "tests."):
        importlib.import_module(module.name)
    return CHECKED
